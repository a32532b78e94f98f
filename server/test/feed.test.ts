import { randomUUID } from 'node:crypto';
import { get } from 'node:http';
import type { AddressInfo } from 'node:net';
import { setTimeout as pause } from 'node:timers/promises';

import {
  batchAnswerSchema,
  changesSchema,
  KEPT_NOUNS,
  layChanges,
  layWrites,
  MOST_COMMANDS,
  MOST_HOLES,
  NO_ROWS,
  NOUN_NAMES,
  NOUNS,
  writeSchema,
  type BatchAnswer,
  type Changes,
  type NounName,
  type Rows,
  type Write,
} from '@leggero/contract';
import { sql } from 'drizzle-orm';
import fc from 'fast-check';

import type { Viewer } from '../src/person/openPages';
import { carryOut } from '../src/records/batch';
import { changesSince } from '../src/records/feed';
import { announce, listen, listening } from '../src/records/live';
import { forgetOldKeys } from '../src/records/once';
import { findRow, listRows } from '../src/records/store';
import { sample, sampleId } from './samples';
import { onceFree, serviceForTests } from './service';

const service = serviceForTests();

/** Everything the server has of what devices keep, by noun and id. */
async function stored(): Promise<Record<string, Record<string, unknown>>> {
  const all: Record<string, Record<string, unknown>> = {};
  for (const name of KEPT_NOUNS) all[name] = byId(await listRows(service, name));
  return all;
}

function byId(rows: Iterable<{ id: string }>): Record<string, unknown> {
  return Object.fromEntries([...rows].map((row) => [row.id, row]));
}

const kept = (rows: Rows) => Object.fromEntries(KEPT_NOUNS.map((name) => [name, byId(rows[name].values())]));

/** A device: what it has, and where it is. */
class Device {
  rows: Rows = NO_ROWS;
  cursor = '';

  async follow(page?: number): Promise<void> {
    for (let more = true; more;) {
      const changes = await changesSince(service, { since: this.cursor, page });
      this.rows = layChanges(changes.anew ? NO_ROWS : this.rows, changes);
      [this.cursor, more] = [changes.cursor, changes.more];
    }
  }
}

async function send(...commands: Write[][]): Promise<BatchAnswer['answers']> {
  const body = { commands: commands.map((writes) => ({ key: randomUUID(), writes })) };
  const response = await onceFree(() => service.request.post('/api/batch').send(body));
  return batchAnswerSchema.parse(response.body).answers;
}

const put = <N extends NounName>(name: N, at = 0) => ({ put: name, row: sample(name, at) }) as unknown as Write;
const remove = (name: NounName, at = 0) => ({ remove: name, id: sampleId(name, at) }) as Write;

/** Takes away everything that samples made. */
const clear = () =>
  send([remove('model', 0)], [remove('model', 1)], ...[0, 1, 2].map((at) => SWEPT.map((name) => remove(name, at))));
const SWEPT = ['tier', 'sizer', 'pump', 'piece', 'event', 'stack', 'finishedGarland', 'study'] as const;

afterEach(clear);

const isPrivate = (name: NounName) => NOUNS[name].replica === 'never';

