import type { ModelKind, Shape } from '../balloon';
import type { Inflator } from '../inflator';
import { TRADE, type Trade } from '../trade';
import { estimateCurve, type EstimatedCurve } from './estimateCurve';
import { expectShape } from './expectShape';
import type { KnownBefore } from './knownBefore';
import { fitCalibration, fitWithPoints, type CalibrationFit, type FitProblemCode } from './fitCalibration';
import { errorsOf, learnErrors, type LearnedErrors, type LearningCalibration } from './learnErrors';
import { aspectsOf, learnAnswers, learnMargin, type LearnedAnswer, type LearnedMargin } from './learnHabits';
import { poolInflator, type InflatorKnowledge } from './poolInflator';
import { widthSeenMm, type Reading } from './reading';
import { aspectAt } from './shapeLaw';

/** A calibration as the shelf holds it. */
export interface ShelfCalibration {
  id: string;
  inflatorId: string;
  readings: readonly Reading[];
}

/** What a balloon is, whatever was read of it. */
interface BalloonSort {
  id: string;
  line: string;
  kind: ModelKind;
  nominalMm: number;
  /** Two balloons, one in the other: it fills unlike any other of its line. */
  stuffed: boolean;
}

/** A balloon on the shelf, its calibrations newest first. */
export interface ShelfBalloon extends BalloonSort {
  calibrations: readonly ShelfCalibration[];
}

/** A fit, or why there is none. */
export type FitOutcome = { fit: CalibrationFit; problem: null } | { fit: null; problem: FitProblemCode };

/** A fitted calibration and whose it is. */
interface Fitted {
  id: string;
  balloon: BalloonSort;
  inflatorId: string;
  fit: CalibrationFit;
}

/** What all calibrations of a studio teach together. */
export interface ShelfKnowledge {
  /** What makes readings differ: measuring, balloons, inflators. */
  errors: LearnedErrors;
  /** What answers on the shape stand for, and how far targets stay under what felt hard or burst. */
  answers: Record<Shape, LearnedAnswer>;
  margins: { hard: LearnedMargin; burst: LearnedMargin };
  /** By calibration id. */
  outcomes: ReadonlyMap<string, FitOutcome>;
  /** By inflator id; what each is known to do over all balloons. */
  inflators: ReadonlyMap<string, InflatorKnowledge | null>;
  /** Each calibration by itself, with nothing taken over from others: what can be pooled. */
  alone: readonly Fitted[];
}

/**
 * Fits every calibration by itself, learns what makes readings differ, fits anew with that, pools what is known of
 * each inflator and each line's shape, and at last fits every calibration with what all others say.
 */
export function knowShelf({
  balloons,
  inflators,
  trade = TRADE,
}: {
  balloons: readonly ShelfBalloon[];
  inflators: ReadonlyMap<string, Inflator>;
  trade?: Trade | undefined;
}): ShelfKnowledge {
  const inflatorOf = (id: string): Inflator => inflators.get(id) ?? { kind: 'hand' };
  const first: LearningCalibration[] = [];
  eachCalibration(balloons, (balloon, { inflatorId, readings }) => {
    const { kind } = inflatorOf(inflatorId);
    const made = fitWithPoints({
      nominalMm: balloon.nominalMm,
      readings,
      pump: { kind },
      known: { inflator: null },
      trade,
    });
    if (!made.ok) return;
    const { fit, points } = made.value;
    first.push({ inflatorId, kind, points, doseVolumeL: fit.doseVolumeL, shape: fit.shape });
  });
  const errors = learnErrors(first, trade);

  const alone: Fitted[] = [];
  eachCalibration(balloons, (balloon, { id, inflatorId, readings }) => {
    const { kind } = inflatorOf(inflatorId);
    const own = errorsOf(errors, { inflatorId, kind }, trade);
    const { calibrations, ...sort } = balloon;
    const { nominalMm } = sort;
    const made = fitCalibration({ nominalMm, readings, pump: { kind }, errors: own, known: { inflator: null }, trade });
    if (made.ok) alone.push({ id, balloon: sort, inflatorId, fit: made.value });
  });
  const known = new Map<string, InflatorKnowledge | null>();
  for (const [id, inflator] of inflators) {
    const fits = alone.filter(({ inflatorId, balloon }) => inflatorId === id && !balloon.stuffed).map(({ fit }) => fit);
    known.set(id, poolInflator({ inflator, fits, trade }));
  }

  const shelf = { errors, inflators: known, alone, ...learnedHabits(balloons, alone, trade) };
  const outcomes = new Map<string, FitOutcome>();
  eachCalibration(balloons, (balloon, calibration) => {
    outcomes.set(
      calibration.id,
      fitOnShelf({ balloon, calibration, inflator: inflatorOf(calibration.inflatorId), shelf, trade }),
    );
  });
  return { ...shelf, outcomes };
}

