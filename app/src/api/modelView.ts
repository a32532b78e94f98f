import {
  coreReading, type CalibrationRecord, type HoleRecord, type ShelfModel, type SizerRecord, type Studio, type TierRecord,
} from '@leggero/contract'; // prettier-ignore
import {
  chooseHole, fitCalibration, heightAtMm, MM_PER_INCH, resolveTarget, type CalibrationFit, type FitProblemCode, type HoleChoice, type Target,
} from '@leggero/core'; // prettier-ignore

/** A tier with the target it gives this balloon. */
export interface TierTarget {
  tier: TierRecord;
  target: Target;
}

/** What is computed from a model's records, for every page that shows it. */
export interface ModelView {
  /** The newest calibration. */
  calibration: CalibrationRecord | null;
  fit: CalibrationFit | null;
  /** Why the readings give no curve; null when they do, or when there are none. */
  fitProblem: FitProblemCode | null;
  targets: TierTarget[];
}

interface ViewOptions {
  model: ShelfModel;
  tiers: readonly TierRecord[];
  studio: Studio;
  daysStanding?: number;
  strokeVolumeL?: number | null | undefined;
}

/** Fits the newest calibration and resolves every tier's target from it. */
export function viewModel({
  model,
  tiers,
  studio,
  daysStanding = studio.daysStanding,
  strokeVolumeL,
}: ViewOptions): ModelView {
  const { nominalMm } = model;
  const calibration = model.calibrations[0] ?? null;
  const readings = calibration?.readings.map(coreReading) ?? [];
  const pump = { kind: 'hand', strokeVolumeL: strokeVolumeL ?? undefined } as const;
  const result = fitCalibration({ nominalMm, readings, pump });
  const fit = result.ok ? result.value : null;
  const targets = tiers.flatMap((tier): TierTarget[] => {
    const target = resolveTarget({ nominalMm, tier, fit, daysStanding, step: studio.stepMm });
    return target.ok ? [{ tier, target: target.value }] : [];
  });
  const fitProblem = result.ok || readings.length === 0 ? null : result.problem.code;
  return { calibration, fit, fitProblem, targets };
}

/** The target shown first: Classic's place, the second tier, or the only one. */
export function firstTarget({ targets }: ModelView): TierTarget | undefined {
  return targets[1] ?? targets[0];
}

/** What the picture of a balloon needs. */
export function figureOf(model: ShelfModel, fit: CalibrationFit | null, widthMm: number) {
  const { nominalMm, colourHex, finish } = model;
  return { nominalMm, colourHex, finish, widthMm, heightMm: heightAtMm({ fit, widthMm }) };
}

/** A hole, how to use it, and whose it is. */
export interface SizerChoice {
  sizer: SizerRecord;
  choice: HoleChoice<HoleRecord>;
}

/** The best hole among the studio's sizers: one of the target's own size before any gap, then the smallest gap, then the sizer with most holes. */
export function bestHole(sizers: readonly SizerRecord[], targetMm: number): SizerChoice | null {
  let best: SizerChoice | null = null;
  for (const sizer of [...sizers].sort((a, b) => b.holes.length - a.holes.length)) {
    const result = chooseHole({ targetMm, holes: sizer.holes });
    if (!result.ok) continue;
    if (!best || gapOf(result.value) < gapOf(best.choice)) best = { sizer, choice: result.value };
  }
  return best;
}

function gapOf(choice: HoleChoice<HoleRecord>): number {
  return choice.how === 'gap' ? choice.gapMm : 0;
}

/** A model's name as decorators say it: line and nominal inches. */
export function modelName({ line, nominalMm }: Pick<ShelfModel, 'line' | 'nominalMm'>): string {
  return `${line} ${nominalInches(nominalMm)}`;
}

/** Nominal sizes are sold in inches everywhere. */
export function nominalInches(nominalMm: number): string {
  return String(Math.round((nominalMm / MM_PER_INCH) * 10) / 10);
}
