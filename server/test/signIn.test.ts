import supertest from 'supertest';

import { createApp } from '../src/http/app';
import { codeFor, joinedBy, membersOf, ownerOf, PASSWORD, signedIn } from './crew';
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
    account: { name: 'Wren', signInName: 'wren', email: null },
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
  await supertest(service.app).post('/api/new-password').send({ code, password: 'and once more, no' }).expect(404);
  await before.get('/api/changes').expect(401);
  await supertest(service.app).post('/api/sign-in').send({ who: 'teal', password: PASSWORD }).expect(403);
  await (await signedIn(service.app, 'teal', 'another one entirely')).get('/api/changes').expect(200);
});

it('asks whoever opens a service to a network for the code of its start', async () => {
  const open = { guard: { open: true }, setUpCode: 'K7WQX-22222-33333-44444' };
  const fresh = serviceForTests;
  expect(fresh).toBeDefined();
  const app = createApp({ database: service.database, studioId: service.studioId, ...open });
  // Somebody owns it by now.
  expect((await supertest(app).get('/api/access').expect(200)).body).toMatchObject({ state: 'out' });
});
