import { layChanges, NO_ROWS, type RowOf } from '@leggero/contract';

import { deliver, pullSoon } from '@/data/delivery';
import { drop, rehearse, sendAgain, write } from '@/data/outbox';
import { NOTHING_YET, useRecords, type RecordsState } from '@/data/state';
import { refusalsOf } from '@/views/entries';

import { FakeServer, problem } from './server';
import { feedOf, MODEL_ID, someRecords } from './studio';
import { until } from './until';

const uuid = (n: number) => `5b8f2c9e-7d4a-4c0e-9b1a-2f6d5e4c30${String(n).padStart(2, '0')}`;
const pump = (n: number, name = `Pump ${n}`) => ({
  put: 'pump' as const,
  row: { id: uuid(n), name, kind: 'hand' as const, doseVolumeL: null },
});
const state = () => useRecords.getState();
const names = () => [...state().rows.pump.values()].map(({ name }) => name);

let server: FakeServer;
let stop = () => {};

beforeEach(() => {
  useRecords.setState({ ...NOTHING_YET, unkept: 'missing' });
  const records = { ...someRecords(), pumps: [] };
  // The pump of its calibration is another's business here.
  records.models[0]!.calibrations = [];
  server = new FakeServer(layChanges(NO_ROWS, feedOf(records)));
});
afterEach(() => stop());

const start = async () => {
  stop = deliver();
  await until(() => state().filled);
};

/** What is known the moment that it is so: however late this looks, it does not miss what has passed since. */
const once = (is: (now: RecordsState) => boolean) =>
  new Promise<RecordsState>((resolve) => {
    const end = useRecords.subscribe((now) => {
      if (!is(now)) return;
      end();
      resolve(now);
    });
  });

it('the first time pages are given the nouns of few rows, then those of many', async () => {
  const seen: string[] = [];
  const end = useRecords.subscribe(({ filled, lacking }) => {
    const now = !filled ? 'nothing' : lacking.length > 0 ? 'few' : 'all';
    if (now !== seen.at(-1)) seen.push(now);
  });
  await start();
  await until(() => seen.at(-1) === 'all');
  end();
  expect(seen.slice(-2)).toEqual(['few', 'all']);
});

describe('what the user does', () => {
  it('is shown at once, sent in order, and known by one request for all of it', async () => {
    await start();
    server.asked.length = 0;
    const sent = [write(pump(1)), write(pump(2)), write({ change: 'pump', id: uuid(1), by: { name: 'Barge' } })];
    expect(names()).toEqual(['Barge', 'Pump 2']);
    await Promise.all(sent);
    await until(() => state().waiting.length === 0);
    expect(server.carriedOut.map((each) => Object.keys(each)[0])).toEqual(['put', 'put', 'change']);
    expect(server.asked.filter((each) => each.startsWith('GET'))).toEqual([]);
    expect(server.asked.length).toBeLessThanOrEqual(3);
    expect(names()).toEqual(['Barge', 'Pump 2']);
  });

  it('leaves no trace once rehearsed, and is not looked for among all rows again', async () => {
    await start();
    const [checkId] = state().rows.check.keys();
    const answer = (n: number) => ({
      put: 'checkResult' as const,
      row: {
        id: uuid(n),
        checkId: checkId!,
        position: 0,
        answer: 'passes' as const,
        widthMm: null,
        takenAt: '2026-11-20T11:00:00.000Z',
      },
    });
    let read = 0;
    class Counted extends Map<string, RowOf<'checkResult'>> {
      override [Symbol.iterator]() {
        read += 1;
        return super[Symbol.iterator]();
      }
    }
    const { rows, base } = state();
    const counted = new Counted(rows.checkResult);
    useRecords.setState({ rows: { ...rows, checkResult: counted }, base: { ...base, checkResult: counted } });
    const before = state();
    read = 0;
    server.asked.length = 0;
    rehearse(answer(1));
    rehearse({ ...pump(2), row: { ...pump(2).row, doseVolumeL: -1 } });
    expect(read).toBe(1);
    expect(state()).toBe(before);
    await write(answer(3));
    expect(read).toBe(1);
    expect(state().rows.checkResult.get(uuid(3))).toMatchObject({ checkId });
    await until(() => state().waiting.length === 0);
    expect(server.carriedOut).toHaveLength(1);
  });

  it('is sent once the frame that shows it is painted', async () => {
    await start();
    await until(() => state().lacking.length === 0);
    server.asked.length = 0;
    const frames: FrameRequestCallback[] = [];
    const asked = jest.spyOn(globalThis, 'requestAnimationFrame').mockImplementation((frame) => frames.push(frame));
    await write(pump(1));
    for (let turn = 0; turn < 5; turn += 1) await Promise.resolve();
    expect([names(), server.asked]).toEqual([['Pump 1'], []]);
    asked.mockRestore();
    frames.forEach((frame) => frame(0));
    await until(() => state().waiting.length === 0);
    expect(server.asked).toEqual(['POST /api/batch']);
  });

  it('is not sent by one that stopped while it waited for a frame', async () => {
    await start();
    await until(() => state().lacking.length === 0);
    await write(pump(1));
    await until(() => state().waiting.length === 0);
    // What came of that is to be painted.
    stop();
    await write(pump(2));
    server.asked.length = 0;
    await new Promise((resolve) => setTimeout(resolve, 400));
    expect([server.asked, state().waiting.length]).toEqual([[], 1]);
  });

  it('that the server takes as it was shown changes nothing on the page again', async () => {
    await start();
    await write(pump(1));
    const shown = state().rows;
    await until(() => state().waiting.length === 0);
    expect(state().rows).toBe(shown);
    expect(state().base.pump).not.toBe(NO_ROWS.pump);
  });

  it('waits while the server is away, 500 of it too, and arrives in a few requests, each once', async () => {
    await start();
    server.away = true;
    for (let i = 0; i < 500; i += 1) {
      const id = `5b8f2c9e-7d4a-4c0e-9b1a-2f6d5e4d${String(i).padStart(4, '0')}`;
      void write({ put: 'tier', row: { ...someRecords().tiers[0]!, id, name: `Tier ${i}` } });
    }
    await until(() => state().stuck);
    expect(state().waiting).toHaveLength(500);
    server.away = false;
    server.asked.length = 0;
    await until(() => state().waiting.length === 0);
    expect(server.asked.length).toBeLessThanOrEqual(5);
    expect(server.carriedOut).toHaveLength(500);
    expect(state().rows.tier.size).toBe(500 + someRecords().tiers.length);
  });

  it('that cannot be read by its noun is not sent, and can be put right', async () => {
    await start();
    await write({ ...pump(1), row: { ...pump(1).row, doseVolumeL: -2 } });
    expect(state().waiting).toEqual([]);
    const [refusal] = refusalsOf(state().refused);
    expect(refusal!.entry.problem!.fields![0]!.path).toBe('writes.0.row.doseVolumeL');
    const mended = { ...refusal!.entry, writes: [pump(1)] };
    await sendAgain({ entry: mended, hanging: [] });
    await until(() => server.carriedOut.length === 1);
    expect([state().refused, names()]).toEqual([[], ['Pump 1']]);
  });
});

