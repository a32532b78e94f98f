import { bisect } from 'simple-statistics';

import {
  basket,
  closingOf,
  closingTolerance,
  contactsOf,
  FORMS,
  formOf,
  handleFor,
  oneWrong,
  ringErrorMm,
  ringGiveMm,
  ringOf,
  ringPlace,
  ringsFor,
  ringStack,
  simulateClosing,
  spheresOf,
  swag,
  swagCount,
  swagPoint,
  usualLeanDeg,
  workingRings,
  type Form,
  type FormKind,
  type FormLayer,
} from '../src/linking';
import type { ModellingSize } from '../src/modelling';
import { inch, value } from './results';

describe('a ring', () => {
  /** Common practice. */
  it('of six equal balloons has its centres one pitch from its middle', () => {
    expect(value(ringOf({ count: 6, pitchMm: 150 })).centreRadiusMm).toBeCloseTo(150, 9);
    expect(value(ringOf({ count: 6, pitchMm: 150, widthMm: 140 }))).toMatchObject({
      insideMm: expect.closeTo(160, 9),
      outsideMm: expect.closeTo(440, 9),
    });
  });

  /** Circumradii of regular polygons of side 1, from published tables (CRC Standard Mathematical Tables). */
  it.each([
    [3, 0.57735],
    [4, 0.70711],
    [5, 0.85065],
    [7, 1.15238],
    [8, 1.30656],
    [9, 1.4619],
    [10, 1.61803],
    [12, 1.93185],
  ])('of %i has the radius of the regular polygon', (count, radius) => {
    expect(value(ringOf({ count, pitchMm: 1 })).centreRadiusMm).toBeCloseTo(radius, 5);
  });

  it('fits the pole, the hoop or the pot it was made for: laid out ball by ball it touches it', () => {
    const diameterMm = 300;
    for (const fit of ['around', 'on', 'inside'] as const) {
      const rings = value(ringsFor({ diameterMm, fit, leastMm: 60, mostMm: 170, jointMm: 4, stepMm: inch(1 / 8) }));
      expect(rings.length).toBeGreaterThan(2);
      for (const { count, exactMm, closingMm, widthMm } of rings) {
        const [first, second] = [0, 1].map((k) => (2 * Math.PI * k) / count) as [number, number];
        const radius = diameterMm / 2 + { around: 1, on: 0, inside: -1 }[fit] * (exactMm / 2);
        const apart = Math.hypot(
          radius * (Math.cos(second) - Math.cos(first)),
          radius * (Math.sin(second) - Math.sin(first)),
        );
        expect(apart).toBeCloseTo(exactMm + 4, 6);
        // Larger balloons than exact make a ring that is too long.
        expect(Math.sign(closingMm)).toBe(Math.sign(Math.round((widthMm - exactMm) * 1e6)));
      }
    }
  });
});

