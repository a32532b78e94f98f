import { ask } from '@/device/ask';

import type { drawPaper } from './drawPaper';
import { paperFonts } from './fonts';
import type { Paper } from './paper';
import type { PaperSize } from './pen';

/** Draws a sheet as PDF in a worker, so that the page stays free. */
export async function paperPdf(paper: Paper, { head, size }: { head: string; size: PaperSize }): Promise<Uint8Array> {
  const fonts = await paperFonts();
  const worker = new Worker(new URL('./paper.worker', window.location.href));
  return ask<Parameters<typeof drawPaper>[0], Uint8Array>(worker, {
    question: { paper, on: { name: paper.title, head, paper: size, fonts } },
    handOver: [fonts.title, fonts.text],
  });
}
