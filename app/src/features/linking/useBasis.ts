import type { ChainRecord, PiecePart, ShelfModel, SizerRecord, Studio } from '@leggero/contract';
import { STEP_MM, workToleranceMm, MM_PER, usefulWidths } from '@leggero/core';
import { jointFor, type Joint } from '@leggero/core/linking';

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

/** A nominal for parts whose balloon is not chosen or is gone: small linking balloons are 6 in (common practice). */
const LOOSE_NOMINAL_MM = 6 * MM_PER.in;

export function modelOf(part: PiecePart, { knowledge }: Pick<PieceBasis, 'knowledge'>): ShelfModel | undefined {
  return knowledge.models.find(({ id }) => id === part.modelId);
}

export function nominalOf(part: PiecePart, basis: Pick<PieceBasis, 'knowledge'>): number {
  return modelOf(part, basis)?.nominalMm ?? LOOSE_NOMINAL_MM;
}

/** What knot and tail of a part take, from its own measured chains. */
export function jointOf(part: PiecePart, basis: PieceBasis): Joint {
  const nominalMm = nominalOf(part, basis);
  const chains = basis.chains.filter(({ modelId }) => modelId === part.modelId);
  return jointFor({ nominalMm, chains });
}

/** The widths that a part is useful in, mm. */
export function usefulOf(part: PiecePart, basis: Pick<PieceBasis, 'knowledge'>): { leastMm: number; mostMm: number } {
  return usefulWidths({ nominalMm: nominalOf(part, basis) });
}

/** How far a balloon of linking work may be off where nothing closes, mm either way. */
export function linkToleranceMm(nominalMm: number): number {
  return workToleranceMm({ work: 'linking', nominalMm });
}

/** The least that a check can tell, mm. */
export const FINEST_MM = STEP_MM.millimetre / 2;
