import type { Ahead, WorkerAnswer } from './answer';
import { pause } from './pause';

interface Asking<Question> {
  question: Question;
  /** What is sent before the question, each in a task of its own: to copy all at once would hold the page up. */
  ahead?: Iterable<unknown>;
  /** What of the question is handed over instead of copied. */
  handOver?: Transferable[];
  /** Told how far the worker is, a share, where it says so. */
  onShare?: ((share: number) => void) | undefined;
  /** Ends the worker; the promise then never settles. */
  signal?: AbortSignal;
}

/** Asks a worker of its own one question, and ends it with the answer. Rejects with what the worker could not do. */
export function ask<Question, Answer>(
  worker: Worker,
  { question, ahead = [], handOver = [], onShare, signal }: Asking<Question>,
): Promise<Answer> {
  return new Promise<Answer>((resolve, reject) => {
    let ended = false;
    const end = () => {
      ended = true;
      worker.terminate();
    };
    signal?.addEventListener('abort', end, { once: true });
    worker.onmessage = ({ data }: MessageEvent<WorkerAnswer<Answer>>) => {
      if ('share' in data) return onShare?.(data.share);
      end();
      if ('answer' in data) resolve(data.answer);
      else reject(new Error(data.failed));
    };
    worker.onerror = ({ message }) => {
      end();
      reject(new Error(message));
    };
    const send = async () => {
      for (const part of ahead) {
        worker.postMessage({ ahead: part } satisfies Ahead);
        await pause(0);
        if (ended) return;
      }
      worker.postMessage(question, handOver);
    };
    send().catch(reject);
  });
}
