import type { WidthCost } from '@leggero/core';

/** What another width costs, sentence by sentence. */
export function costTexts({ offMm, airRatio, columnMm, chainMm }: WidthCost, text: (mm: number) => string): string[] {
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
