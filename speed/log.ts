import { randomUUID } from 'node:crypto';

import type { Changes, ModelRecord, Write } from '@leggero/contract';

import { PHONE, type Bench } from './bench';
import { median } from './figure';
import { longTasks, redrawsOf, touch, watchLongTasks } from './page';
import { sendWrites } from './sendWrite';

/** Widths of one balloon. */
const SIZES = 5000;
const IN_CHECK = 500;
/** Where only whether it runs is asked. */
const FEW = 40;
const DAY_MS = 86_400_000;
const ROUNDS = 8;
const TARGET_MM = 254;

/** The control chart of a balloon with thousands of sizes: drawn anew, and dragged. */
export async function measureLog(bench: Bench): Promise<void> {
  const { url } = await bench.freshWorld();
  const sizes = bench.smoke ? FEW : SIZES;
  const page = await bench.open(await longLog(url, sizes), PHONE);
  const kinds = ['Means of 4', 'Each size'].map((name) => `::-p-aria([name="${name}"][role="radio"])`);
  await page.waitForSelector(kinds[1]!);
  // Means come first, each size after them: of those every other is timed.
  const drawn = await redrawsOf(page, {
    on: 'click',
    drawing: '[role="img"]',
    rounds: 2 * bench.rounds(ROUNDS),
    act: (round) => touch(page, kinds[round % 2]!),
    pauseMs: 600,
  });
  bench.report({
    what: `a control chart of ${sizes} sizes drawn anew (median of ${Math.floor(drawn.length / 2)})`,
    ours: median(drawn.filter((_, round) => round % 2 === 1)),
    yardstick: 'the time it may take',
    theirs: 100,
    ...{ unit: 'ms', most: 1 },
  });
  await watchLongTasks(page);
  const chart = await page.waitForSelector('::-p-aria([name="Drag to see older ones"][role="group"])');
  const { x, y, width, height } = (await chart!.boundingBox())!;
  const middle = { x: x + width / 2, y: y + height / 2 };
  await page.touchscreen.touchStart(middle.x, middle.y);
  for (let by = 0; by < width / 2 - 10; by += 8) await page.touchscreen.touchMove(middle.x + by, middle.y);
  await page.touchscreen.touchEnd();
  bench.report({
    what: `longest task while a control chart of ${sizes} sizes is dragged`,
    ours: await longTasks(page),
    yardstick: 'the longest that blocks nothing',
    theirs: 50,
    ...{ unit: 'ms', most: 1 },
  });
}

/** So many widths of one balloon, check after check; answers the page of its log. */
async function longLog(url: string, sizes: number): Promise<string> {
  const { rows } = (await (await fetch(`${url}/api/changes?since=&nouns=model`)).json()) as Changes;
  const { id: modelId } = (rows.model as ModelRecord[])[3]!;
  const began = Date.now() - (sizes / IN_CHECK + 1) * DAY_MS;
  const each = Math.min(IN_CHECK, sizes);
  for (let from = 0; from < sizes; from += each) {
    const checkId = randomUUID();
    const at = (i: number) => new Date(began + (from / each) * DAY_MS + i * 20_000).toISOString();
    const aim = { tierName: 'Classic', targetMm: TARGET_MM, toleranceMm: 6.35, size: each };
    const results = Array.from({ length: each }, (_, position): Write => {
      // Nothing random: a measure is to be the same each time.
      const widthMm = TARGET_MM + 3 * Math.sin(12.9898 * (from + position)) + 2 * Math.sin(78.233 * (from + position));
      const row = { id: randomUUID(), checkId, position, answer: null, widthMm, takenAt: at(position) };
      return { put: 'checkResult', row };
    });
    await sendWrites(url, [{ put: 'check', row: { id: checkId, modelId, ...aim, startedAt: at(0) } }]);
    for (let i = 0; i < each; i += 100) await sendWrites(url, results.slice(i, i + 100));
  }
  return `${url}/logbook/${modelId}`;
}
