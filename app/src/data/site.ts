import type { AsBuiltRecord, OwnStep, PhotoRecord, RepairRecord, RowOf, SiteTick, SnagRecord } from '@leggero/contract';

import { groupsOf } from '@/views/rows';

import { asTheyAre, inOrder, useView } from './records';

const OWN = ['ownStep'] as const;
const BUILT = ['asBuilt'] as const;
const REPAIRED = ['repair'] as const;
const ownOf = inOrder('ownStep');
const builtOf = inOrder('asBuilt');
const repairedOf = inOrder('repair');

/** The steps that a studio added to the usual ones; undefined until they have come. */
export function useOwnSteps(): OwnStep[] | undefined {
  return useView(OWN, ownOf).data;
}

/** Kinds of records that hang on an event. */
type OfEvent = 'siteTick' | 'snag' | 'photo' | 'asBuilt' | 'repair';

/** A hook for the rows of one kind of an event; undefined until they have come. */
function ofEvent<N extends OfEvent>(noun: N): (eventId: string) => readonly RowOf<N>[] | undefined {
  const nouns = [noun] as const;
  const group = groupsOf(noun, 'eventId');
  return function useRows(eventId) {
    const rows = useView(nouns, asTheyAre).data;
    return rows && group(rows[noun]).of(eventId);
  };
}

/** What was looked at for an event. */
export const useSiteTicks: (eventId: string) => readonly SiteTick[] | undefined = ofEvent('siteTick');
/** What is to be put right at it, and what was. */
export const useSnags: (eventId: string) => readonly SnagRecord[] | undefined = ofEvent('snag');
export const usePhotos: (eventId: string) => readonly PhotoRecord[] | undefined = ofEvent('photo');
/** How large its pieces came out, newest first. */
export const useAsBuilt: (eventId: string) => readonly AsBuiltRecord[] | undefined = ofEvent('asBuilt');
/** Balloons of its pieces that were made anew, newest first. */
export const useRepairs: (eventId: string) => readonly RepairRecord[] | undefined = ofEvent('repair');

/** The same of all events, newest first. */
export const useAllAsBuilt = (): AsBuiltRecord[] | undefined => useView(BUILT, builtOf).data;
export const useAllRepairs = (): RepairRecord[] | undefined => useView(REPAIRED, repairedOf).data;
