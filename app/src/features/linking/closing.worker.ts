import type { Trade } from '@leggero/core';
import { simulateClosing, type Closing, type ClosingSimulation } from '@leggero/core/linking';

import { answerWith } from '@/device/answer';

/** What the worker is sent. */
export interface ClosingQuestion {
  closing: Closing;
  runs: number;
  seed: number;
  trade: Trade;
}

/** Builds a piece ten thousand times, off the page's own thread. */
answerWith<ClosingQuestion, ClosingSimulation>({ work: simulateClosing });
