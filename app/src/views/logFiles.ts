import type { AsBuiltRecord, ModelRecord, RepairRecord, ShelfModel } from '@leggero/contract';
import { TALLIES } from '@leggero/core';
import type { PieceTook } from '@leggero/core/recipe';

import { balloonName } from './modelView';
import type { SizedBalloon } from './sized';
import { batchOfBags, type StockBook } from './stock';
import type { Taken } from './taken';

/** Figures stay figures: what begins with a minus would else be taken for a formula. */
type Line<Columns extends readonly string[]> = Record<Columns[number], string | number>;

const mm = (value: number): number => Math.round(value * 100) / 100;
const minutes = (seconds: number): number => Math.round(seconds / 6) / 10;

export const SIZE_COLUMNS = [
  ...(['at (UTC)', 'balloon', 'width (mm)', 'target (mm)', 'off (mm)', 'tolerance (mm)'] as const),
  ...(['station', 'batch'] as const),
] as const;

/** Measured balloons as lines, in the order they were measured. */
export function sizeLines(
  model: ModelRecord,
  sized: readonly SizedBalloon[],
  batchOf: (bagId: string) => string,
): Line<typeof SIZE_COLUMNS>[] {
  return sized.map(({ at, widthMm, targetMm, offMm, toleranceMm, turn }) => ({
    'at (UTC)': at,
    balloon: balloonName(model),
    'width (mm)': mm(widthMm),
    'target (mm)': mm(targetMm),
    'off (mm)': mm(offMm),
    'tolerance (mm)': mm(toleranceMm),
    station: turn?.station ?? '',
    batch: turn?.bagId ? batchOf(turn.bagId) : '',
  }));
}

export const LOSS_COLUMNS = ['balloon', 'work', 'batch', 'used', 'lost'] as const;

/** Losses as lines: what was written down, and what each turn of a station lost. */
export function lossLines(models: readonly ModelRecord[], book: StockBook): Line<typeof LOSS_COLUMNS>[] {
  return models.flatMap((model) => {
    const { seen, bags } = book.of(model.id);
    const batches = batchOfBags(bags);
    return seen.map(({ work, bagId, used, lost }) => ({
      ...{ balloon: balloonName(model), work, batch: bagId === null ? '' : (batches.get(bagId) ?? '') },
      ...{ used, lost },
    }));
  });
}

export const PACE_COLUMNS = ['run begun (UTC)', 'event', 'station', 'seconds each', 'balloons'] as const;

/** The pace of each station of each run as lines. */
export function paceLines(taken: readonly Taken[]): Line<typeof PACE_COLUMNS>[] {
  return taken.flatMap(({ startedAt, eventName, paces }) =>
    paces.map(({ station, eachS, balloons }) => ({
      ...{ 'run begun (UTC)': startedAt, event: eventName, station },
      ...{ 'seconds each': Math.round(10 * eachS) / 10, balloons },
    })),
  );
}

export const TAKEN_COLUMNS = [
  ...(['run begun (UTC)', 'event', 'planned', ...TALLIES] as const),
  ...(['stations', 'lasted (min)'] as const),
] as const;

/** What each run took, as lines. */
export function takenLines(taken: readonly Taken[]): Line<typeof TAKEN_COLUMNS>[] {
  return taken.map(({ startedAt, eventName, planned, counts, stations, lastedS }) => ({
    ...{ 'run begun (UTC)': startedAt, event: eventName, planned, ...counts, stations },
    'lasted (min)': minutes(lastedS),
  }));
}

/** What a piece took, as it is told. */
export interface ShownTook extends PieceTook {
  name: string;
  /** What its plan has for filling it, s. */
  plannedS: number;
  /** Balloons of it that were made anew where it stood. */
  anew: number;
}

export const BY_PIECE_COLUMNS = [
  ...(['event', 'piece', 'planned', 'done', 'lost', 'made anew'] as const),
  ...(['planned (min)', 'took (min)'] as const),
] as const;

/** What each piece of an event took, as lines; no time where it is not known. */
export function byPieceLines(event: string, took: readonly ShownTook[]): Line<typeof BY_PIECE_COLUMNS>[] {
  return took.map(({ name: piece, planned, done, lost, anew, plannedS, workedS }) => ({
    ...{ event, piece, planned, done, lost, 'made anew': anew },
    ...{ 'planned (min)': minutes(plannedS), 'took (min)': workedS === null ? '' : minutes(workedS) },
  }));
}

/** What events and pieces are called; '' of what is gone. */
interface Names {
  eventOf: (id: string) => string;
  pieceOf: (id: string | null) => string;
}

export const BUILT_COLUMNS = [
  ...(['at (UTC)', 'event', 'piece', 'measure'] as const),
  ...(['drawn (mm)', 'came out (mm)'] as const),
] as const;

/** How large pieces came out, as lines. */
export function builtLines(built: readonly AsBuiltRecord[], { eventOf, pieceOf }: Names): Line<typeof BUILT_COLUMNS>[] {
  return built.map(({ at, eventId, pieceId, measure, drawnMm, builtMm }) => ({
    ...{ 'at (UTC)': at, event: eventOf(eventId), piece: pieceOf(pieceId), measure },
    ...{ 'drawn (mm)': mm(drawnMm), 'came out (mm)': mm(builtMm) },
  }));
}

export const REPAIR_COLUMNS = [
  ...(['at (UTC)', 'event', 'piece', 'balloon', 'cause'] as const),
  ...(['reckoned (mm)', 'measured beside it (mm)', 'filled to (mm)'] as const),
] as const;

/** Balloons that were made anew where they stood, as lines. */
export function repairLines(
  repairs: readonly RepairRecord[],
  models: readonly ModelRecord[],
  { eventOf, pieceOf }: Names,
): Line<typeof REPAIR_COLUMNS>[] {
  const known = new Map(models.map((model) => [model.id, balloonName(model)]));
  return repairs.map(({ at, eventId, pieceId, modelId, cause, reckonedMm, measuredMm, fillMm }) => ({
    ...{ 'at (UTC)': at, event: eventOf(eventId), piece: pieceOf(pieceId) },
    ...{ balloon: known.get(modelId ?? '') ?? '', cause, 'reckoned (mm)': mm(reckonedMm) },
    ...{ 'measured beside it (mm)': measuredMm === null ? '' : mm(measuredMm), 'filled to (mm)': mm(fillMm) },
  }));
}

export const HOLD_COLUMNS = ['begun (UTC)', 'balloon', 'wraps', 'stuffed', 'hours', 'width (mm)'] as const;

/** Hold tests as lines, a width each. */
export function holdLines(models: readonly ShelfModel[]): Line<typeof HOLD_COLUMNS>[] {
  return models.flatMap((model) =>
    model.holdTests.flatMap(({ startedAt, wraps, stuffed, readings }) =>
      readings.map(({ hours, widthMm }) => ({
        ...{ 'begun (UTC)': startedAt, balloon: balloonName(model), wraps, stuffed: stuffed ? 'yes' : 'no' },
        ...{ hours, 'width (mm)': mm(widthMm) },
      })),
    ),
  );
}
