import { coreBalloon, coreInflator, type CalibrationRecord, type PumpRecord, type ShelfModel } from '@leggero/contract';
import { knowShelf, type FitOutcome, type Inflator, type ShelfBalloon, type ShelfKnowledge } from '@leggero/core';

/** What the shelf teaches, and of which calibrations as they stood then. */
export interface Learned {
  shelf: ShelfKnowledge;
  /** The outcome of each calibration that was fitted, by the record itself: a changed record has none. */
  fits: WeakMap<CalibrationRecord, FitOutcome>;
}

/** The balloons that are filled to a width, the inflators, and what they teach together. */
export interface Knowledge extends Learned {
  models: ShelfModel[];
  pumps: PumpRecord[];
}

/** What a worker is sent to learn from. */
export interface KnowledgeQuestion {
  balloons: ShelfBalloon[];
  inflators: Map<string, Inflator>;
}

/** What a shelf and its inflators teach together. */
export function knowledgeOf(models: ShelfModel[], pumps: PumpRecord[]): Knowledge {
  return { ...learnedOf(models, knowShelf(questionOf(models, pumps))), models, pumps };
}

/** A shelf as the core learns from it. */
export function questionOf(models: readonly ShelfModel[], pumps: readonly PumpRecord[]): KnowledgeQuestion {
  return {
    balloons: models.map(coreBalloon),
    inflators: new Map(pumps.map((pump) => [pump.id, coreInflator(pump)])),
  };
}

/** What was learned, beside the records it was learned from. */
export function learnedOf(models: readonly ShelfModel[], shelf: ShelfKnowledge): Learned {
  const fits = new WeakMap<CalibrationRecord, FitOutcome>();
  for (const calibration of models.flatMap(({ calibrations }) => calibrations)) {
    const outcome = shelf.outcomes.get(calibration.id);
    if (outcome) fits.set(calibration, outcome);
  }
  return { shelf, fits };
}
