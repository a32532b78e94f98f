import { ok, problem, type Result } from '../result';
import { TRADE } from '../trade';

/** How rubber answers to stretch. */
export type RubberModel =
  | { law: 'neo-hookean' }
  /** `ratio` is C2 / C1. */
  | { law: 'mooney-rivlin'; ratio: number };

/** Balloon rubber: Mooney and Rivlin's law with `TRADE.mooneyRatio`. */
export const BALLOON_RUBBER: RubberModel = { law: 'mooney-rivlin', ratio: TRADE.mooneyRatio.value };

export type StretchProblemCode = 'bad-stretch' | 'bad-ratio';

const ratioOf = (model: RubberModel) => (model.law === 'mooney-rivlin' ? model.ratio : 0);
const pressureAt = (stretch: number, ratio: number) =>
  (1 / stretch - 1 / stretch ** 7) * (1 + ratio * stretch * stretch);

/**
 * Pressure in a thin spherical skin, as a multiple of 4 C1 t0 / r0 (t0 and r0: thickness and radius of the empty skin), at a
 * `stretch` of its circumference: (1/x - 1/x^7) (1 + (C2/C1) x^2). Neo-Hookean rubber has no C2.
 *
 * Problems: `bad-stretch` (below 1), `bad-ratio` (below 0).
 * Source: I. Müller and P. Strehlow, Rubber and Rubber Balloons (Springer, 2004), chapter 2.
 */
export function relativePressure({
  stretch,
  model,
}: {
  stretch: number;
  model: RubberModel;
}): Result<number, StretchProblemCode> {
  if (!(stretch >= 1 && Number.isFinite(stretch)))
    return problem('bad-stretch', { field: 'stretch', detail: { least: 1 } });
  const ratio = ratioOf(model);
  if (!(ratio >= 0)) return problem('bad-ratio', { field: 'model.ratio', detail: { least: 0 } });
  return ok(pressureAt(stretch, ratio));
}

/** A place on the curve of pressure against stretch. */
export interface CurvePlace {
  stretch: number;
  /** As `relativePressure`. */
  pressure: number;
}

/**
 * The hump at the start, past which a balloon fills more easily, and the dip from which it grows harder again (none for
 * neo-Hookean rubber); `null` for a ratio so high (0.2145 and more) that the pressure only rises.
 *
 * The slope is nought where k y^4 - y^3 + 5 k y + 7 = 0, y = stretch^2, k = C2/C1; at k = 0 that is a stretch of 7^(1/6).
 */
export function humpOf(model: RubberModel): { hump: CurvePlace; dip: CurvePlace | null } | null {
  const k = ratioOf(model);
  const slope = (y: number) => k * y ** 4 - y ** 3 + 5 * k * y + 7;
  const at = (y: number): CurvePlace => ({ stretch: Math.sqrt(y), pressure: pressureAt(Math.sqrt(y), k) });
  if (k === 0) return { hump: at(Math.cbrt(7)), dip: null };
  // The slope's own lowest point parts the two roots; it lies below 3 / (4 k), where the two first terms turn.
  const lowest = bisect((y) => 4 * k * y ** 3 - 3 * y ** 2 + 5 * k, Math.cbrt(7), 1 / k);
  if (slope(lowest) >= 0) return null;
  return { hump: at(bisect(slope, 1, lowest)), dip: at(bisect(slope, lowest, 2 / k)) };
}

/**
 * Two equal balloons that share one gas, as on two nozzles of one pump, at a mean stretch where the curve falls: the smaller
 * presses its air into the larger until both press alike at two sizes. `null` where they stay equal.
 *
 * Their volumes add up to those of two at the mean stretch; the smaller's stretch is found by bisection.
 */
export function unequalPair({
  meanStretch,
  model,
}: {
  meanStretch: number;
  model: RubberModel;
}): { smaller: CurvePlace; larger: CurvePlace } | null {
  const turns = humpOf(model);
  if (!turns || !(meanStretch > turns.hump.stretch)) return null;
  if (turns.dip && meanStretch >= turns.dip.stretch) return null;
  const k = ratioOf(model);
  const other = (stretch: number) => Math.cbrt(2 * meanStretch ** 3 - stretch ** 3);
  const excess = (stretch: number) => pressureAt(stretch, k) - pressureAt(other(stretch), k);
  const stretch = bisect(excess, 1, Math.min(turns.hump.stretch, meanStretch));
  const place = (x: number): CurvePlace => ({ stretch: x, pressure: pressureAt(x, k) });
  return { smaller: place(stretch), larger: place(other(stretch)) };
}

const HALVINGS = 60;

/** Where `f` passes nought between two places at which its signs differ. */
function bisect(f: (x: number) => number, from: number, to: number): number {
  let low = from;
  let high = to;
  const rising = f(low) < 0;
  for (let i = 0; i < HALVINGS; i += 1) {
    const middle = (low + high) / 2;
    if (f(middle) < 0 === rising) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * Pressure (kPa above the air's) in balloons one in the other, filled as one to `widthMm`: the sum over the skins, each at its
 * own stretch from its empty width (`TRADE.restShare` of nominal). Slack skins add nothing.
 */
export function skinsPressureKPa({
  nominalsMm,
  widthMm,
  model = BALLOON_RUBBER,
}: {
  nominalsMm: readonly number[];
  widthMm: number;
  model?: RubberModel;
}): number {
  let sum = 0;
  const k = ratioOf(model);
  for (const nominalMm of nominalsMm) {
    const restMm = nominalMm * TRADE.restShare.value;
    // Both laws have the shear modulus 2 (C1 + C2): that gives 4 C1 t0 / r0.
    const scale =
      ((2 * TRADE.shearModulusKPa.value) / (1 + k)) * (TRADE.skinThicknessMm.value / (restMm / 2));
    sum += scale * pressureAt(Math.max(1, widthMm / restMm), k);
  }
  return sum;
}

/** Pressure along the way of filling. */
export interface PressurePoint {
  widthMm: number;
  /** One figure for each skin, then their sum, kPa. */
  eachKPa: number[];
  sumKPa: number;
}

/** The curve of `skinsPressureKPa` from the larger empty skin's width to `toMm`, in equal steps. */
export function pressureCurve({
  nominalsMm,
  toMm,
  points = 120,
  model = BALLOON_RUBBER,
}: {
  nominalsMm: readonly number[];
  toMm: number;
  points?: number;
  model?: RubberModel;
}): PressurePoint[] {
  const fromMm = Math.min(toMm, Math.min(...nominalsMm) * TRADE.restShare.value);
  return Array.from({ length: points }, (_, i) => {
    const widthMm = fromMm + ((toMm - fromMm) * i) / Math.max(1, points - 1);
    const eachKPa = nominalsMm.map((nominalMm) =>
      skinsPressureKPa({ nominalsMm: [nominalMm], widthMm, model }),
    );
    return { widthMm, eachKPa, sumKPa: eachKPa.reduce((sum, each) => sum + each, 0) };
  });
}

/** The highest pressure on the way to a width, and where. */
export function highestPressure(curve: readonly PressurePoint[]): PressurePoint {
  return curve.reduce((highest, point) => (point.sumKPa > highest.sumKPa ? point : highest));
}
