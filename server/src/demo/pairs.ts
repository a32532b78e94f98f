import { randomUUID } from 'node:crypto';

import { normalFrom, randomFrom } from '@leggero/core';
import { eq } from 'drizzle-orm';

import type { Database } from '../db/connect';
import { calibrations, models, readings } from '../db/tables';
import { isoAt } from './moment';
import { takeReadings, type PumpIds } from './fill';
import { DEMO_PAIRS, DEMO_SPECIALS, type DemoPair, type DemoSpecial } from './scenario';

const SEED = 20261205;
const MINUTE_MS = 60_000;

interface Fill {
  tx: Database;
  studioId: string;
  pumpIds: PumpIds;
  /** The evening the readings were taken. */
  /** ms since 1970. */
  evening: number;
}

/** Puts the demo's other kinds and its pairs beside the balloons that are there. */
export async function fillPairs(fill: Fill): Promise<void> {
  const random = randomFrom(SEED);
  for (const special of DEMO_SPECIALS) await fillSpecial(fill, special, random);
  const shelf = await fill.tx.select().from(models).where(eq(models.studioId, fill.studioId));
  for (const pair of DEMO_PAIRS) await fillPair(fill, pair, shelf, random);
}

async function fillSpecial({ tx, studioId, pumpIds, evening }: Fill, special: DemoSpecial, random: () => number) {
  const { lengths, ...record } = special;
  const modelId = randomUUID();
  await tx.insert(models).values({ ...record, id: modelId, studioId, demo: true });
  if (!lengths) return;
  const taken = lengths.doses.map((dose) => ({
    dose,
    widthMm: special.nominalMm,
    heightMm: Math.round(lengths.perDoseMm * (dose - 0.2) + 4 * normalFrom(random)),
    outcome: 'ok' as const,
  }));
  await calibrate({ tx, studioId, pumpIds, evening }, modelId, 'hand', taken);
}

async function fillPair(fill: Fill, pair: DemoPair, shelf: (typeof models.$inferSelect)[], random: () => number) {
  const partOf = ({ line, inches }: DemoPair['outer']) => {
    const part = shelf.find((model) => model.line === line && Math.round(model.nominalMm / 25.4) === inches);
    if (!part) throw new Error(`the demo has no ${line} ${inches}`);
    return part;
  };
  const [outer, inner] = [partOf(pair.outer), partOf(pair.inner)];
  const { kind, nominalMm, finish, colourHex } = outer;
  const modelId = randomUUID();
  await fill.tx.insert(models).values({
    id: modelId,
    studioId: fill.studioId,
    line: `${outer.line} ${pair.outer.inches} over ${inner.line} ${pair.inner.inches}`,
    kind,
    nominalMm,
    finish,
    colourName: pair.colourName,
    colourHex,
    outerId: outer.id,
    innerId: inner.id,
    seenHex: pair.seenHex ?? null,
    demo: true,
  });
  for (const calibration of pair.calibrations) {
    const taken = takeReadings({ nominalMm, roundTo: pair.roundTo }, calibration, random);
    await calibrate(
      fill,
      modelId,
      calibration.pump,
      taken.map(({ bracket: _, ...reading }) => reading),
    );
  }
}

async function calibrate(
  { tx, studioId, pumpIds, evening }: Fill,
  modelId: string,
  pump: keyof PumpIds,
  taken: Omit<typeof readings.$inferInsert, 'id' | 'studioId' | 'calibrationId' | 'takenAt'>[],
) {
  const calibrationId = randomUUID();
  await tx.insert(calibrations).values({
    id: calibrationId,
    studioId,
    modelId,
    pumpId: pumpIds[pump],
    preStretched: false,
    roundedOff: false,
    startedAt: isoAt(evening),
    demo: true,
  });
  await tx.insert(readings).values(
    taken.map((reading, i) => ({
      ...reading,
      id: randomUUID(),
      studioId,
      calibrationId,
      takenAt: isoAt(evening + (i + 1) * MINUTE_MS),
    })),
  );
}
