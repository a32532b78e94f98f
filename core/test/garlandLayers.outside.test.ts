import { TRADE } from '../src';
import {
  fullnessAt,
  knotLine,
  layersOver,
  packGarland,
  packStrip,
  seedsOf,
  touchedUp,
  type ClusterKind,
  type PackedGarland,
  type Touch,
} from '../src/garland';
import { QUAD } from './clusters';
import { inch, problemOf, value } from './results';

const line = value(
  knotLine([
    [0, 0, 2000],
    [10_000, 0, 2000],
  ]),
);
const MANY = 12;
const clusters = Array.from({ length: MANY }, () => QUAD);
const packed = (over: { on: number; kind: ClusterKind }[] = [], seed = 1) =>
  value(packGarland({ clusters, line, seed, over }));

/** Every pair looked at by itself: how much nearer than they belong the worst is. */
function worstOverlap({ balloons }: PackedGarland): number {
  let worst = 0;
  balloons.forEach((a, i) =>
    balloons.slice(i + 1).forEach((b) => {
      const belong = ((a.widthMm + b.widthMm) / 2) * (1 - TRADE.garlandPress);
      worst = Math.max(worst, 1 - Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm, a.zMm - b.zMm) / belong);
    }),
  );
  return worst;
}

/** How far balloons reach from the line at the most, over a stretch of it, mm. */
const thickness = ({ balloons }: PackedGarland, [from, to]: [number, number]) =>
  Math.max(
    ...balloons
      .filter(({ xMm }) => xMm >= from && xMm <= to)
      .map(({ yMm, zMm, widthMm }) => Math.hypot(yMm, zMm - 2000) + widthMm / 2),
  );

describe('how full a garland is along it', () => {
  it('is read straight between its places', () => {
    expect(fullnessAt([3, 1, 1, 2], 0)).toBe(3);
    expect(fullnessAt([3, 1, 1, 2], 1 / 6)).toBeCloseTo(2, 12);
    expect(fullnessAt([3, 1, 1, 2], 1)).toBe(2);
    expect(fullnessAt([2], 0.7)).toBe(2);
    expect(fullnessAt([], 0.7)).toBe(1);
  });

  /** Common practice: twelve clusters as the base, twelve more as fill; or eight then four, three of them at the foot. */
  it('is made of as many more clusters as the trade puts on', () => {
    expect(value(layersOver([2, 2], MANY))).toEqual(Array(MANY).fill(1));
    const foot = value(layersOver([3, 1, 1], MANY));
    expect(foot.slice(0, 3).reduce((sum, many) => sum + many, 0)).toBeGreaterThan(3);
    expect(foot.slice(6).every((many) => many === 0)).toBe(true);
  });

  it.each([[[1, 1.5, 2.2, 1]], [[3, 2.3, 1.1]], [[1.3, 1.3]], [[1, 1]]])(
    '%j has in all what the curve asks for, to one',
    (curve) => {
      for (const many of [1, 7, 40]) {
        const over = value(layersOver(curve, many));
        const asked = over.reduce((sum, _, k) => sum + fullnessAt(curve, (k + 0.5) / many) - 1, 0);
        expect(Math.abs(over.reduce((sum, each) => sum + each, 0) - asked)).toBeLessThanOrEqual(0.5 + 1e-9);
        expect(Math.min(...over)).toBeGreaterThanOrEqual(0);
      }
    },
  );

  it('is no less than its clusters and no more than three layers', () => {
    expect(problemOf(layersOver([1, 3.1], 3))).toMatchObject({ code: 'bad-fullness', field: 'fullness.1' });
    expect(problemOf(layersOver([0.9], 3))).toMatchObject({ code: 'bad-fullness', field: 'fullness.0' });
    expect(problemOf(layersOver([NaN], 3))).toMatchObject({ code: 'bad-fullness' });
  });
});

