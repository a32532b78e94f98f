import { MM_PER_INCH, type Result, type Trade } from '@leggero/core';
import {
  gapsOf,
  knotLine,
  packGarland,
  type ClusterKind,
  type Gap,
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

/** A garland at rest, the path it was packed along, and the hollows on its outside. */
export type PackedWithGaps = PackedGarland & { gaps: Gap[]; pathMm: number };
export type PackAnswer = Result<PackedWithGaps, PackGarlandProblemCode | KnotLineProblemCode>;

/** Hollows that decorators nest in are so wide: of the smallest that is filled, to a large 5 in. */
const GAPS = { leastMm: 1.5 * MM_PER_INCH, mostMm: 6 * MM_PER_INCH };

/** A garland packed along a line through places; how far it is, is told now and then. */
export function packed(
  { clusters, points, walls, seed, trade }: PackQuestion,
  tell: (share: number) => void = () => {},
): PackAnswer {
  const line = knotLine(points);
  if (!line.ok) return line;
  const onDone = (many: number) => tell(many / clusters.length);
  const made = packGarland({ clusters, line: line.value, walls, seed, trade, onDone });
  return made.ok
    ? { ok: true, value: { ...made.value, gaps: gapsOf(made.value, GAPS), pathMm: line.value.lengthMm } }
    : made;
}