describe('rings upon rings', () => {
  /**
   * Heights of uniform antiprisms of edge 1: sqrt(1 - sec^2(pi / 2n) / 4) (Cromwell, Polyhedra, 1997); the square one
   * is 2^(-1/4), the triangular one sqrt(2/3).
   */
  it.each([
    [3, Math.sqrt(2 / 3)],
    [4, 2 ** -0.25],
    [5, Math.sqrt((5 + Math.sqrt(5)) / 10)],
    [6, Math.sqrt(Math.sqrt(3) - 1)],
    [8, Math.sqrt(1 - 1 / (4 * Math.cos(Math.PI / 16) ** 2))],
  ])('of %i are the bands of a uniform antiprism', (count, height) => {
    const equal = { widthMm: 1, pitchMm: 1 };
    const [, upper] = value(ringStack({ count, rings: [equal, equal] }));
    expect(upper!.riseMm).toBeCloseTo(height, 9);
    expect(upper!.leanDeg).toBeCloseTo(0, 9);
  });

  /** Published: all six corners of a regular octahedron lie 1 / sqrt(2) edges from its middle. */
  it('of three make an octahedron', () => {
    const equal = { widthMm: 2, pitchMm: 2 };
    const [low, high] = value(ringStack({ count: 3, rings: [equal, equal] }));
    const fromMiddle = Math.hypot(low!.centreRadiusMm, high!.heightMm / 2);
    expect(fromMiddle).toBeCloseTo(2 / Math.SQRT2, 9);
  });

  /** Published: an icosahedron is a pentagonal antiprism with two caps; edge 1 has circumradius 0.9510565. */
  it('a ball of five has the icosahedron’s corners when its rings and caps are of one size', () => {
    const equal = { widthMm: 1, pitchMm: 1 };
    const [ring, upper] = value(ringStack({ count: 5, rings: [equal, equal] }));
    const circumradius = Math.hypot(ring!.centreRadiusMm, upper!.heightMm / 2);
    expect(circumradius).toBeCloseTo(0.9510565, 6);
    const cap = circumradius - upper!.heightMm / 2;
    expect(Math.hypot(upper!.centreRadiusMm, cap)).toBeCloseTo(1, 6);
  });
});

describe('a swag', () => {
  /**
   * cosh 1 = 1.54308 06348, sinh 1 = 1.17520 11936 (Abramowitz and Stegun, table 4.15); gd 1 = 0.86576 94832 (table
   * 4.16, from memory).
   */
  it('has the length and the angle of a catenary with its parameter at one', () => {
    const hung = value(swag({ spanMm: 2000, dropMm: 543.0806348 }));
    expect(hung.aMm).toBeCloseTo(1000, 3);
    expect(hung.lengthMm).toBeCloseTo(2350.4023873, 4);
    expect((hung.endAngleDeg.left * Math.PI) / 180).toBeCloseTo(0.8657694832, 8);
    // A parabola with that span and drop would be shorter.
    const [half, drop] = [1000, 543.0806348];
    const root = Math.sqrt(half * half + 4 * drop * drop);
    const parabola = root + (half * half * Math.asinh((2 * drop) / half)) / (2 * drop);
    expect(hung.lengthMm - parabola).toBeGreaterThan(1);
  });

  it('agrees with a general root finder (simple-statistics, bisect) over flat and deep, level and slanted ones', () => {
    for (const [spanMm, dropMm, riseMm] of [
      [3000, 30, 0],
      [3000, 300, 0],
      [3000, 3000, 0],
      [800, 5000, 0],
      [3000, 300, 400],
      [3000, 300, -900],
      [1200, 1500, 2500],
    ] as const) {
      const hung = value(swag({ spanMm, dropMm, riseMm }));
      const [low, high] = [dropMm, dropMm + Math.abs(riseMm)];
      const across = (a: number) => a * (Math.acosh(1 + low / a) + Math.acosh(1 + high / a)) - spanMm;
      const a = bisect(across, 1e-3 * spanMm, 1e3 * spanMm, 300, 1e-10);
      expect(hung.aMm / a).toBeCloseTo(1, 7);
      // The same swag from its span and length, and from its drop and length.
      const { lengthMm } = hung;
      expect(value(swag({ spanMm, lengthMm, riseMm })).dropMm / dropMm).toBeCloseTo(1, 6);
      expect(value(swag({ dropMm, lengthMm, riseMm })).spanMm / spanMm).toBeCloseTo(1, 6);
    }
  });

  it('is where a chain of many links lies still: the sum of its heights is least', () => {
    const hung = value(swag({ spanMm: 1000, dropMm: 420, riseMm: 150 }));
    const links = 400;
    const points = Array.from({ length: links + 1 }, (_, i) => swagPoint(hung, (i / links) * hung.lengthMm));
    expect(points[0]).toMatchObject({ xMm: expect.closeTo(0, 6), yMm: expect.closeTo(0, 6) });
    expect(points.at(-1)).toMatchObject({ xMm: expect.closeTo(1000, 6), yMm: expect.closeTo(-150, 6) });
    // Forces at every joint balance when the chord slopes change evenly along the length: tan grows by the weight of
    // a link.
    const slopes = points.slice(1).map((p, i) => (p.yMm - points[i]!.yMm) / (p.xMm - points[i]!.xMm));
    const changes = slopes.slice(1).map((slope, i) => slope - slopes[i]!);
    const mean = (slopes.at(-1)! - slopes[0]!) / changes.length;
    for (const change of changes) expect(change / mean).toBeCloseTo(1, 3);
    const chords = points
      .slice(1)
      .reduce((sum, p, i) => sum + Math.hypot(p.xMm - points[i]!.xMm, p.yMm - points[i]!.yMm), 0);
    expect(chords / hung.lengthMm).toBeCloseTo(1, 5);
  });

  it('hangs in whole balloons that fill its string', () => {
    const wanted = value(swag({ spanMm: 3000, dropMm: 600 }));
    const { count, hung, lowerMm } = value(swagCount({ wanted, widthsMm: [127], jointMm: 5 }));
    expect(count * 127 + (count + 1) * 5).toBeCloseTo(hung.lengthMm, 6);
    expect(Math.abs(hung.lengthMm - wanted.lengthMm)).toBeLessThanOrEqual(132 / 2 + 1e-6);
    expect(hung.dropMm - 600).toBeCloseTo(lowerMm, 6);
  });
});

