import { NOUN_NAMES, NOUNS, type NounName, type Ref } from '@leggero/contract';
import { inArray } from 'drizzle-orm';

import { WHOLE, type Scope } from '../db/records';
import { listRows } from '../records/store';
import { columnOf } from '../records/tables';

type Row = { id: string } & Record<string, unknown>;

/** What becomes of other rows when one goes: those that go with it, and those that let go of it or of one of them. */
export interface Going {
  removed: { noun: NounName; row: Row }[];
  cleared: { noun: NounName; row: Row; field: string }[];
}

/** By noun, which fields of which nouns point at it. */
const POINTING = new Map<NounName, { noun: NounName; field: string; gone: Ref['gone'] }[]>();
for (const noun of NOUN_NAMES) {
  for (const [field, { to, gone }] of Object.entries(NOUNS[noun].refs as Record<string, Ref>)) {
    const all = POINTING.get(to as NounName) ?? [];
    POINTING.set(to as NounName, [...all, { noun, field, gone }]);
  }
}

/** What goes with a row, as the nouns' references say, and so the foreign keys: what goes first comes first. */
export async function goingWith(scope: Scope, noun: NounName, id: string): Promise<Going> {
  // Whoever may take it away takes all of that with it, whether it is in their reach or not.
  const whole = { ...scope, reach: WHOLE };
  const going: Going = { removed: [], cleared: [] };
  const seen = new Set([`${noun} ${id}`]);
  let level = new Map<NounName, string[]>([[noun, [id]]]);
  while (level.size > 0) {
    const next = new Map<NounName, string[]>();
    for (const [parent, ids] of level) {
      for (const { noun: child, field, gone } of POINTING.get(parent) ?? []) {
        if (gone === 'refuse') continue;
        for (const row of (await listRows(whole, child, inArray(columnOf(child, field), ids))) as Row[]) {
          if (gone === 'clear') going.cleared.push({ noun: child, row, field });
          if (gone === 'clear' || seen.has(`${child} ${row.id}`)) continue;
          seen.add(`${child} ${row.id}`);
          going.removed.push({ noun: child, row });
          next.set(child, [...(next.get(child) ?? []), row.id]);
        }
      }
    }
    level = next;
  }
  return { ...going, cleared: going.cleared.filter(({ noun: of, row }) => !seen.has(`${of} ${row.id}`)) };
}
