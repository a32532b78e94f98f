import type { Trade } from '@leggero/core';
import type { Closing, ClosingSimulation } from '@leggero/core/linking';
import { useEffect, useState } from 'react';

import { useTrade } from '@/data/trade';
import { ask } from '@/device/ask';
import type { ClosingQuestion } from './closing.worker';

const RUNS = 10_000;
const SEED = 7;
/** How long a design rests before it is built, ms. */
const REST_MS = 500;

/**
 * The piece built ten thousand times in a worker; null until it has answered for this very piece, `'failed'` when it
 * could not.
 */
export function useSimulation(closing: Closing | null): ClosingSimulation | 'failed' | null {
  const trade = useTrade();
  const key = closing === null ? '' : JSON.stringify(closing);
  const [found, setFound] = useState<{ key: string; trade: Trade; value: ClosingSimulation | 'failed' } | null>(null);
  useEffect(() => {
    if (key === '' || typeof Worker === 'undefined') return;
    const given = new AbortController();
    const timer = setTimeout(async () => {
      const worker = new Worker(new URL('./closing.worker', window.location.href));
      const question = { closing: JSON.parse(key) as Closing, runs: RUNS, seed: SEED, trade };
      const { signal } = given;
      const value = await ask<ClosingQuestion, ClosingSimulation>(worker, { question, signal }).catch(
        () => 'failed' as const,
      );
      setFound({ key, trade, value });
    }, REST_MS);
    return () => {
      clearTimeout(timer);
      given.abort();
    };
  }, [key, trade]);
  return found?.key === key && found.trade === trade ? found.value : null;
}
