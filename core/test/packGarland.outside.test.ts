import { TRADE } from '../src';
import { knotLine, packGarland, relax, type ClusterKind, type PackedGarland, type Wall } from '../src/garland';
import { randomFrom } from '../src/statistics';
import { part, QUAD } from './clusters';
import { inch, problemOf, value } from './results';

/** Small ones half at 10 and half at 7½ in, as in a cluster of four. */
const ONE_LARGE: ClusterKind[] = [
  [part(18, 16, 1), part(11, 10, 2), part(11, 7.5, 1)],
  [part(18, 16, 1), part(11, 10, 1), part(11, 7.5, 2)],
];
const TWO_LARGE: ClusterKind = [part(18, 16, 2), part(11, 10, 2), part(11, 7.5, 2)];
const straight = value(
  knotLine([
    [0, 0, 0],
    [10_000, 0, 0],
  ]),
);
const clustersOf = (kinds: readonly ClusterKind[], many: number) =>
  Array.from({ length: many }, (_, i) => kinds[i % kinds.length]!);
const packed = (kinds: readonly ClusterKind[], seed = 1, many = 16, walls: readonly Wall[] = []) =>
  value(packGarland({ clusters: clustersOf(kinds, many), line: straight, seed, walls }));
/** What one cluster covers, in feet, over some garlands. */
const feet = (kinds: readonly ClusterKind[]) => {
  const seeds = [1, 2, 3];
  return seeds.reduce((sum, seed) => sum + packed(kinds, seed).lengthMm / 16 / inch(12) / seeds.length, 0);
};

/** Every pair looked at by itself: how much nearer than they belong the worst is. */
function worstOverlap({ balloons }: PackedGarland, press = TRADE.garlandPress): number {
  let worst = 0;
  balloons.forEach((a, i) =>
    balloons.slice(i + 1).forEach((b) => {
      const belong = ((a.widthMm + b.widthMm) / 2) * (1 - press);
      const d = Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm, a.zMm - b.zMm);
      worst = Math.max(worst, 1 - d / belong);
    }),
  );
  return worst;
}

describe('a garland that is packed', () => {
  /** Common practice, one softness for all three: four of 11 in a foot, one 18 and three a foot, two 18 and four one and a half. */
  it('is as long as the trade says a cluster covers', () => {
    expect(Math.abs(feet([QUAD]) - 1)).toBeLessThan(0.03);
    expect(Math.abs(feet(ONE_LARGE) - 1)).toBeLessThan(0.12);
    expect(Math.abs(feet([TWO_LARGE]) / 1.5 - 1)).toBeLessThan(0.12);
  });

  it('has no two balloons press into one another more than soft ones do', () => {
    for (const kinds of [[QUAD], ONE_LARGE, [TWO_LARGE]]) {
      const garland = packed(kinds);
      expect(worstOverlap(garland)).toBeLessThan(0.02);
      expect(worstOverlap(garland)).toBeCloseTo(garland.pressed, 9);
    }
  });

  it('has every balloon near its knot, its neck towards it, and the knots one after another', () => {
    const { balloons, knots } = packed([TWO_LARGE]);
    const knotsMm = knots.map(({ alongMm }) => alongMm);
    for (const { cluster, xMm, yMm, zMm, widthMm, neck } of balloons) {
      const to = [knotsMm[cluster]! - xMm, -yMm, -zMm];
      const far = Math.hypot(...to);
      // Beyond their own reach necks are pulled out, where many are tied at one knot.
      expect(far).toBeLessThan((widthMm / 2) * (1 + TRADE.garlandNeck) * 1.35);
      to.forEach((mm, axis) => expect(mm / far).toBeCloseTo(neck[axis]!, 9));
    }
    knotsMm.slice(1).forEach((mm, i) => expect(mm).toBeGreaterThan(knotsMm[i]!));
  });

  it('is the same for the same seed, another for another, and longer where balloons give less', () => {
    expect(packed([QUAD], 5)).toEqual(packed([QUAD], 5));
    expect(packed([QUAD], 5).lengthMm).not.toBeCloseTo(packed([QUAD], 6).lengthMm, 3);
    const soft = (garlandPress: number) =>
      value(
        packGarland({ clusters: clustersOf([QUAD], 12), line: straight, seed: 1, trade: { ...TRADE, garlandPress } }),
      ).lengthMm;
    expect(soft(0.12)).toBeLessThan(0.95 * soft(0.014));
    const bound = (garlandNeck: number) =>
      value(
        packGarland({ clusters: clustersOf([QUAD], 12), line: straight, seed: 1, trade: { ...TRADE, garlandNeck } }),
      ).lengthMm;
    expect(bound(0.5)).not.toBeCloseTo(bound(0.2), 0);
  });

  it('before a wall has no balloon in it, and is longer than one that hangs free', () => {
    const wall: Wall = { into: [0, -1, 0], atMm: -inch(3) };
    const garland = packed([QUAD], 2, 16, [wall]);
    const free = packed([QUAD], 2);
    for (const { yMm, widthMm } of garland.balloons)
      expect(yMm + (widthMm / 2) * (1 - TRADE.garlandPress)).toBeLessThan(inch(3) + 0.03 * widthMm);
    expect(garland.lengthMm).toBeGreaterThan(free.lengthMm);
  });

  it('follows its line around a corner, and tells how far it is on as it is packed', () => {
    const corner = value(
      knotLine([
        [0, 0, 0],
        [0, 0, 2000],
        [2000, 0, 2000],
      ]),
    );
    const told: number[] = [];
    const garland = value(
      packGarland({ clusters: clustersOf([QUAD], 12), line: corner, seed: 3, onDone: (many) => told.push(many) }),
    );
    expect(told).toEqual(Array.from({ length: 12 }, (_, i) => i + 1));
    const last = garland.balloons.filter(({ cluster }) => cluster === 11);
    expect(Math.min(...last.map(({ xMm }) => xMm))).toBeGreaterThan(800);
    expect(worstOverlap(garland)).toBeLessThan(0.02);
  });

  it('says what cannot be packed', () => {
    const asked = (clusters: ClusterKind[]) => problemOf(packGarland({ clusters, line: straight, seed: 1 }));
    expect(asked([])).toMatchObject({ code: 'no-clusters' });
    expect(asked([[part(11, 10, 0)]])).toMatchObject({ code: 'no-clusters' });
    expect(asked([[part(11, NaN, 4)]])).toMatchObject({ code: 'bad-width' });
    expect(asked(clustersOf([QUAD], 401))).toMatchObject({ code: 'too-many-clusters' });
    const small: ClusterKind = [part(5, 4, 12)];
    const over = Array.from({ length: 40 }, (_, on) => ({ on, kind: small }));
    expect(problemOf(packGarland({ clusters: clustersOf([small], 400), over, line: straight, seed: 1 }))).toMatchObject(
      { code: 'too-many-balloons', detail: { most: 5000, balloons: 5280 } },
    );
    const line = (...points: [number, number, number][]) => problemOf(knotLine(points));
    expect(line([0, 0, 0])).toMatchObject({ code: 'too-few-points' });
    expect(line([0, 0, 0], [0, 0, 0])).toMatchObject({ code: 'too-few-points' });
    expect(line([0, 0, 0], [1, 0, 0])).toMatchObject({ code: 'line-too-short', detail: { leastMm: 50 } });
    expect(line([0, 0, 0], [1e6, 0, 0])).toMatchObject({ code: 'line-too-long' });
  });
});

