import { randomUUID } from 'node:crypto';

import type { ModelDetail, ShelfModel } from '@leggero/contract';
import type { CalibrationFile } from '@leggero/contract/calibrationFile';
import type { ImportReport } from '@leggero/contract/readingFile';
import Papa from 'papaparse';

import { linesOfImport, calibration, model, promised, pump, reading, serviceForTests, strangerOf } from './service';

const service = serviceForTests();

/** The lines of the answer to a file that is looked at, or written. */
const linesOf = (text: string, { write = false, request = service.request } = {}) =>
  linesOfImport(request, write ? '/api/readings.csv' : '/api/readings.csv/look', text);

/** The report at the end. */
async function send(...args: Parameters<typeof linesOf>): Promise<ImportReport> {
  const last = (await linesOf(...args)).at(-1);
  if (!last || !('report' in last)) throw new Error(`no report: ${JSON.stringify(last)}`);
  return last.report;
}

const HEADER = 'line,nominal (in),colour,dose (strokes),width (in),felt';
const file = (...lines: string[]) => [HEADER, ...lines].join('\r\n');
const problemsOf = async (text: string) =>
  (await send(text, { write: true })).problems.map(({ line, column, reason }) => [line, column, reason] as const);
const shelf = async () => (await service.request.get('/api/models')).body as ShelfModel[];
const readingCount = async () =>
  (await shelf()).flatMap(({ calibrations }) => calibrations).flatMap(({ readings }) => readings).length;

