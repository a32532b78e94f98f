import { normalFrom, randomFrom } from '../src';
import {
  changePoint,
  compareHands,
  FIRST_RULES,
  groupsChart,
  individualsChart,
  sharesChart,
  soundLimits,
  spokenRules,
  spokenWithin,
  whatMoved,
  type RunRule,
  type Watched,
} from '../src/control';
import { controlConstants } from '../src/statistics/controlConstants';
import { value } from './results';

// NIST/SEMATECH e-Handbook of Statistical Methods, section 6.3.2.2, flow rates of ten batches.
const FLOW = [49.6, 47.6, 49.9, 51.3, 47.8, 51.2, 52.6, 52.4, 53.6, 52.1];

describe('charts', () => {
  it('of single values have the limits of a published example', () => {
    const chart = value(individualsChart(FLOW));
    expect(chart.centre).toBeCloseTo(50.81, 10);
    expect(chart.range.centre).toBeCloseTo(1.8778, 4);
    // Printed from constants of four figures.
    expect(chart.high).toBeCloseTo(55.8041, 2);
    expect(chart.low).toBeCloseTo(45.8159, 2);
    expect(chart.ranges).toHaveLength(9);
    expect(chart.range.low).toBe(0);
  });

  it('of groups have the constants that are printed', () => {
    // ASTM MNL 7, table of factors: A2, D3, D4 of 2, 5 and 8.
    for (const [n, A2, D3, D4] of [
      [2, 1.88, 0, 3.267],
      [5, 0.577, 0, 2.114],
      [8, 0.373, 0.136, 1.864],
    ] as const) {
      const constants = controlConstants(n);
      expect(constants.A2).toBeCloseTo(A2, 2);
      expect(constants.D4).toBeCloseTo(D4, 2);
      expect(constants.D3).toBeCloseTo(D3, 2);
      const groups = [1, 2, 3, 4].map((at) => Array.from({ length: n }, (_, i) => at + (i % 2) * at));
      const { high, centre, range } = value(groupsChart(groups));
      // Ranges are 1, 2, 3, 4: their mean is 2.5.
      expect(range.centre).toBe(2.5);
      expect(high - centre).toBeCloseTo(A2 * 2.5, 1);
      expect(range.high).toBeCloseTo(D4 * 2.5, 1);
    }
  });

  it('of shares find the two samples of a published example that are out of control', () => {
    // Montgomery, Introduction to Statistical Quality Control, cans of orange juice: thirty samples of fifty.
    const off = [
      12, 15, 8, 10, 4, 7, 16, 9, 14, 10, 5, 6, 17, 12, 22, 8, 10, 5, 13, 11, 20, 18, 24, 15, 9, 12, 7, 13, 9, 6,
    ];
    const { centre, limits, shares } = value(sharesChart(off.map((count) => ({ off: count, of: 50 }))));
    expect(centre).toBeCloseTo(0.2313, 4);
    expect(limits[0]!.high).toBeCloseTo(0.4102, 4);
    expect(limits[0]!.low).toBeCloseTo(0.0524, 4);
    expect(shares.flatMap((share, i) => (share > limits[i]!.high ? [i + 1] : []))).toEqual([15, 23]);
  });

  it('refuse what they cannot be drawn of, by its field', () => {
    expect(individualsChart([1])).toMatchObject({ ok: false, problem: { code: 'too-few-values' } });
    expect(individualsChart([1, NaN])).toMatchObject({ problem: { code: 'bad-value', field: 'values.1' } });
    expect(groupsChart([[1, 2], [3]])).toMatchObject({ problem: { code: 'uneven-groups', field: 'groups.1' } });
    expect(groupsChart([[1, Infinity]])).toMatchObject({ problem: { code: 'bad-value', field: 'groups.0.1' } });
    expect(sharesChart([{ off: 3, of: 2 }])).toMatchObject({ problem: { code: 'no-share', field: 'counts.0' } });
  });
});

