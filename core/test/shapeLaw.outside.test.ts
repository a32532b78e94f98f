import fc from 'fast-check';
import { inverse, Matrix } from 'ml-matrix';

import {
  aspectAt,
  bodyVolumeL,
  carriedOn,
  fitShapeLaw,
  growthAt,
  grownLaw,
  joinLimits,
  TRADE,
  volumeAtL,
  volumeSlopeL,
  widthAtVolumeMm,
  type Reading,
  type RoundLimit,
  type ShapeLaw,
} from '../src';

const errors = { ways: TRADE.measureSdMm, heightMm: TRADE.heightSdMm };
const ROUND = TRADE.roundAspect;

const measured = (widthMm: number, aspect: number, more: Partial<Reading> = {}): Reading => ({
  dose: 5,
  widthMm,
  heightMm: widthMm * aspect,
  outcome: 'ok',
  ...more,
});
const answered = (widthMm: number, shape: Reading['shape']): Reading => ({ dose: 5, widthMm, shape, outcome: 'ok' });
const aspects = (law: ShapeLaw) => law.knots.map(({ aspect }) => aspect);
const widths = (law: ShapeLaw) => law.knots.map(({ widthMm }) => widthMm);
/** Variance of one measured aspect: errors of width and height add as shares (propagation of uncertainty). */
const aspectVariance = (widthMm: number, aspect: number, widthSd = TRADE.measureSdMm.tape) =>
  aspect ** 2 * ((widthSd / widthMm) ** 2 + (TRADE.heightSdMm / (widthMm * aspect)) ** 2);