describe('every noun', () => {
  it('is put under its id, once; changed; and taken away', async () => {
    const { request } = service;
    for (const name of NOUN_NAMES) {
      if (name === 'studio') continue;
      const at = `/api/${NOUNS[name].path}/${sampleId(name)}`;
      const { id: _, ...body } = sample(name);
      const made = await request.put(at).send(body).expect(201);
      expect(NOUNS[name].row.parse(made.body)).toEqual(made.body);
      if (!isPrivate(name)) expect(made.body).toEqual(await findRow(service, name, sampleId(name)));
      await request.put(at).send(body).expect(200);
      // What may not be changed is not. Nobody's private pages are open here.
      const nothing = { id: randomUUID(), takenAt: '2020-01-01T00:00:00Z' };
      const change = await request
        .patch(at)
        .send(nothing)
        .expect(isPrivate(name) ? 403 : 200);
      if (!isPrivate(name)) expect(change.body).toMatchObject(made.body);
    }
    await request
      .patch(`/api/pumps/${sampleId('pump')}`)
      .send({ name: 'Blue', demo: true })
      .expect(200);
    expect((await listRows(service, 'pump')).find(({ id }) => id === sampleId('pump'))).toMatchObject({
      name: 'Blue',
      demo: false,
    });
    // A pump that calibrations were made with is held back by them.
    await request.delete(`/api/pumps/${sampleId('pump')}`).expect(409);
    for (const name of [...NOUN_NAMES].reverse()) {
      if (name === 'studio') continue;
      const at = `/api/${NOUNS[name].path}/${sampleId(name)}`;
      await request.delete(at).expect(isPrivate(name) ? 403 : 204);
    }
  });

  it('is told of in one document', async () => {
    const { body } = await service.request.get('/api/openapi.json').expect(200);
    expect(Object.keys(body.components.schemas)).toEqual([...NOUN_NAMES, 'problem']);
  });

  it('is refused with the field to blame, in the same words as everywhere', async () => {
    const { request } = service;
    const refused = await request
      .put(`/api/readings/${randomUUID()}`)
      .send({ ...sample('reading'), widthMm: null })
      .expect(400);
    expect(refused.body.fields).toEqual([{ path: 'widthMm', message: 'A width is needed unless the balloon burst' }]);
    await request.put(`/api/studios/${randomUUID()}`).send(sample('studio')).expect(409);
    await request.put('/api/pumps/none').send(sample('pump')).expect(404);
  });
});

describe('what the rows of a noun are together', () => {
  it('is kept by its guard: sixty holes to a sizer, and a study whose people are settled before its first width', async () => {
    const holes = [...Array(MOST_HOLES).keys()].map((at) => put('hole', at));
    expect((await send([put('sizer'), ...holes]))[0]!.problem).toBeNull();
    const status = async (...writes: Write[]) => (await send(writes))[0]!.problem?.status ?? 'done';
    expect(await status(put('hole', MOST_HOLES))).toBe(400);
    expect(await status(put('hole', 0))).toBe('done');

    expect(await status(put('study'), put('studyPerson', 1))).toBe(400);
    expect(await status(put('study'), put('studyPerson', 0), put('studyPerson', 1))).toBe('done');
    expect(await status({ put: 'studyPerson', row: { ...sample('studyPerson', 2), name: 'JORY 1' } })).toBe(400);
    expect(await status(remove('studyPerson', 0))).toBe(409);
    expect(await status(remove('studyPerson', 1))).toBe('done');
    expect(await status(put('studyWidth'))).toBe('done');
    expect(await status(put('studyPerson', 1))).toBe(409);
    expect(await status(remove('studyPerson', 0))).toBe(409);
  });
});

