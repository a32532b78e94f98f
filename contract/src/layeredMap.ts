/** What became of a row: as it is now, or undefined where it is gone. */
type Changes<Row> = Map<string, Row | undefined>;

/** More changes than that, or than one for so many rows, are laid into a ground of their own: copying stays cheap. */
const MOST_CHANGES = 1000;
const ROWS_PER_CHANGE = 16;

/** The ground that a ground was made from, and what was laid into it. Weakly, so that no chain of grounds is held. */
const ORIGINS = new WeakMap<object, { ground: WeakRef<object>; ids: readonly string[] }>();

/**
 * Rows by id as a ground that many maps share, and what is otherwise in this one. A map of a hundred thousand rows with
 * one changed costs the change, and two over the same ground tell at once in which rows they differ. In the order of a
 * `Map`, but for a row that comes again under its id: it stands where it stood.
 */
export class LayeredMap<Row> implements ReadonlyMap<string, Row> {
  private constructor(
    readonly ground: ReadonlyMap<string, Row>,
    readonly changes: Changes<Row>,
    public size: number,
  ) {}

  /** The same rows, to be changed with `put` and `drop` by whoever made it and until anyone else has it. */
  static on<Row>(rows: ReadonlyMap<string, Row>): LayeredMap<Row> {
    if (!(rows instanceof LayeredMap)) return new LayeredMap(rows, new Map(), rows.size);
    const { ground, changes, size } = rows as LayeredMap<Row>;
    if (changes.size <= Math.max(MOST_CHANGES, ground.size / ROWS_PER_CHANGE))
      return new LayeredMap(ground, new Map(changes), size);
    const grown = new Map(ground);
    for (const [id, row] of changes) {
      if (row === undefined) grown.delete(id);
      else grown.set(id, row);
    }
    ORIGINS.set(grown, { ground: new WeakRef(ground), ids: [...changes.keys()] });
    return new LayeredMap<Row>(grown, new Map(), size);
  }

  put(id: string, row: Row): void {
    if (!this.has(id)) this.size += 1;
    this.changes.set(id, row);
  }

  drop(id: string): void {
    if (this.has(id)) this.size -= 1;
    this.changes.set(id, undefined);
  }

  get(id: string): Row | undefined {
    return this.changes.has(id) ? this.changes.get(id) : this.ground.get(id);
  }

  has(id: string): boolean {
    return this.get(id) !== undefined;
  }

  forEach(visit: (row: Row, id: string, rows: ReadonlyMap<string, Row>) => void): void {
    const { ground, changes } = this;
    ground.forEach((row, id) => {
      const now = changes.has(id) ? changes.get(id) : row;
      if (now !== undefined) visit(now, id, this);
    });
    changes.forEach((row, id) => {
      if (row !== undefined && !ground.has(id)) visit(row, id, this);
    });
  }

  entries(): MapIterator<[string, Row]> {
    return this.changes.size === 0 ? this.ground.entries() : this.laid();
  }

  [Symbol.iterator](): MapIterator<[string, Row]> {
    return this.entries();
  }

  *keys(): Generator<string, undefined> {
    for (const [id] of this) yield id;
  }

  *values(): Generator<Row, undefined> {
    for (const [, row] of this) yield row;
  }

  private *laid(): Generator<[string, Row], undefined> {
    const { ground, changes } = this;
    for (const entry of ground) {
      if (!changes.has(entry[0])) {
        yield entry;
        continue;
      }
      const row = changes.get(entry[0]);
      if (row !== undefined) yield [entry[0], row];
    }
    for (const [id, row] of changes) if (row !== undefined && !ground.has(id)) yield [id, row];
  }
}

const groundOf = (rows: object) => (rows instanceof LayeredMap ? rows.ground : rows);
const idsOf = (rows: object) => (rows instanceof LayeredMap ? (rows.changes as Changes<unknown>).keys() : []);

/** Ids of the rows in which two grounds may differ; null where neither was made from the other. */
function idsBetween(one: object, other: object): readonly string[] | null {
  if (one === other) return [];
  for (const [older, newer] of [
    [one, other],
    [other, one],
  ] as const) {
    const origin = ORIGINS.get(newer);
    if (origin?.ground.deref() === older) return origin.ids;
  }
  return null;
}

/**
 * Ids of the rows in which two maps differ, by which row it is and not by what it says; null where they have no ground in
 * common, and only comparing all of them would tell.
 */
export function changedSince(
  before: ReadonlyMap<string, unknown>,
  rows: ReadonlyMap<string, unknown>,
): ReadonlySet<string> | null {
  const between = idsBetween(groundOf(before), groundOf(rows));
  if (between === null) return null;
  const changed = new Set<string>();
  for (const ids of [between, idsOf(before), idsOf(rows)])
    for (const id of ids) if (before.get(id) !== rows.get(id)) changed.add(id);
  return changed;
}

/** Rows of a ground by what they are in some fields, found once for a ground and those fields. */
const ALIKE = new WeakMap<object, Map<string, ReadonlyMap<string, readonly string[]>>>();

/** What a row is in some fields, as one text. */
const kindOf = (row: object, fields: readonly string[]): string => {
  const [only] = fields as [string];
  const read = (field: string) => String((row as Record<string, unknown>)[field]);
  // A hundred thousand rows may be asked.
  return fields.length === 1 ? read(only) : fields.map(read).join('\n');
};

/** Ids of a ground's rows, by what they are in some fields. */
function kindsOf(
  ground: ReadonlyMap<string, object>,
  fields: readonly string[],
): ReadonlyMap<string, readonly string[]> {
  const name = fields.join();
  let found = ALIKE.get(ground);
  if (!found) ALIKE.set(ground, (found = new Map()));
  const known = found.get(name);
  if (known) return known;
  const kinds = new Map<string, string[]>();
  for (const [id, row] of ground) {
    const kind = kindOf(row, fields);
    const own = kinds.get(kind);
    if (own) own.push(id);
    else kinds.set(kind, [id]);
  }
  found.set(name, kinds);
  return kinds;
}

/**
 * The rows that are as one is in some fields. All of a ground are looked through once; after that it costs what became of
 * them since.
 */
export function rowsLike<Row extends object>(
  rows: ReadonlyMap<string, Row>,
  fields: readonly string[],
  row: object,
): Row[] {
  const kind = kindOf(row, fields);
  const ids = new Set(kindsOf(groundOf(rows) as ReadonlyMap<string, Row>, fields).get(kind));
  for (const id of idsOf(rows)) ids.add(id);
  return [...ids].flatMap((id) => {
    const now = rows.get(id);
    return now && kindOf(now, fields) === kind ? now : [];
  });
}
