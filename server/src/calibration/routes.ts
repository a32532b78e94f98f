import type { Router } from 'express';

import { mountWriting } from '../http/route';
import { makeRow } from '../records/commands';
import { importCalibration } from './importFile';
import { withReadings } from './store';

export function calibrationRoutes(router: Router): void {
  mountWriting(router, 'createCalibration', async (asked) => {
    const { row, created } = await makeRow(asked, 'calibration', asked.body);
    return { row: await withReadings(asked, row), created };
  });
  mountWriting(router, 'importCalibration', (asked) => importCalibration(asked, asked.body));
}
