import { judgeBatch, normalFrom, randomFrom, type Verdict } from '../src';

const OC_TOLERANCE_MM = 6.35;
const TARGET_MM = 254;

/** How often each verdict is given to `count` balloons of a batch that leans and scatters so much. */
export function verdictShares({
  leanMm,
  spreadMm,
  count,
  runs,
}: {
  leanMm: number;
  spreadMm: number;
  count: number;
  runs: number;
}): Record<Verdict, number> {
  const shares: Record<Verdict, number> = { even: 0, 'some-off': 0, 'off-centre': 0, uneven: 0, 'too-few': 0 };
  const random = randomFrom(1000 * leanMm + 10 * spreadMm + count);
  for (let run = 0; run < runs; run += 1) {
    const results = Array.from({ length: count }, () => ({
      kind: 'measured' as const,
      widthMm: TARGET_MM + leanMm + spreadMm * normalFrom(random),
    }));
    const judged = judgeBatch({ targetMm: TARGET_MM, toleranceMm: OC_TOLERANCE_MM, results });
    if (!judged.ok) throw new Error(judged.problem.code);
    shares[judged.value.verdict] += 1 / runs;
  }
  return shares;
}
