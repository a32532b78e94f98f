import { paceOf } from '@leggero/core/inflation';
import type { MadeBatch } from '@leggero/core/recipe';

import { pacesOf, stationsOf, type ShownRun } from './inflation';
import { madeIn } from './runPaces';

/**
 * What runs made of their batches, and how long stations were at it: the balloons that one made at its pace there, or at
 * its pace of the whole run where it made too few there to tell. `usualS`: see `paceOf`.
 */
export function madeBatches(runs: readonly ShownRun[], usualS: number): MadeBatch[] {
  return runs.flatMap((run) => {
    const usual = new Map(pacesOf(run, usualS).map(({ station, eachS }) => [station, eachS]));
    const progress = new Map(run.progress.batches.map((each) => [each.batch, each]));
    return run.batches.map((batch): MadeBatch => {
      const { by, lost } = progress.get(batch.id)!;
      const worked = stationsOf({ batches: [batch] }).map((station) => {
        const made = madeIn(batch.turns.filter((turn) => turn.station === station));
        const count = made.reduce((sum, tap) => sum + tap.count, 0);
        const eachS = paceOf({ made, usualS })?.eachS ?? usual.get(station);
        return count === 0 ? 0 : eachS === undefined ? null : eachS * count;
      });
      const workedS = worked.some((each) => each === null)
        ? null
        : worked.reduce<number>((sum, s) => sum + (s ?? 0), 0);
      return { key: batch.key, fillMm: batch.fillMm, done: by.done, lost, workedS };
    });
  });
}