describe('run rules', () => {
  const said = (deviations: number[], rules?: readonly RunRule[]) =>
    spokenRules({ deviations, ...(rules && { rules }) }).map(({ rule, from, at, side }) => [rule, from, at, side]);

  it('name which one spoke, where, and to which side', () => {
    expect(said([0.1, -0.2, 3.1])).toEqual([['beyond', 2, 2, 'high']]);
    expect(said([-2.1, 0.3, -2.2])).toEqual([['two-of-three', 0, 2, 'low']]);
    expect(said([1.1, 1.2, -0.1, 1.3, 1.4])).toEqual([['four-of-five', 0, 4, 'high']]);
    expect(said([0.4, 0.2, 0.5, 0.3, 0.6, 0.2, 0.5, 0.1])).toEqual([['one-side', 0, 7, 'high']]);
    expect(said([-0.9, -0.5, -0.1, 0.3, 0.8, 1.4])).toEqual([['trend', 0, 5, 'high']]);
    expect(said([1.2, -1.3, 1.4, -1.1, 1.6, -1.2, 1.3, -1.4])).toEqual([['avoiding', 0, 7, null]]);
    const hugging = Array.from({ length: 15 }, (_, i) => [0.1, -0.2, 0.3, -0.3, 0.2, -0.1, -0.4][i % 7]!);
    expect(said(hugging)).toEqual([['hugging', 0, 14, null]]);
    const toAndFro = Array.from({ length: 14 }, (_, i) => (i % 2 === 0 ? 1 : -1) * (0.5 + (i % 3)));
    expect(said(toAndFro, ['to-and-fro'])).toEqual([['to-and-fro', 0, 13, null]]);
  });

  it('tell a run that goes on once, and nothing of a value that does not offend', () => {
    const all = spokenRules({ deviations: [3.2, 3.3, 3.4, 0, 3.5], rules: ['beyond'] });
    expect(all.map(({ from, to }) => [from, to])).toEqual([
      [0, 2],
      [4, 4],
    ]);
    expect(said([2.1, 2.2, 0], ['two-of-three'])).toEqual([['two-of-three', 0, 1, 'high']]);
  });

  // Champ and Woodall, Technometrics 29 (1987), table 1: values until a steady process is accused.
  it.each([
    [['beyond'], 370.4],
    [['beyond', 'two-of-three'], 225.44],
    [['beyond', 'four-of-five'], 166.05],
    [['beyond', 'one-side'], 152.73],
    [FIRST_RULES, 91.75],
  ] as [RunRule[], number][])('%j accuse a steady process as seldom as is published', (rules, published) => {
    const RUNS = 2000;
    let total = 0;
    for (let run = 0; run < RUNS; run += 1) {
      const random = randomFrom(77 + run);
      const deviations: number[] = [];
      let first: number | undefined;
      while (first === undefined) {
        for (let more = Math.max(64, deviations.length); more > 0; more -= 1) deviations.push(normalFrom(random));
        first = spokenRules({ deviations, rules })[0]?.at;
      }
      total += first + 1;
    }
    // The mean of so many waits has a standard error of 2.2 %.
    expect(Math.abs(total / RUNS / published - 1)).toBeLessThan(0.065);
  });
});

/** A series about 0 with standard deviation 1, and what is added to each. */
const series = (n: number, seed: number, added: (i: number) => number = () => 0) => {
  const random = randomFrom(seed);
  return Array.from({ length: n }, (_, i) => normalFrom(random) + added(i));
};

describe('the change point', () => {
  it('is the split of the largest likelihood, as trying them all has it', () => {
    for (let seed = 1; seed <= 40; seed += 1) {
      const values = series(24, seed, (i) => (i < 9 ? 0 : 1.2));
      const found = changePoint({ values })!;
      // The log likelihood of two normal laws of one deviation at its best, straight from its definition.
      const likelihood = (parts: number[][]) => {
        const left = parts.flatMap((part) => {
          const mean = part.reduce((sum, value) => sum + value, 0) / part.length;
          return part.map((value) => (value - mean) ** 2);
        });
        const variance = left.reduce((sum, square) => sum + square, 0) / values.length;
        return left.reduce((sum, square) => sum - Math.log(2 * Math.PI * variance) / 2 - square / (2 * variance), 0);
      };
      const tried = Array.from({ length: 24 - 5 }, (_, i) => {
        const at = i + 3;
        return { at, likelihood: likelihood([values.slice(0, at), values.slice(at)]) };
      });
      const best = tried.reduce((a, b) => (b.likelihood > a.likelihood ? b : a));
      expect(found.at).toBe(best.at);
      expect(found.evidence).toBeCloseTo(2 * (best.likelihood - likelihood([values])), 8);
    }
  });

  it.each([
    ['normal widths', (width: number) => width],
    ['widths read in steps', (width: number) => Math.round(width)],
  ])('is found in steady %s as often as it says', (_, read) => {
    const RUNS = 300;
    const chances = Array.from({ length: RUNS }, (_each, i) => {
      return changePoint({ values: series(30, 1000 + i).map(read) })!.chance;
    });
    // Five in a hundred, give or take 2.8 of its standard errors.
    const alarms = chances.filter((chance) => chance <= 0.05).length / RUNS;
    expect(alarms).toBeGreaterThan(0.05 - 0.035);
    expect(alarms).toBeLessThan(0.05 + 0.035);
  });

  it('is found where there is one, near its place', () => {
    const found = Array.from({ length: 100 }, (_, i) => {
      return changePoint({ values: series(30, 5000 + i, (at) => (at < 18 ? 0 : 2)) })!;
    });
    expect(found.filter(({ chance }) => chance <= 0.05).length).toBeGreaterThan(95);
    expect(found.filter(({ at }) => Math.abs(at - 18) <= 2).length).toBeGreaterThan(80);
  });

  it('is none in too few values, or in equal ones', () => {
    expect(changePoint({ values: [1, 2, 1, 2, 1] })).toBeNull();
    expect(changePoint({ values: [3, 3, 3, 3, 3, 3] })).toBeNull();
  });
});

