import { layChanges, NO_ROWS, type NounName } from '@leggero/contract';
import { openDB } from 'idb';

import { closeTabs, newDevice, openTab, type Tab } from './device';
import { FakeServer, problem } from './server';
import { CHECK_ID, feedOf, someRecords } from './studio';
import { until } from './until';

const uuid = (n: number) => `5b8f2c9e-7d4a-4c0e-9b1a-2f6d5e4c${String(n).padStart(4, '0')}`;
const pump = (n: number) => ({
  put: 'pump' as const,
  row: { id: uuid(n), name: `Pump ${n}`, kind: 'hand' as const, doseVolumeL: null },
});
const tap = (n: number, position = 0) => ({
  put: 'checkResult' as const,
  row: {
    id: uuid(n),
    checkId: CHECK_ID,
    position,
    answer: 'passes' as const,
    widthMm: null,
    takenAt: '2026-11-20T10:00:00.000Z',
  },
});

/** Every row is there, from the disk too. */
const isOpen = ({ filled, lacking }: ReturnType<Tab['state']>) => filled && lacking.length === 0;
const opened = (...tabs: Tab[]) => until(() => tabs.every((tab) => isOpen(tab.state())));
/** And nothing is on its way. */
const isAtRest = ({ waiting, settling }: ReturnType<Tab['state']>) => waiting.length + settling.length === 0;
const arrived = (...tabs: Tab[]) => until(() => tabs.every((tab) => isOpen(tab.state()) && isAtRest(tab.state())));

/** What pages show in a tab, in the form of what the server has. */
const shown = (tab: Tab, noun: NounName) =>
  [...tab.state().rows[noun].values()].sort((a, b) => a.id.localeCompare(b.id));
const stored = (noun: NounName) => [...server.rows[noun].values()].sort((a, b) => a.id.localeCompare(b.id));

/** Fills with the ids of results that a tab showed, and for a moment no longer. */
function neverFewer(tab: Tab): string[] {
  const lost: string[] = [];
  tab.follow((now, before) => {
    for (const id of before.rows.checkResult.keys()) if (!now.rows.checkResult.has(id)) lost.push(id);
  });
  return lost;
}

let server: FakeServer;
beforeEach(() => {
  newDevice();
  const records = someRecords();
  Object.assign(records.models[0]!.checks[0]!, { size: 200, results: [] });
  server = new FakeServer(layChanges(NO_ROWS, feedOf(records)));
});
afterEach(closeTabs);

