import { Worker } from 'node:worker_threads';

import { HttpProblem } from '../http/problem';
import { workspaceFile } from '../workspace';
import { readBytes, type FileToRead, type ReadFile } from './read';

/** What the worker says: how far it is, or what the file says. */
export type ReadAnswer = { done: number; of: number } | { file: ReadFile };

/** Memory a file may take to be read, MB: one of the most lines and the most bytes takes a third of it. */
const LIMITS = { maxOldGenerationSizeMb: 768 };
/** A file of the most lines takes a few seconds. */
const MOST_MS = 60_000;
/** A file so small is read in less time than a thread takes to start, bytes. */
const SMALL = 64 * 2 ** 10;
/** Files read at once; more wait their turn. */
const AT_ONCE = 2;

const waiting: (() => void)[] = [];
let reading = 0;

/**
 * Reads a file of readings, a larger one in a thread of its own. Rejects with a problem (422) where it takes more memory
 * or time than any file of readings does.
 */
export async function readApart(
  file: FileToRead,
  onProgress: (done: number, of: number) => void = () => undefined,
): Promise<ReadFile> {
  if (file.bytes.length <= SMALL) return readBytes(file, onProgress);
  if (reading >= AT_ONCE) await new Promise<void>((resolve) => waiting.push(resolve));
  reading += 1;
  try {
    return await inWorker(file, onProgress);
  } finally {
    reading -= 1;
    waiting.shift()?.();
  }
}

function inWorker(file: FileToRead, onProgress: (done: number, of: number) => void): Promise<ReadFile> {
  const worker = new Worker(workspaceFile('dist/read.worker.mjs'), { workerData: file, resourceLimits: LIMITS });
  const tooMuch = () => new HttpProblem(422, 'This file takes too much to be read: split it.');
  return new Promise<ReadFile>((resolve, reject) => {
    const timer = setTimeout(() => reject(tooMuch()), MOST_MS);
    worker.on('message', (answer: ReadAnswer) => {
      if ('file' in answer) resolve(answer.file);
      else onProgress(answer.done, answer.of);
    });
    worker.once('error', (error: NodeJS.ErrnoException) => {
      reject(error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? tooMuch() : error);
    });
    worker.once('exit', () => {
      clearTimeout(timer);
      reject(new Error('The reading of a file ended without an answer.'));
    });
  }).finally(() => worker.terminate());
}
