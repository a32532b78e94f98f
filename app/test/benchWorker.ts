import { worksAnswer, type WorksQuestion } from '@/parts/piece/works';

/** A worker that works pieces out at once; pages have none in tests. */
class BenchWorker {
  onmessage: ((event: { data: unknown }) => void) | null = null;
  postMessage(question: WorksQuestion) {
    setTimeout(() => this.onmessage?.({ data: { answer: worksAnswer(question) } }), 0);
  }
  terminate() {}
}

/** Gives the pages of a file's tests such workers. */
export function withBenchWorkers(): void {
  beforeAll(() => Object.assign(globalThis, { Worker: BenchWorker }));
  afterAll(() => Reflect.deleteProperty(globalThis, 'Worker'));
}
