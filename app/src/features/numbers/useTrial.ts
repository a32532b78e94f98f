import type { OwnNumber } from '@leggero/core';
import { useEffect, useMemo, useState } from 'react';

import { useChains, usePieces, usePumps, useShelf, useStacks, useStudio, useTiers } from '@/data/records';
import { ask } from '@/device/ask';

// Types alone: what a trial takes is code of the worker's, which no page needs to fetch.
import type { Effect, TrialBasis, TrialQuestion } from './trial';

/** How long the hand rests before a trial begins, ms. */
const REST_MS = 300;

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
  const [found, setFound] = useState<{ basis: TrialBasis; asked: string; effects: Trials } | null>(null);
  useEffect(() => {
    const [from, to] = JSON.parse(asked) as [OwnNumber[], OwnNumber[][]];
    if (!basis || to.length === 0 || typeof Worker === 'undefined') return;
    const given = new AbortController();
    const timer = setTimeout(async () => {
      const worker = new Worker(new URL('./trial.worker', window.location.href));
      const question = { basis, now: from, trials: to };
      const { signal } = given;
      const effects = await ask<TrialQuestion, Effect[]>(worker, { question, signal }).catch(() => 'failed' as const);
      setFound({ basis, asked, effects });
    }, REST_MS);
    return () => {
      clearTimeout(timer);
      given.abort();
    };
  }, [basis, asked]);
  return found && found.basis === basis && found.asked === asked ? found.effects : null;
}
