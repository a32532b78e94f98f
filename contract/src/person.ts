import { z } from 'zod';

import { demoSchema, idSchema, nameSchema } from './common';

/** Digits or letters that open what is a person's own. */
export const pinSchema = z.string().min(4, 'A PIN has 4 characters or more').max(32);

/** Someone of the studio. */
export const personSchema = z.object({
  id: idSchema,
  name: nameSchema,
  /** Sees everyone's history. */
  owner: z.boolean(),
  /** Whether a PIN keeps their history; without one whoever taps their name sees it. */
  hasPin: z.boolean(),
  demo: demoSchema,
});
export type PersonRecord = z.infer<typeof personSchema>;

export const personCreateSchema = z.object({ id: idSchema, name: nameSchema });
export type PersonCreate = z.infer<typeof personCreateSchema>;
export const personPatchSchema = z.object({ name: nameSchema }).partial();

/** A new PIN, or none. */
export const pinChangeSchema = z.object({ pin: pinSchema.nullable() });

/** Who looks at private pages on this device. */
export const sessionSchema = z.object({ personId: idSchema.nullable() });
export type Session = z.infer<typeof sessionSchema>;
export const sessionOpenSchema = z.object({ personId: idSchema, pin: z.string().max(32).optional() });
