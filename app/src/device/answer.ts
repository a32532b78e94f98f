/** What a worker sends back: how far it is (a share), and at last what was asked for, or what went wrong. */
export type WorkerAnswer<Answer> = { answer: Answer } | { failed: string } | { share: number };

interface Work<Question, Answer> {
  work: (question: Question, tell: (share: number) => void) => Answer | Promise<Answer>;
  /** What of the answer is handed over instead of copied. */
  handOver?: (answer: Answer) => Transferable[];
}

/** Makes this worker answer each question by some work; an error travels back as words. */
export function answerWith<Question, Answer>({ work, handOver }: Work<Question, Answer>): void {
  const page = self as unknown as Worker;
  self.onmessage = async ({ data }: MessageEvent<Question>) => {
    try {
      const answer = await work(data, (share) => page.postMessage({ share } satisfies WorkerAnswer<Answer>));
      page.postMessage({ answer } satisfies WorkerAnswer<Answer>, handOver?.(answer) ?? []);
    } catch (error) {
      page.postMessage({ failed: String(error) } satisfies WorkerAnswer<Answer>);
    }
  };
}
