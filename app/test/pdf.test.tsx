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
import { sheetOf, type Sheet } from '@/features/sheet/sheetOf';

import { someRecords } from './studio';

describe('target sheets', () => {
  const font = (name: string) => {
    const bytes = readFileSync(path.join(__dirname, `../../node_modules/@expo-google-fonts/${name}.ttf`));
    return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength) as ArrayBuffer;
  };
  const fonts = {
    title: font('bricolage-grotesque/700Bold/BricolageGrotesque_700Bold'),
    text: font('hanken-grotesk/400Regular/HankenGrotesk_400Regular'),
  };
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
  }, 30_000);

  it('go on to further pages, a sheet never split', async () => {
    const many = Array.from({ length: 7 }, (_, i) => ({ ...sheets[0]!, title: `Line ${i}` }));
    const { text, numpages } = await read(many);
    expect(numpages).toBe(4);
    expect(text.match(/Line \d/g)).toHaveLength(7);
  }, 30_000);
});
