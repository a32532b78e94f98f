import type { TRADE } from './trade';

/** Where a constant comes from. */
export type ConstantOrigin = 'common practice' | 'published' | 'from memory';

/** What a number of the trade is, and how far to trust it. */
export interface ConstantWords {
  unit: string;
  origin: ConstantOrigin;
  /** What it stands for, and what it decides. */
  about: string;
}

/** What each number of `TRADE` is: apart from them, since no page that only reckons needs it. */
export const CONSTANTS: Readonly<Record<keyof typeof TRADE, ConstantWords>> = {
  roundAspect: {
    unit: 'height / width',
    origin: 'from memory',
    about: 'up to here a balloon looks round',
  },
  ovalAspect: {
    unit: 'height / width',
    origin: 'from memory',
    about: 'up to here it is oval, beyond it is a pear',
  },
  shapeAnswerAspect: {
    unit: 'height / width',
    origin: 'from memory',
    about: 'the aspect that an answer of round, oval or pear stands for when the height was not measured',
  },
  shapeAnswerSd: {
    unit: 'height / width',
    origin: 'from memory',
    about: 'how far such an answer may be off',
  },
  answerEdgeSd: {
    unit: 'height / width',
    origin: 'from memory',
    about: 'how much the aspect at which an eye calls a balloon oval differs from once to the next',
  },
  measureSdMm: {
    unit: 'mm',
    origin: 'from memory',
    about: 'standard uncertainty of one width by each way of taking it, the hand in it; learned from the readings',
  },
  balloonShare: {
    unit: 'of the width',
    origin: 'from memory',
    about: 'how much one balloon of a kind differs from the next at the same air; learned from the readings',
  },
  doseShare: {
    unit: 'of one stroke or second',
    origin: 'from memory',
    about:
      'how much one stroke differs from the next; d of them together by the root of d times as much; ' +
      'learned for each inflator',
  },
  nozzleShare: {
    unit: 'of the stroke volume',
    origin: 'from memory',
    about: 'half of what two nozzles may differ by, before both are read',
  },
  aspectGrowth: {
    unit: 'height / width',
    origin: 'from memory',
    about:
      'how much longer a balloon is at nominal than while slack, where no height was measured, and how far that may be off',
  },
  holeSdMm: {
    unit: 'mm',
    origin: 'from memory',
    about:
      'standard uncertainty of a hole’s width: measured with a caliper or a tape, reckoned from a ' +
      'printed scale bar, or only read off its label',
  },
  squeeze: {
    unit: 'of the hole',
    origin: 'from memory',
    about:
      'how much wider than its hole a balloon is that just passes: at nominal width, what softness ' +
      'adds, and the scatter; learned from sized balloons',
  },
  heightSdMm: {
    unit: 'mm',
    origin: 'from memory',
    about: 'standard uncertainty of one height, crown to neck',
  },
  priorReadings: {
    unit: 'readings',
    origin: 'from memory',
    about: 'how many readings the assumed errors count for, beside those of a calibration and when they are learned',
  },
  learningWorth: {
    unit: 'readings',
    origin: 'from memory',
    about: 'how many balloons or answers an assumed margin or aspect counts for when it is learned',
  },
  firstDoseSd: {
    unit: 'strokes or seconds',
    origin: 'from memory',
    about: 'how much of a dose may be lost at the start, or given too much, while nothing is known of the inflator',
  },
  strokeBetweenShare: {
    unit: 'of the stroke volume',
    origin: 'from memory',
    about: 'how much one pump’s stroke differs from balloon to balloon, as the back pressure does',
  },
  deadBetweenDoses: {
    unit: 'strokes or seconds',
    origin: 'from memory',
    about: 'how much the dose lost at the start differs from balloon to balloon',
  },
  recordedStrokeShare: {
    unit: 'of the stroke volume',
    origin: 'from memory',
    about: 'how far a stroke volume on record may be off before any calibration',
  },
  betweenWorth: {
    unit: 'calibrations',
    origin: 'from memory',
    about: 'how many calibrations an assumed spread between balloons counts for',
  },
  growthBetween: {
    unit: 'height / width',
    origin: 'from memory',
    about: 'how much that growth differs between the sizes of one line, and between lines',
  },
  roundLimitBetween: {
    unit: 'of nominal',
    origin: 'from memory',
    about: 'how much the round limit differs between the sizes of one line, and between lines, as a share of nominal',
  },
  typicalAspect: {
    unit: 'height / width',
    origin: 'from memory',
    about: 'the aspect of a balloon whose line nobody has calibrated, at the widths people work at',
  },
  smallestShine: {
    unit: 'of nominal',
    origin: 'from memory',
    about: 'under it mirror finish dulls, unless the neck is squeezed tight',
  },
  nearlyShare: {
    unit: 'of nominal',
    origin: 'from memory',
    about: 'a limit that leaves no more room than this nearly acted',
  },
  holdLossPerHour: {
    unit: 'of the width an hour',
    origin: 'from memory',
    about:
      'width an 11 in loses by standing, with the neck wrapped once or twice; a stuffed balloon loses this share of it' +
      ', another size by one over its width',
  },
  holdLossSdShare: {
    unit: 'of the loss',
    origin: 'from memory',
    about: 'how far the assumed loss may be off',
  },
  holdBetweenShare: {
    unit: 'of the loss',
    origin: 'from memory',
    about: 'how much the loss differs from one balloon to the next',
  },
  usualFraction: {
    unit: 'of nominal',
    origin: 'common practice',
    about: 'the tier shown first: what most work is filled to',
  },
  stuffedFraction: {
    unit: 'of nominal',
    origin: 'from memory',
    about: 'the tier a pair is shown at first',
  },
  nightFraction: {
    unit: 'of nominal',
    origin: 'from memory',
    about: 'the fill that what a night costs is told for',
  },
  aspectLawSd: {
    unit: 'height / width',
    origin: 'from memory',
    about: 'how far an aspect law of straight stretches may pass by the true one',
  },
  grownLawSd: {
    unit: 'height / width, and of its growth',
    origin: 'from memory',
    about:
      'how far a law that lengthens by one fitted term may pass by the true one, the further the more it lengthens',
  },
  unseenAspectSd: {
    unit: 'height / width',
    origin: 'from memory',
    about: 'how much the aspect changes along the widths read when no height was measured',
  },
  aspectBeyond: {
    unit: 'height / width for a doubled width',
    origin: 'from memory',
    about: 'how far the aspect may run away past the last shape seen: pears lengthen fast',
  },
  otherAspect: {
    unit: 'height / width',
    origin: 'from memory',
    about: 'two balloons whose aspects differ by more do not look alike side by side',
  },
  outlierLimit: {
    unit: 'standard deviations',
    origin: 'from memory',
    about: 'a reading further than this from the curve of the others is named and set aside',
  },
  largestFraction: {
    unit: 'of nominal',
    origin: 'common practice',
    about: 'above it a nominal is too small',
  },
  smallestFraction: {
    unit: 'of nominal',
    origin: 'common practice',
    about: 'under it a nominal is too large',
  },
  standing: {
    unit: 'days, of nominal',
    origin: 'common practice',
    about: 'the largest fraction of nominal that stands for so many days; for one evening from memory',
  },
  hardMargin: {
    unit: 'of the width where it felt hard',
    origin: 'from memory',
    about: 'how far a target stays under a width that felt hard',
  },
  burstMargin: {
    unit: 'of the width where it burst',
    origin: 'from memory',
    about: 'how far a target stays under a width where one burst',
  },
  toleranceFraction: {
    unit: 'of nominal',
    origin: 'common practice',
    about: 'a quarter inch either way on an 11 in balloon in classic work',
  },
  workTolerance: {
    unit: 'mm, of nominal',
    origin: 'common practice',
    about:
      'how far a balloon may be off: an eighth of an inch in linking work, a quarter on an 11 in in ' +
      'classic work; wider in garlands and organic work (from memory)',
  },
  workShare: {
    unit: 'of the balloons',
    origin: 'from memory',
    about: 'how many must lie within that tolerance for the eye to be enough',
  },
  colourNotedAt: {
    unit: 'of nominal',
    origin: 'from memory',
    about: 'how far a balloon is filled when its colour is noted',
  },
  stretchShown: {
    unit: 'of nominal',
    origin: 'from memory',
    about: 'the fills between which a drawing changes colour: beyond them it would mislead',
  },
  colourDepth: {
    unit: 'power of the thickness',
    origin: 'from memory',
    about:
      'how far a colour follows the thickness of its skin: pigment that scatters follows little, a dyed clear skin most',
  },
  shine: {
    unit: '0 to 1',
    origin: 'from memory',
    about: 'how strongly each finish shines when slack and when tight, in the drawings',
  },
  skinOpacity: {
    unit: '0 to 1',
    origin: 'from memory',
    about:
      'how much of what is behind it each finish hides; how far that may be off, and how well an eye matches a colour',
  },
  skinTint: {
    unit: 'power',
    origin: 'from memory',
    about: 'how strongly each finish colours the light that passes it',
  },
  justSeen: {
    unit: 'distance in Oklab',
    origin: 'from memory',
    about: 'two colours nearer than this look alike',
  },
  restShare: {
    unit: 'of nominal',
    origin: 'from memory',
    about: 'width of an empty latex balloon, were it a sphere',
  },
  skinThicknessMm: {
    unit: 'mm',
    origin: 'from memory',
    about: 'thickness of an empty balloon’s skin',
  },
  shearModulusKPa: {
    unit: 'kPa',
    origin: 'from memory',
    about: 'shear modulus of vulcanised natural latex',
  },
  mooneyRatio: {
    unit: 'C2 / C1',
    origin: 'from memory',
    about:
      'the second constant of Mooney and Rivlin’s law against the first, for balloon rubber (after Müller and Strehlow)',
  },
  inflatorMostKPa: {
    unit: 'kPa',
    origin: 'from memory',
    about:
      'the pressure each kind of inflator reaches: an electric one too little for small stuffed ' +
      'balloons (common practice)',
  },
  stuffedDose: {
    unit: 'of the stroke volume',
    origin: 'from memory',
    about:
      'what a stroke or second is worth against two skins, and how far that may be off, before the pair is calibrated',
  },
  stuffedEffort: {
    unit: 'times',
    origin: 'from memory',
    about: 'how much longer a stuffed balloon takes, and how many more are lost',
  },
  neckProudMm: {
    unit: 'mm',
    origin: 'from memory',
    about: 'how much of the inner’s neck is left standing out of the outer’s',
  },
  sphereLatexMost: {
    unit: 'of nominal',
    origin: 'from memory',
    about: 'as large as one dares to fill a pre-stretched clear balloon around a foil sphere',
  },
  sphereGapMm: {
    unit: 'mm',
    origin: 'from memory',
    about: 'the air gap to keep all around a foil sphere while it grows in latex',
  },
  twistTail: {
    unit: 'of the width, a twist',
    origin: 'common practice',
    about: 'empty tail that one twist takes: an inch for the one of a loop leaf on a balloon two inches across',
  },
  burpShare: {
    unit: 'of the length',
    origin: 'from memory',
    about: 'what letting a little out of a full modelling balloon takes, so that it bends',
  },
  modellingRest: {
    unit: 'of the inflated length, of the width',
    origin: 'from memory',
    about: 'an empty modelling balloon: how long it is, and how wide it lies flat',
  },
  modellingPull: {
    unit: 'of its own length',
    origin: 'from memory',
    about: 'how far an empty modelling balloon is pulled while tying or wrapping',
  },
  knotMm: {
    unit: 'mm',
    origin: 'from memory',
    about: 'pulled length that a knot and its ends take',
  },
  sprayMost: {
    unit: 'balloons',
    origin: 'common practice',
    about: 'how many twist together at their middles: ten three inches across, up to forty two inches across',
  },
  foilStop: {
    unit: 'of its volume',
    origin: 'from memory',
    about: 'how full a foil is when its seam dents and springs back',
  },
  printNoted: {
    unit: 'of the way from crown to neck',
    origin: 'from memory',
    about: 'where the middle of a print sits',
  },
  ballastMargin: {
    unit: 'times the lift',
    origin: 'from memory',
    about: 'how much more than its lift holds a floating balloon indoors, in still air',
  },
  ballastDensity: {
    unit: 'kg/L',
    origin: 'published',
    about: 'dry loose sand (engineering tables, from memory) and water at 20 degrees Celsius (from memory)',
  },
  latexMassG: {
    unit: 'gram',
    origin: 'from memory',
    about: 'an 11 in latex balloon; others go with the square of their nominal',
  },
  foilAreaMassG: {
    unit: 'gram a square metre',
    origin: 'from memory',
    about: 'foil of one skin',
  },
  linkJoint: {
    unit: 'of nominal',
    origin: 'from memory',
    about: 'what knot and tail put between two linked bodies, until a chain has been measured',
  },
  linkJointSd: {
    unit: 'of nominal',
    origin: 'from memory',
    about: 'how far that may be off for one balloon, and how much joints of one chain differ',
  },
  practisedBasket: {
    unit: 'inch',
    origin: 'common practice',
    about: 'the sizes of a basket of six spokes, all exact; anything scaled by one factor keeps its shape',
  },
  ringGive: {
    unit: 'of the way round',
    origin: 'from memory',
    about:
      'what the joints of a ring take up unseen: a quarter inch in a ring of six 6 in balloons is more (common practice)',
  },
  tieGive: {
    unit: 'of the tying balloon',
    origin: 'from memory',
    about: 'how much smaller or larger than its place a tying balloon may be',
  },
  looksAlike: {
    unit: 'of the width',
    origin: 'from memory',
    about: 'balloons nearer in width than this look the same on the table: 3½ and 3¾ in do (common practice)',
  },
  headroomMm: {
    unit: 'mm',
    origin: 'from memory',
    about: 'what people walking under a piece need; the venue and local rules decide',
  },
  manyLinked: {
    unit: 'balloons',
    origin: 'from memory',
    about: 'from here on a piece is work for several people and days: better made in parts',
  },
  usualDoseL: {
    unit: 'litre',
    origin: 'from memory',
    about: 'what one stroke or second moves where nothing else is known: it decides the first reading only',
  },
  strokeVolumeL: {
    unit: 'litre',
    origin: 'from memory',
    about: 'one stroke of a common two-way hand pump: three take a 5 in balloon to about 4 in',
  },
};
