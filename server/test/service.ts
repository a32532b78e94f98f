import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { createServer } from 'node:http';
import { setTimeout as pause } from 'node:timers/promises';

import { READING_DEFAULTS } from '@leggero/contract';
import { ROUTES, type RouteName } from '@leggero/contract/routes';
import { importProgressSchema, type ImportProgress } from '@leggero/contract/readingFile';
import { sql } from 'drizzle-orm';
import type { Express } from 'express';
import supertest from 'supertest';

import { connect, type Database } from '../src/db/connect';
import { WHOLE, type Reach } from '../src/db/records';
import { applyMigrations } from '../src/db/migrate';
import { fillDemo } from '../src/demo/fill';
import { createApp } from '../src/http/app';
import { openStudio } from '../src/studio/store';

/** The service over a database of its own on the real server. */
interface Service {
  database: Database;
  /** Where it is. */
  url: string;
  studioId: string;
  reach: Reach;
  app: Express;
  request: ReturnType<typeof supertest>;
  close(): Promise<void>;
}

/** A new database without any table, where it is, and how it is dropped. */
export async function emptyDatabase(): Promise<Pick<Service, 'database' | 'url'> & { drop(): Promise<void> }> {
  const base = process.env['LEGGERO_TEST_DATABASE'];
  if (!base) throw new Error('run the server tests with npm run test:server');
  const name = `leggero_${randomUUID().replaceAll('-', '')}`;
  const first = connect({ url: base });
  await first.execute(sql.raw(`create database ${name}`));
  await first.$client.end();
  const url = base.replace(/[^/]+$/, name);
  const database = connect({ url });
  return {
    database,
    url,
    async drop() {
      await database.execute(sql.raw(`drop database ${name}`));
      await database.$client.end();
    },
  };
}

/** A new database with its migrations and a studio, and the service over it. */
async function startService(open: (of: { database: Database }) => Promise<string>): Promise<Service> {
  const { database, url, drop } = await emptyDatabase();
  await applyMigrations(database);
  const studioId = await open({ database });
  const app = createApp({ database, studioId });
  // It listens until the end: opened for each request anew, one that hangs would hold up all that come after.
  const server = createServer(app).listen(0, '127.0.0.1');
  await once(server, 'listening');
  return {
    database,
    url,
    studioId,
    reach: WHOLE,
    app,
    request: supertest(server),
    async close() {
      server.closeAllConnections();
      server.close();
      await drop();
    },
  };
}

/** A service with an empty studio for the tests of one file: there before the first, and gone after the last. */
export function serviceForTests(): Omit<Service, 'close'> {
  return serviceWith(openStudio);
}

/** The same with the demo's records. */
export function demoForTests(): Omit<Service, 'close'> {
  return serviceWith(fillDemo);
}

function serviceWith(open: (of: { database: Database }) => Promise<string>): Omit<Service, 'close'> {
  let service: Service;
  beforeAll(async () => {
    service = await startService(open);
  });
  afterAll(() => service.close());
  return {
    get database() {
      return service.database;
    },
    get url() {
      return service.url;
    },
    get studioId() {
      return service.studioId;
    },
    reach: WHOLE,
    get app() {
      return service.app;
    },
    get request() {
      return service.request;
    },
  };
}

/** A second studio in the same database: whatever it owns must stay out of reach. */
export async function strangerOf({ database }: Pick<Service, 'database'>): Promise<ReturnType<typeof supertest>> {
  const studioId = randomUUID();
  await database.execute(
    sql`insert into studios (id, name, unit, step_mm, days_standing) values (${studioId}, 'Next door', 'cm', 1, 1)`,
  );
  return supertest(createApp({ database, studioId }));
}

const MOST_ASKED = 10;

/** Asks again, as a device does, where another one's work held up the records for too long: a slow disk is no fault. */
export async function onceFree(ask: () => supertest.Test): Promise<supertest.Response> {
  for (let asked = 1; ; asked += 1) {
    const answer = await ask();
    if (answer.status !== 503 || asked === MOST_ASKED) return answer;
    await pause(Number(answer.headers['retry-after']) * 1000);
  }
}

/** Checks an answer against what the contract promises for the route, and gives it back typed. */
export function promised<T>(name: RouteName, body: unknown): T {
  const route = ROUTES[name];
  if (!('response' in route)) throw new Error(`${name} answers nothing`);
  return route.response.parse(body) as T;
}

export const model = (more: object = {}) => ({
  id: randomUUID(),
  line: 'Fennimore Standard',
  kind: 'round',
  nominalMm: 279.4,
  finish: 'matte',
  colourName: 'kelp green',
  colourHex: '#3f7a4a',
  ...more,
});

export const pump = (more: object = {}) => ({
  id: randomUUID(),
  name: 'Skiff',
  kind: 'hand',
  doseVolumeL: 0.18,
  ...more,
});

export const calibration = (modelId: string, pumpId: string, more: object = {}) => ({
  id: randomUUID(),
  modelId,
  pumpId,
  preStretched: false,
  roundedOff: false,
  startedAt: '2026-11-16T17:00:00.000Z',
  ...more,
});

export const reading = (calibrationId: string, more: object = {}) => ({
  id: randomUUID(),
  calibrationId,
  dose: 2.5,
  widthMm: 171.45,
  ...READING_DEFAULTS,
  heightMm: null,
  sdMm: null,
  shape: 'round',
  outcome: 'ok',
  takenAt: '2026-11-16T17:01:00.000Z',
  ...more,
});

export const check = (modelId: string, more: object = {}) => ({
  id: randomUUID(),
  modelId,
  tierName: 'Classic',
  targetMm: 254,
  toleranceMm: 6.35,
  size: 12,
  startedAt: '2026-11-17T09:00:00.000Z',
  ...more,
});

export const eyeCheck = (personId: string, modelId: string, more: object = {}) => ({
  id: randomUUID(),
  mode: 'one',
  personId,
  secondPersonId: null,
  modelId,
  targetMm: 254,
  size: 4,
  startedAt: '2026-11-20T12:00:00.000Z',
  ...more,
});

export const eyeBalloon = (eyeCheckId: string, more: object = {}) => ({
  id: randomUUID(),
  eyeCheckId,
  position: 0,
  widthMm: null,
  filledAt: '2026-11-20T12:01:00.000Z',
  ...more,
});

/** Sends a file of readings and reads the lines of the answer: how far it was, and what came of it. */
export async function linesOfImport(
  request: Service['request'],
  address: `/api/readings.csv${string}`,
  file: string | Buffer,
): Promise<ImportProgress[]> {
  const { body } = await request
    .post(address)
    .set('Content-Type', 'text/csv')
    .buffer(true)
    .parse((response, done) => {
      let all = '';
      response.on('data', (chunk) => (all += chunk));
      response.on('end', () => done(null, all));
    })
    .send(file)
    .expect(200);
  return String(body)
    .trim()
    .split('\n')
    .map((line) => importProgressSchema.parse(JSON.parse(line)));
}
