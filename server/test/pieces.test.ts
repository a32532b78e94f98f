import { randomUUID } from 'node:crypto';

import {
  EVENT_DEFAULTS,
  PIECE_DEFAULTS,
  type ChainRecord,
  type CheckRecord,
  type PieceDesign,
  type PieceRecord,
} from '@leggero/contract';

import { model, promised, serviceForTests, strangerOf } from './service';

const service = serviceForTests();

const part = { modelId: null, colourHex: '#d2577e', finish: 'matte' } as const;
const BASKET: PieceDesign = {
  form: 'basket',
  count: 6,
  rings: 2,
  by: 'base',
  baseMm: 127,
  mouthMm: 150,
  leanDeg: 3,
  stepMm: 3.175,
  parts: {},
  usual: part,
  handle: null,
};
const CHAIN: PieceDesign = {
  form: 'chain',
  lengthMm: 1800,
  repeat: [{ ...part, widthMm: 127 }],
  finisher: null,
  roomMm: 2700,
  trimmed: true,
};
const piece = (more: object = {}) => ({
  id: randomUUID(),
  name: 'Anemone',
  design: BASKET,
  createdAt: '2026-10-15T17:00:00.000Z',
  ...more,
});
const listed = async () =>
  promised<PieceRecord[]>('listPieces', (await service.request.get('/api/pieces').expect(200)).body);
const check = (modelId: string, more: object = {}) => ({
  id: randomUUID(),
  modelId,
  tierName: 'First ring',
  targetMm: 133.35,
  toleranceMm: 1.6,
  size: 6,
  startedAt: '2026-10-15T18:00:00.000Z',
  ...more,
});

describe('a piece', () => {
  it('keeps its design as it was sent, once, and changes by name or design', async () => {
    const { request } = service;
    const made = piece();
    const first = await request.post('/api/pieces').send(made).expect(201);
    expect(promised<PieceRecord>('createPiece', first.body)).toEqual({
      ...PIECE_DEFAULTS,
      ...made,
      checks: [],
      demo: false,
    });
    await request
      .post('/api/pieces')
      .send({ ...made, name: 'Another' })
      .expect(200);
    const renamed = await request.patch(`/api/pieces/${made.id}`).send({ name: ' Sea anemone ' }).expect(200);
    expect(renamed.body).toMatchObject({ name: 'Sea anemone', design: BASKET });
    const redesigned = await request.patch(`/api/pieces/${made.id}`).send({ design: CHAIN }).expect(200);
    expect(redesigned.body).toMatchObject({ name: 'Sea anemone', design: CHAIN });
    expect((await listed()).find(({ id }) => id === made.id)?.design).toEqual(CHAIN);
  });

  it('belongs to an event of its own studio, goes from one to another, and stays as a sketch when that goes', async () => {
    const { request } = service;
    const event = { id: randomUUID(), name: 'Low Tide', daysStanding: 2, createdAt: '2026-10-15T17:00:00.000Z' };
    const { id: _, ...body } = event;
    const made = await request.put(`/api/events/${event.id}`).send(body).expect(201);
    expect(made.body).toEqual({ ...EVENT_DEFAULTS, ...event, demo: false });
    const [here, sketch] = [piece({ eventId: event.id, copies: 2 }), piece()];
    for (const each of [here, sketch]) await request.post('/api/pieces').send(each).expect(201);
    const eventOf = async (id: string) => (await listed()).find((each) => each.id === id)?.eventId;
    expect(await eventOf(here.id)).toBe(event.id);
    const change = (by: object) => request.patch(`/api/pieces/${sketch.id}`).send(by).expect(200);
    await change({ eventId: event.id });
    expect(await eventOf(sketch.id)).toBe(event.id);

    // Another studio's event is none; nor is one that is gone.
    const stranger = await strangerOf(service);
    const other = randomUUID();
    await stranger.put(`/api/events/${other}`).send(body).expect(201);
    await change({ eventId: other });
    expect(await eventOf(sketch.id)).toBeNull();
    expect((await request.post('/api/pieces').send(piece({ eventId: other }))).body.eventId).toBeNull();

    const venue = { venueTempC: 31, ceilingMm: 3000, opensAt: '2026-12-05T10:00:00.000Z', state: 'in work', wraps: 1 };
    const changed = await request.patch(`/api/events/${event.id}`).send(venue).expect(200);
    expect(changed.body).toMatchObject({ ...venue, name: 'Low Tide' });
    await request.patch(`/api/events/${event.id}`).send({ state: 'lost' }).expect(400);
    await request.patch(`/api/events/${event.id}`).send({ venueTempC: 90 }).expect(400);

    await request.delete(`/api/events/${event.id}`).expect(204);
    expect(await eventOf(here.id)).toBeNull();
  });

  it('refuses a design with a field that cannot be, naming it', async () => {
    const { request } = service;
    const ring = { form: 'ring', count: 2, rings: [{ ...part, widthMm: 127 }], thing: null };
    const refused = await request
      .post('/api/pieces')
      .send(piece({ design: ring }))
      .expect(400);
    expect(refused.body.fields).toEqual([expect.objectContaining({ path: 'design.count' })]);
    const chainless = { ...CHAIN, repeat: [] };
    const empty = await request
      .post('/api/pieces')
      .send(piece({ design: chainless }))
      .expect(400);
    expect(empty.body.fields).toEqual([expect.objectContaining({ path: 'design.repeat' })]);
    await request
      .post('/api/pieces')
      .send(piece({ design: { form: 'arch' } }))
      .expect(400);
  });

  it('lists the checks of its balloons with their results; they outlive it', async () => {
    const { request } = service;
    const balloon = model();
    await request.post('/api/models').send(balloon).expect(201);
    const made = piece();
    await request.post('/api/pieces').send(made).expect(201);
    const run = check(balloon.id, { pieceId: made.id, layer: 'ring-1' });
    await request.post('/api/checks').send(run).expect(201);
    await request
      .post('/api/check-results')
      .send({
        id: randomUUID(),
        checkId: run.id,
        position: 0,
        answer: 'passes',
        widthMm: null,
        takenAt: '2026-10-15T18:01:00.000Z',
      })
      .expect(201);
    const found = (await listed()).find(({ id }) => id === made.id);
    expect(found?.checks).toMatchObject([{ id: run.id, layer: 'ring-1', results: [{ answer: 'passes' }] }]);
    await request.delete(`/api/pieces/${made.id}`).expect(204);
    const { checks } = (await request.get(`/api/models/${balloon.id}`).expect(200)).body as { checks: CheckRecord[] };
    expect(checks).toMatchObject([{ id: run.id, pieceId: null, layer: 'ring-1' }]);
  });

  it('a check for a piece that is gone, or of another studio, is kept without it', async () => {
    const { request } = service;
    const balloon = model();
    await request.post('/api/models').send(balloon).expect(201);
    const run = check(balloon.id, { pieceId: randomUUID(), layer: 'ring-1' });
    expect((await request.post('/api/checks').send(run).expect(201)).body).toMatchObject({ pieceId: null });
    const stranger = await strangerOf(service);
    const theirs = piece();
    await stranger.post('/api/pieces').send(theirs).expect(201);
    const other = check(balloon.id, { pieceId: theirs.id });
    expect((await request.post('/api/checks').send(other).expect(201)).body).toMatchObject({ pieceId: null });
  });

  it('stays out of reach of another studio', async () => {
    const { request } = service;
    const stranger = await strangerOf(service);
    const made = piece();
    await request.post('/api/pieces').send(made).expect(201);
    expect((await stranger.get('/api/pieces')).body).toEqual([]);
    await stranger.patch(`/api/pieces/${made.id}`).send({ name: 'Mine' }).expect(404);
    await stranger.delete(`/api/pieces/${made.id}`).expect(204);
    await stranger.post('/api/pieces').send(made).expect(409);
    expect((await listed()).some(({ id }) => id === made.id)).toBe(true);
  });
});

