import { randomUUID } from 'node:crypto';

import { problemSchema } from '@leggero/contract';
import { sql } from 'drizzle-orm';
import express from 'express';
import supertest from 'supertest';

import { connect, databaseError } from '../src/db/connect';
import { createApp } from '../src/http/app';
import { securityHeaders } from '../src/http/headers';

import { calibration, model, pump, reading, serviceForTests } from './service';

const service = serviceForTests();
let calibrationId: string;
let pumpId: string;
beforeAll(async () => {
  const theModel = model();
  const thePump = pump();
  const theCalibration = calibration(theModel.id, thePump.id);
  await service.request.post('/api/models').send(theModel);
  await service.request.post('/api/pumps').send(thePump);
  await service.request.post('/api/calibrations').send(theCalibration);
  calibrationId = theCalibration.id;
  pumpId = thePump.id;
});

describe('bad input', () => {
  it.each([
    ['a negative width', { widthMm: -3 }, 'widthMm'],
    ['an absurd width', { widthMm: 2000 }, 'widthMm'],
    ['a width beyond all lengths', { widthMm: 1e300 }, 'widthMm'],
    ['no strokes', { dose: 0 }, 'dose'],
    ['too many strokes', { dose: 5000 }, 'dose'],
    ['text in a number', { dose: 'three' }, 'dose'],
    ['a missing width', { widthMm: null }, 'widthMm'],
    ['a height no balloon has', { heightMm: 900 }, 'heightMm'],
    ['an unknown shape', { shape: 'cube' }, 'shape'],
    ['a moment that is none', { takenAt: 'yesterday' }, 'takenAt'],
    ['an id that is none', { id: '1; drop table readings' }, 'id'],
  ])('%s is refused by name of its field, as a problem document', async (_, wrong, path) => {
    const answer = await service.request.post('/api/readings').send(reading(calibrationId, wrong)).expect(400);
    expect(answer.headers['content-type']).toMatch('application/problem+json');
    const document = problemSchema.parse(answer.body);
    expect(document.fields?.map((field) => field.path)).toContain(path);
  });

  it('a burst needs no width', async () => {
    await service.request
      .post('/api/readings')
      .send(reading(calibrationId, { widthMm: null, outcome: 'burst' }))
      .expect(201);
  });

  it.each([
    ['a forged id', 'get', '/api/models/not-an-id', 404],
    ['an unknown id', 'get', `/api/models/${randomUUID()}`, 404],
    ['an unknown id to change', 'patch', `/api/pumps/${randomUUID()}`, 404],
    ['an unknown route', 'get', '/api/balloons', 404],
    ['an address that cannot be read', 'get', '/api/models/%E0%A4%A', 400],
  ] as const)('%s is answered with %s %s: %d', async (_, method, url, status) => {
    const answer = await service.request[method](url).send(method === 'patch' ? { name: 'x' } : undefined);
    expect([answer.status, problemSchema.parse(answer.body).status]).toEqual([status, status]);
  });

  it('what is not JSON, or more than is taken at once, is refused', async () => {
    const send = (text: string) =>
      service.request.post('/api/models').set('Content-Type', 'application/json').send(text);
    await send('{"id": ').expect(400);
    await send(JSON.stringify({ line: 'x'.repeat(1_200_000) })).expect(413);
    await service.request.post('/api/models').send([1, 2]).expect(400);
  });

  it('a pump that calibrations hang on is kept', async () => {
    await service.request.delete(`/api/pumps/${pumpId}`).expect(409);
    expect((await service.request.get('/api/pumps')).body.some(({ id }: { id: string }) => id === pumpId)).toBe(true);
  });
});

describe('the database itself', () => {
  it('refuses what the code would let through: a width of zero, no width without a burst, a row of no studio', async () => {
    const { studioId, database } = service;
    const refusalOf = (values: string) =>
      database
        .execute(
          sql.raw(
            `insert into readings (id, studio_id, calibration_id, dose, width_mm, outcome, taken_at) values ${values}`,
          ),
        )
        .then(() => 'taken')
        .catch((error: unknown) => databaseError(error)?.message);
    expect(await refusalOf(`(uuid(), '${studioId}', '${calibrationId}', 1, 0, 'ok', now())`)).toMatch(/readings_width/);
    expect(await refusalOf(`(uuid(), '${studioId}', '${calibrationId}', 1, null, 'ok', now())`)).toMatch(
      /readings_width/,
    );
    expect(await refusalOf(`(uuid(), '${randomUUID()}', '${calibrationId}', 1, 9, 'ok', now())`)).toMatch(
      /readings_calibration|studios/,
    );
  });
});