describe('a batch', () => {
  it('carries each command out whole or not at all, and one that is wrong stops no other', async () => {
    const answers = await send(
      [put('pump'), put('model')],
      // Its second write hangs on what is not there: the first is undone with it.
      [put('sizer'), put('reading')],
      [{ change: 'pump', id: sampleId('pump', 7), by: { name: 'Nobody’s' } }],
      [{ put: 'pump', row: { ...sample('pump', 1), doseVolumeL: -3 } }],
      [put('calibration'), put('reading')],
    );
    expect(answers.map(({ problem }) => problem?.status ?? 'done')).toEqual(['done', 404, 404, 400, 424]);
    expect(answers[3]!.problem!.fields).toEqual([
      { path: 'writes.0.row.doseVolumeL', message: expect.stringContaining('>0') },
    ]);
    const there = await stored();
    expect(there['sizer']).not.toHaveProperty(sampleId('sizer'));
    // What came after names a row of one that was not carried out: it waits with it.
    expect(there['reading']).not.toHaveProperty(sampleId('reading'));
    const [alone] = await send([put('calibration'), put('reading')]);
    expect(alone!.problem).toBeNull();
  });

  it('that comes again changes nothing, and nothing is news', async () => {
    const commands: Write[][] = [[put('pump'), put('model')], [put('calibration')], [put('reading')]];
    await send(...commands);
    const device = new Device();
    await device.follow();
    expect((await send(...commands)).every(({ problem }) => problem === null)).toBe(true);
    const { rows, gone } = await changesSince(service, { since: device.cursor });
    expect({ rows, gone }).toEqual({ rows: {}, gone: {} });
  });

  it('that comes again after another device wrote takes nothing of that back', async () => {
    await send([put('pump'), put('sizer')]);
    const [key, other] = [randomUUID(), randomUUID()];
    const named = (name: string) => [{ change: 'pump', id: sampleId('pump'), by: { name } }, remove('sizer')];
    const carry = async (commands: object[]) =>
      batchAnswerSchema.parse((await service.request.post('/api/batch').send({ commands }).expect(200)).body).answers;
    await carry([{ key, writes: named('Barge') }]);
    await carry([
      { key: other, writes: [{ change: 'pump', id: sampleId('pump'), by: { name: 'Lighter' } }, put('sizer')] },
    ]);
    // Its answer was lost on the way.
    expect(await carry([{ key, writes: named('Barge') }])).toEqual([{ key, problem: null }]);
    const there = await stored();
    expect(there['pump']![sampleId('pump')]).toMatchObject({ name: 'Lighter' });
    expect(there['sizer']).toHaveProperty(sampleId('sizer'));
    // One that was not carried out comes as if for the first time.
    const wrong = randomUUID();
    const hole = { key: wrong, writes: [put('holeMeasurement')] };
    expect((await carry([hole]))[0]!.problem).toMatchObject({ status: 404 });
    await send([put('hole')]);
    expect((await carry([hole]))[0]!.problem).toBeNull();
    await service.database.execute(sql`update carried_out set at = '2020-01-01'`);
    await forgetOldKeys(service.database);
    expect((await carry([{ key, writes: named('Barge') }]))[0]!.problem).toBeNull();
    expect((await stored())['pump']![sampleId('pump')]).toMatchObject({ name: 'Barge' });
  });

  it('that the records stumble over is told as such, and by name to whoever keeps the server', async () => {
    await send([put('pump'), put('pump', 1)]);
    // A value that the contract lets through and the table does not: nothing of the kind is known, so it is made here.
    await service.database.execute(sql`alter table pumps add constraint no_pell check (name <> 'Pell')`);
    try {
      const log = jest.fn();
      const viewer = { personId: null } as Viewer;
      const named = (name: string, at: number) => [{ change: 'pump', id: sampleId('pump', at), by: { name } }];
      const commands = [named('Pell', 0), named('Jory', 0), named('Jory', 1)];
      const { answers } = await carryOut(
        { ...service, viewer, log },
        { commands: commands.map((writes) => ({ key: randomUUID(), writes })) },
      );
      // What hangs on it waits with it.
      expect(answers.map(({ problem }) => problem?.status ?? 'done')).toEqual([500, 424, 'done']);
      expect(log).toHaveBeenCalledTimes(1);
    } finally {
      await service.database.execute(sql`alter table pumps drop constraint no_pell`);
    }
  });

  it('has a bound, and says so', async () => {
    const one = { key: randomUUID(), writes: [remove('pump')] };
    const refused = await service.request
      .post('/api/batch')
      .send({ commands: Array(MOST_COMMANDS + 1).fill(one) })
      .expect(400);
    expect(refused.body.fields).toEqual([{ path: 'commands', message: 'At most 500 commands are taken at once' }]);
    const long = { commands: [{ ...one, writes: Array(201).fill(remove('pump')) }] };
    await service.request.post('/api/batch').send(long).expect(400);
    const large = { commands: [{ ...one, writes: [{ ...remove('pump'), more: 'x'.repeat(2_000_000) }] }] };
    await service.request.post('/api/batch').send(large).expect(413);
  });
});

