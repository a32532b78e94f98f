/** A door, a lift, a window: what something is carried through. Infinity where a side is not known. */
export interface Opening {
  wideMm: number;
  highMm: number;
}

/** As it stands, mm. */
export interface Box {
  wideMm: number;
  deepMm: number;
  highMm: number;
}

/** As it stands; turned, laid down or leaning; or no way. */
export type Passage = 'standing' | 'turned' | 'no';

/**
 * Whether a box goes through an opening, its longest side first if need be. What gives, as balloons do, may be pressed
 * through a little less.
 *
 * Source: the rectangle of its two shorter sides in that of the opening, also turned: W. B. Carver, American Mathematical
 * Monthly 64 (1957), solution of problem E 1225.
 */
export function passage({ wideMm, deepMm, highMm }: Box, opening: Opening): Passage {
  if (highMm <= opening.highMm && Math.min(wideMm, deepMm) <= opening.wideMm) return 'standing';
  const [short, long] = [wideMm, deepMm, highMm].sort((a, b) => a - b) as [number, number, number];
  const [narrow, high] = [opening.wideMm, opening.highMm].sort((a, b) => a - b) as [number, number];
  return fitsIn([long, short], [high, narrow]) ? 'turned' : 'no';
}

type Sides = readonly [long: number, short: number];

function fitsIn([p, q]: Sides, [a, b]: Sides): boolean {
  if (q > b) return false;
  if (p <= a) return true;
  const across = p * p + q * q;
  return b >= (2 * p * q * a + (p * p - q * q) * Math.sqrt(across - a * a)) / across;
}
