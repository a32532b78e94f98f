import { LOSS_WORKS, STOCK_CHANGES } from '@leggero/core';
import { z } from 'zod';

import { currencySchema, demoSchema, idSchema, instantSchema, minorSchema } from '../common';
import { noun, to } from '../noun';

/** Balloons of one entry, and bags bought at once. */
export const MOST_COUNTED = 1_000_000;
export const MOST_BAGS = 1000;
/** Characters of what is printed on a bag, and of a shop's name. */
export const MOST_BATCH = 40;
export const MOST_SHOP = 80;

const countSchema = z.int().min(0).max(MOST_COUNTED);
const aboutBag = {
  batch: z.string().trim().max(MOST_BATCH).default(''),
  shop: z.string().trim().max(MOST_SHOP).default(''),
};

/** Bags of one balloon that were bought together, of one batch. */
export const bag = noun({
  name: 'bag',
  path: 'bags',
  writtenBy: 'planner',
  row: z.object({
    id: idSchema,
    modelId: idSchema,
    /** Balloons in one. */
    count: countSchema.min(1),
    bags: z.int().min(1).max(MOST_BAGS).default(1),
    /** As it is printed on them, and where they are from. */
    ...aboutBag,
    /** Of one, in minor units of its currency; null where nobody knows. */
    priceMinor: minorSchema.nullable().default(null),
    currency: currencySchema,
    boughtAt: instantSchema,
    demo: demoSchema,
  }),
  given: { demo: false },
  change: ['count', 'bags', 'batch', 'shop', 'priceMinor', 'currency', 'boughtAt'],
  refs: { modelId: to('model', 'remove') },
  order: ['-boughtAt'],
});

/** What else happened to the stock of a balloon: it was counted, taken out, brought back or spoiled. */
export const stockEntry = noun({
  name: 'stockEntry',
  path: 'stock-entries',
  writtenBy: 'planner',
  row: z.object({
    id: idSchema,
    modelId: idSchema,
    /** For which event it went out or came back. */
    eventId: idSchema.nullable().default(null),
    change: z.enum(STOCK_CHANGES).exclude(['bought']),
    count: countSchema,
    at: instantSchema,
  }),
  refs: { modelId: to('model', 'remove'), eventId: to('event', 'clear') },
  order: ['-at'],
});

/** Balloons that went through some work, and how many of them did not survive it. */
export const loss = noun({
  name: 'loss',
  path: 'losses',
  row: z.object({
    id: idSchema,
    modelId: idSchema,
    /** Of which bags they were, where someone kept that apart. */
    bagId: idSchema.nullable().default(null),
    work: z.enum(LOSS_WORKS),
    used: countSchema.min(1),
    lost: countSchema,
    at: instantSchema,
  }),
  refs: { modelId: to('model', 'remove'), bagId: to('bag', 'clear') },
  rules: [{ path: 'lost', message: 'No more are lost than were used', holds: ({ used, lost }) => lost <= used }],
  order: ['-at'],
});
