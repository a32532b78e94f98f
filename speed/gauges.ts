import { estimateBatch, normalFrom, randomFrom, type HoleSighting } from '@leggero/core';
import { PAPERS, sizerGeometry, tilesOf } from '@leggero/core/template';
import { PDFDocument } from 'pdf-lib';

import { pdfFile } from '../app/src/features/make/pdfFile';
import { DESKTOP, type Bench } from './bench';
import { median, timed, timedAsync } from './figure';
import { redrawsOf } from './page';

const ROUNDS = 15;
const ANSWERS = 1000;
const FRAME_MS = 1000 / 60;

/** Mean and spread of 1,000 answers at five holes. */
export function measureGoNoGo({ report, rounds }: Bench): void {
  const random = randomFrom(3);
  const holes = [222.25, 225.4, 228.6, 231.8, 234.95];
  const answers = Array.from({ length: ANSWERS }, (): HoleSighting => {
    const width = 228 + 4 * normalFrom(random);
    return { stopsMm: holes.findLast((hole) => hole < width), passesMm: holes.find((hole) => hole >= width) };
  });
  const times = Array.from({ length: rounds(ROUNDS) }, () => timed(() => void estimateBatch(answers)));
  report({
    what: 'mean and spread of 1,000 answers at five holes',
    ours: median(times),
    yardstick: 'the time it may take',
    theirs: 10,
    unit: 'ms',
    most: 1,
  });
}

/** A PDF of 12 tiles, against 12 empty pages written by the same library. */
export async function measureTiles({ report, rounds }: Bench): Promise<void> {
  const sizes = [6, 7, 8, 9, 10, 11, 12].map((inch) => ({ label: String(inch), widthMm: inch * 25.4 }));
  const geometry = sizerGeometry({
    form: 'plate',
    sizes,
    sheetWidthMm: 700,
    sheetHeightMm: 720,
    kerfMm: 0,
    bridgeMm: 8,
    thicknessMm: 3,
    pitchMm: 18,
  });
  if (!geometry.ok) throw new Error(geometry.problem.code);
  const { sheets } = geometry.value;
  const pages = tilesOf(sheets, PAPERS.a4).length;
  const ours: number[] = [];
  const theirs: number[] = [];
  for (let round = 0; round < rounds(ROUNDS); round += 1) {
    ours.push(await timedAsync(() => pdfFile({ sheets, paper: 'a4', title: 'Sizer plate' })));
    theirs.push(await timedAsync(() => emptyPages(pages)));
  }
  report({
    what: `a PDF of ${pages} tiles`,
    ours: median(ours),
    yardstick: `3 times ${pages} empty pages of the same library (${median(theirs).toFixed(1)} ms), and 200 ms`,
    theirs: 3 * median(theirs) + 200,
    unit: 'ms',
    most: 1,
  });
}

async function emptyPages(count: number): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  for (let i = 0; i < count; i += 1) document.addPage([595.28, 841.89]);
  return document.save();
}

/**
 * From the input of a key in the thickness field to the box computed and drawn anew (layout done), on a desktop
 * profile.
 */
export async function measureBox(bench: Bench): Promise<void> {
  const { url } = await bench.world();
  const page = await bench.open(`${url}/gauges/make?form=box`, DESKTOP);
  const field = await page.waitForSelector('::-p-aria([name="Thickness, mm"][role="textbox"])');
  if (!field) throw new Error('no field for the thickness');
  await field.focus();
  const redraws = await redrawsOf(page, {
    on: 'input',
    drawing: 'svg',
    rounds: bench.rounds(ROUNDS),
    pauseMs: 300,
    async act(round) {
      // Over what is there: each key is a new thickness.
      await field.evaluate((node) => (node as HTMLInputElement).select());
      await page.keyboard.press(`Digit${4 + (round % 6)}` as 'Digit4');
      await page.waitForFunction(() => true, { polling: 'raf' });
    },
  });
  const line = { yardstick: 'one frame', theirs: FRAME_MS, unit: 'ms', most: 1 };
  bench.report({
    what: `the box at another thickness, from the key to the drawing (median of ${redraws.length})`,
    ours: median(redraws),
    ...line,
  });
  bench.report({ what: 'the slowest of them', ours: Math.max(...redraws), ...line });
}
