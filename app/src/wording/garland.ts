import { MOST_CLUSTERS, type GarlandPathKind, type Problem } from '@leggero/core';
import type {
  GarlandPathProblemCode,
  KnotLineProblemCode,
  ClusterProblemCode,
  PackGarlandProblemCode,
} from '@leggero/core/garland';

import { counted } from './trade';

type Write = (mm: number) => string;

export const PATH_WORDS: Record<GarlandPathKind, string> = {
  straight: 'Level',
  droop: 'Hanging',
  arch: 'Arch',
  'half-arch': 'Half an arch',
  corner: 'Up and along',
};

/** What the two lengths of a path are called. */
export const PATH_LENGTHS: Record<GarlandPathKind, { wide: string; high: string }> = {
  straight: { wide: 'Length', high: 'Above the floor' },
  droop: { wide: 'Between its fixings', high: 'Fixings above the floor' },
  arch: { wide: 'Between its feet', high: 'Height' },
  'half-arch': { wide: 'Width', high: 'Height' },
  corner: { wide: 'Along the top', high: 'Up the side' },
};

type GarlandProblem = Problem<
  ClusterProblemCode | GarlandPathProblemCode | KnotLineProblemCode | PackGarlandProblemCode
>;

/** Why a garland cannot be planned or packed, and what would work. */
export function garlandProblemText(refused: GarlandProblem, text: Write): string {
  switch (refused.code) {
    case 'no-clusters':
      return 'At least one cluster with a balloon.';
    case 'too-many-clusters':
      return `Up to ${refused.detail.most} clusters.`;
    case 'too-many-in-cluster':
      return `Up to ${refused.detail.most} balloons at one knot.`;
    case 'too-many-balloons':
      return `${refused.detail.balloons.toLocaleString('en')} balloons: up to ${refused.detail.most.toLocaleString('en')} are packed.`;
    case 'bad-count':
      return 'A whole number of balloons, one at least in a cluster.';
    case 'bad-width':
      return 'A width above nothing.';
    case 'bad-path':
      return 'Above nothing, up to 30 m.';
    case 'drop-too-deep':
      return `It would lie on the floor: under ${text(refused.detail.mostMm)}.`;
    case 'too-few-points':
    case 'line-too-short':
      return 'So short a path holds no garland: at least 2 in.';
    case 'line-too-long':
      return `Up to ${text(refused.detail.mostMm)}.`;
  }
}

interface Covered {
  lengthMm: number;
  pathMm: number;
  clusters: number;
}

/** Nearer to its path’s end than this share of a cluster it fills it. */
const FILLS = 0.5;

/** How a packed garland fills its path: what stays bare, or how far it goes on. */
export function coverText({ lengthMm, pathMm, clusters }: Covered, text: Write): string {
  const overMm = lengthMm - pathMm;
  const path = `Its path is ${text(pathMm)}`;
  if (Math.abs(overMm) < (FILLS * lengthMm) / clusters) return `${path}: it fills it.`;
  return overMm < 0
    ? `${path}: ${text(-overMm)} stay bare.`
    : `${path}: it goes on for ${text(overMm)} beyond its end.`;
}

/** How many clusters like these fill the path; null where so many are on already. */
export function fillingClusters({ lengthMm, pathMm, clusters }: Covered): number | null {
  const many = Math.min(MOST_CLUSTERS, Math.max(1, Math.round((clusters * pathMm) / lengthMm)));
  return many === clusters ? null : many;
}

/** What the trade says beside what came out. */
export function ruleText(ruleMm: number | null, lengthMm: number, text: Write): string {
  if (ruleMm === null) return 'The trade has no rule for clusters like these.';
  const off = Math.round(100 * (lengthMm / ruleMm - 1));
  const beside = off === 0 ? 'as packed' : `packed it is ${Math.abs(off)} % ${off > 0 ? 'longer' : 'shorter'}`;
  return `By the rule of the trade such clusters cover ${text(ruleMm)}: ${beside}.`;
}

/** What the hollows of a garland take: "26 hollows take a balloon of 4 in; the widest is 4½ in." */
export function hollowsText(
  { nests, count }: { nests: number; count: number },
  { widthMm, widestMm }: { widthMm: number; widestMm: number | null },
  text: Write,
): string {
  if (widestMm === null) return 'It has no hollow that a small balloon nests in.';
  const over = count > nests ? ` ${counted(count - nests, 'more decorator')}: tie them in twos and threes.` : '';
  return (
    `${counted(nests, 'hollow')} ${nests === 1 ? 'takes' : 'take'} a balloon of ${text(widthMm)}; ` +
    `the widest is ${text(widestMm)}.${over}`
  );
}

/** One cluster in words: "Cluster 3 of 12: 4 balloons". */
export function clusterStepText(step: number, clusters: number, balloons: number): string {
  if (step === clusters) return `${counted(balloons, 'decorator')}, the widest hollows first`;
  return `Cluster ${step + 1} of ${clusters}: ${counted(balloons, 'balloon')}`;
}

/** How a garland is built. */
export function garlandSteps(clusters: number, path: GarlandPathKind): string[] {
  return [
    'Fill one size after the other, the largest first; keep them apart in clean bags.',
    `Tie ${counted(clusters, 'cluster')}: balloons of one cluster neck to neck, a small one between larger ones.`,
    'Join cluster to cluster with a modelling balloon around two or three necks of each; turn each until it nests, and push it on.',
    path === 'straight' || path === 'droop'
      ? 'Hang it by line around some seven balloons at each fixing, and let it come to rest.'
      : 'Fix it to its hooks at the foot, at the bend and at the top, line around some seven balloons at each.',
    'Step back: put decorators where the wall or the line shows, more of them at the foot than at the top.',
  ];
}
