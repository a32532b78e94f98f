import { problem, type Problem } from '../result';

/** The shapes that a tier bears: round only, or oval too. None bears a pear. */
export const TIER_SHAPES = ['round', 'oval'] as const;
export type TierShape = (typeof TIER_SHAPES)[number];

/** What a target aims at. */
export interface Aim {
  /** Share of nominal wanted. */
  fraction: number;
  /** The least share that still serves the purpose; none when absent. */
  leastFraction?: number;
  /** Tolerance either way as a share of nominal; `TRADE.toleranceFraction` when absent. */
  toleranceFraction?: number | undefined;
  /** The shapes it bears; round only when absent. */
  shape?: TierShape | undefined;
}

/** A level of under-inflation: the share of nominal to fill to, and the shares that still count as it. */
export interface Tier extends Aim {
  leastFraction: number;
  mostFraction: number;
}

/** A tier with what a studio calls it. */
export interface NamedTier extends Tier {
  name: string;
  purpose: string;
}

/**
 * The tiers a new studio starts with; fractions are common practice (handbooks of the trade give 0.9, 0.8, 0.65 to
 * 0.75 and 0.5), ranges ours. The fuller two bear an oval: 10 in is the classic target of an 11 in, slightly oval or
 * not (common practice).
 */
export const STANDARD_TIERS: readonly (NamedTier & { shape: TierShape })[] = [
  {
    name: 'Full',
    fraction: 0.95,
    leastFraction: 0.93,
    mostFraction: 1,
    shape: 'oval',
    purpose: 'Garlands for one evening',
  },
  {
    name: 'Classic',
    fraction: 0.91,
    leastFraction: 0.86,
    mostFraction: 0.93,
    shape: 'oval',
    purpose: 'Columns, arches, spirals',
  },
  {
    name: 'Supple',
    fraction: 0.8,
    leastFraction: 0.75,
    mostFraction: 0.86,
    shape: 'round',
    purpose: 'Pieces that stand for days',
  },
  {
    name: 'Soft',
    fraction: 0.7,
    leastFraction: 0.6,
    mostFraction: 0.75,
    shape: 'round',
    purpose: 'Organic work, weeks on show',
  },
  {
    name: 'Bud',
    fraction: 0.5,
    leastFraction: 0.45,
    mostFraction: 0.6,
    shape: 'round',
    purpose: 'Fillers and minis',
  },
];

/** The shares of nominal that a tier may reach over: below, latex hangs loose; above, it is hard. */
export const LEAST_TIER_FRACTION = 0.3;
export const MOST_TIER_FRACTION = 1;

export type TierProblemCode =
  /** A range that leaves 30 to 100 % of nominal. */
  | 'outside-range'
  /** A range whose end is not above its start. */
  | 'empty-range'
  /** The share aimed at lies outside the tier's own range. */
  | 'aim-outside'
  /** The range shares room with another tier's; the detail names it. */
  | 'overlaps';

/** Touching ends are no overlap, nor are the last bits of a percentage. */
const TOUCH = 1e-6;

/** The first thing about a tier that cannot be beside the others, with its field; `null` when it can stand. */
export function tierProblem({
  tier,
  others,
}: {
  tier: Tier;
  others: readonly NamedTier[];
}): Problem<TierProblemCode> | null {
  const { fraction, leastFraction, mostFraction } = tier;
  const detail = { least: LEAST_TIER_FRACTION, most: MOST_TIER_FRACTION };
  if (!(leastFraction >= LEAST_TIER_FRACTION))
    return problem('outside-range', { field: 'leastFraction', detail }).problem;
  if (!(mostFraction <= MOST_TIER_FRACTION)) return problem('outside-range', { field: 'mostFraction', detail }).problem;
  if (!(mostFraction > leastFraction)) return problem('empty-range', { field: 'mostFraction' }).problem;
  if (!(fraction >= leastFraction && fraction <= mostFraction))
    return problem('aim-outside', { field: 'fraction' }).problem;
  for (const other of others) {
    const apart = other.mostFraction <= leastFraction + TOUCH || other.leastFraction >= mostFraction - TOUCH;
    if (apart) continue;
    const field = other.leastFraction < leastFraction ? 'leastFraction' : 'mostFraction';
    return problem('overlaps', { field, detail: { name: other.name } }).problem;
  }
  return null;
}

/** The tier that aims nearest to a share of nominal, wherever it stands in the list; undefined where there is none. */
export function nearestTier<Aiming extends Pick<NamedTier, 'fraction'>>(
  tiers: readonly Aiming[],
  fraction: number,
): Aiming | undefined {
  const off = (tier: Aiming) => Math.abs(tier.fraction - fraction);
  return tiers.reduce<Aiming | undefined>((best, tier) => (best && off(best) <= off(tier) ? best : tier), undefined);
}
