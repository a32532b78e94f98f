import { z } from 'zod';

import { idSchema, instantSchema } from '../common';
import { noun, to } from '../noun';

/** Characters of a step that a studio added. */
export const MOST_STEP = 160;

/** A step that a studio looks at wherever it puts something up, beside those that are usual. */
export const ownStep = noun({
  name: 'ownStep',
  path: 'own-steps',
  row: z.object({ id: idSchema, text: z.string().trim().min(1).max(MOST_STEP), createdAt: instantSchema }),
  order: ['createdAt', 'id'],
});

/** That a step was looked at for an event. Taken back by taking it away. */
export const siteTick = noun({
  name: 'siteTick',
  path: 'site-ticks',
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
