import { createHash, randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';

import { EVERYTHING_PATH } from '@leggero/contract';
import { BACKUP_PATH, type Backups } from '@leggero/contract/backup';
import type { Everything } from '@leggero/contract/everything';
import { randomFrom } from '@leggero/core';
import { eq, sql } from 'drizzle-orm';
import { pino } from 'pino';
import supertest from 'supertest';

import { accountOf } from '../src/access/accounts';
import { createAuth } from '../src/access/auth';
import { writeFile } from '../src/backup/file';
import { Keeper } from '../src/backup/keeper';
import { partsOf } from '../src/backup/read';
import { BackupRefusal, type Why } from '../src/backup/refusal';
import { restore, tryOut } from '../src/backup/restore';
import { keptOf } from '../src/backup/rotation';
import { backup } from '../src/backup/write';
import { passwordCode } from '../src/access/codes';
import type { Database } from '../src/db/connect';
import { WHOLE } from '../src/db/records';
import { applyMigrations } from '../src/db/migrate';
import { studios } from '../src/db/tables';
import { createApp } from '../src/http/app';
import { changesSince } from '../src/records/feed';
import { openStudio } from '../src/studio/store';
import { allRows } from './allRows';
import { codeFor, joinedBy, membersOf, ownerOf, PASSWORD, signedIn, type Browser } from './crew';
import { demoForTests, emptyDatabase, eyeCheck, model } from './service';

const service = demoForTests();
let folder: string;
let file: string;
let owner: Browser;
let maker: Browser;

const save = async (name: string, signIn = true) => {
  const { database, studioId } = service;
  return writeFile(folder, backup(database, { studioId, signIn, now: new Date() }), () => name);
};

beforeAll(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'leggero-backup-'));
  owner = await ownerOf(service.app);
  maker = await joinedBy(service.app, await codeFor(owner, { role: 'maker' }), 'Isolde');
  // Something private, and someone with a PIN.
  const { body: people } = await owner.get('/api/people');
  const [person] = people as { id: string }[];
  await owner.post('/api/session').send({ personId: person!.id }).expect(200);
  const check = eyeCheck(person!.id, ((await owner.get('/api/models')).body as { id: string }[])[0]!.id);
  await owner.put(`/api/eye-checks/${check.id}`).send(check).expect(201);
  await owner.post(`/api/people/${person!.id}/pin`).send({ pin: '2749' }).expect(200);
  const [event] = (await owner.get(EVERYTHING_PATH)).body.rows.event as { id: string }[];
  const photo = {
    eventId: event!.id,
    key: 'finished',
    at: '2026-11-29T17:00:00.000Z',
    picture: 'data:image/jpeg;base64,/9j/4AAQ',
  };
  await owner.put(`/api/photos/${randomUUID()}`).send(photo).expect(201);
  await owner.patch('/api/studio').send({ name: 'Saltmarsh “Ö” Works' }).expect(200);
  file = await save('whole.ndjson.gz');
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** Rows of every table that a backup holds. */
const rowsOf = (database: Database) => allRows(database, ['changes', 'invitations', 'shares']);

async function withEmpty<T>(work: (database: Database, url: string) => Promise<T>): Promise<T> {
  const { database, url, drop } = await emptyDatabase();
  try {
    return await work(database, url);
  } finally {
    await drop();
  }
}

/** Reads a backup to its end. */
const allOf = async (from: string) => {
  for await (const _ of partsOf(from)) void _;
};

const whyOf = async (work: Promise<unknown>): Promise<Why | null> => {
  try {
    await work;
    return null;
  } catch (error) {
    if (error instanceof BackupRefusal) return error.why;
    throw error;
  }
};