/** What the shelf's own balloons say of answers and margins. */
function learnedHabits(
  balloons: readonly ShelfBalloon[],
  alone: readonly Fitted[],
  trade: Trade,
): Pick<ShelfKnowledge, 'answers' | 'margins'> {
  const measured = (fits: readonly Fitted[]) =>
    fits.filter(({ fit }) => fit.shape.seen && !fit.terms.includes('growth')).map(({ fit }) => fit);
  const ofBalloon = new Map<string, Fitted[]>();
  for (const fitted of alone) {
    const { id } = fitted.balloon;
    const own = ofBalloon.get(id);
    if (own) own.push(fitted);
    else ofBalloon.set(id, [fitted]);
  }
  const answered: { shape: Shape; aspect: number }[] = [];
  for (const balloon of balloons) {
    const answers = balloon.stuffed ? [] : balloon.calibrations.flatMap(({ readings }) => readings.filter(isAnswer));
    const siblings = answers.length > 0 ? measured(lineOf(balloon, alone)) : [];
    if (siblings.length === 0) continue;
    const { shape: law } = expectShape({ nominalMm: balloon.nominalMm, siblings, trade });
    for (const reading of answers) {
      const widthMm = widthSeenMm(reading)!;
      answered.push({ shape: reading.shape!, aspect: aspectAt({ law, widthMm }).aspect });
    }
  }
  const kinds = balloons.map(({ id }) => (ofBalloon.get(id) ?? []).map(({ fit }) => fit.limits));
  return {
    answers: learnAnswers(answered, trade),
    margins: {
      hard: learnMargin(
        trade.hardMargin,
        kinds.map((limits) => limits.flatMap(({ hardsMm }) => hardsMm)),
        trade,
      ),
      burst: learnMargin(
        trade.burstMargin,
        kinds.map((limits) => limits.flatMap(({ burstsMm }) => burstsMm)),
        trade,
      ),
    },
  };
}

/** Whether a reading tells its shape by an answer alone. */
function isAnswer(reading: Reading): boolean {
  return reading.shape !== undefined && reading.heightMm === undefined && widthSeenMm(reading) !== undefined;
}

function eachCalibration(
  balloons: readonly ShelfBalloon[],
  visit: (balloon: ShelfBalloon, calibration: ShelfCalibration) => void,
): void {
  for (const balloon of balloons) for (const calibration of balloon.calibrations) visit(balloon, calibration);
}

/** The fit of one calibration with what all others on the shelf say of its inflator, its line and its errors. */
export function fitOnShelf({
  balloon,
  calibration: { id, inflatorId, readings },
  inflator,
  shelf,
  trade = TRADE,
}: {
  balloon: BalloonSort;
  calibration: ShelfCalibration;
  inflator: Inflator;
  shelf: Pick<ShelfKnowledge, 'errors' | 'alone' | 'answers' | 'margins'>;
  trade?: Trade | undefined;
}): FitOutcome {
  const { nominalMm } = balloon;
  const errors = errorsOf(shelf.errors, { inflatorId, kind: inflator.kind }, trade);
  const { hard, burst } = shelf.margins;
  const known = {
    ...knownOf({ balloon, calibrationId: id, inflatorId, inflator, shelf, trade }),
    answers: aspectsOf(shelf.answers),
    margins: { hard: hard.margin, burst: burst.margin },
  };
  const result = fitCalibration({ nominalMm, readings, pump: inflator, errors, known, trade });
  return result.ok ? { fit: result.value, problem: null } : { fit: null, problem: result.problem.code };
}

/** What the rest of the shelf says of a calibration before its own readings. Two skins fill unlike one: nothing. */
function knownOf({
  balloon,
  calibrationId,
  inflatorId,
  inflator,
  shelf,
  trade,
}: {
  balloon: BalloonSort;
  calibrationId: string | null;
  inflatorId: string;
  inflator: Inflator;
  shelf: Pick<ShelfKnowledge, 'alone'>;
  trade: Trade;
}): KnownBefore {
  if (balloon.stuffed) return {};
  const others = shelf.alone.filter((fitted) => fitted.id !== calibrationId && !fitted.balloon.stuffed);
  const siblings = lineOf(balloon, shelf.alone).filter(
    ({ id, balloon: { id: of } }) => id !== calibrationId && of !== balloon.id,
  );
  const withIt = (fitted: readonly Fitted[]) =>
    fitted.filter((one) => one.inflatorId === inflatorId).map(({ fit }) => fit);
  const line = withIt(siblings);
  const fits = tellOfInflator(line) ? line : withIt(others);
  const { shape, growth } = expectShape({
    nominalMm: balloon.nominalMm,
    siblings: siblings.map(({ fit }) => fit),
    lines: otherLines(balloon, shelf.alone),
    trade,
  });
  return { inflator: poolInflator({ inflator, fits, trade }), shape, growth };
}

