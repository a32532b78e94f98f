import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';

import type { DesignOf, PieceDesign, PieceRecord } from '@leggero/contract';
import type { CDPSession, Page } from 'puppeteer-core';

import { DESKTOP, type Bench } from './bench';
import { median } from './figure';
import { drawnInSpace, longTasks, watchLongTasks } from './page';
import { ROOT } from './size';

const FRAMES = 60;
const LAYERS = 100;
/** In a smoke: what is large takes long to come to rest, and nobody reads its figures. */
const FEW_LAYERS = 8;
const IN_LAYER = 6;
const inch = (inches: number) => inches * 25.4;

/** A drawing of 600 balloons turned by hand: the script of each frame; and the code that draws it. */
export async function measureSpace(bench: Bench): Promise<void> {
  const layers = bench.smoke ? FEW_LAYERS : LAYERS;
  const { url } = await bench.freshWorld();
  const pieces = (await (await fetch(`${url}/api/pieces`)).json()) as PieceRecord[];
  const column = pieces.find(({ design }) => design.form === 'column')!;
  const redraw = async (design: PieceDesign) => {
    const response = await fetch(`${url}/api/pieces/${column.id}`, {
      method: 'PATCH',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ design }),
    });
    if (!response.ok) throw new Error(`no ${design.form}: ${await response.text()}`);
  };
  await redraw({
    ...(column.design as DesignOf<'column'>),
    ...{ count: IN_LAYER, open: 'height', layers, widthMm: inch(5), topper: null, painted: [] },
    pattern: { kind: 'rings', order: [0, 1], to: 'right', every: 1 },
  });
  const page = await bench.open(`${url}/builds/${column.id}`, DESKTOP);
  const picture = await drawnInSpace(page, `[aria-label^="A column of ${layers}"]`);
  await watchLongTasks(page);
  await atRest(page);
  const { x, y, width, height } = (await picture.boundingBox())!;
  const since = await page.evaluate(() => performance.now());
  const frames = await scriptOfFrames(page, { x: x + width / 4, y: y + height / 2 }, bench.rounds(FRAMES));
  const line = { unit: 'ms', most: 1 } as const;
  bench.report({
    what: `${layers * IN_LAYER} balloons turned by hand, script a frame (median of ${frames.length})`,
    ours: median(frames),
    yardstick: 'the script a frame may take',
    theirs: 4,
    ...line,
  });
  bench.report({
    what: 'the longest task of the page meanwhile (0: none over 50 ms)',
    ours: await longTasks(page, since),
    yardstick: 'the time nothing may block the page',
    theirs: 50,
    ...line,
  });
  bench.report({
    what: 'the code that draws in space, gzip',
    ours: stageKb(),
    yardstick: 'as much as it may be',
    theirs: 170,
    unit: 'KB',
    most: 1,
  });
  await page.close();
  const { colours } = column.design as DesignOf<'column'>;
  await redraw({ ...ARCH, colours });
  for (const form of bench.smoke ? TURNED.slice(-1) : TURNED) {
    const { id } = form === 'arch' ? column : pieces.find(({ design }) => design.form === form)!;
    await measureTurning(bench, `${url}/builds/${id}`, form);
  }
  await redraw({ ...PLINTH, colours });
  await measureTurning(bench, `${url}/builds/${column.id}`, 'plinth');
}

/** Others that are turned as they are in the demo; the arch in the column's place. */
const TURNED = ['arch', 'hoop', 'rope', 'bow'] as const;
const RINGS: DesignOf<'column'>['pattern'] = { kind: 'rings', order: [0], to: 'right', every: 1 };
/** Over a wide gate, of small balloons: 400 of them. */
const ARCH = {
  ...{ form: 'arch', count: 4, shape: 'ellipse', open: 'layers', layers: 1, widthMm: inch(5) },
  ...{ spanMm: inch(160), highMm: inch(100), standMm: 0, pattern: RINGS, painted: [] },
} satisfies Omit<DesignOf<'arch'>, 'colours'>;
const PLINTH = {
  ...{ form: 'plinth', count: 4, clusters: 12, widthMm: inch(9), smallMm: inch(4), weightKg: 5, standing: [] },
  ...{ wind: null, board: null, pattern: RINGS, painted: [] },
} satisfies Omit<DesignOf<'plinth'>, 'colours'>;

/** Another drawing turned by hand, which is to go as a column does. */
async function measureTurning(bench: Bench, url: string, form: PieceDesign['form']): Promise<void> {
  const page = await bench.open(url, DESKTOP);
  const picture = await drawnInSpace(page, `[aria-label^="A ${form}"], [aria-label^="An ${form}"]`);
  await watchLongTasks(page);
  await atRest(page);
  const { x, y, width, height } = (await picture.boundingBox())!;
  const frames = await scriptOfFrames(page, { x: x + width / 4, y: y + height / 2 }, bench.rounds(FRAMES));
  await page.close();
  bench.report({
    what: `a drawing of ${form === 'arch' ? 'an' : 'a'} ${form} turned by hand, script a frame (median of ${frames.length})`,
    ours: median(frames),
    yardstick: 'the script a frame may take',
    theirs: 4,
    ...{ unit: 'ms', most: 1 },
  });
}

/** What is measured is turning, not opening: nothing loads any more, and no worker builds the piece again and again. */
async function atRest(page: Page): Promise<void> {
  await page.waitForFunction(() => document.querySelector('[role="progressbar"]') === null, { timeout: 120_000 });
  await longTasks(page);
}

/** What the page's script takes from one move of a hand to the frame that shows it, ms. */
async function scriptOfFrames(page: Page, { x, y }: { x: number; y: number }, frames: number): Promise<number[]> {
  const session = await page.createCDPSession();
  await session.send('Performance.enable');
  await page.mouse.move(x, y);
  await page.mouse.down();
  // The first moves make of a press a drag.
  for (let i = 1; i <= 5; i += 1) await page.mouse.move(x + 2 * i, y);
  const spent: number[] = [];
  for (let i = 0; i < frames; i += 1) {
    const before = await scriptMs(session);
    await page.mouse.move(x + 10 + 2 * i, y + (i % 8));
    await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))));
    spent.push((await scriptMs(session)) - before);
  }
  await page.mouse.up();
  return spent;
}

async function scriptMs(session: CDPSession): Promise<number> {
  const { metrics } = await session.send('Performance.getMetrics');
  return 1000 * metrics.find(({ name }) => name === 'ScriptDuration')!.value;
}

/** The file of the built app that draws in space. */
function stageKb(): number {
  const folder = path.join(ROOT, 'app/dist/_expo/static/js/web');
  const stage = readdirSync(folder).find((name) => name.startsWith('stage-'))!;
  return gzipSync(readFileSync(path.join(folder, stage))).length / 1000;
}
