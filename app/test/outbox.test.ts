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
  useOutbox.setState({ waiting: [], stuck: false, refused: null });
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
});