describe('spheres that come to rest', () => {
  /** Scott and Kilgour, J. Phys. D 2 (1969) 863: random close packing of equal spheres, 0.6366. */
  it('poured into a wide box are as dense as spheres poured at random', () => {
    const [many, wide] = [900, 13];
    const random = randomFrom(4);
    const at = Float64Array.from({ length: 3 * many }, (_, i) =>
      i % 3 === 2 ? 1 + 40 * random() : 1 + (wide - 2) * random(),
    );
    const sides: Wall[] = [
      { into: [1, 0, 0], atMm: 0 },
      { into: [-1, 0, 0], atMm: -wide },
      { into: [0, 1, 0], atMm: 0 },
      { into: [0, -1, 0], atMm: -wide },
      { into: [0, 0, 1], atMm: 0 },
    ];
    const reachMm = new Float64Array(many).fill(1);
    relax({ at, reachMm }, { within: 0, mostSteps: 6000, weight: 0.0005, walls: sides });
    const heights = Array.from({ length: many }, (_, i) => at[3 * i + 2]!).sort((a, b) => a - b);
    // Away from walls, floor and surface, where order reaches some spheres into the box.
    const [low, high] = [3.5, wide - 3.5];
    const top = heights[Math.floor(0.85 * many)]! - 1.5;
    let inside = 0;
    const tries = 12_000;
    for (let i = 0; i < tries; i += 1) {
      const [x, y, z] = [low + (high - low) * random(), low + (high - low) * random(), low + (top - low) * random()];
      for (let j = 0; j < many; j += 1) {
        const [dx, dy, dz] = [at[3 * j]! - x, at[3 * j + 1]! - y, at[3 * j + 2]! - z];
        if (dx * dx + dy * dy + dz * dz < 1) {
          inside += 1;
          break;
        }
      }
    }
    expect(inside / tries).toBeGreaterThan(0.61);
    expect(inside / tries).toBeLessThan(0.67);
  });

  it.each([200, 2100])('%d that overlap are parted until none does by more than is allowed', (many) => {
    const random = randomFrom(9);
    const side = 8 * Math.cbrt(many / 200);
    const at = Float64Array.from({ length: 3 * many }, () => side * random());
    const reachMm = Float64Array.from({ length: many }, () => 0.4 + 0.5 * random());
    const { worst } = relax({ at, reachMm }, { within: 0.02, mostSteps: 4000 });
    let most = 0;
    for (let i = 0; i < many; i += 1)
      for (let j = i + 1; j < many; j += 1) {
        const [dx, dy, dz] = [
          at[3 * i]! - at[3 * j]!,
          at[3 * i + 1]! - at[3 * j + 1]!,
          at[3 * i + 2]! - at[3 * j + 2]!,
        ];
        const belong = reachMm[i]! + reachMm[j]!;
        const square = dx * dx + dy * dy + dz * dz;
        if (square < belong * belong) most = Math.max(most, 1 - Math.sqrt(square) / belong);
      }
    expect(most).toBeLessThanOrEqual(0.02);
    expect(most).toBeCloseTo(worst, 9);
  });
});