describe('a batch of a device that says where it is', () => {
  /** A device that follows by what its batches are answered with. */
  class Tapping extends Device {
    async tap(...commands: Write[][]): Promise<(number | null)[]> {
      const body = { commands: commands.map((writes) => ({ key: randomUUID(), writes })), since: this.cursor };
      return this.answered(body);
    }

    async answered(body: object): Promise<(number | null)[]> {
      const response = await onceFree(() => service.request.post('/api/batch').send(body));
      const { answers, changes } = batchAnswerSchema.parse(response.body) as { changes: Changes } & BatchAnswer;
      this.rows = layChanges(this.rows, changes);
      this.cursor = changes.cursor;
      expect(changes).toMatchObject({ more: false, anew: false });
      return answers.map(({ problem }) => problem?.status ?? null);
    }
  }

  it('is answered with what it wrote, and what others did: also where its last, or all of it, was refused', async () => {
    const device = new Tapping();
    await device.follow();
    const isUpToDate = async () => expect(kept(device.rows)).toEqual(await stored());
    await send([put('sizer')]);
    expect(await device.tap([put('pump')], [put('pump', 1)])).toEqual([null, null]);
    await isUpToDate();
    await send([remove('sizer')]);
    // A hole of a sizer that is gone.
    expect(await device.tap([put('pump', 2)], [put('hole')])).toEqual([null, 404]);
    await isUpToDate();
    expect(device.rows.pump.size).toBeGreaterThanOrEqual(3);
    await send([{ change: 'pump', id: sampleId('pump'), by: { name: 'Lighter' } }]);
    expect(await device.tap([put('hole')])).toEqual([404]);
    await isUpToDate();
    expect(device.rows.pump.get(sampleId('pump'))).toMatchObject({ name: 'Lighter' });
    // Nothing is written where it comes again, and it is told what was.
    const body = { commands: [{ key: randomUUID(), writes: [put('stack')] }], since: device.cursor };
    const before = device.cursor;
    expect(await device.answered(body)).toEqual([null]);
    device.cursor = before;
    await send([put('tier')]);
    expect(await device.answered(body)).toEqual([null]);
    await isUpToDate();
  });

  it('misses nothing where many tap at once', async () => {
    await send([put('pump'), put('model'), put('calibration')]);
    const devices = Array.from({ length: 6 }, () => new Tapping());
    for (const device of devices) await device.follow();
    await Promise.all(
      devices.map(async (device, at) => {
        for (let i = 0; i < 12; i += 1) {
          const row = { ...sample('reading'), id: randomUUID(), dose: 1 + at };
          const by = { name: `by ${at}, ${i}` };
          await device.tap([{ put: 'reading', row }], [{ change: 'pump', id: sampleId('pump'), by }]);
          if (i % 4 === 3) await device.tap([{ remove: 'reading', id: row.id }]);
        }
      }),
    );
    const there = await stored();
    expect(Object.keys(there['reading']!)).toHaveLength(6 * 9);
    for (const device of devices) {
      await device.follow();
      expect(kept(device.rows)).toEqual(there);
    }
  });
});

describe('two phones at one check', () => {
  it('tap in turn, and every balloon has its result', async () => {
    await send([put('model'), put('check')]);
    const tap = (position: number) =>
      send([{ put: 'checkResult', row: { ...sample('checkResult', position), id: randomUUID(), position } }]);
    // Each counts from its own first balloon on.
    const answers = await Promise.all([...Array(12).keys()].flatMap((at) => [tap(at), tap(at)]));
    expect(answers.flat().map(({ problem }) => problem)).toEqual(Array(24).fill(null));
    const places = (await listRows(service, 'checkResult')).map(({ position }) => position);
    expect(places).toEqual([...Array(24).keys()]);
    const [one] = await tap(3);
    expect(one!.problem).toMatchObject({ status: 409, title: 'Every balloon of this check has its result.' });
  });
});

/** Writes on few ids, so that many hang on what is there, was there, or never was. */
const WRITTEN = [
  ...['pump', 'sizer', 'hole', 'holeMeasurement', 'sizing', 'model', 'calibration', 'reading', 'holdTest'],
  ...['chain', 'stack', 'finishedGarland', 'event', 'piece', 'fixing', 'run', 'check', 'checkResult', 'study'],
  ...['bag', 'stockEntry', 'loss', 'inflation', 'inflationBatch', 'turn', 'tally', 'ownStep', 'siteTick'],
  ...['snag', 'photo', 'asBuilt', 'repair'],
] as const as readonly NounName[];
const CHANGES: { [N in NounName]?: object } = {
  pump: { name: 'Renamed' },
  sizer: { keeper: 'Maren' },
  hole: { label: 'eight' },
  model: { colourName: 'foam' },
  piece: { name: 'Taller', eventId: sampleId('event', 1) },
  event: { place: 'The quay' },
  inflation: { endedAt: '2026-11-18T09:00:00.000Z' },
  snag: { doneAt: '2026-11-18T09:00:00.000Z' },
  inflationBatch: { count: 36 },
};
const writes: fc.Arbitrary<Write> = fc
  .record({
    name: fc.constantFrom(...WRITTEN),
    at: fc.nat(1),
    kind: fc.constantFrom('put', 'put', 'put', 'change', 'remove'),
  })
  .map(({ name, at, kind }) => {
    if (kind === 'put') return put(name, at);
    const by = CHANGES[name];
    return kind === 'change' && by ? ({ change: name, id: sampleId(name, at), by } as Write) : remove(name, at);
  });

