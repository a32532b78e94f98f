import { ok, problem, type Result } from '../result';
import { MM_PER_INCH } from '../units';
import { MOST_CLUSTERS, MOST_IN_CLUSTER } from './kinds';

/** Balloons of one size in a cluster. */
export interface ClusterPart {
  /** As they are sold, mm, and how wide they are made, mm. */
  nominalMm: number;
  widthMm: number;
  count: number;
}

/** Balloons that are tied at one knot. */
export type ClusterKind = readonly ClusterPart[];

export type ClusterProblemCode =
  /** No kind of cluster, or a rhythm that names one there is none of. */
  'no-clusters' | 'too-many-clusters' | 'bad-count' | 'bad-width' | 'too-many-in-cluster';

/**
 * The clusters of a garland one after another: kinds in a rhythm, begun anew until there are so many.
 *
 * `rhythm`: places in `kinds`.
 *
 * Problems: `no-clusters`, `too-many-clusters`; `bad-count`, `bad-width` and `too-many-in-cluster` with
 * `kinds.<i>.<j>.…` as their field.
 */
export function clustersInRhythm({
  kinds,
  rhythm,
  clusters,
}: {
  kinds: readonly ClusterKind[];
  rhythm: readonly number[];
  clusters: number;
}): Result<ClusterKind[], ClusterProblemCode> {
  if (!(Number.isInteger(clusters) && clusters >= 1 && rhythm.length > 0 && rhythm.every((at) => kinds[at])))
    return problem('no-clusters', { field: 'clusters' });
  if (clusters > MOST_CLUSTERS)
    return problem('too-many-clusters', { field: 'clusters', detail: { most: MOST_CLUSTERS } });
  for (const [i, kind] of kinds.entries()) {
    const checked = checkKind(kind, i);
    if (!checked.ok) return checked;
  }
  return ok(Array.from({ length: clusters }, (_, at) => kinds[rhythm[at % rhythm.length]!]!));
}

function checkKind(kind: ClusterKind, i: number): Result<null, ClusterProblemCode> {
  for (const [j, { widthMm, count }] of kind.entries()) {
    if (!(Number.isInteger(count) && count >= 0))
      return problem('bad-count', { field: `kinds.${i}.${j}.count`, detail: { least: 0 } });
    if (!(widthMm > 0 && Number.isFinite(widthMm))) return problem('bad-width', { field: `kinds.${i}.${j}.widthMm` });
  }
  const many = balloonsOfKind(kind);
  if (many === 0) return problem('bad-count', { field: `kinds.${i}`, detail: { least: 1 } });
  if (many > MOST_IN_CLUSTER)
    return problem('too-many-in-cluster', { field: `kinds.${i}`, detail: { most: MOST_IN_CLUSTER } });
  return ok(null);
}

/** How many balloons a cluster has. */
export const balloonsOfKind = (kind: ClusterKind): number => kind.reduce((sum, { count }) => sum + count, 0);

/** How many balloons of each nominal size clusters take, the largest first. */
export function countByNominal(clusters: readonly ClusterKind[]): { nominalMm: number; count: number }[] {
  const counts = new Map<number, number>();
  for (const kind of clusters)
    for (const { nominalMm, count } of kind) counts.set(nominalMm, (counts.get(nominalMm) ?? 0) + count);
  return [...counts].map(([nominalMm, count]) => ({ nominalMm, count })).sort((a, b) => b.nominalMm - a.nominalMm);
}

/** From here on a balloon is one of the large ones of a cluster, mm as it is sold. */
const LARGE_MM = 15 * MM_PER_INCH;

/** How much of a garland a cluster covers, by how many large and small balloons it has (common practice). */
const FOOT_RULES = [
  { large: 0, small: 4, feet: 1 },
  { large: 1, small: 3, feet: 1 },
  { large: 2, small: 4, feet: 1.5 },
  { large: 3, small: 3, feet: 1.5 },
] as const;

/** What the trade says a cluster covers, mm; null where it says nothing of such a one. */
export function footRuleMm(kind: ClusterKind): number | null {
  const large = balloonsOfKind(kind.filter(({ nominalMm }) => nominalMm >= LARGE_MM));
  const small = balloonsOfKind(kind) - large;
  const rule = FOOT_RULES.find((each) => each.large === large && each.small === small);
  return rule ? rule.feet * 12 * MM_PER_INCH : null;
}

/** How many clusters in a rhythm a length takes by those rules; null where one of them has none. */
export function clustersByRule({
  kinds,
  rhythm,
  lengthMm,
}: {
  kinds: readonly ClusterKind[];
  rhythm: readonly number[];
  lengthMm: number;
}): number | null {
  const feet = rhythm.map((at) => (kinds[at] ? footRuleMm(kinds[at]) : null));
  if (feet.length === 0 || feet.includes(null)) return null;
  let [covered, clusters] = [0, 0];
  // The last one is put on while more than half of it is wanted.
  for (
    let next = feet[0]!;
    covered + next / 2 < lengthMm && clusters < MOST_CLUSTERS;
    next = feet[clusters % feet.length]!
  ) {
    covered += next;
    clusters += 1;
  }
  return Math.max(1, clusters);
}

/** Clusters of small decorators for a base in blocks of colour: so many for each block, the last one begun too. */
export function decoratorClusters({
  clusters,
  block,
  each,
}: {
  clusters: number;
  /** Clusters of the base in one block, and of decorators for it. */
  block: number;
  each: number;
}): number {
  return Math.ceil(clusters / block) * each;
}
