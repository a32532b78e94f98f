import { deliver, useOutbox } from '@/api/outbox';

const answers: (() => Response)[] = [];
const sent: string[] = [];
const respond =
  (status: number, body: object | null = {}) =>
  () =>
    ({ ok: status < 400, status, json: async () => body }) as Response;

beforeEach(() => {
  answers.length = 0;
  sent.length = 0;
  useOutbox.setState({ waiting: [], stuck: false, aside: 0, refused: null });
  globalThis.fetch = jest.fn(async (url: unknown) => {
    sent.push(String(url));
    const next = answers.shift();
    if (!next) throw new TypeError('no connection');
    return next();
  }) as typeof fetch;
});

const until = async (ready: () => boolean) => {
  for (let i = 0; i < 200 && !ready(); i += 1) await new Promise((resolve) => setTimeout(resolve, 20));
  expect(ready()).toBe(true);
};
const add = (id: string) => useOutbox.getState().add({ name: 'deleteReading', id });

describe('the outbox', () => {
  it('sends in order, and tells of each before it leaves', async () => {
    answers.push(respond(204), respond(204));
    const taken: string[] = [];
    const stop = deliver({
      onTaken: (command) => taken.push('id' in command ? command.id : ''),
      onRefused: () => {},
    });
    add('a');
    add('b');
    await until(() => useOutbox.getState().waiting.length === 0);
    expect(sent).toEqual(['/api/readings/a', '/api/readings/b']);
    expect(taken).toEqual(['a', 'b']);
    stop();
  });

  it('keeps what cannot be sent, says so, and sends it once the records are back', async () => {
    answers.push(respond(503, { type: 'about:blank', title: 'away', status: 503 }));
    const stop = deliver({ onTaken: () => {}, onRefused: () => {} });
    add('a');
    await until(() => useOutbox.getState().stuck);
    expect(useOutbox.getState().waiting).toHaveLength(1);
    expect(JSON.parse(localStorage.getItem('leggero-outbox') ?? '{}').state.waiting).toHaveLength(1);
    answers.push(respond(204));
    await until(() => useOutbox.getState().waiting.length === 0);
    expect(useOutbox.getState().stuck).toBe(false);
    stop();
  });

  it('drops what the server refuses for good, names it, and goes on', async () => {
    answers.push(respond(409, { type: 'about:blank', title: 'still in use', status: 409 }), respond(204));
    const refused: string[] = [];
    const stop = deliver({ onTaken: () => {}, onRefused: (command) => refused.push(command.name) });
    add('a');
    add('b');
    await until(() => useOutbox.getState().waiting.length === 0);
    expect(refused).toEqual(['deleteReading']);
    expect(useOutbox.getState().refused?.title).toBe('still in use');
    stop();
  });

  const problem = (status: number) => respond(status, { type: 'about:blank', title: 'not now', status });
  const page = (status: number) => () =>
    ({ ok: status < 400, status, json: () => Promise.reject(new SyntaxError('<html>')) }) as unknown as Response;

  it.each([
    ['too many at once', problem(429)],
    ['not in time', problem(408)],
    ['too early', problem(425)],
    ['sign in first', problem(401)],
    ['a network that wants a room number', page(200)],
    ['the same, politely', respond(200, { welcome: 'to the hotel' })],
    ['a proxy that forbids', page(403)],
    ['a proxy that finds nothing', page(404)],
    ['a proxy that broke', page(502)],
  ])('keeps what met %s, and sends it again', async (_, answered) => {
    answers.push(answered);
    const stop = deliver({ onTaken: () => {}, onRefused: () => {} });
    add('a');
    await until(() => useOutbox.getState().stuck);
    expect(useOutbox.getState()).toMatchObject({ waiting: [{ id: 'a' }], refused: null });
    answers.push(respond(204));
    await until(() => useOutbox.getState().waiting.length === 0);
    stop();
  });

  it('gives up on an answer that never comes, and asks again', async () => {
    jest.useFakeTimers();
    try {
      let asked = 0;
      globalThis.fetch = jest.fn((_: unknown, { signal }: RequestInit) => {
        asked += 1;
        if (asked > 1) return Promise.resolve(respond(204)());
        return new Promise((_resolve, reject) => {
          signal!.addEventListener('abort', () => reject(new DOMException('given up', 'AbortError')));
        });
      }) as typeof fetch;
      const stop = deliver({ onTaken: () => {}, onRefused: () => {} });
      add('a');
      await jest.advanceTimersByTimeAsync(29_000);
      expect(useOutbox.getState()).toMatchObject({ stuck: false, waiting: [{ id: 'a' }] });
      await jest.advanceTimersByTimeAsync(1100);
      expect(useOutbox.getState()).toMatchObject({ stuck: true, waiting: [{ id: 'a' }] });
      await jest.advanceTimersByTimeAsync(1000);
      expect([asked, useOutbox.getState().waiting]).toEqual([2, []]);
      stop();
    } finally {
      jest.useRealTimers();
    }
  });

  it('counts a row as taken only when it comes back as one', async () => {
    const pump = {
      id: '5b8f2c9e-7d4a-4c0e-9b1a-2f6d5e4c30a1',
      name: 'Barge',
      kind: 'hand' as const,
      doseVolumeL: null,
    };
    answers.push(respond(200, { ...pump, kind: 'balloon', demo: false }));
    const stop = deliver({ onTaken: () => {}, onRefused: () => {} });
    useOutbox.getState().add({ name: 'createPump', body: pump });
    await until(() => useOutbox.getState().stuck);
    answers.push(respond(201, { ...pump, demo: false }));
    await until(() => useOutbox.getState().waiting.length === 0);
    stop();
  });

  it('lets what does not hang on it pass by an entry that the server stumbles over, again and again', async () => {
    const [stone, other] = ['5b8f2c9e-7d4a-4c0e-9b1a-2f6d5e4c30a1', '5b8f2c9e-7d4a-4c0e-9b1a-2f6d5e4c30a2'];
    let mended = false;
    globalThis.fetch = jest.fn(async (url: unknown, { method, body }: RequestInit) => {
      sent.push(`${method} ${String(url)}`);
      if (String(body).includes(stone) && !mended) return problem(500)();
      return method === 'DELETE' ? respond(204)() : respond(201, { ...JSON.parse(String(body)), demo: false })();
    }) as typeof fetch;
    const stop = deliver({ onTaken: () => {}, onRefused: () => {} });
    const box = useOutbox.getState();
    const pump = (id: string) => ({ id, name: 'Barge', kind: 'hand' as const, doseVolumeL: null });
    box.add({ name: 'createPump', body: pump(stone) });
    box.add({ name: 'createPump', body: pump(other) });
    // Taking it away again must not arrive before it.
    box.add({ name: 'deletePump', id: stone });
    await until(() => useOutbox.getState().waiting.every((command) => JSON.stringify(command).includes(stone)));
    expect(useOutbox.getState()).toMatchObject({ aside: 2, refused: null });
    expect(sent).not.toContain(`DELETE /api/pumps/${stone}`);
    mended = true;
    await until(() => useOutbox.getState().waiting.length === 0);
    expect(sent.slice(-2)).toEqual(['POST /api/pumps', `DELETE /api/pumps/${stone}`]);
    expect(useOutbox.getState()).toMatchObject({ aside: 0, stuck: false });
    stop();
  }, 20_000);
});
