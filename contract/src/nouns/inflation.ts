import { TALLIES } from '@leggero/core';
import { z } from 'zod';

import { demoSchema, doseSchema, hexSchema, idSchema, instantSchema, lengthMmSchema } from '../common';
import { noun, to } from '../noun';
import { MOST_COUNTED } from './stock';

/** An inflation run: the balloons of an event, batch after batch, at one station or several. */
export const inflation = noun({
  name: 'inflation',
  path: 'inflations',
  forHelper: { by: 'eventId', writes: false },
  row: z.object({
    id: idSchema,
    eventId: idSchema,
    startedAt: instantSchema,
    /** Null while it goes on. */
    endedAt: instantSchema.nullable().default(null),
    demo: demoSchema,
  }),
  given: { demo: false },
  change: ['endedAt'],
  refs: { eventId: to('event', 'remove') },
  order: ['-startedAt'],
});

const countSchema = z.int().min(0).max(MOST_COUNTED);
/** Batches of one run: a bench holds fewer. */
export const MOST_BATCHES = 500;

/** A batch as it was accepted when the run began: what is read or drawn later moves none of it by itself. */
export const inflationBatch = noun({
  name: 'inflationBatch',
  path: 'inflation-batches',
  forHelper: { by: 'inflationId', writes: false },
  row: z.object({
    id: idSchema,
    inflationId: idSchema,
    /** As the recipe knows it, so that what changed there is found again. */
    key: z.string().min(1).max(60),
    /** On the bench, 0 first. */
    place: z
      .int()
      .min(0)
      .max(MOST_BATCHES - 1),
    /** Null of a balloon that was not chosen from the shelf, which has its colour alone. */
    modelId: idSchema.nullable(),
    colourHex: hexSchema,
    fillMm: lengthMmSchema,
    toleranceMm: lengthMmSchema,
    count: countSchema,
    /** Strokes or seconds; null where nothing is known of them. */
    dose: doseSchema.nullable(),
    timed: z.boolean(),
  }),
  change: ['place', 'count'],
  refs: { inflationId: to('inflation', 'remove'), modelId: to('model', 'clear') },
  order: ['place'],
});

/** Characters of what a station is called. */
export const MOST_STATION = 40;

/** A station's turn at a batch: a new one begins with another batch, another bag of balloons, other hands, another dose. */
export const turn = noun({
  name: 'turn',
  path: 'turns',
  forHelper: { by: 'batchId', writes: true },
  row: z.object({
    id: idSchema,
    batchId: idSchema,
    station: z.string().trim().min(1).max(MOST_STATION),
    /** Two, where two are filled at once. */
    atOnce: z.int().min(1).max(2),
    /** Which bags the balloons are from, where that is kept apart. */
    bagId: idSchema.nullable().default(null),
    /** Strokes or seconds as they were changed here; null while they are the batch's. */
    dose: doseSchema.nullable().default(null),
    startedAt: instantSchema,
  }),
  refs: { batchId: to('inflationBatch', 'remove'), bagId: to('bag', 'clear') },
  order: ['-startedAt'],
});

/** Whose hands a turn was, where they said so: private to them, as what an eye did is. */
export const turnHands = noun({
  name: 'turnHands',
  path: 'turn-hands',
  row: z.object({ id: idSchema, turnId: idSchema, personId: idSchema }),
  refs: { turnId: to('turn', 'remove'), personId: to('person', 'remove') },
  order: ['id'],
  replica: 'never',
});

/** One tap of a turn: balloons that are done, or why one is not. Taken back by taking it away. */
export const tally = noun({
  name: 'tally',
  path: 'tallies',
  forHelper: { by: 'turnId', writes: true },
  row: z.object({
    id: idSchema,
    turnId: idSchema,
    what: z.enum(TALLIES),
    count: z.int().min(1).max(99),
    at: instantSchema,
  }),
  refs: { turnId: to('turn', 'remove') },
  order: ['at', 'id'],
});
