import type { MakeOf, RowOf } from '@leggero/contract';

import type { Guard } from '../records/guard';
import { listAlike, numberedAmong } from '../records/numbered';
import { readRow } from '../records/store';

const SAID = ['tierId', 'widthMm', 'toleranceMm', 'dose', 'origin', 'daysStanding'] as const;

/**
 * A target is kept as the next revision for its model and tier. One that says what the last revision says is that one:
 * two taps at once, on two devices, keep it once.
 */
export const target: Guard<'target'> = {
  async make(asked, make) {
    await readRow(asked, 'tier', make.tierId!);
    const before = await listAlike(asked, 'target', make);
    const last = before.reduce<RowOf<'target'> | null>(
      (latest, row) => (latest && latest.revision > row.revision ? latest : row),
      null,
    );
    if (last && saysTheSame(last, make)) return { stored: last };
    return { write: { ...make, revision: numberedAmong('target', make, before) } };
  },
};

function saysTheSame(row: RowOf<'target'>, make: MakeOf<'target'>): boolean {
  return SAID.every((field) => row[field] === make[field]);
}
