import { coreCheckResult, type CheckRecord, type SizerRecord } from '@leggero/contract';
import {
  estimateBatch,
  judgeBatch,
  pairMismatch,
  type BatchJudgement,
  type BatchLaw,
  type BatchLawProblem,
  type CheckResult,
  type FilledPair,
  type PairMismatch,
} from '@leggero/core';

import { checkHoleOffMm, correctedResult, holesById } from './holes';

/** What is computed from a check's records, with its holes as they are now known to have been. */
export interface CheckView {
  /** The check with its results corrected. */
  check: CheckRecord;
  /** None before the first result. */
  judgement: BatchJudgement | null;
  /** How much wider the hole of the answers was than it was taken for, mm. */
  holeOffMm: number;
  /** Mean and spread from answers at two holes or more, or why they do not tell them; null without such answers. */
  law: { value: BatchLaw } | { problem: BatchLawProblem } | null;
  /** For balloons filled two at once. */
  pairs: PairMismatch | null;
  lot: LotView | null;
}

/** How a lot stands by its sample. */
export interface LotView {
  lotSize: number;
  sample: number;
  acceptMost: number;
  off: number;
  state: 'going' | 'accepted' | 'rejected';
}

export function viewCheck(record: CheckRecord, sizers: readonly SizerRecord[]): CheckView {
  const holes = holesById(sizers);
  const check = { ...record, results: record.results.map((result) => correctedResult(result, holes)) };
  const holeOffMm = checkHoleOffMm(check, holes);
  const { targetMm, toleranceMm } = check;
  const results = check.results.map(coreCheckResult);
  // Of a layer of a piece, or of a lot no larger than its sample, every balloon is checked.
  const all = check.layer !== null || check.lotSize === check.size;
  const whole = all && results.length >= check.size;
  const judged = judgeBatch({ targetMm, toleranceMm, results, holeOffMm, whole });
  const judgement = judged.ok ? judged.value : null;
  return {
    check,
    judgement,
    holeOffMm,
    law: lawOf(results),
    pairs: pairsOf(check),
    lot: lotOf(check, judgement),
  };
}

/** The checks of a run, in the order they are done; none where there is no run. */
export function runOf(checks: readonly CheckRecord[], runId: string | null): CheckRecord[] {
  return checks
    .filter((check) => runId !== null && check.runId === runId)
    .sort((a, b) => (a.place ?? 0) - (b.place ?? 0));
}

function lawOf(results: readonly CheckResult[]): CheckView['law'] {
  const between = results.flatMap((result) => (result.kind === 'between' ? [result] : []));
  if (between.length === 0) return null;
  const law = estimateBatch(between);
  return law.ok ? { value: law.value } : { problem: law.problem.code };
}

function pairsOf({ pairs, results, toleranceMm }: CheckRecord): PairMismatch | null {
  if (!pairs) return null;
  const bounds = new Map(results.map((result) => [result.position, boundsOf(coreCheckResult(result))]));
  const filled: FilledPair[] = [];
  for (const [position, left] of bounds) {
    const right = bounds.get(position + 1);
    if (position % 2 === 0 && left && right) filled.push({ left, right });
  }
  const mismatch = pairMismatch({ pairs: filled, toleranceMm });
  return mismatch.ok ? mismatch.value : null;
}

/** What a result tells of a width; nothing for an answer at one hole, whose tolerance is as wide as a mismatch. */
function boundsOf(result: CheckResult): FilledPair['left'] | null {
  if (result.kind === 'measured') return { lowMm: result.widthMm, highMm: result.widthMm };
  if (result.kind === 'answer') return null;
  return { lowMm: result.stopsMm ?? -Infinity, highMm: result.passesMm ?? Infinity };
}

function lotOf({ lotSize, acceptMost, size, results }: CheckRecord, judgement: BatchJudgement | null): LotView | null {
  if (lotSize === null || acceptMost === null) return null;
  const off = judgement ? judgement.tooLarge.length + judgement.tooSmall.length : 0;
  const state = off > acceptMost ? 'rejected' : results.length >= size ? 'accepted' : 'going';
  return { lotSize, sample: size, acceptMost, off, state };
}