/** A backup of some lines, each as JSON, with an end that is right. */
function fileOf(name: string, head: object, tables: [string, string[], (string | null)[][]][]): string {
  let text = `${JSON.stringify(head)}\n`;
  const tallies: Record<string, { rows: number; sha256: string }> = {};
  for (const [table, columns, rows] of tables) {
    const lines = rows.map((row) => `${JSON.stringify(row)}\n`).join('');
    text += `${JSON.stringify({ table, columns })}\n${lines}`;
    tallies[table] = { rows: rows.length, sha256: createHash('sha256').update(lines).digest('hex') };
  }
  text += `${JSON.stringify({ end: { tables: tallies, sha256: createHash('sha256').update(text).digest('hex') } })}\n`;
  const made = path.join(folder, name);
  writeFileSync(made, gzipSync(text));
  return made;
}
const headOf = (from: string) =>
  JSON.parse(gunzipSync(readFileSync(from)).toString().split('\n')[0]!) as { tables: number; studio: { id: string } };

describe('a backup', () => {
  it('brings every row of a studio into an empty database, and whoever worked there signs in as before', async () => {
    await withEmpty(async (database, to) => {
      const restored = await restore({ url: to, file, replace: false });
      expect(restored).toMatchObject({
        replaced: false,
        leftOut: [],
        head: { studio: { name: 'Saltmarsh “Ö” Works' } },
      });
      const [was, is] = [await rowsOf(service.database), await rowsOf(database)];
      for (const table of Object.keys(was)) expect([table, is[table]]).toEqual([table, was[table]]);
      for (const table of ['photos', 'eye_checks', 'credentials', 'members', 'readings']) {
        expect([table, was[table]!.length]).not.toEqual([table, 0]);
      }
      const app = createApp({ database, studioId: await openStudio({ database }) });
      const there = await signedIn(app, 'Wren');
      const pages = async (browser: Browser) => ({
        rows: ((await browser.get(EVERYTHING_PATH).expect(200)).body as Everything).rows,
        crew: (await membersOf(browser)).map(({ name, role }) => [name, role]),
      });
      expect(await pages(there)).toEqual(await pages(owner));
      // What a first start makes of itself is not missed.
      await there.put(`/api/models/${randomUUID()}`).send(model()).expect(201);
    });
  });

  it('takes the place of the empty studio that a first start made', async () => {
    await withEmpty(async (database, to) => {
      await applyMigrations(database);
      const first = await openStudio({ database });
      await restore({ url: to, file, replace: false });
      expect(await openStudio({ database })).toBe(service.studioId);
      const left = await database.select().from(studios).where(eq(studios.id, first));
      expect(left).toEqual([]);
    });
  });

  it('is restored on trial without a trace', async () => {
    const databases = async () => {
      const [rows] = (await service.database.execute(sql`show databases like 'leggero\\_restore%'`)) as unknown as [
        object[],
      ];
      return rows;
    };
    const [before, was] = [await databases(), await rowsOf(service.database)];
    const { differ, rows } = await tryOut({ url: service.url, file });
    expect(differ).toEqual([]);
    expect(rows).toBeGreaterThan(300);
    expect(await databases()).toEqual(before);
    expect(await rowsOf(service.database)).toEqual(was);
  });

  it('lies there for its owner alone', () => {
    expect(statSync(file).mode & 0o777).toBe(0o600);
    expect(readdirSync(folder).filter((name) => name.endsWith('.part'))).toEqual([]);
  });
});

