import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';

/** How a balloon was closed. */
export interface NeckClosing {
  /** Turns of the neck before the knot. */
  wraps: 1 | 2;
  /** One balloon inside another. */
  stuffed: boolean;
}

/** One balloon left standing and measured again. */
export interface HoldTest extends NeckClosing {
  /** Hours since it was tied, and the width then; one at 0 hours is needed. */
  readings: readonly { hours: number; widthMm: number }[];
}

/** How fast width goes. */
export interface HoldRate {
  /** Share of the width lost an hour. */
  perHour: number;
  /** Its standard uncertainty. */
  sd: number;
  /** Hold tests it rests on; 0 when it is the default. */
  tests: number;
}

export type HoldProblemCode = 'no-first-width' | 'bad-hours' | 'bad-width' | 'grew';

const NIGHT_HOURS = 12;
/** A year: no hold test is longer. */
const MOST_HOURS = 8760;
/** A balloon cannot gain width by standing; a tape may misread by this share. */
const MISREAD = 0.04;

/** The first thing about a hold test that cannot be, with its field; `null` when it can be used. */
export function holdTestProblem({ readings }: HoldTest): ReturnType<typeof problem<HoldProblemCode>> | null {
  const first = readings.find(({ hours }) => hours === 0);
  if (!first) return problem('no-first-width', { field: 'readings' });
  for (const [i, { hours, widthMm }] of readings.entries()) {
    if (!(hours >= 0 && hours <= MOST_HOURS)) return problem('bad-hours', { field: `readings.${i}.hours` });
    if (!(widthMm > 0 && Number.isFinite(widthMm))) {
      return problem('bad-width', { field: `readings.${i}.widthMm` });
    }
    if (widthMm > first.widthMm * (1 + MISREAD)) return problem('grew', { field: `readings.${i}.widthMm` });
  }
  return null;
}

/** The size that the assumed loss is told for, mm. */
const USUAL_MM = 279.4;

/**
 * The rate assumed for a closing before any hold test. Air leaves through the skin and is held in the body: a balloon
 * half as large loses twice the share of its width (from memory).
 */
export function defaultHoldRate(
  {
    wraps,
    stuffed,
    nominalMm = USUAL_MM,
  }: NeckClosing & {
    /** That of an 11 in when absent. */
    nominalMm?: number | undefined;
  },
  trade: Trade = TRADE,
): HoldRate {
  const { once, twice, stuffedShare } = trade.holdLossPerHour;
  const perHour = ((wraps === 2 ? twice : once) * (stuffed ? stuffedShare : 1) * USUAL_MM) / nominalMm;
  return { perHour, sd: perHour * trade.holdLossSdShare, tests: 0 };
}

/**
 * The rate for a closing from hold tests closed the same way: ln(width / first width) = -rate x hours, a line through
 * the first width by weighted least squares, joined with the default by inverse variance, so that one balloon does
 * not count for all. `others` are tests of the studio's other balloons: their rates, brought to this size, count for
 * less, as one balloon differs from the next twice.
 *
 * Problems: those of `holdTestProblem`, with the field `tests.<i>.…`.
 */
export function fitHold({
  tests,
  closing,
  nominalMm = USUAL_MM,
  others = [],
  trade = TRADE,
}: {
  tests: readonly HoldTest[];
  closing: NeckClosing;
  nominalMm?: number | undefined;
  others?: readonly (HoldTest & { nominalMm: number })[];
  trade?: Trade | undefined;
}): Result<HoldRate, HoldProblemCode> {
  const assumed = defaultHoldRate({ ...closing, nominalMm }, trade);
  let weight = 1 / assumed.sd ** 2;
  let sum = assumed.perHour * weight;
  let used = 0;
  const between = (assumed.perHour * trade.holdBetweenShare) ** 2;
  for (const [i, test] of tests.entries()) {
    const bad = holdTestProblem(test);
    if (bad) return { ok: false, problem: { ...bad.problem, field: `tests.${i}.${bad.problem.field}` } };
    const seen = rateSeen(test, closing, trade);
    if (!seen) continue;
    used += 1;
    const own = 1 / (seen.variance + between);
    weight += own;
    sum += seen.rate * own;
  }
  for (const other of others) {
    const seen = holdTestProblem(other) ? null : rateSeen(other, closing, trade);
    if (!seen) continue;
    const scale = other.nominalMm / nominalMm;
    const own = 1 / (seen.variance * scale ** 2 + 2 * between);
    weight += own;
    sum += seen.rate * scale * own;
  }
  return ok({ perHour: Math.max(0, sum / weight), sd: 1 / Math.sqrt(weight), tests: used });
}

/** The rate that one test shows, with its variance; `null` where it was closed otherwise or never measured again. */
function rateSeen(
  { wraps, stuffed, readings }: HoldTest,
  closing: NeckClosing,
  trade: Trade,
): { rate: number; variance: number } | null {
  const later = readings.filter(({ hours }) => hours > 0);
  const first = readings.find(({ hours }) => hours === 0);
  if (!first || wraps !== closing.wraps || stuffed !== closing.stuffed || later.length === 0) return null;
  // The first width is in every ratio: its own error adds to each, and is shared out over the readings.
  const relative = trade.measureSdMm.tape / first.widthMm;
  const squares = later.reduce((total, { hours }) => total + hours * hours, 0);
  const rate =
    later.reduce((total, { hours, widthMm }) => total - hours * Math.log(widthMm / first.widthMm), 0) / squares;
  const hoursSum = later.reduce((total, { hours }) => total + hours, 0);
  return { rate, variance: relative ** 2 * (1 / squares + (hoursSum / squares) ** 2) };
}

/** The law of each way of closing that some tests were closed in, in the order they first come. */
export function holdLaws(
  tests: readonly HoldTest[],
  nominalMm?: number,
  trade: Trade = TRADE,
): { wraps: NeckClosing['wraps']; rate: HoldRate | null }[] {
  return [...new Set(tests.map(({ wraps }) => wraps))].map((wraps) => {
    const fitted = fitHold({ tests, closing: { wraps, stuffed: false }, nominalMm, trade });
    return { wraps, rate: fitted.ok ? fitted.value : null };
  });
}

/** What a balloon of classic fill loses of its width in a night of twelve hours, mm. */
export function nightLossMm({
  rate,
  nominalMm,
  trade = TRADE,
}: {
  rate: HoldRate;
  nominalMm: number;
  trade?: Trade | undefined;
}): number {
  return trade.nightFraction * nominalMm * (1 - keptShare({ rate, hours: NIGHT_HOURS }));
}

/** The share of its width that a balloon keeps after `hours`. */
export function keptShare({ rate, hours }: { rate: HoldRate; hours: number }): number {
  return Math.exp(-rate.perHour * hours);
}
