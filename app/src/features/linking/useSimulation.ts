import type { Closing, ClosingSimulation } from '@leggero/core/linking';
import { useMemo } from 'react';

import { useTrade } from '@/data/trade';
import { useAsked, useSameFigures } from '@/parts/useAsked';

import type { ClosingQuestion } from './closing.worker';

const RUNS = 10_000;
const SEED = 7;

const openWorker = () => new Worker(new URL('./closing.worker', window.location.href));

/**
 * The piece built ten thousand times in a worker; null until it has answered for this very piece, `'failed'` when it
 * could not.
 */
export function useSimulation(closing: Closing | null): ClosingSimulation | 'failed' | null {
  const trade = useTrade();
  const asked = useSameFigures(closing);
  const question = useMemo(
    (): ClosingQuestion | null => asked && { closing: asked, runs: RUNS, seed: SEED, trade },
    [asked, trade],
  );
  return useAsked<ClosingQuestion, ClosingSimulation>(openWorker, question).answer;
}
