import { randomUUID } from 'node:crypto';

import { ownDataSchema } from '@leggero/contract/ownData';
import { eq, sql } from 'drizzle-orm';

import { accounts, members } from '../src/db/tables';
import { codeFor, joinedBy, membersOf, ownerOf, PASSWORD, signedIn, type Browser } from './crew';
import { sample, sampleId } from './samples';
import { serviceForTests } from './service';

const service = serviceForTests();
let owner: Browser;
let isolde: Browser;
let accountId: string;
let personId: string;

const put = (browser: Browser, path: string, row: object) => browser.put(`/api/${path}`).send(row).expect(201);

beforeAll(async () => {
  owner = await ownerOf(service.app);
  isolde = await joinedBy(service.app, await codeFor(owner, { role: 'maker' }), 'Isolde');
  const [account] = await service.database.select().from(accounts).where(eq(accounts.name, 'Isolde'));
  const [member] = await service.database.select().from(members).where(eq(members.accountId, account!.id));
  [accountId, personId] = [account!.id, member!.personId!];
  for (const noun of ['model', 'event', 'piece', 'inflation', 'inflationBatch'] as const) {
    const path = {
      model: 'models',
      event: 'events',
      piece: 'pieces',
      inflation: 'inflations',
      inflationBatch: 'inflation-batches',
    }[noun];
    await put(owner, `${path}/${sampleId(noun)}`, sample(noun));
  }
  const turn = sample('turn');
  await put(isolde, `turns/${turn.id}`, turn);
  await put(isolde, `turn-hands/${sampleId('turnHands')}`, { ...sample('turnHands'), personId });
  const check = { ...sample('eyeCheck'), id: randomUUID(), personId, mode: 'one', secondPersonId: null };
  await put(isolde, `eye-checks/${check.id}`, check);
  await owner.patch(`/api/people/${personId}`).send({ name: 'Isolde of the tide' }).expect(200);
});

it('somebody’s data comes out whole: who they are, what is private to them, what they did', async () => {
  const data = ownDataSchema.parse((await isolde.get('/api/account/data').expect(200)).body);
  expect(data.account).toMatchObject({ name: 'Isolde', signInName: 'isolde', email: null });
  expect(data.account?.devices.some(({ here }) => here)).toBe(true);
  expect(data.person).toMatchObject({ id: personId, name: 'Isolde of the tide' });
  expect([data.eyeChecks.length, data.turns.length]).toEqual([1, 1]);
  expect(data.deeds.flatMap(({ rows }) => rows.map(({ noun }) => noun))).toEqual(['turn', 'member']);
  // Nobody else's, and no secret.
  expect(JSON.stringify(data)).not.toMatch(/Wren|argon2/);
  expect(ownDataSchema.parse((await owner.get('/api/account/data').expect(200)).body).eyeChecks).toEqual([]);
});

it('and goes, when they say so by their password: of them nothing is left in any table, of their work all', async () => {
  await isolde.post('/api/account/forget').send({ password: 'not hers' }).expect(403);
  expect((await owner.post('/api/account/forget').send({ password: PASSWORD }).expect(409)).body.title).toMatch(
    'one owner',
  );
  await isolde.get('/api/account/data').expect(200);

  await isolde.post('/api/account/forget').send({ password: PASSWORD }).expect(204);
  await isolde.get('/api/studio').expect(401);
  await signedIn(service.app, 'Isolde').then(
    () => expect('signed in').toBe('refused'),
    () => undefined,
  );
  expect((await membersOf(owner)).map(({ name }) => name)).toEqual(['Wren']);
  const [tables] = (await service.database.execute(sql`show tables`)) as unknown as [Record<string, string>[]];
  for (const table of tables.map((row) => Object.values(row)[0]!)) {
    const [rows] = (await service.database.execute(sql.raw(`select * from ${table}`))) as unknown as [object[]];
    // Devices are told by the bare id that it is gone.
    const kept =
      table === 'changes' || table === 'deeds'
        ? [accountId, 'Isolde', 'isolde']
        : [accountId, personId, 'Isolde', 'isolde'];
    for (const word of kept) expect([table, JSON.stringify(rows).includes(word)]).toEqual([table, false]);
  }
  const { rows } = (await owner.get('/api/changes').expect(200)).body;
  expect(rows.turn).toHaveLength(1);
  expect(JSON.stringify((await owner.get('/api/deeds').expect(200)).body)).not.toContain('Isolde');
});

it('a person whom the studio takes away does not come back by way of what was done', async () => {
  const id = randomUUID();
  await put(owner, `people/${id}`, { id, name: 'Pell of the weir' });
  await owner.delete(`/api/people/${id}`).expect(204);
  const [gone] = (await owner.get('/api/deeds').expect(200)).body.deeds as { id: string; canUndo: boolean }[];
  expect(gone).toMatchObject({ canUndo: false, rows: [{ noun: 'person', id, was: {}, is: null }] });
  await owner.post(`/api/deeds/${gone!.id}/undo`).expect(409);
  const [rows] = (await service.database.execute(sql`select * from deeds`)) as unknown as [object[]];
  expect(JSON.stringify(rows)).not.toContain('Pell of the weir');
});
