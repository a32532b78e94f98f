import type { ClusterKind } from '../src/garland';
import { inch } from './results';

/** So many balloons of one size of a cluster, in inches. */
export const part = (nominalIn: number, widthIn: number, count: number) => {
  return { nominalMm: inch(nominalIn), widthMm: inch(widthIn), count };
};

/** Four of 11 in, two at 10 and two at 7½: the cluster that makes a foot. */
export const QUAD: ClusterKind = [part(11, 10, 2), part(11, 7.5, 2)];

/** The same cluster over and over. */
export const times = (kind: ClusterKind, many: number): ClusterKind[] => Array.from({ length: many }, () => kind);
