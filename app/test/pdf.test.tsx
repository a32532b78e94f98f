/**
 * @jest-environment node
 */
/// <reference types="node" />
import { TRADE } from '@leggero/core';
import { readFileSync } from 'node:fs';
import path from 'node:path';

import parsePdf from 'pdf-parse/lib/pdf-parse.js';

import { knowledgeOf } from '@/views/knowledge';
import { viewModel } from '@/views/modelView';
import { drawSheets } from '@/features/sheet/pdf';
import { drawPaper } from '@/parts/paper/drawPaper';
import { sideBySide, type Paper, type PaperRow, type PaperThing } from '@/parts/paper/paper';
import { sheetOf, type Sheet } from '@/features/sheet/sheetOf';

import { someRecords } from './studio';

const font = (name: string) => {
  const bytes = readFileSync(path.join(__dirname, `../../node_modules/@expo-google-fonts/${name}.ttf`));
  return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength) as ArrayBuffer;
};
const fonts = {
  title: font('bricolage-grotesque/700Bold/BricolageGrotesque_700Bold'),
  text: font('hanken-grotesk/400Regular/HankenGrotesk_400Regular'),
};

describe('target sheets', () => {
  const lengths = {
    unit: 'in',
    stepMm: 3.175,
    text: (mm: number) => `${(mm / 25.4).toFixed(2)} in`,
    bare: (mm: number) => (mm / 25.4).toFixed(2),
    parts: () => ({ sign: '', whole: '', fraction: '' }),
  } as never;
  const { models, pumps, studio, tiers, sizers } = someRecords();
  const knowledge = knowledgeOf(models, pumps);
  const sheets = models.map((model) =>
    sheetOf({
      model,
      view: viewModel({ model, knowledge, tiers, studio }),
      sizers,
      lengths,
      daysStanding: 1,
      trade: TRADE,
    }),
  );
  const read = async (made: readonly Sheet[]) =>
    parsePdf(Buffer.from(await drawSheets({ sheets: made, studio: 'Saltmarsh', paper: 'a4', fonts })));

  it('are drawn as PDF with every tier, width, hole, dose and tape, read back by another library', async () => {
    const { text, numpages } = await read(sheets);
    expect(numpages).toBe(1);
    for (const sheet of sheets) {
      expect(text).toContain(sheet.title);
      for (const row of sheet.rows)
        for (const word of [row.tier, row.width, row.dose, row.tape]) expect(text).toContain(word);
    }
    expect(text).toContain('Saltmarsh');
    expect(text).toContain('not engineering approval');
  });

  it('go on to further pages, a sheet never split', async () => {
    const many = Array.from({ length: 7 }, (_, i) => ({ ...sheets[0]!, title: `Line ${i}` }));
    const { text, numpages } = await read(many);
    expect(numpages).toBe(4);
    expect(text.match(/Line \d/g)).toHaveLength(7);
  });
});

describe('sheets of an event', () => {
  /** One dark pixel. */
  const PNG =
    'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
  const thing = (key: string, wideMm: number, highMm: number): PaperThing => {
    return { key, name: `Piece ${key}`, picture: PNG, wideMm, highMm, footMm: 0 };
  };
  const row = (n: number): PaperRow => ({
    ...{ key: String(n), dots: [{ widthMm: 240, hex: '#3f7a4a' }], mark: `M${n}`, title: `9½ in · Balloon ${n}` },
    ...{
      notes: [`Hole 10, ½ gap · ${n} strokes`, 'a note so long that it has to go on in the next line '.repeat(4)],
      figure: `× ${n}`,
    },
  });
  const read = async (paper: Paper) =>
    parsePdf(Buffer.from(await drawPaper({ paper, on: { name: paper.title, head: 'Saltmarsh', paper: 'a4', fonts } })));

  it('have every line, on as many pages as it takes, each with its number', async () => {
    const rows = Array.from({ length: 40 }, (_, i) => row(i + 1));
    const { text, numpages } = await read({
      title: 'A title that is so long that it cannot stand in one line of so large a type at all',
      subtitle: 'Sat, Dec 5',
      blocks: [
        { kind: 'row', things: [thing('a', 600, 1800), thing('b', 2400, 900)] },
        { kind: 'heading', text: 'Inflate' },
        { kind: 'rows', rows },
        { kind: 'ticks', lines: ['Stand the pole.', 'Weigh it.'] },
        { kind: 'words', look: 'quiet', text: 'Mind the sprinklers.' },
        {
          kind: 'thing',
          thing: thing('c', 500, 500),
          lines: ['1 ft wide'],
          colours: [{ hex: '#3f7a4a', name: 'kelp' }],
        },
      ],
    });
    expect(numpages).toBeGreaterThan(3);
    for (const { mark, figure, title } of rows) for (const word of [mark, figure, title]) expect(text).toContain(word);
    for (const word of [
      'Inflate',
      'Weigh it.',
      'Mind the sprinklers.',
      'Piece c',
      'kelp',
      'Saltmarsh',
      'of so large a type',
    ])
      expect(text).toContain(word);
    // The long note is broken, none of it lost.
    expect(text.match(/a note so long/g)).toHaveLength(160);
  });

  it('put pieces side by side, each on the floor', () => {
    const { wideMm, highMm, lefts } = sideBySide([thing('a', 600, 1800), { ...thing('b', 2400, 900), footMm: 1200 }]);
    expect([wideMm, highMm, lefts]).toEqual([3200, 2100, [0, 800]]);
    expect(sideBySide([]).wideMm).toBe(1);
  });
});
