import { randomUUID } from 'node:crypto';

import {
  fitCalibration,
  normalFrom,
  randomFrom,
  resolveTarget,
  STANDARD_TIERS,
  type HoleAnswer,
  type Nozzle,
  type Reading,
  type Target,
} from '@leggero/core';
import { eq } from 'drizzle-orm';

import type { Database } from '../db/connect';
import {
  calibrations,
  checkResults,
  checks,
  holdReadings,
  holdTests,
  models,
  pumps,
  readings,
  studios,
  tiers,
} from '../db/tables';
import { transact } from '../db/transact';
import { ensureOwner } from '../studio/store';
import { isoAt } from './moment';
import { byTape, measure } from './balloon';
import { fillPeople, fillSizers } from './gauges';
import { fillPairs } from './pairs';
import { fillPieces } from './pieces';
import { fillStock } from './stock';
import { DEMO_MODELS, DEMO_PUMPS, DEMO_STUDIO, type DemoCalibration, type DemoModel } from './scenario';

const SEED = 20261204;
/** The evening of the first readings; the demo's days are always the same. */
const FIRST_DAY = Date.UTC(2026, 9, 5, 17, 0);
const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;
/** A batch of twelve for the kelp columns: one is small. */
const DEMO_BATCH = { size: 12, tierName: 'Classic', sdMm: 2.4, small: { at: 5, byMm: -11 } };

/** Evenings before on which it was measured too; on the last of them a new bag came out larger. */
const EARLIER = [
  { day: 1, leanMm: 0 },
  { day: 2, leanMm: 0 },
  { day: 3, leanMm: 0 },
  { day: 5.1, leanMm: 4 },
];

/** Fills the demo studio once, whole or not at all; answers its id. */
export async function fillDemo({ database }: { database: Database }): Promise<string> {
  const [existing] = await database.select({ id: studios.id }).from(studios).where(eq(studios.demo, true));
  if (existing) {
    await ensureOwner({ database, studioId: existing.id });
    return existing.id;
  }
  const studioId = randomUUID();
  await transact(database, async (tx) => {
    await tx.insert(studios).values({ ...DEMO_STUDIO, id: studioId, demo: true });
    await tx
      .insert(tiers)
      .values(STANDARD_TIERS.map((tier, position) => ({ ...tier, id: randomUUID(), studioId, position })));
    const pumpIds = await fillPumps(tx, studioId);
    await fillSizers({ tx, studioId, firstDay: FIRST_DAY });
    const random = randomFrom(SEED);
    const modelIds: string[] = [];
    for (const [index, model] of DEMO_MODELS.entries()) {
      modelIds.push(await fillModel(tx, { studioId, pumpIds, model, index, random }));
    }
    await fillPeople({ tx, studioId, firstDay: FIRST_DAY, random }, modelIds[0]!);
    await fillPairs({ tx, studioId, pumpIds, evening: FIRST_DAY + 9 * DAY_MS });
    await fillPieces({ tx, studioId, pumpIds, evening: FIRST_DAY + 10 * DAY_MS });
    await fillStock({ tx, studioId, evening: FIRST_DAY + 11 * DAY_MS });
  });
  return studioId;
}

export type PumpIds = Record<keyof typeof DEMO_PUMPS, string>;

async function fillPumps(tx: Database, studioId: string): Promise<PumpIds> {
  const ids = { hand: randomUUID(), floor: randomUUID(), timed: randomUUID(), twin: randomUUID() };
  for (const key of ['hand', 'floor', 'timed', 'twin'] as const) {
    const { name, kind, doseVolumeL } = DEMO_PUMPS[key];
    await tx.insert(pumps).values({ id: ids[key], studioId, name, kind, doseVolumeL, demo: true });
  }
  return ids;
}

interface FillModel {
  studioId: string;
  pumpIds: PumpIds;
  model: DemoModel;
  index: number;
  random: () => number;
}

async function fillModel(tx: Database, options: FillModel): Promise<string> {
  const { studioId, pumpIds, model, index, random } = options;
  const { roundTo: _, calibrations: made, held = [], ...record } = model;
  const modelId = randomUUID();
  await tx.insert(models).values({ ...record, id: modelId, studioId, demo: true });
  for (const [age, calibration] of made.entries()) {
    // The newest comes first; each older one is of the evening before.
    const startedMs = FIRST_DAY + (index - age) * DAY_MS;
    const calibrationId = randomUUID();
    const { pump, preStretched = false, roundedOff = false } = calibration;
    await tx.insert(calibrations).values({
      id: calibrationId,
      studioId,
      modelId,
      pumpId: pumpIds[pump],
      preStretched,
      roundedOff,
      startedAt: isoAt(startedMs),
      demo: true,
    });
    const taken = takeReadings(model, calibration, random);
    await tx.insert(readings).values(
      taken.map(({ bracket, way = 'tape', ...reading }, i) => ({
        ...reading,
        ...bracket,
        way,
        id: randomUUID(),
        studioId,
        calibrationId,
        takenAt: isoAt(startedMs + (i + 1) * MINUTE_MS),
      })),
    );
    if (index === 0 && age === 0) {
      const target = classicTarget(model, taken);
      await fillCheck(tx, { studioId, modelId, target, random });
      // Numbers of its own: whatever is drawn after it stays as it was.
      const measured = { studioId, modelId, target, random: randomFrom(SEED + 1) };
      await fillCheck(tx, { ...measured, measured: { day: 5, leanMm: 0 } });
      for (const each of EARLIER) await fillCheck(tx, { ...measured, measured: each });
    }
  }
  for (const test of held) await fillHoldTest(tx, { ...options, modelId, test });
  return modelId;
}

