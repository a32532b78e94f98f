import { simulateClosing, type Closing } from '@leggero/core/linking';

/** What the worker is sent. */
export interface ClosingQuestion {
  closing: Closing;
  runs: number;
  seed: number;
}

/** Builds a piece ten thousand times, off the page's own thread. */
self.onmessage = ({ data }: MessageEvent<ClosingQuestion>) => {
  (self as unknown as Worker).postMessage(simulateClosing(data));
};
