import { useEffect, useMemo, useState } from 'react';

import { ask } from '@/device/ask';

/** How long the hand rests before a worker is asked, ms. */
const REST_MS = 500;

/** What is known of a worker's answer. */
export interface Asked<Answer> {
  /** null until it has answered this very question; `'failed'` when it could not. */
  answer: Answer | 'failed' | null;
  /** What it answered last, to whatever it was asked; null before. */
  last: Answer | null;
  /** How far it is, a share. */
  share: number;
  /** Someone has stopped it. */
  stopped: boolean;
  stop: () => void;
  again: () => void;
}

/** The same object for as long as its figures are: asked by hand, another one of the same figures is the same question. */
export function useSameFigures<Figures extends object>(figures: Figures | null): Figures | null {
  const key = JSON.stringify(figures);
  return useMemo(() => JSON.parse(key) as Figures | null, [key]);
}

interface AskOptions {
  restMs?: number;
  /** While it is not, nothing is worked on; what was answered stays. */
  wanted?: boolean;
}

/**
 * Asks a worker once the hand has rested for `restMs`, and anew whenever the question is another one; null asks
 * nothing. Which question it is says its identity.
 */
export function useAsked<Question extends object, Answer>(
  openWorker: () => Worker,
  question: Question | null,
  { restMs = REST_MS, wanted = true }: AskOptions = {},
): Asked<Answer> {
  const [found, setFound] = useState<{ question: Question; answer: Answer | 'failed' } | null>(null);
  const [done, setDone] = useState<{ question: Question; share: number } | null>(null);
  const [stopped, setStopped] = useState<Question | null>(null);
  const answered = found !== null && found.question === question;
  const asks = question !== null && wanted && !answered && stopped !== question;
  useEffect(() => {
    if (!asks || typeof Worker === 'undefined') return;
    const given = new AbortController();
    const { signal } = given;
    const timer = setTimeout(async () => {
      const onShare = (share: number) => setDone({ question, share });
      const asking = ask<Question, Answer>(openWorker(), { question, onShare, signal });
      setFound({ question, answer: await asking.catch(() => 'failed' as const) });
    }, restMs);
    return () => {
      clearTimeout(timer);
      given.abort();
    };
  }, [openWorker, question, asks, restMs]);
  return {
    answer: answered ? found.answer : null,
    last: found && found.answer !== 'failed' ? found.answer : null,
    share: done && done.question === question ? done.share : 0,
    stopped: question !== null && stopped === question,
    stop: () => setStopped(question),
    again: () => setStopped(null),
  };
}
