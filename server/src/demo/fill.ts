import { randomUUID } from 'node:crypto';

import {
  fitCalibration,
  normalFrom,
  randomFrom,
  resolveTarget,
  STANDARD_TIERS,
  type HoleAnswer,
  type Reading,
  type Target,
} from '@leggero/core';
import { eq } from 'drizzle-orm';

import type { Database } from '../db/connect';
import {
  calibrations,
  checkResults,
  checks,
  models,
  pumps,
  readings,
  sizerHoles,
  sizers,
  studios,
  tiers,
} from '../db/schema';
import { measure } from './balloon';
import { DEMO_MODELS, DEMO_PUMPS, DEMO_SIZERS, DEMO_STUDIO, type DemoModel } from './scenario';

const SEED = 20261204;
/** The evening of the first readings; the demo's days are always the same. */
const FIRST_DAY = Date.UTC(2026, 9, 5, 17, 0);
const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;
/** A batch of twelve for the kelp columns: one is small. */
const DEMO_BATCH = { size: 12, tierName: 'Classic', sdMm: 2.4, small: { at: 5, byMm: -11 } };

type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];

/** Fills the demo studio once, whole or not at all; answers its id. */
export async function fillDemo({ database }: { database: Database }): Promise<string> {
  const [existing] = await database.select({ id: studios.id }).from(studios).where(eq(studios.demo, true));
  if (existing) return existing.id;
  const studioId = randomUUID();
  await database.transaction(async (tx) => {
    await tx.insert(studios).values({ ...DEMO_STUDIO, id: studioId, demo: true });
    await tx
      .insert(tiers)
      .values(STANDARD_TIERS.map((tier, position) => ({ ...tier, id: randomUUID(), studioId, position })));
    const pumpIds = await fillPumps(tx, studioId);
    await fillSizers(tx, studioId);
    const random = randomFrom(SEED);
    for (const [index, model] of DEMO_MODELS.entries()) {
      await fillModel(tx, { studioId, pumpId: pumpIds[model.pump], model, index, random });
    }
  });
  return studioId;
}

async function fillPumps(tx: Transaction, studioId: string): Promise<Record<DemoModel['pump'], string>> {
  const ids = { hand: randomUUID(), floor: randomUUID() };
  for (const key of ['hand', 'floor'] as const) {
    await tx.insert(pumps).values({ ...DEMO_PUMPS[key], id: ids[key], studioId, kind: 'hand', demo: true });
  }
  return ids;
}

async function fillSizers(tx: Transaction, studioId: string): Promise<void> {
  for (const { name, inches } of DEMO_SIZERS) {
    const sizerId = randomUUID();
    await tx.insert(sizers).values({ id: sizerId, studioId, name, demo: true });
    await tx.insert(sizerHoles).values(
      inches.map((size) => ({
        id: randomUUID(),
        studioId,
        sizerId,
        label: String(size).replace('.5', '½'),
        widthMm: size * 25.4,
      })),
    );
  }
}

interface FillModel {
  studioId: string;
  pumpId: string;
  model: DemoModel;
  index: number;
  random: () => number;
}

async function fillModel(
  tx: Transaction,
  { studioId, pumpId, model, index, random }: FillModel,
): Promise<void> {
  const { pump, roundTo, doses, endsHard, slip, ...record } = model;
  const modelId = randomUUID();
  await tx.insert(models).values({ ...record, id: modelId, studioId, demo: true });
  if (doses.length === 0) return;
  const startedAt = new Date(FIRST_DAY + index * DAY_MS);
  const calibrationId = randomUUID();
  await tx.insert(calibrations).values({
    id: calibrationId,
    studioId,
    modelId,
    pumpId,
    preStretched: false,
    roundedOff: false,
    startedAt,
    demo: true,
  });
  const { strokeVolumeL } = DEMO_PUMPS[pump];
  const balloon = { nominalMm: model.nominalMm, roundTo, strokeVolumeL, deadVolumeL: -0.12 * strokeVolumeL };
  const taken = doses.map((dose, i): Reading => {
    const { widthMm, heightMm } = measure({ balloon, dose, random });
    const outcome = endsHard && i === doses.length - 1 ? 'hard' : 'ok';
    return slip?.at === i
      ? { dose, widthMm: widthMm + slip.byMm, outcome }
      : { dose, widthMm, heightMm, outcome };
  });
  await tx.insert(readings).values(
    taken.map((reading, i) => ({
      ...reading,
      id: randomUUID(),
      studioId,
      calibrationId,
      takenAt: new Date(startedAt.getTime() + (i + 1) * MINUTE_MS),
    })),
  );
  if (index === 0) await fillCheck(tx, { studioId, modelId, target: classicTarget(model, taken), random });
}

function classicTarget({ nominalMm }: DemoModel, taken: readonly Reading[]): Target {
  const tier = STANDARD_TIERS.find(({ name }) => name === DEMO_BATCH.tierName);
  const fit = fitCalibration({ nominalMm, readings: taken });
  const { daysStanding, stepMm: step } = DEMO_STUDIO;
  const target = tier && fit.ok && resolveTarget({ nominalMm, tier, fit: fit.value, daysStanding, step });
  if (!target || !target.ok) throw new Error('the demo readings give no target');
  return target.value;
}

async function fillCheck(
  tx: Transaction,
  {
    studioId,
    modelId,
    target,
    random,
  }: { studioId: string; modelId: string; target: Target; random: () => number },
): Promise<void> {
  const { widthMm: targetMm, toleranceMm } = target;
  const { size, tierName, sdMm, small } = DEMO_BATCH;
  const checkId = randomUUID();
  const startedAt = new Date(FIRST_DAY + 6 * DAY_MS);
  await tx.insert(checks).values({
    id: checkId, studioId, modelId, tierName, targetMm, toleranceMm, size, startedAt, demo: true,
  }); // prettier-ignore
  await tx.insert(checkResults).values(
    Array.from({ length: size }, (_, position) => {
      const offMm = position === small.at ? small.byMm : sdMm * normalFrom(random);
      const answer: HoleAnswer = offMm > toleranceMm ? 'stops' : offMm < -toleranceMm ? 'falls' : 'passes';
      const takenAt = new Date(startedAt.getTime() + position * 20_000);
      return { id: randomUUID(), studioId, checkId, position, answer, takenAt };
    }),
  );
}