describe('a device', () => {
  it('opens with what it knew, without the server', async () => {
    await arrived(openTab());
    await closeTabs();
    server.away = true;
    server.asked.length = 0;
    const tab = openTab({ delivering: false });
    await opened(tab);
    expect(server.asked).toEqual([]);
    expect(shown(tab, 'model')).toEqual(stored('model'));
    expect(shown(tab, 'reading')).toEqual(stored('reading'));
  });

  it('has what was entered on its disk before it is shown', async () => {
    const tab = openTab();
    await arrived(tab);
    server.away = true;
    for (let n = 0; n < 30; n += 1) {
      await tab.write(tap(n, n));
      expect(tab.state().rows.checkResult.size).toBe(n + 1);
    }
    tab.kill();
    const next = openTab({ delivering: false });
    await opened(next);
    expect(next.state().waiting).toHaveLength(30);
    expect(shown(next, 'checkResult')).toEqual(shown(tab, 'checkResult'));
  });

  it('killed between any two steps loses nothing, and nothing arrives twice', async () => {
    // With each answer lost in turn: before the server did anything, and after it did everything.
    for (const lost of [0, 1, 2, 3].flatMap((at) => [`${at} before`, `${at} after`])) {
      newDevice();
      server = new FakeServer(server.rows);
      const had = server.rows.checkResult.size;
      const [at, when] = [Number(lost[0]), lost.slice(2)];
      const fetched = globalThis.fetch;
      let asked = 0;
      globalThis.fetch = (async (...asking: Parameters<typeof fetch>) => {
        asked += 1;
        if (asked <= at) return fetched(...asking);
        if (asked === at + 1 && when === 'after') await fetched(...asking);
        return new Promise<Response>(() => undefined);
      }) as typeof fetch;
      const tab = openTab();
      const base = 1000 * (1 + at) + (when === 'after' ? 500 : 0);
      const entered = tap(base, 0);
      await tab.write(entered, { put: 'pump', row: { ...pump(base).row } });
      await tab.write({ change: 'pump', id: uuid(base), by: { name: `Barge ${base}` } });
      await new Promise((resolve) => setTimeout(resolve, 60));
      tab.kill();
      globalThis.fetch = fetched;
      const next = openTab();
      await arrived(next);
      expect(server.rows.checkResult.size).toBe(had + 1);
      expect(server.rows.pump.get(uuid(base))?.name).toBe(`Barge ${base}`);
      expect(shown(next, 'checkResult')).toEqual(stored('checkResult'));
      await closeTabs();
    }
  });

  it('carries over, once, what waits since before an update', async () => {
    const { row } = pump(1);
    const [sizer] = someRecords().sizers;
    const holes = [
      { ...sizer!.holes[0]!, measurements: undefined, label: 'nine' },
      { id: uuid(77), label: '12', widthMm: 304.8 },
    ];
    const waiting = [
      { key: uuid(90), name: 'createPump', body: row },
      { key: uuid(91), name: 'changePump', id: row.id, body: { name: 'Barge' } },
      { key: uuid(92), name: 'changeSizer', id: sizer!.id, body: { keeper: 'Jory', holes } },
      { key: uuid(93), name: 'changeStudio', body: { unit: 'cm' } },
      { key: uuid(94), name: 'createCheckResult', body: tap(3).row },
      { key: uuid(95), name: 'deletePerson', id: someRecords().people[1]!.id },
      {
        key: uuid(96),
        name: 'createHoldTest',
        body: {
          id: uuid(60),
          modelId: someRecords().models[0]!.id,
          wraps: 1,
          stuffed: false,
          startedAt: '2026-11-20T10:00:00.000Z',
          firstReadingId: uuid(61),
          firstWidthMm: 241.3,
        },
      },
      {
        key: uuid(97),
        name: 'createStudy',
        body: {
          id: uuid(70),
          subject: 'The 9 hole',
          people: ['A', 'B'],
          balloons: 2,
          repeats: 2,
          startedAt: '2026-11-20T10:00:00.000Z',
        },
      },
    ];
    localStorage.setItem('leggero-outbox', JSON.stringify({ state: { waiting }, version: 0 }));
    const tab = openTab();
    await until(() => localStorage.getItem('leggero-outbox') === null);
    await arrived(tab);
    expect(tab.state().refused).toEqual([]);
    expect(server.rows.pump.get(row.id)!.name).toBe('Barge');
    expect([...server.rows.hole.values()].map(({ label }) => label)).toEqual(['nine', '12']);
    expect(server.rows.sizer.get(sizer!.id)!.keeper).toBe('Jory');
    expect([...server.rows.studio.values()][0]!.unit).toBe('cm');
    expect(server.rows.checkResult.has(uuid(3))).toBe(true);
    expect(server.rows.person.size).toBe(1);
    expect(server.rows.holdReading.get(uuid(61))).toMatchObject({ holdTestId: uuid(60), hours: 0, widthMm: 241.3 });
    expect([...server.rows.studyPerson.values()].map(({ name }) => name)).toEqual(['A', 'B']);
  });

  it('reads anew what it kept in another form', async () => {
    await arrived(openTab());
    await closeTabs();
    const database = await openDB('leggero');
    await database.put('meta', 'of another time', 'form');
    await database.add('few', { pump: { rows: [{ id: 'x', odd: true }], gone: [] } });
    database.close();
    const tab = openTab();
    await arrived(tab);
    expect(shown(tab, 'pump')).toEqual(stored('pump'));
    await closeTabs();
    const again = openTab({ delivering: false });
    await opened(again);
    expect(shown(again, 'pump')).toEqual(stored('pump'));
  });
});

