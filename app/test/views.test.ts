import { layChanges, layWrites, NO_ROWS, writeSchema, type Rows, type Write } from '@leggero/contract';
import fc from 'fast-check';

import { piecesOf, studiesOf, writesOfPeople } from '@/views/checks';
import { eyeChecksOf, rowsOfEyeChecks } from '@/views/eyes';
import { sizersOf, writesOfHoles } from '@/views/gauges';
import { groupsOf } from '@/views/rows';
import { detailOf, shelfOf } from '@/views/shelf';

import { CHECK_ID, feedOf, FRESH_ID, MODEL_ID, PUMP_ID, someRecords } from './studio';

const uuid = (n: number) => `5b8f2c9e-7d4a-4c0e-9b1a-2f6d5e4c${String(n).padStart(4, '0')}`;
const at = (minute: number) => `2026-11-20T10:${String(minute).padStart(2, '0')}:00.000Z`;
const base = layChanges(NO_ROWS, feedOf(someRecords()));
const lay = (rows: Rows, ...writes: Write[]) =>
  layWrites(
    rows,
    writes.map((write) => writeSchema.parse(write)),
  );
const reading = (n: number, calibrationId: string, minute: number): Write => ({
  put: 'reading',
  row: {
    id: uuid(n),
    calibrationId,
    dose: 2,
    widthMm: 150,
    heightMm: null,
    sdMm: null,
    shape: null,
    outcome: 'ok',
    takenAt: at(minute),
  },
});
const calibration = (n: number, modelId: string, minute: number): Write => ({
  put: 'calibration',
  row: {
    id: uuid(n),
    modelId,
    pumpId: PUMP_ID,
    preStretched: false,
    roundedOff: false,
    startedAt: at(minute),
  },
});