describe('headers', () => {
  it('carry a strict policy, no server name, and no caching of records', async () => {
    const answer = (await service.request.get('/api/health').expect(200)).headers;
    expect(answer['content-security-policy']).toBe("default-src 'none';frame-ancestors 'none'");
    expect(answer['x-content-type-options']).toBe('nosniff');
    expect(answer['x-powered-by']).toBeUndefined();
    expect(answer['cache-control']).toBe('no-store');
    const pages = express().use(...securityHeaders({ strictTransport: false }));
    pages.get('/shelf', (_, response) => void response.send('a page'));
    const { headers } = await supertest(pages).get('/shelf').expect(200);
    expect(headers['content-security-policy']).toMatch("default-src 'none';script-src 'self';style-src 'self';");
    expect(headers['content-security-policy']).not.toMatch(/https?:|unsafe-eval|script-src[^;]*unsafe|\*/);
    expect(headers['permissions-policy']).toMatch('camera=(), ');
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['x-powered-by']).toBeUndefined();
  });
});

describe('a page from elsewhere', () => {
  const own = { Host: '127.0.0.1:8787' };
  const person = () => ({ id: randomUUID(), name: 'Ebb' });

  it.each([
    ['a name of its own that it points here', { Host: 'kelp.example:8787' }, 421],
    ['such a name with the origin to match', { Host: 'kelp.example:8787', Origin: 'http://kelp.example:8787' }, 421],
    ['an address that is not this machine', { Host: '192.168.1.7:8787' }, 421],
    ['no name at all', { Host: '' }, 421],
    ['another origin', { ...own, Origin: 'https://kelp.example' }, 403],
    ['another port of this machine', { ...own, Origin: 'http://127.0.0.1:3000' }, 403],
    ['this machine by another name', { ...own, Origin: 'http://localhost:8787' }, 403],
    ['the null origin of a frame', { ...own, Origin: 'null' }, 403],
    ['a picture or a form across sites', { ...own, 'Sec-Fetch-Site': 'cross-site' }, 403],
    ['a picture from another port', { ...own, 'Sec-Fetch-Site': 'same-site' }, 403],
  ])('with %s is refused, reading and writing', async (_, headers, status) => {
    const { body } = await service.request.get('/api/people').set(headers).expect(status);
    expect(problemSchema.parse(body).status).toBe(status);
    const made = person();
    await service.request.post('/api/people').set(headers).send(made).expect(status);
    const { body: people } = await service.request.get('/api/people').expect(200);
    expect((people as { id: string }[]).some(({ id }) => id === made.id)).toBe(false);
  });

  it.each([
    ['a page of its own', { ...own, Origin: 'http://127.0.0.1:8787', 'Sec-Fetch-Site': 'same-origin' }],
    ['an address that was typed', { ...own, 'Sec-Fetch-Site': 'none' }],
    ['localhost', { Host: 'LOCALHOST:8787', Origin: 'http://localhost:8787' }],
    ['the other loopback', { Host: '[::1]:8787', Origin: 'http://[::1]:8787' }],
    ['a program', own],
  ])('is told from %s, which is served', async (_, headers) => {
    await service.request.post('/api/people').set(headers).send(person()).expect(201);
  });

  it('may call the service by a name or address of the network only where it was opened to it', async () => {
    const { database, studioId } = service;
    const open = supertest(createApp({ database, studioId, guard: { names: ['barge.local'], open: true } }));
    const ask = (host: string) => open.get('/api/health').set({ Host: host, Origin: `http://${host}` });
    for (const host of ['barge.local', '192.168.1.7:8787', '[fe80::1]:8787']) await ask(host).expect(200);
    await ask('kelp.example').expect(421);
  });
});

describe('with the disk full', () => {
  it('says so for health, saves nothing, and goes on reading and deleting', async () => {
    let room = false;
    const { database, studioId } = service;
    const full = supertest(createApp({ database, studioId, hasRoom: async () => room }));
    const made = { id: randomUUID(), name: 'Ebb' };
    for (const asked of [full.get('/api/health'), full.post('/api/people').send(made)]) {
      expect(problemSchema.parse((await asked.expect(507)).body).title).toMatch('disk with the records is full');
    }
    await full.get('/api/people').expect(200);
    await full.delete(`/api/people/${randomUUID()}`).expect(204);
    room = true;
    await full.post('/api/people').send(made).expect(201);
    await full.get('/api/health').expect(200);
  });
});

describe('with the database away', () => {
  it('says so with 503 and when to come back, for health and records alike', async () => {
    const database = connect({ url: 'mysql://leggero:x@127.0.0.1:9/leggero_none' });
    const away = supertest(createApp({ database, studioId: randomUUID() }));
    for (const url of ['/api/health', '/api/models', `/api/models/${randomUUID()}`]) {
      const answer = await away.get(url).expect(503);
      expect(answer.headers['retry-after']).toBe('2');
      expect(problemSchema.parse(answer.body).title).toMatch('cannot be reached');
    }
    await database.$client.end();
  });
});
