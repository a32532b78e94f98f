import { modelLabel } from '@leggero/contract';
import { type ImportReport } from '@leggero/contract/readingFile';

import type { MySqlTable } from 'drizzle-orm/mysql-core';

import { untilUncrossed } from '../db/again';
import type { Scope } from '../db/records';
import { TABLES } from '../records/tables';
import { inWriting, type Writing } from '../records/writing';
import { planImport, type ImportPlan } from './plan';
import { sampleOf, type FileToRead } from './read';
import { readApart } from './readApart';

type OnProgress = (phase: 'reading' | 'writing', done: number, of: number) => void;

interface ImportOptions extends FileToRead {
  /** Whether to write, or only to look. */
  write: boolean;
  now: Date;
  onProgress?: OnProgress;
}

/** Rows written at once. */
const BATCH = 1000;

/** Reads a file of readings and, when asked and all of it can be used, writes it: all or nothing. */
export async function importReadings(
  scope: Scope,
  { bytes, encoding, write, now, onProgress = () => undefined }: ImportOptions,
): Promise<ImportReport> {
  const { count, lines, problems, problemCount, askEncoding } = await readApart({ bytes, encoding }, (done, of) =>
    onProgress('reading', done, of),
  );
  const plan = await planImport(scope, problemCount > 0 ? [] : lines, now);
  const written = write && problemCount === 0;
  if (written)
    await untilUncrossed(() =>
      inWriting(scope, (writing) => writePlan(writing, plan, (done, of) => onProgress('writing', done, of))),
    );
  return {
    lines: count,
    added: plan.readings.length,
    known: plan.known,
    newModels: plan.models.map(modelLabel),
    newPumps: plan.pumps.map(({ name }) => name),
    newCalibrations: plan.calibrations.length,
    problems,
    problemCount,
    askEncoding,
    sample: sampleOf(lines),
    written,
  };
}

async function writePlan(
  writing: Writing,
  plan: ImportPlan,
  onProgress: (done: number, of: number) => void,
): Promise<void> {
  for (const [noun, rows] of [
    ['model', plan.models],
    ['pump', plan.pumps],
    ['calibration', plan.calibrations],
    ['reading', plan.readings],
  ] as const) {
    for (let i = 0; i < rows.length; i += BATCH) {
      const batch = rows.slice(i, i + BATCH);
      await writing.database.insert(TABLES[noun] as MySqlTable).values(batch as never);
      writing.touch(
        noun,
        batch.map(({ id }) => id),
      );
      for (const row of batch) writing.trail.made(noun, row);
      if (noun === 'reading') onProgress(i + batch.length, rows.length);
    }
  }
}