describe('a backup that is not whole', () => {
  it('is refused wherever it is cut off, or changed, and nothing is restored of it', async () => {
    await withEmpty(async (database, to) => {
      await applyMigrations(database);
      const studioId = await openStudio({ database });
      const was = await rowsOf(database);
      const [bytes, broken, random] = [readFileSync(file), path.join(folder, 'broken'), randomFrom(23)];
      const told = new Set<string>();
      const whole = gunzipSync(bytes);
      // A bit that says by which program a member was packed changes nothing of what is in it.
      const saysTheSame = (content: Buffer) => {
        try {
          return gunzipSync(content).equals(whole);
        } catch {
          return false;
        }
      };
      const readBroken = async (content: Buffer) => {
        writeFileSync(broken, content);
        const why = await whyOf(allOf(broken));
        expect(saysTheSame(content) ? [null] : ['none', 'cutOff', 'damaged']).toContain(why);
        if (why) told.add(why);
      };
      // A reader finds it at the end at the latest, and what was restored until then is dropped.
      const restoreBroken = async (content: Buffer) => {
        await readBroken(content);
        const why = await whyOf(restore({ url: to, file: broken, replace: true }));
        expect(['none', 'cutOff', 'damaged', 'misfit']).toContain(why);
      };
      const flipped = () => {
        const other = Buffer.from(bytes);
        other[Math.floor(random() * bytes.length)]! ^= 1 << Math.floor(random() * 8);
        return other;
      };
      for (let i = 0; i < 40; i += 1) await readBroken(bytes.subarray(0, Math.floor(random() * bytes.length)));
      for (let i = 0; i < 40; i += 1) await readBroken(flipped());
      await readBroken(Buffer.alloc(0));
      await readBroken(Buffer.from('{"leggero":"backup"}'));
      await restoreBroken(bytes.subarray(0, Math.floor(0.9 * bytes.length)));
      // In the middle of what is packed.
      const other = Buffer.from(bytes);
      other[Math.floor(bytes.length / 2)]! ^= 64;
      await restoreBroken(other);
      // Cut off before it was compressed; a row changed, one left out, and another end.
      const lines = whole.toString().split('\n');
      const withLines = (by: (all: string[]) => string[]) => readBroken(gzipSync(by(lines).join('\n')));
      await withLines((all) => all.slice(0, 200));
      await withLines((all) => all.toSpliced(-40, 1));
      await withLines((all) => all.map((line) => line.replace('Saltmarsh', 'Saltmarch')));
      await withLines((all) => [...all, all[1]!]);
      // A row that its table does not take: told before the hashes are looked at.
      const odd = lines.map((line) => line.replace(/"(\d+\.\d{4})"/, '"wide"')).join('\n');
      writeFileSync(broken, gzipSync(odd));
      expect(await whyOf(restore({ url: to, file: broken, replace: true }))).toBe('misfit');
      expect([...told]).toEqual(expect.arrayContaining(['none', 'cutOff', 'damaged']));
      expect(await rowsOf(database)).toEqual(was);
      expect(await openStudio({ database })).toBe(studioId);
    });
  });

  it('is refused where it is of a newer version, holds rows of another studio, or what hangs on nothing', async () => {
    await withEmpty(async (_, to) => {
      const head = headOf(file);
      const { studio } = head;
      const columns = ['id', 'name', 'unit', 'step_mm', 'days_standing'];
      const own: [string, string[], (string | null)[][]] = ['studios', columns, [[studio.id, 'S', 'in', '3.175', '0']]];
      const other: [string, string[], (string | null)[][]] = [
        'studios',
        columns,
        [[randomUUID(), 'S', 'in', '3.175', '0']],
      ];
      const pumps = (of: string) =>
        ['pumps', ['id', 'studio_id', 'name', 'kind'], [[randomUUID(), of, 'P', 'hand']]] as never;
      const holes = [
        'sizer_holes',
        ['id', 'studio_id', 'sizer_id', 'nominal_mm', 'position'],
        [[randomUUID(), studio.id, randomUUID(), '200', '0']],
      ] as never;
      const why = (name: string, ...args: [object, Parameters<typeof fileOf>[2]]) =>
        whyOf(restore({ url: to, file: fileOf(name, ...args), replace: false }));
      expect(await why('newer', { ...head, tables: head.tables + 1 }, [own])).toBe('newer');
      expect(await why('form', { ...head, form: 99 }, [own])).toBe('newer');
      expect(await why('mixed', head, [own, pumps(randomUUID())])).toBe('misfit');
      expect(await why('two', head, [other])).toBe('misfit');
      expect(await why('hanging', head, [own, holes])).toBe('misfit');
      expect(await why('unknown', head, [own, ['kelp', ['id'], [['1']]]])).toBe('misfit');
      expect(await why('good', head, [own, pumps(studio.id)])).toBeNull();
    });
  });
});

