import {
  importProgressSchema,
  type FileEncoding,
  type ImportReport,
  READING_FILE_PATHS,
} from '@leggero/contract/readingFile';

import { ApiError, readProblem } from './client';
import { inStudio } from './place';

export interface ImportStep {
  phase: 'sending' | 'reading' | 'writing';
  /** 0 to 1 */
  share: number;
}

/** Where the readings can be had as a file. */
export function readingFileAddress(modelId?: string): string {
  return inStudio(modelId === undefined ? READING_FILE_PATHS.write : `${READING_FILE_PATHS.write}?model=${modelId}`);
}

/**
 * Sends a file of readings to be looked at, or to be imported, and follows how far it is. Throws an `ApiError` when
 * the records cannot be reached or refuse the file whole.
 */
export async function sendReadingFile(
  file: Blob,
  { write, encoding, onStep }: { write: boolean; encoding: FileEncoding; onStep: (step: ImportStep) => void },
): Promise<ImportReport> {
  onStep({ phase: 'sending', share: 0 });
  const address = write ? READING_FILE_PATHS.read : READING_FILE_PATHS.look;
  const response = await fetch(inStudio(`${address}?encoding=${encoding}`), {
    method: 'POST',
    headers: { 'Content-Type': 'text/csv' },
    body: file,
  }).catch(() => {
    throw new ApiError(0);
  });
  if (!response.ok) throw new ApiError(response.status, await readProblem(response));
  if (!response.body) throw new ApiError(0);
  let report: ImportReport | null = null;
  for await (const line of linesOf(response.body)) {
    const step = importProgressSchema.parse(JSON.parse(line));
    if ('failed' in step) throw new Error(step.failed);
    if ('report' in step) report = step.report;
    else onStep({ phase: step.phase, share: step.done / Math.max(1, step.of) });
  }
  if (!report) throw new ApiError(0);
  return report;
}

async function* linesOf(body: ReadableStream<Uint8Array>): AsyncGenerator<string> {
  const reader = body.pipeThrough(new TextDecoderStream() as never).getReader() as ReadableStreamDefaultReader<string>;
  let rest = '';
  for (;;) {
    const { value, done } = await reader.read();
    if (done) break;
    const lines = (rest + value).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) if (line !== '') yield line;
  }
  if (rest !== '') yield rest;
}
