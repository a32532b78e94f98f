import type { Problem } from '@leggero/core';
import type { BarePart, ColourMapProblemCode, HoopPlan, HoopProblemCode, HungSign } from '@leggero/core/building';

import { buildProblemText } from './building';
import { counted, listed } from './trade';

type Write = (mm: number) => string;

/** A place on a hoop as on a clock: "6 o'clock", "half past 2". */
export function clockText(degrees: number): string {
  const halves = Math.round((((degrees % 360) + 360) % 360) / 15) % 24;
  const hour = Math.floor(halves / 2) || 12;
  return halves % 2 === 0 ? `${hour} o’clock` : `half past ${hour}`;
}

/** Why a hoop cannot be worked out, and what would work. */
export function hoopProblemText(refused: Problem<HoopProblemCode | ColourMapProblemCode>, text: Write): string {
  switch (refused.code) {
    case 'hoop-too-small':
      return `Its clusters are thicker than that: from ${text(refused.detail.leastMm)} across.`;
    case 'crescents-meet':
      return `Its ends lie ${text(refused.detail.overMm)} over what comes next: fewer clusters, or a larger hoop.`;
    case 'bad-ends':
      return 'It begins where it ends: choose two places.';
    case 'bad-count':
      return 'A whole number of clusters, or none.';
    default:
      return buildProblemText(refused as Parameters<typeof buildProblemText>[0], text);
  }
}

/** Where crescents lie, and what is left bare: "Crescents from 3 o'clock to 9 o'clock; 3 ft of hoop stay bare". */
export function hoopText({ crescents, bare, bareMm }: HoopPlan, wraps: number | null, text: Write): string {
  const lie = crescents.map(({ fromDeg, toDeg }) => `from ${clockText(fromDeg)} to ${clockText(toDeg)}`);
  const parts = bare.filter(({ lengthMm }: BarePart) => lengthMm > SHORT_MM).length;
  const cover = wraps === null ? '' : `, covered by ${counted(wraps, 'half-filled modelling balloon')} wound tight`;
  const rest = parts === 0 ? 'No hoop stays bare.' : `${text(bareMm)} of hoop in ${counted(parts, 'part')}${cover}.`;
  return `${lie.length === 1 ? 'A crescent' : 'Crescents'} ${listed(lie)}. ${rest}`;
}

/** Shorter bare parts are none, mm. */
const SHORT_MM = 6;

/** What landing between two places does to its sizes. */
export function scaledText(scale: number | null): string {
  if (scale === null) return 'Its sizes are scaled until it does.';
  return `So its sizes are ${Math.round(100 * scale)} % of those below, on steps.`;
}

/** Where a sign's lines go, and how much room it has. */
export function signText(
  sign: { ok: true; value: HungSign } | { ok: false; problem: { detail: { mostMm: number } } },
  { text, fine }: { text: Write; fine: Write },
): string {
  if (!sign.ok) return `Too large for the hoop: under ${text(sign.problem.detail.mostMm)} from corner to corner.`;
  const { lineMm, freeMm } = sign.value;
  const room =
    freeMm < 0
      ? `It lies ${fine(-freeMm)} over balloons: smaller, or in front of them.`
      : `${text(freeMm)} free around it.`;
  return `Two lines of ${text(lineMm)} from its upper corners straight up to the tube, and the knots. ${room}`;
}

/** How a hoop is built. */
export function hoopSteps(
  { crescents, clusters }: HoopPlan,
  tied: string,
  { foot, sign }: { foot: number; sign: boolean },
) {
  const each = crescents.length === 1 ? 'the crescent' : 'each crescent';
  return [
    'Fix the hoop on its stand and weigh that down; wind half-filled modelling balloons tight around what stays bare, ' +
      'and around the stand.',
    `Tie ${tied}.`,
    `Mark the centre of ${each} and push on its largest cluster; wrap its necks twice around the tube.`,
    `Go on to both sides from the largest to the smallest, ${clusters.length} clusters in all, each turned so that one ` +
      'balloon sits between two of its neighbour.',
    ...(foot > 0 ? [`Lay ${counted(foot, 'cluster')} around the foot and tie them to it.`] : []),
    ...(sign ? ['Hang the sign on its lines last, and step back: it must hang level.'] : []),
  ];
}

/** One step of a hoop: "Crescent 1, 2nd to the left, at 7 o'clock: 8¼ in". */
export function clusterStepText(
  { crescent, place, atDeg, widthMm }: HoopPlan['clusters'][number],
  colours: string,
  text: Write,
): string {
  const side = place === 0 ? 'its centre' : `${Math.abs(place)} to the ${place < 0 ? 'left' : 'right'}`;
  return `Crescent ${crescent + 1}, ${side}, ${clockText(atDeg)}, ${text(widthMm)}: ${colours}`;
}
