import { MM_PER_INCH, type Problem, type Result, type Trade } from '@leggero/core';
import {
  bareAlong,
  besideEachOther,
  gapsOf,
  knotLine,
  packGarland,
  packStrip,
  touchedUp,
  type Gap,
  type KnotLineProblemCode,
  type PackedGarland,
  type PackGarlandProblemCode,
  type Place,
  type Stretch,
  type Wall,
} from '@leggero/core/garland';

import type { GarlandDesign, GarlandPlan } from './garlandPlan';

interface Along {
  points: Place[];
  walls: Wall[];
  trade: Trade;
}

/** What is packed from the beginning. */
export type PackQuestion = Along & GarlandPlan['made'] & Pick<GarlandDesign, 'seed' | 'kept'>;

/** What is asked to pack a garland, but for how soft it is. */
export function packFigures({
  made,
  points,
  walls,
  seed,
  kept,
}: Omit<Along, 'trade'> & Pick<GarlandPlan, 'made'> & Pick<GarlandDesign, 'seed' | 'kept'>): Omit<
  PackQuestion,
  'trade'
> {
  return { ...made, points, walls, seed, kept };
}

/** What is changed by hand in a garland that is packed. */
export type TouchQuestion = Along & Pick<GarlandPlan, 'touches' | 'moves'> & { packed: PackedWithGaps };

/** A garland at rest, the path it was packed along, the hollows on its outside, and who lies beside whom. */
export interface PackedWithGaps extends PackedGarland {
  gaps: Gap[];
  pathMm: number;
  /** Where what it is tied along shows from the front. */
  bare: Stretch[];
  /** Pairs of balloons side by side as they were packed, before anything was changed by hand. */
  beside: readonly number[];
}
export type PackProblem = Problem<PackGarlandProblemCode | KnotLineProblemCode>;
export type PackAnswer = Result<PackedWithGaps, PackProblem['code']>;

/** Hollows that decorators nest in are so wide: of the smallest that is filled, to a large 5 in. */
const GAPS = { leastMm: 1.5 * MM_PER_INCH, mostMm: 6 * MM_PER_INCH };

/** A garland packed along a line through places, or touched up; how far it is, is told now and then. */
export function packed(question: PackQuestion | TouchQuestion, tell: (share: number) => void = () => {}): PackAnswer {
  const { points, walls, trade } = question;
  const line = knotLine(points);
  if (!line.ok) return line;
  const how = { line: line.value, walls, trade };
  const { lengthMm: pathMm } = line.value;
  const withGaps = (
    made: Result<PackedGarland, PackGarlandProblemCode>,
    beside: (garland: PackedGarland) => readonly number[] = besideEachOther,
  ): PackAnswer =>
    made.ok
      ? {
          ok: true,
          value: {
            ...made.value,
            ...{ pathMm, gaps: gapsOf(made.value, GAPS), bare: bareAlong(made.value, line.value) },
            beside: beside(made.value),
          },
        }
      : made;
  if ('packed' in question) {
    const { packed: whole, touches, moves } = question;
    return withGaps(touchedUp(whole, { ...how, touches, moves }), () => whole.beside);
  }
  const { clusters, strip, over, seed, kept } = question;
  if (strip) return withGaps(packStrip({ balloons: strip, over, seed, kept, ...how }));
  const onDone = (many: number) => tell(many / clusters.length);
  return withGaps(packGarland({ clusters, over, seed, kept, onDone, ...how }));
}

/** The same at once: packed, then touched up where something is changed by hand. */
export function packedByHand(
  view: Parameters<typeof packFigures>[0] & Pick<GarlandPlan, 'touches' | 'moves'>,
  trade: Trade,
): PackAnswer {
  const { touches, moves } = view;
  const whole = { ...packFigures(view), trade };
  const made = packed(whole);
  if (!made.ok || touches.length + moves.length === 0) return made;
  const { points, walls } = whole;
  return packed({ points, walls, trade, touches, moves, packed: made.value });
}
