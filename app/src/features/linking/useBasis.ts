import type { ChainRecord, ShelfModel, SizerRecord, Studio } from '@leggero/contract';

import { useKnowledge } from '@/data/knowledge';
import type { Knowledge } from '@/views/knowledge';
import { useLengths } from '@/data/lengths';
import type { Lengths } from '@/views/lengths';
import { useChains, useShelf, useSizers, useStudio } from '@/data/records';

/** All that a piece is worked out from beside its own design. */
export interface PieceBasis {
  knowledge: Knowledge;
  studio: Studio;
  sizers: SizerRecord[];
  chains: ChainRecord[];
  /** Modelling balloons, for handles. */
  longs: ShelfModel[];
  lengths: Lengths;
}

/** The basis once its records have come; null before. */
export function useBasis(): PieceBasis | null {
  const knowledge = useKnowledge();
  const studio = useStudio().data;
  const sizers = useSizers().data;
  const chains = useChains().data;
  const shelf = useShelf().data;
  const lengths = useLengths();
  const gather = () => {
    if (!(knowledge && studio && sizers && chains && shelf)) return null;
    const longs = shelf.filter(({ kind }) => kind === 'modelling');
    // A piece is as long as its room: its lengths are said in feet, its balloons are smaller than that.
    return { knowledge, studio, sizers, chains, longs, lengths: { ...lengths, text: lengths.long } };
  };
  return gather();
}