describe('the change feed', () => {
  it('has a device know what the server knows, and its own writes laid over the rest say the same', async () => {
    let refused = 0;
    let carriedOut = 0;
    await fc.assert(
      fc.asyncProperty(fc.array(writes, { minLength: 20, maxLength: 60 }), async (all) => {
        await clear();
        const [follower, writer] = [new Device(), new Device()];
        await writer.follow();
        const ground = (['pump', 'model', 'sizer', 'hole', 'piece'] as const).map((name) => put(name));
        for (const write of [...ground, ...all]) {
          const [answer] = await send([write]);
          const laid = layWrites(writer.rows, [writeSchema.parse(write)]);
          if (answer!.problem) {
            refused += 1;
            expect(laid).toBe(writer.rows);
          } else if (laid !== writer.rows) carriedOut += 1;
          writer.rows = laid;
          if (carriedOut % 3 === 0) await follower.follow(2);
        }
        await follower.follow(2);
        const there = await stored();
        expect(kept(follower.rows)).toEqual(there);
        expect(kept(writer.rows)).toEqual(there);
      }),
      { numRuns: 12, seed: 16, endOnFailure: true },
    );
    expect(refused).toBeGreaterThan(20);
    expect(carriedOut).toBeGreaterThan(100);
  });

  it('never skips a row, however many write at once', async () => {
    await send([put('pump'), put('model'), put('calibration')]);
    const device = new Device();
    await device.follow();
    let writing = true;
    const follow = (async () => {
      while (writing) await device.follow(3);
    })();
    const tap = async (writer: number) => {
      for (let i = 0; i < 15; i += 1) {
        const row = { ...sample('reading'), id: randomUUID(), dose: 1 + writer };
        await send([{ put: 'reading', row }]);
        if (i % 5 === 4) await send([{ remove: 'reading', id: row.id }]);
        if (i % 4 === 3) await send([{ change: 'pump', id: sampleId('pump'), by: { name: `by ${writer}` } }]);
      }
    };
    await Promise.all([...Array(8).keys()].map(tap));
    writing = false;
    await follow;
    await device.follow();
    const there = await stored();
    expect(Object.keys(there['reading']!)).toHaveLength(8 * 12);
    expect(kept(device.rows)).toEqual(there);
  });

  it('fills a device with what fits a page at once, and says that this is all', async () => {
    await send([put('pump'), put('sizer')]);
    const changes = await changesSince(service, { since: '' });
    expect(changes.more).toBe(false);
    expect(kept(layChanges(NO_ROWS, changes))).toEqual(await stored());
    await send([put('stack')]);
    const next = await changesSince(service, { since: changes.cursor });
    expect(next.rows).toEqual({ stack: [expect.objectContaining({ id: sampleId('stack') })] });
  });

  it('fills a device while others write, page by page', async () => {
    await send([put('pump'), put('model'), put('calibration')]);
    for (let at = 0; at < 20; at += 1)
      await send([{ put: 'reading', row: { ...sample('reading'), id: randomUUID() } }]);
    const device = new Device();
    let turns = 0;
    for (let more = true; more; turns += 1) {
      const changes: Changes = await changesSince(service, { since: device.cursor, page: 4 });
      device.rows = layChanges(device.rows, changes);
      [device.cursor, more] = [changes.cursor, changes.more];
      if (turns === 1) await send([put('sizer'), put('hole')], [remove('calibration')]);
    }
    expect(turns).toBeGreaterThan(3);
    expect(kept(device.rows)).toEqual(await stored());
  });

  it('brings photos a few at a time, for each is as large as many rows: at first, and as they come', async () => {
    await send([put('event')]);
    const add = (many: number) =>
      send(
        ...Array.from(
          { length: many },
          () => [{ put: 'photo', row: { ...sample('photo'), id: randomUUID() } }] as Write[],
        ),
      );
    const follow = async (device: Device) => {
      const pages: number[] = [];
      for (let more = true; more;) {
        const changes: Changes = await changesSince(service, { since: device.cursor, page: 100 });
        device.rows = layChanges(device.rows, changes);
        [device.cursor, more] = [changes.cursor, changes.more];
        pages.push(changes.rows.photo?.length ?? 0);
      }
      return pages;
    };
    await add(5);
    const device = new Device();
    expect(Math.max(...(await follow(device)))).toBe(2);
    await add(3);
    const later = await follow(device);
    expect(Math.max(...later)).toBe(2);
    expect(later.reduce((sum, count) => sum + count, 0)).toBe(3);
    expect(kept(device.rows)).toEqual(await stored());
  });

  it('has one who comes with a cursor of elsewhere, of the future, or none at all, start anew', async () => {
    const device = new Device();
    await device.follow();
    const read = async (since: string) =>
      changesSchema.parse((await service.request.get('/api/changes').query({ since }).expect(200)).body);
    expect(await read(device.cursor)).toMatchObject({ anew: false, more: false });
    const [, ...rest] = device.cursor.split('.');
    const elsewhere = [randomUUID(), ...rest].join('.');
    const future = device.cursor.replace(/gone\.\d+/, 'gone.999999999');
    for (const since of [elsewhere, future, 'nonsense', `${service.studioId}.fill.1.no.`])
      expect(await read(since)).toEqual({ cursor: '', revision: 0, more: true, anew: true, rows: {}, gone: {} });
    await service.request
      .get('/api/changes')
      .query({ since: 'x'.repeat(300) })
      .expect(400);
  });

  it('tells of the nouns that are asked for, and of private ones never', async () => {
    await send([put('pump'), put('person')]);
    const page = await service.request.get('/api/changes').query({ nouns: 'pump,tier' }).expect(200);
    expect(Object.keys(page.body.rows).sort()).toEqual(['pump', 'tier']);
    await service.request.get('/api/changes').query({ nouns: 'eyeCheck' }).expect(400);
    expect(KEPT_NOUNS).not.toContain('eyeBalloon');
    const people = await service.request.get('/api/changes').query({ nouns: 'person' }).expect(200);
    for (const person of people.body.rows.person) expect(person).not.toHaveProperty('pinHash');
  });

  it('gives word at once of what another device wrote', async () => {
    const server = service.app.listen(0);
    const { port } = server.address() as AddressInfo;
    const revision = async () => (await changesSince(service, { since: '', page: 1 })).revision;
    const before = await revision();
    const words: string[] = [];
    const heard = new Promise<void>((resolve, reject) => {
      get({ port, path: '/api/changes/live' }, (response) => {
        expect(response.headers['content-type']).toMatch('text/event-stream');
        response.setEncoding('utf8').on('data', (word: string) => {
          words.push(word);
          // First where the records are, then each change.
          if (words.length === 1) void send([put('pump')]).catch(reject);
          else resolve();
        });
      }).on('error', reject);
    });
    await heard;
    expect(words).toEqual([`data: ${before}\n\n`, `data: ${await revision()}\n\n`]);
    server.closeAllConnections();
    await new Promise((resolve) => server.close(resolve));
  });

  it('tells the last of several that come close together, once', async () => {
    const words: string[] = [];
    const end = listen(service, (word) => void words.push(word));
    const heard = async (count: number) => {
      while (words.length < count) await pause(5);
    };
    await heard(1);
    const { revision } = await changesSince(service, { since: '', page: 1 });
    for (let more = 1; more <= 12; more += 1) announce(service.studioId, revision + more);
    await heard(2);
    // One that is older than what was told is no news.
    announce(service.studioId, revision + 5);
    await pause(600);
    end();
    expect(words).toEqual([`data: ${revision}\n\n`, `data: ${revision + 12}\n\n`]);
    expect(listening()).toBe(0);
  });

  it('leaves each who listens the longer in peace the more there are', async () => {
    const [MANY, REST_MS] = [30, 600];
    const heard = Array.from({ length: MANY }, (): number[] => []);
    const ends = heard.map((at) => listen(service, () => void at.push(performance.now())));
    const { revision } = await changesSince(service, { since: '', page: 1 });
    const all = async (words: number) => {
      while (heard.some((at) => at.length < words)) await pause(5);
    };
    await all(1);
    announce(service.studioId, revision + 1);
    await all(2);
    for (const end of ends) end();
    // Timers keep time to the millisecond.
    for (const [first, then] of heard) expect(then! - first!).toBeGreaterThan(REST_MS - 2);
  });
});