describe('a file of readings', () => {
  it('is looked at first: counts, what it would make, the first lines as understood, and nothing is written', async () => {
    const report = await send(file('Tarn Satin,11,tide blue,2,6 1/2,ok', 'Tarn Satin,11,tide blue,4,8.25,hard'));
    expect(report).toMatchObject({
      lines: 2,
      added: 2,
      known: 0,
      newCalibrations: 1,
      problemCount: 0,
      written: false,
    });
    expect(report.newModels).toEqual(['tarn satin 11 round matte tide blue']);
    expect(report.sample[0]).toMatchObject({ line: 2, model: 'Tarn Satin 11', dose: 2, widthMm: 165.1 });
    expect(await shelf()).toEqual([]);
  });

  it('is imported whole, and a second time adds nothing', async () => {
    const text = file(
      'Tarn Satin,11,tide blue,2,6.5,ok',
      'Tarn Satin,11,tide blue,2,6.5,ok',
      'Tarn Satin,11,tide blue,9,,burst',
    );
    expect(await send(text, { write: true })).toMatchObject({ added: 3, written: true });
    expect(await send(text, { write: true })).toMatchObject({ added: 0, known: 3 });
    const [only] = await shelf();
    expect(only!.calibrations[0]!.readings.map(({ dose, widthMm, outcome }) => [dose, widthMm, outcome])).toEqual([
      [2, 165.1, 'ok'],
      [2, 165.1, 'ok'],
      [9, null, 'burst'],
    ]);
  });

  it('names every bad line with its number, column and reason, and imports none of the others', async () => {
    const before = await readingCount();
    const problems = await problemsOf(
      file(
        'Tarn Satin,11,tide blue,3,7,ok',
        'Tarn Satin,11,tide blue,-3,7,ok',
        '"Tarn\nSatin",11,tide blue,3,70,ok',
        'Tarn Satin,11,tide blue,3,wide,ok',
        ',11,tide blue,3,7,ok',
        'Tarn Satin,11,tide blue,3,7,great',
        'Tarn Satin,11,tide blue,3,,ok',
      ),
    );
    // The quoted line break of line 4 makes the lines after it one later, as in an editor.
    expect(problems.map(([line, column]) => [line, column])).toEqual([
      [3, 'dose'],
      [4, 'width'],
      [6, 'width'],
      [7, 'line'],
      [8, 'felt'],
      [9, 'width'],
    ]);
    expect(problems[1]![2]).toMatch('cannot be that wide');
    expect(await readingCount()).toBe(before);
  });

  it.each([
    ['nothing at all', '', 0, 'empty'],
    ['a wrong unit', 'line,nominal (in),dose (strokes),width (litres)\nA,11,1,5', 1, 'use in, cm, mm'],
    ['a length without a unit', 'line,nominal (in),dose (strokes),width\nA,11,1,5', 1, 'unit of “width” is missing'],
    [
      'a dose in something else',
      'line,nominal (in),dose (puffs),width (in)\nA,11,1,5',
      1,
      'dose is in strokes or in s',
    ],
    ['missing columns', 'line,dose (strokes)\nA,1', 1, 'nominal (in)” is missing'],
    ['inches read as millimetres', 'line,nominal (mm),dose (strokes),width (mm)\nA,11,1,5', 2, 'check the unit'],
    [
      'a bracket upside down',
      'line,nominal (in),dose (strokes),stops at (in),passes (in)\nA,11,4,9.5,9',
      2,
      'the other way round',
    ],
    ['one hole of two', 'line,nominal (in),dose (strokes),stops at (in),passes (in)\nA,11,4,9,', 2, 'Both holes'],
    ['strokes and seconds', 'line,nominal (in),dose (strokes),dose (s),width (in)\nA,11,4,2,9', 2, 'not both'],
    [
      'a moment that is none',
      'line,nominal (in),dose (strokes),width (in),taken at (UTC)\nA,11,4,9,yesterday',
      2,
      'no moment',
    ],
    [
      'a moment in a year that no record is from',
      'line,nominal (in),dose (strokes),width (in),taken at (UTC)\nA,11,4,9,+275760-09-13T00:00:00.000Z',
      2,
      'no moment',
    ],
    [
      'a balloon that has no number',
      'line,nominal (in),dose (strokes),width (in),balloon\nA,11,4,9,red',
      2,
      'whole number',
    ],
    ['a dose that would be kept as 0', 'line,nominal (in),dose (strokes),width (in)\nA,11,0.0004,9', 2, 'above 0'],
  ])('with %s is refused in plain words', async (_, text, line, reason) => {
    const problems = await problemsOf(text);
    expect(problems[0]![0]).toBe(line);
    expect(problems.some(([, , each]) => each.includes(reason))).toBe(true);
  });

  it('may come from a spreadsheet: byte-order mark, semicolons, decimal commas, brackets, seconds and nozzles', async () => {
    const text =
      '\uFEFFLine;Nominal (cm);Dose (s);Nozzle;Width (cm);Stops at (cm);Passes ' +
      '(cm);Balloon\nKetteridge;15,24;1,2;left;12,7;;;3\nKetteridge;15,24;1,4;right;;12,7;13,97;\n';
    expect(await send(text, { write: true })).toMatchObject({
      added: 2,
      newPumps: ['Two-nozzle inflator'],
      written: true,
    });
    const found = (await shelf()).find(({ line }) => line === 'Ketteridge')!;
    expect(found.nominalMm).toBeCloseTo(152.4, 6);
    expect(
      found.calibrations[0]!.readings.map(({ nozzle, balloon, widthMm, stopsMm, passesMm, way }) => [
        nozzle,
        balloon,
        widthMm,
        stopsMm,
        passesMm,
        way,
      ]),
    ).toEqual([
      ['left', 3, 127, null, null, 'tape'],
      ['right', null, null, 127, 139.7, 'bracket'],
    ]);
  });

  it('goes out so that another studio reads the same readings in', async () => {
    const { text } = await service.request
      .get('/api/readings.csv')
      .expect(200)
      .expect('Content-Type', /text\/csv/);
    const rows = Papa.parse<Record<string, string>>(text, { header: true }).data;
    expect(rows).toHaveLength(await readingCount());
    const stranger = await strangerOf(service);
    // Ids are kept, and belong to the first studio here: as from elsewhere, without them.
    const anonymous = Papa.unparse(rows.map(({ reading: _r, calibration: _c, ...rest }) => rest));
    const report = await send(anonymous, { write: true, request: stranger });
    expect(report).toMatchObject({ added: rows.length, written: true });
    const plain = (models: ShelfModel[]) =>
      models.flatMap((each) =>
        each.calibrations.flatMap(({ readings }) =>
          readings.map(({ dose, widthMm, stopsMm, outcome, nozzle, balloon }) => [
            balloon,
            each.line,
            each.nominalMm,
            dose,
            widthMm,
            stopsMm,
            outcome,
            nozzle,
          ]),
        ),
      );
    expect(plain((await stranger.get('/api/models')).body as ShelfModel[])).toEqual(plain(await shelf()));
    expect(await send(text, { write: true })).toMatchObject({ added: 0, known: rows.length });
  });

  it('never carries a text on as a formula, and reads its own mark back', async () => {
    const formula = '=HYPERLINK("http://x";"y")';
    await service.request
      .post('/api/models')
      .send(model({ line: formula, colourName: '@sum' }))
      .expect(201);
    const made = (await shelf()).find(({ line }) => line === formula)!;
    const [tool] = (await service.request.get('/api/pumps')).body as { id: string }[];
    const started = calibration(made.id, tool!.id);
    await service.request.post('/api/calibrations').send(started).expect(201);
    await service.request.post('/api/readings').send(reading(started.id)).expect(201);
    const { text } = await service.request.get(`/api/readings.csv?model=${made.id}`).expect(200);
    const [, cells] = Papa.parse<string[]>(text).data;
    expect(cells!.filter((cell) => /^[=+\-@]/.test(cell))).toEqual([]);
    expect(await send(text, { write: true })).toMatchObject({ known: 1, newModels: [] });
  });

  it('is refused when it is no text, or asks for a balloon that is none', async () => {
    await service.request.post('/api/readings.csv').set('Content-Type', 'application/json').send('{}').expect(415);
    await service.request.get('/api/readings.csv?model=x').expect(404);
  });

  it('of 20,000 lines tells how far it is; the shelf stays small', async () => {
    const lines = Array.from(
      { length: 20_000 },
      (_, i) => `Long Line,11,c${i % 20},${1 + (i % 8)},${(4 + (i % 8) * 0.7).toFixed(3)},ok`,
    );
    const steps = await linesOf(file(...lines), { write: true });
    const phases = steps.flatMap((step) => ('phase' in step ? [step.phase] : []));
    expect([phases.includes('reading'), phases.includes('writing')]).toEqual([true, true]);
    expect(steps.at(-1)).toMatchObject({ report: { added: 20_000, written: true } });
    const long = (await shelf()).filter(({ line }) => line === 'Long Line');
    expect(long).toHaveLength(20);
    expect(Math.max(...long.map(({ calibrations }) => calibrations[0]!.readings.length))).toBe(24);
    const detail = (await service.request.get(`/api/models/${long[0]!.id}`)).body as ModelDetail;
    expect(detail.calibrations[0]!.readings).toHaveLength(1000);
  });
});

