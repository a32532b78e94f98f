import { z } from 'zod';

import { hexSchema, idSchema, instantSchema, nameSchema } from './common';
import { codeSchema, givenCodeSchema } from './crew';
import { eventFileSchema } from './eventFile';
import type { Route } from './route';

/** For how many days something may be shared. */
export const MOST_SHARED_DAYS = 90;
/** Characters of all that is shared at once: pictures are most of it. */
export const MOST_SHARED = 8_000_000;

const MOST_BLOCKS = 400;
const MOST_THINGS = 100;
const textSchema = z.string().max(1000);
const sizeMmSchema = z.number().min(0).max(1_000_000);
/** A picture as an address that holds it. */
const pictureSchema = z
  .string()
  .max(2_000_000)
  .regex(/^data:image\/(png|jpeg|webp);base64,[A-Za-z0-9+/]+={0,2}$/);
const keySchema = z.string().min(1).max(80);
const thingSchema = z.object({
  key: keySchema,
  name: textSchema,
  ...{ wideMm: sizeMmSchema, highMm: sizeMmSchema, footMm: sizeMmSchema },
});

/** A client's sheet in words and pictures: how it looks, how large it is, what to mind. Nothing of it can be a cost. */
export const sharedSheetSchema = z.object({
  title: textSchema,
  subtitle: textSchema,
  /** Of each piece, by its key. */
  pictures: z.record(keySchema, pictureSchema),
  blocks: z
    .array(
      z.discriminatedUnion('kind', [
        z.object({ kind: z.literal('heading'), text: textSchema }),
        z.object({ kind: z.literal('words'), text: textSchema, look: z.enum(['strong', 'body', 'quiet']) }),
        z.object({ kind: z.literal('row'), things: z.array(thingSchema).max(MOST_THINGS) }),
        z.object({
          kind: z.literal('thing'),
          thing: thingSchema,
          lines: z.array(textSchema).max(20),
          colours: z.array(z.object({ hex: hexSchema, name: textSchema })).max(200),
        }),
      ]),
    )
    .max(MOST_BLOCKS),
});
export type SharedSheet = z.infer<typeof sharedSheetSchema>;

/** What is shared: a page for a client, or an event as another studio takes it in. */
const contentSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('sheet'), sheet: sharedSheetSchema }),
  z.object({ kind: z.literal('copy'), file: eventFileSchema }),
]);
export type SharedContent = z.infer<typeof contentSchema>;

const shareSchema = z.object({
  id: idSchema,
  kind: z.enum(['sheet', 'copy']),
  eventId: idSchema,
  expiresAt: instantSchema,
});
export type Share = z.infer<typeof shareSchema>;

/** What is told to whoever holds its code. */
const sharedSchema = z.object({ studio: nameSchema, expiresAt: instantSchema, content: contentSchema });
export type Shared = z.infer<typeof sharedSchema>;

export const SHARE_ROUTES = {
  /** What is shared by now. */
  listShares: { method: 'GET', path: '/api/shares', response: z.array(shareSchema), least: 'planner' },
  /** Shares something of an event, as it is now, until a day; by a code that is told this once. */
  share: {
    method: 'POST',
    path: '/api/shares',
    request: z.object({
      id: idSchema,
      eventId: idSchema,
      days: z.int().min(1).max(MOST_SHARED_DAYS),
      content: contentSchema,
    }),
    response: givenCodeSchema,
    least: 'planner',
  },
  endShare: { method: 'DELETE', path: '/api/shares/:id', least: 'planner' },
  /** What a code shows, to anybody who has it. */
  openShare: {
    method: 'POST',
    path: '/api/shares/open',
    request: z.object({ code: codeSchema }),
    response: sharedSchema,
    least: null,
  },
} as const satisfies Record<string, Route>;
