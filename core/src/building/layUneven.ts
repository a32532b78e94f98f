import { layRing } from './touchingRing';
import type { PlannedLayer, UnevenPlan } from './unevenPlan';

/** A stack as it came out; laid anew in the same arrays each time. */
export interface Laid {
  /** Of all balloons, mm. */
  widthsMm: Float64Array;
  /** Directions of all balloons from the middle, radians. */
  angles: Float64Array;
  /** By layer: radius of its centres, mean width, and where its middle is, mm. */
  radiiMm: Float64Array;
  meansMm: Float64Array;
  xMm: Float64Array;
  yMm: Float64Array;
  zMm: Float64Array;
  /** By layer: how steeply its plane falls towards x and y. */
  fallX: Float64Array;
  fallY: Float64Array;
  /** By contact: how far apart the two are, below 0 where latex gives, mm. */
  gapsMm: Float64Array;
  /** By contact: the square of how far apart the two are seen from above, mm². */
  levels: Float64Array;
  /** How the contacts of the layer that was laid last slope. */
  slopeX: number;
  slopeY: number;
  /** From the lowest level to the highest, mm. */
  heightMm: number;
}

/** Room to lay a stack in. */
export function roomFor({ widthsMm, layers, contacts }: UnevenPlan): Laid {
  const [all, each] = [() => new Float64Array(widthsMm.length), () => new Float64Array(layers.length)];
  return {
    ...{ widthsMm: widthsMm.slice(), angles: all() },
    ...{ radiiMm: each(), meansMm: each(), xMm: each(), yMm: each(), zMm: each(), fallX: each(), fallY: each() },
    ...{ gapsMm: new Float64Array(contacts), levels: new Float64Array(contacts), slopeX: 0, slopeY: 0 },
    heightMm: 0,
  };
}

/**
 * Lays a stack of the widths in `laid`. Balloons of a layer lie on one circle and touch their neighbours. Every contact
 * with the layer that bears it is an equally soft spring, so a layer comes to rest in the middle of the heights at which its
 * contacts would just touch, softened by `packing`; on a line it also takes their slope, and what stands on it leans by
 * all slopes below. A pole keeps every layer level.
 *
 * Gaps are those of level layers: a column on line is straightened before it stands.
 *
 * Source: plane of least squares through the heights of touching balls (any handbook of statistics).
 */
export function layUneven({ layers, packing, heldBy }: UnevenPlan, laid: Laid): void {
  const { xMm, yMm, zMm, meansMm, fallX, fallY } = laid;
  let lowMm = Infinity;
  let highMm = -Infinity;
  for (let i = 0; i < layers.length; i += 1) {
    const layer = layers[i]!;
    layCircle(layer, i, laid);
    if (i === 0) {
      xMm[0] = yMm[0] = zMm[0] = fallX[0] = fallY[0] = 0;
    } else {
      const s = layer.rests;
      const riseMm = restOn(layer, layers[s]!, i, laid, packing);
      // A layer rises along the normal of the one that bears it, and then tilts by its own contacts.
      const x = fallX[s]!;
      const y = fallY[s]!;
      const along = riseMm / Math.sqrt(1 + x * x + y * y);
      xMm[i] = xMm[s]! + x * along;
      yMm[i] = yMm[s]! + y * along;
      zMm[i] = zMm[s]! + along;
      fallX[i] = heldBy === 'line' ? x - laid.slopeX : 0;
      fallY[i] = heldBy === 'line' ? y - laid.slopeY : 0;
    }
    const upMm = layer.upShare * meansMm[i]!;
    if (zMm[i]! - upMm < lowMm) lowMm = zMm[i]! - upMm;
    if (zMm[i]! + upMm > highMm) highMm = zMm[i]! + upMm;
  }
  for (let i = 0; i < layers.length; i += 1) zMm[i]! -= lowMm;
  laid.heightMm = highMm - lowMm;
}

/** The balloons of a layer round its middle, the mean of their places where it is in an even one. */
function layCircle({ first, count, turn, farther }: PlannedLayer, i: number, laid: Laid): void {
  const { widthsMm, angles } = laid;
  laid.radiiMm[i] = farther * layRing({ widthsMm, first, count, angles });
  let sum = 0;
  let mean = 0;
  for (let k = first; k < first + count; k += 1) {
    sum += angles[k]!;
    mean += widthsMm[k]!;
  }
  laid.meansMm[i] = mean / count;
  const shift = turn + (Math.PI * (count - 1)) / count - sum / count;
  for (let k = first; k < first + count; k += 1) angles[k]! += shift;
}

/** How far above the layer that bears it one comes to rest, mm; writes its gaps, and how its contacts slope. */
function restOn(layer: PlannedLayer, below: PlannedLayer, i: number, laid: Laid, packing: number): number {
  const { uppers, lowers, higher, cosines, sines, slopes, firstContact } = layer;
  const { widthsMm, angles, radiiMm, gapsMm, levels } = laid;
  const contacts = uppers.length;
  laid.slopeX = laid.slopeY = 0;
  // What only rests on layers farther down rises as its own size does.
  if (contacts === 0) return layer.aboveMm * (laid.meansMm[i]! / layer.widthMm);
  const r1 = radiiMm[layer.rests]! / below.farther;
  const r2 = radiiMm[i]! / layer.farther;
  let sum = 0;
  let x = 0;
  let y = 0;
  for (let m = 0; m < contacts; m += 1) {
    const upper = uppers[m]!;
    const lower = lowers[m]!;
    const level = r1 * r1 + r2 * r2 - 2 * r1 * r2 * Math.cos(angles[upper]! - angles[lower]!);
    const apartMm = (widthsMm[upper]! + widthsMm[lower]!) / 2;
    const restMm = higher[m]! * Math.sqrt(Math.max(0, apartMm * apartMm - level));
    levels[firstContact + m] = level;
    // Until it is known where the layer rests, the height at which the two would touch.
    gapsMm[firstContact + m] = restMm;
    sum += restMm;
    x += restMm * cosines[m]!;
    y += restMm * sines[m]!;
  }
  const riseMm = (packing * sum) / contacts;
  for (let m = firstContact; m < firstContact + contacts; m += 1) {
    const restMm = gapsMm[m]!;
    gapsMm[m] = Math.sqrt(riseMm * riseMm + levels[m]!) - Math.sqrt(restMm * restMm + levels[m]!);
  }
  if (layer.count > 1) {
    laid.slopeX = (packing * (slopes[0] * x + slopes[1] * y)) / radiiMm[i]!;
    laid.slopeY = (packing * (slopes[1] * x + slopes[2] * y)) / radiiMm[i]!;
  }
  return riseMm;
}
