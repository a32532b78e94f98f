import type { FinishedGarland, StackRecord } from '@leggero/contract';

import { inOrder, useView, type Records } from './records';

const STACK = ['stack'] as const;
const FINISHED = ['finishedGarland'] as const;
const stacksOf = inOrder('stack');
const finishedOf = inOrder('finishedGarland');

/** Stacks that were measured, newest first. */
export function useStacks(): Records<StackRecord[]> {
  return useView(STACK, stacksOf);
}

/** Garlands that were measured, newest first. */
export function useFinishedGarlands(): Records<FinishedGarland[]> {
  return useView(FINISHED, finishedOf);
}
