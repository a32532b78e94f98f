import type { PathShape } from './drawing';
import type { PlacedCircle } from './packCircles';
import { labelHeight } from './sizes';
import { strokeText, textWidthMm } from './strokeText';

/** Clear of the hole by so much, mm. */
const CLEAR = 1.2;
const STEP = Math.PI / 36;
const FURTHEST = 33;

/**
 * The label of a hole, engraved along its rim: below it where there is room, else as near to below as the neighbours
 * allow, so that no stroke is cut away.
 */
export function rimLabel({
  text,
  circle,
  others,
  bridgeMm,
}: {
  text: string;
  circle: PlacedCircle;
  others: readonly PlacedCircle[];
  bridgeMm: number;
}): PathShape[] {
  const heightMm = labelHeight(bridgeMm);
  const half = textWidthMm(text, heightMm) / 2;
  const reach = circle.radiusMm + CLEAR + heightMm / 2;
  let best = { angle: Math.PI / 2, room: -Infinity };
  for (let k = 0; k <= FURTHEST && best.room < CLEAR / 2; k += 1) {
    for (const side of k === 0 ? [0] : [1, -1]) {
      const angle = Math.PI / 2 + side * k * STEP;
      const room = roomAt(angle);
      if (room > best.room) best = { angle, room };
    }
  }
  const { angle } = best;
  return strokeText({
    text,
    heightMm,
    xMm: circle.xMm + reach * Math.cos(angle),
    yMm: circle.yMm + reach * Math.sin(angle),
    angle: angle - Math.PI / 2,
  });

  /** Least distance from the text's outer edge to another hole. */
  function roomAt(angle: number): number {
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    const outer = reach + heightMm / 2;
    const corners = [-half, 0, half].flatMap((along) =>
      [outer, outer - heightMm].map((out) => ({
        x: circle.xMm + out * cos - along * sin,
        y: circle.yMm + out * sin + along * cos,
      })),
    );
    return Math.min(
      Infinity,
      ...others.flatMap((other) =>
        corners.map(({ x, y }) => Math.hypot(other.xMm - x, other.yMm - y) - other.radiusMm),
      ),
    );
  }
}