describe('what moved a series', () => {
  const watched = (values: number[], about: (i: number) => Partial<Watched> = () => ({})): Watched[] =>
    values.map((value, i) => ({ value, bag: null, hands: null, rested: false, ...about(i) }));
  /** How often each cause is named in 200 series. */
  const named = (make: (seed: number) => Watched[]) => {
    const counts: Record<string, number> = {};
    for (let seed = 1; seed <= 200; seed += 1) {
      const { kind } = whatMoved(make(seed)).mover;
      counts[kind] = (counts[kind] ?? 0) + 1;
    }
    return counts;
  };
  const about = (i: number) => ({ bag: i < 15 ? 'a' : 'b', hands: i % 2 === 0 ? 'p' : 'q', rested: i % 10 === 0 });

  it('is nothing where nothing did, nineteen times of twenty', () => {
    expect(named((seed) => watched(series(30, seed), about))['nothing']).toBeGreaterThan(190);
  });

  it.each([
    ['bag', (i: number) => (i < 15 ? 0 : 2)],
    ['hands', (i: number) => (i % 2 === 0 ? 0 : 2)],
    ['tiring', (i: number) => (i % 10) * 0.4],
    ['drift', (i: number) => i * 0.12],
    ['step', (i: number) => (i < 8 ? 0 : 3)],
  ] as const)('is told to be %s where it was, and seldom anything else', (kind, added) => {
    const counts = named((seed) => watched(series(30, seed, added), about));
    expect(counts[kind]).toBeGreaterThan(160);
  });

  it('says the levels, and the step from one to the next', () => {
    const { mover } = whatMoved(
      watched([5, 5.1, 4.9, 5, 5.1, 7, 7.1, 6.9, 7, 7.1], (i) => ({ bag: i < 5 ? 'a' : 'b' })),
    );
    expect(mover).toEqual({
      kind: 'bag',
      levels: [
        { of: 'a', mean: expect.closeTo(5.02), count: 5 },
        { of: 'b', mean: expect.closeTo(7.02), count: 5 },
      ],
    });
  });

  it('says nothing of a few values', () => {
    expect(whatMoved(watched([1, 2, 3, 4, 5, 6, 7]))).toEqual({ mover: { kind: 'nothing' }, evidence: 0 });
  });
});

