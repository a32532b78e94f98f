import fc from 'fast-check';

import { changedSince, LayeredMap, rowsLike } from '../src/layeredMap';

const step = fc.record({ id: fc.integer({ min: 0, max: 30 }).map(String), row: fc.option(fc.integer()) });
type Step = { id: string; row: number | null };

function changed(rows: ReadonlyMap<string, number>, steps: readonly Step[]): LayeredMap<number> {
  const next = LayeredMap.on(rows);
  for (const { id, row } of steps) {
    if (row === null) next.drop(id);
    else next.put(id, row);
  }
  return next;
}

function plain(rows: ReadonlyMap<string, number>, steps: readonly Step[]): Map<string, number> {
  const next = new Map(rows);
  for (const { id, row } of steps) {
    if (row === null) next.delete(id);
    else next.set(id, row);
  }
  return next;
}

const ground = new Map(Array.from({ length: 20 }, (_, i) => [String(i), i]));

describe('a map in layers', () => {
  it('says the same as a map, whatever is put and dropped, and leaves what it was made of as it was', () => {
    fc.assert(
      fc.property(fc.array(fc.array(step, { maxLength: 40 }), { maxLength: 6 }), (all) => {
        let ours: ReadonlyMap<string, number> = ground;
        let theirs: ReadonlyMap<string, number> = ground;
        for (const steps of all) {
          const before = [...ours];
          const next = changed(ours, steps);
          expect([...ours]).toEqual(before);
          [ours, theirs] = [next, plain(theirs, steps)];
          expect(new Map(ours)).toEqual(theirs);
          expect([ours.size, new Set(ours.keys())]).toEqual([theirs.size, new Set(theirs.keys())]);
          expect([...ours.values()].sort()).toEqual([...theirs.values()].sort());
          const visited: [string, number][] = [];
          ours.forEach((row, id) => visited.push([id, row]));
          expect(visited).toEqual([...ours]);
          for (let id = 0; id <= 30; id += 1) {
            expect([ours.has(String(id)), ours.get(String(id))]).toEqual([
              theirs.has(String(id)),
              theirs.get(String(id)),
            ]);
          }
        }
        expect([...ground.keys()]).toHaveLength(20);
      }),
    );
  });

  it('tells in which rows it differs from any other over the same ground', () => {
    fc.assert(
      fc.property(fc.array(step), fc.array(step), (first, second) => {
        const [one, two] = [changed(ground, first), changed(ground, second)];
        const ids = Array.from({ length: 31 }, (_, id) => String(id));
        const differ = new Set(ids.filter((id) => one.get(id) !== two.get(id)));
        expect(changedSince(one, two)).toEqual(differ);
        expect(changedSince(ground, two)).toEqual(new Set(ids.filter((id) => ground.get(id) !== two.get(id))));
      }),
    );
    expect(changedSince(new Map(ground), changed(ground, []))).toBeNull();
  });

  it('keeps the order of a map for rows that change, and puts new ones last', () => {
    const next = changed(ground, [
      { id: '3', row: 33 },
      { id: '25', row: 25 },
      { id: '0', row: null },
    ]);
    expect([...next.keys()]).toEqual([...Array.from({ length: 19 }, (_, i) => String(i + 1)), '25']);
    expect(next.get('3')).toBe(33);
  });

  it('lays many changes into a ground of its own', () => {
    const many = Array.from({ length: 5000 }, (_, i) => ({ id: `n${i}`, row: i }));
    const grown = changed(ground, many);
    const after = changed(grown, [{ id: 'n7', row: null }]);
    expect([after.changes.size, after.size, grown.size]).toEqual([1, 5019, 5020]);
    expect(after.ground).not.toBe(ground);
    // Neither hides from the other what changed.
    expect(changedSince(grown, after)).toEqual(new Set(['n7']));
    expect(changedSince(after, grown)).toEqual(new Set(['n7']));
    expect(changedSince(ground, after)?.size).toBe(4999);
  });

  it('tells which rows are as another in some fields, whatever became of them', () => {
    const kinds = fc.record({ hue: fc.constantFrom('kelp', 'roe', null), size: fc.integer({ min: 0, max: 2 }) });
    const steps = fc.array(fc.record({ id: fc.integer({ min: 0, max: 30 }).map(String), row: fc.option(kinds) }));
    const sorted = (rows: { hue: string | null; size: number }[]) => rows.map((row) => JSON.stringify(row)).sort();
    fc.assert(
      fc.property(fc.array(kinds), steps, kinds, (first, later, sought) => {
        const rows = LayeredMap.on(new Map(first.map((row, i) => [String(i), row])));
        // Asked before and after, so that what was found before is not told for what is.
        rowsLike(rows, ['hue', 'size'], sought);
        for (const { id, row } of later) {
          if (row) rows.put(id, row);
          else rows.drop(id);
        }
        for (const fields of [['hue'], ['size'], ['hue', 'size']] as const) {
          const alike = [...rows.values()].filter((row) => fields.every((field) => row[field] === sought[field]));
          expect(sorted(rowsLike(rows, fields, sought))).toEqual(sorted(alike));
        }
      }),
    );
  });
});
