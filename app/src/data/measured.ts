import type { BagRecord, FinishedGarland, RowOf, StackRecord } from '@leggero/contract';

import { inOrder, useView, type Records } from './records';

const BAG = ['bag'] as const;
const STACK = ['stack'] as const;
const FINISHED = ['finishedGarland'] as const;
const HELD = ['holdTest'] as const;
const bagsOf = inOrder('bag');
const stacksOf = inOrder('stack');
const finishedOf = inOrder('finishedGarland');
const heldOf = inOrder('holdTest');

/** Bags that were bought, newest first. */
export function useBags(): Records<BagRecord[]> {
  return useView(BAG, bagsOf);
}

/** Stacks that were measured, newest first. */
export function useStacks(): Records<StackRecord[]> {
  return useView(STACK, stacksOf);
}

/** Garlands that were measured, newest first. */
export function useFinishedGarlands(): Records<FinishedGarland[]> {
  return useView(FINISHED, finishedOf);
}

/** Balloons left standing and measured again, of the whole shelf. */
export function useHoldTests(): Records<RowOf<'holdTest'>[]> {
  return useView(HELD, heldOf);
}

/** Bags of one balloon that say of which batch they are, newest first. */
export function useBatches(modelId: string): BagRecord[] {
  return (useBags().data ?? []).filter((bag) => bag.modelId === modelId && bag.batch !== '');
}
