import fc from 'fast-check';

import { gapFiller, gapsOf, knotLine, nestIn, packGarland, type PackedBalloon } from '../src/garland';
import { inch, value } from './results';

const balloon = (
  xMm: number,
  yMm: number,
  zMm: number,
  widthMm: number,
  neck: [number, number, number],
): PackedBalloon => ({
  ...{ cluster: 0, layer: 0, place: 0, nominalMm: 279.4, widthMm, xMm, yMm, zMm, neck },
});
const DOWN: [number, number, number] = [0, 0, -1];

/** Three of a width that touch each other in a plane, their necks below. */
const three = (width: number) =>
  [0, 1, 2].map((i) => {
    const far = width / Math.sqrt(3);
    return balloon(far * Math.cos((2 * Math.PI * i) / 3), far * Math.sin((2 * Math.PI * i) / 3), 0, width, DOWN);
  });

describe('what nests between balloons', () => {
  /** Soddy, 1936: equal spheres leave room for one of (root 6)/2 - 1 of their radius. */
  it('between four that touch each other is as Soddy has it', () => {
    expect(gapFiller([1, 1, 1, 1])).toBeCloseTo(Math.sqrt(6) / 2 - 1, 12);
    const size = fc.double({ min: 0.5, max: 2, noNaN: true });
    fc.assert(
      fc.property(size, size, size, size, (a, b, c, d) => {
        const five = [a, b, c, d, gapFiller([a, b, c, d])].map((radius) => 1 / radius);
        const sum = five.reduce((all, each) => all + each, 0);
        const squares = five.reduce((all, each) => all + each * each, 0);
        expect(sum ** 2 / (3 * squares)).toBeCloseTo(1, 9);
      }),
    );
  });

  /** Soddy with a plane as the fourth: three of curvature 1 and one of 0 leave one of 3 beside them. */
  it('on three that touch each other is a third of their width, flush with them', () => {
    const gaps = gapsOf({ balloons: three(300) }, { leastMm: 20, mostMm: 150 });
    expect(gaps).toHaveLength(1);
    expect(gaps[0]!.widthMm / 100).toBeCloseTo(1, 3);
    expect(gaps[0]!.out[2]).toBeCloseTo(1, 9);
    const [x, y, z] = nestIn({ balloons: three(300) }, gaps[0]!, 100)!;
    expect([x, y]).toEqual([expect.closeTo(0, 6), expect.closeTo(0, 6)]);
    // Its top is as high as theirs.
    expect(z + 50).toBeCloseTo(150, 0);
  });

  it('is wider where they stand apart, and none where something lies there', () => {
    const apart = three(300).map((each) => ({ ...each, xMm: 1.1 * each.xMm, yMm: 1.1 * each.yMm }));
    const [gap] = gapsOf({ balloons: apart }, { leastMm: 20, mostMm: 150 });
    expect(gap!.widthMm).toBeGreaterThan(115);
    const filled = [...apart, balloon(0, 0, 120, 110, DOWN)];
    expect(gapsOf({ balloons: filled }, { leastMm: 100, mostMm: 150 })).toEqual([]);
    // From below, where they are tied, none is looked for; and what is wider than asked for is as wide as that.
    expect(gapsOf({ balloons: apart }, { leastMm: 20, mostMm: 100 }).map(({ widthMm }) => widthMm)).toEqual([100]);
    // What falls through between them does not nest: the hole is 2 (1.1 · 2 / root 3 - 1) of their half width.
    expect(gapsOf({ balloons: apart }, { leastMm: 20, mostMm: 60 })).toEqual([]);
  });

  it('is found all over a packed garland, touching the three around it and pressing into no other', () => {
    const line = value(
      knotLine([
        [0, 0, 0],
        [5000, 0, 0],
      ]),
    );
    const clusters = Array.from({ length: 8 }, () => [
      { nominalMm: inch(11), widthMm: inch(10), count: 2 },
      { nominalMm: inch(11), widthMm: inch(7.5), count: 2 },
    ]);
    const pack = value(packGarland({ clusters, line, seed: 2 }));
    const gaps = gapsOf(pack, { leastMm: inch(2), mostMm: inch(5) });
    expect(gaps.length).toBeGreaterThan(8);
    for (const gap of gaps) {
      const at = nestIn(pack, gap, gap.widthMm)!;
      pack.balloons.forEach(({ xMm, yMm, zMm, widthMm }, i) => {
        const free = Math.hypot(at[0] - xMm, at[1] - yMm, at[2] - zMm) - (widthMm + gap.widthMm) / 2;
        if (gap.between.includes(i)) expect(Math.abs(free)).toBeLessThan(0.01);
        else expect(free).toBeGreaterThan(-0.06 * ((widthMm + gap.widthMm) / 2) - 1e-6);
      });
    }
    expect(gaps.map(({ widthMm }) => widthMm)).toEqual([...gaps.map(({ widthMm }) => widthMm)].sort((a, b) => b - a));
  });
});
