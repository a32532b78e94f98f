import { z } from 'zod';

import { demoSchema, idSchema, instantSchema, nameSchema } from '../common';
import { pieceDesignSchema } from '../design';
import { noun } from '../noun';

/** A piece of linking work: counts, sizes and places are worked out from its design. */
export const piece = noun({
  name: 'piece',
  path: 'pieces',
  row: z.object({
    id: idSchema,
    name: nameSchema,
    design: pieceDesignSchema,
    createdAt: instantSchema,
    demo: demoSchema,
  }),
  given: { demo: false },
  change: ['name', 'design'],
  order: ['-createdAt'],
});
