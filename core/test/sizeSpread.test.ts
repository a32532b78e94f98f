import { normalFrom, randomFrom, sizeSpread, type CheckResult } from '@leggero/core';

const TRUE = { lean: 0.012, sd: 0.02 };

/** Batches of balloons off by one law, held to targets of their own: widths, or answers at the hole. */
function batchesOf(seed: number, kind: 'widths' | 'answers' | 'both') {
  const random = randomFrom(seed);
  return [240, 125, 180].map((targetMm, batch) => {
    const toleranceMm = 0.025 * targetMm;
    const results = Array.from({ length: 120 }, (): CheckResult => {
      const widthMm = targetMm * (1 + TRUE.lean + TRUE.sd * normalFrom(random));
      if (kind === 'widths' || (kind === 'both' && batch === 0)) return { kind: 'measured', widthMm };
      const off = widthMm - targetMm;
      return { kind: 'answer', answer: off > toleranceMm ? 'stops' : off < -toleranceMm ? 'falls' : 'passes' };
    });
    return { targetMm, toleranceMm, holeOffMm: 0, results };
  });
}

describe('how balloons come out', () => {
  it.each(['widths', 'answers', 'both'] as const)('is found from %s of batches of any size', (kind) => {
    const found = sizeSpread(batchesOf(7, kind));
    if (!found.ok) throw new Error(found.problem.code);
    // Of 360 balloons, four standard errors of their widths; answers tell about half as much.
    const near = (kind === 'widths' ? 1 : 2) * 4 * (TRUE.sd / Math.sqrt(360));
    expect(Math.abs(found.value.lean - TRUE.lean)).toBeLessThan(near);
    expect(Math.abs(found.value.sd - TRUE.sd)).toBeLessThan(near);
    expect(found.value.balloons).toBe(360);
  });

  it('follows a hole that was off', () => {
    const held = batchesOf(7, 'answers').map((batch) => ({ ...batch, holeOffMm: 0.01 * batch.targetMm }));
    const [before, after] = [sizeSpread(batchesOf(7, 'answers')), sizeSpread(held)];
    if (!before.ok || !after.ok) throw new Error('no spread');
    expect(after.value.lean - before.value.lean).toBeCloseTo(0.01, 4);
  });

  it('cannot be told of few, nor of answers that all say the same', () => {
    const right = Array.from({ length: 40 }, (): CheckResult => ({ kind: 'answer', answer: 'stops' }));
    const batch = { targetMm: 240, toleranceMm: 6, holeOffMm: 0 };
    expect(sizeSpread([{ ...batch, results: right.slice(0, 7) }])).toMatchObject({ problem: { code: 'too-few' } });
    expect(sizeSpread([{ ...batch, results: right }])).toMatchObject({ problem: { code: 'all-above' } });
    const alike = Array.from({ length: 40 }, (): CheckResult => ({ kind: 'measured', widthMm: 240 }));
    expect(sizeSpread([{ ...batch, results: alike }])).toMatchObject({ problem: { code: 'no-spread' } });
  });
});
