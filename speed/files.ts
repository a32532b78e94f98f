import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Readable } from 'node:stream';

import mysql, { type RowDataPacket } from 'mysql2/promise';
import type { Page } from 'puppeteer-core';

import { DESKTOP, type Bench } from './bench';
import { timedAsync } from './figure';
import { longTasks, watchLongTasks } from './page';

const LINES = 100_000;
/** A large studio's readings: so many balloons, each with as many readings as remain. */
const BALLOONS = 200;

/**
 * A file of 100,000 readings imported from the page, against MariaDB's own bulk load of the same rows into the same
 * table.
 */
export async function measureFiles(bench: Bench): Promise<void> {
  const { url, databaseUrl } = await bench.freshWorld();
  const lines = bench.smoke ? 500 : LINES;
  const before = ((await (await fetch(`${url}/api/models`)).json()) as unknown[]).length;
  const folder = mkdtempSync(path.join(tmpdir(), 'leggero-bench-'));
  try {
    const page = await bench.open(`${url}/shelf/files`, DESKTOP);
    const file = path.join(folder, 'readings.csv');
    writeFileSync(file, csv(lines));
    await give(page, file);
    await page.waitForSelector(`::-p-aria([name="Import ${lines} readings"])`);
    await watchLongTasks(page);
    const ours = await timedAsync(async () => {
      await page.click(`::-p-aria([name="Import ${lines} readings"])`);
      await page.waitForSelector(`::-p-text(${lines} readings imported)`, { timeout: 300_000 });
    });
    // The shelf beside it grows by all of them.
    await page.waitForSelector(`::-p-text(${before + BALLOONS} balloons)`);
    const longest = await longTasks(page);
    bench.report({
      what: `a CSV of ${lines} lines, from the tap to its last reading`,
      ours,
      yardstick: 'LOAD DATA LOCAL INFILE of the same rows into the same table',
      theirs: await bulkLoad(databaseUrl, lines),
      unit: 'ms',
      most: 6,
    });
    bench.report({
      what: 'longest task of the page meanwhile (0: none over 50 ms)',
      ours: longest,
      yardstick: 'what a page may take at once',
      theirs: 50,
      unit: 'ms',
      most: 1,
    });
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

function csv(count: number): string {
  const lines = ['line,nominal (in),colour,inflator,dose (strokes),width (in),height (in),felt'];
  for (let i = 0; i < count; i += 1) {
    const dose = 1 + ((i / BALLOONS) % 8);
    const width = 4 + 0.75 * (dose - 1);
    const lengths = [dose, width, 1.01 * width].map((figure) => figure.toFixed(3)).join(',');
    lines.push(`Bulk Line,11,colour ${i % BALLOONS},Barge floor pump,${lengths},ok`);
  }
  return lines.join('\n');
}

async function give(page: Page, file: string): Promise<void> {
  const [chooser] = await Promise.all([page.waitForFileChooser(), page.click('::-p-aria([name="Choose a CSV file"])')]);
  await chooser.accept([file]);
}

/** The rows that were imported, under new ids, loaded by the database itself. */
async function bulkLoad(uri: string, lines: number): Promise<number> {
  const connection = await mysql.createConnection({ uri, timezone: 'Z' });
  try {
    const columns =
      'studio_id, calibration_id, dose, width_mm, way, stops_mm, passes_mm, nozzle, height_mm, sd_mm, ' +
      'shape, outcome, taken_at';
    const [rows] = await connection.query<RowDataPacket[]>({
      sql: `select ${columns} from readings order by taken_at desc limit ${lines}`,
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
