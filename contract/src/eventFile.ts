import { z } from 'zod';

import { doseSchema, hexSchema, lengthMmSchema } from './common';
import { NOUNS } from './nouns';
import { readOwnFile, type OwnFormat } from './ownFile';

export const EVENT_FILE: OwnFormat = { format: 'leggero-event', version: 1 };

const MOST_PIECES = 100;
const MOST_MODELS = 500;
const MOST_LINES = 2000;

/** One batch of its recipe, for who reads the file without Leggero; lengths in mm. */
const batchSchema = z.object({
  mark: z.string().max(8),
  balloon: z.string().max(200),
  colourHex: hexSchema,
  fillMm: lengthMmSchema,
  toleranceMm: lengthMmSchema,
  count: z.int().min(1),
  bags: z.object({ from: z.int().min(1), to: z.int().min(1) }),
});

/** What a size of a piece was filled to where the file was made: so it is filled elsewhere too. */
const filledSchema = z.object({
  pieceId: NOUNS.fixing.row.shape.pieceId,
  modelId: NOUNS.fixing.row.shape.modelId,
  wantedMm: lengthMmSchema,
  fillMm: lengthMmSchema,
  dose: doseSchema.nullable(),
  origin: NOUNS.fixing.row.shape.origin,
});

/**
 * An event as a file: what is said of it, its pieces as they are drawn, the balloons they name, what was measured of
 * chains of those, and its recipe. No client, no money, no stock.
 */
export const eventFileSchema = z.object({
  format: z.literal(EVENT_FILE.format),
  version: z.literal(EVENT_FILE.version),
  event: NOUNS.event.row.omit({ id: true, client: true, plan: true, state: true, createdAt: true, demo: true }),
  models: z.array(NOUNS.model.row.omit({ demo: true, stock: true, seenHex: true })).max(MOST_MODELS),
  chains: z.array(NOUNS.chain.row.omit({ id: true })).max(MOST_LINES),
  pieces: z.array(NOUNS.piece.row.omit({ eventId: true, createdAt: true, demo: true })).max(MOST_PIECES),
  filled: z.array(filledSchema).max(MOST_LINES),
  recipe: z.array(batchSchema).max(MOST_LINES),
});
export type EventFile = z.infer<typeof eventFileSchema>;

export function readEventFile(text: string) {
  return readOwnFile(text, { ...EVENT_FILE, schema: eventFileSchema });
}
