import { eyeBalloonCount, type EyeCheckRecord } from '@leggero/contract';
import { pairMismatch, workToleranceMm, type PairMismatch, type Trade } from '@leggero/core';
import { compareEyes, judgeEye, type EyeComparison, type EyeJudgement, type EyeProblemCode } from '@leggero/core/eye';

/** One person's part of a session. */
export interface EyePart {
  personId: string;
  widthsMm: number[];
  judgement: EyeJudgement | null;
  problem: EyeProblemCode | null;
}

/** What is computed from a session by eye. */
export interface EyeView {
  total: number;
  filled: number;
  measured: number;
  parts: EyePart[];
  comparison: EyeComparison | null;
  pairs: PairMismatch | null;
}

export function viewEyeCheck(check: EyeCheckRecord, nominalMm: number, trade: Trade): EyeView {
  const { mode, size, balloons, targetMm, personId, secondPersonId } = check;
  const widthsOf = (from: number, to: number) =>
    balloons.flatMap(({ position, widthMm }) =>
      position >= from && position < to && widthMm !== null ? [widthMm] : [],
    );
  const part = (id: string, widthsMm: number[]): EyePart => {
    const judged = judgeEye({ targetMm, nominalMm, widthsMm, trade });
    return {
      personId: id,
      widthsMm,
      judgement: judged.ok ? judged.value : null,
      problem: judged.ok ? null : judged.problem.code,
    };
  };
  const parts = [part(personId, widthsOf(0, mode === 'two' ? size : Infinity))];
  if (mode === 'two' && secondPersonId) parts.push(part(secondPersonId, widthsOf(size, Infinity)));
  const [first, second] = parts;
  return {
    total: eyeBalloonCount(check),
    filled: balloons.length,
    measured: balloons.filter(({ widthMm }) => widthMm !== null).length,
    parts,
    comparison: first?.judgement && second?.judgement ? compareEyes(first.widthsMm, second.widthsMm) : null,
    pairs: mode === 'pairs' ? pairsOf(check, nominalMm, trade) : null,
  };
}

function pairsOf({ balloons }: EyeCheckRecord, nominalMm: number, trade: Trade): PairMismatch | null {
  const widths = new Map(balloons.map(({ position, widthMm }) => [position, widthMm]));
  const exact = (mm: number) => ({ lowMm: mm, highMm: mm });
  const filled = [...widths].flatMap(([position, left]) => {
    const right = widths.get(position + 1);
    return position % 2 === 0 && left && right ? [{ left: exact(left), right: exact(right) }] : [];
  });
  const mismatch = pairMismatch({
    pairs: filled,
    toleranceMm: workToleranceMm({ work: 'classic', nominalMm, trade }),
  });
  return mismatch.ok ? mismatch.value : null;
}
