import { z } from 'zod';

import { idSchema, instantSchema, nameSchema } from './common';
import { ROLES } from './noun';

/** As what someone works in a studio. */
export const memberPartSchema = z.object({
  role: z.enum(ROLES),
  /** Of a helper: which event, and until when. */
  eventId: idSchema.nullable(),
  until: instantSchema.nullable(),
});
export type MemberPart = z.infer<typeof memberPartSchema>;

/** A studio that someone works in, and as what. */
const placeSchema = memberPartSchema.extend({ id: idSchema, name: nameSchema, memberId: idSchema });
export type StudioPlace = z.infer<typeof placeSchema>;

/** Who asks: someone signed in, or whoever is at a machine where nobody signs in. */
export const accessSchema = z.object({
  /**
   * `alone`: on this machine nobody signs in, and whoever is at it owns the studio. `setUp`: it is open to a network, and
   * nobody has said yet who owns it. `out`: someone has to sign in. `in`: someone has.
   */
  state: z.enum(['alone', 'setUp', 'out', 'in']),
  account: z
    .object({
      ...{ id: idSchema, name: nameSchema, signInName: z.string().nullable(), email: z.string().nullable() },
      /** Whether somebody reads at that address who said so. */
      confirmed: z.boolean(),
    })
    .nullable(),
  studios: z.array(placeSchema),
  /** The one that is answered from where none is named; null where there is none. */
  at: idSchema.nullable(),
  /** Whether mails go from here. */
  mails: z.boolean(),
});
export type Access = z.infer<typeof accessSchema>;
