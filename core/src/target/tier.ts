/** A named level of under-inflation: the share of nominal to fill to. */
export interface Tier {
  /** Share of nominal wanted. */
  fraction: number;
  /** Tolerance either way as a share of nominal; `TRADE.toleranceFraction` when absent. */
  toleranceFraction?: number | undefined;
}

/** A tier with what a studio calls it. */
export interface NamedTier extends Tier {
  name: string;
  purpose: string;
}

/** The tiers a new studio starts with; fractions are common practice (handbooks of the trade give 0.9, 0.8, 0.65 to 0.75 and 0.5). */
export const STANDARD_TIERS: readonly NamedTier[] = [
  { name: 'Full', fraction: 0.95, purpose: 'Garlands for one evening' },
  { name: 'Classic', fraction: 0.91, purpose: 'Columns, arches, spirals' },
  { name: 'Supple', fraction: 0.8, purpose: 'Pieces that stand for days' },
  { name: 'Soft', fraction: 0.7, purpose: 'Organic work, weeks on show' },
  { name: 'Bud', fraction: 0.5, purpose: 'Fillers and minis' },
];