describe('clusters tied over others', () => {
  const over = [0, 0, 1, 2].map((on) => ({ on, kind: QUAD }));

  it('make it thicker there and nowhere else, no longer, and press no more than soft balloons do', () => {
    const [bare, full] = [packed(), packed(over)];
    const foot: [number, number] = [-500, bare.knots[2]!.alongMm];
    const rest: [number, number] = [bare.knots[6]!.alongMm, 10_000];
    expect(thickness(full, foot)).toBeGreaterThan(1.25 * thickness(bare, foot));
    expect(thickness(full, rest) / thickness(bare, rest)).toBeLessThan(1.03);
    expect(full.lengthMm).toBe(bare.lengthMm);
    expect(full.balloons).toHaveLength(bare.balloons.length + 16);
    expect(worstOverlap(full)).toBeLessThan(0.02 + 1e-9);
    expect(full.clusters).toBe(MANY);
  });

  it('keep their places when others are put on elsewhere', () => {
    const [few, more] = [packed(over.slice(0, 2)), packed([...over.slice(0, 2), { on: 10, kind: QUAD }])];
    const first = ({ balloons }: PackedGarland) => balloons.filter(({ cluster, layer }) => cluster === 0 && layer > 0);
    expect(first(few)).toHaveLength(8);
    first(few).forEach((balloon, i) => expect(balloon.xMm).toBeCloseTo(first(more)[i]!.xMm, 0));
  });

  it('are tied over something', () => {
    for (const on of [-1, MANY, 0.5])
      expect(problemOf(packGarland({ clusters, line, seed: 1, over: [{ on, kind: QUAD }] }))).toMatchObject({
        code: 'over-nothing',
      });
  });
});

describe('a beginning that is kept', () => {
  it('lies as it lay, however what follows is turned', () => {
    const [first, other] = [packed([], 1), packed([], 2)];
    const kept = value(packGarland({ clusters, line, seed: 2, kept: [{ before: 8, seed: 1 }] }));
    const places = ({ balloons }: PackedGarland, from: number, to: number) =>
      balloons.filter(({ cluster }) => cluster >= from && cluster < to).map(({ xMm, yMm, zMm }) => [xMm, yMm, zMm]);
    const far = (a: number[][], b: number[][]) =>
      Math.max(...a.map((at, i) => Math.hypot(...at.map((mm, axis) => mm - b[i]![axis]!))));
    // The last three make room for what follows.
    expect(far(places(kept, 0, 5), places(first, 0, 5))).toBeLessThan(inch(0.25));
    expect(far(places(kept, 0, 5), places(other, 0, 5))).toBeGreaterThan(inch(2));
    expect(far(places(kept, 9, 12), places(first, 9, 12))).toBeGreaterThan(inch(2));
  });

  it('is made of several, one after another', () => {
    const seeds = seedsOf({
      seed: 9,
      kept: [
        { before: 2, seed: 1 },
        { before: 5, seed: 2 },
      ],
    });
    expect([0, 1, 2, 4, 5, 30].map(seeds)).toEqual([1, 1, 2, 2, 9, 9]);
    expect(seedsOf({ seed: 9 })(0)).toBe(9);
  });
});

describe('balloons in a strip', () => {
  /** Common practice: 16 in, a hole left, three of 11 in, a hole left, alternating left and right. */
  const PITCH = inch(3);
  const balloons = Array.from({ length: 8 }, (_, turn) => [
    { widthMm: inch(16), nominalMm: inch(18), hole: 6 * turn },
    ...[2, 3, 4].map((hole) => ({ widthMm: inch(10), nominalMm: inch(11), hole: 6 * turn + hole })),
  ])
    .flat()
    .map(({ hole, ...balloon }, i) => {
      return { ...balloon, alongMm: hole * PITCH, side: i % 2 === 0 ? ('left' as const) : ('right' as const) };
    });
  const strip = value(packStrip({ balloons, line, seed: 2 }));

  it('keep their holes, lie on both sides, and press no more than soft ones do', () => {
    expect(strip.knots.map(({ alongMm }) => alongMm)).toEqual(balloons.map(({ alongMm }) => alongMm));
    expect(worstOverlap(strip)).toBeLessThan(0.02 + 1e-9);
    const above = strip.balloons.filter(({ zMm }) => zMm > 2000).length;
    expect(above).toBeGreaterThan(0.25 * balloons.length);
    expect(above).toBeLessThan(0.75 * balloons.length);
  });

  it('come out the same for the same seed, and take second layers too', () => {
    expect(value(packStrip({ balloons, line, seed: 2 }))).toEqual(strip);
    const full = value(packStrip({ balloons, line, seed: 2, over: [{ on: 3, kind: QUAD }] }));
    expect(full.balloons).toHaveLength(strip.balloons.length + 4);
    expect(worstOverlap(full)).toBeLessThan(0.02 + 1e-9);
  });

  it('need holes one after another', () => {
    expect(problemOf(packStrip({ balloons: [balloons[1]!, balloons[0]!], line, seed: 1 }))).toMatchObject({
      code: 'bad-places',
    });
    expect(problemOf(packStrip({ balloons: [], line, seed: 1 }))).toMatchObject({ code: 'no-clusters' });
  });
});

