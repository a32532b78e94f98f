import type { ModelKind } from '../balloon';
import type { Inflator } from '../inflator';
import { estimateCurve, type EstimatedCurve } from './estimateCurve';
import { fitCalibration, type CalibrationFit, type FitProblemCode } from './fitCalibration';
import { learnWays, sdsOf, type LearnedWay } from './learnWays';
import { poolInflator, type InflatorKnowledge } from './poolInflator';
import type { Reading, Way, WaySds } from './reading';

/** A calibration as the shelf holds it. */
export interface ShelfCalibration {
  id: string;
  inflatorId: string;
  readings: readonly Reading[];
}

/** A balloon on the shelf, its calibrations newest first. */
export interface ShelfBalloon {
  id: string;
  line: string;
  kind: ModelKind;
  nominalMm: number;
  /** Two balloons, one in the other: it fills unlike any other of its line. */
  stuffed: boolean;
  calibrations: readonly ShelfCalibration[];
}

/** A fit, or why there is none. */
export type FitOutcome = { fit: CalibrationFit; problem: null } | { fit: null; problem: FitProblemCode };

/** A fitted calibration and whose it is. */
interface Fitted {
  balloon: ShelfBalloon;
  inflatorId: string;
  fit: CalibrationFit;
}

/** What all calibrations of a studio teach together. */
export interface ShelfKnowledge {
  /** How sure each way of measuring is. */
  ways: Record<Way, LearnedWay>;
  /** By calibration id. */
  outcomes: ReadonlyMap<string, FitOutcome>;
  /** By inflator id; what each is known to do over all balloons. */
  inflators: ReadonlyMap<string, InflatorKnowledge | null>;
  fitted: readonly Fitted[];
}

/**
 * Fits every calibration, learns how sure each way of measuring is, fits anew with that, and pools what is known of
 * each inflator.
 */
export function knowShelf({
  balloons,
  inflators,
}: {
  balloons: readonly ShelfBalloon[];
  inflators: ReadonlyMap<string, Inflator>;
}): ShelfKnowledge {
  const residuals = fitAll(balloons, inflators, undefined).fitted.flatMap(({ fit }) => fit.residuals);
  const ways = learnWays(residuals);
  const { outcomes, fitted } = fitAll(balloons, inflators, sdsOf(ways));
  const known = new Map<string, InflatorKnowledge | null>();
  for (const [id, inflator] of inflators) {
    const alone = fitted.filter(({ inflatorId, balloon }) => inflatorId === id && !balloon.stuffed);
    const fits = alone.map(({ fit }) => fit);
    known.set(id, poolInflator({ inflator, fits }));
  }
  return { ways, outcomes, inflators: known, fitted };
}

function fitAll(
  balloons: readonly ShelfBalloon[],
  inflators: ReadonlyMap<string, Inflator>,
  ways: WaySds | undefined,
): { outcomes: Map<string, FitOutcome>; fitted: Fitted[] } {
  const outcomes = new Map<string, FitOutcome>();
  const fitted: Fitted[] = [];
  for (const balloon of balloons) {
    for (const { id, inflatorId, readings } of balloon.calibrations) {
      const pump = inflators.get(inflatorId) ?? { kind: 'hand' };
      const { nominalMm } = balloon;
      const result = fitCalibration({ nominalMm, readings, pump, ...(ways ? { ways } : {}) });
      if (result.ok) fitted.push({ balloon, inflatorId, fit: result.value });
      outcomes.set(id, result.ok ? { fit: result.value, problem: null } : { fit: null, problem: result.problem.code });
    }
  }
  return { outcomes, fitted };
}

/** The other sizes of a balloon's line: one line in one kind behaves alike, balloon by balloon. */
export function sameLine(a: Pick<ShelfBalloon, 'id' | 'line' | 'kind'>, b: ShelfBalloon): boolean {
  return (
    a.id !== b.id && !b.stuffed && a.kind === b.kind && a.line.trim().toLowerCase() === b.line.trim().toLowerCase()
  );
}

/**
 * The estimated curve of a balloon with an inflator, from all else on the shelf; `null` when nothing is known of the
 * inflator.
 */
export function estimateFor({
  balloon,
  inflatorId,
  inflator,
  shelf,
}: {
  balloon: Pick<ShelfBalloon, 'id' | 'line' | 'kind' | 'nominalMm'>;
  inflatorId: string;
  inflator: Inflator;
  shelf: ShelfKnowledge;
}): EstimatedCurve | null {
  const siblings = shelf.fitted.filter((fitted) => sameLine(balloon, fitted.balloon));
  const withIt = siblings.filter((fitted) => fitted.inflatorId === inflatorId).map(({ fit }) => fit);
  return estimateCurve({
    nominalMm: balloon.nominalMm,
    siblings: siblings.map(({ fit }) => fit),
    line: poolInflator({ inflator: { kind: inflator.kind }, fits: withIt }),
    all: shelf.inflators.get(inflatorId) ?? null,
  });
}
