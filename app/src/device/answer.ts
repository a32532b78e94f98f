/** What a worker sends back: how far it is (a share), and at last what was asked for, or what went wrong. */
export type WorkerAnswer<Answer> = { answer: Answer } | { failed: string } | { share: number };

/** What a worker is sent before its question. */
export interface Ahead {
  ahead: unknown;
}

interface Work<Question, Answer, Part> {
  /** `ahead`: what was sent before the question, in that order. */
  work: (question: Question, tell: (share: number) => void, ahead: readonly Part[]) => Answer | Promise<Answer>;
  /** What of the answer is handed over instead of copied. */
  handOver?: (answer: Answer) => Transferable[];
}

/** Makes this worker answer each question by some work; an error travels back as words. */
export function answerWith<Question, Answer, Part = never>({ work, handOver }: Work<Question, Answer, Part>): void {
  const page = self as unknown as Worker;
  const ahead: Part[] = [];
  self.onmessage = async ({ data }: MessageEvent<Question | Ahead>) => {
    if (isAhead(data)) return void ahead.push(data.ahead as Part);
    try {
      const tell = (share: number) => page.postMessage({ share } satisfies WorkerAnswer<Answer>);
      const answer = await work(data, tell, ahead.splice(0));
      page.postMessage({ answer } satisfies WorkerAnswer<Answer>, handOver?.(answer) ?? []);
    } catch (error) {
      page.postMessage({ failed: String(error) } satisfies WorkerAnswer<Answer>);
    }
  };
}

function isAhead(data: unknown): data is Ahead {
  return typeof data === 'object' && data !== null && 'ahead' in data;
}
