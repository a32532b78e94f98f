import type { CheckRecord } from '@leggero/contract';

import { CHECK_NOUNS, checksOf, checksOfModel } from '@/views/checks';
import { INFLATION_NOUNS } from '@/views/inflation';
import { SIZED_NOUNS, sizedOf, sizesView, type SizesView } from '@/views/sized';
import { causesOf, takenOf, type Taken } from '@/views/taken';

import { asTheyAre, useEvents, useView } from './records';

const NOUNS = [...CHECK_NOUNS, ...INFLATION_NOUNS] as const;

/** What a studio's checks and runs tell; undefined until they have come. */
export interface Log {
  checksOf: (modelId: string) => readonly CheckRecord[];
  sizesOf: (modelId: string) => SizesView;
  /** Balloons that were checked, the one checked last first. */
  checked: string[];
  causes: ReturnType<typeof causesOf>;
}

export function useLog(): Log | undefined {
  const rows = useView(NOUNS, asTheyAre).data;
  if (!rows) return undefined;
  const own = (modelId: string) => checksOfModel(rows, modelId);
  const newestFirst = checksOf(rows).filter(({ results }) => results.length > 0);
  return {
    checksOf: own,
    sizesOf: (modelId) => sizesView(sizedOf(own(modelId), rows.turn)),
    checked: [...new Set(newestFirst.map(({ modelId }) => modelId))],
    causes: causesOf(rows),
  };
}

/** The sizes of one balloon; undefined until they have come. */
export function useSizes(modelId: string): SizesView | undefined {
  const rows = useView(SIZED_NOUNS, asTheyAre).data;
  return rows && sizesView(sizedOf(checksOfModel(rows, modelId), rows.turn));
}

/** What the inflation runs of all events took, newest first; undefined until they have come. */
export function useTaken(usualS: number): Taken[] | undefined {
  const rows = useView(INFLATION_NOUNS, asTheyAre).data;
  const events = useEvents().data;
  return rows && events && takenOf(rows, events, usualS);
}