describe('what the server would not take', () => {
  it('is kept with its words and with what hangs on it; all else goes on', async () => {
    await start();
    server.refuses = (each) => ('put' in each && each.put === 'calibration' ? problem(409, 'still in use') : null);
    const calibration = { id: uuid(50), modelId: MODEL_ID, pumpId: uuid(1), preStretched: false, roundedOff: false };
    server.away = true;
    await write(pump(1));
    await write({ put: 'calibration', row: { ...calibration, startedAt: '2026-11-20T10:00:00.000Z' } });
    await write({ remove: 'calibration', id: uuid(50) });
    await write(pump(2));
    server.away = false;
    await until(() => state().waiting.length === 0);
    expect(names()).toEqual(['Pump 1', 'Pump 2']);
    expect(state().rows.calibration.size).toBe(0);
    const [refusal, ...others] = refusalsOf(state().refused);
    expect([refusal!.entry.problem!.title, refusal!.hanging.length, others]).toEqual(['still in use', 1, []]);
    await drop(refusal!);
    expect(state().refused).toEqual([]);
  });

  it('is sent again in its order, once whoever kept it is ready', async () => {
    await start();
    server.refuses = () => problem(409, 'not yet');
    await write(pump(1));
    await write({ change: 'pump', id: uuid(1), by: { name: 'Barge' } });
    await until(() => state().refused.length === 2);
    server.refuses = () => null;
    await sendAgain(refusalsOf(state().refused)[0]!);
    await until(() => state().waiting.length === 0);
    expect([state().refused, names()]).toEqual([[], ['Barge']]);
  });
});

