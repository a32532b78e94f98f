import fc from 'fast-check';

import {
  hangSign,
  hoopBalloons,
  solveHoop,
  stackLayers,
  wrapFilled,
  type Crescent,
  type HoopAsked,
} from '../src/building';
import { inch, problemOf, value } from './results';

/** Widths of strokes of one pump: as the cube root of the air (common practice), five strokes some 5 in. */
const ofStrokes = (strokes: number) => inch(5) * Math.cbrt(strokes / 5);
/** Common practice: crescents on a hoop, all quads; 5 strokes at the centre, then 4, 3, 2, and 1 on one side twice. */
const LARGE: Crescent = {
  ...{ atDeg: 180, centreMm: ofStrokes(5), between: null },
  steps: [
    ...[4, 3, 2].map((strokes) => ({ widthMm: ofStrokes(strokes), left: 2, right: 2 })),
    { widthMm: ofStrokes(1), left: 2, right: 1 },
  ],
};
const SMALL: Crescent = {
  ...{ atDeg: 0, centreMm: ofStrokes(5), between: null },
  steps: [4, 3, 2, 1].map((strokes) => ({ widthMm: ofStrokes(strokes), left: 1, right: 1 })),
};
const HOOP: HoopAsked = { hoopMm: inch(36), count: 4, crescents: [LARGE, SMALL] };
const asked = (by: Partial<HoopAsked> = {}) => solveHoop({ hoop: { ...HOOP, ...by }, stepMm: inch(1 / 8) });
const hoop = (by: Partial<HoopAsked> = {}) => value(asked(by));

describe('crescents on a hoop', () => {
  /** Common practice: 1 + 6 + 6 + 3 quads in the large one, 1 + 4 + 4 in the small one. */
  it('are as many clusters as the job says', () => {
    const { clusters, crescents, balloons } = hoop();
    expect(clusters.filter(({ crescent }) => crescent === 0)).toHaveLength(16);
    expect(clusters.filter(({ crescent }) => crescent === 1)).toHaveLength(9);
    expect(balloons).toBe(100);
    expect(crescents.map((each) => each.balloons)).toEqual([64, 36]);
  });

  /** Arcs of a circle: what lies on it and what is bare go once around; a job on a hoop of 3 ft leaves some bare. */
  it('and what is left bare go once around', () => {
    const { crescents, bare, bareMm } = hoop();
    const covered = crescents.reduce((sum, { arcMm }) => sum + arcMm, 0);
    expect(covered + bareMm).toBeCloseTo(Math.PI * inch(36), 6);
    expect(bare).toHaveLength(2);
    expect(bareMm).toBeGreaterThan(inch(10));
    // As long as their layers stand high.
    const widths = [1, 2, 2, 3, 3, 4, 4, 5, 4, 4, 3, 3, 2, 2, 1, 1].map(ofStrokes);
    const stack = value(stackLayers({ layers: widths.map((widthMm) => ({ count: 4, widthMm })) }));
    expect(crescents[0]!.arcMm).toBeCloseTo(stack.heightMm, 6);
  });

  it('have each neighbour one rise along the tube, turned by half a step', () => {
    const { clusters, crescents } = hoop();
    const large = clusters.filter(({ crescent }) => crescent === 0);
    large.slice(1).forEach(({ atDeg, turn }, i) => {
      const along = (((atDeg - large[i]!.atDeg) * Math.PI) / 180) * inch(18);
      expect(along).toBeCloseTo(crescents[0]!.layers[i + 1]!.riseMm, 6);
      expect(turn - large[i]!.turn).toBeCloseTo(Math.PI / 4, 9);
    });
    const centre = large.find(({ place }) => place === 0)!;
    expect([centre.atDeg, centre.widthMm]).toEqual([180, LARGE.centreMm]);
    // Uneven on purpose: one cluster more to the left, which is clockwise at the bottom.
    expect([large[0]!.place, large.at(-1)!.place]).toEqual([7, -8]);
    const balloons = hoopBalloons(HOOP, hoop());
    const farthest = (way: number) =>
      Math.max(...balloons.filter(({ cluster }) => cluster < 16).map(({ xMm }) => way * xMm));
    expect(farthest(-1)).toBeGreaterThan(farthest(1) - inch(2));
  });

  it('land where they are asked to, as near as steps let them', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 60, max: 170, noNaN: true }),
        fc.integer({ min: 0, max: 359 }),
        (longDeg, fromDeg) => {
          const between = { fromDeg, toDeg: fromDeg + longDeg };
          const { crescents } = hoop({ hoopMm: inch(60), crescents: [{ ...LARGE, between }] });
          const [{ fromDeg: begins, toDeg: ends, scale, arcMm }] = crescents as [(typeof crescents)[number]];
          // Off by as much at both ends: by what steps of sixteen clusters leave.
          expect(begins - fromDeg).toBeCloseTo(fromDeg + longDeg - ends, 6);
          expect(Math.abs(arcMm - ((longDeg * Math.PI) / 180) * inch(30))).toBeLessThan(16 * inch(1 / 16));
          expect(scale).toBeGreaterThan(0);
        },
      ),
    );
  });

  it('lie around the tube: each neck at it, neighbours in a cluster touching', () => {
    const plan = hoop();
    const balloons = hoopBalloons(HOOP, plan);
    expect(balloons).toHaveLength(100);
    for (const { xMm, yMm, zMm, widthMm, neck, cluster, place } of balloons) {
      const reach = widthMm / 2 / Math.sin(Math.PI / 4);
      const tied = [xMm + reach * neck[0], yMm + reach * neck[1], zMm + reach * neck[2]] as const;
      expect(Math.hypot(tied[0], tied[2])).toBeCloseTo(inch(18), 6);
      expect(tied[1]).toBeCloseTo(0, 6);
      const next = balloons.find((each) => each.cluster === cluster && each.place === (place + 1) % 4)!;
      expect(Math.hypot(xMm - next.xMm, yMm - next.yMm, zMm - next.zMm)).toBeCloseTo(widthMm, 6);
    }
    // The large one lies at the bottom.
    const low = balloons.reduce((a, b) => (b.zMm < a.zMm ? b : a));
    expect(plan.clusters[low.cluster]!.crescent).toBe(0);
    expect(Math.abs(plan.clusters[low.cluster]!.place)).toBeLessThanOrEqual(1);
  });

  it('say what is wrong', () => {
    expect(problemOf(asked({ hoopMm: inch(8) }))).toMatchObject({ code: 'hoop-too-small', field: 'hoopMm' });
    expect(problemOf(asked({ hoopMm: inch(22) }))).toMatchObject({ code: 'crescents-meet', field: 'crescents.0' });
    expect(problemOf(asked({ crescents: [{ ...LARGE, centreMm: -1 }] }))).toMatchObject({
      ...{ code: 'bad-width', field: 'crescents.0.centreMm' },
    });
    const steps = [{ widthMm: inch(4), left: 1.5, right: 0 }];
    expect(problemOf(asked({ crescents: [SMALL, { ...LARGE, steps }] }))).toMatchObject({
      ...{ code: 'bad-count', field: 'crescents.1.steps.0.left' },
    });
    expect(problemOf(asked({ crescents: [{ ...LARGE, between: { fromDeg: 30, toDeg: 390 } }] }))).toMatchObject({
      ...{ code: 'bad-ends', field: 'crescents.0.between' },
    });
    expect(problemOf(solveHoop({ hoop: HOOP, stepMm: 0 }))).toMatchObject({ code: 'bad-step' });
  });

  it('are none on a bare hoop', () => {
    expect(hoop({ crescents: [] })).toMatchObject({ balloons: 0, bare: [{ fromDeg: 0, toDeg: 360 }] });
  });
});