describe('a backup of an older version', () => {
  it('is brought up to this one', async () => {
    const journal = JSON.parse(
      readFileSync(path.join(__dirname, '../src/db/migrations/meta/_journal.json'), 'utf8'),
    ) as { entries: { when: number }[] };
    const [id, balloon] = [randomUUID(), randomUUID()];
    const old = fileOf(
      'old',
      {
        leggero: 'backup',
        form: 1,
        madeAt: '2026-01-01T00:00:00.000Z',
        studio: { id, name: 'Before' },
        revision: 0,
        tables: journal.entries[0]!.when,
        signIn: false,
      },
      [
        ['studios', ['id', 'name', 'unit', 'step_mm', 'days_standing'], [[id, 'Before', 'cm', '5.0000', '0']]],
        [
          'models',
          ['id', 'studio_id', 'line', 'kind', 'nominal_mm', 'finish', 'colour_name', 'colour_hex'],
          [[balloon, id, 'Fennimore Standard', 'round', '279.4000', 'matte', 'kelp green', '#3f7a4a']],
        ],
      ],
    );
    await withEmpty(async (database, to) => {
      expect((await tryOut({ url: to, file: old })).differ).toEqual([]);
      await restore({ url: to, file: old, replace: false });
      const studioId = await openStudio({ database });
      const request = supertest(createApp({ database, studioId }));
      expect((await request.get('/api/studio').expect(200)).body).toMatchObject({
        id,
        name: 'Before',
        unit: 'cm',
        currency: 'EUR',
      });
      expect((await request.get(`/api/models/${balloon}`).expect(200)).body).toMatchObject({
        line: 'Fennimore Standard',
      });
    });
  });
});

