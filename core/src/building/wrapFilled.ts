import { ok, problem, type Result } from '../result';
import type { ModellingSize } from '../modelling/code';
import { helixLengthMm } from '../modelling/helix';

/** Filled modelling balloons wound around a tube. */
export interface FilledCover {
  turns: number;
  /** Along their middles, mm. */
  pathMm: number;
  /** Filled part of one, mm. */
  eachMm: number;
  balloons: number;
}

/** So much of each is filled: it then bends around (common practice: half). */
const FILLED = 0.5;

/**
 * How many half-filled modelling balloons cover a tube, wound around it so that each turn touches the last: their middles
 * wind as a helix half a balloon outside the tube, one width along it for each turn.
 *
 * Problems: `bad-length`, `pole-too-thin` (above 0).
 *
 * Source: cylindrical helix (any handbook of geometry); that they are half filled is common practice.
 */
export function wrapFilled({
  size,
  diameterMm,
  lengthMm,
}: {
  size: ModellingSize;
  diameterMm: number;
  lengthMm: number;
}): Result<FilledCover, 'bad-length' | 'pole-too-thin'> {
  if (!(diameterMm > 0)) return problem('pole-too-thin', { field: 'diameterMm', detail: { leastMm: 0 } });
  if (!(lengthMm > 0 && Number.isFinite(lengthMm))) return problem('bad-length', { field: 'lengthMm' });
  const turns = lengthMm / size.widthMm;
  const pathMm = helixLengthMm({ diameterMm: diameterMm + size.widthMm, pitchMm: size.widthMm, turns });
  const eachMm = FILLED * size.lengthMm;
  return ok({ turns, pathMm, eachMm, balloons: Math.ceil(pathMm / eachMm - 1e-9) });
}
