import { randomUUID } from 'node:crypto';

import {
  holeAt,
  studyCells,
  type EyeCheckRecord,
  type ModelDetail,
  type PersonRecord,
  type SizerRecord,
  type StudyRecord,
} from '@leggero/contract';
import { sizingStudy } from '@leggero/core/eye';
import supertest from 'supertest';

import { counters } from '../src/db/tables';
import { createApp } from '../src/http/app';

import {
  calibration,
  check,
  eyeBalloon,
  eyeCheck,
  model,
  promised,
  pump,
  reading,
  serviceForTests,
  strangerOf,
} from './service';

const service = serviceForTests();

const hole = (inches: number) => ({ id: randomUUID(), label: String(inches), widthMm: inches * 25.4 });
const measurement = (holeId: string, more: object = {}) => ({
  id: randomUUID(),
  holeId,
  acrossMm: 226,
  downMm: 228,
  way: 'caliper',
  takenAt: '2026-11-20T10:00:00.000Z',
  ...more,
});
async function sizers(): Promise<SizerRecord[]> {
  return promised<SizerRecord[]>('listSizers', (await service.request.get('/api/sizers')).body);
}

describe('the holes of a sizer', () => {
  const nine = hole(9);
  const ten = hole(10);
  const plate = { id: randomUUID(), name: 'Plate', keeper: 'Jory', holes: [nine, ten] };

  it('keep what was measured of them, once, however often it is sent', async () => {
    await service.request.post('/api/sizers').send(plate).expect(201);
    const first = measurement(nine.id);
    await service.request.post('/api/hole-measurements').send(first).expect(201);
    await service.request.post('/api/hole-measurements').send(first).expect(200);
    const [stored] = await sizers();
    expect(stored).toMatchObject({ keeper: 'Jory', sizings: [] });
    expect(stored!.holes[0]!.measurements).toEqual([first]);
    expect(holeAt(stored!.holes[0]!)).toMatchObject({ widthMm: 227, ovalMm: 2, origin: 'measured' });
    expect(holeAt(stored!.holes[1]!)).toMatchObject({ widthMm: 254, origin: 'rule' });
  });

  it('keep it while holes are added, renamed, and trade their widths', async () => {
    const holes = [{ ...nine, widthMm: 254 }, { ...ten, label: 'ten', widthMm: 228.6 }, hole(11)];
    await service.request.patch(`/api/sizers/${plate.id}`).send({ holes }).expect(200);
    const [stored] = await sizers();
    expect(stored!.holes.map(({ label, widthMm }) => [label, widthMm])).toEqual([
      ['ten', 228.6],
      ['9', 254],
      ['11', 279.4],
    ]);
    expect(stored!.holes[1]!.measurements).toHaveLength(1);
    await service.request
      .patch(`/api/sizers/${plate.id}`)
      .send({ holes: [nine, ten] })
      .expect(200);
    expect((await sizers())[0]!.holes[0]!.measurements).toHaveLength(1);
  });

  it('carry the balloons sized in them', async () => {
    const sizing = {
      id: randomUUID(),
      holeId: nine.id,
      nominalMm: 279.4,
      widthMm: 230,
      takenAt: '2026-11-20T10:05:00.000Z',
    };
    await service.request.post('/api/sizings').send(sizing).expect(201);
    expect((await sizers())[0]!.sizings).toEqual([sizing]);
    await service.request.delete(`/api/sizings/${sizing.id}`).expect(204);
    expect((await sizers())[0]!.sizings).toEqual([]);
  });

  it('refuse what cannot be, beside the field, and what is another studio’s', async () => {
    const bad = await service.request
      .post('/api/hole-measurements')
      .send(measurement(nine.id, { acrossMm: 0 }))
      .expect(400);
    expect(bad.body.fields[0].path).toBe('acrossMm');
    await service.request.post('/api/hole-measurements').send(measurement(randomUUID())).expect(404);
    const stranger = await strangerOf(service);
    await stranger.post('/api/hole-measurements').send(measurement(nine.id)).expect(404);
    await stranger
      .post('/api/sizings')
      .send({ id: randomUUID(), holeId: nine.id, nominalMm: 279.4, widthMm: 230, takenAt: '2026-11-20T10:05:00.000Z' })
      .expect(404);
    const [own] = (await sizers())[0]!.holes[0]!.measurements;
    await stranger.delete(`/api/hole-measurements/${own!.id}`).expect(204);
    expect((await sizers())[0]!.holes[0]!.measurements).toHaveLength(1);
  });

  it('leave readings and results behind when they go', async () => {
    const balloon = model();
    const inflator = pump();
    await service.request.post('/api/models').send(balloon).expect(201);
    await service.request.post('/api/pumps').send(inflator).expect(201);
    const session = calibration(balloon.id, inflator.id);
    await service.request.post('/api/calibrations').send(session).expect(201);
    const through = reading(session.id, { way: 'hole', widthMm: 228.6, holeId: nine.id });
    await service.request.post('/api/readings').send(through).expect(201);
    const batch = check(balloon.id, { holeId: nine.id, holeMm: 228.6, lotSize: 96, acceptMost: 1, pairs: true });
    await service.request.post('/api/checks').send(batch).expect(201);
    const between = {
      id: randomUUID(),
      checkId: batch.id,
      position: 0,
      answer: null,
      widthMm: null,
      stopsHoleId: nine.id,
      passesHoleId: ten.id,
      stopsMm: 227,
      passesMm: 254,
      takenAt: '2026-11-20T10:06:00.000Z',
    };
    await service.request.post('/api/check-results').send(between).expect(201);
    await service.request
      .post('/api/check-results')
      .send({
        ...between,
        id: randomUUID(),
        position: 1,
        stopsMm: null,
        stopsHoleId: null,
        passesMm: null,
        passesHoleId: null,
      })
      .expect(400);
    await service.request
      .post('/api/check-results')
      .send({ ...between, id: randomUUID(), position: 1, stopsMm: 255 })
      .expect(400);
    const read = async () =>
      promised<ModelDetail>('readModel', (await service.request.get(`/api/models/${balloon.id}`)).body);
    expect((await read()).calibrations[0]!.readings[0]).toMatchObject({ holeId: nine.id });
    expect((await read()).checks[0]).toMatchObject({
      lotSize: 96,
      acceptMost: 1,
      pairs: true,
      holeId: nine.id,
      results: [{ stopsHoleId: nine.id }],
    });
    await service.request.delete(`/api/sizers/${plate.id}`).expect(204);
    expect((await read()).calibrations[0]!.readings[0]).toMatchObject({ holeId: null, widthMm: 228.6 });
    expect((await read()).checks[0]).toMatchObject({
      holeId: null,
      holeMm: 228.6,
      results: [{ stopsHoleId: null, stopsMm: 227 }],
    });
    // What waited on a device until the hole was gone is kept all the same.
    await service.request
      .post('/api/readings')
      .send(reading(session.id, { way: 'hole', holeId: nine.id, takenAt: '2026-11-20T11:00:00.000Z' }))
      .expect(201);
  });
});

