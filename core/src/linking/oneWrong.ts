import { TRADE, type Trade } from '../trade';
import {
  ringErrorMm,
  ringGiveMm,
  ringPlace,
  stateOf,
  tieErrorMm,
  tieGiveMm,
  type Closing,
  type ClosingRing,
  type ClosingState,
} from './closing';

/** What one balloon off its size does to its ring. */
export interface OneWrong {
  state: ClosingState;
  /** How much longer than its place the ring is, mm; below 0 it stays open by that. */
  errorMm: number;
  /** How far the balloon is pushed out of its ring when that is too long, mm. */
  liftMm: number;
  /** By how much a balloon may be off in this ring, the others exact, before it buckles or stays open, mm. */
  mostMm: { large: number; small: number };
  /** Tying balloons beside it that then no longer fit, and the worst one's error, mm (below 0: loose). */
  ties: { unfit: number; worstMm: number };
}

/**
 * What happens when one balloon of ring number `ring` is `offMm` off and all others are exact. Too much length lifts
 * it out: its two joints, p long, then span p - e / 2 each, so it rises by sqrt(p^2 - (p - e / 2)^2) = sqrt(p e - e^2
 * / 4); a quarter inch too much lifts a 5 in balloon by more than an inch. Too little stays open by as much.
 */
export function oneWrong({
  closing,
  ring,
  offMm,
  trade = TRADE,
}: {
  closing: Closing;
  ring: number;
  offMm: number;
  trade?: Trade | undefined;
}): OneWrong {
  const wrong = closing.rings[ring]!;
  const errorMm = errorWith(wrong, offMm);
  const giveMm = ringGiveMm(wrong, trade);
  const state = stateOf(errorMm, giveMm);
  const pitch = wrong.widthMm + offMm / 2 + wrong.jointMm;
  const excess = Math.max(0, errorMm);
  const still = errorWith(wrong, 0);
  const slope = (errorWith(wrong, 1) - errorWith(wrong, -1)) / 2;
  const offs = closing.ties.flatMap((tie) => {
    if (tie.lower !== ring && tie.upper !== ring) return [];
    const { lowerMm, upperMm } = tie.place;
    const [low, high] = [
      tie.lower === ring ? lowerMm + offMm : lowerMm,
      tie.upper === ring ? upperMm + offMm : upperMm,
    ];
    const error = tieErrorMm(tie.widthMm, [low, lowerMm, high, upperMm], trade);
    // The balloon has a tie on either side.
    return [{ error, unfit: Math.abs(error) > tieGiveMm(tie, trade) ? 2 : 0 }];
  });
  const worst = offs.reduce((most, { error }) => (Math.abs(error) > Math.abs(most) ? error : most), 0);
  return {
    state,
    errorMm,
    liftMm: state === 'buckles' ? Math.sqrt(Math.max(0, pitch * excess - (excess * excess) / 4)) : 0,
    mostMm: { large: (giveMm - still) / slope, small: (giveMm + still) / slope },
    ties: { unfit: offs.reduce((sum, { unfit }) => sum + unfit, 0), worstMm: worst },
  };
}

function errorWith(ring: ClosingRing, offMm: number): number {
  const widths = new Float64Array(ring.count).fill(ring.widthMm);
  widths[0]! += offMm;
  return ringErrorMm(ring, widths, ringPlace(ring));
}

/** Two sizes of a piece that look the same on the table. */
export interface AlikeSizes {
  first: string;
  second: string;
  apartMm: number;
}

/** Sizes that differ, but by less than an eye tells (`TRADE.looksAlike`): to be kept apart and marked. */
export function alikeSizes(sizes: readonly { key: string; widthMm: number }[], trade: Trade = TRADE): AlikeSizes[] {
  return sizes.flatMap((a, i) =>
    sizes.slice(i + 1).flatMap((b): AlikeSizes[] => {
      const apartMm = Math.abs(a.widthMm - b.widthMm);
      const near = apartMm < trade.looksAlike * Math.max(a.widthMm, b.widthMm);
      return apartMm > 0 && near ? [{ first: a.key, second: b.key, apartMm }] : [];
    }),
  );
}
