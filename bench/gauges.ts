import { estimateBatch, normalFrom, randomFrom, type HoleSighting } from '@leggero/core';
import { PAPERS, sizerGeometry, tilesOf } from '@leggero/core/template';
import { PDFDocument } from 'pdf-lib';
import type { Page } from 'puppeteer-core';

import { pdfFile } from '../app/src/features/make/pdfFile';
import { openPage } from './browser';
import { median, report } from './report';
import { startWorld } from './world';

const ROUNDS = 15;
const ANSWERS = 1000;
const FRAME_MS = 1000 / 60;

/** Mean and spread of 1,000 answers at five holes. */
export function benchGoNoGo(): void {
  const random = randomFrom(3);
  const holes = [222.25, 225.4, 228.6, 231.8, 234.95];
  const answers = Array.from({ length: ANSWERS }, (): HoleSighting => {
    const width = 228 + 4 * normalFrom(random);
    return { stopsMm: holes.findLast((hole) => hole < width), passesMm: holes.find((hole) => hole >= width) };
  });
  const times = Array.from({ length: ROUNDS }, () => timed(() => void estimateBatch(answers)));
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
export async function benchTiles(): Promise<void> {
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
  for (let round = 0; round < ROUNDS; round += 1) {
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

interface Redrawn extends Window {
  leggeroRedraws: number[];
}

/**
 * From the input of a key in the thickness field to the box computed and drawn anew (layout done), on a desktop
 * profile.
 */
export async function benchBox({ chromium }: { chromium: string }): Promise<void> {
  const world = await startWorld();
  await new Promise((resolve) => setTimeout(resolve, 5000));
  const page = await openPage({ chromium, address: `${world.url}/gauges/make?form=box`, width: 1280, height: 800 });
  try {
    const redraws = await redrawsOf(page);
    const line = { yardstick: 'one frame', theirs: FRAME_MS, unit: 'ms', most: 1 };
    report({
      what: `the box at another thickness, from the key to the drawing (median of ${redraws.length})`,
      ours: median(redraws),
      ...line,
    });
    report({ what: 'the slowest of them', ours: Math.max(...redraws), ...line });
  } finally {
    await page.browser().close();
    await world.end();
  }
}

async function redrawsOf(page: Page): Promise<number[]> {
  const field = await page.waitForSelector('::-p-aria([name="Thickness, mm"][role="textbox"])');
  if (!field) throw new Error('no field for the thickness');
  await field.click({ count: 3 });
  await page.evaluate(() => {
    const noted = window as unknown as Redrawn;
    noted.leggeroRedraws = [];
    let pressed = 0;
    window.addEventListener('input', () => (pressed = performance.now()), { capture: true });
    new MutationObserver((changes) => {
      if (pressed === 0 || !changes.some(({ target }) => (target as Element).closest?.('svg'))) return;
      // Asking for a measure makes the browser lay out what changed.
      document.body.getBoundingClientRect();
      noted.leggeroRedraws.push(performance.now() - pressed);
      pressed = 0;
    }).observe(document.body, { subtree: true, childList: true, attributes: true });
  });
  for (let i = 0; i < ROUNDS; i += 1) {
    // Over what is there: each key is a new thickness.
    await page.keyboard.press(`Digit${4 + (i % 6)}` as 'Digit4');
    await new Promise((resolve) => setTimeout(resolve, 300));
    await field.evaluate((node) => (node as HTMLInputElement).select());
  }
  return page.evaluate(() => (window as unknown as Redrawn).leggeroRedraws);
}

function timed(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

async function timedAsync(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}
