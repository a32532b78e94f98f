import { useMemo } from 'react';

import { useTrade } from '@/data/trade';

import { useAsked, useSameFigures, type Asked } from '../useAsked';
import type { PackAnswer, PackQuestion } from './packing';
import type { GarlandView } from './viewGarland';

const openWorker = () => new Worker(new URL('./garland.worker', window.location.href));

/** A garland as a worker packs it: anew once the hand rests. */
export function usePacked(view: GarlandView | null, seed: number): Asked<PackAnswer> {
  const trade = useTrade();
  const asked = useSameFigures(view && { clusters: view.clusters, points: view.points, walls: view.walls, seed });
  const question = useMemo((): PackQuestion | null => asked && { ...asked, trade }, [asked, trade]);
  return useAsked<PackQuestion, PackAnswer>(openWorker, question);
}
