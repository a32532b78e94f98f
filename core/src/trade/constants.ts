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

function constant<Value>(value: Value, unit: string, origin: ConstantOrigin, about: string): TradeConstant<Value> {
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
  answerEdgeSd: constant(
    0.01,
    'height / width',
    'from memory',
    'how much the aspect at which an eye calls a balloon oval differs from once to the next',
  ),
  measureSdMm: constant(
    { tape: 1.6, caliper: 1.2, hole: 2.5, bracket: 2, reference: 5 },
    'mm',
    'from memory',
    'standard uncertainty of one width by each way of taking it, the hand in it; learned from the readings',
  ),
  balloonShare: constant(
    0.004,
    'of the width',
    'from memory',
    'how much one balloon of a kind differs from the next at the same air; learned from the readings',
  ),
  doseShare: constant(
    { hand: 0.065, timed: 0.02, twin: 0.02 },
    'of one stroke or second',
    'from memory',
    'how much one stroke differs from the next; d of them together by the root of d times as much; ' +
      'learned for each inflator',
  ),
  nozzleShare: constant(
    0.1,
    'of the stroke volume',
    'from memory',
    'half of what two nozzles may differ by, before both are read',
  ),
  aspectGrowth: constant(
    { mean: 0.07, sd: 0.065 },
    'height / width',
    'from memory',
    'how much longer a balloon is at nominal than while slack, where no height was measured, and how far that may be off',
  ),
  holeSdMm: constant(
    { caliper: 0.3, tape: 0.8, bar: 0.4, label: 1.5 },
    'mm',
    'from memory',
    'standard uncertainty of a hole’s width: measured with a caliper or a tape, reckoned from a ' +
      'printed scale bar, or only read off its label',
  ),
  squeeze: constant(
    { share: 0.004, softShare: 0.05, sdShare: 0.012, worth: 6 },
    'of the hole',
    'from memory',
    'how much wider than its hole a balloon is that just passes: at nominal width, what softness ' +
      'adds, and the scatter; learned from sized balloons',
  ),
  heightSdMm: constant(3, 'mm', 'from memory', 'standard uncertainty of one height, crown to neck'),
  priorReadings: constant(
    6,
    'readings',
    'from memory',
    'how many readings the assumed errors count for, beside those of a calibration and when they are learned',
  ),
  learningWorth: constant(
    12,
    'readings',
    'from memory',
    'how many balloons or answers an assumed margin or aspect counts for when it is learned',
  ),
  firstDoseSd: constant(
    { hand: 0.5, timed: 0.5, twin: 0.5 },
    'strokes or seconds',
    'from memory',
    'how much of a dose may be lost at the start, or given too much, while nothing is known of the inflator',
  ),
  strokeBetweenShare: constant(
    0.06,
    'of the stroke volume',
    'from memory',
    'how much one pump’s stroke differs from balloon to balloon, as the back pressure does',
  ),
  deadBetweenDoses: constant(
    0.15,
    'strokes or seconds',
    'from memory',
    'how much the dose lost at the start differs from balloon to balloon',
  ),
  recordedStrokeShare: constant(
    0.12,
    'of the stroke volume',
    'from memory',
    'how far a stroke volume on record may be off before any calibration',
  ),
  betweenWorth: constant(
    3,
    'calibrations',
    'from memory',
    'how many calibrations an assumed spread between balloons counts for',
  ),
  growthBetween: constant(
    { sizes: 0.025, lines: 0.04 },
    'height / width',
    'from memory',
    'how much that growth differs between the sizes of one line, and between lines',
  ),
  roundLimitBetween: constant(
    { sizes: 0.025, lines: 0.04 },
    'of nominal',
    'from memory',
    'how much the round limit differs between the sizes of one line, and between lines, as a share of nominal',
  ),
  typicalAspect: constant(
    { aspect: 1.02, sd: 0.04 },
    'height / width',
    'from memory',
    'the aspect of a balloon whose line nobody has calibrated, at the widths people work at',
  ),
  smallestShine: constant(
    0.62,
    'of nominal',
    'from memory',
    'under it mirror finish dulls, unless the neck is squeezed tight',
  ),
  nearlyShare: constant(0.03, 'of nominal', 'from memory', 'a limit that leaves no more room than this nearly acted'),
  holdLossPerHour: constant(
    { once: 0.0012, twice: 0.0005, stuffedShare: 0.6 },
    'of the width an hour',
    'from memory',
    'width an 11 in loses by standing, with the neck wrapped once or twice; a stuffed balloon loses this share of it' +
      ', another size by one over its width',
  ),
  holdLossSdShare: constant(0.5, 'of the loss', 'from memory', 'how far the assumed loss may be off'),
  holdBetweenShare: constant(
    0.3,
    'of the loss',
    'from memory',
    'how much the loss differs from one balloon to the next',
  ),
  usualFraction: constant(0.91, 'of nominal', 'common practice', 'the tier shown first: what most work is filled to'),
  stuffedFraction: constant(0.8, 'of nominal', 'from memory', 'the tier a pair is shown at first'),
  nightFraction: constant(0.86, 'of nominal', 'from memory', 'the fill that what a night costs is told for'),
  aspectLawSd: constant(
    0.01,
    'height / width',
    'from memory',
    'how far an aspect law of straight stretches may pass by the true one',
  ),
  grownLawSd: constant(
    { least: 0.005, share: 0.05 },
    'height / width, and of its growth',
    'from memory',
    'how far a law that lengthens by one fitted term may pass by the true one, the further the more it lengthens',
  ),
  unseenAspectSd: constant(
    0.015,
    'height / width',
    'from memory',
    'how much the aspect changes along the widths read when no height was measured',
  ),
  aspectBeyond: constant(
    0.9,
    'height / width for a doubled width',
    'from memory',
    'how far the aspect may run away past the last shape seen: pears lengthen fast',
  ),
  otherAspect: constant(
    0.04,
    'height / width',
    'from memory',
    'two balloons whose aspects differ by more do not look alike side by side',
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
      { days: 0, fraction: 0.97 },
      { days: 1, fraction: 0.92 },
      { days: 3, fraction: 0.85 },
      { days: 7, fraction: 0.8 },
      { days: 21, fraction: 0.65 },
    ],
    'days, of nominal',
    'common practice',
    'the largest fraction of nominal that stands for so many days; for one evening from memory',
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
  workTolerance: constant(
    {
      linking: { mm: 3.175 },
      classic: { fraction: 0.25 / 11 },
      garland: { fraction: 0.5 / 11 },
      organic: { fraction: 1 / 11 },
    },
    'mm, of nominal',
    'common practice',
    'how far a balloon may be off: an eighth of an inch in linking work, a quarter on an 11 in in ' +
      'classic work; wider in garlands and organic work (from memory)',
  ),
  workShare: constant(
    0.9,
    'of the balloons',
    'from memory',
    'how many must lie within that tolerance for the eye to be enough',
  ),
  colourNotedAt: constant(0.85, 'of nominal', 'from memory', 'how far a balloon is filled when its colour is noted'),
  stretchShown: constant(
    { least: 0.5, most: 1.1 },
    'of nominal',
    'from memory',
    'the fills between which a drawing changes colour: beyond them it would mislead',
  ),
  colourDepth: constant(
    { matte: 0.3, pearl: 0.25, mirror: 0.08, clear: 0.7 },
    'power of the thickness',
    'from memory',
    'how far a colour follows the thickness of its skin: pigment that scatters follows little, a dyed clear skin most',
  ),
  shine: constant(
    {
      matte: { slack: 0, tight: 0.25 },
      pearl: { slack: 0.25, tight: 0.5 },
      mirror: { slack: 0.15, tight: 1 },
      clear: { slack: 0.4, tight: 0.8 },
    },
    '0 to 1',
    'from memory',
    'how strongly each finish shines when slack and when tight, in the drawings',
  ),
  skinOpacity: constant(
    { matte: 0.82, pearl: 0.78, mirror: 0.96, clear: 0.1, sd: 0.15, matchSd: 0.04 },
    '0 to 1',
    'from memory',
    'how much of what is behind it each finish hides; how far that may be off, and how well an eye matches a colour',
  ),
  skinTint: constant(
    { matte: 0.35, pearl: 0.35, mirror: 0.2, clear: 1 },
    'power',
    'from memory',
    'how strongly each finish colours the light that passes it',
  ),
  justSeen: constant(0.02, 'distance in Oklab', 'from memory', 'two colours nearer than this look alike'),
  restShare: constant(0.22, 'of nominal', 'from memory', 'width of an empty latex balloon, were it a sphere'),
  skinThicknessMm: constant(0.22, 'mm', 'from memory', 'thickness of an empty balloon’s skin'),
  shearModulusKPa: constant(300, 'kPa', 'from memory', 'shear modulus of vulcanised natural latex'),
  mooneyRatio: constant(
    0.1,
    'C2 / C1',
    'from memory',
    'the second constant of Mooney and Rivlin’s law against the first, for balloon rubber (after Müller and Strehlow)',
  ),
  inflatorMostKPa: constant(
    { hand: 30, timed: 10, twin: 10 },
    'kPa',
    'from memory',
    'the pressure each kind of inflator reaches: an electric one too little for small stuffed ' +
      'balloons (common practice)',
  ),
  stuffedDose: constant(
    { share: 0.98, sd: 0.05 },
    'of the stroke volume',
    'from memory',
    'what a stroke or second is worth against two skins, and how far that may be off, before the pair is calibrated',
  ),
  stuffedEffort: constant(
    { time: 2.5, loss: 2 },
    'times',
    'from memory',
    'how much longer a stuffed balloon takes, and how many more are lost',
  ),
  neckProudMm: constant(12.7, 'mm', 'from memory', 'how much of the inner’s neck is left standing out of the outer’s'),
  sphereLatexMost: constant(
    1.08,
    'of nominal',
    'from memory',
    'as large as one dares to fill a pre-stretched clear balloon around a foil sphere',
  ),
  sphereGapMm: constant(
    12.7,
    'mm',
    'from memory',
    'the air gap to keep all around a foil sphere while it grows in latex',
  ),
  twistTail: constant(
    0.5,
    'of the width, a twist',
    'common practice',
    'empty tail that one twist takes: an inch for the one of a loop leaf on a balloon two inches across',
  ),
  burpShare: constant(
    0.04,
    'of the length',
    'from memory',
    'what letting a little out of a full modelling balloon takes, so that it bends',
  ),
  modellingRest: constant(
    { length: 0.18, flatWidth: 0.35 },
    'of the inflated length, of the width',
    'from memory',
    'an empty modelling balloon: how long it is, and how wide it lies flat',
  ),
  modellingPull: constant(
    2,
    'of its own length',
    'from memory',
    'how far an empty modelling balloon is pulled while tying or wrapping',
  ),
  knotMm: constant(38, 'mm', 'from memory', 'pulled length that a knot and its ends take'),
  sprayMost: constant(
    { wide: 10, thin: 40 },
    'balloons',
    'common practice',
    'how many twist together at their middles: ten three inches across, up to forty two inches across',
  ),
  foilStop: constant(0.97, 'of its volume', 'from memory', 'how full a foil is when its seam dents and springs back'),
  printNoted: constant(0.5, 'of the way from crown to neck', 'from memory', 'where the middle of a print sits'),
  ballastMargin: constant(
    2,
    'times the lift',
    'from memory',
    'how much more than its lift holds a floating balloon indoors, in still air',
  ),
  ballastDensity: constant(
    { sand: 1.6, water: 0.998 },
    'kg/L',
    'published',
    'dry loose sand (engineering tables, from memory) and water at 20 degrees Celsius (from memory)',
  ),
  latexMassG: constant(
    { g: 3.1, nominalMm: 279.4 },
    'gram',
    'from memory',
    'an 11 in latex balloon; others go with the square of their nominal',
  ),
  foilAreaMassG: constant(60, 'gram a square metre', 'from memory', 'foil of one skin'),
  linkJoint: constant(
    0.04,
    'of nominal',
    'from memory',
    'what knot and tail put between two linked bodies, until a chain has been measured',
  ),
  linkJointSd: constant(
    0.02,
    'of nominal',
    'from memory',
    'how far that may be off for one balloon, and how much joints of one chain differ',
  ),
  practisedBasket: constant(
    { spokes: 3.5, firstRing: 3.75, upperRing: 4.25, ties: 2.5 },
    'inch',
    'common practice',
    'the sizes of a basket of six spokes, all exact; anything scaled by one factor keeps its shape',
  ),
  ringGive: constant(
    0.006,
    'of the way round',
    'from memory',
    'what the joints of a ring take up unseen: a quarter inch in a ring of six 6 in balloons is more (common practice)',
  ),
  tieGive: constant(
    0.06,
    'of the tying balloon',
    'from memory',
    'how much smaller or larger than its place a tying balloon may be',
  ),
  looksAlike: constant(
    0.08,
    'of the width',
    'from memory',
    'balloons nearer in width than this look the same on the table: 3½ and 3¾ in do (common practice)',
  ),
  headroomMm: constant(
    2100,
    'mm',
    'from memory',
    'what people walking under a piece need; the venue and local rules decide',
  ),
  manyLinked: constant(
    1000,
    'balloons',
    'from memory',
    'from here on a piece is work for several people and days: better made in parts',
  ),
  usualDoseL: constant(
    { hand: 0.18, timed: 2, twin: 2 },
    'litre',
    'from memory',
    'what one stroke or second moves where nothing else is known: it decides the first reading only',
  ),
  strokeVolumeL: constant(
    0.18,
    'litre',
    'from memory',
    'one stroke of a common two-way hand pump: three take a 5 in balloon to about 4 in',
  ),
} as const;
