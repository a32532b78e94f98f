import type { SizeSpread } from '@leggero/core';
import { useMemo } from 'react';

import { spreadText } from '@/wording/building';

import type { Outcome } from '../space/BuiltPicture';
import type { Scene } from '../space/scene';
import { useSpreads } from './useSpreads';

/** How a piece may come out in this studio: of balloons as they were checked, and as they are by eye. */
export function useOutcomes(
  /** The piece as it came out once; null while there is none. */
  made: ((spread: SizeSpread, seed: number) => Scene) | null,
  /** What is to be said of that: "it stands 6 ft"; null where nothing is. */
  said: (scene: Scene) => string | null,
): Outcome[] {
  const spreads = useSpreads();
  return useMemo(
    () =>
      made
        ? spreads.map(({ spread, ...each }) => ({
            ...each,
            scene: (seed) => made(spread, seed),
            text: (scene) => spreadText({ ...spread, by: each.value }, said(scene)),
          }))
        : [],
    [spreads, made, said],
  );
}
