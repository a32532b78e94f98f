import type { OwnStep, SiteTick } from '@leggero/contract';

import { groupsOf } from '@/views/rows';

import { asTheyAre, inOrder, useView } from './records';

const OWN = ['ownStep'] as const;
const TICK = ['siteTick'] as const;
const ownOf = inOrder('ownStep');
const ticksOf = groupsOf('siteTick', 'eventId');

/** The steps that a studio added to the usual ones; undefined until they have come. */
export function useOwnSteps(): OwnStep[] | undefined {
  return useView(OWN, ownOf).data;
}

/** What was looked at for an event; undefined until it has come. */
export function useSiteTicks(eventId: string): readonly SiteTick[] | undefined {
  const rows = useView(TICK, asTheyAre).data;
  return rows && ticksOf(rows.siteTick).of(eventId);
}
