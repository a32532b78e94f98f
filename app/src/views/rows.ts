import { idSchema, instantSchema, NOUNS, type NounName, type RowOf } from '@leggero/contract';
import { weakMapMemoize } from 'reselect';

/** Some rows of one noun, by id. */
export type RowMap<N extends NounName> = ReadonlyMap<string, RowOf<N>>;

/** As people sort names: whatever the case, whatever the accent. */
const { compare: compareNames } = new Intl.Collator('en', { sensitivity: 'base' });

type Compare<Row> = (a: Row, b: Row) => number;

/** How rows of a noun stand in lists. */
function orderOf<N extends NounName>(name: N): Compare<RowOf<N>> {
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

const NOTHING: readonly never[] = [];

/** Rows of a noun by the row they hang on. */
export interface Groups<N extends NounName> {
  of(id: string): readonly RowOf<N>[];
}

/**
 * Rows of a noun by the one they hang on, each group in the noun's order. A group whose rows are the very same as before
 * stays the very same, so that nothing that follows from it is worked out anew.
 */
export function groupsOf<N extends NounName>(name: N, field: keyof RowOf<N> & string): (rows: RowMap<N>) => Groups<N> {
  const compare = orderOf(name);
  /** As the rows came, and sorted. */
  let before = new Map<string, { came: RowOf<N>[]; sorted: readonly RowOf<N>[] }>();
  return weakMapMemoize((rows: RowMap<N>) => {
    const came = new Map<string, RowOf<N>[]>();
    for (const row of rows.values()) {
      const id = row[field];
      if (typeof id !== 'string') continue;
      const group = came.get(id);
      if (group) group.push(row);
      else came.set(id, [row]);
    }
    const now: typeof before = new Map();
    for (const [id, group] of came) {
      const known = before.get(id);
      const same = known?.came.length === group.length && group.every((row, i) => row === known.came[i]);
      now.set(id, same ? known : { came: group, sorted: [...group].sort(compare) });
    }
    before = now;
    return { of: (id) => now.get(id)?.sorted ?? NOTHING };
  });
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
