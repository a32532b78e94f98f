import type { Closing, ClosingSimulation } from '@leggero/core/linking';
import { useEffect, useState } from 'react';

import type { ClosingQuestion } from '../../workers/closing.worker';

const RUNS = 10_000;
const SEED = 7;
/** How long a design rests before it is built, ms. */
const REST_MS = 500;

/** The piece built ten thousand times in a worker; null until it has answered for this very piece. */
export function useSimulation(closing: Closing | null): ClosingSimulation | null {
  const key = closing === null ? '' : JSON.stringify(closing);
  const [found, setFound] = useState<{ key: string; value: ClosingSimulation } | null>(null);
  useEffect(() => {
    if (key === '' || typeof Worker === 'undefined') return;
    let worker: Worker | null = null;
    const timer = setTimeout(() => {
      worker = new Worker(new URL('../../workers/closing.worker', window.location.href));
      worker.onmessage = ({ data }: MessageEvent<ClosingSimulation>) => setFound({ key, value: data });
      const question: ClosingQuestion = { closing: JSON.parse(key) as Closing, runs: RUNS, seed: SEED };
      worker.postMessage(question);
    }, REST_MS);
    return () => {
      clearTimeout(timer);
      worker?.terminate();
    };
  }, [key]);
  return found?.key === key ? found.value : null;
}
