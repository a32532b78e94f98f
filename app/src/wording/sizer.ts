import type { HoleNow, HolesProblemCode, HoleWay } from '@leggero/core';

type Write = (mm: number) => string;

export const HOLE_WAY_WORDS: Record<HoleWay, { title: string; means: string }> = {
  caliper: { title: 'Caliper', means: 'inside jaws, across the widest place' },
  tape: { title: 'Tape or ruler', means: 'laid over the middle of the hole' },
  bar: { title: 'Printed bar', means: 'the bar drawn beside a printed sizer tells the scale of all its holes' },
};

/** What else a hole's measurements show: oval, worn. */
export function conditionText({ ovalMm, wearMm }: HoleNow, fine: Write): string {
  return [
    ovalMm >= 1 ? `oval by ${fine(ovalMm)}` : '',
    wearMm !== null && Math.abs(wearMm) >= 0.3
      ? `${fine(Math.abs(wearMm))} ${wearMm > 0 ? 'wider' : 'narrower'} than when first measured`
      : '',
  ]
    .filter(Boolean)
    .join(', ');
}

/** What is wrong with a row of holes, and what to do. */
export function holesProblemText(code: HolesProblemCode, label: string, other: string): string {
  switch (code) {
    case 'hole-twice':
      return `The ${label} hole would be as wide as the ${other}. One of them is written down wrong.`;
    case 'holes-out-of-order':
      return `The ${label} hole would be smaller than the ${other}. Measure it again, or look at the labels.`;
    case 'bad-hole':
      return 'A hole is wider than zero and not over a metre. Check the unit.';
  }
}
