import type { Result, Trade } from '@leggero/core';
import type { FinishedGarland, LearnedGarland, LearnGarlandProblemCode } from '@leggero/core/garland';
import { useMemo } from 'react';

import { useFinishedGarlands } from '@/data/measured';
import { useTrade } from '@/data/trade';

import { useAsked } from '../useAsked';
import { openGarlandWorker } from './openGarlandWorker';
import { finishedClusters, type LearnQuestion } from './softness';

export type LearnAnswer = Result<LearnedGarland, LearnGarlandProblemCode>;

/** How soft this studio's garlands are. */
export interface Softness {
  /** The trade's numbers with how far balloons press into one another here; null until the records have come. */
  trade: Trade | null;
  /** null where none was finished and measured, or what was says nothing. */
  learned: LearnedGarland | null;
  finished: FinishedGarland[];
  /** The record of the one that was measured last. */
  newestId: string | null;
}

const AT_ONCE_MS = 0;

/** What a studio's finished garlands say of its next ones, as a worker learns it; the trade's number until then. */
export function useSoftness(): Softness {
  const trade = useTrade();
  const records = useFinishedGarlands().data;
  // By hand: records that did not change are the very same, and so is the question.
  const garlands = useMemo(() => (records ? finishedClusters(records) : null), [records]);
  const question = useMemo(
    (): LearnQuestion | null => (garlands && garlands.length > 0 ? { garlands, trade } : null),
    [garlands, trade],
  );
  const { answer } = useAsked<LearnQuestion, LearnAnswer>(openGarlandWorker, question, { restMs: AT_ONCE_MS });
  const learned = answer !== null && answer !== 'failed' && answer.ok ? answer.value : null;
  const press = learned?.press ?? trade.garlandPress;
  // Until it is learned a garland is packed by the trade's number: nobody waits for it.
  const own = useMemo(() => ({ ...trade, garlandPress: press }), [trade, press]);
  return { trade: records ? own : null, learned, finished: garlands ?? [], newestId: records?.[0]?.id ?? null };
}