describe('the aspect law, against least squares by its definition', () => {
  /** The greatest of the least means around each point (Barlow et al. 1972, theorem 1.4). */
  it('is the nearest law that never falls, however the aspects lie', () => {
    const seen = fc.array(fc.double({ min: 0.95, max: 1.3, noNaN: true }), { minLength: 1, maxLength: 7 });
    fc.assert(
      fc.property(seen, (found) => {
        const at = found.map((_, i) => 150 + 15 * i);
        const weight = found.map((aspect, i) => 1 / aspectVariance(at[i]!, aspect));
        const mean = (from: number, to: number) => {
          const part = found.slice(from, to + 1).map((aspect, i) => ({ aspect, w: weight[from + i]! }));
          return part.reduce((sum, { aspect, w }) => sum + aspect * w, 0) / part.reduce((sum, { w }) => sum + w, 0);
        };
        const law = fitShapeLaw({ readings: found.map((aspect, i) => measured(at[i]!, aspect)), errors });
        at.forEach((widthMm, i) => {
          const from = at.slice(0, i + 1).map((_, j) => Math.min(...at.slice(i).map((__, k) => mean(j, i + k))));
          expect(aspectAt({ law, widthMm }).aspect).toBeCloseTo(Math.max(...from), 9);
        });
        expect(law.seen).toBe(true);
      }),
      { numRuns: 150, seed: 4 },
    );
  });

  it('has one corner for a single place, two for a level stretch, each as unsure as what was pooled there', () => {
    const law = fitShapeLaw({ readings: [measured(240, 1.06), measured(150, 1.04), measured(180, 1.01)], errors });
    expect(widths(law)).toEqual([150, 180, 240]);
    const [one, other] = [aspectVariance(150, 1.04), aspectVariance(180, 1.01)];
    const level = (1.04 / one + 1.01 / other) / (1 / one + 1 / other);
    expect(law.knots[0]!.aspect).toBeCloseTo(level, 12);
    expect(law.knots[1]!.aspect).toBeCloseTo(level, 12);
    const pooled = Math.hypot(1 / Math.sqrt(1 / one + 1 / other), TRADE.aspectLawSd);
    expect(law.knots[0]!.sd).toBeCloseTo(pooled, 12);
    expect(law.knots[2]!.sd).toBeCloseTo(Math.hypot(Math.sqrt(aspectVariance(240, 1.06)), TRADE.aspectLawSd), 12);
  });

  it('takes widths within a hundredth for one place, at their weighted middle', () => {
    const steady = { sdMm: 0.1 };
    const law = fitShapeLaw({
      readings: [measured(200, 1.02, steady), measured(201.9, 1.05), measured(204.5, 1.1)],
      errors,
    });
    const [one, other] = [1 / aspectVariance(200, 1.02, 0.1), 1 / aspectVariance(201.9, 1.05)];
    expect(law.knots).toHaveLength(2);
    expect(law.knots[0]!.widthMm).toBeCloseTo((200 * one + 201.9 * other) / (one + other), 9);
    expect(law.knots[0]!.aspect).toBeCloseTo((1.02 * one + 1.05 * other) / (one + other), 9);
    expect(law.knots[1]).toMatchObject({ widthMm: 204.5, aspect: 1.1 });
  });

  it('takes answers as what they stand for, all alike, and says nothing of shapes that nobody saw', () => {
    const answers = { round: 1.01, oval: 1.1, pear: 1.3 };
    const law = fitShapeLaw({
      readings: [answered(180, 'round'), answered(240, 'oval'), answered(280, 'pear')],
      errors,
      answers,
    });
    expect(aspects(law)).toEqual([1.01, 1.1, 1.3]);
    expect(law.knots.map(({ sd }) => sd)).toEqual([1, 2, 3].map(() => TRADE.unseenAspectSd));
    const bracketed = fitShapeLaw({
      readings: [{ dose: 5, bracket: { stopsMm: 190, passesMm: 200 }, heightMm: 260, shape: 'oval', outcome: 'ok' }],
      errors,
      answers,
    });
    // Over the middle of a bracket a height says nothing: the answer counts.
    expect(bracketed.knots).toMatchObject([{ widthMm: 195, aspect: 1.1 }]);
    const none = fitShapeLaw({ readings: [{ dose: 5, widthMm: 200, outcome: 'ok' }], errors });
    expect(none).toMatchObject({ knots: [], seen: false, roundLimit: { kind: 'no-shapes-seen' } });
    expect(aspectAt({ law: none, widthMm: 200 })).toEqual({
      aspect: 1,
      sd: TRADE.unseenAspectSd,
      seenSd: TRADE.unseenAspectSd,
      slopePerMm: 0,
    });
  });
});

