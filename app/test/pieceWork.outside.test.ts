import type { ClosedDesign, DesignOf, PieceDesign, PieceForm, PiecePart } from '@leggero/contract';
import { PIECE_FORMS } from '@leggero/contract';
import { TRADE } from '@leggero/core';
import { needsOf, recipeOf, workOf, type PieceWork } from '@leggero/core/recipe';

import { firstDesign } from '@/features/builds/firstDesign';
import { materialFrom, type PlainMaterial } from '@/parts/piece/material';
import { sizesIn } from '@/parts/piece/sizesIn';
import { worksAnswer } from '@/parts/piece/works';

/*
 * What the jobs that the trade tells of take (common practice): each as it is drawn up here, counted by its work.
 */

const inch = (inches: number) => inches * 25.4;
const id = (n: number) => `00000000-0000-4000-8000-0000000008${String(n).padStart(2, '0')}`;
const sold = (n: number, inches: number, kind: 'round' | 'modelling' = 'round') => ({
  ...{ id: id(n), nominalMm: inch(inches), lengthMm: kind === 'modelling' ? inch(60) : null, kind },
  ...{ finish: 'matte' as const, colourName: 'kelp', outerId: null },
});
const SHELF = [sold(5, 5), sold(6, 6), sold(7, 7), sold(9, 9), sold(11, 11), sold(16, 16), sold(18, 18)];
const MATERIAL: PlainMaterial = {
  knowledge: { models: SHELF },
  longs: [sold(26, 2, 'modelling')],
  studio: { stepMm: inch(1 / 8), daysStanding: 0 },
  ...{ chains: [], stacks: [], own: [] },
};
const of = (inches: number): PiecePart => ({ modelId: id(inches), colourHex: '#4a6b52', finish: 'matte' });
const first = <Form extends PieceForm>(form: Form, inches: number) =>
  firstDesign(form, {
    ...{ part: of(inches), other: of(inches), nominalMm: inch(inches), stepMm: inch(1 / 8), trade: TRADE },
  }) as DesignOf<Form & PieceDesign['form']>;

function workFor(design: PieceDesign, copies = 1): PieceWork {
  const [asked] = worksAnswer({ pieces: [{ id: 'one', copies, design, material: MATERIAL, outdoors: false }] });
  return asked!.work;
}
const countOf = ({ sizes }: PieceWork) => sizes.reduce((sum, { count }) => sum + count, 0);
const bundlesOf = ({ bundles }: PieceWork, size: number) =>
  bundles.filter(({ sizes }) => sizes.length === size).reduce((sum, { count }) => sum + count, 0);
const takenOf = ({ takes }: PieceWork, kind: string) =>
  takes.filter((taken) => taken.kind === kind).reduce((sum, { count }) => sum + count, 0);

