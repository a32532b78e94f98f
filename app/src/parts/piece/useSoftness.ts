import type { Result, Trade } from '@leggero/core';
import type { FinishedGarland, LearnedGarland, LearnGarlandProblemCode } from '@leggero/core/garland';
import { useMemo } from 'react';

import { useFinishedGarlands } from '@/data/measured';
import { useTrade } from '@/data/trade';

import { useAsked, useSameFigures } from '../useAsked';
import { openGarlandWorker } from './openGarlandWorker';
import { finishedClusters, type LearnQuestion } from './softness';

export type LearnAnswer = Result<LearnedGarland, LearnGarlandProblemCode>;

/** How soft this studio's garlands are. */
export interface Softness {
  /** The trade's numbers with how far balloons press into one another here; null until that is known. */
  trade: Trade | null;
  /** null where none was finished and measured, or what was says nothing. */
  learned: LearnedGarland | null;
  finished: FinishedGarland[];
}

const AT_ONCE_MS = 0;

/** What a studio's finished garlands say of its next ones, as a worker learns it; the trade's number where there are none. */
export function useSoftness(): Softness {
  const trade = useTrade();
  const records = useFinishedGarlands().data;
  const garlands = useSameFigures(records ? finishedClusters(records) : null);
  const question = useMemo(
    (): LearnQuestion | null => (garlands && garlands.length > 0 ? { garlands, trade } : null),
    [garlands, trade],
  );
  const { answer } = useAsked<LearnQuestion, LearnAnswer>(openGarlandWorker, question, AT_ONCE_MS);
  const learned = answer !== null && answer !== 'failed' && answer.ok ? answer.value : null;
  const known = garlands !== null && (question === null || answer !== null);
  const press = known ? (learned?.press ?? trade.garlandPress) : null;
  const own = useMemo(() => (press === null ? null : { ...trade, garlandPress: press }), [trade, press]);
  return { trade: own, learned, finished: garlands ?? [] };
}
