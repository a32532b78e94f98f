import { z } from 'zod';

import { instantSchema } from './common';
import { MOST_PASSWORD, signedInDeviceSchema } from './crew';
import { deedRowSchema } from './deed';
import { eyeCheckSchema } from './eye';
import { NOUNS } from './nouns';
import type { Route } from './route';

/** All that is kept of somebody in a studio, and of their account. */
export const ownDataSchema = z.object({
  madeAt: instantSchema,
  account: z
    .object({
      name: z.string(),
      signInName: z.string().nullable(),
      email: z.string().nullable(),
      devices: z.array(signedInDeviceSchema),
    })
    .nullable(),
  /** Who they are among the studio's people; null of a helper. */
  person: NOUNS.person.row.nullable(),
  eyeChecks: z.array(eyeCheckSchema),
  /** Turns at stations that were theirs. */
  turns: z.array(NOUNS.turn.row),
  /** What they did, of the last year. */
  deeds: z.array(z.object({ at: instantSchema, rows: z.array(deedRowSchema) })),
});
export type OwnData = z.infer<typeof ownDataSchema>;

export const OWN_DATA_ROUTES = {
  /** Of whoever asks. */
  readOwnData: { method: 'GET', path: '/api/account/data', response: ownDataSchema, least: 'helper' },
  /** Takes an account away, with all that is private to its person, in every studio. */
  forgetAccount: {
    method: 'POST',
    path: '/api/account/forget',
    request: z.object({ password: z.string().max(MOST_PASSWORD) }),
    least: null,
  },
} as const satisfies Record<string, Route>;
