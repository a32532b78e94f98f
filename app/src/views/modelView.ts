import {
  coreBalloon,
  coreHoldTest,
  coreInflator,
  coreReading,
  type CalibrationRecord,
  type ModelRecord,
  type PumpRecord,
  type ShelfModel,
  type Studio,
  type TierRecord,
} from '@leggero/contract';
import {
  balloonsOf,
  defaultHoldRate,
  estimateFor,
  fitHold,
  fitOnShelf,
  heightAtMm,
  MM_PER_INCH,
  modellingCode,
  pairTarget,
  resolveTarget,
  showingOf,
  stuffedCurve,
  type CalibrationFit,
  type DoseCurve,
  type EstimatedCurve,
  type FitOutcome,
  type FitProblemCode,
  type HoldRate,
  type Showing,
  type Skin,
  type Target,
  nearestTier,
} from '@leggero/core';
import { type ComparedModel } from '@leggero/core/calibrating';

import { standsWith, type Knowledge } from './knowledge';
import { partsOf } from './pairs';

/** A tier with the target it gives this balloon. */
export interface TierTarget {
  tier: TierRecord;
  target: Target;
}

/** Where and when a piece is shown, beside the studio's workroom. */
export interface Venue {
  tempC: number;
  altitudeM: number;
  /** Hours from the knot to the show. */
  hours: number;
  wraps: 1 | 2;
}

/** What is computed from a model's records, for every page that shows it. */
export interface ModelView {
  /** The calibration asked for, or the newest. */
  calibration: CalibrationRecord | null;
  /** The inflator of that calibration, or the studio's first. */
  pump: PumpRecord | null;
  fit: CalibrationFit | null;
  /** Stands in for the fit while there is none. */
  estimate: EstimatedCurve | null;
  /** The fit, or the estimate. */
  curve: DoseCurve | null;
  /** Why the readings give no curve; null when they do, or when there are none. */
  fitProblem: FitProblemCode | null;
  /** What the tiers are shares of, mm: the nominal, or the smaller one of a pair. */
  governingMm: number;
  hold: HoldRate;
  /** The way to the show; null where the piece is made and shown in one place at one time. */
  showing: Showing | null;
  targets: TierTarget[];
  /** The share of nominal that most work is filled to. */
  usualFraction: number;
}

interface ViewOptions {
  model: ShelfModel;
  knowledge: Knowledge;
  tiers: readonly TierRecord[];
  studio: Studio;
  daysStanding?: number | undefined;
  venue?: Venue | null | undefined;
  calibrationId?: string | undefined;
  /**
   * Fits it anew where the trade's numbers have changed since the shelf was learned from: for a page or a row of its own,
   * which then follows at once. Not for all of a shelf, which is worked out elsewhere.
   */
  follow?: boolean | undefined;
}

/** Fits the calibration asked for, or estimates a curve, and resolves every tier's target from it. */
export function viewModel(options: ViewOptions): ModelView {
  const { model, knowledge, tiers, studio, venue = null, calibrationId, follow = false } = options;
  const { nominalMm, finish } = model;
  const { trade } = knowledge;
  const { daysStanding = studio.daysStanding } = options;
  const calibration = model.calibrations.find(({ id }) => id === calibrationId) ?? model.calibrations[0] ?? null;
  const pump = knowledge.pumps.find(({ id }) => id === calibration?.pumpId) ?? knowledge.pumps[0] ?? null;
  const { fit, problem } = calibration ? outcomeOf({ model, calibration, pump, knowledge, follow }) : NO_READINGS;
  const pair = skinsOf(model, options);
  const estimate = fit || !pump ? null : pair ? pair.estimate : estimateWith(model, pump, knowledge);
  const hold = holdOf(model, venue?.wraps ?? 2, knowledge);
  const showing = venue ? showingAt(studio, venue, hold) : null;
  const governingMm = pair ? Math.min(pair.outer.nominalMm, pair.inner.nominalMm) : nominalMm;
  const targets = tiers.flatMap((tier): TierTarget[] => {
    const asked = { tier, fit, estimate, daysStanding, step: studio.stepMm, showing, trade };
    const target = pair ? pairTarget({ ...pair, ...asked }) : resolveTarget({ nominalMm, finish, ...asked });
    return target.ok ? [{ tier, target: target.value }] : [];
  });
  const fitProblem = problem === 'no-readings' ? null : problem;
  return {
    calibration,
    pump,
    fit,
    estimate,
    curve: fit ?? estimate,
    fitProblem,
    governingMm,
    hold,
    showing,
    targets,
    usualFraction: trade.usualFraction,
  };
}

/** A single balloon with what is known of it, as a pair takes it. */
export function skinOf(model: ShelfModel, options: Omit<ViewOptions, 'model' | 'calibrationId' | 'tiers'>): Skin {
  const { fit, estimate } = viewModel({ ...options, model, tiers: [] });
  const { nominalMm, kind, finish } = model;
  return { nominalMm, kind, finish, fit, estimate };
}

/**
 * Both balloons of a pair with what is known of each alone, and the pair's curve as its outer suggests it; null for a
 * single one.
 */
function skinsOf(
  model: ShelfModel,
  { knowledge, ...rest }: Omit<ViewOptions, 'model' | 'calibrationId'>,
): { outer: Skin; inner: Skin; estimate: EstimatedCurve | null } | null {
  const parts = partsOf(model, knowledge.models);
  if (!parts) return null;
  const [outer, inner] = [parts.outer, parts.inner].map((part) => skinOf(part, { ...rest, knowledge })) as [Skin, Skin];
  const curve = outer.fit ?? outer.estimate;
  return { outer, inner, estimate: curve ? stuffedCurve({ outer: curve, trade: knowledge.trade }) : null };
}