describe('a backup beside other records', () => {
  it('of another studio with the same ids is refused, and so is one beside a studio that nobody owns', async () => {
    await withEmpty(async (database, to) => {
      await restore({ url: to, file, replace: false });
      const { studio, ...head } = headOf(file);
      const text = gunzipSync(readFileSync(file)).toString();
      const [taken] = /(?<=^\[")[0-9a-f-]{36}(?=","[0-9a-f-]{36}","Fennimore)/m.exec(text) ?? [];
      const id = randomUUID();
      const twin = fileOf('twin', { ...head, studio: { id, name: 'Twin' } }, [
        ['studios', ['id', 'name', 'unit', 'step_mm', 'days_standing'], [[id, 'Twin', 'in', '3.175', '0']]],
        ['pumps', ['id', 'studio_id', 'name', 'kind'], [[randomUUID(), id, 'P', 'hand']]],
        [
          'models',
          ['id', 'studio_id', 'line', 'kind', 'nominal_mm', 'finish', 'colour_name', 'colour_hex'],
          [[taken!, id, 'L', 'round', '279.4', 'matte', 'red', '#ff0000']],
        ],
      ]);
      const was = await rowsOf(database);
      expect(studio.id).toBe(service.studioId);
      expect(await whyOf(restore({ url: to, file: twin, replace: false }))).toBe('taken');
      expect(await rowsOf(database)).toEqual(was);
    });
    await withEmpty(async (database, to) => {
      await applyMigrations(database);
      const request = supertest(createApp({ database, studioId: await openStudio({ database }) }));
      const own = model();
      await request.put(`/api/models/${own.id}`).send(own).expect(201);
      expect(await whyOf(restore({ url: to, file, replace: false }))).toBe('another');
      await request.get(`/api/models/${own.id}`).expect(200);
    });
  });

  it('of a studio that is there takes its place only when told to; who works there stays, and devices are filled anew', async () => {
    await withEmpty(async (database, to) => {
      await restore({ url: to, file, replace: false });
      const { studioId } = service;
      const app = createApp({ database, studioId });
      const there = await signedIn(app, 'Wren');
      // Later somebody was let go and somebody came, and more was written.
      const isolde = (await membersOf(there)).find(({ name }) => name === 'Isolde')!;
      await there.delete(`/api/members/${isolde.id}`).expect(204);
      await joinedBy(app, await codeFor(there, { role: 'planner' }), 'Tove');
      const later = model();
      await there.put(`/api/models/${later.id}`).send(later).expect(201);
      const scope = { database, studioId, reach: WHOLE };
      let { cursor, more } = await changesSince(scope, { since: '' });
      while (more) ({ cursor, more } = await changesSince(scope, { since: cursor }));

      expect(await whyOf(restore({ url: to, file, replace: false }))).toBe('there');
      await there.get(`/api/models/${later.id}`).expect(200);
      expect(await restore({ url: to, file, replace: true })).toMatchObject({ replaced: true });

      await there.get(`/api/models/${later.id}`).expect(404);
      expect((await membersOf(there)).map(({ name }) => name).toSorted()).toEqual(['Tove', 'Wren']);
      await signedIn(app, 'Isolde').then((gone) => gone.get('/api/studio').expect(403));
      expect(await changesSince(scope, { since: cursor })).toMatchObject({ anew: true });
      let first = await changesSince(scope, { since: '' });
      expect(first.anew).toBe(false);
      while (first.more) first = await changesSince(scope, { since: first.cursor });
      await there.put(`/api/models/${later.id}`).send(later).expect(201);
      expect(await changesSince(scope, { since: cursor })).toMatchObject({ anew: true });
      expect(await changesSince(scope, { since: first.cursor })).toMatchObject({
        anew: false,
        rows: { model: [{ id: later.id }] },
      });
      const [skipped, rest] = [
        ['members', 'accounts', 'credentials', 'carried_out', 'people', 'models', 'deeds'],
        await rowsOf(service.database),
      ];
      const is = await rowsOf(database);
      for (const table of Object.keys(rest).filter((name) => !skipped.includes(name))) {
        expect([table, is[table]]).toEqual([table, rest[table]]);
      }
    });
  });

  it('leaves out who is called as somebody else is here, and says so', async () => {
    await withEmpty(async (database, to) => {
      await applyMigrations(database);
      const app = createApp({ database, studioId: await openStudio({ database }) });
      await ownerOf(app, 'Wren');
      expect(await restore({ url: to, file, replace: false })).toMatchObject({ leftOut: ['Wren'] });
      const isolde = await signedIn(app, 'Isolde');
      await isolde.get(`/api/studio?studio=${service.studioId}`).expect(200);
    });
  });
});

describe('a backup by the button', () => {
  it('is an owner’s, without what people sign in by, and opens as any other', async () => {
    await maker.get(BACKUP_PATH).expect(403);
    await supertest(service.app).get(BACKUP_PATH).expect(401);
    const { body, headers } = await owner
      .get(BACKUP_PATH)
      .buffer(true)
      .parse((response, done) => {
        const all: Buffer[] = [];
        response.on('data', (piece: Buffer) => all.push(piece));
        response.on('end', () => done(null, Buffer.concat(all)));
      })
      .expect(200);
    expect(headers['content-type']).toBe('application/gzip');
    expect(headers['content-disposition']).toMatch(
      /^attachment; filename="leggero-saltmarsh-o-works-\d{4}-\d\d-\d\dT\d\d\.\d\d\.\d\d\.ndjson\.gz"$/,
    );
    expect(gunzipSync(body as Buffer).toString()).not.toMatch(/\$argon2/);
    expect(
      gunzipSync(readFileSync(file))
        .toString()
        .match(/\$argon2/g),
    ).toHaveLength(3);
    const saved = path.join(folder, 'saved');
    writeFileSync(saved, body as Buffer);
    expect((await tryOut({ url: service.url, file: saved })).differ).toEqual([]);
    await withEmpty(async (database, to) => {
      await restore({ url: to, file: saved, replace: false });
      const app = createApp({ database, studioId: await openStudio({ database }) });
      // They are known, and need new passwords: as the machine's own command gives them.
      await supertest(app).post('/api/sign-in').send({ who: 'Wren', password: PASSWORD }).expect(403);
      const wren = (await accountOf(database, 'Wren'))!;
      const { code } = await passwordCode(createAuth({ database, secret: 'x'.repeat(32), secure: false }), wren.id);
      const password = 'a net of weed and glass';
      await supertest(app).post('/api/new-password').send({ code, password }).expect(204);
      const back = await signedIn(app, 'Wren', password);
      expect((await membersOf(back)).map(({ name, role }) => [name, role])).toEqual([
        ['Wren', 'owner'],
        ['Isolde', 'maker'],
      ]);
    });
  });
});

describe('backups by the clock', () => {
  const logger = pino({ level: 'silent' });
  const keeperAt = (at: () => string, kept: string) =>
    new Keeper({ database: service.database, url: service.url, folder: kept, logger, now: () => new Date(at()) });

  it('are made once a night where something was written, were restored on trial, and are told to owners', async () => {
    const kept = path.join(folder, 'kept');
    let at = '2027-03-01T12:00:00.000Z';
    const keeper = keeperAt(() => at, kept);
    const made = async () => {
      await keeper.look();
      return (await keeper.kept(service.studioId)).kept.map(({ madeAt }) => madeAt);
    };
    const monday = '2027-03-01T12:00:00.000Z';
    expect(await made()).toEqual([monday]);
    at = '2027-03-01T18:00:00.000Z';
    await owner.patch('/api/studio').send({ daysStanding: 2 }).expect(200);
    expect(await made()).toEqual([monday]);
    at = '2027-03-02T12:00:00.000Z';
    expect(await made()).toEqual([at, monday]);
    at = '2027-03-03T12:00:00.000Z';
    expect(await made()).toEqual(['2027-03-02T12:00:00.000Z', monday]);
    const app = createApp({ database: service.database, studioId: service.studioId, keeper });
    const { body } = await (await signedIn(app, 'Wren')).get('/api/backups').expect(200);
    expect(body).toMatchObject({
      byItself: true,
      problem: null,
      kept: [{ tried: true }, { madeAt: monday, tried: true }],
    });
    expect((body as Backups).kept[0]!.bytes).toBeGreaterThan(10_000);
    expect((await owner.get('/api/backups').expect(200)).body).toEqual({ byItself: false, kept: [], problem: null });
    await maker.get('/api/backups').expect(403);
  });

  it('are made where the last one can no longer be read', async () => {
    const kept = path.join(folder, 'spoilt');
    let at = '2027-03-01T12:00:00.000Z';
    const keeper = keeperAt(() => at, kept);
    await keeper.look();
    writeFileSync(path.join(kept, service.studioId, '2027-03-01T12.00.00.ndjson.gz'), 'not what was written');
    at = '2027-03-02T12:00:00.000Z';
    await keeper.look();
    expect((await keeper.kept(service.studioId)).kept.map(({ madeAt }) => madeAt)).toEqual([
      at,
      '2027-03-01T12:00:00.000Z',
    ]);
  });

  it('are let go by and by: a week of days, five weeks, a year of months stay', () => {
    const day = (back: number) => new Date(Date.UTC(2027, 2, 31, 3) - back * 86_400_000).toISOString();
    const all = Array.from({ length: 500 }, (_, back) => day(back));
    const days = keptOf(all).map((iso) => iso.slice(0, 10));
    expect(days.slice(0, 7)).toEqual(all.slice(0, 7).map((iso) => iso.slice(0, 10)));
    // Sundays before, and the last days of months.
    expect(days.slice(7)).toEqual([
      ...['2027-03-21', '2027-03-14', '2027-03-07'],
      ...['2027-02-28', '2027-01-31', '2026-12-31', '2026-11-30', '2026-10-31', '2026-09-30', '2026-08-31'],
      ...['2026-07-31', '2026-06-30', '2026-05-31', '2026-04-30'],
    ]);
    // What was kept is kept again, whatever the order; and with a long gap nothing goes.
    expect(keptOf(keptOf(all).toReversed())).toEqual(keptOf(all));
    expect(keptOf(['2024-01-01T03:00:00.000Z'])).toEqual(['2024-01-01T03:00:00.000Z']);
    expect(keptOf([])).toEqual([]);
  });

  it('say what is wrong where they come to nothing', async () => {
    const blocked = path.join(folder, 'blocked');
    writeFileSync(blocked, 'a file where a folder should be');
    const keeper = keeperAt(() => '2027-03-01T12:00:00.000Z', blocked);
    await keeper.look();
    expect(await keeper.kept(service.studioId)).toEqual({ kept: [], problem: 'It could not be written.' });
    expect(readFileSync(blocked, 'utf8')).toBe('a file where a folder should be');
  });
});
