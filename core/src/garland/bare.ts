import type { KnotLine } from './knotLine';
import { readLine, type PackedGarland } from './soft';

/** A stretch of what a garland is tied along, mm. */
export interface Stretch {
  fromMm: number;
  toMm: number;
}

/** Places that are looked at, and no nearer to each other than this, mm. */
const MOST_LOOKS = 2000;
const LEAST_MM = 5;

/**
 * Where the line, or the strip, shows between the first and the last knot of a packed garland, looked at square from its
 * front: no balloon lies before or behind it there.
 */
export function bareAlong({ balloons, knots, clusters }: PackedGarland, line: KnotLine): Stretch[] {
  const [firstMm, lastMm] = [knots[0]!.alongMm, knots[clusters - 1]!.alongMm];
  const steps = Math.min(MOST_LOOKS, Math.ceil((lastMm - firstMm) / LEAST_MM));
  const bare: Stretch[] = [];
  for (let step = 0; step < steps; step += 1) {
    const [fromMm, toMm] = [step, step + 1].map((at) => firstMm + ((lastMm - firstMm) * at) / steps) as [
      number,
      number,
    ];
    const [x, , z] = readLine(line, (fromMm + toMm) / 2).at;
    if (balloons.some(({ xMm, zMm, widthMm }) => (xMm - x) ** 2 + (zMm - z) ** 2 < (widthMm / 2) ** 2)) continue;
    const last = bare.at(-1);
    if (last && last.toMm === fromMm) last.toMm = toMm;
    else bare.push({ fromMm, toMm });
  }
  return bare;
}
