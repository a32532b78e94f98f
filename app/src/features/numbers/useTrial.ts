import type { OwnNumber } from '@leggero/core';
import { useMemo } from 'react';

import { useChains, usePieces, usePumps, useShelf, useStudio, useTiers } from '@/data/records';
import { useStacks } from '@/data/measured';
import { useAsked } from '@/parts/useAsked';

// Types alone: what a trial takes is code of the worker's, which no page needs to fetch.
import type { Effect, TrialBasis, TrialQuestion } from './trial';

const openWorker = () => new Worker(new URL('./trial.worker', window.location.href));

/** All of the studio's that the trade's numbers act on; null until its records have come. */
export function useTrialBasis(): TrialBasis | null {
  const models = useShelf().data;
  const pumps = usePumps().data;
  const tiers = useTiers().data;
  const studio = useStudio().data;
  const chains = useChains().data;
  const stacks = useStacks().data;
  const pieces = usePieces().data;
  // By hand: a trial is made anew whenever this is another one.
  return useMemo(
    () =>
      models && pumps && tiers && studio && chains && stacks && pieces
        ? { models, pumps, tiers, studio, chains, stacks, pieces }
        : null,
    [models, pumps, tiers, studio, chains, stacks, pieces],
  );
}

/** What some numbers would move, for each trial; null until it is known. */
export type Trials = Effect[] | 'failed' | null;

/** Tries numbers on the shelf and the pieces in a worker, once they rest; nothing for no trials. */
export function useTrial(basis: TrialBasis | null, now: OwnNumber[], trials: OwnNumber[][]): Trials {
  const asked = JSON.stringify([now, trials]);
  // By hand: the same numbers on the same shelf are the same question.
  const question = useMemo((): TrialQuestion | null => {
    const [from, to] = JSON.parse(asked) as [OwnNumber[], OwnNumber[][]];
    return basis && to.length > 0 ? { basis, now: from, trials: to } : null;
  }, [basis, asked]);
  return useAsked<TrialQuestion, Effect[]>(openWorker, question).answer;
}
