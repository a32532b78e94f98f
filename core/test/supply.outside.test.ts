import fc from 'fast-check';
import jstat from 'jstat';

import {
  afterLosses,
  bagsFor,
  chanceOfLosing,
  costOf,
  hoursFor,
  inCarryBag,
  lossLaw,
  lossShareOf,
  promisedTo,
  shareOut,
  sparesFor,
  stockOf,
  type StockEntry,
} from '../src/supply';
import { TRADE } from '../src';
import { inch, value } from './results';

describe('chances of a beta-binomial law', () => {
  /** Of `taken` balloons exactly so many lost: the binomial chance, weighed by the beta law over all shares. */
  function byIntegral(lost: number, taken: number, a: number, b: number): number {
    const steps = 20_000;
    let sum = 0;
    for (let i = 0; i < steps; i += 1) {
      const share = (i + 0.5) / steps;
      sum += jstat.binomial.pdf(lost, taken, share) * jstat.beta.pdf(share, a, b);
    }
    return sum / steps;
  }

  it.each([
    [2, 30, 15],
    [1.2, 18.8, 48],
    [5, 5, 12],
  ])('are those of a reference library’s binomial law under its beta law (a %d, b %d, of %d)', (lost, kept, taken) => {
    let sum = 0;
    for (let most = 0; most <= 6; most += 1) {
      sum += byIntegral(most, taken, lost, kept);
      expect(chanceOfLosing({ law: { lost, kept }, taken, most })).toBeCloseTo(sum, 4);
    }
  });

  it('are those published for boys among twelve children of 6,115 families (Geissler 1889, fitted by Lindsey 1995)', () => {
    // From memory: the fit's two figures, and what it expects.
    const law = { lost: 34.13, kept: 31.61 };
    const expected = [2.3, 22.6, 104.8, 310.9, 655.7, 1036.2, 1257.9, 1182.1, 853.6, 461.9, 177.9, 43.8, 5.2];
    let before = 0;
    expected.forEach((families, boys) => {
      const now = chanceOfLosing({ law, taken: 12, most: boys });
      expect(Math.abs(6115 * (now - before) - families)).toBeLessThan(Math.max(1, 0.01 * families));
      before = now;
    });
  });

  it('hold for very many balloons too, where the law of their number is all but normal', () => {
    // By its mean and variance (Johnson, Kemp and Kotz), with the reference library's normal law.
    const [law, taken] = [{ lost: 500, kept: 9500 }, 60_000];
    const all = law.lost + law.kept;
    const mean = (taken * law.lost) / all;
    const sd = Math.sqrt((mean * law.kept * (all + taken)) / (all * (all + 1)));
    for (const z of [-2, -1, 0, 1, 2]) {
      const chance = chanceOfLosing({ law, taken, most: Math.round(mean + z * sd) });
      // A little skew is left of its beta law.
      expect(Math.abs(chance - jstat.normal.cdf(z, 0, 1))).toBeLessThan(0.01);
    }
    expect(value(sparesFor({ needed: 50_000, confidence: 0.95 })).take).toBeLessThan(65_000);
  });

  it('are certain where all may be lost', () => {
    expect(chanceOfLosing({ law: { lost: 3, kept: 2 }, taken: 7, most: 7 })).toBe(1);
  });
});