describe('hands compared', () => {
  it('hold the true lean of each in nineteen of twenty of their bands', () => {
    let [held, all] = [0, 0];
    for (let seed = 1; seed <= 300; seed += 1) {
      const random = randomFrom(seed);
      const truth = Array.from({ length: 6 }, () => 0.5 * normalFrom(random));
      const judged = compareHands(
        truth.map((lean, i) => ({
          of: String(i),
          offs: Array.from({ length: [3, 8, 20][i % 3]! }, () => lean + normalFrom(random)),
        })),
      );
      judged.forEach(({ low, high }, i) => {
        all += 1;
        if (low <= truth[i]! && truth[i]! <= high) held += 1;
      });
    }
    expect(held / all).toBeGreaterThan(0.92);
    expect(held / all).toBeLessThan(0.985);
  });

  it('do not give a bad name for three balloons, and do for thirty', () => {
    const usual = (of: string) => ({ of, offs: [-1, 1, -0.5, 0.5, 0, 0.8, -0.8, 0.2, -0.2, 0] });
    const three = compareHands([usual('a'), usual('b'), usual('c'), { of: 'new', offs: [1.5, 0.4, 0.8] }]).at(-1)!;
    expect(three.apart).toBeNull();
    expect(three.lean).toBeLessThan(0.6 * three.ownLean);
    const many = Array.from({ length: 30 }, (_, i) => [1.5, 0.4, 0.8][i % 3]!);
    const thirty = compareHands([usual('a'), usual('b'), usual('c'), { of: 'new', offs: many }]).at(-1)!;
    expect(thirty.apart).toBe('larger');
    expect(thirty.lean).toBeGreaterThan(0.8 * thirty.ownLean);
  });

  it('need two who made something, and bear one balloon, or all alike', () => {
    expect(
      compareHands([
        { of: 'a', offs: [1, 2] },
        { of: 'b', offs: [] },
      ]),
    ).toEqual([]);
    const alike = compareHands([
      { of: 'a', offs: [1] },
      { of: 'b', offs: [1, 1, 1] },
    ]);
    expect(alike.map(({ apart }) => apart)).toEqual([null, null]);
    for (const { lean, low, high, spread } of alike)
      expect([lean, low, high, spread].every((value) => Number.isFinite(value))).toBe(true);
  });
});

describe('limits from a history', () => {
  const steady = (count: number, seed: number) => {
    const random = randomFrom(seed);
    return Array.from({ length: count }, () => normalFrom(random));
  };

  it('are those of the published example, of which nothing lies beyond', () => {
    const limits = soundLimits({ values: FLOW })!;
    expect(limits.leftOut).toEqual([]);
    expect(limits.of).toBe(10);
    expect(limits.high).toBeCloseTo(55.8041, 2);
    expect(limits.low).toBeCloseTo(45.8159, 2);
  });

  it('forget slips: with three of them they come out as without', () => {
    const clean = steady(60, 5);
    const slipped = clean.map((value, i) => (i % 20 === 7 ? value + 12 : value));
    const limits = soundLimits({ values: slipped })!;
    expect(limits.leftOut).toEqual(expect.arrayContaining([7, 27, 47]));
    const without = soundLimits({ values: clean.filter((_, i) => i % 20 !== 7) })!;
    expect(limits.high).toBeCloseTo(without.high, 10);
    expect(limits.sd).toBeCloseTo(without.sd, 10);
  });

  it('are about as wide as the values differ, over many histories', () => {
    const sds = Array.from({ length: 300 }, (_, seed) => soundLimits({ values: steady(40, seed) })!.sd);
    // Ranges of neighbours tell the deviation without bias; leaving out the outermost takes little.
    expect(sds.reduce((sum, sd) => sum + sd, 0) / sds.length).toBeGreaterThan(0.95);
    expect(sds.reduce((sum, sd) => sum + sd, 0) / sds.length).toBeLessThan(1.02);
  });

  it('do not follow the newest, which are held to them', () => {
    const values = [...steady(40, 8), ...steady(12, 9).map((value) => value + 4)];
    const limits = soundLimits({ values, base: 40 })!;
    expect(limits.centre).toBeCloseTo(soundLimits({ values: values.slice(0, 40) })!.centre, 10);
    const spoken = spokenWithin(values, limits);
    expect(spoken.some(({ rule, at, side }) => rule === 'beyond' && at >= 40 && side === 'high')).toBe(true);
    expect(spoken.filter(({ side }) => side === 'high').every(({ to }) => to >= 40)).toBe(true);
  });

  it('take a step of the tape for chance where widths differ by less', () => {
    // A deviation of a quarter of the step: most are read alike, a few one step off.
    const read = steady(60, 3).map((value) => Math.round(value / 4 + 0.3) + 0);
    const limits = soundLimits({ values: read })!;
    expect(new Set(read).size).toBe(2);
    expect(limits.sd).toBeGreaterThanOrEqual(0.5);
    expect(spokenWithin(read, limits).filter(({ rule }) => rule === 'beyond')).toEqual([]);
  });

  it('are not given by a few, nor by values that are all the same an opinion', () => {
    expect(soundLimits({ values: steady(7, 1) })).toBeNull();
    expect(soundLimits({ values: [1, Number.NaN, 1, 1, 1, 1, 1, 1, 1] })).toBeNull();
    const same = soundLimits({ values: Array.from({ length: 12 }, () => 2) })!;
    expect(same).toMatchObject({ centre: 2, low: 2, high: 2, sd: 0, leftOut: [] });
    expect(spokenWithin([2, 2, 2], same)).toEqual([]);
  });
});
