import supertest from 'supertest';

import { createApp } from '../src/http/app';
import { ownerOf, PASSWORD } from './crew';
import { serviceForTests } from './service';

const service = serviceForTests();

const CODE = 'K7WQX-22222-33333-44444';
const account = { name: 'Wren', signInName: 'wren', email: null, password: PASSWORD };

describe('a service that nobody owns yet', () => {
  const app = () => {
    const { database, studioId } = service;
    return createApp({ database, studioId, guard: { open: true }, setUpCode: CODE });
  };

  it('open to a network answers nobody until somebody owns it', async () => {
    expect((await supertest(app()).get('/api/access').expect(200)).body).toMatchObject({ state: 'setUp', at: null });
    await supertest(app()).get('/api/changes').expect(401);
    await supertest(app()).post('/api/batch').send({ commands: [] }).expect(401);
  });

  it('on its own machine takes nobody who is handed on for whoever is at it', async () => {
    for (const [name, value] of [
      ['X-Forwarded-For', '203.0.113.9'],
      ['Forwarded', 'for=203.0.113.9'],
      ['Via', '1.1 gateway'],
    ] as const) {
      await service.request.get('/api/changes').set(name, value).expect(401);
      await service.request.post('/api/owner').set(name, value).send(account).expect(403);
    }
    await service.request.get('/api/changes').expect(200);
  });

  it('is owned by who knows the code of its start, and by nobody after them', async () => {
    const open = app();
    const own = (code: string | null) =>
      supertest(open)
        .post('/api/owner')
        .send({ ...account, code });
    for (const code of [null, 'K7WQX', '22222-22222-33333-44444'])
      expect((await own(code)).body).toMatchObject({ status: 403, fields: [{ path: 'code' }] });
    // However it is typed.
    const [first, second] = await Promise.all([
      own(CODE.toLowerCase()),
      supertest(open)
        .post('/api/owner')
        .send({ ...account, signInName: 'heron', code: CODE.replaceAll('-', ' ') }),
    ]);
    expect([first.status, second.status].sort()).toEqual([200, 409]);
    await own(CODE).expect(409);
    await expect(ownerOf(service.app, 'Late')).rejects.toThrow(/409/);
  });
});
