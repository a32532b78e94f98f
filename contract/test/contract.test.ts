import { CHANGES, MAKES, coreReading, modelLabel, sizerCreateSchema } from '../src';
import { readCalibrationFile } from '../src/calibrationFile';
import { pathOf } from '../src/route';
import { ROUTES } from '../src/routes';
import { importProgressSchema } from '../src/readingFile';

const id = '3f2b7c1e-8d4a-4c0e-9b1a-2f6d5e4c3b2a';
const reading = {
  id,
  calibrationId: id,
  dose: 3,
  widthMm: 101.6,
  heightMm: null,
  sdMm: null,
  shape: null,
  outcome: 'ok',
  takenAt: '2026-11-16T17:00:00.000Z',
};

describe('the route table', () => {
  it('gives every route an address under /api that no other has', () => {
    const addresses = Object.values(ROUTES).map(({ method, path }) => `${method} ${path}`);
    expect(new Set(addresses).size).toBe(addresses.length);
    expect(addresses.every((address) => address.includes(' /api/'))).toBe(true);
  });

  it('parses what it writes, and deletes without a body', () => {
    // What they do is said by their address alone.
    const silent = new Set(['signOut', 'resetMember', 'undoDeed']);
    for (const [name, route] of Object.entries(ROUTES)) {
      const writes = (route.method === 'POST' || route.method === 'PATCH') && !silent.has(name);
      expect(['request' in route, name]).toEqual([writes, name]);
    }
  });

  it('fills an id into a path so that it stays one segment', () => {
    expect(pathOf(ROUTES.readModel, 'a/../b')).toBe('/api/models/a%2F..%2Fb');
  });
});

describe('records', () => {
  it('want a width unless the balloon burst', () => {
    expect(MAKES.reading.safeParse(reading).success).toBe(true);
    expect(MAKES.reading.safeParse({ ...reading, widthMm: null }).success).toBe(false);
    expect(MAKES.reading.safeParse({ ...reading, widthMm: null, outcome: 'burst' }).success).toBe(true);
  });

  it('want both holes of a bracket, and no width beside them', () => {
    const bracket = { ...reading, widthMm: null, way: 'bracket', stopsMm: 114.3, passesMm: 127 };
    expect(MAKES.reading.safeParse(bracket).success).toBe(true);
    expect(MAKES.reading.safeParse({ ...bracket, passesMm: null }).error?.issues[0]?.path).toEqual(['passesMm']);
    expect(MAKES.reading.safeParse({ ...bracket, widthMm: 120 }).error?.issues[0]?.path).toEqual(['widthMm']);
    const core = coreReading(MAKES.reading.parse(bracket));
    expect(core).toMatchObject({
      way: 'bracket',
      bracket: { stopsMm: 114.3, passesMm: 127 },
      widthMm: undefined,
    });
  });

  it('written before there were ways of measuring are taken as by tape', () => {
    expect(MAKES.reading.parse(reading)).toMatchObject({ way: 'tape', stopsMm: null, nozzle: null });
  });

  it.each([{ workroomTempC: -300 }, { workroomTempC: 71 }, { workroomAltitudeM: 20_000 }])(
    'refuse a workroom of %j',
    (patch) => {
      expect(CHANGES.studio.safeParse(patch).success).toBe(false);
    },
  );

  it('tell models apart by what is on the bag, whatever the case', () => {
    const model = {
      line: ' Tarn Satin',
      nominalMm: 279.4,
      kind: 'round',
      finish: 'pearl',
      colourName: 'Tide blue',
    } as const;
    expect(modelLabel(model)).toBe('tarn satin 11 round pearl tide blue');
    expect(modelLabel({ ...model, nominalMm: 127 })).not.toBe(modelLabel(model));
  });

  it('want one answer for a balloon, not two and not none', () => {
    const result = { id, checkId: id, position: 0, answer: 'stops', widthMm: null, takenAt: reading.takenAt };
    expect(MAKES.checkResult.safeParse(result).success).toBe(true);
    expect(MAKES.checkResult.safeParse({ ...result, widthMm: 250 }).success).toBe(false);
    expect(MAKES.checkResult.safeParse({ ...result, answer: null }).success).toBe(false);
  });

  it('name the hole that is there twice', () => {
    const hole = { id, label: '9', widthMm: 228.6 };
    const parsed = sizerCreateSchema.safeParse({
      id,
      name: 'Plate',
      holes: [hole, { ...hole, label: 'nine' }],
    });
    expect(parsed.error?.issues.map(({ path }) => path.join('.'))).toEqual(['holes.1.widthMm']);
  });
});

describe('a calibration file', () => {
  const file = {
    format: 'leggero-calibration',
    version: 1,
    model: {
      id,
      line: 'Tarn Satin',
      kind: 'round',
      nominalMm: 279.4,
      finish: 'pearl',
      colourName: 'tide blue',
      colourHex: '#3d6fa6',
    },
    pump: { id, name: 'Barge', kind: 'hand', doseVolumeL: null },
    calibration: {
      id,
      modelId: id,
      pumpId: id,
      preStretched: false,
      roundedOff: false,
      startedAt: reading.takenAt,
      readings: [reading],
    },
  };
  const read = (value: unknown) => readCalibrationFile(typeof value === 'string' ? value : JSON.stringify(value));

  it('is read, also with a byte-order mark', () => {
    expect(read(file).ok).toBe(true);
    expect(read(`\uFEFF${JSON.stringify(file)}`).ok).toBe(true);
  });

  it.each([
    ['{', { code: 'not-json' }],
    ['[1, 2]', { code: 'other-format' }],
    [{ ...file, format: 'something' }, { code: 'other-format' }],
    [
      { format: 'leggero-calibration', version: 7, secrets: true },
      { code: 'newer-version', version: 7 },
    ],
    [
      { ...file, pump: { ...file.pump, kind: 'foot' } },
      { code: 'bad-field', path: 'pump.kind' },
    ],
    [
      { ...file, calibration: undefined },
      { code: 'bad-field', path: 'calibration' },
    ],
  ])('that is %j is refused by name', (value, problem) => {
    expect(read(value)).toMatchObject({ ok: false, problem });
  });
});

describe('the stream of an import', () => {
  it('tells phases, and at the end a report or a failure', () => {
    expect(importProgressSchema.safeParse({ phase: 'reading', done: 5, of: 10 }).success).toBe(true);
    expect(importProgressSchema.safeParse({ failed: 'Nothing was imported.' }).success).toBe(true);
    expect(importProgressSchema.safeParse({ phase: 'dreaming', done: 5, of: 10 }).success).toBe(false);
  });
});
