import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';

import type { DesignOf, PieceRecord } from '@leggero/contract';
import type { CDPSession, Page } from 'puppeteer-core';

import { DESKTOP, type Bench } from './bench';
import { median } from './figure';
import { drawnInSpace, longTasks, watchLongTasks } from './page';
import { ROOT } from './size';

const FRAMES = 60;
const LAYERS = 100;
const IN_LAYER = 6;
const inch = (inches: number) => inches * 25.4;

/** A drawing of 600 balloons turned by hand: the script of each frame; and the code that draws it. */
export async function measureSpace(bench: Bench): Promise<void> {
  const { url } = await bench.freshWorld();
  const pieces = (await (await fetch(`${url}/api/pieces`)).json()) as PieceRecord[];
  const column = pieces.find(({ design }) => design.form === 'column')!;
  const design = {
    ...(column.design as DesignOf<'column'>),
    ...{ count: IN_LAYER, open: 'height', layers: LAYERS, widthMm: inch(5), topper: null, painted: [] },
    pattern: { kind: 'rings', order: [0, 1], to: 'right', every: 1 },
  };
  const response = await fetch(`${url}/api/pieces/${column.id}`, {
    method: 'PATCH',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ design }),
  });
  if (!response.ok) throw new Error(`no column: ${await response.text()}`);
  const page = await bench.open(`${url}/builds/${column.id}`, DESKTOP);
  const picture = await drawnInSpace(page, '[aria-label^="A column of 100"]');
  await watchLongTasks(page);
  // What is measured is turning, not opening: the page is let come to rest.
  await longTasks(page);
  const { x, y, width, height } = (await picture.boundingBox())!;
  const since = await page.evaluate(() => performance.now());
  const frames = await scriptOfFrames(page, { x: x + width / 4, y: y + height / 2 }, bench.rounds(FRAMES));
  const line = { unit: 'ms', most: 1 } as const;
  bench.report({
    what: `${LAYERS * IN_LAYER} balloons turned by hand, script a frame (median of ${frames.length})`,
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
