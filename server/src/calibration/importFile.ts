import { coreReading, modelLabel, type CalibrationRecord } from '@leggero/contract';
import type { CalibrationFile } from '@leggero/contract/calibrationFile';
import { readingProblem } from '@leggero/core';
import { eq } from 'drizzle-orm';

import { pumps } from '../db/tables';
import { HttpProblem } from '../http/problem';
import { READING_REFUSED } from '../http/words';
import { makeRow, type Outcome } from '../records/commands';
import type { Asked } from '../records/guard';
import { insertRow, findRow, listRows } from '../records/store';
import { withReadings } from './store';

/**
 * Takes in a whole calibration. The balloon and the inflator are those of the studio that bear the same id or the
 * same description; what is missing is made. All or nothing; what is there already stays.
 */
export async function importCalibration(asked: Asked, file: CalibrationFile): Promise<Outcome<CalibrationRecord>> {
  refuseImpossible(file);
  const modelId = await modelOf(asked, file.model);
  const pumpId = await pumpOf(asked, file.pump);
  const { readings: taken, ...calibration } = file.calibration;
  // Its bags are another studio's, too.
  const { row, created } = await makeRow(asked, 'calibration', { ...calibration, modelId, pumpId, bagId: null });
  for (const reading of taken) {
    // The holes are another studio's, or were; the widths are what counts.
    const own = { ...reading, calibrationId: calibration.id, holeId: null, stopsHoleId: null };
    if (!(await findRow(asked, 'reading', reading.id))) await insertRow(asked, 'reading', own);
  }
  return { row: await withReadings(asked, row), created };
}

function refuseImpossible({ model: { nominalMm }, calibration }: CalibrationFile): void {
  calibration.readings.forEach((record, i) => {
    const path = `calibration.readings.${i}.`;
    const bad = readingProblem({ reading: coreReading(record), nominalMm, path });
    if (!bad) return;
    throw HttpProblem.unusable({ path: bad.field ?? path, message: READING_REFUSED[bad.code] });
  });
}

async function modelOf(asked: Asked, model: CalibrationFile['model']): Promise<string> {
  const own = await listRows(asked, 'model');
  const same = own.find(({ id }) => id === model.id) ?? own.find((row) => modelLabel(row) === modelLabel(model));
  if (same) return same.id;
  // A pair's two balloons are another studio's: it comes as a balloon of its own name.
  return (await insertRow(asked, 'model', { ...model, outerId: null, innerId: null })).id;
}

async function pumpOf(asked: Asked, pump: CalibrationFile['pump']): Promise<string> {
  const own = await listRows(asked, 'pump', eq(pumps.kind, pump.kind));
  const same = own.find(({ id }) => id === pump.id) ?? own.find(({ name }) => name === pump.name);
  return same?.id ?? (await insertRow(asked, 'pump', pump)).id;
}
