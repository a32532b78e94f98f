import type { WindForce } from '@leggero/core';
import type { BaseWeight, SideView } from '@leggero/core/building';

/** Winds by what they do (Beaufort scale). */
export const WIND_WORDS: Record<WindForce, { title: string; seen: string }> = {
  2: { title: 'Light breeze', seen: 'leaves rustle' },
  3: { title: 'Gentle breeze', seen: 'leaves and twigs move all the time' },
  4: { title: 'Moderate breeze', seen: 'dust and loose paper rise' },
  5: { title: 'Fresh breeze', seen: 'small trees sway' },
};

const KG_PER_POUND = 0.45359237;
/** Weights are put on in such steps, kg, and litres. */
const STEP = 0.5;
const up = (value: number, step: number): string => String(step * Math.ceil(value / step - 1e-9));

/** "7 kg (16 lb)", rounded up. */
export function massText(kg: number, unit: 'in' | 'cm' | 'mm'): string {
  return `${up(kg, STEP)} kg${unit === 'in' ? ` (${up(kg / KG_PER_POUND, 1)} lb)` : ''}`;
}

/** "At least 7 kg (16 lb) on its base: 7 L of water, or 4.5 L of dry sand". */
export function baseWeightText({ kg, waterL, sandL }: BaseWeight, unit: 'in' | 'cm' | 'mm'): string {
  return (
    `At least ${massText(kg, unit)} on its base: ${up(waterL, STEP)} L of water, ` +
    `or ${up(sandL, STEP)} L of dry sand.`
  );
}

/** Where that comes from. */
export function baseReasonText(
  { gustMs, forceN, slips }: BaseWeight,
  { side, wind }: { side: SideView; wind: WindForce | null },
  text: (mm: number) => string,
): string {
  const from =
    wind === null
      ? `A draught of ${gustMs.toFixed(0)} m/s`
      : `While ${WIND_WORDS[wind].seen}, gusts reach ${gustMs.toFixed(0)} m/s: that`;
  const presses = `presses with ${forceN.toFixed(0)} N on ${side.areaM2.toFixed(2)} m², ${text(side.middleMm)} above the floor`;
  return `${from} ${presses}. ${slips ? 'It would slip before it tips.' : 'A base twice as wide needs half as much.'}`;
}