describe('where round and oval end', () => {
  it('lies where the straight law reaches the limit, as unsure as the law moved by its own deviation', () => {
    const law = fitShapeLaw({ readings: [measured(200, 1), measured(260, 1.2)], errors });
    const limit = law.roundLimit as Extract<RoundLimit, { kind: 'shown' }>;
    expect(limit.kind).toBe('shown');
    expect(limit.widthMm).toBeCloseTo(200 + (60 * (ROUND - 1)) / 0.2, 9);
    const [low, high] = [Math.sqrt(aspectVariance(200, 1)), Math.sqrt(aspectVariance(260, 1.2))];
    const crossed = (deviations: number) => {
      const [from, to] = [1 + deviations * low, 1.2 + deviations * high];
      return 200 + (60 * (ROUND - from)) / (to - from);
    };
    const reach = Math.max((crossed(-1) - crossed(1)) / 2, (crossed(-2) - crossed(2)) / 4);
    // Half the deviation of a uniform law over the gap stands for the shape that was not seen there.
    expect(limit.sdMm).toBeCloseTo(Math.hypot(reach, 60 / Math.sqrt(12) / 2), 9);
  });

  it('stops at what was seen where the moved law passes the limit beyond it', () => {
    const law = fitShapeLaw({ readings: [measured(200, ROUND - 0.004), measured(206, ROUND + 0.002)], errors });
    const limit = law.roundLimit as Extract<RoundLimit, { kind: 'shown' }>;
    expect(limit.kind).toBe('shown');
    // Moved up it is oval from the smallest on, moved down round past the largest: the gap again beyond it.
    expect(limit.sdMm).toBeCloseTo(Math.hypot((206 + 6 - 200) / 2, 6 / Math.sqrt(12) / 2), 9);
  });

  it('from answers alone lies anywhere in the gap, give or take what an eye takes for round', () => {
    const law = fitShapeLaw({ readings: [answered(200, 'round'), answered(250, 'oval')], errors });
    const limit = law.roundLimit as Extract<RoundLimit, { kind: 'shown' }>;
    const { round, oval } = TRADE.shapeAnswerAspect;
    const sd = TRADE.shapeAnswerSd;
    const crossed = (deviations: number) => 200 + (50 * (ROUND - round - deviations * sd)) / (oval - round);
    const inside = (deviations: number) => (round + deviations * sd > ROUND ? 200 : crossed(deviations));
    const below = (deviations: number) => (oval - deviations * sd > ROUND ? crossed(-deviations) : 250 + 50);
    const reach = Math.max((below(1) - inside(1)) / 2, (below(2) - inside(2)) / 4);
    const eye = TRADE.answerEdgeSd / ((oval - round) / 50);
    expect(limit.widthMm).toBeCloseTo(crossed(0), 9);
    expect(limit.sdMm).toBeCloseTo(Math.hypot(reach, 50 / Math.sqrt(12), eye), 9);
  });

  it('is above where all was round, below where nothing was', () => {
    const round = fitShapeLaw({ readings: [measured(180, 1), measured(230, 1.01)], errors });
    expect(round.roundLimit).toEqual({ kind: 'above', widthMm: 230 });
    expect(round.pearLimit).toEqual({ kind: 'above', widthMm: 230 });
    const oval = fitShapeLaw({ readings: [measured(180, ROUND + 0.05), measured(230, ROUND + 0.06)], errors });
    expect(oval.roundLimit).toEqual({ kind: 'below', widthMm: 180 });
    const pear = fitShapeLaw({ readings: [measured(180, 1), measured(230, TRADE.ovalAspect + 0.1)], errors });
    expect(pear.pearLimit!.kind).toBe('shown');
  });

  it('joins what was shown with what others let expect by their precisions, and nothing else', () => {
    const shown = (widthMm: number, sdMm: number): RoundLimit => ({ kind: 'shown', widthMm, sdMm });
    const law: ShapeLaw = {
      knots: [],
      seen: true,
      roundLimit: shown(240, 6),
      pearLimit: { kind: 'above', widthMm: 250 },
    };
    const expected = {
      round: { limit: shown(250, 3), from: 'line' as const },
      pear: { limit: shown(270, 5), from: 'shelf' as const },
    };
    const joined = joinLimits({ law, expected });
    const limit = joined.roundLimit as Extract<RoundLimit, { kind: 'shown' }>;
    expect(limit.kind).toBe('shown');
    expect(limit.widthMm).toBeCloseTo((240 / 36 + 250 / 9) / (1 / 36 + 1 / 9), 9);
    expect(limit.sdMm).toBeCloseTo(1 / Math.sqrt(1 / 36 + 1 / 9), 9);
    expect(joined.pearLimit).toEqual(law.pearLimit);
    expect(joined.expected).toBe(expected);
    const unsure = { ...expected, round: { limit: { kind: 'above' as const, widthMm: 260 }, from: 'line' as const } };
    expect(joinLimits({ law, expected: unsure }).roundLimit).toEqual(law.roundLimit);
    const { pearLimit: _, ...withoutPear } = law;
    expect(joinLimits({ law: withoutPear, expected }).pearLimit).toBeUndefined();
  });
});

