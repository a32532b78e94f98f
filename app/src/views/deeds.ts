import { NOUNS, type NounName, type Ref, type Rows } from '@leggero/contract';
import type { Deed, DeedRow } from '@leggero/contract/deed';

import { balloonName } from './modelView';

type Fields = Record<string, unknown>;

/** What was done to a row. */
export const doneTo = ({ was, is }: Pick<DeedRow, 'was' | 'is'>): 'made' | 'changed' | 'removed' =>
  was === null ? 'made' : is === null ? 'removed' : 'changed';

/**
 * What a row is called, as it is now or as it was: by its own name, or that of what it hangs on; null where neither is
 * known.
 */
export function subjectOf(rows: Rows, { noun, id, was, is }: DeedRow): string | null {
  if (!(noun in NOUNS)) return textOf((is ?? was)?.['name']);
  const now = rowIn(rows, noun as NounName, id);
  return nameOf(rows, noun as NounName, { ...was, ...is, ...now });
}

function nameOf(rows: Rows, noun: NounName, row: Fields): string | null {
  if (noun === 'model' && row['line']) return balloonName(row as unknown as Parameters<typeof balloonName>[0]);
  const own = textOf(row['name']) ?? textOf(row['label']) ?? textOf(row['text']) ?? textOf(row['tierName']);
  if (own) return own;
  for (const [field, { to, gone }] of Object.entries(NOUNS[noun].refs as Record<string, Ref>)) {
    const id = row[field];
    if (gone === 'clear' || typeof id !== 'string') continue;
    const parent = rowIn(rows, to as NounName, id);
    const name = parent && nameOf(rows, to as NounName, parent);
    if (name) return name;
  }
  return null;
}

const rowIn = (rows: Rows, noun: NounName, id: string): Fields | undefined =>
  (rows[noun] as ReadonlyMap<string, object>).get(id) as Fields | undefined;

const textOf = (value: unknown): string | null => (typeof value === 'string' && value !== '' ? value : null);

/** Deeds by the day on which they were done, as the device's calendar has it; in their order. */
export function byDay(deeds: readonly Deed[]): { day: string; deeds: Deed[] }[] {
  const days: { day: string; key: string; deeds: Deed[] }[] = [];
  for (const deed of deeds) {
    const key = new Date(deed.at).toDateString();
    if (days.at(-1)?.key === key) days.at(-1)!.deeds.push(deed);
    else days.push({ key, day: deed.at, deeds: [deed] });
  }
  return days;
}

/** Who did some deeds, each once, by name. */
export function doers(deeds: readonly Deed[]): { id: string; name: string }[] {
  const known = new Map(deeds.flatMap(({ by }) => (by ? [[by.id, by]] : [])));
  return [...known.values()].sort((a, b) => a.name.localeCompare(b.name));
}
