import { z } from 'zod';

import { hexSchema, idSchema, instantSchema, lengthMmSchema, MOST_BUILD_MM, storedLength } from '../common';
import { noun, to } from '../noun';

/** Characters of a step that a studio added. */
export const MOST_STEP = 160;

/** A step that a studio looks at wherever it puts something up, beside those that are usual. */
export const ownStep = noun({
  name: 'ownStep',
  path: 'own-steps',
  forHelper: 'all',
  row: z.object({ id: idSchema, text: z.string().trim().min(1).max(MOST_STEP), createdAt: instantSchema }),
  order: ['createdAt', 'id'],
});

/** That a step was looked at for an event. Taken back by taking it away. */
export const siteTick = noun({
  name: 'siteTick',
  path: 'site-ticks',
  forHelper: { by: 'eventId', writes: true },
  row: z.object({
    id: idSchema,
    eventId: idSchema,
    /** The step, by its key; of a studio's own by its id. */
    key: z.string().min(1).max(80),
    at: instantSchema,
  }),
  refs: { eventId: to('event', 'remove') },
  order: ['at', 'id'],
});

/** What is told of a thing that is not as it should be, in characters. */
export const MOST_SNAG = 300;

/** Something about an event that is not as it should be, until it is put right. */
export const snag = noun({
  name: 'snag',
  path: 'snags',
  forHelper: { by: 'eventId', writes: true },
  row: z.object({
    id: idSchema,
    eventId: idSchema,
    /** About which piece; null of one about all, or about a piece that is gone. */
    pieceId: idSchema.nullable().default(null),
    text: z.string().trim().min(1).max(MOST_SNAG),
    at: instantSchema,
    /** Null until it is put right. */
    doneAt: instantSchema.nullable().default(null),
  }),
  change: ['text', 'doneAt'],
  refs: { eventId: to('event', 'remove'), pieceId: to('piece', 'clear') },
  order: ['at', 'id'],
});

/** Characters of a picture: some 36 kB, what a screen's width of a phone needs. */
export const MOST_PICTURE = 48_000;

/** A photo that goes with a step of an event's lists, or with a snag: made small where it was taken. */
export const photo = noun({
  name: 'photo',
  path: 'photos',
  forHelper: { by: 'eventId', writes: true },
  row: z.object({
    id: idSchema,
    eventId: idSchema,
    /** The step, by its key; of a snag by its id. */
    key: z.string().min(1).max(80),
    /** A JPEG as an address that holds it. */
    picture: z
      .string()
      .max(MOST_PICTURE)
      .regex(/^data:image\/jpeg;base64,[A-Za-z0-9+/]+={0,2}$/),
    at: instantSchema,
  }),
  refs: { eventId: to('event', 'remove') },
  order: ['at', 'id'],
});

/** Along what a piece that was put up is measured. */
export const BUILT_MEASURES = ['high', 'wide', 'along'] as const;
export type BuiltMeasure = (typeof BUILT_MEASURES)[number];

const buildMmSchema = storedLength().positive().max(MOST_BUILD_MM);

/** How large a piece really came out, beside what was drawn when it was measured. The newest of a kind counts. */
export const asBuilt = noun({
  name: 'asBuilt',
  path: 'as-built',
  forHelper: { by: 'eventId', writes: false },
  row: z.object({
    id: idSchema,
    eventId: idSchema,
    pieceId: idSchema,
    measure: z.enum(BUILT_MEASURES),
    drawnMm: buildMmSchema,
    builtMm: buildMmSchema,
    at: instantSchema,
  }),
  refs: { eventId: to('event', 'remove'), pieceId: to('piece', 'remove') },
  order: ['-at'],
});

/** Why a balloon of a standing piece had to be made anew. */
export const REPAIR_CAUSES = ['popped', 'soft', 'knocked', 'other'] as const;
export type RepairCause = (typeof REPAIR_CAUSES)[number];

/** A balloon of a standing piece that failed and was made anew. */
export const repair = noun({
  name: 'repair',
  path: 'repairs',
  forHelper: { by: 'eventId', writes: false },
  row: z.object({
    id: idSchema,
    eventId: idSchema,
    pieceId: idSchema.nullable(),
    /** Null of a balloon that was not chosen from the shelf, which has its colour alone. */
    modelId: idSchema.nullable(),
    colourHex: hexSchema,
    cause: z.enum(REPAIR_CAUSES),
    /** As wide as its like were reckoned to be by then, and as one of them was measured; null where none was. */
    reckonedMm: lengthMmSchema,
    measuredMm: lengthMmSchema.nullable().default(null),
    /** What the new one was filled to. */
    fillMm: lengthMmSchema,
    at: instantSchema,
  }),
  refs: { eventId: to('event', 'remove'), pieceId: to('piece', 'clear'), modelId: to('model', 'clear') },
  order: ['-at'],
});
