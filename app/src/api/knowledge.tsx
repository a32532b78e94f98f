import { coreBalloon, coreInflator, type CalibrationRecord, type PumpRecord, type ShelfModel } from '@leggero/contract';
import { isWidthKind, knowShelf, type FitOutcome, type ShelfKnowledge } from '@leggero/core';
import { createContext, startTransition, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';

import { ask } from '../workers/ask';
import type { KnowledgeQuestion } from '../workers/knowledge.worker';
import { usePumps, useShelf } from './queries';

/** What the shelf teaches, and of which calibrations as they stood then. */
interface Learned {
  shelf: ShelfKnowledge;
  /** The outcome of each calibration that was fitted, by the record itself: a changed record has none. */
  fits: WeakMap<CalibrationRecord, FitOutcome>;
}

/** The balloons that are filled to a width, the inflators, and what they teach together. */
export interface Knowledge extends Learned {
  models: ShelfModel[];
  pumps: PumpRecord[];
}

const KnowledgeContext = createContext<Knowledge | null>(null);

/** Works out what the whole shelf teaches, once for all pages. */
export function KnowledgeProvider({ children }: { children: ReactNode }) {
  const shelf = useShelf().data;
  // By hand here and below: what is learned is kept by the very records it was learned from.
  // Only balloons that are filled to a width have targets to know.
  const models = useMemo(() => shelf?.filter(({ kind }) => isWidthKind(kind)), [shelf]);
  const pumps = usePumps().data;
  const learned = useLearned(models, pumps);
  const knowledge = useMemo(
    () => (models && pumps && learned ? { ...learned, models, pumps } : null),
    [models, pumps, learned],
  );
  return <KnowledgeContext.Provider value={knowledge}>{children}</KnowledgeContext.Provider>;
}

/** What the shelf teaches; null until its records have come. */
export function useKnowledge(): Knowledge | null {
  return useContext(KnowledgeContext);
}

export function knowledgeOf(models: ShelfModel[], pumps: PumpRecord[]): Knowledge {
  return { ...learnedOf(models, knowShelf(questionOf(models, pumps))), models, pumps };
}

/** So many readings are learned from within a frame or two, also the first time; a larger shelf is left to a worker. */
const MOST_AT_ONCE = 60;

/** At once for a small shelf; else from a worker, with what was learned before until it answers. */
function useLearned(models: ShelfModel[] | undefined, pumps: PumpRecord[] | undefined): Learned | null {
  const atOnce = useMemo(
    () =>
      models && pumps && readingsIn(models) <= MOST_AT_ONCE
        ? learnedOf(models, knowShelf(questionOf(models, pumps)))
        : null,
    [models, pumps],
  );
  const [later, setLater] = useState<Learned | null>(null);
  useEffect(() => {
    if (!models || !pumps || readingsIn(models) <= MOST_AT_ONCE) return;
    const worker = new Worker(new URL('../workers/knowledge.worker', window.location.href));
    const given = new AbortController();
    const asking = { question: questionOf(models, pumps), signal: given.signal };
    // Every row of a large shelf is worked out anew with it: in between, the page goes on.
    void ask<KnowledgeQuestion, ShelfKnowledge>(worker, asking).then((shelf) =>
      startTransition(() => setLater(learnedOf(models, shelf))),
    );
    return () => given.abort();
  }, [models, pumps]);
  return atOnce ?? (later && models && knowsMost(later, models) ? later : null);
}

/** So many calibrations that a worker has not seen yet are worked out on the page meanwhile. */
const MOST_UNKNOWN = 20;

/** Whether what was learned before still speaks for a shelf, but for a few of its calibrations. */
function knowsMost({ fits }: Learned, models: readonly ShelfModel[]): boolean {
  let unknown = 0;
  for (const { calibrations } of models) for (const each of calibrations) if (!fits.has(each)) unknown += 1;
  return unknown <= MOST_UNKNOWN;
}

function readingsIn(models: readonly ShelfModel[]): number {
  let count = 0;
  for (const { calibrations } of models) for (const { readings } of calibrations) count += readings.length;
  return count;
}

function questionOf(models: readonly ShelfModel[], pumps: readonly PumpRecord[]): KnowledgeQuestion {
  return {
    balloons: models.map(coreBalloon),
    inflators: new Map(pumps.map((pump) => [pump.id, coreInflator(pump)])),
  };
}

function learnedOf(models: readonly ShelfModel[], shelf: ShelfKnowledge): Learned {
  const fits = new WeakMap<CalibrationRecord, FitOutcome>();
  for (const calibration of models.flatMap(({ calibrations }) => calibrations)) {
    const outcome = shelf.outcomes.get(calibration.id);
    if (outcome) fits.set(calibration, outcome);
  }
  return { shelf, fits };
}
