import { z } from 'zod';

import { NOUNS, type RowOf } from './nouns';

export type EyeBalloonRecord = RowOf<'eyeBalloon'>;

/** A session by eye with its balloons, by position. */
export const eyeCheckSchema = NOUNS.eyeCheck.row.extend({ balloons: z.array(NOUNS.eyeBalloon.row) });
export type EyeCheckRecord = z.infer<typeof eyeCheckSchema>;

/** All balloons of a session. */
export function eyeBalloonCount({ mode, size }: Pick<EyeCheckRecord, 'mode' | 'size'>): number {
  return mode === 'two' ? 2 * size : size;
}
