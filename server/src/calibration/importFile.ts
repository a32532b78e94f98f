import { coreReading, modelLabel, type CalibrationFile, type CalibrationRecord } from '@leggero/contract';
import { readingProblem } from '@leggero/core';
import { and, eq } from 'drizzle-orm';

import { insertOnce, type Scope } from '../db/records';
import { calibrations, models, pumps, readings } from '../db/tables';
import { HttpProblem } from '../http/problem';
import { READING_REFUSED } from '../http/words';
import { createCalibration } from './store';

/**
 * Takes in a whole calibration. The balloon and the inflator are those of the studio that bear the same id or the
 * same description; what is missing is made. All or nothing; what is there already stays.
 */
export async function importCalibration(
  scope: Scope,
  file: CalibrationFile,
): Promise<{ row: CalibrationRecord; created: boolean }> {
  refuseImpossible(file);
  return scope.database.transaction(async (tx) => {
    const within: Scope = { ...scope, database: tx as unknown as Scope['database'] };
    const modelId = await modelOf(within, file.model);
    const pumpId = await pumpOf(within, file.pump);
    const { readings: taken, ...calibration } = file.calibration;
    const create = { ...calibration, modelId, pumpId };
    const { created } = await insertOnce(within, calibrations, {
      ...create,
      startedAt: new Date(create.startedAt),
    });
    for (const reading of taken) {
      await insertOnce(within, readings, {
        ...reading,
        calibrationId: calibration.id,
        // The holes are another studio's, or were; the widths are what counts.
        holeId: null,
        stopsHoleId: null,
        takenAt: new Date(reading.takenAt),
      });
    }
    return { row: (await createCalibration(within, create)).row, created };
  });
}

function refuseImpossible({ model: { nominalMm }, calibration }: CalibrationFile): void {
  calibration.readings.forEach((record, i) => {
    const path = `calibration.readings.${i}.`;
    const bad = readingProblem({ reading: coreReading(record), nominalMm, path });
    if (!bad) return;
    throw HttpProblem.unusable({ path: bad.field ?? path, message: READING_REFUSED[bad.code] });
  });
}

async function modelOf(scope: Scope, model: CalibrationFile['model']): Promise<string> {
  const own = await scope.database.select().from(models).where(eq(models.studioId, scope.studioId));
  const same = own.find(({ id }) => id === model.id) ?? own.find((row) => modelLabel(row) === modelLabel(model));
  if (same) return same.id;
  // A pair's two balloons are another studio's: it comes as a balloon of its own name.
  return (await insertOnce(scope, models, { ...model, outerId: null, innerId: null })).row.id;
}

async function pumpOf(scope: Scope, pump: CalibrationFile['pump']): Promise<string> {
  const own = await scope.database
    .select()
    .from(pumps)
    .where(and(eq(pumps.studioId, scope.studioId), eq(pumps.kind, pump.kind)));
  const same = own.find(({ id }) => id === pump.id) ?? own.find(({ name }) => name === pump.name);
  if (same) return same.id;
  return (await insertOnce(scope, pumps, pump)).row.id;
}
