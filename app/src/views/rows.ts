import { changedSince, idSchema, instantSchema, LayeredMap, NOUNS, type NounName, type RowOf } from '@leggero/contract';
import { weakMapMemoize } from 'reselect';

/** Some rows of one noun, by id. */
export type RowMap<N extends NounName> = ReadonlyMap<string, RowOf<N>>;

let names: Intl.Collator | undefined;
/** What sorts names as people do: whatever the case, whatever the accent. Made once: it takes longer than a list. */
const collator = () => (names ??= new Intl.Collator('en', { sensitivity: 'base' }));
const compareNames = (a: string, b: string): number => collator().compare(a, b);

/** Makes what names are sorted with, in a moment with nothing else to do. */
export function readyToSort(): void {
  collator();
}

type Compare<Row> = (a: Row, b: Row) => number;

/** How rows of a noun stand in lists; worked out with the first of them, for a page sorts few of all nouns. */
function orderOf<N extends NounName>(name: N): Compare<RowOf<N>> {
  let compare: Compare<RowOf<N>> | undefined;
  return (a, b) => (compare ??= comparingOf(name))(a, b);
}

function comparingOf<N extends NounName>(name: N): Compare<RowOf<N>> {
  const { order, row } = NOUNS[name];
  const shape = row.shape as Record<string, unknown>;
  const fields = order.map((text): Compare<RowOf<N>> => {
    const [field, sign] = (text.startsWith('-') ? [text.slice(1), -1] : [text, 1]) as [keyof RowOf<N> & string, 1 | -1];
    // What is no name is compared as it is written, which is much faster.
    const written = shape[field] === instantSchema || shape[field] === idSchema;
    const compare = written ? asWritten : asMeant;
    return (a, b) => sign * compare(a[field], b[field]);
  });
  return (a, b) => {
    for (const compare of fields) {
      const difference = compare(a, b);
      if (difference !== 0) return difference;
    }
    return 0;
  };
}

function asWritten(a: unknown, b: unknown): number {
  return (a as string) < (b as string) ? -1 : (a as string) > (b as string) ? 1 : 0;
}

function asMeant(a: unknown, b: unknown): number {
  return typeof a === 'string' ? compareNames(a, b as string) : Number(a) - Number(b);
}

/** Rows of a noun in its order; the very same list for the very same map. */
export function listOf<N extends NounName>(name: N): (rows: RowMap<N>) => readonly RowOf<N>[] {
  const compare = orderOf(name);
  return weakMapMemoize((rows: RowMap<N>) => [...rows.values()].sort(compare));
}

/** A list of the very same things is the very same list. */
export const listed = weakMapMemoize(<Thing>(...things: Thing[]) => things) as <Thing>(...things: Thing[]) => Thing[];

const NOTHING: readonly never[] = [];

/** Rows of a noun by the row they hang on. */
export interface Groups<N extends NounName> {
  of(id: string): readonly RowOf<N>[];
}

type Grouped<Row> = ReadonlyMap<string, readonly Row[]>;

/** How rows are grouped. */
interface Grouping<Row> {
  parentOf: (row: Row) => string | null;
  compare: Compare<Row>;
}

/** Where one row of so many changed, or more, all are grouped anew. */
const ROWS_PER_CHANGE = 2;

/**
 * Rows of a noun by the one they hang on, each group in the noun's order. A group whose rows are the very same as before
 * stays the very same, so that nothing that follows from it is worked out anew; rows that were made from those of before
 * are grouped by what changed alone.
 */
export function groupsOf<N extends NounName>(name: N, field: keyof RowOf<N> & string): (rows: RowMap<N>) => Groups<N> {
  const grouping: Grouping<RowOf<N>> = {
    parentOf: (row) => row[field] as string | null,
    compare: orderOf(name),
  };
  let last: { rows: RowMap<N>; groups: Grouped<RowOf<N>> } = { rows: new Map(), groups: new Map() };
  return weakMapMemoize((rows: RowMap<N>) => {
    const changed = changedSince(last.rows, rows);
    const groups =
      changed && changed.size * ROWS_PER_CHANGE <= rows.size
        ? regrouped(last, { rows, changed }, grouping)
        : grouped(rows, last.groups, grouping);
    last = { rows, groups };
    return { of: (id) => groups.get(id) ?? NOTHING };
  });
}

function grouped<Row>(
  rows: ReadonlyMap<string, Row>,
  before: Grouped<Row>,
  { parentOf, compare }: Grouping<Row>,
): Grouped<Row> {
  const came = new Map<string, Row[]>();
  for (const row of rows.values()) {
    const parent = parentOf(row);
    if (parent === null) continue;
    const group = came.get(parent);
    if (group) group.push(row);
    else came.set(parent, [row]);
  }
  const groups = new Map<string, readonly Row[]>();
  for (const [parent, group] of came) {
    group.sort(compare);
    const known = before.get(parent);
    const same = known?.length === group.length && group.every((row, i) => row === known[i]);
    groups.set(parent, same ? known : group);
  }
  return groups;
}

function regrouped<Row>(
  last: { rows: ReadonlyMap<string, Row>; groups: Grouped<Row> },
  { rows, changed }: { rows: ReadonlyMap<string, Row>; changed: ReadonlySet<string> },
  { parentOf, compare }: Grouping<Row>,
): Grouped<Row> {
  const groups = LayeredMap.on(last.groups);
  const parents = new Map<string, { left: Set<Row>; come: Row[] }>();
  const at = (row: Row) => {
    const parent = parentOf(row);
    if (parent === null) return null;
    let found = parents.get(parent);
    if (!found) parents.set(parent, (found = { left: new Set(), come: [] }));
    return found;
  };
  for (const id of changed) {
    const [was, is] = [last.rows.get(id), rows.get(id)];
    if (was !== undefined) at(was)?.left.add(was);
    if (is !== undefined) at(is)?.come.push(is);
  }
  for (const [parent, { left, come }] of parents) {
    const all = groups.get(parent) ?? NOTHING;
    const stay = left.size === 0 ? all : all.filter((row) => !left.has(row));
    groups.put(parent, merged(stay, come.sort(compare), compare));
  }
  return groups;
}

/** Two sorted lists as one; of what stands alike, those of the first come first. */
function merged<Row>(many: readonly Row[], few: readonly Row[], compare: Compare<Row>): Row[] {
  const all: Row[] = [];
  let from = 0;
  for (const row of few) {
    const to = placeAfter(many, { row, from, compare });
    while (from < to) all.push(many[from++]!);
    all.push(row);
  }
  while (from < many.length) all.push(many[from++]!);
  return all;
}

/** Where a row comes to stand in a sorted list, `from` a place on: after all that stands alike. Mostly it is the last. */
function placeAfter<Row>(
  many: readonly Row[],
  { row, from, compare }: { row: Row; from: number; compare: Compare<Row> },
): number {
  let [low, high] = [from, many.length];
  if (low < high && compare(many[high - 1]!, row) <= 0) return high;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (compare(many[middle]!, row) <= 0) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** A row with the rows that hang on it; the very same for the very same rows. */
export function withRows<Row extends object, Field extends string>(field: Field) {
  return weakMapMemoize(
    <Child>(row: Row, rows: readonly Child[]) =>
      ({ ...row, [field]: rows }) as Row & {
        [F in Field]: Child[];
      },
  ) as <Child>(row: Row, rows: readonly Child[]) => Row & { [F in Field]: Child[] };
}
