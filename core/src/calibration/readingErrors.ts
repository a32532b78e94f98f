import type { InflatorKind } from '../inflator';
import { TRADE, type Trade } from '../trade';
import type { Reading, WaySds } from './reading';

/** What makes readings differ from the law, as standard deviations. */
export interface ReadingErrors {
  /** Of one width by each way of taking it, mm. */
  ways: WaySds;
  /** Of one height, mm. */
  heightMm: number;
  /** From one balloon of a kind to the next, as a share of the width. The same in all readings of one balloon. */
  balloonShare: number;
  /**
   * Of one stroke, or of one second, as a share of it. Strokes err on their own, so their errors add up as a random
   * walk: after d of them by d times the variance.
   */
  doseShare: number;
  /** How many readings' worth of trust they deserve, together, beside those of a calibration. */
  worth: number;
}

/** The errors to go on with before any were learned. */
export function assumedErrors(kind: InflatorKind, trade: Trade = TRADE): ReadingErrors {
  return {
    ways: trade.measureSdMm,
    heightMm: trade.heightSdMm,
    balloonShare: trade.balloonShare,
    doseShare: trade.doseShare[kind],
    worth: trade.priorReadings,
  };
}

/** Marks of tapes and calipers that readings are commonly taken to, mm. */
const MARKS_MM = [12.7, 10, 6.35, 5, 3.175];
/** So many widths on one grid are no chance, and so many different ones on a coarse one. */
const FEWEST_ON_GRID = 2;
const FEWEST_ON_COARSE = 3;
const COARSE_MM = 6.35;
const ON_MARK_MM = 0.051;

/**
 * The marks that all measured widths of a calibration lie on, mm: 0 when they share none as coarse as an eighth of an
 * inch. Rounding to marks adds their square over twelve to the variance of a width (Sheppard).
 */
export function marksOfMm(readings: readonly Reading[]): number {
  const widths = readings.flatMap(({ widthMm }) => (widthMm === undefined ? [] : [widthMm]));
  if (widths.length < FEWEST_ON_GRID) return 0;
  const onGrid = (mm: number) => widths.every((width) => Math.abs(width - Math.round(width / mm) * mm) <= ON_MARK_MM);
  const different = new Set(widths).size;
  return MARKS_MM.find((mm) => (mm <= COARSE_MM || different >= FEWEST_ON_COARSE) && onGrid(mm)) ?? 0;
}