describe('the work of a job', () => {
  it('column of eight quads: 32 balloons, tied as 16 duplets, on one pole and plate', () => {
    const column = workFor({ ...first('column', 11), open: 'height', layers: 8, count: 4, widthMm: inch(10) });
    expect([countOf(column), bundlesOf(column, 2), column.clusters]).toEqual([32, 16, 8]);
    expect([takenOf(column, 'pole'), takenOf(column, 'plate'), takenOf(column, 'line')]).toEqual([1, 1, 0]);
  });

  it('taper of quints: every layer a duplet and a triplet, its sizes kept apart', () => {
    const taper = workFor(first('taper', 11));
    expect(countOf(taper)).toBe(5 * taper.clusters);
    expect([bundlesOf(taper, 2), bundlesOf(taper, 3)]).toEqual([taper.clusters, taper.clusters]);
    expect(takenOf(taper, 'pole')).toBe(1);
    // No bundle is tied of two sizes: a layer has one.
    const widthOf = new Map(taper.sizes.map(({ key, fillMm }) => [key, fillMm]));
    for (const { sizes } of taper.bundles) expect(new Set(sizes.map((key) => widthOf.get(key))).size).toBe(1);
  });

  it('crescents on a hoop, by strokes: 16 quads and 9, a hundred balloons', () => {
    const hoop = workFor(first('hoop', 11));
    expect([countOf(hoop), hoop.clusters, bundlesOf(hoop, 2)]).toEqual([100, 25, 50]);
    expect([takenOf(hoop, 'hoop'), takenOf(hoop, 'stand')]).toEqual([1, 1]);
  });

  it('rope: sixty balloons in thirty duplets on a single 260', () => {
    const rope = workFor({ ...first('rope', 5), open: 'height', layers: 30, widthMm: inch(4), joiner: of(26) });
    expect([countOf(rope), bundlesOf(rope, 2), takenOf(rope, 'modelling')]).toEqual([60, 30, 1]);
    expect(rope.takes.find(({ kind }) => kind === 'modelling')!.balloon).toBe(id(26));
  });

  it('bow: 35 duplets a side, 140 balloons', () => {
    const bow = workFor({ ...first('bow', 9), open: 'across', loop: 25, tail: 10, widthMm: inch(7.5) });
    expect([countOf(bow), bundlesOf(bow, 2), bow.clusters]).toEqual([140, 70, 70]);
  });

  const QUAD = [
    { ...of(11), widthMm: inch(10), count: 2 },
    { ...of(11), widthMm: inch(7.5), count: 2 },
  ];
  const garland = (more: Partial<DesignOf<'garland'>>): DesignOf<'garland'> => ({
    ...first('garland', 11),
    ...{ kinds: [{ inRow: 1, balloons: QUAD }], clusters: 12 },
    ...more,
  });

  it('one garland: 12 clusters, 12 more as fill, 12 small ones: 144 balloons, priced as 24 ft', () => {
    const work = workFor(
      garland({
        fullness: [2, 2, 2, 2, 2],
        decorators: { ...of(5), widthMm: inch(3.5), count: 12, way: 'even', tied: [4], uneven: null },
      }),
    );
    expect(countOf(work)).toBe(144);
    // A foot a cluster, those that fill counted too.
    expect(work.clusters - 12).toBe(24);
    expect(bundlesOf(work, 4)).toBe(36);
    expect(work.sizes.find(({ key }) => key === 'decorators')!.count).toBe(48);
  });

  it('garland of clusters: six 18 in and forty-two 11 in as the base, twelve clusters more where it is thin', () => {
    const large = [
      { ...of(18), widthMm: inch(16), count: 1 },
      { ...QUAD[0]!, count: 2 },
      { ...QUAD[1]!, count: 1 },
    ];
    const kinds = [
      { inRow: 1, balloons: large },
      { inRow: 1, balloons: QUAD },
    ];
    const base = workFor(garland({ kinds }));
    const needed = (work: PieceWork, inches: number) =>
      needsOf([work], () => null).find(({ balloon }) => balloon === id(inches))?.count;
    expect([needed(base, 18), needed(base, 11), bundlesOf(base, 4)]).toEqual([6, 42, 12]);
    const full = workFor(garland({ kinds, fullness: [2, 2, 2, 2, 2] }));
    expect([countOf(full), full.clusters]).toEqual([96, 24]);
  });

  it('garland of sixes: two 18 in and four 11 in a cluster, six of them for nine feet', () => {
    const six = [
      { ...of(18), widthMm: inch(16), count: 2 },
      { ...of(11), widthMm: inch(9.5), count: 4 },
    ];
    const work = workFor(garland({ kinds: [{ inRow: 1, balloons: six }], clusters: 6 }));
    expect([countOf(work), bundlesOf(work, 6), work.clusters]).toEqual([36, 6, 6]);
  });

  it('L on a wall: seventy 11 in and ninety 5 in, three hooks with three feet of line each', () => {
    const work = workFor(
      garland({
        path: { kind: 'corner', wideMm: inch(84), highMm: inch(84), dropMm: 0 },
        kinds: [{ inRow: 1, balloons: [{ ...of(11), widthMm: inch(9.5), count: 5 }] }],
        ...{ clusters: 14, joined: 'necks', fixings: { count: 3, holdsKg: 1 } },
        decorators: { ...of(5), widthMm: inch(3.5), count: 30, way: 'even', tied: [3], uneven: null },
      }),
    );
    const needs = needsOf([work], () => null);
    const counts = (inches: number) => needs.find(({ balloon }) => balloon === id(inches))!.count;
    expect([counts(11), counts(5), takenOf(work, 'hook')]).toEqual([70, 90, 3]);
    expect(work.takes.find(({ kind }) => kind === 'line')!.lengthMm).toBeCloseTo(3 * inch(36), 6);
    expect(takenOf(work, 'glueDot')).toBe(2 * 30);
  });

  it('on a strip: 16 in, a hole free, three 11 in, a hole free, from the fourth hole on', () => {
    const [large, small] = [
      { ...of(16), widthMm: inch(14) },
      { ...of(11), widthMm: inch(9.5) },
    ];
    const strip = { holes: 39, pitchMm: 100, first: 4, steps: [large, null, small, small, small, null] };
    const work = workFor(garland({ strip, fullness: [1, 1, 1, 1, 1] }));
    // Thirty-six holes are left: six times the six steps, two of them free.
    expect(countOf(work)).toBe(24);
    expect(work.sizes.map(({ count }) => count).sort((a, b) => a - b)).toEqual(
      work.sizes.length === 2 ? [6, 18] : [6, 6, 6, 6],
    );
    // Along it nothing is tied.
    expect(work.bundles).toEqual([]);
    expect(work.takes.find(({ kind }) => kind === 'strip')!.lengthMm).toBe(3900);
  });

  it('figures on a plinth: three quads of stuffed 11 in and two of 5 in, twelve of each of the pair, and eight small', () => {
    const work = workFor({ ...first('plinth', 11), colours: [of(11)], pattern: ONE_COLOUR });
    expect([countOf(work), work.clusters, takenOf(work, 'ballast')]).toEqual([20, 5, 2]);
    const stuffed = needsOf([work], (balloon) => (balloon === id(11) ? [id(11), id(9)] : null));
    const count = (inches: number) => stuffed.find(({ balloon }) => balloon === id(inches))?.count;
    expect([count(11), count(9), count(5)]).toEqual([12, 12, 8]);
  });

  it('basket: three chains of four, a ring of six, another, six small ones: thirty', () => {
    const basket = workFor(first('basket', 6));
    expect(countOf(basket)).toBe(12 + 6 + 6 + 6);
  });
});

