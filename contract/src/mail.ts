import { z } from 'zod';

import { accessSchema } from './access';
import { codeSchema, emailSchema, MOST_PASSWORD, whoSchema } from './crew';
import type { Route } from './route';

/** What goes by mail, where the server has somebody to hand mails to (`mails` of who asks). */
export const MAIL_ROUTES = {
  /** Mails a code for a new password to the confirmed address of an account; whether there is one is not said. */
  mailPasswordCode: {
    method: 'POST',
    path: '/api/new-password/mail',
    request: z.object({ who: whoSchema }),
    least: null,
  },
  /** Sets one's address, or takes it away; a code to confirm it goes there, again where it is the one there is. */
  setAddress: {
    method: 'POST',
    path: '/api/account/address',
    request: z.object({ email: emailSchema.nullable(), password: z.string().max(MOST_PASSWORD) }),
    response: accessSchema,
    least: 'helper',
  },
  /** Confirms an address by the code that was mailed there. */
  confirmAddress: {
    method: 'POST',
    path: '/api/account/address/confirm',
    request: z.object({ code: codeSchema }),
    least: null,
  },
} as const satisfies Record<string, Route>;
