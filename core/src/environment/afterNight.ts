import { TRADE, type Trade } from '../trade';
import { keptShare, type HoldRate } from './hold';

/** What a balloon that was set aside and measured again says of those that were made with it. */
export interface AfterNight {
  lostMm: number;
  /** What was reckoned that it would lose by now. */
  reckonedMm: number;
  /** Whether the difference is more than two tapes differ. */
  against: 'as-reckoned' | 'more' | 'less';
  /** Its width at the opening, if it goes on as it did. */
  atOpeningMm: number;
  /** How much larger than reckoned it is then. */
  offMm: number;
}

/** Twice the deviation of a difference: nineteen of twenty lie within. */
const SURE = 2;

/**
 * A balloon that was `firstMm` wide at its knot and is `nowMm` wide `hours` later, beside the rate that its target reckoned
 * with: what it lost, and what it comes to in `hoursLeft` more hours, going on at the mean of both rates, each by what it
 * leaves open. Both widths are read by a tape.
 *
 * Source: exponential loss, as `fitHold`; weighing by inverse variance (any handbook of statistics).
 */
export function afterNight({
  firstMm,
  nowMm,
  hours,
  hoursLeft,
  rate,
  trade = TRADE,
}: {
  firstMm: number;
  nowMm: number;
  hours: number;
  hoursLeft: number;
  rate: HoldRate;
  trade?: Trade | undefined;
}): AfterNight {
  const tapesMm = Math.SQRT2 * trade.measureSdMm.tape;
  const lostMm = firstMm - nowMm;
  const reckonedMm = firstMm * (1 - keptShare({ rate, hours }));
  const off = lostMm - reckonedMm;
  const seen = Math.log(firstMm / nowMm) / hours;
  const [ofSeen, ofRate] = [(tapesMm / firstMm / hours) ** -2, rate.sd ** -2];
  const perHour = Math.max(0, (seen * ofSeen + rate.perHour * ofRate) / (ofSeen + ofRate));
  const left = Math.max(0, hoursLeft);
  const atOpeningMm = nowMm * Math.exp(-perHour * left);
  return {
    ...{ lostMm, reckonedMm },
    against: Math.abs(off) <= SURE * tapesMm ? 'as-reckoned' : off > 0 ? 'more' : 'less',
    ...{ atOpeningMm, offMm: atOpeningMm - firstMm * keptShare({ rate, hours: hours + left }) },
  };
}
