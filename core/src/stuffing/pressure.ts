import { bisect } from '../numeric';
import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';

/** How rubber answers to stretch. */
export type RubberModel =
  | { law: 'neo-hookean' }
  /** `ratio` is C2 / C1. */
  | { law: 'mooney-rivlin'; ratio: number };

/** Balloon rubber: Mooney and Rivlin's law with the trade's `mooneyRatio`. */
export function balloonRubber(trade: Trade = TRADE): RubberModel {
  return { law: 'mooney-rivlin', ratio: trade.mooneyRatio };
}

export type StretchProblemCode = 'bad-stretch' | 'bad-ratio';

const ratioOf = (model: RubberModel) => (model.law === 'mooney-rivlin' ? model.ratio : 0);
/** Multiplied out: powers cost ten times as much, and charts ask for hundreds. */
function pressureAt(stretch: number, ratio: number): number {
  const inverse = 1 / stretch;
  const sixth = (inverse * inverse * inverse) ** 2;
  return inverse * (1 - sixth) * (1 + ratio * stretch * stretch);
}

/**
 * Pressure in a thin spherical skin, as a multiple of 4 C1 t0 / r0 (t0 and r0: thickness and radius of the empty
 * skin), at a `stretch` of its circumference: (1/x - 1/x^7) (1 + (C2/C1) x^2). Neo-Hookean rubber has no C2.
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
 * The slope is nought where k y^4 - y^3 + 5 k y + 7 = 0, y = stretch^2, k = C2/C1; at k = 0 that is a stretch of
 * 7^(1/6).
 */
export function humpOf(model: RubberModel): { hump: CurvePlace; dip: CurvePlace | null } | null {
  const k = ratioOf(model);
  const slope = (y: number) => k * y ** 4 - y ** 3 + 5 * k * y + 7;
  const at = (y: number): CurvePlace => ({ stretch: Math.sqrt(y), pressure: pressureAt(Math.sqrt(y), k) });
  if (k === 0) return { hump: at(Math.cbrt(7)), dip: null };
  // The slope's own lowest point parts the two roots; it lies below 3 / (4 k), where the two first terms turn.
  const lowest = crossing((y) => 4 * k * y ** 3 - 3 * y ** 2 + 5 * k, Math.cbrt(7), 1 / k);
  if (slope(lowest) >= 0) return null;
  return { hump: at(crossing(slope, 1, lowest)), dip: at(crossing(slope, lowest, 2 / k)) };
}

/**
 * Two equal balloons that share one gas, as on two nozzles of one pump, at a mean stretch where the curve falls: the
 * smaller presses its air into the larger until both press alike at two sizes. `null` where they stay equal.
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
  const stretch = crossing(excess, 1, Math.min(turns.hump.stretch, meanStretch));
  const place = (x: number): CurvePlace => ({ stretch: x, pressure: pressureAt(x, k) });
  return { smaller: place(stretch), larger: place(other(stretch)) };
}

/** Two equal balloons parted on one pump, and the curve of pressure they lie on. */
export interface PartedPair {
  smaller: CurvePlace;
  larger: CurvePlace;
  /** From the empty skin to a little past the larger, evenly. */
  curve: CurvePlace[];
  /** Pressure at the hump, as `relativePressure`. */
  highest: number;
}

/**
 * How two equal balloons part that together have reached the middle of the stretch where pressure falls, with `points`
 * of their curve; `null` for rubber whose pressure never falls, or falls for good.
 */
export function partedPair({
  trade = TRADE,
  points,
  model = balloonRubber(trade),
}: {
  points: number;
  model?: RubberModel;
  trade?: Trade | undefined;
}): PartedPair | null {
  const turns = humpOf(model);
  if (!turns?.dip) return null;
  const pair = unequalPair({ meanStretch: (turns.hump.stretch + turns.dip.stretch) / 2, model });
  if (!pair) return null;
  const most = 1.15 * pair.larger.stretch;
  const k = ratioOf(model);
  const curve = Array.from({ length: points }, (_, i) => {
    const stretch = 1 + ((most - 1) * i) / (points - 1);
    return { stretch, pressure: pressureAt(stretch, k) };
  });
  return { ...pair, curve, highest: turns.hump.pressure };
}

