import type { ShelfModel } from '@leggero/contract';
import type { ImportReport } from '@leggero/contract/readingFile';

import { linesOfImport, serviceForTests } from './service';

const service = serviceForTests();

/** Sends a file as a spreadsheet wrote it, and reads the report at the end. */
async function imported(text: string | Buffer): Promise<ImportReport> {
  const last = (await linesOfImport(service.request, '/api/readings.csv', text)).at(-1);
  if (!last || !('report' in last)) throw new Error(`no report: ${JSON.stringify(last)}`);
  return last.report;
}

/** Dose, width and outcome of each reading of a line, as the shelf has them. */
async function readingsOf(line: string) {
  const shelf = (await service.request.get('/api/models')).body as ShelfModel[];
  const found = shelf.filter((model) => model.line === line);
  return found.flatMap(({ calibrations }) =>
    calibrations.flatMap(({ readings }) => readings.map(({ dose, widthMm, outcome }) => [dose, widthMm, outcome])),
  );
}

describe('a file as spreadsheets write them', () => {
  it.each([
    ['with tabs', 'tabs', 'line\tnominal (in)\tdose (strokes)\twidth (in)\ntabs\t11\t4\t8\n'],
    [
      'with semicolons and decimal commas',
      'commas',
      'line;nominal (in);dose (strokes);width (cm)\ncommas;11;4;20,32\n',
    ],
    ['with fractions', 'fractions', 'line,nominal (in),dose (strokes),width (in)\nfractions,11,4,7 2/2\n'],
    ['without a last line end', 'endless', 'line,nominal (in),dose (strokes),width (in)\nendless,11,4,8'],
    [
      'with the line ends of another system',
      'returns',
      'line,nominal (in),dose (strokes),width (in)\r\nreturns,11,4,8\r\n',
    ],
    ['with blank lines between', 'blanks', 'line,nominal (in),dose (strokes),width (in)\n\nblanks,11,4,8\n\n\n'],
    ['with empty columns at the end', 'trailing', 'line,nominal (in),dose (strokes),width (in),,\ntrailing,11,4,8,,\n'],
    ['with columns of its own', 'notes', 'Notes,line,nominal (in),dose (strokes),width (in)\n"a, b",notes,11,4,8\n'],
    [
      'with the columns turned round, in capitals',
      'TURNED',
      'WIDTH (IN),DOSE (STROKES),NOMINAL (IN),LINE\n8,4,11,TURNED\n',
    ],
    [
      'with spaces around every cell',
      'spaces',
      ' line , nominal (in) , dose (strokes) , width (in) \n spaces , 11 , 4 , 8 \n',
    ],
    [
      'with every cell in quotes',
      'quotes',
      '"line","nominal (in)","dose (strokes)","width (in)"\n"quotes","11","4","8"\n',
    ],
    ['with a byte-order mark', 'marked', '\uFEFFline,nominal (in),dose (strokes),width (in)\nmarked,11,4,8\n'],
    ['in millimetres throughout', 'metric', 'line,nominal (mm),dose (strokes),width (mm)\nmetric,279.4,4,203.2\n'],
  ])('%s is read as it was meant', async (_, line, text) => {
    expect(await imported(text)).toMatchObject({ added: 1, problemCount: 0, written: true });
    expect(await readingsOf(line)).toEqual([[4, 203.2, 'ok']]);
  });

  it('keeps quotes, line breaks and separators within a name', async () => {
    const text = 'line,nominal (in),colour,dose (strokes),width (in)\n"Tarn ""Satin"", new",11,"tide\nblue",4,8\n';
    expect(await imported(text)).toMatchObject({ added: 1, problemCount: 0 });
    const shelf = (await service.request.get('/api/models')).body as ShelfModel[];
    const found = shelf.find(({ line }) => line === 'Tarn "Satin", new');
    expect(found?.colourName.replace(/\s+/g, ' ')).toBe('tide blue');
  });

  it('takes off the apostrophe that keeps a spreadsheet from reckoning, and puts it on again', async () => {
    const text = "line,nominal (in),dose (strokes),width (in)\n'=SUM(A1),11,4,8\n";
    expect(await imported(text)).toMatchObject({ added: 1, problemCount: 0 });
    expect(await readingsOf('=SUM(A1)')).toEqual([[4, 203.2, 'ok']]);
    const { text: saved } = await service.request.get('/api/readings.csv').expect(200);
    expect(saved).toContain("'=SUM(A1)");
    expect(saved).not.toMatch(/(^|,)=SUM/m);
  });

  it('writes what it reads: saved and read again, nothing is new', async () => {
    const { text: saved } = await service.request.get('/api/readings.csv').expect(200);
    const before = (await readingsOf('tabs')).length;
    expect(await imported(saved)).toMatchObject({ added: 0, problemCount: 0 });
    expect((await readingsOf('tabs')).length).toBe(before);
  });
});

describe('a file that is none', () => {
  it.each([
    ['a picture', Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13]), 0],
    ['only a header', 'line,nominal (in),dose (strokes),width (in)\n', 0],
    ['a header of other words', 'when,who,what\n1,2,3\n', 1],
    ['a header twice', 'line,nominal (in),dose (strokes),width (in)\nline,nominal (in),dose (strokes),width (in)\n', 2],
    ['a row with a cell too few', 'line,nominal (in),dose (strokes),width (in)\nshort,11,4\n', 2],
  ])('%s is refused with the line to blame, and nothing is written', async (_, text, line) => {
    const before = ((await service.request.get('/api/models')).body as ShelfModel[]).length;
    const report = await imported(text);
    expect(report.written && report.added > 0).toBe(false);
    if (line > 0) expect(report.problems[0]).toMatchObject({ line });
    expect(((await service.request.get('/api/models')).body as ShelfModel[]).length).toBe(before);
  });
});
