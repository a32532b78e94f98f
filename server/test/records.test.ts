import { randomUUID } from 'node:crypto';

import type { ModelDetail, ShelfModel, SizerRecord, TierRecord } from '@leggero/contract';
import { applyMigrations } from '../src/db/migrate';
import { openStudio } from '../src/studio/store';

import { calibration, check, model, promised, pump, reading, serviceForTests, strangerOf } from './service';

const service = serviceForTests();

/** A model with a calibration of one reading, all through the API. */
async function calibrated() {
  const { request } = service;
  const theModel = model();
  const thePump = pump();
  const theCalibration = calibration(theModel.id, thePump.id);
  const theReading = reading(theCalibration.id);
  await request.post('/api/models').send(theModel).expect(201);
  await request.post('/api/pumps').send(thePump).expect(201);
  await request.post('/api/calibrations').send(theCalibration).expect(201);
  await request.post('/api/readings').send(theReading).expect(201);
  return { model: theModel, pump: thePump, calibration: theCalibration, reading: theReading };
}

describe('a studio of one’s own', () => {
  it('starts with the five tiers and one pump, and keeps its settings', async () => {
    const { body } = await service.request.get('/api/tiers').expect(200);
    expect(promised<TierRecord[]>('listTiers', body).map(({ name }) => name)).toEqual([
      'Full',
      'Classic',
      'Supple',
      'Soft',
      'Bud',
    ]);
    expect((await service.request.get('/api/pumps')).body).toHaveLength(1);
    await service.request.patch('/api/studio').send({ unit: 'cm', stepMm: 1 }).expect(200);
    const studio = promised<{ unit: string }>('readStudio', (await service.request.get('/api/studio')).body);
    expect(studio.unit).toBe('cm');
  });

  it('is the same studio after another start, and its migrations are applied once', async () => {
    await applyMigrations(service.database);
    expect(await openStudio(service)).toBe(service.studioId);
  });
});

describe('a model and what hangs on it', () => {
  it('comes back whole, as the contract has it', async () => {
    const made = await calibrated();
    const { body } = await service.request.get(`/api/models/${made.model.id}`).expect(200);
    const detail = promised<ModelDetail>('readModel', body);
    expect(detail).toMatchObject({ ...made.model, demo: false, targets: [], checks: [] });
    expect(detail.calibrations[0]).toMatchObject({ ...made.calibration, readings: [made.reading] });
    const shelf = promised<ShelfModel[]>('listModels', (await service.request.get('/api/models')).body);
    expect(shelf.find(({ id }) => id === made.model.id)?.calibrations[0]?.readings).toEqual([made.reading]);
  });

  it('keeps the order in which readings were taken', async () => {
    const made = await calibrated();
    const later = reading(made.calibration.id, {
      dose: 1,
      widthMm: 120,
      takenAt: '2026-11-16T17:05:00.000Z',
    });
    const between = reading(made.calibration.id, {
      dose: 4,
      widthMm: 199,
      takenAt: '2026-11-16T17:03:00.000Z',
    });
    await service.request.post('/api/readings').send(later).expect(201);
    await service.request.post('/api/readings').send(between).expect(201);
    const { body } = await service.request.get(`/api/models/${made.model.id}`);
    expect(body.calibrations[0].readings.map((r: { dose: number }) => r.dose)).toEqual([2.5, 4, 1]);
  });

  it('can be changed and deleted, with all that hangs on it', async () => {
    const made = await calibrated();
    const url = `/api/models/${made.model.id}`;
    expect((await service.request.patch(url).send({ finish: 'pearl' }).expect(200)).body.finish).toBe('pearl');
    expect((await service.request.patch(url).send({}).expect(200)).body.finish).toBe('pearl');
    await service.request.delete(url).expect(204);
    await service.request.get(url).expect(404);
    await service.request.delete(url).expect(204);
    await service.request.post('/api/readings').send(reading(made.calibration.id)).expect(404);
  });

  it('keeps an accepted target as a revision that later ones do not change', async () => {
    const made = await calibrated();
    const [, classic] = (await service.request.get('/api/tiers')).body as TierRecord[];
    const target = (widthMm: number) => ({
      id: randomUUID(),
      modelId: made.model.id,
      tierId: classic!.id,
      tierName: 'Classic',
      widthMm,
      toleranceMm: 6.35,
      dose: 7.5,
      origin: 'measured',
      daysStanding: 1,
      acceptedAt: '2026-11-18T10:00:00.000Z',
    });
    const first = await service.request.post('/api/targets').send(target(254)).expect(201);
    const second = await service.request.post('/api/targets').send(target(247.65)).expect(201);
    expect([first.body.revision, second.body.revision]).toEqual([1, 2]);
    const { body } = await service.request.get(`/api/models/${made.model.id}`);
    expect(
      promised<ModelDetail>('readModel', body)
        .targets.map(({ widthMm }) => widthMm)
        .sort(),
    ).toEqual([247.65, 254]);
    await service.request.delete(`/api/tiers/${classic!.id}`).expect(204);
    const after = await service.request.get(`/api/models/${made.model.id}`);
    expect(after.body.targets).toHaveLength(2);
    expect(after.body.targets[0]).toMatchObject({ tierId: null, tierName: 'Classic' });
  });

  it('keeps a check with a result for each place', async () => {
    const { request } = service;
    const made = await calibrated();
    const theCheck = check(made.model.id);
    const result = (position: number, more: object) => ({
      id: randomUUID(),
      checkId: theCheck.id,
      position,
      answer: null,
      widthMm: null,
      takenAt: '2026-11-17T09:01:00.000Z',
      ...more,
    });
    await request.post('/api/checks').send(theCheck).expect(201);
    await request
      .post('/api/check-results')
      .send(result(1, { widthMm: 250 }))
      .expect(201);
    const first = result(0, { answer: 'falls' });
    await request.post('/api/check-results').send(first).expect(201);
    // A second phone at the same check does not know of it: its balloon is the next one.
    const second = result(0, { answer: 'passes' });
    const told = await request.post('/api/check-results').send(second).expect(201);
    expect(told.body.position).toBe(2);
    await request.post('/api/check-results').send(second).expect(200, told.body);
    await request.post('/api/check-results').send(result(2, {})).expect(400);
    await request
      .post('/api/check-results')
      .send(result(2, { answer: 'stops', widthMm: 3 }))
      .expect(400);
    const read = async () => (await request.get(`/api/models/${made.model.id}`)).body.checks[0].results;
    expect((await read()).map((r: { position: number }) => r.position)).toEqual([0, 1, 2]);
    await request.delete(`/api/check-results/${first.id}`).expect(204);
    expect(await read()).toHaveLength(2);
  });
});

