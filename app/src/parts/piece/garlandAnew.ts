import type { Trade } from '@leggero/core';
import { factorsOff, type PieceSpread } from '@leggero/core/building';
import { knotLine, touchedUp, type Place, type Wall } from '@leggero/core/garland';

import { nameOf } from './garlandPlan';
import type { PackedWithGaps } from './packing';
import type { GarlandBalloon } from './viewGarland';

interface Anew {
  points: readonly Place[];
  walls: readonly Wall[];
  trade: Trade;
}

/** More than so many only change their widths: they would keep the page waiting. */
const MOST_MOVED = 1200;

/** A packed garland as it comes out in an artist's hands: every balloon off by its own draw, and all at rest again. */
export function garlandAnew(
  packed: PackedWithGaps,
  balloons: readonly GarlandBalloon[],
  { points, walls, trade }: Anew,
  { spread, seed }: { spread: PieceSpread; seed: number },
): GarlandBalloon[] {
  const off = factorsOff(spread, seed);
  const line = knotLine(points);
  const touches = packed.balloons.map((each) => ({ ...each, widthMm: each.widthMm * off() }));
  const made =
    line.ok && touches.length <= MOST_MOVED && touchedUp(packed, { line: line.value, touches, walls, trade });
  const lies = new Map((made && made.ok ? made.value.balloons : touches).map((each) => [nameOf(each), each]));
  return balloons.map((balloon) => {
    const found = balloon.plan && lies.get(nameOf(balloon.plan));
    if (!found) return { ...balloon, widthMm: balloon.widthMm * off() };
    const { widthMm, xMm, yMm, zMm, neck } = found;
    return { ...balloon, widthMm, xMm, yMm, zMm, neck };
  });
}
