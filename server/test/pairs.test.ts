import { randomUUID } from 'node:crypto';

import { MODEL_DEFAULTS, type ModelRecord, type ShelfModel } from '@leggero/contract';
import { READING_FILE_PATHS } from '@leggero/contract/readingFile';

import { calibration, model, promised, pump, reading, serviceForTests, strangerOf } from './service';

const service = serviceForTests();

const inch = (inches: number) => inches * 25.4;

/** Two balloons on the shelf, and what would pair them. */
async function twoBalloons({ outerIn = 6, innerIn = 5, outer = {}, inner = {} } = {}) {
  const { request } = service;
  const outerModel = model({ nominalMm: inch(outerIn), kind: 'linking', ...outer });
  const innerModel = model({ nominalMm: inch(innerIn), ...inner });
  for (const each of [outerModel, innerModel]) await request.post('/api/models').send(each).expect(201);
  const pair = model({
    line: 'Link over standard',
    kind: 'linking',
    nominalMm: inch(outerIn),
    outerId: outerModel.id,
    innerId: innerModel.id,
  });
  return { outer: outerModel, inner: innerModel, pair };
}

describe('a pair on the shelf', () => {
  it('is a model of two others, is calibrated like any, and keeps what it looked like', async () => {
    const { request } = service;
    const { outer, inner, pair } = await twoBalloons();
    await request.post('/api/models').send(pair).expect(201);
    await request.post('/api/models').send(pair).expect(200);
    const thePump = pump();
    await request.post('/api/pumps').send(thePump).expect(201);
    const theCalibration = calibration(pair.id, thePump.id);
    await request.post('/api/calibrations').send(theCalibration).expect(201);
    await request
      .post('/api/readings')
      .send(reading(theCalibration.id, { widthMm: 90 }))
      .expect(201);
    const changed = await request.patch(`/api/models/${pair.id}`).send({ seenHex: '#aa5533' }).expect(200);
    expect(promised<ModelRecord>('changeModel', changed.body)).toMatchObject({
      seenHex: '#aa5533',
      outerId: outer.id,
    });
    const shelf = promised<ShelfModel[]>('listModels', (await request.get('/api/models')).body);
    expect(shelf.find(({ id }) => id === pair.id)).toMatchObject({
      outerId: outer.id,
      innerId: inner.id,
      calibrations: [{ readings: [{ widthMm: 90 }] }],
    });
  });

  it('keeps its two balloons: a change does not swap them', async () => {
    const { request } = service;
    const { pair, inner, outer } = await twoBalloons();
    await request.post('/api/models').send(pair).expect(201);
    await request.patch(`/api/models/${pair.id}`).send({ outerId: inner.id, line: 'Renamed' }).expect(200);
    expect((await request.get(`/api/models/${pair.id}`)).body).toMatchObject({
      line: 'Renamed',
      outerId: outer.id,
    });
  });

  it('goes with either of its balloons', async () => {
    const { request } = service;
    const { pair, inner } = await twoBalloons();
    await request.post('/api/models').send(pair).expect(201);
    await request.delete(`/api/models/${inner.id}`).expect(204);
    await request.get(`/api/models/${pair.id}`).expect(404);
  });

  it('refuses an inner larger than its outer, a half of a pair, a pair of pairs and other kinds, naming the field', async () => {
    const { request } = service;
    const wrong = async (body: object, path: string) => {
      const answer = await request.post('/api/models').send(body).expect(400);
      expect(answer.body.fields).toMatchObject([{ path }]);
    };
    const larger = await twoBalloons({ outerIn: 5, innerIn: 11 });
    await wrong(larger.pair, 'innerId');
    await wrong({ ...larger.pair, innerId: null }, 'innerId');
    const { pair, outer, inner } = await twoBalloons();
    await request.post('/api/models').send(pair).expect(201);
    await wrong({ ...model(), outerId: pair.id, innerId: inner.id }, 'outerId');
    const foil = model({ kind: 'foil' });
    await request.post('/api/models').send(foil).expect(201);
    await wrong({ ...model(), outerId: outer.id, innerId: foil.id }, 'innerId');
    await request
      .post('/api/models')
      .send({ ...model(), outerId: randomUUID(), innerId: inner.id })
      .expect(404);
  });

  it('is made of the studio’s own balloons only', async () => {
    const stranger = await strangerOf(service);
    const { pair } = await twoBalloons();
    await stranger.post('/api/models').send(pair).expect(404);
  });
});

describe('other kinds', () => {
  it('come with what older records lack', async () => {
    const { request } = service;
    const plain = model();
    const { body } = await request.post('/api/models').send(plain).expect(201);
    expect(promised<ModelRecord>('createModel', body)).toMatchObject(MODEL_DEFAULTS);
    const counted = await request.patch(`/api/models/${plain.id}`).send({ stock: 48 }).expect(200);
    expect(counted.body).toMatchObject({ stock: 48, decor: 'none' });
    await request.patch(`/api/models/${plain.id}`).send({ stock: -1 }).expect(400);
  });

  it('read modelling balloons by their length, which others could not have', async () => {
    const { request } = service;
    const long = model({ kind: 'modelling', nominalMm: inch(2), lengthMm: inch(60) });
    await request
      .post('/api/models')
      .send({ ...long, lengthMm: null })
      .expect(400);
    await request.post('/api/models').send(long).expect(201);
    const thePump = pump();
    await request
      .post('/api/pumps')
      .send({ ...thePump, mostKPa: 25 })
      .expect(201);
    const theCalibration = calibration(long.id, thePump.id);
    await request.post('/api/calibrations').send(theCalibration).expect(201);
    const of = (heightMm: number) => reading(theCalibration.id, { widthMm: inch(2), heightMm });
    await request.post('/api/readings').send(of(1200)).expect(201);
    const answer = await request.post('/api/readings').send(of(4000)).expect(400);
    expect(answer.body.fields).toMatchObject([{ path: 'heightMm' }]);
    // A file of widths leaves them out.
    expect((await request.get(READING_FILE_PATHS.write)).text).not.toContain('modelling');
  });
});
