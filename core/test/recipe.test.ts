import fc from 'fast-check';

import {
  batchKey,
  benchOrder,
  lengthOf,
  needsOf,
  recipeOf,
  sumOfTaken,
  workOf,
  type PieceWork,
  type Taken,
} from '../src/recipe';
import { inch } from './results';

const taken = (kind: Taken['kind'], count: number, more: Partial<Taken> = {}): Taken => {
  return { kind, count, lengthMm: null, kg: null, balloon: null, ...more };
};
const size = (key: string, balloon: string, inches: number, count: number) => {
  return { key, balloon, fillMm: inch(inches), toleranceMm: 6, count };
};

/** Two columns of ten quads: three kelp and one foam a layer. */
const COLUMNS: PieceWork = {
  ...{ piece: 'columns', copies: 2, knots: 20, clusters: 10 },
  sizes: [size('kelp', 'kelp11', 9.5, 30), size('foam', 'foam11', 9.5, 10)],
  bundles: [
    { sizes: ['kelp', 'kelp'], count: 10 },
    { sizes: ['foam', 'kelp'], count: 10 },
  ],
  takes: [taken('pole', 1, { lengthMm: 1800 }), taken('plate', 1)],
  length: null,
};
/** Six clusters of four, two large and two small, and eight duplets of small ones. */
const GARLAND: PieceWork = {
  ...{ piece: 'garland', copies: 1, knots: 20, clusters: 14 },
  sizes: [size('large', 'kelp11', 9.5, 12), size('small', 'kelp11', 9, 12), size('decorators', 'roe5', 4, 16)],
  bundles: [
    { sizes: ['large', 'large', 'small', 'small'], count: 6 },
    { sizes: ['decorators', 'decorators'], count: 8 },
  ],
  takes: [taken('line', 1, { lengthMm: 2700 }), taken('glueDot', 16), taken('modelling', 2, { balloon: 'long260' })],
  length: { alongMm: 1800, filledMm: 3600 },
};
const EVENT = [COLUMNS, GARLAND];
const lookOf = (balloon: string) => ({ colour: balloon.replace(/\d+/, ''), name: balloon });

describe('the recipe of an event, added up by hand', () => {
  const recipe = recipeOf({ pieces: EVENT, lookOf });
  const batchOf = (balloon: string, inches: number) =>
    recipe.batches.find(({ key }) => key === batchKey({ balloon, fillMm: inch(inches) }))!;

  it('merges one balloon at one target, whatever it is for', () => {
    // 2 × 30 of the columns and 12 of the garland.
    expect(batchOf('kelp11', 9.5)).toMatchObject({
      count: 72,
      of: [
        { piece: 'columns', count: 60 },
        { piece: 'garland', count: 12 },
      ],
    });
    expect(recipe.batches.map(({ count }) => count).sort((a, b) => a - b)).toEqual([12, 16, 20, 72]);
    expect(recipe.balloons).toBe(2 * 40 + 40);
  });

  it('keeps apart what looks alike: one colour half an inch apart, not another colour of the same size', () => {
    const [large, small] = [batchOf('kelp11', 9.5), batchOf('kelp11', 9)];
    expect([large.alike, small.alike]).toEqual([[small.key], [large.key]]);
    expect(batchOf('foam11', 9.5).alike).toEqual([]);
    expect(batchOf('roe5', 4).alike).toEqual([]);
  });

  it('is inflated largest first, in bags that are numbered on', () => {
    const widths = recipe.batches.map(({ fillMm }) => fillMm);
    expect([...widths].sort((a, b) => b - a)).toEqual(widths);
    let last = 0;
    for (const { bags } of recipe.batches) {
      expect(bags.from).toBe(last + 1);
      expect(bags.to).toBeGreaterThanOrEqual(bags.from);
      last = bags.to;
    }
    expect(last).toBe(recipe.bags);
  });

  it('ties duplets and clusters by the batches they are from', () => {
    const bundle = (...parts: string[]) => recipe.bundles.find(({ key }) => key === [...parts].sort().join('+'))!;
    const [large, small] = [batchOf('kelp11', 9.5).key, batchOf('kelp11', 9).key];
    expect(bundle(large, large)).toMatchObject({ count: 20, of: [{ piece: 'columns', count: 20 }] });
    expect(bundle(large, batchOf('foam11', 9.5).key).count).toBe(20);
    expect(bundle(large, large, small, small).count).toBe(6);
    const roe = batchOf('roe5', 4).key;
    expect(bundle(roe, roe).count).toBe(8);
    expect(recipe.bundles).toHaveLength(4);
  });

  it('takes poles side by side, and line in all', () => {
    const kinds = (kind: string) => recipe.takes.filter((each) => each.kind === kind);
    expect(kinds('pole')).toEqual([taken('pole', 2, { lengthMm: 1800 })]);
    expect(kinds('plate')[0]!.count).toBe(2);
    const twice = sumOfTaken([GARLAND, { ...GARLAND, copies: 2 }]);
    expect(twice.find(({ kind }) => kind === 'line')!.lengthMm).toBe(3 * 2700);
    expect(twice.find(({ kind }) => kind === 'glueDot')!.count).toBe(48);
  });

  it('counts the work, stuffed ones apart', () => {
    expect(workOf(EVENT, (balloon) => balloon === 'roe5')).toEqual({
      ...{ balloons: 120, stuffed: 16, knots: 60, clusters: 34, pieces: 3 },
    });
  });

  it('needs two balloons of a pair, and modelling balloons that join', () => {
    const needs = needsOf(EVENT, (balloon) => (balloon === 'foam11' ? ['clear11', 'kelp11'] : null));
    const of = (balloon: string) => needs.find((need) => need.balloon === balloon);
    expect(of('kelp11')).toEqual({ balloon: 'kelp11', count: 84 + 20, stuffed: 20 });
    expect(of('clear11')).toEqual({ balloon: 'clear11', count: 20, stuffed: 20 });
    expect(of('foam11')).toBeUndefined();
    expect(of('long260')).toEqual({ balloon: 'long260', count: 2, stuffed: 0 });
  });

  it('is as long as its pieces that are sold by their length', () => {
    expect(lengthOf([COLUMNS, { ...GARLAND, copies: 2 }])).toEqual({ alongMm: 3600, filledMm: 7200 });
    expect(lengthOf([COLUMNS])).toBeNull();
  });

  it('of no pieces is empty', () => {
    expect(recipeOf({ pieces: [], lookOf })).toEqual({ batches: [], bundles: [], takes: [], balloons: 0, bags: 0 });
  });
});

describe('the order on the bench', () => {
  const keys = (order: readonly string[]) =>
    benchOrder(
      ['a', 'b', 'c', 'd'].map((key) => ({ key })),
      order,
    ).map(({ key }) => key);

  it('is as someone dragged it, and what came later stands behind what it usually follows', () => {
    expect(keys([])).toEqual(['a', 'b', 'c', 'd']);
    expect(keys(['d', 'a', 'b', 'c'])).toEqual(['d', 'a', 'b', 'c']);
    // c was not there when it was dragged: it follows b.
    expect(keys(['d', 'b', 'a'])).toEqual(['d', 'b', 'c', 'a']);
    expect(keys(['c', 'b'])).toEqual(['a', 'c', 'd', 'b']);
    expect(keys(['gone', 'b'])).toEqual(['a', 'b', 'c', 'd']);
  });

  it('has each once, whatever is named', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('a', 'b', 'c', 'd', 'x'), { maxLength: 8 }), (order) => {
        expect([...keys(order)].sort()).toEqual(['a', 'b', 'c', 'd']);
      }),
    );
  });
});
