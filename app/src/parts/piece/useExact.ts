import type { Result, SizeSpread, Trade } from '@leggero/core';
import type { HowExact, SimulatedPiece, SimulatePieceProblemCode } from '@leggero/core/building';
import { useMemo } from 'react';

import { useTrade } from '@/data/trade';

import { useAsked, useSameFigures, type Asked } from '../useAsked';
import { useSpreads } from './useSpreads';

/** What the worker is sent. */
export interface ExactQuestion extends ExactAsked {
  own: Partial<Record<'eye' | 'sizer', SizeSpread>>;
  seed: number;
  trade: Trade;
}

export type ExactAnswer = Result<HowExact, SimulatePieceProblemCode>;

interface ExactAsked {
  piece: SimulatedPiece;
  /** How high layers stand here. */
  packing: number;
  /** A spread that someone wants to know about. */
  chosen: SizeSpread | null;
  trials: number;
}

/** The same seed is the same pieces: an answer does not change by being asked again. */
export const EXACT_SEED = 19;

const openWorker = () => new Worker(new URL('./exact.worker', window.location.href));

/**
 * How exact a piece must be, worked out in a worker while that is wanted; and how balloons are known to come out in
 * these hands.
 */
export function useExact(asked: ExactAsked, wanted: boolean): Asked<ExactAnswer> & { own: ExactQuestion['own'] } {
  const trade = useTrade();
  const own = useOwnHands();
  const known = useSameFigures({ ...asked, own });
  const question = useMemo((): ExactQuestion | null => known && { ...known, seed: EXACT_SEED, trade }, [known, trade]);
  return { ...useAsked<ExactQuestion, ExactAnswer>(openWorker, question, { wanted }), own };
}

/** How balloons are known to come out in these hands, as far as that is known. */
export function useOwnHands(): ExactQuestion['own'] {
  const spreads = useSpreads();
  const own: ExactQuestion['own'] = {};
  for (const { value, spread } of spreads)
    own[value === 'eye' ? 'eye' : 'sizer'] = { lean: spread.lean, sd: spread.sd };
  return own;
}
