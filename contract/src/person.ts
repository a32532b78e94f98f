import { z } from 'zod';

import { idSchema } from './common';
import type { RowOf } from './nouns';

/** Digits or letters that open what is a person's own. */
export const pinSchema = z.string().min(4, 'A PIN has 4 characters or more').max(32);

export type PersonRecord = RowOf<'person'>;

/** A new PIN, or none. */
export const pinChangeSchema = z.object({ pin: pinSchema.nullable() });

/** Who looks at private pages on this device. */
export const sessionSchema = z.object({ personId: idSchema.nullable() });
export type Session = z.infer<typeof sessionSchema>;
export const sessionOpenSchema = z.object({ personId: idSchema, pin: z.string().max(32).optional() });
