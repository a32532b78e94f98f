import { rootWithin } from '../numeric';

/** Newton's steps until the radius stays; three are usual. */
const MOST_STEPS = 20;

/** Circles around a middle. */
export interface TouchingRing {
  /** Of the circle that their centres lie on, mm. */
  radiusMm: number;
  /** Of each centre from the first, radians. */
  angles: number[];
}

/**
 * Circles of these widths around a middle, each touching the next, all their centres on one circle. Where one is so
 * large that the others do not reach around the middle, its circle is as small as it can be.
 */
export function touchingRing(widthsMm: readonly number[]): TouchingRing {
  const angles = new Float64Array(widthsMm.length);
  const radiusMm = layRing({ widthsMm: Float64Array.from(widthsMm), first: 0, count: widthsMm.length, angles });
  return { radiusMm, angles: [...angles] };
}

/**
 * The same for those of many widths from `first` on: writes their angles to the same places, and answers the radius. It
 * is asked some hundred thousand times a second and makes nothing new.
 *
 * Source: chords of a circle, R by Newton's method (any handbook of geometry).
 */
export function layRing({
  widthsMm,
  first,
  count,
  angles,
}: {
  widthsMm: Float64Array;
  first: number;
  count: number;
  angles: Float64Array;
}): number {
  angles[first] = 0;
  if (count === 1) return 0;
  let sum = 0;
  let most = 0;
  for (let k = 0; k < count; k += 1) {
    const chord = chordAt(widthsMm, first, count, k);
    sum += chord;
    if (chord > most) most = chord;
  }
  const radiusMm = radiusOf({
    widthsMm,
    first,
    count,
    leastMm: most / 2,
    evenMm: sum / count / (2 * Math.sin(Math.PI / count)),
  });
  for (let k = 1; k < count; k += 1) {
    const half = Math.min(1, chordAt(widthsMm, first, count, k - 1) / (2 * radiusMm));
    angles[first + k] = angles[first + k - 1]! + 2 * Math.asin(half);
  }
  return radiusMm;
}

/** From the centre of one to that of the next, mm. */
function chordAt(widthsMm: Float64Array, first: number, count: number, k: number): number {
  return (widthsMm[first + k]! + widthsMm[first + (k + 1 === count ? 0 : k + 1)]!) / 2;
}

interface Around {
  widthsMm: Float64Array;
  first: number;
  count: number;
  leastMm: number;
  evenMm: number;
}

/** The radius at which all chords together go once around. */
function radiusOf(ring: Around): number {
  const { widthsMm, first, count, leastMm } = ring;
  let radius = Math.max(ring.evenMm, leastMm);
  for (let step = 0; step < MOST_STEPS && radius > leastMm * (1 + 1e-9); step += 1) {
    let around = -2 * Math.PI;
    let slope = 0;
    for (let k = 0; k < count; k += 1) {
      const half = chordAt(widthsMm, first, count, k) / 2;
      around += 2 * Math.asin(half / radius);
      slope -= (2 * half) / (radius * Math.sqrt(radius * radius - half * half));
    }
    const next = radius - around / slope;
    if (Math.abs(next - radius) < 1e-10 * radius) return next;
    radius = next;
  }
  return slowRadiusOf(ring);
}

/** Where one of them is far larger than the others Newton's steps may leave the circle. */
function slowRadiusOf({ widthsMm, first, count, leastMm }: Around): number {
  const around = (radiusMm: number) => {
    let sum = -2 * Math.PI;
    for (let k = 0; k < count; k += 1)
      sum += 2 * Math.asin(Math.min(1, chordAt(widthsMm, first, count, k) / (2 * radiusMm)));
    return sum;
  };
  // Twice round a circle as long as all chords together there is room for all.
  const high = 2 * count * leastMm;
  return around(leastMm) <= 0 ? leastMm : rootWithin({ of: around, low: leastMm, high, within: 1e-9 });
}