/** Readings of one calibration that are fitted anew on the page. */
const MOST_AT_ONCE = 60;

const NO_READINGS: FitOutcome = { fit: null, problem: 'no-readings' };

/** The fit of a calibration: as the shelf knows it, or anew where the record holds more or has changed since. */
function outcomeOf({
  model,
  calibration,
  pump,
  knowledge,
  follow,
}: Pick<ViewOptions, 'model' | 'knowledge' | 'follow'> & {
  calibration: CalibrationRecord;
  pump: PumpRecord | null;
}): FitOutcome {
  const { shelf, fits, trade } = knowledge;
  const known = fits.get(calibration);
  if (known && (!follow || standsWith(knowledge, trade))) return known;
  // So many take a while: they are fitted with the shelf, and stand as they were until then.
  if (calibration.readings.length > MOST_AT_ONCE) return shelf.outcomes.get(calibration.id) ?? NO_READINGS;
  const { id, pumpId: inflatorId } = calibration;
  const inflator = pump ? coreInflator(pump) : ({ kind: 'hand' } as const);
  const readings = calibration.readings.map(coreReading);
  return fitOnShelf({ balloon: coreBalloon(model), calibration: { id, inflatorId, readings }, inflator, shelf, trade });
}

/** The curve that a balloon is expected to have with an inflator, from all else on the shelf. */
export function estimateWith(model: ShelfModel, pump: PumpRecord, { shelf, trade }: Knowledge): EstimatedCurve | null {
  const { id: inflatorId } = pump;
  return estimateFor({ balloon: coreBalloon(model), inflatorId, inflator: coreInflator(pump), shelf, trade });
}

/** What a balloon loses by standing: by its own tests, and those of the studio's others brought to its size. */
function holdOf(model: ShelfModel, wraps: 1 | 2, { models, trade }: Knowledge): HoldRate {
  const { id, nominalMm, holdTests, outerId } = model;
  const closing = { wraps, stuffed: outerId !== null };
  const others = models
    .filter((other) => other.id !== id)
    .flatMap((other) => other.holdTests.map((test) => ({ ...coreHoldTest(test), nominalMm: other.nominalMm })));
  const fitted = fitHold({ tests: holdTests.map(coreHoldTest), closing, nominalMm, others, trade });
  return fitted.ok ? fitted.value : defaultHoldRate({ ...closing, nominalMm }, trade);
}

function showingAt(studio: Studio, venue: Venue, hold: HoldRate): Showing | null {
  const workroom = { tempC: studio.workroomTempC, altitudeM: studio.workroomAltitudeM };
  const showing = showingOf({ workroom, venue, hours: venue.hours, hold });
  return showing.ok ? showing.value : null;
}

/** A model as comparing needs it. */
export function comparedModel(model: ShelfModel, { fit, curve, hold }: ModelView): ComparedModel {
  const readings = model.calibrations.flatMap((calibration) => calibration.readings);
  // Balloons, not readings.
  const filled = model.calibrations.reduce(
    (sum, calibration) => sum + new Set(balloonsOf(calibration.readings.map(coreReading))).size,
    0,
  );
  const burst = readings.filter(({ outcome }) => outcome === 'burst').length;
  const { nominalMm, finish } = model;
  return { nominalMm, finish, fit, curve, hold, filled: Math.max(filled, burst), burst };
}

/** The target shown first: of the tier nearest to what most work is filled to. */
export function firstTarget({ targets, usualFraction }: ModelView): TierTarget | undefined {
  const tier = nearestTier(
    targets.map((target) => target.tier),
    usualFraction,
  );
  return targets.find((target) => target.tier === tier);
}

/** How a balloon is drawn of which no more is known than what is on its bag: round, at its nominal. */
export function asSold({ nominalMm, colourHex, finish, decor }: ModelRecord) {
  return { nominalMm, colourHex, finish, decor, widthMm: nominalMm, heightMm: nominalMm };
}

/** What the picture of a balloon needs. */
export function figureOf(model: ModelRecord, fit: Pick<DoseCurve, 'shape'> | null, widthMm: number) {
  return { ...asSold(model), widthMm, heightMm: heightAtMm({ fit, widthMm }) };
}

/** The balloon used most: the one that a page without a choice begins with. */
export function mostUsed(models: readonly ShelfModel[]): ShelfModel | undefined {
  return [...models].sort((x, y) => y.uses - x.uses)[0];
}

/**
 * A model's name as decorators say it: line and nominal inches, or a modelling balloon's code; a pair has a name of
 * its own.
 */
export function modelName({
  line,
  nominalMm,
  lengthMm = null,
  outerId = null,
  kind = 'round',
}: Pick<ShelfModel, 'line' | 'nominalMm'> & Partial<Pick<ShelfModel, 'lengthMm' | 'outerId' | 'kind'>>): string {
  if (outerId !== null) return line;
  return kind === 'modelling' && lengthMm !== null
    ? `${line} ${modellingCode({ widthMm: nominalMm, lengthMm })}`
    : `${line} ${nominalInches(nominalMm)}`;
}

/** The same with its colour: what is bought. A pair has its own name. */
export function balloonName(model: Parameters<typeof modelName>[0] & Pick<ShelfModel, 'colourName'>): string {
  return (model.outerId ?? null) === null ? `${modelName(model)}, ${model.colourName}` : modelName(model);
}

/** The same of a balloon that a recipe may only have a look of. */
export const chosenName = (model: Parameters<typeof balloonName>[0] | null | undefined): string =>
  model ? balloonName(model) : 'not chosen from the shelf';

/** Nominal sizes are sold in inches everywhere. */
export function nominalInches(nominalMm: number): string {
  return String(Math.round((nominalMm / MM_PER_INCH) * 10) / 10);
}