describe('a measured chain', () => {
  it('is kept with its balloon and goes with it', async () => {
    const { request } = service;
    const balloon = model();
    await request.post('/api/models').send(balloon).expect(201);
    const chain = {
      id: randomUUID(),
      modelId: balloon.id,
      count: 5,
      widthMm: 127,
      lengthMm: 660,
      takenAt: '2026-10-15T17:00:00.000Z',
    };
    await request.post('/api/chains').send(chain).expect(201);
    await request.post('/api/chains').send(chain).expect(200);
    const all = async () => promised<ChainRecord[]>('listChains', (await request.get('/api/chains')).body);
    expect(await all()).toEqual([chain]);
    const second = { ...chain, id: randomUUID() };
    await request.post('/api/chains').send(second).expect(201);
    await request.delete(`/api/chains/${second.id}`).expect(204);
    await request.delete(`/api/models/${balloon.id}`).expect(204);
    expect(await all()).toEqual([]);
  });

  it('is refused where no chain is so long, where two make no chain, and for a balloon that is not there', async () => {
    const { request } = service;
    const balloon = model();
    await request.post('/api/models').send(balloon).expect(201);
    const chain = (more: object) => ({
      id: randomUUID(),
      modelId: balloon.id,
      count: 5,
      widthMm: 127,
      lengthMm: 660,
      takenAt: '2026-10-15T17:00:00.000Z',
      ...more,
    });
    const long = await request
      .post('/api/chains')
      .send(chain({ lengthMm: 1500 }))
      .expect(400);
    expect(long.body.fields).toEqual([expect.objectContaining({ path: 'lengthMm' })]);
    await request
      .post('/api/chains')
      .send(chain({ count: 2 }))
      .expect(400);
    await request
      .post('/api/chains')
      .send(chain({ modelId: randomUUID() }))
      .expect(404);
  });
});
