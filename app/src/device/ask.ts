import type { WorkerAnswer } from './answer';

interface Asking<Question> {
  question: Question;
  /** What of the question is handed over instead of copied. */
  handOver?: Transferable[];
  /** Ends the worker; the promise then never settles. */
  signal?: AbortSignal;
}

/** Asks a worker of its own one question, and ends it with the answer. Rejects with what the worker could not do. */
export function ask<Question, Answer>(
  worker: Worker,
  { question, handOver = [], signal }: Asking<Question>,
): Promise<Answer> {
  return new Promise<Answer>((resolve, reject) => {
    const end = () => worker.terminate();
    signal?.addEventListener('abort', end, { once: true });
    worker.onmessage = ({ data }: MessageEvent<WorkerAnswer<Answer>>) => {
      end();
      if ('answer' in data) resolve(data.answer);
      else reject(new Error(data.failed));
    };
    worker.onerror = ({ message }) => {
      end();
      reject(new Error(message));
    };
    worker.postMessage(question, handOver);
  });
}
