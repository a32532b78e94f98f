import type { ParsedWrite } from './command';
import type { Changes } from './feed';
import { LayeredMap, rowsLike } from './layeredMap';
import type { Gone, Numbered } from './noun';
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
 * The rows as they will be once some writes have arrived, one after another; one that would be refused, or changes
 * nothing, leaves them as they are. What only the server can tell (guards) is not looked at.
 */
export function layWrites(rows: Rows, writes: Iterable<ParsedWrite>): Rows {
  const draft = new Draft(rows);
  for (const write of writes) lay(draft, write);
  return draft.rows;
}

/** The rows after a page of the change feed. */
export function layChanges(rows: Rows, { rows: newer, gone }: Pick<Changes, 'rows' | 'gone'>): Rows {
  const draft = new Draft(rows);
  for (const [name, ids] of Object.entries(gone)) for (const id of ids) remove(draft, name, { id, told: true });
  for (const [name, all] of Object.entries(newer)) for (const row of all) draft.set(name, row as AnyRow);
  return draft.rows;
}

/** Rows being changed: the map of a noun becomes another when the first of its rows does. */
class Draft {
  private readonly now: Record<string, ReadonlyMap<string, AnyRow>>;
  private readonly own = new Map<string, LayeredMap<AnyRow>>();

  constructor(private readonly before: Rows) {
    this.now = { ...(before as unknown as AnyRows) };
  }

  get rows(): Rows {
    return this.own.size === 0 ? this.before : (this.now as unknown as Rows);
  }

  of(name: string): ReadonlyMap<string, AnyRow> {
    return this.now[name]!;
  }

  set(name: string, row: AnyRow): void {
    this.ownOf(name).put(row.id, row);
  }

  delete(name: string, id: string): void {
    this.ownOf(name).drop(id);
  }

  private ownOf(name: string): LayeredMap<AnyRow> {
    let own = this.own.get(name);
    if (!own) {
      own = LayeredMap.on(this.now[name]!);
      this.own.set(name, own);
      this.now[name] = own;
    }
    return own;
  }
}

function lay(draft: Draft, write: ParsedWrite): void {
  if ('put' in write) {
    const row = { ...NOUNS[write.put].given, ...(write.row as AnyRow) };
    if (draft.of(write.put).has(row.id)) return;
    const tied = letGo(draft, write.put, row);
    if (tied) draft.set(write.put, numberedIn(draft, write.put, tied));
  } else if ('change' in write) {
    const row = draft.of(write.change).get(write.id);
    const by = letGo(draft, write.change, write.by as Record<string, unknown>);
    if (row && by) draft.set(write.change, { ...row, ...by });
  } else remove(draft, write.remove, { id: write.id, told: false });
}

/** What is written, with the references it can have: without those that let go of what is not there; null where one must be. */
function letGo<Written extends Record<string, unknown>>(draft: Draft, name: NounName, row: Written): Written | null {
  const tied: Record<string, unknown> = { ...row };
  for (const [field, { to, gone }] of Object.entries(NOUNS[name].refs)) {
    const id = row[field];
    if (typeof id !== 'string' || draft.of(to).has(id)) continue;
    if (gone !== 'clear') return null;
    tied[field] = null;
  }
  return tied as Written;
}

/** A new row with the number it will have among those there are. */
function numberedIn(draft: Draft, name: NounName, row: AnyRow): AnyRow {
  const numbered = NOUNS[name].numbered as Numbered<AnyRow> | null;
  if (!numbered) return row;
  const { field, among } = numbered;
  const taken = new Set(rowsLike(draft.of(name), among, row).map((other) => other[field] as number));
  return { ...row, [field]: numberAmong(numbered, taken, row[field] as number) };
}

/** The number of a new row that asks for one, where others have theirs. */
export function numberAmong(
  { by }: Pick<Numbered<object>, 'by'>,
  taken: ReadonlySet<number>,
  asked: number | undefined,
): number {
  if (by === 'next') return Math.max(0, ...taken) + 1;
  if (asked !== undefined && !taken.has(asked)) return asked;
  let place = 0;
  while (taken.has(place)) place += 1;
  return place;
}

/**
 * Takes a row away with all that goes with it, as the foreign keys have it; nothing where a row that would stay holds it
 * back. What is `told` gone is gone, whatever still points at it.
 */
function remove(draft: Draft, name: string, { id, told }: { id: string; told: boolean }): void {
  if (!draft.of(name).has(id)) return;
  const doomed = new Map([[name, new Set([id])]]);
  const cleared: { child: string; row: AnyRow; field: string }[] = [];
  const held: { child: string; row: AnyRow }[] = [];
  const isDoomed = (noun: string, row: AnyRow) => doomed.get(noun)?.has(row.id) === true;
  const going: [string, Set<string>][] = [[name, new Set([id])]];
  for (let next = going.shift(); next; next = going.shift()) {
    const [parent, ids] = next;
    for (const { child, field, gone } of HANGING.get(parent)!) {
      const follow = new Set<string>();
      for (const row of draft.of(child).values()) {
        if (!ids.has(row[field] as string) || isDoomed(child, row)) continue;
        if (gone === 'clear') cleared.push({ child, row, field });
        else if (gone === 'refuse' && !told) held.push({ child, row });
        else follow.add(row.id);
      }
      if (follow.size === 0) continue;
      doomed.set(child, new Set([...(doomed.get(child) ?? []), ...follow]));
      going.push([child, follow]);
    }
  }
  if (held.some(({ child, row }) => !isDoomed(child, row))) return;
  for (const [noun, ids] of doomed) for (const gone of ids) draft.delete(noun, gone);
  for (const { child, row, field } of cleared) {
    const now = draft.of(child).get(row.id);
    if (now) draft.set(child, { ...now, [field]: null });
  }
}