/** Every pair of balloons of a form: how far it is from touching, measured anew from the centres. */
function gapsOf(form: Form) {
  const spheres = spheresOf(form);
  const apart = (a: number, b: number) => {
    const [p, q] = [spheres[a]!, spheres[b]!];
    return Math.hypot(p.xMm - q.xMm, p.yMm - q.yMm, p.zMm - q.zMm);
  };
  let deepest = 0;
  for (let a = 0; a < spheres.length; a += 1)
    for (let b = 0; b < a; b += 1)
      deepest = Math.max(deepest, (spheres[a]!.widthMm + spheres[b]!.widthMm) / 2 - apart(a, b));
  return { spheres, apart, deepest };
}

describe('closed forms, measured from centre to centre', () => {
  const shapes = FORMS.flatMap((kind: FormKind) =>
    [4, 5, 6, 7, 8, 12].flatMap((count) => {
      const shape = { kind, count, baseMm: 140, leanDeg: usualLeanDeg(kind), jointMm: 5 };
      return workingRings(shape)
        .slice(0, 4)
        .map((rings) => ({ ...shape, rings }));
    }),
  );

  it('there are forms of every kind', () => {
    expect(new Set(shapes.map(({ kind }) => kind)).size).toBe(FORMS.length);
    expect(shapes.length).toBeGreaterThan(60);
  });

  it('keep every contact, and no two balloons press into each other', () => {
    for (const shape of shapes) {
      const form = value(formOf(shape));
      const { apart, deepest } = gapsOf(form);
      for (const { a, b, distanceMm } of contactsOf(form)) expect(apart(a, b)).toBeCloseTo(distanceMm, 5);
      // A basket's rings, held by their knots, press into its spokes (common practice): latex gives.
      if (shape.kind !== 'basket') expect(deepest).toBeLessThan(1e-5);
    }
  });

  it('each balloon of a turned ring touches exactly two of the ring below', () => {
    const form = value(formOf({ kind: 'cup', count: 7, rings: 3, baseMm: 140, leanDeg: 4, jointMm: 5 }));
    const { spheres, apart } = gapsOf(form);
    for (const [i, sphere] of spheres.entries()) {
      if (sphere.layer === 0) continue;
      const touched = spheres.filter(
        (other, j) => other.layer === sphere.layer - 1 && apart(i, j) - (sphere.widthMm + other.widthMm) / 2 < 1e-6,
      );
      expect(touched).toHaveLength(2);
    }
  });

  it('a basket’s rings have their knots where spokes hold them, and its ties sit before the wall', () => {
    const form = value(formOf({ kind: 'basket', count: 6, rings: 2, baseMm: 90, leanDeg: 8, jointMm: 4 }));
    const [inner, first, outer, upper] = form.layers as [FormLayer, FormLayer, FormLayer, FormLayer];
    expect([inner, first, outer, upper].map(({ key }) => key)).toEqual(['spokes', 'ring-1', 'spokes', 'ring-2']);
    // The first ring's circle passes halfway between inner and outer spokes, the upper one as far above the outer.
    expect(first.radiusMm).toBeCloseTo((inner.radiusMm + outer.radiusMm) / 2, 9);
    expect(first.heightMm).toBeCloseTo((inner.heightMm + outer.heightMm) / 2, 9);
    expect(upper.heightMm).toBeCloseTo(1.5 * outer.heightMm, 9);
    const [ties] = form.ties;
    const wallMm = (first.radiusMm + upper.radiusMm) / 2;
    expect(ties!.radiusMm).toBeGreaterThan(wallMm * Math.cos(Math.PI / 6));
    expect(ties!.turned).toBe(0);
  });

  /** Common practice: six spokes of 3½, a first ring of 3¾, an upper one of 4¼ and ties of 2½, all exact. */
  describe.each([1 / 4, 1 / 8, 1 / 16])('the practised basket in steps of %d in', (step) => {
    const asked = { spokes: 6, rings: 2, stepMm: inch(step), jointMm: 5 };

    it.each([1, 2])('comes out as practised, scaled by %d', (by) => {
      const { snapped } = value(basket({ ...asked, baseMm: by * inch(3.5), jointMm: 0 }));
      expect(snapped.sizes.map(({ widthMm }) => widthMm / 25.4 / by)).toEqual(
        [3.5, 3.75, 4.25, 2.5].map((inches) => expect.closeTo(inches, 9)),
      );
      expect(snapped.worst).toBeLessThan(0.05);
      expect(snapped.sizes.map(({ count }) => count)).toEqual([12, 6, 6, 6]);
    });

    it('keeps the size that was asked for, whatever it is', () => {
      for (let steps = Math.ceil(2.5 / step); steps <= 7 / step; steps += 1) {
        const baseMm = steps * inch(step);
        const made = basket({ ...asked, baseMm });
        if (!made.ok) {
          expect(made.problem.code).toBe('steps-too-coarse');
          continue;
        }
        const [spokes, first, upper] = made.value.snapped.sizes.map(({ widthMm }) => widthMm);
        expect(spokes).toBeCloseTo(baseMm, 9);
        expect(first).toBeGreaterThan(baseMm);
        expect(upper).toBeGreaterThan(first!);
      }
    });
  });

  it('the practised basket with one ring a quarter inch off does not close, at any scale', () => {
    for (const by of [1, 1.2, 1.5]) {
      const form = value(
        formOf({
          kind: 'basket',
          count: 6,
          rings: 2,
          baseMm: by * inch(3.5),
          leanDeg: usualLeanDeg('basket'),
          jointMm: 0,
        }),
      );
      const off = (key: string, mm: number) => {
        const layers = form.layers.map((layer) =>
          layer.key === key ? { ...layer, widthMm: layer.widthMm + mm } : layer,
        );
        const { rings } = closingOf({ form: { ...form, layers } });
        return rings.map((ring) => {
          const equal = new Float64Array(ring.count).fill(ring.widthMm);
          return Math.abs(ringErrorMm(ring, equal, ringPlace(ring))) <= ringGiveMm(ring);
        });
      };
      expect(off('none', 0).every(Boolean)).toBe(true);
      for (const key of ['ring-1', 'ring-2']) {
        for (const mm of [inch(1 / 4), -inch(1 / 4)]) expect(off(key, mm).every(Boolean)).toBe(false);
      }
    }
  });

  /** Common practice: anything scaled by one factor keeps its shape. */
  it('scaled by one factor a form keeps its shape', () => {
    const of = (by: number) =>
      value(formOf({ kind: 'basket', count: 6, rings: 2, baseMm: 127 * by, leanDeg: 3, jointMm: 5 * by }));
    const [one, two] = [of(1), of(1.7)];
    two.layers.forEach((layer, i) => {
      expect(layer.widthMm).toBeCloseTo(1.7 * one.layers[i]!.widthMm, 6);
      expect(layer.heightMm).toBeCloseTo(1.7 * one.layers[i]!.heightMm, 6);
    });
  });
});

