import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Readable } from 'node:stream';

import mysql, { type RowDataPacket } from 'mysql2/promise';
import type { Page } from 'puppeteer-core';

import { longTasks, openPage, watchLongTasks } from './browser';
import { report } from './report';
import { startWorld } from './world';

const LINES = 100_000;
/** A large studio's readings: so many balloons, each with as many readings as remain. */
const BALLOONS = 200;
const DEMO_BALLOONS = 8;

/**
 * A file of 100,000 readings imported from the page, against MariaDB's own bulk load of the same rows into the same
 * table.
 */
export async function benchFiles({ chromium }: { chromium: string }): Promise<void> {
  const world = await startWorld();
  const folder = mkdtempSync(path.join(tmpdir(), 'leggero-bench-'));
  const page = await openPage({ chromium, address: `${world.url}/shelf/files`, width: 1280, height: 800 });
  try {
    const file = path.join(folder, 'readings.csv');
    writeFileSync(file, csv());
    await give(page, file);
    await page.waitForSelector('::-p-aria([name="Import 100000 readings"])', { timeout: 120_000 });
    await watchLongTasks(page);
    const start = performance.now();
    await page.click('::-p-aria([name="Import 100000 readings"])');
    await page.waitForSelector('::-p-text(100000 readings imported)', { timeout: 300_000 });
    const ours = performance.now() - start;
    // The shelf beside it grows by all of them.
    await page.waitForSelector(`::-p-text(${BALLOONS + DEMO_BALLOONS} balloons)`, { timeout: 60_000 });
    const longest = await longTasks(page);
    const theirs = await bulkLoad(world.databaseUrl);
    report({
      what: `a CSV of ${LINES} lines, from the tap to its last reading`,
      ours,
      yardstick: 'LOAD DATA LOCAL INFILE of the same rows into the same table',
      theirs,
      unit: 'ms',
      most: 6,
    });
    report({
      what: 'longest task of the page meanwhile',
      ours: longest,
      yardstick: 'what a page may take at once',
      theirs: 50,
      unit: 'ms',
      most: 1,
    });
  } finally {
    await page.browser().close();
    await world.end();
    rmSync(folder, { recursive: true, force: true });
  }
}

function csv(): string {
  const lines = ['line,nominal (in),colour,inflator,dose (strokes),width (in),height (in),felt'];
  for (let i = 0; i < LINES; i += 1) {
    const dose = 1 + ((i / BALLOONS) % 8);
    const width = 4 + 0.75 * (dose - 1);
    lines.push(
      `Bulk Line,11,colour ${i % BALLOONS},Barge floor ` +
        `pump,${dose.toFixed(3)},${width.toFixed(3)},${(1.01 * width).toFixed(3)},ok`,
    );
  }
  return lines.join('\n');
}

async function give(page: Page, file: string): Promise<void> {
  const [chooser] = await Promise.all([page.waitForFileChooser(), page.click('::-p-aria([name="Choose a CSV file"])')]);
  await chooser.accept([file]);
}

/** The rows that were imported, under new ids, loaded by the database itself. */
async function bulkLoad(uri: string): Promise<number> {
  const connection = await mysql.createConnection({ uri, timezone: 'Z' });
  try {
    const columns =
      'studio_id, calibration_id, dose, width_mm, way, stops_mm, passes_mm, nozzle, height_mm, sd_mm, ' +
      'shape, outcome, taken_at';
    const [rows] = await connection.query<RowDataPacket[]>({
      sql: `select ${columns} from readings order by taken_at desc limit ${LINES}`,
      rowsAsArray: true,
      dateStrings: true,
    });
    const text = rows
      .map((row) =>
        [randomUUID(), ...(row as unknown[])].map((cell) => (cell === null ? '\\N' : String(cell))).join('\t'),
      )
      .join('\n');
    const start = performance.now();
    await connection.query({
      sql: `load data local infile 'rows' into table readings (id, ${columns})`,
      infileStreamFactory: () => Readable.from(packets(Buffer.from(text))),
    });
    return performance.now() - start;
  } finally {
    await connection.end();
  }
}

/** In pieces that one packet holds. */
function* packets(bytes: Buffer): Generator<Buffer> {
  for (let at = 0; at < bytes.length; at += 1 << 20) yield bytes.subarray(at, at + (1 << 20));
}
