import type { ParsedWrite } from './command';
import type { Changes } from './feed';
import type { Gone } from './noun';
import { NOUN_NAMES, NOUNS, type NounName, type RowOf } from './nouns';

/** All rows of a studio, by noun and id. A noun that a change does not concern keeps its very map. */
export type Rows = { readonly [N in NounName]: ReadonlyMap<string, RowOf<N>> };

type AnyRow = Record<string, unknown> & { id: string };
type AnyRows = Readonly<Record<string, ReadonlyMap<string, AnyRow>>>;

/** No row of any noun. */
export const NO_ROWS = Object.fromEntries(NOUN_NAMES.map((name) => [name, new Map()])) as unknown as Rows;

/** A reference as the one it points at sees it. */
interface Hanging {
  child: NounName;
  field: string;
  gone: Gone;
}

/** What hangs on each noun. */
const HANGING = new Map<string, Hanging[]>(NOUN_NAMES.map((name) => [name, []]));
for (const child of NOUN_NAMES)
  for (const [field, { to, gone }] of Object.entries(NOUNS[child].refs)) HANGING.get(to)!.push({ child, field, gone });

/**
 * The rows as they will be once a write has arrived; the very same where it would be refused, or changes nothing. What
 * only the server can tell (guards, places that are taken) is not looked at.
 */
export function layWrite(rows: Rows, write: ParsedWrite): Rows {
  const before = rows as unknown as AnyRows;
  return lay(before, write) as unknown as Rows;
}

function lay(rows: AnyRows, write: ParsedWrite): AnyRows {
  if ('put' in write) {
    const row = { ...NOUNS[write.put].given, ...(write.row as AnyRow) };
    if (rows[write.put]!.has(row.id)) return rows;
    const tied = tiedTo(rows, write.put, row);
    return tied ? withRow(rows, write.put, tied) : rows;
  }
  if ('change' in write) {
    const row = rows[write.change]!.get(write.id);
    return row ? withRow(rows, write.change, { ...row, ...(write.by as object) }) : rows;
  }
  return without(rows, write.remove, write.id) ?? rows;
}

/** The rows after a page of the change feed. */
export function layChanges(rows: Rows, { rows: newer, gone }: Pick<Changes, 'rows' | 'gone'>): Rows {
  let laid = rows as unknown as AnyRows;
  for (const [name, ids] of Object.entries(gone)) for (const id of ids) laid = without(laid, name, id, true) ?? laid;
  for (const [name, all] of Object.entries(newer)) {
    const own = new Map(laid[name]);
    for (const row of all) own.set(row.id, row as AnyRow);
    laid = { ...laid, [name]: own };
  }
  return laid as unknown as Rows;
}

/** A new row with the references it can have: without those that let go of what is not there; null where one must be. */
function tiedTo(rows: AnyRows, name: NounName, row: AnyRow): AnyRow | null {
  const tied = { ...row };
  for (const [field, { to, gone }] of Object.entries(NOUNS[name].refs)) {
    const id = row[field];
    if (typeof id !== 'string' || rows[to]!.has(id)) continue;
    if (gone !== 'clear') return null;
    tied[field] = null;
  }
  return tied;
}

function withRow(rows: AnyRows, name: string, row: AnyRow): AnyRows {
  return { ...rows, [name]: new Map(rows[name]).set(row.id, row) };
}

/**
 * Without a row and all that goes with it, as the foreign keys have it; null where a row that would stay holds it back.
 * What is `told` gone is gone, whatever still points at it.
 */
function without(rows: AnyRows, name: string, id: string, told = false): AnyRows | null {
  if (!rows[name]!.has(id)) return rows;
  const own = new Map(rows[name]);
  own.delete(id);
  let left: AnyRows = { ...rows, [name]: own };
  for (const { child, field, gone } of HANGING.get(name)!) {
    for (const row of left[child]!.values()) {
      if (row[field] !== id) continue;
      if (gone === 'refuse' && !told) return null;
      const next =
        gone === 'clear' ? withRow(left, child, { ...row, [field]: null }) : without(left, child, row.id, told);
      if (next === null) return null;
      left = next;
    }
  }
  return left;
}
