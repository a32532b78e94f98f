import { randomUUID } from 'node:crypto';

import type { HoldTestRecord, ModelDetail, TierRecord } from '@leggero/contract';

import { model, promised, serviceForTests, strangerOf } from './service';

const service = serviceForTests();
const balloon = model();
beforeAll(async () => {
  await service.request.post('/api/models').send(balloon).expect(201);
});

const test = (more: object = {}) => ({
  id: randomUUID(),
  modelId: balloon.id,
  wraps: 2,
  stuffed: false,
  startedAt: '2026-11-16T18:00:00.000Z',
  firstReadingId: randomUUID(),
  firstWidthMm: 240,
  ...more,
});

describe('hold tests', () => {
  const started = test();

  it('begin with the width at the knot; a repeated start changes nothing', async () => {
    const first = await service.request.post('/api/hold-tests').send(started).expect(201);
    expect(promised<HoldTestRecord>('createHoldTest', first.body).readings).toMatchObject([{ hours: 0, widthMm: 240 }]);
    const again = await service.request.post('/api/hold-tests').send(started).expect(200);
    expect(again.body).toEqual(first.body);
  });

  it('take widths by the hour, on the page of the balloon and on the shelf', async () => {
    const later = { id: randomUUID(), holdTestId: started.id, hours: 14, widthMm: 238 };
    await service.request.post('/api/hold-readings').send(later).expect(201);
    await service.request.post('/api/hold-readings').send(later).expect(200);
    const detail = promised<ModelDetail>('readModel', (await service.request.get(`/api/models/${balloon.id}`)).body);
    expect(detail.holdTests[0]!.readings.map(({ hours }) => hours)).toEqual([0, 14]);
    const [onShelf] = promised<ModelDetail[]>('listModels', (await service.request.get('/api/models')).body);
    expect(onShelf!.holdTests).toEqual(detail.holdTests);
    await service.request.delete(`/api/hold-readings/${later.id}`).expect(204);
  });

  it('refuse a balloon that grew, and hours before the knot, beside the field', async () => {
    const send = (more: object) =>
      service.request
        .post('/api/hold-readings')
        .send({ id: randomUUID(), holdTestId: started.id, hours: 5, widthMm: 238, ...more });
    expect((await send({ widthMm: 260 }).expect(400)).body.fields[0].path).toBe('widthMm');
    expect((await send({ hours: -1 }).expect(400)).body.fields[0].path).toBe('hours');
    await send({ holdTestId: randomUUID() }).expect(404);
    await service.request
      .post('/api/hold-tests')
      .send(test({ wraps: 3 }))
      .expect(400);
  });

  it('stay out of another studio’s reach, and go when they are deleted', async () => {
    const stranger = await strangerOf(service);
    await stranger.delete(`/api/hold-tests/${started.id}`).expect(204);
    await stranger
      .post('/api/hold-readings')
      .send({ id: randomUUID(), holdTestId: started.id, hours: 5, widthMm: 239 })
      .expect(404);
    await service.request.delete(`/api/hold-tests/${started.id}`).expect(204);
    const detail = (await service.request.get(`/api/models/${balloon.id}`)).body as ModelDetail;
    expect(detail.holdTests).toEqual([]);
  });
});

describe('tiers', () => {
  const list = async () => promised<TierRecord[]>('listTiers', (await service.request.get('/api/tiers')).body);

  it('start as five with ranges that touch and do not overlap', async () => {
    const tiers = await list();
    expect(tiers).toHaveLength(5);
    expect(
      tiers.every(({ leastFraction, fraction, mostFraction }) => leastFraction <= fraction && fraction <= mostFraction),
    ).toBe(true);
  });

  it('bear an oval where they are full, round only elsewhere; a change that says nothing of it leaves it', async () => {
    const before = await list();
    expect(before.map(({ name, shape }) => `${name} ${shape}`)).toEqual([
      'Full oval',
      'Classic oval',
      'Supple round',
      'Soft round',
      'Bud round',
    ]);
    const [full] = before;
    const renamed = await service.request.patch(`/api/tiers/${full!.id}`).send({ purpose: 'Evenings' }).expect(200);
    expect(renamed.body).toMatchObject({ purpose: 'Evenings', shape: 'oval' });
    // As devices with an older app send it.
    const { shape: _, ...old } = { ...full!, id: randomUUID(), leastFraction: 0.3, fraction: 0.35, mostFraction: 0.4 };
    const made = await service.request.post('/api/tiers').send(old).expect(201);
    expect(made.body).toMatchObject({ shape: 'round' });
    await service.request.delete(`/api/tiers/${old.id}`).expect(204);
    await service.request.patch(`/api/tiers/${full!.id}`).send({ purpose: full!.purpose }).expect(200);
  });

  it('are refused where they overlap, turn round or leave the range, beside the field', async () => {
    const [full, classic] = (await list()) as [TierRecord, TierRecord];
    const change = (body: object) => service.request.patch(`/api/tiers/${full.id}`).send(body);
    expect((await change({ leastFraction: 0.9 }).expect(400)).body.fields[0]).toEqual({
      path: 'leastFraction',
      message: 'This range overlaps another tier’s',
    });
    expect((await change({ fraction: 0.5 }).expect(400)).body.fields[0].path).toBe('fraction');
    expect((await change({ mostFraction: 0.9 }).expect(400)).body.fields[0].path).toBe('mostFraction');
    await change({ leastFraction: 0.94 }).expect(200);
    await change({ position: 3 }).expect(200);
    await service.request
      .post('/api/tiers')
      .send({ ...classic, id: randomUUID(), name: 'Twice' })
      .expect(400);
    await service.request
      .post('/api/tiers')
      .send({ ...full, id: randomUUID(), name: 'Gap', leastFraction: 0.3, fraction: 0.4, mostFraction: 0.45 })
      .expect(201);
  });
});

describe('the workroom', () => {
  it('is kept, and refused at -300 °C or 20 km', async () => {
    await service.request.patch('/api/studio').send({ workroomTempC: 18.5, workroomAltitudeM: 420 }).expect(200);
    expect((await service.request.get('/api/studio')).body).toMatchObject({
      workroomTempC: 18.5,
      workroomAltitudeM: 420,
    });
    const cold = await service.request.patch('/api/studio').send({ workroomTempC: -300 }).expect(400);
    expect(cold.body.fields[0].path).toBe('workroomTempC');
    const high = await service.request.patch('/api/studio').send({ workroomAltitudeM: 20_000 }).expect(400);
    expect(high.body.fields[0].path).toBe('workroomAltitudeM');
  });
});
