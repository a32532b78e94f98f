import type { CalibrationRecord, HoldTestRecord, ModelDetail, RowOf, Rows, ShelfModel } from '@leggero/contract';
import { weakMapMemoize } from 'reselect';

import { checksOfModel } from './checks';
import { groupsOf, listed, listOf, withRows } from './rows';

/** The rows of which a shelf is made. */
export type ShelfRows = Pick<Rows, (typeof SHELF_NOUNS)[number]>;
export const SHELF_NOUNS = ['model', 'calibration', 'reading', 'holdTest', 'holdReading', 'target', 'check'] as const;
/** The same with the results of its checks. */
export const DETAIL_NOUNS = [...SHELF_NOUNS, 'checkResult'] as const;

const models = listOf('model');
const calibrationsOf = groupsOf('calibration', 'modelId');
export const readingsOf = groupsOf('reading', 'calibrationId');
const holdTestsOf = groupsOf('holdTest', 'modelId');
const holdReadingsOf = groupsOf('holdReading', 'holdTestId');
const targetsOf = groupsOf('target', 'modelId');
const usingChecksOf = groupsOf('check', 'modelId');

const withReadings = withRows<RowOf<'calibration'>, 'readings'>('readings');
const withWidths = withRows<RowOf<'holdTest'>, 'readings'>('readings');

function calibratedOf(rows: ShelfRows, modelId: string): CalibrationRecord[] {
  const readings = readingsOf(rows.reading);
  return listed(
    ...calibrationsOf(rows.calibration)
      .of(modelId)
      .map((each): CalibrationRecord => withReadings(each, readings.of(each.id))),
  );
}

function heldOf(rows: ShelfRows, modelId: string): HoldTestRecord[] {
  const readings = holdReadingsOf(rows.holdReading);
  return listed(
    ...holdTestsOf(rows.holdTest)
      .of(modelId)
      .map((each): HoldTestRecord => withWidths(each, readings.of(each.id))),
  );
}

/** How often a balloon was checked and a target of it kept. */
function usesOf(rows: ShelfRows, modelId: string): number {
  return targetsOf(rows.target).of(modelId).length + usingChecksOf(rows.check).of(modelId).length;
}

/** For the shelf the newest few calibrations and readings are enough, however much was imported. */
const RECENT_CALIBRATIONS = 4;
const RECENT_READINGS = 24;

/** A calibration with its newest readings, in the order taken; the very same where it has no more. */
const recentOnly = weakMapMemoize((calibration: CalibrationRecord): CalibrationRecord => {
  const { readings } = calibration;
  return readings.length <= RECENT_READINGS
    ? calibration
    : { ...calibration, readings: readings.slice(-RECENT_READINGS) };
});

const onShelf = weakMapMemoize(
  (row: RowOf<'model'>, calibrations: CalibrationRecord[], holdTests: HoldTestRecord[], uses: number): ShelfModel => ({
    ...row,
    calibrations: calibrations.slice(0, RECENT_CALIBRATIONS).map(recentOnly),
    holdTests,
    uses,
  }),
);

/** The shelf: every balloon by line and size, each with its newest readings and how much it is used. */
export function shelfOf(rows: ShelfRows): ShelfModel[] {
  return fromRows(...SHELF_NOUNS.map((noun) => rows[noun]));
}

/** Many pages look at one shelf: of the very same rows it is put together once. */
const fromRows = weakMapMemoize((...maps: ShelfRows[keyof ShelfRows][]) => {
  const rows = Object.fromEntries(SHELF_NOUNS.map((noun, i) => [noun, maps[i]])) as unknown as ShelfRows;
  return listed(
    ...models(rows.model).map((row) =>
      onShelf(row, calibratedOf(rows, row.id), heldOf(rows, row.id), usesOf(rows, row.id)),
    ),
  );
});

/** One balloon with all that is known of it; undefined where there is none. */
export function detailOf(rows: Pick<Rows, (typeof DETAIL_NOUNS)[number]>, id: string): ModelDetail | undefined {
  const row = rows.model.get(id);
  return (
    row &&
    inDetail(row, calibratedOf(rows, id), heldOf(rows, id), targetsOf(rows.target).of(id), checksOfModel(rows, id))
  );
}

const inDetail = weakMapMemoize(
  (
    row: RowOf<'model'>,
    calibrations: CalibrationRecord[],
    holdTests: HoldTestRecord[],
    targets: readonly RowOf<'target'>[],
    checks: ModelDetail['checks'],
  ): ModelDetail => ({
    ...row,
    calibrations,
    holdTests,
    uses: targets.length + checks.length,
    targets: [...targets],
    checks,
  }),
);
