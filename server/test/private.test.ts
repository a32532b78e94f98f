import { randomUUID } from 'node:crypto';
import { Agent } from 'node:http';
import { Writable } from 'node:stream';

import type { EyeBalloonRecord, EyeCheckRecord, PersonRecord } from '@leggero/contract';
import { pino } from 'pino';
import supertest from 'supertest';

import { createApp } from '../src/http/app';

import { sample } from './samples';
import { eyeBalloon, eyeCheck, model, promised, serviceForTests } from './service';

const service = serviceForTests();

const person = (name: string) => ({ id: randomUUID(), name });
const jory = person('Jory');
const pell = person('Pell');
const balloon = model();
/** A session of Jory's. */
const session = (more: object = {}) => eyeCheck(jory.id, balloon.id, more);

type Device = ReturnType<typeof supertest.agent>;
/** A device on which nobody has opened anything. */
let anyone: Device;
/** A device on which Jory's pages are open. */
let own: Device;
let owners: Device;
let owner: PersonRecord;
const check = session();
const measured = eyeBalloon(check.id, { position: 1, widthMm: 251 });
const unmeasured = eyeBalloon(check.id);

beforeAll(async () => {
  const device = () => supertest.agent(service.app);
  [anyone, own, owners] = [device(), device(), device()];
  await anyone.post('/api/models').send(balloon).expect(201);
  for (const each of [jory, pell]) await anyone.post('/api/people').send(each).expect(201);
  [owner] = (await anyone.get('/api/people')).body as [PersonRecord];
  await own.post('/api/session').send({ personId: jory.id }).expect(200);
  await own.post(`/api/people/${jory.id}/pin`).send({ pin: 'tide-4711' }).expect(200);
  await owners.post('/api/session').send({ personId: owner.id }).expect(200);
  await own.post('/api/eye-checks').send(check).expect(201);
  for (const each of [measured, unmeasured]) await own.post('/api/eye-balloons').send(each).expect(201);
});

const stored = async () =>
  promised<EyeCheckRecord>('readEyeCheck', (await own.get(`/api/eye-checks/${check.id}`).expect(200)).body);