describe('an answer that is none', () => {
  const page = (status: number) => () =>
    ({ ok: status < 400, status, json: () => Promise.reject(new SyntaxError('<html>')) }) as unknown as Response;
  const told = (status: number) => () => ({ ok: false, status, json: async () => problem(status) }) as Response;

  it.each([
    ['too many at once', told(429)],
    ['not in time', told(408)],
    ['too early', told(425)],
    ['sign in first', told(401)],
    ['a network that wants a room number', page(200)],
    [
      'the same, politely',
      () => ({ ok: true, status: 200, json: async () => ({ welcome: 'to the hotel' }) }) as Response,
    ],
    ['a proxy that forbids', page(403)],
    ['a proxy that finds nothing', page(404)],
    ['a proxy that broke', page(502)],
  ])('keeps what met %s, and sends it again', async (_, instead) => {
    await start();
    const stuck = once((now) => now.stuck);
    server.instead.push(instead);
    await write(pump(1));
    const { waiting, refused } = await stuck;
    expect([waiting.length, refused]).toEqual([1, []]);
    await until(() => state().waiting.length === 0);
    expect([state().stuck, names()]).toEqual([false, ['Pump 1']]);
  });

  it('is given up after half a minute, and asked for again', async () => {
    await start();
    jest.useFakeTimers();
    try {
      server.instead.push(() => new Promise(() => {}));
      void write(pump(1));
      const fetched = globalThis.fetch;
      globalThis.fetch = ((url: string, init: RequestInit) =>
        Promise.race([
          fetched(url, init),
          new Promise((__, reject) =>
            init.signal!.addEventListener('abort', () => reject(new DOMException('given up', 'AbortError'))),
          ),
        ])) as typeof fetch;
      await jest.advanceTimersByTimeAsync(29_000);
      expect(state()).toMatchObject({ stuck: false, waiting: [{}] });
      await jest.advanceTimersByTimeAsync(1100);
      expect(state()).toMatchObject({ stuck: true, waiting: [{}] });
      await jest.advanceTimersByTimeAsync(1000);
      expect(state()).toMatchObject({ stuck: false, waiting: [] });
    } finally {
      jest.useRealTimers();
    }
  });

  it('for one entry, again and again, lets pass what does not hang on it', async () => {
    await start();
    let mended = false;
    server.refuses = (each) =>
      'put' in each && JSON.stringify(each).includes(uuid(1)) && !mended ? problem(500) : null;
    await write(pump(1));
    await write(pump(2));
    // Changing it must not arrive before it.
    await write({ change: 'pump', id: uuid(1), by: { name: 'Barge' } });
    await until(() => state().aside === 2);
    expect(server.carriedOut).toMatchObject([{ put: 'pump', row: { name: 'Pump 2' } }]);
    expect([state().refused, names()]).toEqual([[], ['Pump 2', 'Barge']]);
    mended = true;
    await until(() => state().waiting.length === 0);
    expect(server.rows.pump.get(uuid(1))!.name).toBe('Barge');
    expect(state()).toMatchObject({ aside: 0, stuck: false });
  });

  it('for a request of many finds the one that it is for', async () => {
    await start();
    server.away = true;
    for (let i = 1; i <= 6; i += 1) await write(pump(i));
    const fetched = globalThis.fetch;
    // A request with the third of them breaks whatever it runs into, whole.
    globalThis.fetch = ((url: string, init: RequestInit) =>
      String(init.body).includes(uuid(3)) ? Promise.resolve(told(500)()) : fetched(url, init)) as typeof fetch;
    server.away = false;
    await until(() => state().aside === 1 && state().waiting.length === 1);
    expect(server.rows.pump.size).toBe(5);
    globalThis.fetch = fetched;
    await until(() => state().waiting.length === 0);
    expect(server.rows.pump.size).toBe(6);
  });
});

describe('what others do', () => {
  it('comes when it is asked for, with the entries that wait laid over it', async () => {
    await start();
    server.write(pump(9, 'Elsewhere'));
    pullSoon();
    await until(() => names().includes('Elsewhere'));
    server.write({ remove: 'pump', id: uuid(9) });
    await write(pump(1));
    await until(() => state().waiting.length === 0);
    expect(names()).toEqual(['Pump 1']);
  });

  it('is read anew from the start where the server does not know the cursor', async () => {
    await start();
    server.instead.push(
      () =>
        ({
          ok: true,
          status: 200,
          json: async () => ({ cursor: '', revision: 0, more: true, anew: true, rows: {}, gone: {} }),
        }) as Response,
    );
    const before = state().rows;
    pullSoon();
    await until(() => server.asked.length > 2 && state().filled);
    // The same rows: nothing was taken off the page meanwhile.
    expect([...state().rows.model.keys()]).toEqual([...before.model.keys()]);
  });

  it('is another studio at the same address: what waits for the one before is not given to it', async () => {
    await start();
    server.away = true;
    await write(pump(1));
    await until(() => state().stuck);
    stop();
    const records = { ...someRecords(), pumps: [] };
    records.models[0]!.calibrations = [];
    records.studio = { ...records.studio, id: uuid(80), name: 'Brine Street' };
    server = new FakeServer(layChanges(NO_ROWS, feedOf(records)));
    const anew = { cursor: '', revision: 0, more: true, anew: true, rows: {}, gone: {} };
    server.instead.push(() => ({ ok: true, status: 200, json: async () => anew }) as Response);
    useRecords.setState({ fresh: false });
    stop = deliver();
    await until(() => state().refused.length === 1);
    expect(server.carriedOut).toEqual([]);
    expect([state().waiting, names(), [...state().rows.studio.values()][0]!.name]).toEqual([[], [], 'Brine Street']);
    expect(state().refused[0]!.problem!.title).toMatch('another studio');
  });
});
