import type { ChainRecord, PiecePart, ShelfModel, SizerRecord, Studio } from '@leggero/contract';
import { STEP_MM, TRADE, workToleranceMm } from '@leggero/core';
import { learnJoint, type Joint } from '@leggero/core/linking';
import { useMemo } from 'react';

import { useKnowledge, type Knowledge } from '@/api/knowledge';
import { useLengths, type Lengths } from '@/api/lengths';
import { useChains, useShelf, useSizers, useStudio } from '@/api/queries';

/** All that a piece is worked out from beside its own design. */
export interface Workroom {
  knowledge: Knowledge;
  studio: Studio;
  sizers: SizerRecord[];
  chains: ChainRecord[];
  /** Modelling balloons, for handles. */
  longs: ShelfModel[];
  lengths: Lengths;
}

/** The workroom once its records have come; null before. */
export function useWorkroom(): Workroom | null {
  const knowledge = useKnowledge();
  const studio = useStudio().data;
  const sizers = useSizers().data;
  const chains = useChains().data;
  const shelf = useShelf().data;
  const lengths = useLengths();
  return useMemo(() => {
    if (!(knowledge && studio && sizers && chains && shelf)) return null;
    const longs = shelf.filter(({ kind }) => kind === 'modelling');
    return { knowledge, studio, sizers, chains, longs, lengths };
  }, [knowledge, studio, sizers, chains, shelf, lengths]);
}

/** A nominal for parts whose balloon is not chosen or is gone: small linking balloons are 6 in (common practice). */
const LOOSE_NOMINAL_MM = 6 * 25.4;

export function modelOf(part: PiecePart, { knowledge }: Pick<Workroom, 'knowledge'>): ShelfModel | undefined {
  return knowledge.models.find(({ id }) => id === part.modelId);
}

export function nominalOf(part: PiecePart, workroom: Pick<Workroom, 'knowledge'>): number {
  return modelOf(part, workroom)?.nominalMm ?? LOOSE_NOMINAL_MM;
}

/** What knot and tail of a part take, from its own measured chains. */
export function jointOf(part: PiecePart, workroom: Workroom): Joint {
  const nominalMm = nominalOf(part, workroom);
  const chains = workroom.chains.filter(({ modelId }) => modelId === part.modelId);
  const learned = learnJoint({ nominalMm, chains });
  return learned.ok
    ? learned.value
    : { jointMm: TRADE.linkJoint.value * nominalMm, sdMm: TRADE.linkJointSd.value * nominalMm, chains: 0 };
}

/** The widths that a part is useful in, mm. */
export function usefulOf(part: PiecePart, workroom: Pick<Workroom, 'knowledge'>): { leastMm: number; mostMm: number } {
  const nominalMm = nominalOf(part, workroom);
  return {
    leastMm: TRADE.smallestFraction.value * nominalMm,
    mostMm: TRADE.largestFraction.value * nominalMm,
  };
}

/** How far a balloon of linking work may be off where nothing closes, mm either way. */
export function linkToleranceMm(nominalMm: number): number {
  return workToleranceMm({ work: 'linking', nominalMm });
}

/** The least that a check can tell, mm. */
export const FINEST_MM = STEP_MM.millimetre / 2;
