import { useMemo } from 'react';

import { useTrade } from '@/data/trade';

import { useAsked, type Asked } from '../useAsked';
import type { PackAnswer, PackQuestion } from './packing';
import type { GarlandView } from './viewGarland';

const openWorker = () => new Worker(new URL('./garland.worker', window.location.href));

/** A garland as a worker packs it: anew once the hand rests. */
export function usePacked(view: GarlandView | null, seed: number): Asked<PackAnswer> {
  const trade = useTrade();
  const key = view && JSON.stringify({ clusters: view.clusters, points: view.points, walls: view.walls, seed });
  // By hand: another garland of the same figures is the same question.
  const question = useMemo(
    (): PackQuestion | null => (key ? { ...(JSON.parse(key) as PackQuestion), trade } : null),
    [key, trade],
  );
  return useAsked<PackQuestion, PackAnswer>(openWorker, question);
}