describe('rows dressed for pages', () => {
  it('say again what the records said', () => {
    const records = someRecords();
    expect(detailOf(base, MODEL_ID)).toEqual({ ...records.models[0], uses: 1 });
    expect(detailOf(base, uuid(1))).toBeUndefined();
    expect(shelfOf(base).map(({ id, uses }) => [id, uses])).toEqual([
      [MODEL_ID, 1],
      [FRESH_ID, 0],
    ]);
    expect(sizersOf(base)).toEqual(records.sizers);
  });

  it('put readings in the order taken and calibrations newest first, whatever the order they came in', () => {
    const rows = lay(
      base,
      calibration(1, FRESH_ID, 1),
      calibration(2, FRESH_ID, 2),
      reading(11, uuid(1), 9),
      reading(12, uuid(1), 8),
    );
    const { calibrations } = detailOf(rows, FRESH_ID)!;
    expect(calibrations.map(({ id, readings }) => [id, readings.map((each) => each.id)])).toEqual([
      [uuid(2), []],
      [uuid(1), [uuid(12), uuid(11)]],
    ]);
  });

  it('show of a balloon with much the newest on the shelf, and all on its own page', () => {
    const many = [...Array(30).keys()].map((n) => reading(100 + n, uuid(1), n));
    const rows = lay(base, ...[1, 2, 3, 4, 5, 6].map((n) => calibration(n, FRESH_ID, n)), calibration(7, FRESH_ID, 0));
    const full = lay(rows, ...many.map((write) => write));
    const shelf = shelfOf(full).find(({ id }) => id === FRESH_ID)!;
    expect(shelf.calibrations.map(({ id }) => id)).toEqual([6, 5, 4, 3].map(uuid));
    expect(detailOf(full, FRESH_ID)!.calibrations).toHaveLength(7);
    const recent = shelfOf(lay(base, calibration(1, FRESH_ID, 1), ...many)).find(({ id }) => id === FRESH_ID)!;
    expect(recent.calibrations[0]!.readings.map(({ id }) => id)).toEqual(
      [...Array(24).keys()].map((n) => uuid(106 + n)),
    );
  });

  it('keep what did not change the very same', () => {
    const before = shelfOf(base);
    const tapped = lay(base, {
      put: 'checkResult',
      row: { id: uuid(20), checkId: CHECK_ID, position: 2, answer: 'stops', widthMm: null, takenAt: at(0) },
    });
    // A tap in a check is nothing to the shelf, nor to the readings of its balloon.
    expect(shelfOf(tapped)).toBe(before);
    const [was, is] = [detailOf(base, MODEL_ID)!, detailOf(tapped, MODEL_ID)!];
    expect(is.checks[0]!.results.map(({ position }) => position)).toEqual([0, 1, 2]);
    expect(is.calibrations).toBe(was.calibrations);
    const read = lay(base, reading(21, someRecords().models[0]!.calibrations[0]!.id, 50));
    const after = shelfOf(read);
    expect(after.find(({ id }) => id === FRESH_ID)).toBe(before.find(({ id }) => id === FRESH_ID));
    expect(after.find(({ id }) => id === MODEL_ID)!.calibrations[0]!.readings).toHaveLength(8);
  });

  it('are grouped by what changed as they are grouped anew', () => {
    const calibrations = [1, 2, 3].map((n) => calibration(n, FRESH_ID, n));
    const step = fc.record({
      n: fc.nat(8),
      parent: fc.integer({ min: 1, max: 3 }),
      minute: fc.nat(59),
      gone: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(fc.array(step, { maxLength: 4 }), { maxLength: 12 }), (steps) => {
        const adapting = groupsOf('reading', 'calibrationId');
        let rows = lay(base, ...calibrations);
        adapting(rows.reading);
        for (const some of steps) {
          rows = lay(
            rows,
            ...some.map(({ n, parent, minute, gone }): Write =>
              gone ? { remove: 'reading', id: uuid(n + 50) } : reading(n + 50, uuid(parent), minute),
            ),
          );
          const [adapted, anew] = [adapting(rows.reading), groupsOf('reading', 'calibrationId')(new Map(rows.reading))];
          for (const n of [1, 2, 3]) expect(adapted.of(uuid(n))).toEqual(anew.of(uuid(n)));
        }
      }),
      { numRuns: 60, endOnFailure: true },
    );
  });

  it('give a study its people by their places, a piece its checks, a session its balloons', () => {
    const study = { id: uuid(30), subject: 'The 9 hole', balloons: 2, repeats: 2, startedAt: at(0) };
    let next = 40;
    const rows = lay(
      base,
      { put: 'study', row: study },
      ...writesOfPeople(study.id, ['Pell', 'Jory'], () => uuid(next++)),
    );
    expect(studiesOf(rows)).toMatchObject([{ subject: 'The 9 hole', people: ['Pell', 'Jory'], widths: [] }]);
    const session = {
      id: uuid(60),
      mode: 'one' as const,
      personId: uuid(61),
      secondPersonId: null,
      modelId: MODEL_ID,
      targetMm: 254,
      size: 2,
      startedAt: at(0),
      demo: false,
      balloons: [0, 1].map((position) => ({
        id: uuid(62 + position),
        eyeCheckId: uuid(60),
        position,
        widthMm: null,
        filledAt: at(position),
      })),
    };
    expect(eyeChecksOf(rowsOfEyeChecks([session]))).toEqual([session]);
    expect(piecesOf(base)).toEqual([]);
  });
});

describe('the holes of a sizer', () => {
  const [plate] = someRecords().sizers;
  const labelled = ({ id, label, widthMm }: { id: string; label: string; widthMm: number }) => ({ id, label, widthMm });
  const before = plate!.holes.map(labelled);

  it('are made those that are wanted, and keep what was measured of them', () => {
    const measured = lay(base, {
      put: 'holeMeasurement',
      row: { id: uuid(1), holeId: before[0]!.id, acrossMm: 226, downMm: null, way: 'caliper', takenAt: at(0) },
    });
    const wanted = [
      { ...before[0]!, label: 'nine' },
      { id: uuid(2), label: '12', widthMm: 304.8 },
    ];
    const after = lay(measured, ...writesOfHoles(plate!.id, { before, wanted }));
    expect(sizersOf(after)[0]!.holes.map(({ label, measurements }) => [label, measurements.length])).toEqual([
      ['nine', 1],
      ['12', 0],
    ]);
  });

  it('trade widths without ever being two of one width', () => {
    const [nine, ten, eleven] = before;
    const wanted = [
      { ...nine!, widthMm: ten!.widthMm },
      { ...ten!, widthMm: eleven!.widthMm },
      { ...eleven!, widthMm: nine!.widthMm },
    ];
    let rows = base;
    for (const write of writesOfHoles(plate!.id, { before, wanted })) {
      rows = lay(rows, write);
      const widths = [...rows.hole.values()].map(({ widthMm }) => widthMm);
      expect(new Set(widths).size).toBe(widths.length);
    }
    expect(sizersOf(rows)[0]!.holes.map(({ label }) => label)).toEqual(['11', '9', '10']);
  });
});
