import type { HoleNow, HolesProblemCode, HoleWay, KindOfWork, WidthCost } from '@leggero/core';

import { listed } from './trade';

type Write = (mm: number) => string;

export const HOLE_WAY_WORDS: Record<HoleWay, { title: string; means: string }> = {
  caliper: { title: 'Caliper', means: 'inside jaws, across the widest place' },
  tape: { title: 'Tape or ruler', means: 'laid over the middle of the hole' },
  bar: { title: 'Printed bar', means: 'the bar drawn beside a printed sizer tells the scale of all its holes' },
};

/** "1/16 in smaller than its label", "as its label says". */
export function offText({ offMm, origin }: HoleNow, fine: Write): string {
  if (origin === 'rule') return 'not measured yet';
  if (Math.abs(offMm) < 0.25) return 'as its label says';
  return `${fine(Math.abs(offMm))} ${offMm > 0 ? 'larger' : 'smaller'} than its label`;
}

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

export const WORK_WORDS: Record<KindOfWork, { title: string; means: string }> = {
  linking: { title: 'Linking work', means: 'chains, rings and baskets that close' },
  classic: { title: 'Classic work', means: 'columns, arches and spirals of equal balloons' },
  garland: { title: 'Garlands', means: 'clusters that should look alike' },
  organic: { title: 'Organic work', means: 'sizes mixed on purpose' },
};

/** "linking and classic work": the kinds for which a difference is too much. */
export function workList(kinds: readonly KindOfWork[]): string {
  return listed(kinds.map((kind) => WORK_WORDS[kind].title.toLowerCase()));
}

/** What another width costs, sentence by sentence. */
export function costTexts({ offMm, airRatio, columnMm, chainMm }: WidthCost, text: Write): string[] {
  const than = offMm > 0 ? 'more' : 'less';
  const long = offMm > 0 ? 'longer' : 'shorter';
  const high = offMm > 0 ? 'higher' : 'lower';
  return [
    `Each balloon ${text(Math.abs(offMm))} ${offMm > 0 ? 'larger' : 'smaller'}, with ` +
      `${Math.abs(Math.round(100 * (airRatio - 1)))} % ${than} air.`,
    `A column of eight layers of quads ${text(Math.abs(columnMm))} ${high}.`,
    `A chain of twenty ${text(Math.abs(chainMm))} ${long}.`,
  ];
}
