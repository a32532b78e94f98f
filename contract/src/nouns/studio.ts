import { TIER_SHAPES } from '@leggero/core';
import { z } from 'zod';

import {
  altitudeMSchema,
  currencySchema,
  demoSchema,
  fractionSchema,
  idSchema,
  nameSchema,
  storedLength,
  storedNumber,
  tempCSchema,
} from '../common';
import { noun } from '../noun';

/** How a studio shows lengths, and how long its pieces usually stand. There is one, made at the first start. */
export const studio = noun({
  name: 'studio',
  path: 'studios',
  writtenBy: 'owner',
  forHelper: 'all',
  row: z.object({
    id: idSchema,
    name: nameSchema,
    unit: z.enum(['in', 'cm']),
    /** Rounding of figures, mm: a quarter or an eighth of an inch, or a millimetre. */
    stepMm: storedLength().min(0.5).max(13),
    daysStanding: z.int().min(0).max(365),
    /** Where balloons are made. */
    workroomTempC: tempCSchema,
    workroomAltitudeM: altitudeMSchema,
    /** What its money is. */
    currency: currencySchema.default('EUR'),
  }),
  change: ['name', 'unit', 'stepMm', 'daysStanding', 'workroomTempC', 'workroomAltitudeM', 'currency'],
  order: ['name'],
});

/** A studio's named level of under-inflation. */
export const tier = noun({
  name: 'tier',
  path: 'tiers',
  writtenBy: 'planner',
  forHelper: 'all',
  row: z.object({
    id: idSchema,
    name: nameSchema,
    /** Share of nominal aimed at, and the shares that still count as this tier. */
    fraction: fractionSchema,
    leastFraction: fractionSchema,
    mostFraction: fractionSchema,
    /** The shapes it bears: round only, or oval too. */
    shape: z.enum(TIER_SHAPES).default('round'),
    purpose: z.string().trim().max(120),
    /** Place in the list, 0 first. */
    position: z.int().min(0).max(99),
  }),
  change: ['name', 'fraction', 'leastFraction', 'mostFraction', 'shape', 'purpose', 'position'],
  order: ['position', 'name'],
});

/** A number of the trade as this studio has it; of several for one key the last one counts. */
export const constant = noun({
  name: 'constant',
  path: 'constants',
  writtenBy: 'owner',
  forHelper: 'all',
  row: z.object({
    id: idSchema,
    /** Its way within the core's table of such numbers: "roundAspect", "measureSdMm.tape". */
    key: z.string().trim().min(1).max(60),
    value: storedNumber(6).min(-100_000).max(100_000),
    /** Counts up for each key. */
    revision: z.int().min(1),
  }),
  given: { revision: 1 },
  change: ['value'],
  order: ['key', 'revision'],
  numbered: { field: 'revision', among: ['key'], by: 'next' },
});

/** Someone of the studio. */
export const person = noun({
  name: 'person',
  path: 'people',
  row: z.object({
    id: idSchema,
    name: nameSchema,
    /** Sees everyone's history. */
    owner: z.boolean(),
    /** Whether a PIN keeps their history; without one whoever taps their name sees it. */
    hasPin: z.boolean(),
    demo: demoSchema,
  }),
  given: { owner: false, hasPin: false, demo: false },
  change: ['name'],
  order: ['-owner', 'name'],
});
