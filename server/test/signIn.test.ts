import { randomUUID } from 'node:crypto';

import type { SignedInDevice } from '@leggero/contract/crew';
import supertest from 'supertest';

import { waitAfter } from '../src/access/tries';
import { wrongTries } from '../src/db/tables';
import { createApp } from '../src/http/app';
import { codeFor, joinedBy, membersOf, ownerOf, PASSWORD, signedIn, type Browser } from './crew';
import { serviceForTests } from './service';

const service = serviceForTests();

it('answers whoever is at the machine until someone owns it, and then nobody who has not signed in', async () => {
  const anyone = supertest.agent(service.app);
  expect((await anyone.get('/api/access').expect(200)).body).toMatchObject({ state: 'alone', at: service.studioId });
  await anyone.get('/api/changes').expect(200);
  const owner = await ownerOf(service.app);
  const { body } = await owner.get('/api/access').expect(200);
  expect(body).toMatchObject({
    state: 'in',
    account: { name: 'Wren', signInName: 'wren', email: null, confirmed: false },
    studios: [{ id: service.studioId, role: 'owner' }],
    at: service.studioId,
  });
  expect((await anyone.get('/api/access').expect(200)).body).toMatchObject({ state: 'out', at: null });
  await anyone.get('/api/changes').expect(401);
  await owner.get('/api/changes').expect(200);
});

it('signs in by name or address, whatever their case, and out again', async () => {
  const browser = await signedIn(service.app, 'WREN');
  await browser.get('/api/changes').expect(200);
  await browser.post('/api/sign-out').expect(204);
  await browser.get('/api/changes').expect(401);
  const wrong = await supertest(service.app).post('/api/sign-in').send({ who: 'wren', password: 'a guess' });
  expect(wrong.status).toBe(403);
  expect(wrong.body).toMatchObject({ fields: [{ path: 'password' }] });
});

it('lets others join by a code, once', async () => {
  const owner = await signedIn(service.app, 'wren');
  const code = await codeFor(owner, { role: 'maker' });
  const looked = await supertest(service.app).post('/api/invitations/look').send({ code: code.toLowerCase() });
  expect(looked.body).toMatchObject({ studio: 'My studio', role: 'maker', event: null });
  const maker = await joinedBy(service.app, code, 'Teal');
  expect((await maker.get('/api/access').expect(200)).body).toMatchObject({ studios: [{ role: 'maker' }] });
  await supertest(service.app).post('/api/invitations/look').send({ code }).expect(404);
  expect((await membersOf(owner)).map(({ name, role, me }) => [name, role, me])).toEqual([
    ['Wren', 'owner', true],
    ['Teal', 'maker', false],
  ]);
});

it('gives a new password by a code of the owner, which ends what was open', async () => {
  const owner = await signedIn(service.app, 'wren');
  const before = await signedIn(service.app, 'teal');
  const teal = (await membersOf(owner)).find(({ name }) => name === 'Teal')!;
  const { body } = await owner.post(`/api/members/${teal.id}/reset`).expect(200);
  const { code } = body as { code: string };
  await supertest(service.app).post('/api/new-password').send({ code, password: 'another one entirely' }).expect(204);
  await supertest(service.app).post('/api/new-password').send({ code, password: 'and once more, no' }).expect(403);
  await before.get('/api/changes').expect(401);
  await supertest(service.app).post('/api/sign-in').send({ who: 'teal', password: PASSWORD }).expect(403);
  await (await signedIn(service.app, 'teal', 'another one entirely')).get('/api/changes').expect(200);
});

describe('wrong passwords', () => {
  const guess = (browser: Browser, password: string) => browser.post('/api/sign-in').send({ who: 'wren', password });

  it('are slowed down, whoever is meant by the name, and tell nobody whether there is one', async () => {
    const guesser = supertest.agent(service.app);
    const statuses = async (who: string) => {
      const all: number[] = [];
      for (let n = 0; n < 7; n += 1)
        all.push((await guesser.post('/api/sign-in').send({ who, password: `guess ${n}` })).status);
      return all;
    };
    const [known, unknown] = [await statuses('wren'), await statuses('nobody')];
    expect(known).toEqual([403, 403, 403, 403, 403, 429, 429]);
    expect(unknown).toEqual(known);
    const { headers, body } = await guess(guesser, PASSWORD);
    expect(Number(headers['retry-after'])).toBeGreaterThan(0);
    expect((body as { title: string }).title).toMatch(/^Too many wrong passwords: wait \d+ s\.$/);
  });

  it('elsewhere do not lock out who signed in on this device before', async () => {
    const own = await signedInAnew();
    const guesser = supertest.agent(service.app);
    for (let n = 0; n < 6; n += 1) await guess(guesser, `guess ${n}`);
    expect((await guess(guesser, PASSWORD)).status).toBe(429);
    await own.post('/api/sign-out').expect(204);
    await guess(own, PASSWORD).expect(200);
  });

  /** Once the wait that others brought about is over. */
  async function signedInAnew(): Promise<Browser> {
    await service.database.update(wrongTries).set({ at: new Date(Date.now() - 400_000).toISOString() });
    return signedIn(service.app, 'wren');
  }

  it('wait twice as long with each, up to five minutes', () => {
    expect([0, 4, 5, 6, 7, 12, 13, 14, 40].map(waitAfter)).toEqual([0, 0, 1, 2, 4, 128, 256, 300, 300]);
  });
});