describe('spares', () => {
  const take = (needed: number, more: Partial<Parameters<typeof sparesFor>[0]> = {}) =>
    value(sparesFor({ needed, confidence: 0.95, ...more }));

  it('are fifteen taken for twelve needed (common practice)', () => {
    expect(take(12)).toMatchObject({ take: 15, spare: 3 });
  });

  it('are the fewest with which enough survive as surely as was asked', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.integer({ min: 0, max: 200 }),
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        fc.double({ min: 0.5, max: 0.99, noNaN: true }),
        (needed, used, share, confidence) => {
          const losses = { used, lost: Math.floor(share * used) };
          const found = take(needed, { losses, confidence });
          const law = afterLosses(lossLaw({}), losses);
          const sureOf = (taken: number) => chanceOfLosing({ law, taken, most: taken - needed });
          expect(found.sure).toBeGreaterThanOrEqual(confidence);
          expect(sureOf(found.take)).toBeCloseTo(found.sure, 10);
          if (found.spare > 0) expect(sureOf(found.take - 1)).toBeLessThan(confidence);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('fall as a studio loses little, and rise as it loses much', () => {
    const usual = take(60).spare;
    expect(take(60, { losses: { used: 600, lost: 6 } }).spare).toBeLessThan(usual);
    expect(take(60, { losses: { used: 60, lost: 15 } }).spare).toBeGreaterThan(usual);
  });

  it('cost more the surer one wants to be', () => {
    const spares = [0.5, 0.8, 0.9, 0.95, 0.99].map((confidence) => take(60, { confidence }).spare);
    expect([...spares].sort((a, b) => a - b)).toEqual(spares);
    expect(spares.at(-1)!).toBeGreaterThan(spares[0]!);
  });

  it('are none where nothing is needed, and refused where all is lost, or what was lost is no count', () => {
    expect(take(0)).toEqual({ take: 0, spare: 0, expectedLost: 0, sure: 1 });
    const wrong = (more: object) => {
      const found = sparesFor({ needed: 12, confidence: 0.95, ...more });
      return found.ok ? null : [found.problem.code, found.problem.field];
    };
    expect(wrong({ losses: { used: 5000, lost: 5000 } })).toEqual(['never-enough', 'losses']);
    expect(wrong({ losses: { used: 3, lost: 4 } })).toEqual(['bad-losses', 'losses']);
    expect(wrong({ needed: 1.5 })).toEqual(['bad-needed', 'needed']);
    expect(wrong({ confidence: 1 })).toEqual(['bad-confidence', 'confidence']);
  });
});

describe('what is lost', () => {
  it('is what is usual before anyone counted: filling and building one after the other', () => {
    const { inflate, build } = TRADE.lossShare;
    expect(lossShareOf(lossLaw({}))).toBeCloseTo(1 - (1 - inflate) * (1 - build), 12);
  });

  it('is so much more of stuffed ones in filling', () => {
    const { inflate, build } = TRADE.lossShare;
    const both = 1 - (1 - inflate * TRADE.stuffedEffort.loss) * (1 - build);
    expect(lossShareOf(lossLaw({ stuffed: true }))).toBeCloseTo(both, 12);
  });

  it('has the spread of shares that are drawn work by work', () => {
    const law = lossLaw({ own: { inflate: { used: 30, lost: 3 } } });
    // Moments of a product of beta shares, by the moments of each.
    const [first, second] = [
      { lost: 0.04 * 20 + 3, kept: 0.96 * 20 + 27 },
      { lost: 0.02 * 20, kept: 0.98 * 20 },
    ];
    const mean = ({ lost, kept }: typeof first) => kept / (lost + kept);
    const square = ({ lost, kept }: typeof first) => (kept * (kept + 1)) / ((lost + kept) * (lost + kept + 1));
    const [m, s] = [mean(first) * mean(second), square(first) * square(second)];
    expect(mean(law)).toBeCloseTo(m, 12);
    expect(square(law)).toBeCloseTo(s, 12);
  });

  it('nears a balloon’s own losses as they are counted, and lies between them and those of the others before', () => {
    const others = [{ inflate: { used: 400, lost: 40 } }];
    const share = (used: number) => lossShareOf(lossLaw({ own: { inflate: { used, lost: 0 } }, others }));
    expect(share(0)).toBeGreaterThan(share(50));
    expect(share(50)).toBeGreaterThan(share(5000));
    expect(share(5000)).toBeCloseTo(TRADE.lossShare.build, 2);
  });

  it('of one balloon is no rule for the others, however often it was lost; of many it is', () => {
    const bad = { inflate: { used: 10_000, lost: 10_000 } };
    const share = (balloons: number) => lossShareOf(lossLaw({ others: Array(balloons).fill(bad) }));
    // As much as the usual rate says: halfway between them.
    expect(share(1)).toBeLessThan(0.55);
    expect(share(20)).toBeGreaterThan(0.9);
  });
});

describe('a ledger of stock', () => {
  const entries: StockEntry[] = [
    { change: 'bought', count: 100, atMs: 10 },
    { change: 'out', count: 60, atMs: 20 },
    { change: 'back', count: 12, atMs: 30 },
    { change: 'spoiled', count: 2, atMs: 40 },
  ];

  it('adds up by hand, in whatever order it was written down', () => {
    const sums = { there: 50, out: 48, spoiled: 2, countedAtMs: null };
    expect(stockOf(entries)).toEqual(sums);
    expect(stockOf([...entries].reverse())).toEqual(sums);
  });

  it('believes who counts, and adds what came and went since', () => {
    const counted: StockEntry = { change: 'counted', count: 44, atMs: 35 };
    expect(stockOf([counted, ...entries])).toEqual({ there: 42, out: 0, spoiled: 2, countedAtMs: 35 });
    // Bought and counted in one moment: the count has seen it.
    expect(stockOf([counted, { change: 'bought', count: 50, atMs: 35 }]).there).toBe(44);
  });

  it('may fall below nothing, and says so', () => {
    expect(stockOf([{ change: 'out', count: 5, atMs: 1 }]).there).toBe(-5);
  });

  it('is promised to events as they open', () => {
    const demands = [
      { event: 'late', opensAtMs: 300, count: 50 },
      { event: 'undated', opensAtMs: null, count: 10 },
      { event: 'soon', opensAtMs: 100, count: 60 },
    ];
    const of = (event: string) => promisedTo({ there: 100, demands, event });
    expect(of('soon')).toEqual({ before: 0, left: 100, lacks: 0, later: 20 });
    expect(of('late')).toEqual({ before: 60, left: 40, lacks: 10, later: 10 });
    expect(of('undated')).toEqual({ before: 110, left: 0, lacks: 10, later: 0 });
    expect(promisedTo({ there: -4, demands, event: 'soon' })).toMatchObject({ left: 0, lacks: 60 });
  });
});

describe('bags', () => {
  it('are bought whole', () => {
    expect(bagsFor({ lacks: 51, of: 50 })).toEqual({ bags: 2, bagOf: 50, balloons: 100, left: 49 });
    expect(bagsFor({ lacks: 50, of: 50 })).toMatchObject({ bags: 1, left: 0 });
    expect(bagsFor({ lacks: 0, of: 50 })).toMatchObject({ bags: 0, balloons: 0 });
    expect(bagsFor({ lacks: 1, of: null })).toMatchObject({ bags: 1, bagOf: TRADE.bagOf });
  });

  it('hold fewer balloons than spheres poured into a wide box fill of it (0.64, Bernal 1960), and one at least', () => {
    // A whole number of large ones leaves more of a bag free.
    for (const width of [4, 7.5, 10]) {
      const each = (Math.PI / 6) * (inch(width) / 100) ** 3;
      const filled = (inCarryBag({ widthMm: inch(width) }) * each) / TRADE.carryBagL;
      expect(filled).toBeLessThan(0.64);
      expect(filled).toBeGreaterThan(0.64 * 0.8);
    }
    expect(inCarryBag({ widthMm: 2000 })).toBe(1);
  });
});

describe('hours', () => {
  const counts = { balloons: 48, stuffed: 0, knots: 24, clusters: 12, pieces: 1 };
  const hours = (more: Partial<Parameters<typeof hoursFor>[0]> = {}) =>
    value(hoursFor({ counts, sized: false, people: 1, stations: 1, ...more }));
  const minutesOf = (found: ReturnType<typeof hours>, ...phases: string[]) =>
    60 * found.phases.filter(({ phase }) => phases.includes(phase)).reduce((sum, { hours: own }) => sum + own, 0);

  it('of inflating and tying forty-eight by eye are ten to fifteen minutes (common practice)', () => {
    const minutes = minutesOf(hours(), 'inflate', 'tie');
    expect(minutes).toBeGreaterThanOrEqual(9.5);
    expect(minutes).toBeLessThanOrEqual(15);
  });

  it('are clearly longer with a sizer (common practice)', () => {
    expect(minutesOf(hours({ sized: true }), 'inflate')).toBeGreaterThan(1.5 * minutesOf(hours(), 'inflate'));
  });

  it('are shared by who is there, and inflating only by stations', () => {
    const [alone, three] = [hours(), hours({ people: 3, stations: 2 })];
    expect(three.handHours).toBeCloseTo(alone.handHours, 12);
    expect(minutesOf(three, 'tie')).toBeCloseTo(minutesOf(alone, 'tie') / 3, 10);
    expect(minutesOf(three, 'inflate')).toBeCloseTo(minutesOf(alone, 'inflate') / 2, 10);
    const limitOf = (phase: string) => three.phases.find((each) => each.phase === phase)!.limit;
    expect([limitOf('inflate'), limitOf('tie'), limitOf('stuff')]).toEqual(['stations', 'people', null]);
    // More stations than hands shorten nothing.
    expect(hours({ people: 2, stations: 9 }).hours).toBeCloseTo(hours({ people: 2, stations: 2 }).hours, 12);
  });

  it('need somebody, and something to inflate with', () => {
    const codeOf = (people: number, stations: number) => {
      const found = hoursFor({ counts, sized: false, people, stations });
      return found.ok ? null : found.problem.code;
    };
    expect([codeOf(0, 1), codeOf(1, 0)]).toEqual(['nobody', 'no-station']);
  });
});

describe('a price', () => {
  const asked = {
    goods: [
      { key: 'kelp', count: 60, spare: 10, eachMinor: 23 },
      { key: 'foam', count: 15, spare: 3, eachMinor: null },
    ],
    ...{ handHours: 2.5, hourMinor: 2200, travelMinor: 4500, hireMinor: 0, extras: [{ minor: 300 }], margin: 0.25 },
  };

  it('adds up by hand, and tells what has no price', () => {
    const cost = value(costOf(asked));
    // 50 and 10 at 23 cents; two and a half hours at 22; 45 of travel; 3 of extras.
    expect(cost).toMatchObject({ materialMinor: 1150, sparesMinor: 230, workMinor: 5500, extrasMinor: 300 });
    expect(cost.totalMinor).toBe(1150 + 230 + 5500 + 4500 + 300);
    expect(cost.priceMinor).toBe(Math.round(11_680 / 0.75));
    expect(cost.marginMinor / cost.priceMinor).toBeCloseTo(0.25, 4);
    expect(cost.unpriced).toEqual(['foam']);
  });

  it('is parted so that its parts add up: the method of largest remainders, by its textbook example', () => {
    // Ten seats for 47,000, 16,000, 15,900, 12,000, 6,000 and 3,100 votes (common textbook case).
    expect(shareOut(10, [47_000, 16_000, 15_900, 12_000, 6_000, 3_100])).toEqual([5, 2, 1, 1, 1, 0]);
    fc.assert(
      fc.property(fc.nat(1_000_000), fc.array(fc.nat(1000), { minLength: 1, maxLength: 12 }), (minor, weights) => {
        const shares = shareOut(minor, weights);
        expect(shares.reduce((sum, share) => sum + share, 0)).toBe(minor);
        const all = weights.reduce((sum, weight) => sum + weight, 0);
        if (all > 0)
          shares.forEach((share, i) => expect(Math.abs(share - (minor * weights[i]!) / all)).toBeLessThan(1));
      }),
    );
    expect(shareOut(3, [0, 0])).toEqual([2, 1]);
    expect(shareOut(3, [])).toEqual([]);
  });

  it('is none below nothing, nor with all of it margin', () => {
    const wrong = (more: Partial<typeof asked>) => {
      const found = costOf({ ...asked, ...more });
      return found.ok ? null : [found.problem.code, found.problem.field];
    };
    expect(wrong({ travelMinor: -1 })).toEqual(['bad-price', 'travelMinor']);
    expect(wrong({ extras: [{ minor: 0 }, { minor: -1 }] })).toEqual(['bad-price', 'extras.1']);
    expect(wrong({ goods: [{ key: 'kelp', count: 1, spare: 0, eachMinor: -1 }] })).toEqual(['bad-price', 'kelp']);
    expect(wrong({ margin: 1 })).toEqual(['bad-margin', 'margin']);
    expect(wrong({ hourMinor: NaN })).toEqual(['bad-price', 'hourMinor']);
  });
});
