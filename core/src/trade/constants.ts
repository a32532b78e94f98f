/** Where a constant comes from. */
export type ConstantOrigin = 'common practice' | 'published' | 'from memory';

/** One number of the trade: its value, its unit and how far to trust it. */
export interface TradeConstant<Value = number> {
  value: Value;
  unit: string;
  origin: ConstantOrigin;
  /** What it stands for, and what it decides. */
  about: string;
}

function constant<Value>(
  value: Value,
  unit: string,
  origin: ConstantOrigin,
  about: string,
): TradeConstant<Value> {
  return { value, unit, origin, about };
}

/** Every number of the trade that the core decides by, in one table. */
export const TRADE = {
  roundAspect: constant(1.06, 'height / width', 'from memory', 'up to here a balloon looks round'),
  ovalAspect: constant(1.18, 'height / width', 'from memory', 'up to here it is oval, beyond it is a pear'),
  shapeAnswerAspect: constant(
    { round: 1.0, oval: 1.12, pear: 1.25 },
    'height / width',
    'from memory',
    'the aspect that an answer of round, oval or pear stands for when the height was not measured',
  ),
  shapeAnswerSd: constant(0.04, 'height / width', 'from memory', 'how far such an answer may be off'),
  widthSdMm: constant(2, 'mm', 'from memory', 'standard uncertainty of one width taken with tape or caliper'),
  heightSdMm: constant(3, 'mm', 'from memory', 'standard uncertainty of one height, crown to neck'),
  priorReadings: constant(
    4,
    'readings',
    'from memory',
    'how many readings the assumed measuring uncertainty counts for beside those of the artist',
  ),
  firstStrokeSdStrokes: constant(
    0.25,
    'strokes',
    'from memory',
    'how much of a stroke may be lost before the first reading, when only one dose is known',
  ),
  outlierLimit: constant(
    4,
    'standard deviations',
    'from memory',
    'a reading further than this from the curve of the others is named and set aside',
  ),
  largestFraction: constant(0.92, 'of nominal', 'common practice', 'above it a nominal is too small'),
  smallestFraction: constant(0.45, 'of nominal', 'common practice', 'under it a nominal is too large'),
  standing: constant(
    [
      { days: 1, fraction: 0.92 },
      { days: 3, fraction: 0.85 },
      { days: 7, fraction: 0.8 },
      { days: 21, fraction: 0.65 },
    ],
    'days, of nominal',
    'common practice',
    'the largest fraction of nominal that stands for so many days',
  ),
  hardMargin: constant(
    0.95,
    'of the width where it felt hard',
    'from memory',
    'how far a target stays under a width that felt hard',
  ),
  burstMargin: constant(
    0.9,
    'of the width where it burst',
    'from memory',
    'how far a target stays under a width where one burst',
  ),
  toleranceFraction: constant(
    0.25 / 11,
    'of nominal',
    'common practice',
    'a quarter inch either way on an 11 in balloon in classic work',
  ),
  strokeVolumeL: constant(
    0.18,
    'litre',
    'from memory',
    'one stroke of a common two-way hand pump: three take a 5 in balloon to about 4 in',
  ),
} as const;