describe('what is private', () => {
  it('is not told by a create under an id that is taken', async () => {
    const guess = session({ id: check.id, personId: pell.id, targetMm: 300, size: 10 });
    const told = promised<EyeCheckRecord>(
      'createEyeCheck',
      (await anyone.post('/api/eye-checks').send(guess).expect(200)).body,
    );
    expect(told).toMatchObject({ personId: pell.id, targetMm: 300, size: 10, balloons: [] });
    const again = eyeBalloon(check.id, { id: measured.id, position: 3, widthMm: 99 });
    const balloonTold = (await anyone.post('/api/eye-balloons').send(again).expect(200)).body as EyeBalloonRecord;
    expect(balloonTold).toMatchObject({ position: 3, widthMm: 99 });
    expect((await own.post('/api/eye-balloons').send(again).expect(200)).body).toMatchObject({ widthMm: 251 });
  });

  it('is not read, changed or taken away by its id alone', async () => {
    for (const change of [{ widthMm: 260 }, { widthMm: null }]) {
      await anyone.patch(`/api/eye-balloons/${measured.id}`).send(change).expect(403);
    }
    await anyone.patch(`/api/eye-balloons/${unmeasured.id}`).send({ widthMm: null }).expect(403);
    await anyone.delete(`/api/eye-balloons/${measured.id}`).expect(403);
    await anyone.delete(`/api/eye-checks/${check.id}`).expect(403);
    expect((await stored()).balloons.map(({ widthMm }) => widthMm)).toEqual([null, 251]);
  });

  it('are the turns at stations: who worked there may say so, and only they and the owner see it', async () => {
    const [event, inflation] = [
      { ...sample('event'), id: randomUUID() },
      { ...sample('inflation'), id: randomUUID() },
    ];
    const batch = { ...sample('inflationBatch'), id: randomUUID(), inflationId: inflation.id, modelId: balloon.id };
    const turn = { ...sample('turn'), id: randomUUID(), batchId: batch.id, bagId: null };
    const hands = { id: randomUUID(), turnId: turn.id, personId: jory.id };
    const put = (device: Device, path: string, { id, ...row }: { id: string }) =>
      device.put(`/api/${path}/${id}`).send(row);
    await put(anyone, 'events', event).expect(201);
    await put(anyone, 'inflations', { ...inflation, eventId: event.id } as never).expect(201);
    await put(anyone, 'inflation-batches', batch).expect(201);
    await put(anyone, 'turns', turn).expect(201);
    await put(anyone, 'turn-hands', hands).expect(201);
    // A repeated request learns nothing of what is stored.
    const told = await put(anyone, 'turn-hands', { ...hands, personId: pell.id } as never).expect(200);
    expect(told.body.personId).toBe(pell.id);
    for (const device of [own, owners])
      expect((await device.get(`/api/people/${jory.id}/turn-hands`).expect(200)).body).toEqual([hands]);
    await anyone.get(`/api/people/${jory.id}/turn-hands`).expect(403);
    await own.get(`/api/people/${pell.id}/turn-hands`).expect(403);
    await anyone.delete(`/api/turn-hands/${hands.id}`).expect(403);
    const changes = await anyone.get('/api/changes?since=').expect(200);
    expect(JSON.stringify(changes.body)).not.toContain(hands.id);
    await own.delete(`/api/turn-hands/${hands.id}`).expect(204);
    await anyone.delete(`/api/events/${event.id}`).expect(204);
  });

  it('still takes what waited on a device whose session has ended: a balloon, and its first width', async () => {
    const late = eyeBalloon(check.id, { position: 2 });
    await anyone.post('/api/eye-balloons').send(late).expect(201);
    await anyone.patch(`/api/eye-balloons/${late.id}`).send({ widthMm: 249 }).expect(200);
    await anyone.patch(`/api/eye-balloons/${late.id}`).send({ widthMm: 200 }).expect(403);
    expect((await stored()).balloons.map(({ widthMm }) => widthMm)).toEqual([null, 251, 249]);
    await own.delete(`/api/eye-balloons/${late.id}`).expect(204);
  });

  it('does not go with the balloon or the other person it hangs on, unless its own people or the owner say so', async () => {
    const both = session({ mode: 'two', secondPersonId: pell.id });
    await anyone.post('/api/eye-checks').send(both).expect(201);
    const pells = supertest.agent(service.app);
    await pells.post('/api/session').send({ personId: pell.id }).expect(200);
    for (const device of [anyone, pells]) await device.delete(`/api/models/${balloon.id}`).expect(403);
    // Nor with a balloon of the pair that it was filled as.
    const inner = model({ nominalMm: 127 });
    const pair = model({ line: 'One over another', outerId: balloon.id, innerId: inner.id });
    for (const each of [inner, pair]) await anyone.post('/api/models').send(each).expect(201);
    await anyone
      .post('/api/eye-checks')
      .send(session({ modelId: pair.id }))
      .expect(201);
    await anyone.delete(`/api/models/${inner.id}`).expect(403);
    await anyone.delete(`/api/people/${pell.id}`).expect(403);
    await own.get(`/api/eye-checks/${both.id}`).expect(200);
    await owners.delete(`/api/people/${pell.id}`).expect(204);
    await own.get(`/api/eye-checks/${both.id}`).expect(404);
    const other = model();
    await own.post('/api/models').send(other).expect(201);
    await own
      .post('/api/eye-checks')
      .send(session({ modelId: other.id }))
      .expect(201);
    await own.delete(`/api/models/${other.id}`).expect(204);
    await anyone.get(`/api/models/${balloon.id}`).expect(200);
  });
});

