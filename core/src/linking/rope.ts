import { ok, problem, type Result } from '../result';
import { roundToStep } from '../units';

/**
 * How far one crossed duplet rises above the one below, mm: each turned a quarter, so that each of its balloons touches
 * both below. Centres lie w / 2 from the line, square to one another: w^2 / 2 + rise^2 = w^2, so rise = w / sqrt(2).
 * Pushed together they stand closer: latex gives.
 *
 * Source: distance of two points in space.
 */
export function ropeRiseMm({ widthMm }: { widthMm: number }): number {
  return widthMm / Math.SQRT2;
}

/** Length of a rope of crossed duplets from body to body, mm: a rise from each to the next, and one width. */
export function ropeLength({ duplets, widthMm }: { duplets: number; widthMm: number }): number {
  return (duplets - 1) * ropeRiseMm({ widthMm }) + widthMm;
}

/** A rope that lands on a length. */
export interface RopePlan {
  duplets: number;
  /** Two a duplet. */
  balloons: number;
  /** The one width with which it is exactly as long as wanted, mm. */
  exactMm: number;
  /** That width on the sizer's steps, and how far the rope then is off, mm (above 0: too long). */
  widthMm: number;
  offMm: number;
}

export type RopeProblemCode = 'bad-length' | 'bad-width' | 'bad-step';

/** More than a hall is long. */
const MOST_DUPLETS = 10_000;

/**
 * How many crossed duplets make a rope of a wanted length, with balloons as near as can be to the width wanted, and the
 * size with which it lands exactly.
 *
 * Problems: `bad-length` (shorter than one duplet, or without end), `bad-width`, `bad-step`.
 */
export function ropeFor({
  lengthMm,
  widthMm,
  stepMm,
}: {
  lengthMm: number;
  widthMm: number;
  stepMm: number;
}): Result<RopePlan, RopeProblemCode> {
  if (!(widthMm > 0 && Number.isFinite(widthMm))) return problem('bad-width', { field: 'widthMm' });
  if (!(stepMm > 0 && stepMm < widthMm)) return problem('bad-step', { field: 'stepMm' });
  const duplets = Math.round((lengthMm - widthMm) / ropeRiseMm({ widthMm })) + 1;
  if (!(lengthMm >= widthMm && duplets <= MOST_DUPLETS)) return problem('bad-length', { field: 'lengthMm' });
  const exactMm = lengthMm / ((duplets - 1) / Math.SQRT2 + 1);
  const stepped = roundToStep({ mm: exactMm, step: stepMm });
  const offMm = ropeLength({ duplets, widthMm: stepped }) - lengthMm;
  return ok({ duplets, balloons: 2 * duplets, exactMm, widthMm: stepped, offMm });
}