describe('people and what is private to them', () => {
  const person = (name: string) => ({ id: randomUUID(), name });
  const jory = person('Jory');
  const pell = person('Pell');
  const balloon = model({ colourName: 'roe orange' });
  const session = (more: object = {}) => eyeCheck(jory.id, balloon.id, more);
  let owner: PersonRecord;
  /** A device of its own: its cookie says whose session it has. */
  let device: ReturnType<typeof supertest.agent>;
  const alone = session();

  beforeAll(async () => {
    const app = createApp(service);
    device = supertest.agent(app);
    await device.post('/api/models').send(balloon).expect(201);
    for (const each of [jory, pell]) await device.post('/api/people').send(each).expect(201);
    const everyone = promised<PersonRecord[]>('listPeople', (await device.get('/api/people')).body);
    owner = everyone[0]!;
    expect(everyone.map(({ name, owner: owns }) => [name, owns])).toEqual([
      ['Owner', true],
      ['Jory', false],
      ['Pell', false],
    ]);
  });

  it('a session is filled, then measured, in the order filled', async () => {
    await device.post('/api/eye-checks').send(alone).expect(201);
    const balloons = [eyeBalloon(alone.id, { position: 1 }), eyeBalloon(alone.id)];
    for (const each of balloons) await device.post('/api/eye-balloons').send(each).expect(201);
    await device.patch(`/api/eye-balloons/${balloons[0]!.id}`).send({ widthMm: 251 }).expect(200);
    await device
      .post('/api/eye-balloons')
      .send(eyeBalloon(alone.id, { position: 4 }))
      .expect(400);
    await device.post('/api/session').send({ personId: jory.id }).expect(200);
    const stored = promised<EyeCheckRecord>('readEyeCheck', (await device.get(`/api/eye-checks/${alone.id}`)).body);
    expect(stored.balloons.map(({ position, widthMm }) => [position, widthMm])).toEqual([
      [0, null],
      [1, 251],
    ]);
  });

  it('refuses an eye check with one balloon, of two without a second, in odd pairs', async () => {
    const refused = async (more: object) =>
      (await device.post('/api/eye-checks').send(session(more)).expect(400)).body.fields[0].path as string;
    expect(await refused({ size: 1 })).toBe('size');
    expect(await refused({ mode: 'two' })).toBe('secondPersonId');
    expect(await refused({ mode: 'two', secondPersonId: jory.id })).toBe('secondPersonId');
    expect(await refused({ mode: 'pairs', size: 5 })).toBe('size');
  });

  it('shows a history to its person and the owner, and to nobody else', async () => {
    const history = `/api/people/${jory.id}/eye-checks`;
    const as = async (id: string | null) => {
      if (id === null) await device.delete('/api/session').expect(204);
      else await device.post('/api/session').send({ personId: id }).expect(200);
      return (await device.get(history)).status;
    };
    expect(await as(null)).toBe(403);
    expect(await as(pell.id)).toBe(403);
    await device.get(`/api/eye-checks/${alone.id}`).expect(403);
    await device.delete(`/api/eye-checks/${alone.id}`).expect(403);
    expect(await as(jory.id)).toBe(200);
    expect(await as(owner.id)).toBe(200);
    expect((await device.get('/api/session')).body).toEqual({ personId: owner.id });
  });

  it('shows a session of two to both', async () => {
    const both = session({ mode: 'two', secondPersonId: pell.id });
    await device.post('/api/eye-checks').send(both).expect(201);
    await device.post('/api/session').send({ personId: pell.id }).expect(200);
    await device.get(`/api/eye-checks/${both.id}`).expect(200);
    const own = promised<EyeCheckRecord[]>(
      'listEyeChecks',
      (await device.get(`/api/people/${pell.id}/eye-checks`)).body,
    );
    expect(own.map(({ id }) => id)).toEqual([both.id]);
  });

  it('opens with the PIN once there is one, changes it only for its person or the owner, and never tells it', async () => {
    await device.post(`/api/people/${jory.id}/pin`).send({ pin: '123' }).expect(400);
    // Pell's session is open here.
    await device.post(`/api/people/${jory.id}/pin`).send({ pin: 'tide-4711' }).expect(403);
    await device.post('/api/session').send({ personId: jory.id }).expect(200);
    const kept = await device.post(`/api/people/${jory.id}/pin`).send({ pin: 'tide-4711' }).expect(200);
    expect(promised<PersonRecord>('setPin', kept.body)).toMatchObject({ hasPin: true });
    expect(JSON.stringify((await device.get('/api/people')).body)).not.toMatch(/tide|argon/);
    const wrong = await device.post('/api/session').send({ personId: jory.id, pin: 'tide-4712' }).expect(403);
    expect(wrong.body.fields[0].path).toBe('pin');
    await device.post('/api/session').send({ personId: jory.id }).expect(403);
    await device.post('/api/session').send({ personId: pell.id }).expect(200);
    await device.post(`/api/people/${jory.id}/pin`).send({ pin: null }).expect(403);
    await device.delete(`/api/people/${jory.id}`).expect(403);
    await device.post('/api/session').send({ personId: jory.id, pin: 'tide-4711' }).expect(200);
    await device.get(`/api/people/${jory.id}/eye-checks`).expect(200);
    await device.post(`/api/people/${jory.id}/pin`).send({ pin: null }).expect(200);
  });

  it('takes no session from a cookie of another making', async () => {
    const forged = Buffer.from(JSON.stringify({ personId: owner.id })).toString('base64');
    await service.request.get(`/api/people/${jory.id}/eye-checks`).set('Cookie', `leggero=${forged}`).expect(403);
  });

  it('slows a device that guesses PINs', async () => {
    // Tries are counted over all processes: those before are not meant here.
    await service.database.delete(counters);
    const guesser = supertest(createApp(service));
    await device.post('/api/session').send({ personId: pell.id }).expect(200);
    await device.post(`/api/people/${pell.id}/pin`).send({ pin: 'kelp-99' }).expect(200);
    const statuses: number[] = [];
    for (let i = 0; i < 10; i += 1) {
      statuses.push((await guesser.post('/api/session').send({ personId: pell.id, pin: `no-${i}` })).status);
    }
    expect(statuses.slice(0, 8)).toEqual(Array(8).fill(403));
    expect(statuses.slice(8)).toEqual([429, 429]);
    await service.database.delete(counters);
  });

  it('keeps a studio’s owner, and lets others go with their history', async () => {
    await device.post('/api/session').send({ personId: owner.id }).expect(200);
    await device.delete(`/api/people/${owner.id}`).expect(409);
    await device.delete(`/api/people/${jory.id}`).expect(204);
    await device.get(`/api/eye-checks/${alone.id}`).expect(404);
    const stranger = await strangerOf(service);
    expect((await stranger.get('/api/people')).body).toEqual([]);
    await stranger.post('/api/session').send({ personId: owner.id }).expect(404);
  });
});

