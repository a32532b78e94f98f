import { answerWith } from '@/device/answer';

import { drawPaper } from './drawPaper';

/** Draws sheets off the page's own thread. */
answerWith<Parameters<typeof drawPaper>[0], Uint8Array>({
  work: drawPaper,
  handOver: ({ buffer }) => [buffer as ArrayBuffer],
});