/** Calibrations of single balloons by kind and line, each line's fits in a list that stays the same. */
type Lines = ReadonlyMap<
  ModelKind,
  ReadonlyMap<string, { fitted: readonly Fitted[]; fits: readonly CalibrationFit[] }>
>;

/** Every balloon of a shelf asks for its line and for all others: they are told apart once. */
const LINES = new WeakMap<readonly Fitted[], Lines>();

function linesOf(all: readonly Fitted[]): Lines {
  const known = LINES.get(all);
  if (known) return known;
  const lines = new Map<ModelKind, Map<string, { fitted: Fitted[]; fits: CalibrationFit[] }>>();
  for (const fitted of all) {
    const { balloon, fit } = fitted;
    if (balloon.stuffed) continue;
    const ofKind = lines.get(balloon.kind) ?? new Map<string, { fitted: Fitted[]; fits: CalibrationFit[] }>();
    lines.set(balloon.kind, ofKind);
    const line = ofKind.get(nameOf(balloon)) ?? { fitted: [], fits: [] };
    ofKind.set(nameOf(balloon), line);
    line.fitted.push(fitted);
    line.fits.push(fit);
  }
  LINES.set(all, lines);
  return lines;
}

/** Calibrations of a balloon's line in its kind, its own among them. */
function lineOf(balloon: Pick<BalloonSort, 'line' | 'kind'>, all: readonly Fitted[]): readonly Fitted[] {
  return linesOf(all).get(balloon.kind)?.get(nameOf(balloon))?.fitted ?? [];
}

/** Calibrations of the other lines of a balloon's kind, line by line. */
function otherLines(
  balloon: Pick<BalloonSort, 'line' | 'kind'>,
  all: readonly Fitted[],
): (readonly CalibrationFit[])[] {
  const own = nameOf(balloon);
  return [...(linesOf(all).get(balloon.kind) ?? [])].flatMap(([name, { fits }]) => (name === own ? [] : [fits]));
}

/** Whether calibrations of a line say more of an inflator than all others do: one dose leaves open what is lost. */
function tellOfInflator(fits: readonly CalibrationFit[]): boolean {
  return fits.some(({ distinctDoses }) => distinctDoses >= 2);
}

/** The other sizes of a balloon's line: one line in one kind behaves alike, balloon by balloon. */
export function sameLine(a: Pick<BalloonSort, 'id' | 'line' | 'kind'>, b: Omit<BalloonSort, 'nominalMm'>): boolean {
  return a.id !== b.id && !b.stuffed && a.kind === b.kind && nameOf(a) === nameOf(b);
}

/** A line's name without what differs in writing only. */
function nameOf({ line }: Pick<BalloonSort, 'line'>): string {
  return line.trim().toLowerCase();
}

/**
 * The estimated curve of a balloon with an inflator, from all else on the shelf; `null` when nothing is known of the
 * inflator.
 */
export function estimateFor({
  balloon,
  inflatorId,
  inflator,
  shelf,
  trade = TRADE,
}: {
  balloon: Pick<BalloonSort, 'id' | 'line' | 'kind' | 'nominalMm'>;
  inflatorId: string;
  inflator: Inflator;
  shelf: ShelfKnowledge;
  trade?: Trade | undefined;
}): EstimatedCurve | null {
  const siblings = lineOf(balloon, shelf.alone).filter((fitted) => fitted.balloon.id !== balloon.id);
  const withIt = siblings.filter((fitted) => fitted.inflatorId === inflatorId).map(({ fit }) => fit);
  return estimateCurve({
    nominalMm: balloon.nominalMm,
    siblings: siblings.map(({ fit }) => fit),
    lines: otherLines(balloon, shelf.alone),
    line: tellOfInflator(withIt) ? poolInflator({ inflator: { kind: inflator.kind }, fits: withIt, trade }) : null,
    all: shelf.inflators.get(inflatorId) ?? null,
    errors: errorsOf(shelf.errors, { inflatorId, kind: inflator.kind }, trade),
    trade,
  });
}
