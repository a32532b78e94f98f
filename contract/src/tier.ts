import { TIER_SHAPES } from '@leggero/core';
import { z } from 'zod';

import { fractionSchema, idSchema, nameSchema } from './common';

/** A studio's named level of under-inflation. */
export const tierSchema = z.object({
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
});
export type TierRecord = z.infer<typeof tierSchema>;

/** A change that says nothing of the shape leaves it as it is: no default. */
export const tierPatchSchema = tierSchema
  .omit({ id: true })
  .extend({ shape: z.enum(TIER_SHAPES) })
  .partial();