describe('studies', () => {
  const study = {
    id: randomUUID(),
    subject: 'The 9 hole',
    people: ['Maren', 'Jory'],
    balloons: 2,
    repeats: 2,
    startedAt: '2026-11-20T13:00:00.000Z',
  };
  const width = (balloon: number, person: number, repeat: number, widthMm: number) => ({
    id: randomUUID(),
    studyId: study.id,
    balloon,
    person,
    repeat,
    widthMm,
    takenAt: '2026-11-20T13:05:00.000Z',
  });
  const read = async () => promised<StudyRecord[]>('listStudies', (await service.request.get('/api/studies')).body);

  it('fill cell by cell; a missing one is named, a full one splits the spread', async () => {
    await service.request.post('/api/studies').send(study).expect(201);
    await service.request.post('/api/studies').send(study).expect(200);
    const widths = [
      width(0, 0, 0, 228),
      width(0, 0, 1, 228.4),
      width(0, 1, 0, 231),
      width(0, 1, 1, 230.8),
      width(1, 0, 0, 235),
      width(1, 0, 1, 235.2),
      width(1, 1, 0, 238.1),
    ];
    for (const each of widths) await service.request.post('/api/study-widths').send(each).expect(201);
    const [partial] = await read();
    expect(partial!.people).toEqual(['Maren', 'Jory']);
    expect(sizingStudy(studyCells(partial!))).toMatchObject({
      ok: false,
      problem: { code: 'missing-cell', field: 'widthsMm.1.1.1' },
    });
    await service.request
      .post('/api/study-widths')
      .send(width(1, 1, 1, 237.9))
      .expect(201);
    expect(sizingStudy(studyCells((await read())[0]!))).toMatchObject({ ok: true, value: { largest: 'people' } });
  });

  it('refuse a place they do not have, a cell twice, one name twice and a study of one', async () => {
    const outside = await service.request
      .post('/api/study-widths')
      .send(width(2, 0, 0, 228))
      .expect(400);
    expect(outside.body.fields[0].path).toBe('balloon');
    await service.request
      .post('/api/study-widths')
      .send(width(0, 0, 0, 228))
      .expect(409);
    const refused = (more: object) =>
      service.request
        .post('/api/studies')
        .send({ ...study, id: randomUUID(), ...more })
        .expect(400);
    expect((await refused({ people: ['Maren', 'maren'] })).body.fields[0].path).toBe('people');
    await refused({ people: ['Maren'] });
    await refused({ repeats: 1 });
  });

  it('stay out of another studio’s reach, and go when they are deleted', async () => {
    const stranger = await strangerOf(service);
    expect((await stranger.get('/api/studies')).body).toEqual([]);
    await stranger
      .post('/api/study-widths')
      .send(width(0, 0, 0, 228))
      .expect(404);
    await stranger.delete(`/api/studies/${study.id}`).expect(204);
    expect(await read()).toHaveLength(1);
    await service.request.delete(`/api/studies/${study.id}`).expect(204);
    expect(await read()).toEqual([]);
  });
});
