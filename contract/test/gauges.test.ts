import {
  MAKES,
  coreCheckResult,
  eyeBalloonCount,
  holeAt,
  NOUNS,
  pinSchema,
  sizerCreateSchema,
  sizerPatchSchema,
  studyCells,
  studyCreateSchema,
  type HoleMeasurementRecord,
  type StudyRecord,
} from '../src';

const id = '3f2b7c1e-8d4a-4c0e-9b1a-2f6d5e4c3b2a';
const other = '3f2b7c1e-8d4a-4c0e-9b1a-2f6d5e4c3b2b';
const at = '2026-11-20T10:00:00.000Z';
/** The paths that a schema refuses a value at. */
const refusedAt = (
  schema: { safeParse: (value: unknown) => { error?: { issues: { path: PropertyKey[] }[] } } },
  value: unknown,
) => schema.safeParse(value).error?.issues.map(({ path }) => path.join('.')) ?? [];

describe('a sizer', () => {
  const hole = (label: string, widthMm: number) => ({ id, label, widthMm });

  it('belongs to the studio unless it says whose it is', () => {
    expect(sizerCreateSchema.parse({ id, name: 'Plate', holes: [] }).keeper).toBe('');
    expect(sizerPatchSchema.parse({ keeper: ' Jory ' })).toEqual({ keeper: 'Jory' });
  });

  it('refuses a hole that is there twice, also in a change', () => {
    const holes = [hole('9', 228.6), hole('nine', 228.6)];
    expect(refusedAt(sizerCreateSchema, { id, name: 'Plate', holes })).toEqual(['holes.1.widthMm']);
    expect(refusedAt(sizerPatchSchema, { holes })).toEqual(['holes.1.widthMm']);
  });

  it('is measured hole by hole: a metre is the most', () => {
    const measurement = { id, holeId: other, acrossMm: 226, downMm: null, way: 'caliper', takenAt: at };
    expect(refusedAt(NOUNS.holeMeasurement.row, measurement)).toEqual([]);
    expect(refusedAt(NOUNS.holeMeasurement.row, { ...measurement, acrossMm: 1001 })).toEqual(['acrossMm']);
    expect(refusedAt(NOUNS.holeMeasurement.row, { ...measurement, downMm: 0 })).toEqual(['downMm']);
    expect(refusedAt(NOUNS.holeMeasurement.row, { ...measurement, way: 'guess' })).toEqual(['way']);
  });

  it('has each hole as it was on a day: a moment counts by its date', () => {
    const taken = (acrossMm: number, takenAt: string): HoleMeasurementRecord => ({
      id,
      holeId: id,
      acrossMm,
      downMm: null,
      way: 'tape',
      takenAt,
    });
    const worn = {
      widthMm: 228.6,
      measurements: [taken(228, '2026-01-01T00:00:00.000Z'), taken(230, '2026-01-11T00:00:00.000Z')],
    };
    expect(holeAt(worn, { at: '2026-01-06T00:00:00.000Z' }).widthMm).toBeCloseTo(229, 9);
    expect(holeAt(worn).widthMm).toBe(230);
    expect(holeAt(worn, { at: '2025-01-01T00:00:00.000Z' }).widthMm).toBe(228);
  });
});