/** Half an inch between the holes of a bracket. */
const BRACKET_MM = 12.7;

/** Readings as a decorator would take them from the physical balloon. */
export function takeReadings(
  { nominalMm, roundTo }: Pick<DemoModel, 'nominalMm' | 'roundTo'>,
  { pump, doses, endsHard, slip, bracketed = [], preStretched = false, roundedOff = false }: DemoCalibration,
  random: () => number,
): Reading[] {
  const { doseVolumeL, lost, uneven, kind } = DEMO_PUMPS[pump];
  return doses.map((dose, i): Reading => {
    const nozzle: Nozzle | undefined = kind === 'twin' ? (i % 2 === 0 ? 'left' : 'right') : undefined;
    const rateL = doseVolumeL * (1 + (nozzle === 'left' ? uneven : nozzle === 'right' ? -uneven : 0));
    const deadVolumeL = -lost * doseVolumeL;
    const balloon = { nominalMm, roundTo, doseVolumeL: rateL, deadVolumeL, preStretched, roundedOff };
    const { widthMm, heightMm } = measure({ balloon, dose, random });
    const outcome = endsHard && i === doses.length - 1 ? 'hard' : 'ok';
    // A fresh one for each: what its strokes and its make add is its own.
    const base = { dose, outcome, balloon: i + 1, ...(nozzle ? { nozzle } : {}) } as const;
    if (slip?.at === i) return { ...base, widthMm: widthMm + slip.byMm };
    if (!bracketed.includes(i)) return { ...base, widthMm, heightMm };
    const stopsMm = Math.floor(widthMm / BRACKET_MM) * BRACKET_MM;
    return { ...base, way: 'bracket', bracket: { stopsMm, passesMm: stopsMm + BRACKET_MM } };
  });
}

interface FillHold extends FillModel {
  modelId: string;
  test: NonNullable<DemoModel['held']>[number];
}

async function fillHoldTest(tx: Database, { studioId, modelId, model, index, test, random }: FillHold): Promise<void> {
  const holdTestId = randomUUID();
  const startedMs = FIRST_DAY + index * DAY_MS + 60 * MINUTE_MS;
  await tx.insert(holdTests).values({
    id: holdTestId,
    studioId,
    modelId,
    wraps: test.wraps,
    stuffed: false,
    startedAt: isoAt(startedMs),
    demo: true,
  });
  const firstMm = 0.86 * model.nominalMm;
  await tx.insert(holdReadings).values(
    [0, ...test.hours].map((hours) => ({
      id: randomUUID(),
      studioId,
      holdTestId,
      hours,
      widthMm: firstMm * Math.exp(-test.lossPerHour * hours) + (hours === 0 ? 0 : 0.6 * normalFrom(random)),
    })),
  );
}

function classicTarget({ nominalMm }: DemoModel, taken: readonly Reading[]): Target {
  const tier = STANDARD_TIERS.find(({ name }) => name === DEMO_BATCH.tierName);
  const fit = fitCalibration({ nominalMm, readings: taken });
  const { daysStanding, stepMm: step } = DEMO_STUDIO;
  const target = tier && fit.ok && resolveTarget({ nominalMm, tier, fit: fit.value, daysStanding, step });
  if (!target || !target.ok) throw new Error('the demo readings give no target');
  return target.value;
}

interface FillCheck {
  studioId: string;
  modelId: string;
  target: Target;
  random: () => number;
  /** By the tape, so many days after the first evening and so much too large; else by answers at the hole. */
  measured?: { day: number; leanMm: number };
}

async function fillCheck(tx: Database, { studioId, modelId, target, random, measured }: FillCheck): Promise<void> {
  const { widthMm: targetMm, toleranceMm } = target;
  const { size, tierName, sdMm, small } = DEMO_BATCH;
  const checkId = randomUUID();
  const startedMs = FIRST_DAY + (measured?.day ?? 6) * DAY_MS;
  await tx.insert(checks).values({
    id: checkId,
    studioId,
    modelId,
    tierName,
    targetMm,
    toleranceMm,
    size,
    startedAt: isoAt(startedMs),
    demo: true,
  });
  await tx.insert(checkResults).values(
    Array.from({ length: size }, (_, position) => {
      const offMm = position === small.at && !measured ? small.byMm : sdMm * normalFrom(random);
      const takenAt = isoAt(startedMs + position * 20_000);
      const base = { id: randomUUID(), studioId, checkId, position, takenAt };
      if (measured) return { ...base, widthMm: byTape(targetMm + measured.leanMm + offMm) };
      const answer: HoleAnswer = offMm > toleranceMm ? 'stops' : offMm < -toleranceMm ? 'falls' : 'passes';
      return { ...base, answer };
    }),
  );
}
