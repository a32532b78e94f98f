import type { HoleAnswer, Tallied } from '@leggero/core';
import { useEffect } from 'react';

import { hear, say } from '@/device/speech';
import { useLatest } from '@/ui/useLatest';
import { calledOut } from '@/wording/calledOut';

import { useStationSound } from './stationSound';

interface Voice {
  /** What is said where a batch begins. */
  begin: string;
  /** What is said as soon as it is so; null while nothing is to be said. */
  prompt: string | null;
  /** A balloon is at the hole: then answers are heard, else taps. */
  checking: boolean;
  onTap: (what: Tallied) => void;
  onUndo: () => void;
  onCheck: (() => void) | null;
  onAnswer: (answer: HoleAnswer) => void;
}

/** Says what to do and hears what is called out, where this device is set to. */
export function useStationVoice(voice: Voice): void {
  const { says, hears, set } = useStationSound();
  const present = useLatest(voice);
  const { prompt } = voice;
  useEffect(() => {
    if (says) say(present.current.begin);
  }, [says, present]);
  useEffect(() => {
    if (says && prompt !== null) say(prompt);
  }, [says, prompt]);
  useEffect(() => {
    if (!hears) return undefined;
    return hear(
      (words) => {
        const { checking, onTap, onUndo, onCheck, onAnswer } = present.current;
        for (const called of calledOut(words, checking)) {
          if (called.kind === 'answer') onAnswer(called.answer);
          else if (called.kind === 'tap') onTap(called.what);
          else if (called.kind === 'undo') onUndo();
          else onCheck?.();
        }
      },
      () => set({ hears: false }),
    );
  }, [hears, present, set]);
}
