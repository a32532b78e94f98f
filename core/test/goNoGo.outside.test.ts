import { estimateBatch, normalCdf, normalFrom, randomFrom, type HoleSighting } from '../src';
import { simulated } from './simulated';

/** The likelihood written out as in any handbook: a product of probabilities of intervals. */
function logLikelihood(sightings: readonly HoleSighting[], mean: number, sd: number): number {
  return sightings.reduce((sum, { stopsMm = -Infinity, passesMm = Infinity, count = 1 }) => {
    const share = normalCdf((passesMm - mean) / sd) - normalCdf((stopsMm - mean) / sd);
    return sum + count * Math.log(Math.max(share, 1e-300));
  }, 0);
}

const THREE_HOLES: HoleSighting[] = [
  { passesMm: 222.25, count: 3 },
  { stopsMm: 222.25, passesMm: 228.6, count: 14 },
  { stopsMm: 228.6, passesMm: 234.95, count: 9 },
  { stopsMm: 234.95, count: 2 },
];
/** Each balloon tried at one hole only: no sighting is closed on both sides. */
const ONE_HOLE_EACH: HoleSighting[] = [
  { passesMm: 225, count: 6 },
  { stopsMm: 225, count: 14 },
  { passesMm: 232, count: 15 },
  { stopsMm: 232, count: 5 },
];

describe('estimateBatch against brute force', () => {
  it.each([
    ['three holes', THREE_HOLES],
    ['one hole each', ONE_HOLE_EACH],
  ])('finds the top that a grid finds, and the interval that its profile gives: %s', (_, sightings) => {
    const law = estimateBatch(sightings);
    if (!law.ok) throw new Error(law.problem.code);
    let best = { mean: 0, sd: 0, at: -Infinity };
    const profile = new Map<number, number>();
    for (let mean = 220; mean <= 240; mean += 0.1) {
      for (let sd = 1; sd <= 30; sd += 0.1) {
        const at = logLikelihood(sightings, mean, sd);
        if (at > best.at) best = { mean, sd, at };
        profile.set(mean, Math.max(profile.get(mean) ?? -Infinity, at));
      }
    }
    expect(Math.abs(law.value.meanMm.value - best.mean)).toBeLessThan(0.11);
    expect(Math.abs(law.value.spreadMm.value - best.sd)).toBeLessThan(0.11);
    const inside = [...profile].filter(([, at]) => at >= best.at - 1.9207).map(([mean]) => mean);
    expect(Math.abs(law.value.meanMm.low - Math.min(...inside))).toBeLessThan(0.2);
    expect(Math.abs(law.value.meanMm.high - Math.max(...inside))).toBeLessThan(0.2);
  });

  simulated('holds the true mean and spread about 95 times in 100 simulated batches of 40', () => {
    const random = randomFrom(4);
    const holes = [222.25, 225.4, 228.6, 231.8, 234.95];
    let mean = 0;
    let spread = 0;
    const runs = 300;
    for (let run = 0; run < runs; run += 1) {
      const sightings = Array.from({ length: 40 }, (): HoleSighting => {
        const width = 228 + 4 * normalFrom(random);
        const stopsMm = holes.filter((hole) => hole < width).at(-1);
        return { stopsMm, passesMm: holes.find((hole) => hole >= width) };
      });
      const law = estimateBatch(sightings);
      if (!law.ok) throw new Error(law.problem.code);
      mean += Number(law.value.meanMm.low <= 228 && law.value.meanMm.high >= 228);
      spread += Number(law.value.spreadMm.low <= 4 && law.value.spreadMm.high >= 4);
    }
    expect(mean / runs).toBeGreaterThan(0.91);
    expect(spread / runs).toBeGreaterThan(0.91);
    expect(mean / runs).toBeLessThan(0.99);
  });

  it('says how much spread there can be when all lie between the same two holes', () => {
    const law = estimateBatch([{ stopsMm: 222, passesMm: 228, count: 20 }]);
    if (!law.ok) throw new Error(law.problem.code);
    expect(law.value.spreadMm).toMatchObject({ value: 0, low: 0 });
    expect(law.value.meanMm.value).toBeGreaterThan(222);
    expect(law.value.meanMm.value).toBeLessThan(228);
    // With the mean in the middle, all twenty inside with the likelihood that a 95 % interval still allows.
    const sd = law.value.spreadMm.high;
    expect(20 * Math.log(2 * normalCdf(3 / sd) - 1)).toBeCloseTo(-1.9207, 2);
  });
});

describe('estimateBatch with answers that tell too little', () => {
  it.each([
    ['none', []],
    ['all-above', [{ stopsMm: 222, count: 12 }]],
    ['all-below', [{ passesMm: 222, count: 12 }]],
    [
      'one-bound',
      [
        { stopsMm: 222, count: 5 },
        { passesMm: 222, count: 7 },
      ],
    ],
    [
      'spread-unbounded',
      [
        { passesMm: 222, count: 5 },
        { stopsMm: 228, count: 7 },
      ],
    ],
    ['upside-down', [{ stopsMm: 228, passesMm: 222 }]],
  ] as [string, HoleSighting[]][])('%s', (code, sightings) => {
    expect(estimateBatch(sightings)).toMatchObject({ ok: false, problem: { code } });
  });
});
