import type { RowOf, Write } from '@leggero/contract';
import type { OwnNumber, Trade } from '@leggero/core';
import { ADJUSTABLE, constantBounds, inOrderOfChange, type Adjustable } from '@leggero/core/constants';

import { newId } from '@/device/id';

/** A number a studio wants; null for the table's own. */
export type Wanted = ReadonlyMap<string, number | null>;

/** The numbers a studio has otherwise, by key; of several rows for one the last one counts. */
export function ownValues(rows: readonly RowOf<'constant'>[]): Map<string, number> {
  return new Map(rows.map(({ key, value }) => [key, value]));
}

/** The wanted numbers as `tradeWith` takes them, after those there are. */
export function trialOf(rows: readonly RowOf<'constant'>[], wanted: Wanted): OwnNumber[] {
  return [...rows.map(({ key, value }) => ({ key, value })), ...asNumbers(wanted)];
}

/** For each number two trials: the least and the most that it can be beside the others. */
export function endTrials(
  rows: readonly RowOf<'constant'>[],
  trade: Trade,
  numbers: readonly Adjustable[],
): OwnNumber[][] {
  return numbers.flatMap(({ key }) => {
    const { least, most } = constantBounds({ trade, key })!;
    return [least, most].map((value) => trialOf(rows, new Map([[key, value]])));
  });
}

/**
 * What is written so that a studio has the wanted numbers, in an order in which none contradicts another on the way; null
 * where they cannot be so.
 */
export function writesFor(rows: readonly RowOf<'constant'>[], wanted: Wanted): Write[] | null {
  const ordered = inOrderOfChange({ own: rows, wanted: asNumbers(wanted) });
  return ordered && ordered.flatMap(({ key, value }) => writesOf(rows, key, value));
}

/** A number that is the table's own again needs no row. */
function writesOf(rows: readonly RowOf<'constant'>[], key: string, value: number): Write[] {
  const own = rows.filter((row) => row.key === key);
  const last = own.at(-1);
  if (value === ADJUSTABLE.get(key)!.usual) return own.toReversed().map(({ id }) => ({ remove: 'constant', id }));
  if (!last) return [{ put: 'constant', row: { id: newId(), key, value } }];
  return last.value === value ? [] : [{ change: 'constant', id: last.id, by: { value } }];
}

function asNumbers(wanted: Wanted): OwnNumber[] {
  return [...wanted].map(([key, value]) => ({ key, value: value ?? ADJUSTABLE.get(key)!.usual }));
}
