import { randomUUID } from 'node:crypto';

import { PLAN_DEFAULTS, type WorkPlan } from '@leggero/contract';
import type { LossWork } from '@leggero/core';
import { and, eq } from 'drizzle-orm';

import type { Database } from '../db/connect';
import { bags, events, losses, models } from '../db/tables';
import { isoAt } from './moment';

interface Fill {
  tx: Database;
  studioId: string;
  /** The evening they came in, ms since 1970. */
  evening: number;
}

const SHOP = 'Mirrow Quay Supplies';

/** Bags by line and nominal inches: balloons in one, how many bags, price in cents, and losses at work. */
const BOUGHT: {
  line: string;
  inches: number;
  count: number;
  bags: number;
  priceMinor: number;
  batch: string;
  lost?: { work: LossWork; used: number; lost: number };
}[] = [
  {
    ...{ line: 'Fennimore Standard', inches: 11, count: 50, bags: 2, priceMinor: 1150, batch: 'K7' },
    lost: { work: 'build', used: 48, lost: 1 },
  },
  {
    ...{ line: 'Fennimore Standard', inches: 5, count: 100, bags: 3, priceMinor: 890, batch: 'R2' },
    lost: { work: 'inflate', used: 90, lost: 4 },
  },
  { line: 'Fennimore Standard', inches: 16, count: 10, bags: 1, priceMinor: 780, batch: 'W1' },
  { line: 'Tarn Satin', inches: 11, count: 50, bags: 1, priceMinor: 1390, batch: 'S4' },
  { line: 'Ketteridge Link', inches: 6, count: 100, bags: 2, priceMinor: 1240, batch: 'L3' },
  { line: 'Ketteridge Long', inches: 2, count: 50, bags: 1, priceMinor: 960, batch: 'M5' },
];

/** How Tidepool Night is planned: by whom, and what it costs beside balloons. */
const PLAN: WorkPlan = {
  ...PLAN_DEFAULTS,
  ...{ people: 3, stations: 2, hourMinor: 2200, travelMinor: 4500, hireMinor: 9000, margin: 0.3 },
  extras: [{ name: 'Leaves for the kelp', minor: 3200 }],
};

/** Fills the shelf of the demo with bags and losses, and plans its event. */
export async function fillStock({ tx, studioId, evening }: Fill): Promise<void> {
  const shelf = await tx.select().from(models).where(eq(models.studioId, studioId));
  for (const { line, inches, lost, ...bought } of BOUGHT) {
    const own = shelf.find(
      (each) => each.line === line && Math.round(each.nominalMm / 25.4) === inches && each.outerId === null,
    );
    if (!own) throw new Error(`the demo has no ${line} ${inches}`);
    const row = { studioId, modelId: own.id };
    await tx.insert(bags).values({
      ...row,
      ...bought,
      ...{ id: randomUUID(), shop: SHOP, currency: 'EUR', boughtAt: isoAt(evening), demo: true },
    });
    if (lost) await tx.insert(losses).values({ ...row, ...lost, id: randomUUID(), at: isoAt(evening) });
  }
  await tx
    .update(events)
    .set({ plan: PLAN })
    .where(and(eq(events.studioId, studioId), eq(events.demo, true)));
}
