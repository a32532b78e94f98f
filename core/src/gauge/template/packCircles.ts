/** A circle with its place, mm. */
export interface PlacedCircle {
  /** Its place among the radii given. */
  index: number;
  xMm: number;
  yMm: number;
  radiusMm: number;
}

/** Where circles may lie: `gapMm` between them, `edgeMm` from the walls. */
export interface Room {
  widthMm: number;
  heightMm: number;
  gapMm: number;
  edgeMm: number;
}

/** Rounding of coordinates must not turn a touch into an overlap, mm. */
const TOUCH = 1e-6;

/**
 * Lays circles into a rectangle, largest first, each as high up and then as far left as it goes while touching two of
 * walls and circles (the corner-occupying rule of Huang et al., Journal of the Operational Research Society 56
 * (2005)). Gives those that found room, and the places of those that did not.
 */
export function packCircles(radii: readonly number[], room: Room): { placed: PlacedCircle[]; left: number[] } {
  const order = radii.map((_, index) => index).sort((a, b) => radii[b]! - radii[a]! || a - b);
  const placed: PlacedCircle[] = [];
  const left: number[] = [];
  for (const index of order) {
    const spot = bestSpot(radii[index]!, placed, room);
    if (spot) placed.push({ index, ...spot, radiusMm: radii[index]! });
    else left.push(index);
  }
  return { placed, left };
}

interface Spot {
  xMm: number;
  yMm: number;
}

function bestSpot(radius: number, placed: readonly PlacedCircle[], room: Room): Spot | null {
  const { widthMm, heightMm, gapMm, edgeMm } = room;
  const low = edgeMm + radius;
  const right = widthMm - edgeMm - radius;
  const bottom = heightMm - edgeMm - radius;
  if (right < low - TOUCH || bottom < low - TOUCH) return null;
  const fits = ({ xMm, yMm }: Spot) =>
    xMm >= low - TOUCH &&
    xMm <= right + TOUCH &&
    yMm >= low - TOUCH &&
    yMm <= bottom + TOUCH &&
    placed.every(
      (circle) => Math.hypot(circle.xMm - xMm, circle.yMm - yMm) >= circle.radiusMm + radius + gapMm - TOUCH,
    );
  let best: Spot | null = null;
  const offer = (spot: Spot) => {
    const higher = !best || spot.yMm < best.yMm - TOUCH || (spot.yMm < best.yMm + TOUCH && spot.xMm < best.xMm);
    if (higher && fits(spot)) best = spot;
  };
  offer({ xMm: low, yMm: low });
  offer({ xMm: right, yMm: low });
  for (let i = 0; i < placed.length; i += 1) {
    const a = placed[i]!;
    const reach = a.radiusMm + radius + gapMm;
    for (const xMm of [low, right]) {
      const dy = reach ** 2 - (xMm - a.xMm) ** 2;
      if (dy >= 0) [-1, 1].forEach((side) => offer({ xMm, yMm: a.yMm + side * Math.sqrt(dy) }));
    }
    const dx = reach ** 2 - (low - a.yMm) ** 2;
    if (dx >= 0) [-1, 1].forEach((side) => offer({ xMm: a.xMm + side * Math.sqrt(dx), yMm: low }));
    for (let j = 0; j < i; j += 1) {
      const b = placed[j]!;
      const distance = Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm);
      const other = b.radiusMm + radius + gapMm;
      if (distance > reach + other) continue;
      // The two points at `reach` from a and `other` from b.
      const along = (distance ** 2 + reach ** 2 - other ** 2) / (2 * distance);
      const square = reach ** 2 - along ** 2;
      if (square < 0) continue;
      const up = Math.sqrt(square) / distance;
      const [ux, uy] = [(b.xMm - a.xMm) / distance, (b.yMm - a.yMm) / distance];
      for (const side of [-1, 1]) {
        const off = side * up * distance;
        offer({ xMm: a.xMm + along * ux - off * uy, yMm: a.yMm + along * uy + off * ux });
      }
    }
  }
  return best;
}