describe('the cookie of who is signed in', () => {
  it('is out of reach of scripts and of other sites, and over https goes by nothing else', async () => {
    const cookieOf = async (secure: boolean) => {
      const app = createApp({ database: service.database, studioId: service.studioId, secure });
      const { headers } = await supertest(app).post('/api/sign-in').send({ who: 'wren', password: PASSWORD });
      return [headers['set-cookie'] ?? []].flat().find((cookie) => cookie.includes('session_token'))!;
    };
    await service.database.delete(wrongTries);
    const [plain, secure] = [await cookieOf(false), await cookieOf(true)];
    expect(plain).toMatch(/^leggero\.session_token=.*HttpOnly; SameSite=Strict/i);
    expect(plain).not.toMatch(/Secure/);
    expect(secure).toMatch(/^__Secure-leggero\.session_token=.*; Secure/);
  });

  it('of another secret lets nobody in', async () => {
    const browser = await signedIn(service.app, 'wren');
    const cookie = browser.jar.getCookies({ domain: '127.0.0.1', path: '/', secure: false, script: false });
    const app = createApp({ database: service.database, studioId: service.studioId, secret: 'yesterday '.repeat(5) });
    await supertest(app).get('/api/changes').set('Cookie', cookie.toValueString()).expect(401);
    await supertest(service.app).get('/api/changes').set('Cookie', cookie.toValueString()).expect(200);
  });

  it('does nothing for a page from elsewhere', async () => {
    const browser = await signedIn(service.app, 'wren');
    const forged = { id: randomUUID(), name: 'Mine now' };
    await browser.post('/api/account/studios').set('Origin', 'https://elsewhere.example').send(forged).expect(403);
    await browser.post('/api/sign-out').set('Sec-Fetch-Site', 'cross-site').expect(403);
    await browser.get('/api/changes').set('Host', 'elsewhere.example').expect(421);
    await browser.get('/api/changes').expect(200);
  });
});

it('lists the devices on which one is signed in, and signs one out', async () => {
  const [here, there] = [await signedIn(service.app, 'wren'), await signedIn(service.app, 'wren')];
  const devices = (await here.get('/api/account/devices').expect(200)).body as SignedInDevice[];
  expect(devices.filter((device) => device.here)).toHaveLength(1);
  const mine = devices.find((device) => device.here)!;
  const [theirs] = ((await there.get('/api/account/devices').expect(200)).body as SignedInDevice[]).filter(
    (device) => device.here,
  );
  expect(theirs!.id).not.toBe(mine.id);
  await here.delete(`/api/account/devices/${theirs!.id}`).expect(204);
  await there.get('/api/changes').expect(401);
  await here.get('/api/changes').expect(200);
});

it('takes no password that guessers try first, wherever one is set', async () => {
  const owner = await signedIn(service.app, 'Wren');
  const code = await codeFor(owner, { role: 'maker' });
  const refused = { path: expect.stringMatching(/password$/), message: expect.stringMatching('guessers try it first') };
  for (const password of ['password', 'PassWord1', 'qwertyuiop', 'iloveyou1']) {
    const account = { name: 'Pell', signInName: 'pell', email: null, password };
    const joined = await supertest(service.app).post('/api/invitations/join').send({ code, account }).expect(400);
    const changed = await owner.post('/api/account/password').send({ before: PASSWORD, password }).expect(400);
    const anew = await supertest(service.app).post('/api/new-password').send({ code: 'x', password }).expect(400);
    for (const { body } of [joined, changed, anew]) expect(body.fields).toEqual([refused]);
  }
  // The invitation is still good.
  await joinedBy(service.app, code, 'Pell');
});

it('changes a password by the one so far, which signs every other device out', async () => {
  const [here, there] = [await signedIn(service.app, 'wren'), await signedIn(service.app, 'wren')];
  const change = (before: string) =>
    here.post('/api/account/password').send({ before, password: 'a rope of roe again' });
  expect((await change('no idea')).body).toMatchObject({ status: 403, fields: [{ path: 'before' }] });
  await change(PASSWORD).expect(204);
  await there.get('/api/changes').expect(401);
  await here.get('/api/changes').expect(200);
  await signedIn(service.app, 'wren', 'a rope of roe again');
});