/** Where `f` passes nought between two places at which its signs differ. */
function crossing(f: (x: number) => number, from: number, to: number): number {
  const rising = f(from) < 0;
  const { low, high } = bisect({ holds: (x) => f(x) < 0 === rising, low: from, high: to });
  return (low + high) / 2;
}

/** One skin as its pressure needs it: its empty width, mm, and 4 C1 t0 / r0, kPa. */
interface RubberSkin {
  restMm: number;
  scaleKPa: number;
}

function rubberSkin(nominalMm: number, ratio: number, trade: Trade): RubberSkin {
  const restMm = nominalMm * trade.restShare;
  // Both laws have the shear modulus 2 (C1 + C2): that gives 4 C1.
  const fourC1 = (2 * trade.shearModulusKPa) / (1 + ratio);
  return { restMm, scaleKPa: fourC1 * (trade.skinThicknessMm / (restMm / 2)) };
}

function skinKPa({ restMm, scaleKPa }: RubberSkin, widthMm: number, ratio: number): number {
  return scaleKPa * pressureAt(Math.max(1, widthMm / restMm), ratio);
}

/** Balloons one in the other. */
interface Skins {
  nominalsMm: readonly number[];
  model?: RubberModel;
  trade?: Trade | undefined;
}

/**
 * Pressure (kPa above the air's) in balloons one in the other, filled as one to `widthMm`: the sum over the skins,
 * each at its own stretch from its empty width (`TRADE.restShare` of nominal). Slack skins add nothing.
 */
export function skinsPressureKPa({
  nominalsMm,
  widthMm,
  trade = TRADE,
  model = balloonRubber(trade),
}: Skins & { widthMm: number }): number {
  const ratio = ratioOf(model);
  return nominalsMm.reduce((sum, nominalMm) => sum + skinKPa(rubberSkin(nominalMm, ratio, trade), widthMm, ratio), 0);
}

/** Pressure along the way of filling. */
export interface PressurePoint {
  widthMm: number;
  /** One figure for each skin, then their sum, kPa. */
  eachKPa: number[];
  sumKPa: number;
}

/** The curve of `skinsPressureKPa` from the smallest empty skin's width to `toMm`, in equal steps. */
export function pressureCurve({
  nominalsMm,
  toMm,
  points = 120,
  trade = TRADE,
  model = balloonRubber(trade),
}: Skins & { toMm: number; points?: number }): PressurePoint[] {
  const ratio = ratioOf(model);
  const skins = nominalsMm.map((nominalMm) => rubberSkin(nominalMm, ratio, trade));
  const fromMm = Math.min(toMm, ...skins.map(({ restMm }) => restMm));
  return Array.from({ length: points }, (_, i) => {
    const widthMm = fromMm + ((toMm - fromMm) * i) / Math.max(1, points - 1);
    let sumKPa = 0;
    const eachKPa = skins.map((skin) => {
      const kPa = skinKPa(skin, widthMm, ratio);
      sumKPa += kPa;
      return kPa;
    });
    return { widthMm, eachKPa, sumKPa };
  });
}

/** Enough to find the hump of a sum to half a hundredth of its height. */
const STEPS = 32;

/** The hump on the way to a width. */
export interface Hump {
  /** The highest pressure of all skins together, kPa, and the width it comes at. */
  kPa: number;
  atMm: number;
  /** The highest of the first skin alone, kPa. */
  aloneKPa: number;
}

/** The highest pressure on the way to `toMm`. */
export function highestPressure({
  nominalsMm,
  toMm,
  trade = TRADE,
  model = balloonRubber(trade),
}: Skins & { toMm: number }): Hump {
  const ratio = ratioOf(model);
  const skins = nominalsMm.map((nominalMm) => rubberSkin(nominalMm, ratio, trade));
  const fromMm = Math.min(toMm, ...skins.map(({ restMm }) => restMm));
  const hump: Hump = { kPa: 0, atMm: fromMm, aloneKPa: 0 };
  for (let i = 1; i <= STEPS; i += 1) {
    const widthMm = fromMm + ((toMm - fromMm) * i) / STEPS;
    let kPa = 0;
    for (const skin of skins) {
      kPa += skinKPa(skin, widthMm, ratio);
      if (skin === skins[0] && kPa > hump.aloneKPa) hump.aloneKPa = kPa;
    }
    if (kPa > hump.kPa) {
      hump.kPa = kPa;
      hump.atMm = widthMm;
    }
  }
  return hump;
}