describe('a whole calibration as a file', () => {
  const made = { model: model({ line: 'Saved Line' }), pump: pump({ name: 'Saved pump', kind: 'timed' }) };
  const started = calibration(made.model.id, made.pump.id);
  const readings = [1, 2, 3].map((dose) => reading(started.id, { dose, widthMm: 100 + 40 * dose }));
  const whole = {
    format: 'leggero-calibration',
    version: 1,
    ...made,
    calibration: { ...started, readings },
  } as unknown as CalibrationFile;

  it('is taken in with its balloon and inflator, and a second time changes nothing', async () => {
    const first = await service.request.post('/api/calibrations/import').send(whole).expect(201);
    expect(promised<{ readings: unknown[] }>('importCalibration', first.body).readings).toHaveLength(3);
    await service.request.post('/api/calibrations/import').send(whole).expect(200);
    const found = (await service.request.get(`/api/models/${made.model.id}`)).body as ModelDetail;
    expect(found.calibrations).toHaveLength(1);
  });

  it('joins the balloon and the inflator that bear the same name', async () => {
    const modelId = randomUUID();
    const pumpId = randomUUID();
    const other = { ...calibration(modelId, pumpId) };
    await service.request
      .post('/api/calibrations/import')
      .send({
        ...whole,
        model: { ...made.model, id: modelId },
        pump: { ...made.pump, id: pumpId },
        calibration: { ...other, readings: [] },
      })
      .expect(201);
    const found = (await service.request.get(`/api/models/${made.model.id}`)).body as ModelDetail;
    expect(found.calibrations).toHaveLength(2);
    await service.request.get(`/api/models/${modelId}`).expect(404);
  });

  it('with an impossible reading is refused by its place, and nothing of it is kept', async () => {
    const bad = randomUUID();
    const spoiled = {
      ...whole,
      model: { ...made.model, id: bad, line: 'Spoiled' },
      calibration: { ...calibration(bad, made.pump.id), readings: [reading(started.id, { widthMm: 4000 })] },
    };
    const { body } = await service.request.post('/api/calibrations/import').send(spoiled).expect(400);
    expect(body.fields[0].path).toBe('calibration.readings.0.widthMm');
    expect((await shelf()).some(({ line }) => line === 'Spoiled')).toBe(false);
    const half = reading(started.id, { widthMm: null, stopsMm: 228.6, passesMm: null });
    const halved = { ...spoiled, calibration: { ...spoiled.calibration, readings: [half] } };
    const told = await service.request.post('/api/calibrations/import').send(halved).expect(400);
    expect(told.body.fields[0].path).toBe('calibration.readings.0.passesMm');
    await service.request
      .post('/api/calibrations/import')
      .send({ ...whole, version: 2 })
      .expect(400);
  });
});
