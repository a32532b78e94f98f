import { coreBalloon, coreInflator, type PumpRecord, type ShelfModel } from '@leggero/contract';
import { knowShelf, type ShelfKnowledge } from '@leggero/core';
import { createContext, useContext, useMemo, type ReactNode } from 'react';

import { usePumps, useShelf } from './queries';

/** The shelf, the inflators, and what they teach together. */
export interface Knowledge {
  models: ShelfModel[];
  pumps: PumpRecord[];
  shelf: ShelfKnowledge;
}

const KnowledgeContext = createContext<Knowledge | null>(null);

/** Works out what the whole shelf teaches, once for all pages. */
export function KnowledgeProvider({ children }: { children: ReactNode }) {
  const models = useShelf().data;
  const pumps = usePumps().data;
  const knowledge = useMemo(() => (models && pumps ? knowledgeOf(models, pumps) : null), [models, pumps]);
  return <KnowledgeContext.Provider value={knowledge}>{children}</KnowledgeContext.Provider>;
}

/** What the shelf teaches; null until its records have come. */
export function useKnowledge(): Knowledge | null {
  return useContext(KnowledgeContext);
}

export function knowledgeOf(models: ShelfModel[], pumps: PumpRecord[]): Knowledge {
  const inflators = new Map(pumps.map((pump) => [pump.id, coreInflator(pump)]));
  return { models, pumps, shelf: knowShelf({ balloons: models.map(coreBalloon), inflators }) };
}