describe('a law between and beyond its corners', () => {
  const law: ShapeLaw = {
    knots: [
      { widthMm: 180, aspect: 1.01, sd: 0.02 },
      { widthMm: 220, aspect: 1.05, sd: 0.03 },
      { widthMm: 280, aspect: 1.2, sd: 0.05 },
    ],
    seen: true,
    roundLimit: { kind: 'no-shapes-seen' },
  };
  const lawSd = TRADE.aspectLawSd;

  it('goes straight, and bends away by up to half of what it rises', () => {
    const there = aspectAt({ law, widthMm: 235 });
    expect(there.aspect).toBeCloseTo(1.05 + (15 / 60) * 0.15, 12);
    expect(there.slopePerMm).toBeCloseTo(0.15 / 60, 12);
    const ends = 0.75 * 0.03 + 0.25 * 0.05;
    // Halfway the whole half of the rise, uniform: (2 / root 3) x (1 - x) of it.
    expect(there.sd).toBeCloseTo(Math.hypot(ends, (2 / Math.sqrt(3)) * 0.25 * 0.75 * 0.15), 12);
    expect(there.seenSd).toBeCloseTo(Math.sqrt(ends ** 2 - lawSd ** 2), 12);
    const middle = aspectAt({ law, widthMm: 250 });
    expect(middle.sd).toBeCloseTo(Math.hypot(0.04, 0.15 / 2 / Math.sqrt(3)), 12);
  });

  it('stays level outside, and past the last owns up to what it may lengthen', () => {
    expect(aspectAt({ law, widthMm: 100 })).toEqual({
      aspect: 1.01,
      sd: 0.02,
      seenSd: Math.sqrt(0.02 ** 2 - lawSd ** 2),
      slopePerMm: 0,
    });
    const beyond = aspectAt({ law, widthMm: 308 });
    expect(beyond).toMatchObject({ aspect: 1.2, slopePerMm: 0 });
    const sd = Math.hypot(0.05, 0.1 * TRADE.aspectBeyond);
    expect(beyond.sd).toBeCloseTo(sd, 12);
    expect(beyond.seenSd).toBeCloseTo(Math.sqrt(sd ** 2 - lawSd ** 2), 12);
    const sure: ShapeLaw = { ...law, knots: [{ widthMm: 200, aspect: 1.1, sd: 0 }] };
    expect(aspectAt({ law: sure, widthMm: 300 })).toEqual({ aspect: 1.1, sd: 0, seenSd: 0, slopePerMm: 0 });
  });

  it('gives volumes that differ as their slope says, and the width of each volume back', () => {
    for (const widthMm of [60, 150, 181, 200, 219, 225, 250, 279, 300, 400]) {
      const volumeL = volumeAtL({ law, widthMm });
      expect(volumeL).toBeCloseTo(bodyVolumeL({ widthMm, heightMm: widthMm * aspectAt({ law, widthMm }).aspect }), 12);
      const step = 1e-4;
      const rise =
        (volumeAtL({ law, widthMm: widthMm + step }) - volumeAtL({ law, widthMm: widthMm - step })) / (2 * step);
      expect(volumeSlopeL({ law, widthMm }) / rise).toBeCloseTo(1, 6);
      expect(widthAtVolumeMm({ law, volumeL })).toBeCloseTo(widthMm, 7);
    }
    expect(widthAtVolumeMm({ law, volumeL: 0 })).toBe(0);
    expect(widthAtVolumeMm({ law, volumeL: -1 })).toBe(0);
    expect(widthAtVolumeMm({ law, volumeL: NaN })).toBe(0);
    const sphere: ShapeLaw = { knots: [], seen: false, roundLimit: { kind: 'no-shapes-seen' } };
    expect(widthAtVolumeMm({ law: sphere, volumeL: Math.PI / 6 })).toBeCloseTo(100, 9);
  });

  it('turns a volume at a corner back into the corner’s width', () => {
    for (const { widthMm } of law.knots)
      expect(widthAtVolumeMm({ law, volumeL: volumeAtL({ law, widthMm }) })).toBeCloseTo(widthMm, 7);
  });
});

