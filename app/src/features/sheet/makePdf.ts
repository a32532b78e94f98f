import { ask } from '@/device/ask';
import { paperFonts } from '@/parts/paper/fonts';

import type { PdfOptions } from './pdf';

/** Draws target sheets as PDF in a worker, so that the page stays free. */
export async function makePdf(options: Omit<PdfOptions, 'fonts'>): Promise<Uint8Array> {
  const fonts = await paperFonts();
  const worker = new Worker(new URL('./sheet.worker', window.location.href));
  return ask<PdfOptions, Uint8Array>(worker, { question: { ...options, fonts }, handOver: [fonts.title, fonts.text] });
}
