import { ok, problem, type Result } from '../result';
import { meanOf } from '../statistics';
import { controlConstants } from '../statistics/controlConstants';

/** Where values of a steady process lie. */
export interface ControlLimits {
  centre: number;
  /** Three standard deviations to both sides of the centre. */
  low: number;
  high: number;
}

/** Single values in the order they were taken, and the range of each to the one before. */
export interface IndividualsChart extends ControlLimits {
  /** Standard deviation from one value to the next; a slow drift is not in it. */
  sd: number;
  /** Of each value to the one before; one fewer than there are values. */
  ranges: number[];
  /** Limits of those ranges. */
  range: ControlLimits;
}

/** Means and ranges of small groups. */
export interface GroupsChart extends ControlLimits {
  /** Standard deviation within a group. */
  sd: number;
  means: number[];
  ranges: number[];
  range: ControlLimits;
}

/** Counts of which a share was off. */
export interface CountOff {
  off: number;
  of: number;
}

/** Shares of counts; each has limits of its own, for counts differ. */
export interface SharesChart {
  centre: number;
  shares: number[];
  limits: ControlLimits[];
}

export type ChartProblemCode = 'too-few-values' | 'bad-value' | 'uneven-groups' | 'no-share';

/** With one value nothing moves. */
const FEWEST_ON_CHART = 2;
/** Larger groups waste what their middles tell: the deviation is used for them (common practice). */
const LARGEST_GROUP = 10;

/**
 * The individuals and moving range chart of values in the order they were taken: limits from the mean range of
 * neighbours, over d2 of two.
 *
 * Problems: `too-few-values` (under two); `bad-value`, with its field.
 *
 * Source: NIST/SEMATECH e-Handbook of Statistical Methods, section 6.3.2.2.
 */
export function individualsChart(values: readonly number[]): Result<IndividualsChart, ChartProblemCode> {
  if (values.length < FEWEST_ON_CHART) return problem('too-few-values', { field: 'values' });
  const bad = values.findIndex((value) => !Number.isFinite(value));
  if (bad >= 0) return problem('bad-value', { field: `values.${bad}` });
  const ranges = values.slice(1).map((value, i) => Math.abs(value - values[i]!));
  const meanRange = meanOf(ranges);
  const { d2 } = controlConstants(2);
  const sd = meanRange / d2;
  return ok({ ...limitsOf(meanOf(values), sd), sd, ranges, range: rangeLimits(meanRange, 2) });
}

/**
 * The chart of means and ranges of groups of one size (2 to 10).
 *
 * Problems: `too-few-values` (no group); `uneven-groups`, `bad-value`, with the field of the group or value.
 *
 * Source: ASTM MNL 7; NIST/SEMATECH e-Handbook of Statistical Methods, section 6.3.2.1.
 */
export function groupsChart(groups: readonly (readonly number[])[]): Result<GroupsChart, ChartProblemCode> {
  const size = groups[0]?.length ?? 0;
  if (groups.length === 0) return problem('too-few-values', { field: 'groups' });
  const uneven = groups.findIndex(({ length }) => length !== size || length < 2 || length > LARGEST_GROUP);
  if (uneven >= 0) return problem('uneven-groups', { field: `groups.${uneven}` });
  for (const [at, group] of groups.entries()) {
    const bad = group.findIndex((value) => !Number.isFinite(value));
    if (bad >= 0) return problem('bad-value', { field: `groups.${at}.${bad}` });
  }
  const means = groups.map(meanOf);
  const ranges = groups.map((group) => Math.max(...group) - Math.min(...group));
  const meanRange = meanOf(ranges);
  const sd = meanRange / controlConstants(size).d2;
  return ok({
    ...limitsOf(meanOf(means), sd / Math.sqrt(size)),
    ...{ sd, means, ranges, range: rangeLimits(meanRange, size) },
  });
}

/**
 * The chart of shares that were off, each count with the limits that its own number allows.
 *
 * Problems: `too-few-values` (no count); `no-share`, with its field.
 *
 * Source: p chart, NIST/SEMATECH e-Handbook of Statistical Methods, section 6.3.3.2.
 */
export function sharesChart(counts: readonly CountOff[]): Result<SharesChart, ChartProblemCode> {
  if (counts.length === 0) return problem('too-few-values', { field: 'counts' });
  const bad = counts.findIndex(
    ({ off, of }) => !(Number.isInteger(off) && Number.isInteger(of) && of >= 1 && off >= 0 && off <= of),
  );
  if (bad >= 0) return problem('no-share', { field: `counts.${bad}` });
  const sum = (key: keyof CountOff) => counts.reduce((all, each) => all + each[key], 0);
  const centre = sum('off') / sum('of');
  const limits = counts.map(({ of }) => {
    const { low, high } = limitsOf(centre, Math.sqrt((centre * (1 - centre)) / of));
    return { centre, low: Math.max(0, low), high: Math.min(1, high) };
  });
  return ok({ centre, shares: counts.map(({ off, of }) => off / of), limits });
}

/** Limits of three deviations. */
const limitsOf = (centre: number, sd: number): ControlLimits => ({
  centre,
  low: centre - 3 * sd,
  high: centre + 3 * sd,
});

function rangeLimits(meanRange: number, size: number): ControlLimits {
  const { D3, D4 } = controlConstants(size);
  return { centre: meanRange, low: D3 * meanRange, high: D4 * meanRange };
}
