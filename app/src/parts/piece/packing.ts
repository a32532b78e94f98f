import type { Result, Trade } from '@leggero/core';
import {
  knotLine,
  packGarland,
  type ClusterKind,
  type KnotLineProblemCode,
  type PackedGarland,
  type PackGarlandProblemCode,
  type Place,
  type Wall,
} from '@leggero/core/garland';

/** What is packed. */
export interface PackQuestion {
  clusters: ClusterKind[];
  points: Place[];
  walls: Wall[];
  seed: number;
  trade: Trade;
}

export type PackAnswer = Result<PackedGarland, PackGarlandProblemCode | KnotLineProblemCode>;

/** A garland packed along a line through places; how far it is, is told now and then. */
export function packed(
  { clusters, points, walls, seed, trade }: PackQuestion,
  tell: (share: number) => void = () => {},
): PackAnswer {
  const line = knotLine(points);
  if (!line.ok) return line;
  const onDone = (many: number) => tell(many / clusters.length);
  return packGarland({ clusters, line: line.value, walls, seed, trade, onDone });
}
