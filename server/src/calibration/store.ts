import type { CalibrationRecord, RowOf } from '@leggero/contract';
import { eq } from 'drizzle-orm';

import type { Scope } from '../db/records';
import { readings } from '../db/tables';
import { listRows } from '../records/store';

/** A calibration with its readings. */
export async function withReadings(scope: Scope, row: RowOf<'calibration'>): Promise<CalibrationRecord> {
  return { ...row, readings: await listRows(scope, 'reading', eq(readings.calibrationId, row.id)) };
}
