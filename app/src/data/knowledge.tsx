import type { PumpRecord, ShelfModel } from '@leggero/contract';
import { isWidthKind, knowShelf, type ShelfKnowledge } from '@leggero/core';
import { createContext, startTransition, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';

import { ask } from '@/device/ask';
import { learnedOf, questionOf, type Knowledge, type KnowledgeQuestion, type Learned } from '@/views/knowledge';

import { usePumps, useShelf } from './records';

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
    const worker = new Worker(new URL('./knowledge.worker', window.location.href));
    const given = new AbortController();
    const question = questionOf(models, pumps);
    void ask<KnowledgeQuestion, ShelfKnowledge>(worker, { question, signal: given.signal })
      // A worker whose code is gone, since a newer version was opened in another tab: the page does it, if slower.
      .catch(() => knowShelf(question))
      // Every row of a large shelf is worked out anew with it: in between, the page goes on.
      .then((shelf) => startTransition(() => setLater(learnedOf(models, shelf))));
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
