import type { PieceWork } from './work';

/** How many of a balloon some pieces take. */
export interface Need {
  balloon: string;
  count: number;
  /** Of them stuffed: one of a pair. */
  stuffed: number;
}

/**
 * How many of each balloon some pieces take, their copies and the modelling balloons that join them with it. A pair takes
 * one of each of its two. `partsOf`: the two of a pair; null of a single balloon.
 */
export function needsOf(
  pieces: readonly Pick<PieceWork, 'sizes' | 'takes' | 'copies'>[],
  partsOf: (balloon: string) => readonly string[] | null,
): Need[] {
  const needs = new Map<string, Need>();
  const add = (balloon: string, count: number, stuffed: boolean) => {
    const need = needs.get(balloon) ?? { balloon, count: 0, stuffed: 0 };
    need.count += count;
    if (stuffed) need.stuffed += count;
    needs.set(balloon, need);
  };
  for (const { sizes, takes, copies } of pieces) {
    for (const { balloon, count } of sizes) {
      const parts = partsOf(balloon);
      for (const part of parts ?? [balloon]) add(part, count * copies, parts !== null);
    }
    for (const { balloon, count } of takes) if (balloon !== null) add(balloon, count * copies, false);
  }
  return [...needs.values()].filter(({ count }) => count > 0);
}
