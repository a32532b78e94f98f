import { isLost } from '@leggero/core';
import { sumOfLosses, type Losses } from '@leggero/core/supply';
import { weakMapMemoize } from 'reselect';

import { talliesOf, turnsOf, type TappedRows } from './runs';

/** Of the balloons of a batch, with whom they were from, what was filled and what of it was lost. */
export interface RunLosses extends Losses {
  modelId: string;
  bagId: string | null;
}

/** What runs say of losses, turn by turn, as if someone had written it down. */
export const lossesOfRuns = weakMapMemoize((rows: TappedRows): RunLosses[] => {
  const [turns, tallies] = [turnsOf(rows.turn), talliesOf(rows.tally)];
  return [...rows.inflationBatch.values()].flatMap(({ id, modelId }) =>
    modelId === null
      ? []
      : turns.of(id).flatMap((turn) => {
          const lossesOf = tallies.of(turn.id).map(({ what, count }): Losses => {
            return isLost(what) ? { used: count, lost: count } : { used: what === 'done' ? count : 0, lost: 0 };
          });
          const { used, lost } = sumOfLosses(lossesOf);
          return used === 0 ? [] : [{ modelId, bagId: turn.bagId, used, lost }];
        }),
  );
});
