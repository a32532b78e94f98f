import { BricolageGrotesque_700Bold } from '@expo-google-fonts/bricolage-grotesque/700Bold';
import { HankenGrotesk_400Regular } from '@expo-google-fonts/hanken-grotesk/400Regular';
import { Asset } from 'expo-asset';

import { ask } from '@/device/ask';
import type { PdfOptions } from './pdf';

/** Draws target sheets as PDF in a worker, so that the page stays free. */
export async function makePdf(options: Omit<PdfOptions, 'fonts'>): Promise<Uint8Array> {
  const [title, text] = await Promise.all([fontBytes(BricolageGrotesque_700Bold), fontBytes(HankenGrotesk_400Regular)]);
  const worker = new Worker(new URL('./sheet.worker', window.location.href));
  return ask<PdfOptions, Uint8Array>(worker, {
    question: { ...options, fonts: { title, text } },
    handOver: [title, text],
  });
}

async function fontBytes(font: number): Promise<ArrayBuffer> {
  const response = await fetch(Asset.fromModule(font).uri);
  if (!response.ok) throw new Error('The type could not be read.');
  return response.arrayBuffer();
}
