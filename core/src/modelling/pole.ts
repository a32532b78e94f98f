import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import type { ModellingSize } from './code';
import { helixLengthMm } from './helix';

/** A pole wrapped with empty modelling balloons. */
export interface PoleCover {
  /** How far along the pole one turn goes, mm. */
  pitchMm: number;
  turns: number;
  /** Length of the strip that is wound, mm. */
  pathMm: number;
  /** The balloon as it is pulled and pressed flat, mm. */
  flatMm: number;
  /** What of the pole's length one strip covers where it lies on it, mm. */
  alongMm: number;
  eachMm: number;
  balloons: number;
  /** Pole that one balloon covers, mm. */
  coversMm: number;
}

export type PoleProblemCode =
  /** No width, or one that the strip is too wide to go around; `leastMm` is the thinnest that works. */
  | 'pole-too-thin'
  | 'bad-length'
  /** An overlap of 0 to 0.8. */
  | 'bad-overlap';

const MOST_OVERLAP = 0.8;

/**
 * How many empty modelling balloons wrap a pole, the air bubble pressed flat and each turn overlapping the last by a
 * share of the strip (common practice). The strip, flat and pulled to `TRADE.modellingPull` of its length (narrower
 * by the root of that, as rubber keeps its volume), winds as a helix: a strip f wide covers f / cos(lead) along the
 * pole, so pitch = k C / sqrt(1 - k^2) with C = pi D and k = f (1 - overlap) / C.
 *
 * Problems: `pole-too-thin`, with the thinnest that works; `bad-length`; `bad-overlap`.
 */
export function wrapPole({
  size,
  diameterMm,
  lengthMm,
  overlap,
  trade = TRADE,
}: {
  size: ModellingSize;
  diameterMm: number;
  lengthMm: number;
  overlap: number;
  trade?: Trade | undefined;
}): Result<PoleCover, PoleProblemCode> {
  const { length, flatWidth } = trade.modellingRest;
  const pull = trade.modellingPull;
  const flatMm = (flatWidth * size.widthMm) / Math.sqrt(pull);
  // Steeper than an eighth of a turn up for each turn around, the strip slides off.
  const leastMm = (flatMm * Math.SQRT2) / Math.PI;
  if (!(diameterMm >= leastMm && Number.isFinite(diameterMm)))
    return problem('pole-too-thin', { field: 'diameterMm', detail: { leastMm } });
  if (!(lengthMm > 0 && Number.isFinite(lengthMm))) return problem('bad-length', { field: 'lengthMm' });
  if (!(overlap >= 0 && overlap <= MOST_OVERLAP))
    return problem('bad-overlap', { field: 'overlap', detail: { least: 0, most: MOST_OVERLAP } });
  const around = Math.PI * diameterMm;
  const k = (flatMm * (1 - overlap)) / around;
  const pitchMm = (k * around) / Math.sqrt(1 - k * k);
  const turns = lengthMm / pitchMm;
  const pathMm = helixLengthMm({ diameterMm, pitchMm, turns });
  const eachMm = pull * length * size.lengthMm - trade.knotMm;
  return ok({
    pitchMm,
    turns,
    pathMm,
    flatMm,
    alongMm: flatMm * Math.hypot(1, pitchMm / around),
    eachMm,
    balloons: Math.ceil(pathMm / eachMm - 1e-9),
    coversMm: (eachMm / pathMm) * lengthMm,
  });
}
