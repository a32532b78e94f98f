import type { PumpRecord, ShelfModel } from '@leggero/contract';
import { isWidthKind, type Trade } from '@leggero/core';
import { createContext, startTransition, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';

import { ask } from '@/device/ask';
import {
  learn,
  learnedOf,
  questionInParts,
  questionOf,
  readingsIn,
  standsWith,
  type Knowledge,
  type KnowledgeQuestion,
  type Learned,
  type Lesson,
} from '@/views/knowledge';

import { usePumps, useShelf } from './records';
import { useTrade } from './trade';

const KnowledgeContext = createContext<Knowledge | null>(null);

/** Works out what the whole shelf teaches, once for all pages. */
export function KnowledgeProvider({ children }: { children: ReactNode }) {
  const shelf = useShelf().data;
  // By hand here and below: what is learned is kept by the very records it was learned from.
  // Only balloons that are filled to a width have targets to know.
  const models = useMemo(() => shelf?.filter(({ kind }) => isWidthKind(kind)), [shelf]);
  const pumps = usePumps().data;
  const trade = useTrade();
  const learned = useLearned(models, pumps, trade);
  const knowledge = useMemo(
    () => (models && pumps && learned ? { ...learned, models, pumps, trade } : null),
    [models, pumps, trade, learned],
  );
  return <KnowledgeContext.Provider value={knowledge}>{children}</KnowledgeContext.Provider>;
}

/** What the shelf teaches; null until its records have come. */
export function useKnowledge(): Knowledge | null {
  return useContext(KnowledgeContext);
}

/** So many readings are learned from within a frame or two, also the first time; a larger shelf is left to a worker. */
const MOST_AT_ONCE = 60;

/** A large studio is learned in a few seconds. */
const WORKER_MS = 20_000;

/** What was learned of which shelf and inflators. */
interface LearnedOf {
  learned: Learned;
  models: ShelfModel[];
  pumps: PumpRecord[];
}

/** At once for a small shelf; else from a worker, with what was learned before until it answers. */
function useLearned(models: ShelfModel[] | undefined, pumps: PumpRecord[] | undefined, trade: Trade): Learned | null {
  const atOnce = useMemo(
    () =>
      models && pumps && readingsIn(models) <= MOST_AT_ONCE
        ? learnedOf(models, learn(questionOf(models, pumps, trade)))
        : null,
    [models, pumps, trade],
  );
  const [later, setLater] = useState<LearnedOf | null>(null);
  const stands = later !== null && later.models === models && later.pumps === pumps && standsWith(later.learned, trade);
  useEffect(() => {
    if (stands || !models || !pumps || readingsIn(models) <= MOST_AT_ONCE) return;
    let given: AbortController;
    let timer: ReturnType<typeof setTimeout>;
    const askOne = (patienceMs: number) => {
      const worker = new Worker(new URL('./knowledge.worker', window.location.href));
      given = new AbortController();
      // One whose code never comes says nothing at all: another is asked, and given more time.
      timer = setTimeout(() => {
        given.abort();
        askOne(2 * patienceMs);
      }, patienceMs);
      void ask<KnowledgeQuestion, Lesson>(worker, { ...questionInParts(models, pumps, trade), signal: given.signal })
        // A worker whose code is gone, since a newer version was opened in another tab: the page does it, if slower.
        .catch(() => learn(questionOf(models, pumps, trade)))
        .then((lesson) => {
          clearTimeout(timer);
          // Every row of a large shelf is worked out anew with it: in between, the page goes on.
          startTransition(() => setLater({ learned: learnedOf(models, lesson), models, pumps }));
        });
    };
    askOne(WORKER_MS);
    return () => {
      clearTimeout(timer);
      given.abort();
    };
  }, [models, pumps, trade, stands]);
  return atOnce ?? (later && models && knowsMost(later.learned, models) ? later.learned : null);
}

/** So many calibrations that a worker has not seen yet are worked out on the page meanwhile. */
const MOST_UNKNOWN = 20;

/** Whether what was learned before still speaks for a shelf, but for a few of its calibrations. */
function knowsMost({ fits }: Learned, models: readonly ShelfModel[]): boolean {
  let unknown = 0;
  for (const { calibrations } of models) for (const each of calibrations) if (!fits.has(each)) unknown += 1;
  return unknown <= MOST_UNKNOWN;
}
