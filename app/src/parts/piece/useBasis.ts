import type { ChainRecord, EventRecord, ShelfModel, SizerRecord, StackRecord, Studio } from '@leggero/contract';

import { useKnowledge } from '@/data/knowledge';
import { useLengths } from '@/data/lengths';
import { useChains, useEvents, useShelf, useSizers, useStudio } from '@/data/records';
import { useStacks } from '@/data/measured';
import { conditionsOf } from '@/views/events';
import type { Knowledge } from '@/views/knowledge';
import type { Lengths } from '@/views/lengths';
import type { Venue } from '@/views/modelView';

/** All that a piece is worked out from beside its own design. */
export interface PieceBasis {
  knowledge: Knowledge;
  /** As it works for the piece's event. */
  studio: Studio;
  /** The event it is for; null for a sketch. */
  event: EventRecord | null;
  venue: Venue | null;
  sizers: SizerRecord[];
  chains: ChainRecord[];
  stacks: StackRecord[];
  /** Modelling balloons, for handles. */
  longs: ShelfModel[];
  lengths: Lengths;
}

/** The basis of a piece of some event once its records have come; null before. */
export function useBasis(eventId: string | null): PieceBasis | null {
  const knowledge = useKnowledge();
  const studio = useStudio().data;
  const events = useEvents().data;
  const sizers = useSizers().data;
  const chains = useChains().data;
  const stacks = useStacks().data;
  const shelf = useShelf().data;
  const lengths = useLengths();
  const gather = () => {
    if (!(knowledge && studio && events && sizers && chains && stacks && shelf)) return null;
    const longs = shelf.filter(({ kind }) => kind === 'modelling');
    const event = events.find(({ id }) => id === eventId) ?? null;
    // A piece is as long as its room: its lengths are said in feet, its balloons are smaller than that.
    const long = { ...lengths, text: lengths.long };
    return { knowledge, event, ...conditionsOf(event, studio), sizers, chains, stacks, longs, lengths: long };
  };
  return gather();
}