describe('a check', () => {
  const check = { id, modelId: other, tierName: 'Classic', targetMm: 254, toleranceMm: 6.35, size: 12, startedAt: at };
  const result = { id, checkId: other, position: 0, answer: null, widthMm: null, takenAt: at };

  it('from before there were lots, pairs and holes is still one', () => {
    expect(MAKES.check.parse(check)).toMatchObject({
      lotSize: null,
      acceptMost: null,
      pairs: false,
      holeId: null,
      holeMm: null,
    });
    expect(MAKES.checkResult.parse({ ...result, answer: 'passes' })).toMatchObject({ stopsMm: null, passesMm: null });
  });

  it('takes exactly one of an answer, a width and two holes', () => {
    expect(refusedAt(MAKES.checkResult, result)).toEqual(['answer']);
    expect(refusedAt(MAKES.checkResult, { ...result, widthMm: 250, stopsMm: 240 })).toEqual(['answer']);
    expect(refusedAt(MAKES.checkResult, { ...result, stopsMm: 240 })).toEqual([]);
    expect(refusedAt(MAKES.checkResult, { ...result, stopsMm: 240, passesMm: 230 })).toEqual(['passesMm']);
  });

  it('gives the core what it can judge', () => {
    const of = (more: object) => coreCheckResult(MAKES.checkResult.parse({ ...result, ...more }));
    expect(of({ answer: 'stops' })).toEqual({ kind: 'answer', answer: 'stops' });
    expect(of({ widthMm: 250 })).toEqual({ kind: 'measured', widthMm: 250 });
    expect(of({ passesMm: 254 })).toEqual({ kind: 'between', stopsMm: undefined, passesMm: 254 });
  });
});

describe('an eye check', () => {
  const check = {
    id,
    mode: 'one',
    personId: id,
    secondPersonId: null,
    modelId: other,
    targetMm: 254,
    size: 12,
    startedAt: at,
  };

  it('is of one, of two others, or of pairs', () => {
    expect(refusedAt(MAKES.eyeCheck, check)).toEqual([]);
    expect(refusedAt(MAKES.eyeCheck, { ...check, size: 1 })).toEqual(['size']);
    expect(refusedAt(MAKES.eyeCheck, { ...check, mode: 'two' })).toEqual(['secondPersonId']);
    expect(refusedAt(MAKES.eyeCheck, { ...check, secondPersonId: other })).toEqual(['secondPersonId']);
    expect(refusedAt(MAKES.eyeCheck, { ...check, mode: 'two', secondPersonId: other })).toEqual([]);
    expect(refusedAt(MAKES.eyeCheck, { ...check, mode: 'pairs', size: 7 })).toEqual(['size']);
  });

  it('has as many balloons as all fill together', () => {
    expect([
      eyeBalloonCount({ mode: 'one', size: 12 }),
      eyeBalloonCount({ mode: 'two', size: 12 }),
      eyeBalloonCount({ mode: 'pairs', size: 12 }),
    ]).toEqual([12, 24, 12]);
  });
});

describe('people', () => {
  it('are told apart without their PIN, which has four characters or more', () => {
    expect(Object.keys(NOUNS.person.row.shape)).not.toContain('pin');
    expect(pinSchema.safeParse('123').success).toBe(false);
    expect(pinSchema.safeParse('1234').success).toBe(true);
  });
});

describe('a study', () => {
  const create = { id, subject: 'The 9 hole', people: ['Maren', 'Jory'], balloons: 2, repeats: 2, startedAt: at };

  it('names each person once, two or more', () => {
    expect(refusedAt(studyCreateSchema, create)).toEqual([]);
    expect(refusedAt(studyCreateSchema, { ...create, people: ['Maren', 'MAREN'] })).toEqual(['people']);
    expect(refusedAt(studyCreateSchema, { ...create, people: ['Maren'] })).toEqual(['people']);
  });

  it('lays its widths out by balloon, person and time, with a gap for each that is missing', () => {
    const width = (balloon: number, person: number, repeat: number, widthMm: number) => ({
      id,
      studyId: id,
      balloon,
      person,
      repeat,
      widthMm,
      takenAt: at,
    });
    const study: StudyRecord = {
      ...create,
      demo: false,
      widths: [width(0, 1, 0, 231), width(1, 0, 1, 235), width(5, 0, 0, 1)],
    };
    expect(studyCells(study)).toEqual([
      [
        [null, null],
        [231, null],
      ],
      [
        [null, 235],
        [null, null],
      ],
    ]);
  });
});
