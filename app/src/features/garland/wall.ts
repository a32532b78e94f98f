import { MM_PER_INCH } from '@leggero/core';
import { knotLine, type PathPoint, type Place } from '@leggero/core/garland';

const inches = (count: number) => count * MM_PER_INCH;

/** A room as it mostly is, and what is left beside a garland. */
const FIRST_WALL = { wideMm: inches(168), highMm: inches(102), besideMm: inches(24) };

/** A wall that has room for where it runs. */
export function wallFor(points: readonly Place[]): { wideMm: number; highMm: number } {
  const { wideMm, highMm, besideMm } = FIRST_WALL;
  const far = Math.max(0, ...points.map(([x]) => Math.abs(x)));
  const top = Math.max(0, ...points.map(([, , z]) => z));
  return { wideMm: Math.max(wideMm, 2 * (far + besideMm)), highMm: Math.max(highMm, top + besideMm) };
}

/** One more place in the middle of the longest way between two. */
export function withAnother(points: readonly PathPoint[]): PathPoint[] {
  const lengthAt = (i: number) => Math.hypot(points[i + 1]!.xMm - points[i]!.xMm, points[i + 1]!.zMm - points[i]!.zMm);
  let longest = 0;
  for (let i = 1; i + 1 < points.length; i += 1) if (lengthAt(i) > lengthAt(longest)) longest = i;
  const [from, to] = [points[longest]!, points[longest + 1]!];
  const middle = { xMm: (from.xMm + to.xMm) / 2, zMm: (from.zMm + to.zMm) / 2 };
  return [...points.slice(0, longest + 1), middle, ...points.slice(longest + 1)];
}

/** Places that a path is drawn through first. */
const FIRST_PLACES = 5;

/** Places evenly along where it runs now, to be dragged from there. */
export function placesAlong(points: readonly Place[]): PathPoint[] {
  const line = knotLine(points);
  const out = new Float64Array(6);
  return Array.from({ length: FIRST_PLACES }, (_, i) => {
    if (line.ok) line.value.read((line.value.lengthMm * i) / (FIRST_PLACES - 1), out);
    // Where it ran nowhere: a level line at the height of a head.
    const [xMm, , zMm] = line.ok ? out : [500 * (i - 2), 0, 1800];
    return { xMm: xMm!, zMm: Math.max(0, zMm!) };
  });
}