const ONE_COLOUR = { kind: 'rings' as const, order: [0], to: 'right' as const, every: 1 };

describe('the work of every form', () => {
  it.each(PIECE_FORMS)(
    'of a %s takes just the balloons of its page, its bundles no more of each than there are',
    (form) => {
      const design = firstDesign(form, {
        ...{ part: of(6), other: of(6), nominalMm: inch(6), stepMm: inch(1 / 8), trade: TRADE },
      });
      const work = workFor(design, 3);
      const sizes = sizesIn(design, materialFrom(MATERIAL))!;
      expect(work.sizes.map(({ key, count }) => [key, count])).toEqual(sizes.map(({ key, count }) => [key, count]));
      for (const { key, count } of work.sizes) {
        const tied = work.bundles.reduce(
          (sum, bundle) => sum + bundle.count * bundle.sizes.filter((each) => each === key).length,
          0,
        );
        expect(tied).toBeLessThanOrEqual(count);
      }
      expect(work.clusters).toBeGreaterThan(0);
      const recipe = recipeOf({ pieces: [work], lookOf: () => ({ colour: '', name: '' }) });
      expect(recipe.balloons).toBe(3 * countOf(work));
      expect(workOf([work], () => false).balloons).toBe(3 * countOf(work));
    },
  );

  it('leaves out what cannot be worked out', () => {
    const broken: PieceDesign = { ...(first('basket', 6) as ClosedDesign), count: 1 };
    const pieces = [{ id: 'one', copies: 1, design: broken, material: MATERIAL, outdoors: false }];
    expect(worksAnswer({ pieces })).toEqual([null]);
  });
});
