import { z } from 'zod';

import { demoSchema, idSchema, instantSchema, lengthMmSchema } from '../common';
import { noun, to } from '../noun';

/** One person, two beside one another, or one who fills two balloons at once. */
export const EYE_MODES = ['one', 'two', 'pairs'] as const;
export type EyeMode = (typeof EYE_MODES)[number];

/** A session by eye: private to those who take part. */
export const eyeCheck = noun({
  name: 'eyeCheck',
  path: 'eye-checks',
  row: z.object({
    id: idSchema,
    mode: z.enum(EYE_MODES),
    personId: idSchema,
    secondPersonId: idSchema.nullable(),
    modelId: idSchema,
    targetMm: lengthMmSchema,
    /** Balloons each person fills. */
    size: z.int().min(2).max(100),
    startedAt: instantSchema,
    demo: demoSchema,
  }),
  given: { demo: false },
  refs: {
    personId: to('person', 'remove'),
    secondPersonId: to('person', 'remove'),
    modelId: to('model', 'remove'),
  },
  rules: [
    {
      path: 'secondPersonId',
      message: 'Two people take part in a check of two, one in the others',
      holds: ({ mode, secondPersonId }) => (mode === 'two') === (secondPersonId !== null),
    },
    {
      path: 'secondPersonId',
      message: 'The second person is another one',
      holds: ({ personId, secondPersonId }) => personId !== secondPersonId,
    },
    {
      path: 'size',
      message: 'Pairs take an even number of balloons',
      holds: ({ mode, size }) => mode !== 'pairs' || size % 2 === 0,
    },
  ],
  order: ['-startedAt'],
  replica: 'never',
});

/** A balloon filled by eye; its width comes later. */
export const eyeBalloon = noun({
  name: 'eyeBalloon',
  path: 'eye-balloons',
  row: z.object({
    id: idSchema,
    eyeCheckId: idSchema,
    /**
     * In the order filled, 0 first. Two people: the first one's, then the second one's. Pairs: left, right, left,
     * right.
     */
    position: z.int().min(0).max(199),
    widthMm: lengthMmSchema.nullable(),
    filledAt: instantSchema,
  }),
  change: ['widthMm'],
  refs: { eyeCheckId: to('eyeCheck', 'remove') },
  order: ['position'],
  replica: 'never',
});