describe('a balloon changed by hand', () => {
  const whole = packed();
  const touched = (touches: Touch[]) => value(touchedUp(whole, { line, touches }));
  const at = { cluster: 5, layer: 0, place: 0 };
  const places = ({ balloons }: PackedGarland) => balloons.map(({ xMm, yMm, zMm }) => [xMm, yMm, zMm]);

  it('is gone where it is taken out, and all others lie where they lay', () => {
    const made = touched([{ ...at, widthMm: null }]);
    expect(made.balloons).toHaveLength(whole.balloons.length - 1);
    const kept = whole.balloons.filter(({ cluster, place }) => !(cluster === 5 && place === 0));
    expect(places(made)).toEqual(places({ ...whole, balloons: kept }));
    expect(made.contacts).toBeLessThan(whole.contacts);
  });

  it('presses its neighbours aside where it is larger, and leaves what is far as it was', () => {
    const made = touched([{ ...at, widthMm: inch(12) }]);
    expect(worstOverlap(made)).toBeLessThan(0.02 + 1e-9);
    const moved = made.balloons.map(({ xMm, yMm, zMm }, i) => {
      const was = whole.balloons[i]!;
      return Math.hypot(xMm - was.xMm, yMm - was.yMm, zMm - was.zMm);
    });
    const near = moved.filter((_, i) => Math.abs(made.balloons[i]!.cluster - 5) <= 1);
    const far = moved.filter((_, i) => Math.abs(made.balloons[i]!.cluster - 5) >= 5);
    expect(Math.max(...near)).toBeGreaterThan(inch(0.4));
    expect(Math.max(...far)).toBeLessThan(inch(0.1));
    expect(made.balloons[20]!.widthMm).toBeCloseTo(inch(12), 9);
  });

  it('is pulled elsewhere with its cluster: what it is pulled into makes room, and it is gone from where it lay', () => {
    const byMm = [0, -inch(4), inch(3)] as const;
    const made = value(touchedUp(whole, { line, touches: [], moves: [{ cluster: 5, layer: 0, byMm }] }));
    expect(worstOverlap(made)).toBeLessThan(0.02 + 1e-9);
    const mean = (garland: PackedGarland) => {
      const own = garland.balloons.filter(({ cluster, layer }) => cluster === 5 && layer === 0);
      return [0, 1, 2].map(
        (axis) => places({ ...garland, balloons: own }).reduce((sum, at) => sum + at[axis]!, 0) / own.length,
      );
    };
    const [was, is] = [mean(whole), mean(made)];
    expect(is[1]! - was[1]!).toBeLessThan(-inch(2));
    expect(is[2]! - was[2]!).toBeGreaterThan(inch(1));
    const knot = (garland: PackedGarland) => garland.knots.find(({ cluster, layer }) => cluster === 5 && layer === 0)!;
    byMm.forEach((mm, axis) => expect(knot(made).besideMm[axis]! - knot(whole).besideMm[axis]!).toBeCloseTo(mm, 9));
    // What is far lies where it lay.
    made.balloons.forEach(({ cluster, xMm, yMm, zMm }, i) => {
      const lay = whole.balloons[i]!;
      if (cluster === 0) expect(Math.hypot(xMm - lay.xMm, yMm - lay.yMm, zMm - lay.zMm)).toBeLessThan(inch(0.1));
    });
    expect(touchedUp(whole, { line, touches: [], moves: [{ cluster: 99, layer: 0, byMm }] })).toEqual(
      touchedUp(whole, { line, touches: [] }),
    );
  });

  it('needs a width, and one that is not there changes nothing', () => {
    expect(problemOf(touchedUp(whole, { line, touches: [{ ...at, widthMm: 0 }] }))).toMatchObject({
      code: 'bad-width',
      field: 'touches.0',
    });
    expect(touched([{ cluster: 99, layer: 0, place: 0, widthMm: null }])).toEqual(whole);
  });
});
