import { ok, problem, type Result } from '../result';
import { roundToStep } from '../units';
import type { RingFit } from './kinds';

/** The circle on which the centres of a closed ring of linked balloons lie. */
export interface Ring {
  /** Radius of the centre circle, mm. */
  centreRadiusMm: number;
  /** Clear width inside the ring, mm; 0 when the balloons meet in the middle. */
  insideMm: number;
  /** Width over everything, mm. */
  outsideMm: number;
}

export type RingProblemCode = 'too-few-balloons' | 'bad-pitch' | 'bad-width';

/** Two linked balloons are a duplet; three close a ring. */
const LEAST_IN_RING = 3;
/** More is a chain laid round a hall. */
const MOST_IN_RING = 500;

/** What pitch and radius of a ring have to do with each other: pitch = radius x `chordShare`. */
export function chordShare(count: number): number {
  return 2 * Math.sin(Math.PI / count);
}

/**
 * A ring of `count` equal balloons, neighbours one `pitchMm` apart (centre to centre: the body and what the joint
 * takes). The centres are the corners of a regular polygon, so R = pitch / (2 sin(pi / count)): a ring of six has its
 * centres one pitch from its middle.
 *
 * Source: circumscribed radius of a regular polygon (any handbook of geometry).
 *
 * Problems: `too-few-balloons` (3 to 500), `bad-pitch`, `bad-width`.
 */
export function ringOf({
  count,
  pitchMm,
  widthMm = pitchMm,
}: {
  count: number;
  pitchMm: number;
  widthMm?: number;
}): Result<Ring, RingProblemCode> {
  if (!(Number.isInteger(count) && count >= LEAST_IN_RING && count <= MOST_IN_RING))
    return problem('too-few-balloons', {
      field: 'count',
      detail: { least: LEAST_IN_RING, most: MOST_IN_RING },
    });
  if (!(pitchMm > 0 && Number.isFinite(pitchMm))) return problem('bad-pitch', { field: 'pitchMm' });
  if (!(widthMm > 0 && Number.isFinite(widthMm))) return problem('bad-width', { field: 'widthMm' });
  const centreRadiusMm = pitchMm / chordShare(count);
  return ok({
    centreRadiusMm,
    insideMm: Math.max(0, 2 * centreRadiusMm - widthMm),
    outsideMm: 2 * centreRadiusMm + widthMm,
  });
}

/** A count and a size that fit. */
export interface FittingRing extends Ring {
  count: number;
  /** Exactly, mm; then on the sizer's steps. */
  exactMm: number;
  widthMm: number;
  /** How much longer than its place the ring of stepped balloons is, all the way round, mm (below 0: it stays open). */
  closingMm: number;
}

export type FittingProblemCode =
  | 'bad-diameter'
  | 'bad-width'
  | 'bad-step'
  /** Balloons of that range make no ring for it: `leastMm` is the smallest thing, or the widest balloon, that works. */
  | 'none-fits';

/**
 * Which rings fit round a pole, a pot or a hoop `diameterMm` across, by count from few to many, each with the size
 * that fits exactly. With s = 2 sin(pi / n) and pitch = width + joint: around it 2R - width = D, on it 2R = D, inside
 * it 2R + width = D.
 *
 * Problems: `bad-diameter`, `bad-width`, `bad-step`, `none-fits`.
 */
export function ringsFor({
  diameterMm,
  fit,
  leastMm,
  mostMm,
  jointMm,
  stepMm,
}: {
  diameterMm: number;
  fit: RingFit;
  leastMm: number;
  mostMm: number;
  jointMm: number;
  stepMm: number;
}): Result<FittingRing[], FittingProblemCode> {
  if (!(diameterMm > 0 && Number.isFinite(diameterMm))) return problem('bad-diameter', { field: 'diameterMm' });
  if (!(leastMm > 0 && mostMm >= leastMm)) return problem('bad-width', { field: 'leastMm' });
  if (!(stepMm > 0 && stepMm < mostMm)) return problem('bad-step', { field: 'stepMm' });
  const found: FittingRing[] = [];
  const side = { around: -1, on: 0, inside: 1 }[fit];
  for (let count = LEAST_IN_RING; count <= MOST_IN_RING; count += 1) {
    const share = chordShare(count);
    // (2 / share)(width + joint) + side width = diameter
    const exactMm = (diameterMm - (2 * jointMm) / share) / (2 / share + side);
    // Rings only grow in count as their balloons shrink.
    if (exactMm < leastMm) break;
    if (exactMm > mostMm) continue;
    const widthMm = roundToStep({ mm: exactMm, step: stepMm });
    const ring = ringOf({ count, pitchMm: exactMm + jointMm, widthMm: exactMm });
    if (!(ring.ok && widthMm > 0)) continue;
    const placeMm = (diameterMm - side * widthMm) / 2;
    found.push({
      ...ring.value,
      count,
      exactMm,
      widthMm,
      closingMm: count * (widthMm + jointMm - share * placeMm),
    });
  }
  if (found.length > 0) return ok(found);
  return problem('none-fits', { field: 'diameterMm', detail: { diameterMm, leastMm, mostMm } });
}
