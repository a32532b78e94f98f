import { BricolageGrotesque_700Bold } from '@expo-google-fonts/bricolage-grotesque/700Bold';
import { HankenGrotesk_400Regular } from '@expo-google-fonts/hanken-grotesk/400Regular';
import { Asset } from 'expo-asset';

import type { PdfOptions } from './pdf';

/** Draws target sheets as PDF in a worker, so that the page stays free. */
export async function makePdf(options: Omit<PdfOptions, 'fonts'>): Promise<Uint8Array> {
  const [title, text] = await Promise.all([fontBytes(BricolageGrotesque_700Bold), fontBytes(HankenGrotesk_400Regular)]);
  const worker = new Worker(new URL('../../workers/sheet.worker', window.location.href));
  try {
    return await new Promise<Uint8Array>((resolve, reject) => {
      worker.onmessage = ({ data }: MessageEvent<{ bytes: Uint8Array } | { failed: string }>) =>
        'bytes' in data ? resolve(data.bytes) : reject(new Error(data.failed));
      worker.onerror = ({ message }) => reject(new Error(message));
      worker.postMessage({ ...options, fonts: { title, text } }, [title, text]);
    });
  } finally {
    worker.terminate();
  }
}

async function fontBytes(font: number): Promise<ArrayBuffer> {
  const response = await fetch(Asset.fromModule(font).uri);
  if (!response.ok) throw new Error('The type could not be read.');
  return response.arrayBuffer();
}
