import { coreBalloon, coreInflator, type CalibrationRecord, type PumpRecord, type ShelfModel } from '@leggero/contract';
import {
  knowShelf,
  sameIn,
  TRADE,
  watchedTrade,
  type FitOutcome,
  type Inflator,
  type ShelfBalloon,
  type ShelfKnowledge,
  type Trade,
} from '@leggero/core';

/** What the shelf teaches, and with which of the trade's numbers. */
export interface Lesson {
  shelf: ShelfKnowledge;
  /** The table it was learned with, and the names of the numbers read: while these stay, it stands. */
  learnedWith: Trade;
  read: ReadonlySet<string>;
}

/** The same beside the calibrations as they stood then. */
export interface Learned extends Lesson {
  /** The outcome of each calibration that was fitted, by the record itself: a changed record has none. */
  fits: WeakMap<CalibrationRecord, FitOutcome>;
}

/** The balloons that are filled to a width, the inflators, and what they teach together. */
export interface Knowledge extends Learned {
  models: ShelfModel[];
  pumps: PumpRecord[];
  /** The trade's numbers as the studio has them. */
  trade: Trade;
}

/** What a worker is sent to learn from. */
export interface KnowledgeQuestion {
  balloons: ShelfBalloon[];
  inflators: Map<string, Inflator>;
  trade: Trade;
}

/** What a shelf and its inflators teach together; as they were learned from before, where that is given. */
export function knowledgeOf(
  models: ShelfModel[],
  pumps: PumpRecord[],
  trade: Trade = TRADE,
  lesson: Lesson = learn(questionOf(models, pumps, trade)),
): Knowledge {
  return { ...learnedOf(models, lesson), models, pumps, trade };
}

/** A shelf as the core learns from it. */
export function questionOf(
  models: readonly ShelfModel[],
  pumps: readonly PumpRecord[],
  trade: Trade,
): KnowledgeQuestion {
  return {
    balloons: models.map(coreBalloon),
    inflators: new Map(pumps.map((pump) => [pump.id, coreInflator(pump)])),
    trade,
  };
}

/** So many balloons are put together and copied for a worker without holding the page up. */
const BALLOONS_AT_ONCE = 40;

/** The same in parts: balloons that are sent ahead, many at a time, and the question with those that are left. */
export function questionInParts(
  models: readonly ShelfModel[],
  pumps: readonly PumpRecord[],
  trade: Trade,
): { ahead: Iterable<ShelfBalloon[]>; question: KnowledgeQuestion } {
  const sent = models.length - (models.length % BALLOONS_AT_ONCE);
  function* ahead() {
    for (let i = 0; i < sent; i += BALLOONS_AT_ONCE) yield models.slice(i, i + BALLOONS_AT_ONCE).map(coreBalloon);
  }
  return { ahead: ahead(), question: questionOf(models.slice(sent), pumps, trade) };
}

/** What a shelf teaches; `ahead`: balloons of it that were sent before the question. */
export function learnInParts(question: KnowledgeQuestion, ahead: readonly ShelfBalloon[][]): Lesson {
  return learn({ ...question, balloons: [...ahead.flat(), ...question.balloons] });
}

/** What a shelf teaches. */
export function learn({ trade, ...question }: KnowledgeQuestion): Lesson {
  const watched = watchedTrade(trade);
  const shelf = knowShelf({ ...question, trade: watched.trade });
  return { shelf, learnedWith: trade, read: watched.read };
}

/** Whether what was learned stands with other numbers: it was not learned with any that differs. */
export function standsWith({ read, learnedWith }: Lesson, trade: Trade): boolean {
  return sameIn(read, learnedWith, trade);
}

/** What was learned, beside the records it was learned from. */
export function learnedOf(models: readonly ShelfModel[], lesson: Lesson): Learned {
  const fits = new WeakMap<CalibrationRecord, FitOutcome>();
  for (const calibration of models.flatMap(({ calibrations }) => calibrations)) {
    const outcome = lesson.shelf.outcomes.get(calibration.id);
    if (outcome) fits.set(calibration, outcome);
  }
  return { ...lesson, fits };
}

/** How many readings a shelf has: how long it takes to learn from. */
export function readingsIn(models: readonly ShelfModel[]): number {
  let count = 0;
  for (const { calibrations } of models) for (const { readings } of calibrations) count += readings.length;
  return count;
}