describe('sizers', () => {
  it('come with their holes by size, and change whole', async () => {
    const { request } = service;
    const hole = (inches: number) => ({ id: randomUUID(), label: `${inches}`, widthMm: inches * 25.4 });
    const sizer = { id: randomUUID(), name: 'Plate', holes: [hole(10), hole(9), hole(9.5)] };
    const { body } = await request.post('/api/sizers').send(sizer).expect(201);
    expect(promised<SizerRecord>('createSizer', body).holes.map(({ label }) => label)).toEqual(['9', '9.5', '10']);
    const changed = await request
      .patch(`/api/sizers/${sizer.id}`)
      .send({ holes: [hole(4)] })
      .expect(200);
    expect(changed.body).toMatchObject({ name: 'Plate', holes: [{ label: '4' }] });
    const twice = { id: randomUUID(), name: 'Twice', holes: [hole(4), hole(4)] };
    const refused = await request.post('/api/sizers').send(twice).expect(400);
    expect(refused.body.fields[0].path).toBe('holes.1.widthMm');
    await request.delete(`/api/sizers/${sizer.id}`).expect(204);
    expect((await request.get('/api/sizers')).body).toEqual([]);
  });
});

describe('a repeated create', () => {
  it('changes nothing the second time, also when both come at once', async () => {
    const { request } = service;
    const made = model();
    const answers = await Promise.all([1, 2, 3].map(() => request.post('/api/models').send(made)));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 200, 201]);
    const again = await request
      .post('/api/models')
      .send({ ...made, line: 'Something else' })
      .expect(200);
    expect(again.body.line).toBe('Fennimore Standard');
    const all = (await request.get('/api/models')).body as ShelfModel[];
    expect(all.filter(({ id }) => id === made.id)).toHaveLength(1);
  });

  it('of a calibration or a check answers with what it holds by then', async () => {
    const made = await calibrated();
    const { body } = await service.request.post('/api/calibrations').send(made.calibration).expect(200);
    expect(body.readings).toEqual([made.reading]);
  });
});

describe('another studio', () => {
  it('can neither see, change, delete nor hang anything on what is not its own', async () => {
    const stranger = await strangerOf(service);
    const made = await calibrated();
    expect((await stranger.get('/api/models')).body).toEqual([]);
    await stranger.get(`/api/models/${made.model.id}`).expect(404);
    await stranger.patch(`/api/models/${made.model.id}`).send({ line: 'Mine' }).expect(404);
    await stranger.delete(`/api/models/${made.model.id}`).expect(204);
    await stranger.post('/api/models').send(made.model).expect(409);
    await stranger.post('/api/readings').send(reading(made.calibration.id)).expect(404);
    const forged = await stranger.post('/api/calibrations').send(calibration(made.model.id, made.pump.id)).expect(404);
    expect(forged.body.fields[0].path).toMatch(/modelId|pumpId/);
    const still = await service.request.get(`/api/models/${made.model.id}`).expect(200);
    expect(still.body).toMatchObject({
      line: 'Fennimore Standard',
      calibrations: [{ readings: [{ id: made.reading.id }] }],
    });
  });
});
