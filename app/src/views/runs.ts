import { groupsOf } from './rows';

export const runsOf = groupsOf('inflation', 'eventId');
export const batchesOf = groupsOf('inflationBatch', 'inflationId');
export const turnsOf = groupsOf('turn', 'batchId');
export const talliesOf = groupsOf('tally', 'turnId');

/** The run of an event that goes on: where two devices began one each, the earlier. Runs are newest first. */
export function openRun<Run extends { endedAt: string | null }>(runs: readonly Run[]): Run | undefined {
  return runs.findLast(({ endedAt }) => endedAt === null);
}
