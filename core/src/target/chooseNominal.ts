import type { Finish } from '../balloon';
import type { RoundLimit } from '../calibration';
import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import { lowerLimit } from './limits';
import { standingFraction } from './standing';

/** A balloon to choose from. */
export interface NominalOption {
  nominalMm: number;
  finish?: Finish;
  /** Where it turns oval, when that is known. */
  roundLimit?: RoundLimit | undefined;
}

/** Why a nominal does not suit a width. */
export type UnsuitedReason =
  /** The width is so large a share of it that it is hard and oval. */
  | { code: 'too-small'; fraction: number }
  /** The width is so small a share of it that the neck hangs out. */
  | { code: 'too-large'; fraction: number }
  /** Mirror finish is dull at that share. */
  | { code: 'dulls'; fraction: number }
  /** At that share it does not stand so long. */
  | { code: 'stands-too-short'; fraction: number; mostFraction: number }
  /** It is oval at that width. */
  | { code: 'oval'; limitMm: number };

/** The balloons that suit a width, the best first, and why the others do not. */
export interface NominalChoice<Option extends NominalOption> {
  suited: { model: Option; fraction: number }[];
  unsuited: { model: Option; reason: UnsuitedReason }[];
}

/**
 * The nominal sizes that suit a width which must stand so many days: between 0.45 (mirror: 0.62) and 0.92 of nominal,
 * within what stands that long, and round there. The smallest comes first: it is the cheapest and has the shortest
 * neck; pieces that stand for weeks go up a nominal by the rules of `TRADE.standing`.
 *
 * Problems: `bad-width`, `bad-days` (0 to 365), `no-models`.
 * Source: limits and rules are common practice; the shine of mirror finish from memory.
 */
export function chooseNominal<Option extends NominalOption>({
  widthMm,
  daysStanding,
  models,
  trade = TRADE,
}: {
  widthMm: number;
  daysStanding: number;
  models: readonly Option[];
  trade?: Trade | undefined;
}): Result<NominalChoice<Option>, 'bad-width' | 'bad-days' | 'no-models'> {
  if (!(widthMm > 0 && Number.isFinite(widthMm))) return problem('bad-width', { field: 'widthMm' });
  if (!(daysStanding >= 0 && daysStanding <= 365)) return problem('bad-days', { field: 'daysStanding' });
  if (models.length === 0) return problem('no-models', { field: 'models' });
  const suited: NominalChoice<Option>['suited'] = [];
  const unsuited: NominalChoice<Option>['unsuited'] = [];
  for (const model of models) {
    const reason = unsuitedReason(model, widthMm, daysStanding, trade);
    if (reason) unsuited.push({ model, reason });
    else suited.push({ model, fraction: widthMm / model.nominalMm });
  }
  const bySize = (a: { model: Option }, b: { model: Option }) => a.model.nominalMm - b.model.nominalMm;
  return ok({ suited: suited.sort(bySize), unsuited: unsuited.sort(bySize) });
}

function unsuitedReason(
  { nominalMm, finish = 'matte', roundLimit }: NominalOption,
  widthMm: number,
  daysStanding: number,
  trade: Trade,
): UnsuitedReason | null {
  const fraction = widthMm / nominalMm;
  // 10 in of 11 in is common practice on the same day, and a hair under 0.92: the rules are not exact to the third
  // digit.
  const slack = 0.005;
  if (fraction > trade.largestFraction + slack) return { code: 'too-small', fraction };
  const lower = lowerLimit({ nominalMm, finish }, trade);
  if (fraction < lower.fraction - slack) {
    return { code: lower.why === 'shine' ? 'dulls' : 'too-large', fraction };
  }
  const mostFraction = standingFraction({ days: daysStanding, trade });
  if (fraction > mostFraction + slack) return { code: 'stands-too-short', fraction, mostFraction };
  if (roundLimit?.kind === 'shown' && widthMm > roundLimit.widthMm + roundLimit.sdMm) {
    return { code: 'oval', limitMm: roundLimit.widthMm };
  }
  return null;
}
