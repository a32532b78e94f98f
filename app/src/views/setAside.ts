import type { HoldTestRecord, ShelfModel } from '@leggero/contract';
import { coreHoldTest } from '@leggero/contract';
import { afterNight, defaultHoldRate, fitHold, type AfterNight, type HoldRate, type Trade } from '@leggero/core';

import type { ShownRun } from './inflation';

/** A balloon that was measured at its knot and set aside. */
export interface SetAside {
  model: ShelfModel;
  test: HoldTestRecord;
  firstMm: number;
  /** Since its knot. */
  hours: number;
  /** Its newest width after the first; null until it was measured again. */
  again: { widthMm: number; hours: number } | null;
}

const HOUR_MS = 3_600_000;
/** Older ones were set aside for something else. */
const RECENT_H = 96;

/** A batch of which one can be set aside. */
export interface MadeBatch {
  id: string;
  place: number;
  model: ShelfModel;
  fillMm: number;
}

/** What the newest run of an event made, one batch for each balloon and width. */
export function madeBatches(runs: readonly ShownRun[], models: readonly ShelfModel[]): MadeBatch[] {
  const made = runs.find(({ batches }) => batches.some(({ turns }) => turns.length > 0));
  return (made?.batches ?? []).flatMap(({ id, place, modelId, fillMm, turns }) => {
    const model = models.find((each) => each.id === modelId);
    return model && turns.length > 0 ? [{ id, place, model, fillMm }] : [];
  });
}

/** Balloons of these kinds that were set aside lately, the newest first. */
export function setAside(models: readonly ShelfModel[], modelIds: ReadonlySet<string>, nowMs: number): SetAside[] {
  return models
    .filter(({ id }) => modelIds.has(id))
    .flatMap((model) =>
      model.holdTests.flatMap((test): SetAside[] => {
        const hours = (nowMs - Date.parse(test.startedAt)) / HOUR_MS;
        const first = test.readings.find((reading) => reading.hours === 0);
        if (!first || hours > RECENT_H) return [];
        const last = test.readings.at(-1)!;
        return [{ model, test, firstMm: first.widthMm, hours, again: last.hours > 0 ? last : null }];
      }),
    )
    .sort((a, b) => (a.test.startedAt < b.test.startedAt ? 1 : -1));
}

/** The rate that a balloon was reckoned with before it was measured again. */
export function rateBefore({ model, test }: SetAside, trade: Trade): HoldRate {
  const { wraps, stuffed } = test;
  const tests = model.holdTests.filter(({ id }) => id !== test.id).map(coreHoldTest);
  const fitted = fitHold({ tests, closing: { wraps, stuffed }, nominalMm: model.nominalMm, trade });
  return fitted.ok ? fitted.value : defaultHoldRate({ wraps, stuffed, nominalMm: model.nominalMm }, trade);
}

/** What a balloon that was measured again says; null until it was. `opensMs`: null where no day is set. */
export function nightOf(one: SetAside, opensMs: number | null, trade: Trade): AfterNight | null {
  const { again, firstMm, test } = one;
  if (!again) return null;
  const measuredMs = Date.parse(test.startedAt) + again.hours * HOUR_MS;
  return afterNight({
    ...{ firstMm, nowMm: again.widthMm, hours: again.hours, rate: rateBefore(one, trade), trade },
    hoursLeft: opensMs === null ? 0 : (opensMs - measuredMs) / HOUR_MS,
  });
}
