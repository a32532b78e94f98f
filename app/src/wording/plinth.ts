import type { Problem } from '@leggero/core';
import type { BoardCover, ColourMapProblemCode, PlinthPlan, PlinthProblemCode } from '@leggero/core/building';

import { buildProblemText } from './building';
import { counted } from './trade';

type Write = (mm: number) => string;

/** Why a plinth cannot be worked out, and what would work. */
export function plinthProblemText(refused: Problem<PlinthProblemCode | ColourMapProblemCode>, text: Write): string {
  switch (refused.code) {
    case 'standing-too-wide':
      return `Together they are wider than the plinth: up to ${text(refused.detail.mostMm)}.`;
    case 'bad-weight':
      return 'From nothing to 100 kg.';
    case 'no-layers':
      return 'At least one cluster.';
    default:
      return buildProblemText(refused as Parameters<typeof buildProblemText>[0], text);
  }
}

/** Weights are put on in such steps, kg. */
const STEP_KG = 0.1;
const POUND_KG = 0.45359237;
const kilograms = (kg: number, unit: string) => {
  const up = (STEP_KG * Math.ceil(kg / STEP_KG - 1e-9)).toFixed(1);
  return unit === 'in' ? `${up} kg (${(Number(up) / POUND_KG).toFixed(1)} lb)` : `${up} kg`;
};

/** What each of its two weights must be, and why. */
export function weightsText({ needs, standingKg, leastKg }: PlinthPlan, unit: string): string {
  const least = `At least ${kilograms(leastKg, unit)} at each end`;
  return standingKg > needs.kg
    ? `${least}: no lighter together than what stands on it.`
    : `${least}: ${needs.forceN.toFixed(1)} N of air about its front edge.`;
}

/** What is wrong with the weights that it has; null where they hold. */
export function tooLightText({ weightsKg, standingKg, leastKg }: PlinthPlan, unit: string): string | null {
  if (weightsKg >= 2 * leastKg - 1e-9) return null;
  if (weightsKg < standingKg) return `Lighter than what stands on it: ${kilograms(leastKg, unit)} at each end.`;
  return `Too light for the air that moves there: ${kilograms(leastKg, unit)} at each end.`;
}

/** Which foil covers a board, and how much tape: "Half of an 18 in foil, and 3 ft 8 in of tape". */
export function boardText({ foilMm, tapeMm }: BoardCover, { text, bare }: { text: Write; bare: Write }): string {
  return (
    `Half of a round foil balloon of ${bare(foilMm)} in, measured empty: cut it along its seam, draw it over the board, ` +
    `fold it under and tape it once around, ${text(tapeMm)}.`
  );
}

/** How a plinth is built. */
export function plinthSteps(
  { layers }: PlinthPlan,
  { clusters, smallMm, standing }: { clusters: number; smallMm: number | null; standing: readonly unknown[] },
  tied: string,
): string[] {
  return [
    `Tie ${tied}.`,
    `String ${counted(clusters, 'cluster')} on a modelling balloon through their middles` +
      (smallMm === null
        ? '.'
        : `, a small one seated between each two, cinched by its own necks: ${layers.length} in all.`),
    'Tie a sand weight to both ends of the modelling balloon, between knot and neck, so that rubbing harms nothing.',
    'Lay it on two balloons of each cluster, and turn what stands out.',
    ...(standing.length > 0
      ? [
          'Tie what stands on it by its tabs, brace the figures to one another, and push against them gently: nothing may rock.',
        ]
      : []),
  ];
}
