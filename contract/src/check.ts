import type { CheckResult } from '@leggero/core';
import { z } from 'zod';

import { NOUNS, type RowOf } from './nouns';

export type CheckResultRecord = RowOf<'checkResult'>;

/** A check with its results, in the order of their places. */
export const checkSchema = NOUNS.check.row.extend({ results: z.array(NOUNS.checkResult.row) });
export type CheckRecord = z.infer<typeof checkSchema>;

/** A stored result as the core takes it. */
export function coreCheckResult({ answer, widthMm, stopsMm, passesMm }: CheckResultRecord): CheckResult {
  if (answer !== null) return { kind: 'answer', answer };
  if (widthMm !== null) return { kind: 'measured', widthMm };
  return { kind: 'between', stopsMm: stopsMm ?? undefined, passesMm: passesMm ?? undefined };
}
