import { groupsOf } from './rows';

export const runsOf = groupsOf('inflation', 'eventId');
export const batchesOf = groupsOf('inflationBatch', 'inflationId');
export const turnsOf = groupsOf('turn', 'batchId');
export const talliesOf = groupsOf('tally', 'turnId');

interface Ends {
  endedAt: string | null;
}

/** Whether a run goes on. */
export const isOpen = ({ endedAt }: Ends): boolean => endedAt === null;

/** The run of an event that goes on: where two devices began one each, the earlier. Runs are newest first. */
export function openRun<Run extends Ends>(runs: readonly Run[]): Run | undefined {
  return runs.findLast(isOpen);
}
