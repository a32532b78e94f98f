import type { FinishedGarland } from '@leggero/contract';
import type { Trade } from '@leggero/core';
import {
  clustersInRhythm,
  footRuleMm,
  type ClusterKind,
  type FinishedGarland as FinishedClusters,
} from '@leggero/core/garland';

import { nominalsOf, rhythmOf, type GarlandDesign } from './garlandPlan';
import type { Material } from './material';

/** What finished garlands are asked. */
export interface LearnQuestion {
  garlands: FinishedClusters[];
  trade: Trade;
}

/** The newest say enough. */
const MOST_FINISHED = 6;

/** Garlands as they were tied and measured, cluster by cluster, the newest first. */
export function finishedClusters(finished: readonly FinishedGarland[]): FinishedClusters[] {
  return finished.slice(0, MOST_FINISHED).flatMap(({ kinds, clusters, lengthMm }) => {
    const tied = clustersInRhythm({ kinds: kinds.map(({ balloons }) => balloons), rhythm: rhythmOf(kinds), clusters });
    return tied.ok ? [{ clusters: tied.value, lengthMm }] : [];
  });
}

/** What is tied along a garland, as it is kept once it is finished. */
export function tiedAlong(
  { kinds, clusters }: Pick<GarlandDesign, 'kinds' | 'clusters'>,
  basis: Material,
): Pick<FinishedGarland, 'kinds' | 'clusters'> {
  const nominalOf = nominalsOf(basis);
  return {
    clusters,
    kinds: kinds.map(({ inRow, balloons }) => ({
      inRow,
      balloons: balloons.map((part) => ({ nominalMm: nominalOf(part), widthMm: part.widthMm, count: part.count })),
    })),
  };
}

/** What the trade says clusters cover, mm; null where it says nothing of one of them. */
export function rulesMm(clusters: readonly ClusterKind[]): number | null {
  const rules = clusters.map(footRuleMm);
  return rules.includes(null) ? null : rules.reduce<number>((sum, mm) => sum + mm!, 0);
}

/** How much of the trade's rule a studio's garlands came to, and how many say so; null where none does. */
export function shareOfRule(garlands: readonly FinishedClusters[]): { share: number; garlands: number } | null {
  const shares = garlands.flatMap(({ clusters, lengthMm }) => {
    const ruleMm = rulesMm(clusters);
    return ruleMm === null ? [] : [lengthMm / ruleMm];
  });
  if (shares.length === 0) return null;
  return { share: shares.reduce((sum, each) => sum + each, 0) / shares.length, garlands: shares.length };
}