describe('a session', () => {
  const history = `/api/people/${jory.id}/eye-checks`;
  const opened = async () => {
    const { headers } = await service.request
      .post('/api/session')
      .send({ personId: jory.id, pin: 'tide-4711' })
      .expect(200);
    return (headers['set-cookie'] as unknown as string[]).map((cookie) => cookie.split(';')[0]!).join('; ');
  };
  const reads = async (cookie: string) => (await service.request.get(history).set('Cookie', cookie)).status;

  it('that was closed opens nothing any more, whoever kept its cookie', async () => {
    const cookie = await opened();
    expect(await reads(cookie)).toBe(200);
    await service.request.delete('/api/session').set('Cookie', cookie).expect(204);
    expect(await reads(cookie)).toBe(403);
  });

  it('ends on every other device when the PIN changes', async () => {
    const cookie = await opened();
    await own.post(`/api/people/${jory.id}/pin`).send({ pin: 'ebb-4711' }).expect(200);
    expect(await reads(cookie)).toBe(403);
    await own.get(history).expect(200);
    await own.post(`/api/people/${jory.id}/pin`).send({ pin: 'tide-4711' }).expect(200);
  });
});

describe('a PIN', () => {
  it('is first set by its person or the owner; by the owner alone once the owner has one', async () => {
    const [gull, tern] = [person('Gull'), person('Tern')];
    const theirs = supertest.agent(service.app);
    for (const each of [gull, tern]) await anyone.post('/api/people').send(each).expect(201);
    const set = (device: Device, { id }: { id: string }, pin: string | null, status: number) =>
      device.post(`/api/people/${id}/pin`).send({ pin }).expect(status);
    await set(anyone, gull, 'kelp-4711', 403);
    await set(own, gull, 'kelp-4711', 403);
    await theirs.post('/api/session').send({ personId: gull.id }).expect(200);
    await set(theirs, gull, 'kelp-4711', 200);
    await set(anyone, owner, 'kelp-4711', 403);
    await set(owners, owner, 'barge-4711', 200);
    await theirs.post('/api/session').send({ personId: tern.id }).expect(200);
    await set(theirs, tern, 'kelp-4711', 403);
    await set(owners, tern, 'kelp-4711', 200);
    // Forgotten: the owner takes it away.
    await set(owners, tern, null, 200);
    await set(owners, owner, null, 200);
  });

  it('is not guessed from many devices either', async () => {
    const app = createApp(service);
    // Each guess comes from an address of its own.
    const guess = async (n: number) => {
      const agent = new Agent({ localAddress: `127.0.0.${100 + n}` });
      const from = supertest(app).post('/api/session').agent(agent);
      return (await from.send({ personId: jory.id, pin: `no-${n}` })).status;
    };
    const statuses: number[] = [];
    for (let n = 1; n <= 22; n += 1) statuses.push(await guess(n));
    expect(statuses).toEqual([...Array<number>(20).fill(403), 429, 429]);
  });
});

describe('the log', () => {
  it('has no PIN, no hash of one, no cookie, and nothing of what was sent', async () => {
    const lines: string[] = [];
    const sink = new Writable({
      write(chunk, _, done) {
        lines.push(String(chunk));
        done();
      },
    });
    const logged = supertest.agent(createApp({ ...service, logger: pino({ level: 'trace' }, sink) }));
    await logged.post('/api/session').send({ personId: owner.id, pin: 'secret-pin' }).expect(200);
    await logged.get('/api/people').expect(200);
    // A statement that the database refuses, with a hash among its values.
    await service.database.$client.query('rename table people to people_away');
    await logged.post(`/api/people/${owner.id}/pin`).send({ pin: 'secret-pin' });
    await service.database.$client.query('rename table people_away to people');
    await service.database.$client.query('update people set pin_hash = null');
    await service.database.$client.query('alter table people modify pin_hash varchar(10)');
    await logged.post(`/api/people/${owner.id}/pin`).send({ pin: 'secret-pin' }).expect(500);
    await service.database.$client.query('alter table people modify pin_hash varchar(200)');
    const log = lines.join('');
    expect(log).toMatch(/ER_NO_SUCH_TABLE|ER_DATA_TOO_LONG/);
    expect(log).not.toMatch(/argon|secret-pin|cookie|leggero=|leggero\.sig/i);
  });
});