describe('how exact the balloons must be', () => {
  const made = value(basket({ spokes: 6, baseMm: inch(5), rings: 2, stepMm: inch(1 / 8), jointMm: 5 }));
  const closing = closingOf(made.snapped);

  /** Common practice. */
  it('a basket all exact closes, and with one balloon a quarter inch off it does not', () => {
    for (let ring = 0; ring < closing.rings.length; ring += 1) {
      expect(oneWrong({ closing, ring, offMm: 0 }).state).toBe('closes');
      expect(oneWrong({ closing, ring, offMm: inch(1 / 4) }).state).toBe('buckles');
      expect(oneWrong({ closing, ring, offMm: -inch(1 / 4) }).state).toBe('opens');
    }
  });

  it('the formula and the simulation agree within four in a hundred, over many forms', () => {
    for (const [spokes, rings, base] of [
      [4, 2, 5],
      [6, 1, 5],
      [6, 3, 5.5],
      [8, 2, 6],
    ] as const) {
      const { snapped } = value(basket({ spokes, baseMm: inch(base), rings, stepMm: inch(1 / 16), jointMm: 5 }));
      const of = closingOf(snapped);
      const formula = closingTolerance({ closing: of });
      const simulated = simulateClosing({ closing: of, runs: 6000, seed: spokes });
      expect(formula.sdMm).toBeGreaterThan(0.4);
      expect(Math.abs(simulated.sdMm! / formula.sdMm! - 1)).toBeLessThan(0.04);
      expect(simulated.weakest).toBe(formula.weakest);
    }
  });

  /** A lone ring needs only the normal law: 95 of 100 within 1.95996 standard deviations (published tables). */
  it('a ring around a pole needs the spread that the normal table gives', () => {
    const ring = { key: 'ring', count: 9, widthMm: 127, jointMm: 5, roomMm: 9 * 132 };
    const { sdMm } = closingTolerance({ closing: { rings: [ring], ties: [], caps: [] } });
    expect(sdMm).toBeCloseTo((0.006 * 9 * 132) / 1.959964 / 3, 3);
  });

  it('a balloon too large is lifted until its two joints span what is left', () => {
    const { errorMm, liftMm } = oneWrong({ closing, ring: 2, offMm: inch(1 / 4) });
    const { widthMm, jointMm } = closing.rings[2]!;
    const pitch = widthMm + jointMm + inch(1 / 8);
    expect(Math.sqrt(pitch ** 2 - liftMm ** 2)).toBeCloseTo(pitch - errorMm / 2, 9);
    expect(liftMm).toBeGreaterThan(inch(1));
  });
});

it('a handle’s arch has the length that its chords sum to', () => {
  const size: ModellingSize = { code: '260', widthMm: inch(2), lengthMm: inch(60) };
  const { archMm, spanMm, riseMm } = value(handleFor({ spanMm: 260, riseMm: 300, size }));
  const hung = value(swag({ spanMm, dropMm: riseMm }));
  const points = Array.from({ length: 2001 }, (_, i) => {
    const x = (i / 2000) * spanMm - spanMm / 2;
    return [x, hung.aMm * Math.cosh(x / hung.aMm)] as const;
  });
  const chords = points.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - points[i]![0], y - points[i]![1]), 0);
  expect(archMm / chords).toBeCloseTo(1, 6);
});
