import { TRADE } from '@leggero/core';

import { answerWith } from '@/device/answer';
import { ask } from '@/device/ask';
import { learn, learnInParts, questionInParts, questionOf } from '@/views/knowledge';

import { someRecords } from './studio';

type Listener = (event: { data: unknown }) => void;

/** A worker on the page's own thread: what is posted on one side arrives on the other, one turn later. */
function pretended() {
  const scope: { onmessage: Listener | null; postMessage: (data: unknown, handOver?: Transferable[]) => void } = {
    onmessage: null,
    postMessage: (data, handOver) => later(() => worker.onmessage?.({ data }), handOver),
  };
  const handedOver: Transferable[] = [];
  let ended = false;
  const later = (act: () => void, handOver: Transferable[] = []) => {
    handedOver.push(...handOver);
    setTimeout(() => ended || act(), 0);
  };
  const worker = {
    onmessage: null as Listener | null,
    onerror: null as ((event: { message: string }) => void) | null,
    postMessage: (data: unknown, handOver?: Transferable[]) => later(() => scope.onmessage?.({ data }), handOver),
    terminate: () => (ended = true),
  };
  return { worker: worker as unknown as Worker, scope, handedOver, isEnded: () => ended, raw: worker };
}

/** The worker's own script sees its scope as `self`. */
function within(scope: object, script: () => void): void {
  const page = globalThis.self;
  Object.defineProperty(globalThis, 'self', { value: scope, configurable: true, writable: true });
  script();
  // Messages come later: the scope stays `self` for the script alone.
  Object.defineProperty(globalThis, 'self', { value: page, configurable: true, writable: true });
}

describe('a question to a worker', () => {
  it('comes back answered, and ends the worker', async () => {
    const { worker, scope, isEnded } = pretended();
    within(scope, () => answerWith<number, number>({ work: (question) => question * 2 }));
    expect(await ask<number, number>(worker, { question: 21 })).toBe(42);
    expect(isEnded()).toBe(true);
  });

  it('waits for work that takes its time', async () => {
    const { worker, scope } = pretended();
    const slow = (question: string) => new Promise<string>((resolve) => setTimeout(() => resolve(`${question}.`), 20));
    within(scope, () => answerWith({ work: slow }));
    expect(await ask<string, string>(worker, { question: 'done' })).toBe('done.');
  });

  it('hands over what is large instead of copying it, both ways', async () => {
    const { worker, scope, handedOver } = pretended();
    within(scope, () =>
      answerWith<ArrayBuffer, Uint8Array>({
        work: (question) => new Uint8Array(question.byteLength),
        handOver: ({ buffer }) => [buffer as ArrayBuffer],
      }),
    );
    const question = new ArrayBuffer(8);
    const answer = await ask<ArrayBuffer, Uint8Array>(worker, { question, handOver: [question] });
    expect(handedOver).toEqual([question, answer.buffer]);
  });

  it('may be sent in parts, which come before it in their order, each by itself', async () => {
    const { worker, scope } = pretended();
    within(scope, () =>
      answerWith<string, string, string>({ work: (question, _, ahead) => [...ahead, question].join(' ') }),
    );
    const made: string[] = [];
    function* parts() {
      for (const part of ['five', 'six']) {
        made.push(part);
        yield part;
      }
    }
    const asked = ask<string, string>(worker, { ahead: parts(), question: 'seven' });
    expect(made).toEqual(['five']);
    expect(await asked).toBe('five six seven');
  });

  it('that failed is sent no further', async () => {
    const { worker, raw } = pretended();
    let made = 0;
    function* parts() {
      while (made < 5) yield (made += 1);
    }
    const asked = ask(worker, { ahead: parts(), question: 1 });
    raw.onerror?.({ message: 'script error' });
    await expect(asked).rejects.toThrow('script error');
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect(made).toBe(1);
  });

  it('is rejected when it cannot be sent', async () => {
    const { worker } = pretended();
    worker.postMessage = () => {
      throw new Error('could not be cloned');
    };
    await expect(ask(worker, { question: () => 1 })).rejects.toThrow('could not be cloned');
  });

  it('is rejected with the words of what went wrong, at once or later', async () => {
    const first = pretended();
    const broken = () => {
      throw new Error('too many holes');
    };
    within(first.scope, () => answerWith({ work: broken }));
    await expect(ask(first.worker, { question: 1 })).rejects.toThrow('too many holes');
    expect(first.isEnded()).toBe(true);
    const second = pretended();
    within(second.scope, () => answerWith({ work: () => Promise.reject(new Error('no room')) }));
    await expect(ask(second.worker, { question: 1 })).rejects.toThrow('no room');
  });

  it('is rejected when the worker’s script itself cannot be read', async () => {
    const { worker, raw, isEnded } = pretended();
    const asked = ask(worker, { question: 1 });
    raw.onerror?.({ message: 'script error' });
    await expect(asked).rejects.toThrow('script error');
    expect(isEnded()).toBe(true);
  });

  it('that nobody waits for any more ends the worker, and settles never', async () => {
    const { worker, scope, isEnded } = pretended();
    within(scope, () => answerWith<number, number>({ work: (question) => question }));
    const given = new AbortController();
    let settled = false;
    void ask<number, number>(worker, { question: 1, signal: given.signal }).finally(() => (settled = true));
    given.abort();
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect([isEnded(), settled]).toEqual([true, false]);
  });
});

it('a large shelf is sent in parts, and teaches what it teaches at once', () => {
  const [first] = someRecords().models;
  const models = Array.from({ length: 90 }, (_, i) => ({
    ...first!,
    id: `balloon ${i}`,
    nominalMm: 250 + i,
    calibrations: first!.calibrations.map((each) => ({ ...each, id: `calibration ${i}` })),
  }));
  const { ahead, question } = questionInParts(models, [], TRADE);
  const parts = [...ahead];
  expect(parts.map(({ length }) => length)).toEqual([40, 40]);
  expect(question.balloons).toHaveLength(10);
  const { shelf } = learnInParts(question, parts);
  expect(shelf.outcomes.size).toBe(90);
  expect(shelf).toEqual(learn(questionOf(models, [], TRADE)).shelf);
});
