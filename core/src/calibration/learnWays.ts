import { sdInterval } from '../statistics';
import { TRADE } from '../trade';
import { WAYS, type Way, type WaySds } from './reading';
import type { WayResidual } from './fitCalibration';

/** How sure one way of measuring is, in these hands. */
export interface LearnedWay {
  way: Way;
  /** Standard uncertainty to go on with, mm: assumed and seen together. */
  sdMm: number;
  /** 95 % interval of it. */
  lowMm: number;
  highMm: number;
  /** What was assumed, mm. */
  assumedMm: number;
  /** Readings it was learned from. */
  readings: number;
}

/**
 * Learns the uncertainty of each way of measuring from how far its readings lay from their curves, over all
 * calibrations. The assumed uncertainty counts for `TRADE.learningWorth` readings (the scaled inverse chi-square
 * prior of Gelman et al., Bayesian Data Analysis, section 3.3). Brackets tell no residual and stay as assumed.
 */
export function learnWays(residuals: readonly WayResidual[]): Record<Way, LearnedWay> {
  const worth = TRADE.learningWorth.value;
  const learned = WAYS.map((way): [Way, LearnedWay] => {
    const assumedMm = TRADE.measureSdMm.value[way];
    const own = residuals.filter((residual) => residual.way === way);
    const squares = own.reduce((sum, { standardised, sdMm }) => sum + (standardised * sdMm) ** 2, 0);
    const degreesOfFreedom = worth + own.length;
    const sdMm = Math.sqrt((worth * assumedMm ** 2 + squares) / degreesOfFreedom);
    const { low, high } = sdInterval({ sd: sdMm, degreesOfFreedom });
    return [way, { way, sdMm, lowMm: low, highMm: high, assumedMm, readings: own.length }];
  });
  return Object.fromEntries(learned) as Record<Way, LearnedWay>;
}

/** The uncertainties alone, as `fitCalibration` takes them. */
export function sdsOf(learned: Readonly<Record<Way, LearnedWay>>): WaySds {
  return Object.fromEntries(WAYS.map((way) => [way, learned[way].sdMm])) as WaySds;
}
