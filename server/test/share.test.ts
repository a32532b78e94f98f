import { randomUUID } from 'node:crypto';

import { MOST_SHARED_DAYS, SHARE_ROUTES, type SharedContent } from '@leggero/contract/share';
import { eq } from 'drizzle-orm';
import supertest from 'supertest';

import { events, shares } from '../src/db/tables';
import { codeFor, joinedBy, ownerOf, type Browser } from './crew';
import { sample, sampleId } from './samples';
import { promised, serviceForTests } from './service';

const service = serviceForTests();
let owner: Browser;
let planner: Browser;

const PICTURE = `data:image/png;base64,${'iVBORw0KGgo'.repeat(30_000)}`;
const thing = { key: 'a', name: 'Drift', wideMm: 2400, highMm: 2100, footMm: 0 };
const SHEET: SharedContent = {
  kind: 'sheet',
  sheet: {
    title: 'Low Tide',
    subtitle: 'Sat, 5 Dec, 18:00',
    pictures: { a: PICTURE, b: PICTURE, c: PICTURE, d: PICTURE },
    blocks: [
      { kind: 'row', things: [thing, thing, thing, thing] },
      { kind: 'thing', thing, lines: ['94½ in wide'], colours: [{ hex: '#3f7a4a', name: 'kelp green' }] },
      { kind: 'words', look: 'body', text: 'Please mind.' },
    ],
  },
};
const asked = (by: object = {}) => ({ id: randomUUID(), eventId: sampleId('event'), days: 14, content: SHEET, ...by });
const shared = async (by: object = {}) => {
  const { body } = await planner.post('/api/shares').send(asked(by)).expect(200);
  return promised<{ code: string; expiresAt: string }>('share', body);
};
/** As anybody who has a code, signed in nowhere. */
const open = (code: string) => supertest(service.app).post('/api/shares/open').send({ code });

beforeAll(async () => {
  owner = await ownerOf(service.app);
  planner = await joinedBy(service.app, await codeFor(owner, { role: 'planner' }), 'Tove');
  await owner
    .put(`/api/events/${sampleId('event')}`)
    .send(sample('event'))
    .expect(201);
});

it('what is shared opens by its code for whoever has it, until its day, and larger pictures fit', async () => {
  const { code, expiresAt } = await shared();
  const opened = (await open(code.toLowerCase().replaceAll('-', ' ')).expect(200)).body;
  expect(SHARE_ROUTES.openShare.response.parse(opened)).toEqual({ studio: 'My studio', expiresAt, content: SHEET });
  expect(Math.round((Date.parse(expiresAt) - Date.now()) / 86_400_000)).toBe(14);
  const [row] = await service.database.select().from(shares);
  expect(JSON.stringify(row)).not.toContain(code.replaceAll('-', ''));
  await service.database.update(shares).set({ expiresAt: '2026-01-01T00:00:00.000Z' }).where(eq(shares.id, row!.id));
  await open(code).expect(404);
  await open('AAAAA-AAAAA-AAAAA-AAAAA').expect(404);
  await open('').expect(400);
});

it('ends when somebody ends it, and with its event', async () => {
  const [one, two] = [await shared(), await shared()];
  const all = promised<{ id: string }[]>('listShares', (await planner.get('/api/shares').expect(200)).body);
  expect(all).toHaveLength(2);
  await planner.delete(`/api/shares/${all[0]!.id}`).expect(204);
  const left = [(await open(one.code)).status, (await open(two.code)).status].toSorted();
  expect(left).toEqual([200, 404]);
  const id = randomUUID();
  await owner
    .put(`/api/events/${id}`)
    .send({ ...sample('event', 1), id })
    .expect(201);
  const { code } = await shared({ eventId: id });
  await open(code).expect(200);
  await service.database.delete(events).where(eq(events.id, id));
  await open(code).expect(404);
});

it('is a planner’s to share, of an event of their own studio, and carries nothing but what a sheet has', async () => {
  const maker = await joinedBy(service.app, await codeFor(owner, { role: 'maker' }), 'Isolde');
  await maker.post('/api/shares').send(asked()).expect(403);
  await maker.get('/api/shares').expect(403);
  await planner
    .post('/api/shares')
    .send(asked({ eventId: randomUUID() }))
    .expect(404);
  const wrong = async (content: object, path: RegExp) => {
    const { body } = await planner.post('/api/shares').send(asked({ content })).expect(400);
    expect(body.fields.map((field: { path: string }) => field.path).join(' ')).toMatch(path);
  };
  const sheet = (blocks: object[], a = PICTURE) => ({
    kind: 'sheet',
    sheet: { title: 'x', subtitle: '', pictures: { a }, blocks },
  });
  await wrong(sheet([{ kind: 'rows', rows: [] }]), /content\.sheet\.blocks\.0/);
  await wrong(sheet([], 'data:image/svg+xml;base64,AAAA'), /pictures\.a/);
  await wrong(sheet([], 'https://example.org/spy.png'), /pictures\.a/);
  await planner
    .post('/api/shares')
    .send(asked({ days: MOST_SHARED_DAYS + 1 }))
    .expect(400);
  // What is not of a sheet is not kept.
  const { code } = await shared({ content: sheet([{ kind: 'words', look: 'body', text: 'x', price: 12_300 }]) });
  expect(JSON.stringify((await open(code)).body)).not.toContain('12300');
});

it('a copy of an event opens as the file that another studio takes in', async () => {
  const {
    id: _,
    client,
    plan,
    state,
    createdAt,
    ...event
  } = (await owner.get('/api/changes?nouns=event').expect(200)).body.rows.event.find(
    ({ id }: { id: string }) => id === sampleId('event'),
  );
  const file = {
    format: 'leggero-event',
    version: 1,
    event,
    models: [],
    chains: [],
    pieces: [],
    filled: [],
    recipe: [],
  };
  const { code } = await shared({
    content: { kind: 'copy', file: { ...file, event: { ...event, client, plan, state, createdAt } } },
  });
  const { content } = (await open(code).expect(200)).body;
  expect(content.kind).toBe('copy');
  expect(Object.keys(content.file.event)).not.toEqual(expect.arrayContaining(['client']));
  expect(content.file.event.name).toBe(event.name);
});