describe('a sign inside a hoop', () => {
  const balloons = hoopBalloons(HOOP, hoop());

  /** Pythagoras: 36 in across, 10.8 in to each side of the middle, the tube is 14.4 in above it. */
  it('hangs on two lines from its upper corners', () => {
    const { lineMm, freeMm } = value(
      hangSign({ sign: { wideMm: inch(21.6), highMm: inch(6) }, hoopMm: inch(36), balloons }),
    );
    expect(lineMm / inch(1)).toBeCloseTo(14.4 - 3, 6);
    expect(freeMm).toBeGreaterThan(0);
  });

  it('may lie over balloons, and must lie inside the tube', () => {
    const high = value(hangSign({ sign: { wideMm: inch(10), highMm: inch(32) }, hoopMm: inch(36), balloons }));
    expect(high.freeMm).toBeLessThan(0);
    expect(
      problemOf(hangSign({ sign: { wideMm: inch(30), highMm: inch(30) }, hoopMm: inch(36), balloons })),
    ).toMatchObject({
      code: 'sign-too-large',
    });
  });
});

describe('half-filled modelling balloons around a bare hoop', () => {
  /** Cylindrical helix: a turn around 3 in of middles is the root of (3 pi)² + 2², 9.63 in long. */
  it('wind as a helix, each turn touching the last', () => {
    const size = { code: '260', widthMm: inch(2), lengthMm: inch(60) };
    const cover = value(wrapFilled({ size, diameterMm: inch(1), lengthMm: inch(40) }));
    expect(cover.turns).toBe(20);
    expect(cover.pathMm / inch(1)).toBeCloseTo(20 * Math.hypot(3 * Math.PI, 2), 6);
    expect(cover.balloons).toBe(7);
    expect(problemOf(wrapFilled({ size, diameterMm: 0, lengthMm: 10 }))).toMatchObject({ code: 'pole-too-thin' });
    expect(problemOf(wrapFilled({ size, diameterMm: 10, lengthMm: 0 }))).toMatchObject({ code: 'bad-length' });
  });
});