describe('a device that cannot keep', () => {
  it('because its storage is full says so, and goes on while the server is in reach', async () => {
    const tab = openTab();
    await arrived(tab);
    const add = jest.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
      throw new DOMException('no room', 'QuotaExceededError');
    });
    try {
      await tab.write(pump(1));
      expect([tab.state().unkept, tab.state().rows.pump.has(uuid(1))]).toEqual(['full', true]);
      await arrived(tab);
      expect(server.rows.pump.has(uuid(1))).toBe(true);
    } finally {
      add.mockRestore();
    }
  });

  it('because a newer version keeps there already says so, and works', async () => {
    (await openDB('leggero', 7)).close();
    const tab = openTab();
    await arrived(tab);
    expect(tab.state().unkept).toBe('newer');
    await tab.write(pump(1));
    await arrived(tab);
    expect(server.rows.pump.has(uuid(1))).toBe(true);
  });

  it('in the middle of a step stays behind, and catches up at the next start', async () => {
    const tab = openTab();
    await arrived(tab);
    const put = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('the disk', 'UnknownError');
    });
    try {
      server.write(pump(8));
      tab.pullSoon();
      await until(() => tab.state().rows.pump.has(uuid(8)));
      expect(tab.state().unkept).toBe('broken');
    } finally {
      put.mockRestore();
    }
    server.write(pump(9));
    await tab.write(pump(1));
    await arrived(tab);
    expect(shown(tab, 'pump')).toEqual(stored('pump'));
    await closeTabs();
    const next = openTab();
    await arrived(next);
    await until(() => next.state().fresh);
    expect([shown(next, 'pump'), next.state().waiting]).toEqual([stored('pump'), []]);
  });
});

describe('two tabs of one device', () => {
  const both = async () => {
    const [one, two] = [openTab(), openTab()];
    await opened(one, two);
    return [one, two] as const;
  };

  it('tap in turn, each tap arrives once, and both show all of them', async () => {
    const [one, two] = await both();
    const lost = [one, two].map(neverFewer);
    for (let n = 0; n < 60; n += 1) {
      void one.write(tap(2 * n, n));
      void two.write(tap(2 * n + 1, n));
      if (n % 10 === 0) await new Promise((resolve) => setTimeout(resolve, 5));
    }
    await until(() => server.rows.checkResult.size === 120);
    await arrived(one, two);
    expect(lost).toEqual([[], []]);
    expect(server.carriedOut.filter((write) => 'put' in write)).toHaveLength(120);
    expect(stored('checkResult').map(({ id }) => id)).toHaveLength(120);
    expect([shown(one, 'checkResult'), shown(two, 'checkResult')]).toEqual([
      stored('checkResult'),
      stored('checkResult'),
    ]);
    const places = [...server.rows.checkResult.values()].map(({ position }) => position);
    expect(new Set(places).size).toBe(120);
  });

  it('without the server keep what either enters, and see it of one another', async () => {
    const [one, two] = await both();
    server.away = true;
    for (let n = 0; n < 20; n += 1) {
      await one.write(tap(2 * n, n));
      await two.write(tap(2 * n + 1, n));
    }
    await until(() => one.state().waiting.length === 40 && two.state().waiting.length === 40);
    server.away = false;
    await until(() => server.rows.checkResult.size === 40);
    await arrived(one, two);
  });

  it('undo in one what waits from the other', async () => {
    const [one, two] = await both();
    server.away = true;
    await one.write(tap(1));
    await until(() => two.state().rows.checkResult.has(uuid(1)));
    await two.write({ remove: 'checkResult', id: uuid(1) });
    await until(() => !one.state().rows.checkResult.has(uuid(1)));
    server.away = false;
    await arrived(one, two);
    expect(server.rows.checkResult.size).toBe(0);
  });

  it('both know when the server is away, and when it is back', async () => {
    const [one, two] = await both();
    await until(() => one.state().fresh && two.state().fresh);
    server.away = true;
    await two.write(pump(5));
    await until(() => one.state().stuck && two.state().stuck);
    server.away = false;
    await until(() => !one.state().stuck && !two.state().stuck);
    await arrived(one, two);
  });

  it('go on when the one that delivers is closed', async () => {
    const [one, two] = await both();
    one.kill();
    await two.write(pump(5));
    await until(() => server.rows.pump.has(uuid(5)));
    await arrived(two);
  });

  it('both show what was refused, and what one of them drops is gone in both', async () => {
    const [one, two] = await both();
    server.refuses = () => problem(409, 'still in use');
    await two.write(pump(5));
    await until(() => one.state().refused.length === 1 && two.state().refused.length === 1);
    expect([one, two].map((tab) => tab.state().rows.pump.has(uuid(5)))).toEqual([false, false]);
  });
});