describe('how a balloon lengthens that nobody measured', () => {
  const corners = [0.55, 0.65, 0.75, 0.85, 0.95, 1.05, 1.15, 1.3];
  const square = (share: number) => ((share - 0.55) / 0.45) ** 2;

  it('not at all while slack, then with the square, all of it at nominal but for the straight stretch', () => {
    corners.forEach((share) => expect(growthAt(share)).toBeCloseTo(square(share), 12));
    expect(growthAt(0.2)).toBe(0);
    expect(growthAt(1)).toBeCloseTo((square(0.95) + square(1.05)) / 2, 12);
    expect(growthAt(0.675)).toBeCloseTo(0.75 * square(0.65) + 0.25 * square(0.75), 12);
    expect(growthAt(1.6)).toBeCloseTo(square(1.3), 12);
  });

  it('grows on top of what is known of its like, at every corner of both', () => {
    const base: ShapeLaw = {
      knots: [
        { widthMm: 200, aspect: 1.02, sd: 0.01 },
        { widthMm: 240, aspect: 1.06, sd: 0.01 },
      ],
      seen: false,
      roundLimit: { kind: 'above', widthMm: 240 },
    };
    const nominalMm = 280;
    const grown = grownLaw({ base, growth: 0.1, nominalMm, sd: 0.03 });
    const all = [...corners.map((share) => share * nominalMm), 200, 240].sort((a, b) => a - b);
    expect(widths(grown)).toEqual(all);
    grown.knots.forEach(({ widthMm, aspect, sd }) => {
      const below = Math.min(1, Math.max(0, (widthMm - 200) / 40));
      expect(aspect).toBeCloseTo(1.02 + 0.04 * below + 0.1 * growthAt(widthMm / nominalMm), 12);
      expect(sd).toBe(0.03);
    });
    expect(grown).toMatchObject({ seen: false, roundLimit: base.roundLimit });
    const twice = { ...base, knots: [{ widthMm: 0.75 * nominalMm, aspect: 1, sd: 0 }] };
    expect(widths(grownLaw({ base: twice, growth: 0.1, nominalMm, sd: 0 }))).toHaveLength(corners.length);
  });

  it('is carried on past the last shape that was seen, ever less surely', () => {
    const law: ShapeLaw = {
      knots: [
        { widthMm: 180, aspect: 1, sd: 0.02 },
        { widthMm: 220, aspect: 1.03, sd: 0.02 },
      ],
      seen: true,
      roundLimit: { kind: 'above', widthMm: 220 },
    };
    const nominalMm = 280;
    const carried = carriedOn({ law, nominalMm, growth: { mean: 0.12, sd: 0.05 } });
    const seen = carried.knots.findIndex(({ widthMm }) => widthMm === 180);
    expect(carried.knots.slice(seen, seen + 2)).toEqual(law.knots);
    const further = corners.filter((share) => share * nominalMm > 220);
    expect(carried.knots.slice(seen + 2)).toHaveLength(further.length);
    further.forEach((share, i) => {
      const more = square(share) - growthAt(220 / nominalMm);
      const knot = carried.knots[seen + 2 + i]!;
      expect(knot.widthMm).toBeCloseTo(share * nominalMm, 12);
      expect(knot.aspect).toBeCloseTo(1.03 + 0.12 * more, 12);
      expect(knot.sd).toBeCloseTo(Math.hypot(0.02, 0.05 * more), 12);
    });
    const usual = carriedOn({ law, nominalMm }).knots.at(-1)!;
    expect(usual.aspect).toBeCloseTo(1.03 + TRADE.aspectGrowth.mean * (square(1.3) - growthAt(220 / nominalMm)), 12);
    expect(carriedOn({ law: { ...law, knots: [] }, nominalMm }).knots).toEqual([]);
    const atCorner = { ...law, knots: [{ widthMm: 0.75 * nominalMm, aspect: 1, sd: 0.02 }] };
    expect(widths(carriedOn({ law: atCorner, nominalMm }))).toEqual(corners.map((share) => share * nominalMm));
  });

  it('holds more air the wider it is, whatever growth readings that cannot be true come to', () => {
    const round: ShapeLaw = { knots: [], seen: false, roundLimit: { kind: 'no-shapes-seen' } };
    const law = grownLaw({ base: round, growth: -0.75, nominalMm: 280, sd: 0.02 });
    const volumes = Array.from({ length: 80 }, (_, i) => volumeAtL({ law, widthMm: 100 + 4 * i }));
    volumes.slice(1).forEach((volumeL, i) => expect(volumeL).toBeGreaterThan(volumes[i]!));
  });

  it('was seen up to the very width that was read, though twice and not as surely', () => {
    const widthMm = 115.8875;
    for (const sdMm of [0.3, 0.7, 1.9]) {
      const { roundLimit } = fitShapeLaw({
        readings: [measured(90, 1), measured(widthMm, 1.01), measured(widthMm, 1.02, { sdMm })],
        errors,
      });
      expect(roundLimit).toEqual({ kind: 'above', widthMm });
    }
  });

  it('is carried back under the first shape, which was seen long, to a body as high as wide', () => {
    const nominalMm = 280;
    const first = { widthMm: 0.92 * nominalMm, aspect: 1.16, sd: 0.018 };
    const law: ShapeLaw = { knots: [first], seen: true, roundLimit: { kind: 'below', widthMm: first.widthMm } };
    const [growth, slackSd] = [{ mean: 0.09, sd: 0.05 }, TRADE.unseenAspectSd];
    const { knots } = carriedOn({ law, nominalMm, growth });

    // The normal equations of two beliefs and what was seen of their sum.
    const [row, sure] = [[1, growthAt(0.92)], 1 / first.sd ** 2];
    const precision = new Matrix([
      [1 / slackSd ** 2 + sure * row[0]! ** 2, sure * row[0]! * row[1]!],
      [sure * row[0]! * row[1]!, 1 / growth.sd ** 2 + sure * row[1]! ** 2],
    ]);
    const spread = inverse(precision);
    const [slack, lengthens] = spread
      .mmul(
        Matrix.columnVector([
          1 / slackSd ** 2 + sure * row[0]! * first.aspect,
          growth.mean / growth.sd ** 2 + sure * row[1]! * first.aspect,
        ]),
      )
      .to1DArray() as [number, number];
    const before = corners.filter((share) => share < 0.92);
    expect(knots.filter(({ widthMm }) => widthMm < first.widthMm).map(({ widthMm }) => widthMm / nominalMm)).toEqual(
      before,
    );
    const misses = Math.hypot(TRADE.grownLawSd.least, TRADE.grownLawSd.share * lengthens);
    before.forEach((share, i) => {
      const at = Matrix.columnVector([1, square(share)]);
      expect(knots[i]!.aspect).toBeCloseTo(slack + lengthens * square(share), 9);
      const left = at.transpose().mmul(spread).mmul(at).get(0, 0);
      expect(knots[i]!.sd).toBeCloseTo(Math.hypot(Math.sqrt(left), misses), 9);
    });
    expect(knots[0]!.aspect).toBeLessThan(1.02);
  });

  it('is level under a first shape that was seen slack, and never longer there than what was seen', () => {
    const nominalMm = 280;
    const seen = (share: number, aspect: number): ShapeLaw => ({
      knots: [{ widthMm: share * nominalMm, aspect, sd: 0.02 }],
      seen: true,
      roundLimit: { kind: 'no-shapes-seen' },
    });
    expect(carriedOn({ law: seen(0.5, 1.03), nominalMm }).knots[0]).toMatchObject({ widthMm: 140, aspect: 1.03 });
    for (const { aspect } of carriedOn({ law: seen(0.9, 0.97), nominalMm }).knots.slice(0, 5))
      expect(aspect).toBeLessThanOrEqual(0.97);
  });
});
