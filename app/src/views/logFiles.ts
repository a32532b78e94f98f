import type { ModelRecord } from '@leggero/contract';

import { balloonName } from './modelView';
import type { SizedBalloon } from './sized';
import { batchOfBags, type StockBook } from './stock';
import type { Taken } from './taken';

/** Figures stay figures: what begins with a minus would else be taken for a formula. */
type Line<Columns extends readonly string[]> = Record<Columns[number], string | number>;

const mm = (value: number): number => Math.round(value * 100) / 100;

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
