import { TRADE } from '../src';
import { decorate, gapsAlong, gapsOf, groupSizes, knotLine, packGarland } from '../src/garland';
import { QUAD } from './clusters';
import { inch, value } from './results';

const line = value(
  knotLine([
    [0, 0, 2000],
    [4000, 0, 2000],
  ]),
);
const garland = value(packGarland({ clusters: Array.from({ length: 8 }, () => QUAD), line, seed: 2 }));
const gaps = gapsOf(garland, { leastMm: inch(2), mostMm: inch(6) });
/** Threes, twos, fours and single ones of uneven sizes, in the widest hollows. */
const groups = gaps.slice(0, 12).map((gap, g) => ({
  gap,
  widthsMm: Array.from({ length: 1 + (g % 4) }, (_, i) => inch(3 + ((g + i) % 3) / 2)),
}));
const put = decorate(garland, groups);

describe('decorators in groups', () => {
  it('lie in each other and in the garland no deeper than soft balloons do, every pair looked at by itself', () => {
    expect(put).toHaveLength(12 + 3 * (1 + 2 + 3));
    const all = [...garland.balloons, ...put];
    put.forEach((a, i) =>
      all.forEach((b, j) => {
        if (j === garland.balloons.length + i) return;
        const belong = ((a.widthMm + b.widthMm) / 2) * (1 - TRADE.garlandPress);
        const far = Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm, a.zMm - b.zMm);
        expect(far).toBeGreaterThan(belong * (1 - 1e-9));
      }),
    );
  });

  it('are tied where their hollow is: necks of one all reach the knot of its first, nearly all as far as necks stretch', () => {
    let within = 0;
    groups.forEach((_, g) => {
      const [first, ...others] = put.filter(({ group }) => group === g);
      const far = (first!.widthMm / 2) * (1 + TRADE.garlandNeck);
      const at = [first!.xMm, first!.yMm, first!.zMm];
      const knot = at.map((mm, axis) => mm + far * first!.neck[axis]!);
      for (const { xMm, yMm, zMm, widthMm, neck } of others) {
        const to = [knot[0]! - xMm, knot[1]! - yMm, knot[2]! - zMm];
        const long = Math.hypot(...to);
        to.forEach((mm, axis) => expect(mm / long).toBeCloseTo(neck[axis]!, 9));
        expect(long).toBeLessThan(widthMm * 2.5);
        if (long <= 2.8 * (widthMm / 2) * (1 + TRADE.garlandNeck)) within += 1;
      }
    });
    // Of 18 that are not the first of their group.
    expect(within).toBeGreaterThanOrEqual(16);
  });

  it('lie on three balloons each, but for the first of a group, which nests', () => {
    const all = [...garland.balloons, ...put];
    const touching = put
      .filter(({ place }) => place > 0)
      .map(
        (one) =>
          all.filter((other) => {
            const apart = Math.hypot(other.xMm - one.xMm, other.yMm - one.yMm, other.zMm - one.zMm);
            const belong = ((other.widthMm + one.widthMm) / 2) * (1 - TRADE.garlandPress);
            return other !== one && Math.abs(apart - belong) < 0.01;
          }).length,
      );
    expect(touching).toHaveLength(18);
    expect(touching.filter((many) => many >= 3).length).toBeGreaterThanOrEqual(16);
  });

  it('stand outwards of what they lie on', () => {
    for (const { group, xMm, yMm, zMm } of put) {
      const { between, out } = groups[group]!.gap;
      const mean = between.reduce(
        (sum, i) => {
          const { xMm: x, yMm: y, zMm: z } = garland.balloons[i]!;
          return [sum[0]! + x / 3, sum[1]! + y / 3, sum[2]! + z / 3];
        },
        [0, 0, 0],
      );
      const outwards = out[0] * (xMm - mean[0]!) + out[1] * (yMm - mean[1]!) + out[2] * (zMm - mean[2]!);
      expect(outwards).toBeGreaterThan(0);
    }
  });

  it('stay out of a floor, and a hollow in which nothing would fit stays empty', () => {
    const lowest = Math.min(...put.map(({ zMm }) => zMm));
    const above = decorate(garland, groups, { walls: [{ into: [0, 0, 1], atMm: lowest + 1 }] });
    expect(above.length).toBeLessThan(put.length);
    for (const { zMm, widthMm } of above)
      expect(zMm - lowest - 1).toBeGreaterThanOrEqual((widthMm / 2) * (1 - TRADE.garlandPress) - 1e-9);
  });
});

describe('where decorators go', () => {
  const alongOf = (chosen: typeof gaps) =>
    chosen.map(({ between }) => between.reduce((sum, i) => sum + garland.balloons[i]!.cluster / 3, 0));

  it('are the widest hollows, or those that lie evenly along it', () => {
    expect(gapsAlong(garland, gaps, { count: 6, way: 'widest' })).toEqual(gaps.slice(0, 6));
    const even = gapsAlong(garland, gaps, { count: 8, way: 'even' });
    expect(new Set(even).size).toBe(8);
    // One about each of eight clusters.
    alongOf(even).forEach((along, i) => expect(Math.abs(along - i)).toBeLessThan(1));
    expect(gapsAlong(garland, gaps, { count: 5000, way: 'even' })).toHaveLength(gaps.length);
  });

  it('are as many of two, three and four balloons as each other', () => {
    const sizes = groupSizes(12, [2, 3, 4], 1);
    for (const size of [2, 3, 4]) expect(sizes.filter((each) => each === size)).toHaveLength(4);
    expect(groupSizes(12, [2, 3, 4], 2)).not.toEqual(sizes);
    expect(groupSizes(3, [1], 2)).toEqual([1, 1, 1]);
  });
});
