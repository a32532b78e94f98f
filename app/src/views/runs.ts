import type { Rows } from '@leggero/contract';

import { groupsOf } from './rows';

/** What taps are told from, of whatever run. */
export const TAPPED_NOUNS = ['inflationBatch', 'turn', 'tally'] as const;
export type TappedRows = Pick<Rows, (typeof TAPPED_NOUNS)[number]>;

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
