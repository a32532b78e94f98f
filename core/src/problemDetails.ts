/** From where to where something may be. */
interface Bounds {
  least: number;
  most: number;
}
interface AtLeast {
  least: number;
}
interface AtMost {
  most: number;
}
interface LeastMm {
  leastMm: number;
}
interface MostMm {
  mostMm: number;
}
interface NearestMm {
  /** The nearest that would work. */
  nearestMm: number;
}
interface NearestCode {
  nearest: string;
}
interface HolePlace {
  label: string;
  /** The hole it stands after, or is a copy of. */
  other: string;
}

/**
 * What the sentence of a refusal needs beside its code: limits, counts, names. Lengths in mm, masses in g, volumes in
 * litres. A code that is not here needs nothing.
 */
export interface ProblemDetails {
  'never-enough': AtMost;
  'above-ceiling': MostMm & { ceilingMm: number };
  'above-limit': NearestMm & { limitMm: number; wouldBeMm: number; whose: 'outer' | 'inner' };
  'bad-fixings': Bounds;
  'bad-fullness': Bounds;
  'bad-points': Bounds;
  'bad-across': LeastMm & MostMm;
  'bad-altitude': Bounds;
  'bad-aspect': Bounds;
  'bad-bow': MostMm;
  'bad-bracket': LeastMm & MostMm;
  'bad-bridge': LeastMm;
  'bad-confidence': Bounds;
  'bad-count': AtLeast & Partial<AtMost>;
  'bad-holes': Bounds;
  'bad-hours-before': AtMost;
  'bad-first-hole': Bounds;
  'bad-height': LeastMm & MostMm;
  'bad-lean': Bounds;
  'bad-overlap': Bounds;
  'bad-pressure': Bounds;
  'bad-margin': Bounds;
  'bad-needed': Bounds;
  'bad-order': { given: number; needed: number };
  'bad-packing': Bounds;
  'bad-ratio': AtLeast;
  'bad-rings': Bounds;
  'bad-share': Bounds;
  'bad-sheet': MostMm;
  'bad-stretch': AtLeast;
  'bad-temperature': Bounds;
  'bad-trials': Bounds;
  'bad-vents': Bounds;
  'bar-out-of-reach': LeastMm & MostMm;
  'bracket-upside-down': { stopsMm: number; passesMm: number };
  'cannot-lift-itself': { leastL: number; leastMm: number; shortG: number };
  'chains-too-near': LeastMm;
  contradicts: Bounds & { by: string };
  'drop-beyond-string': MostMm;
  'final-too-small': NearestMm & { within: 'innerMm' | 'outerFirstMm'; withinMm: number };
  'hem-too-high': MostMm;
  'hole-twice': HolePlace;
  'holes-out-of-order': HolePlace;
  implausible: Bounds;
  'implausible-length': LeastMm & MostMm;
  'impossible-length': LeastMm & MostMm;
  'inner-larger': NearestMm & { outerMm: number };
  'kerf-over-bridge': { bridgeMm: number };
  'latex-too-large': NearestMm & { sphereMm: number };
  'latex-too-small': NearestMm & { neededMm: number };
  'leave-one-out': { given: number };
  'line-too-long': MostMm;
  'line-too-short': LeastMm;
  'longer-than-balloon': MostMm;
  'longer-than-full': MostMm;
  'longer-than-room': MostMm;
  'missing-cell': { balloon: number; person: number; repeat: number };
  'no-count': NearestMm & { count: number };
  'no-hold': { ring: number };
  'no-room': AtMost & { ring: number };
  'no-size': NearestCode;
  'bends-too-tight': LeastMm & { radiusMm: number };
  'drop-too-deep': MostMm;
  'feet-too-wide': MostMm;
  'crescents-meet': { overMm: number };
  'hoop-too-small': LeastMm & MostMm;
  'sign-too-large': MostMm;
  'loop-too-small': AtLeast;
  'none-fits': LeastMm & MostMm & { diameterMm: number };
  'none-large-enough': { largestMm: number };
  'not-digits': NearestCode;
  'not-three-digits': NearestCode;
  'hoop-in-floor': LeastMm;
  'outside-range': Bounds;
  'outside-useful': LeastMm & MostMm & { widthMm?: number };
  overlaps: { name: string };
  'pole-too-thin': LeastMm;
  'sheet-too-small': { leastWidthMm: number; leastHeightMm: number };
  'standing-too-wide': MostMm;
  'steps-too-coarse': { differenceMm: number };
  'string-too-short': LeastMm;
  'thickness-over-pitch': { pitchMm: number; thicknessMm: number };
  'tie-too-small': NearestMm & { tieMm: number; leastTieMm: number };
  'wide-spread': AtMost;
  'too-few-colours': { given: number; needed: number };
  'too-few-layers': AtLeast;
  'too-few-balloons': AtLeast & Partial<AtMost>;
  'too-few-pairs': AtLeast;
  'too-few-people': AtLeast;
  'too-few-points': AtLeast;
  'too-many-clusters': AtMost;
  'too-many-in-cluster': AtMost;
  'too-few-repeats': AtLeast;
  'too-large': MostMm;
  'too-many': AtMost;
  'too-many-balloons': AtMost & { balloons: number };
  'too-many-layers': AtMost;
  'too-many-sizes': AtMost;
  'too-many-twists': AtMost;
  'too-short': { reachMm: number; takesMm: number };
  'too-tight': LeastMm;
}
