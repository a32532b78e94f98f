import { modelLabel, type ImportReport } from '@leggero/contract';

import { untilUncrossed } from '../db/again';
import type { Scope } from '../db/records';
import { calibrations, models, pumps, readings } from '../db/tables';
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
  if (written) await untilUncrossed(() => writePlan(scope, plan, (done, of) => onProgress('writing', done, of)));
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
  { database }: Scope,
  plan: ImportPlan,
  onProgress: (done: number, of: number) => void,
): Promise<void> {
  await database.transaction(async (tx) => {
    for (const [table, rows] of [
      [models, plan.models],
      [pumps, plan.pumps],
      [calibrations, plan.calibrations],
    ] as const) {
      for (let i = 0; i < rows.length; i += BATCH) await tx.insert(table).values(rows.slice(i, i + BATCH) as never);
    }
    for (let i = 0; i < plan.readings.length; i += BATCH) {
      await tx.insert(readings).values(plan.readings.slice(i, i + BATCH));
      onProgress(Math.min(i + BATCH, plan.readings.length), plan.readings.length);
    }
  });
}
