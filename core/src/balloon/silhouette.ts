/** A point of the drawing plane, mm: x to the right, y downwards, origin at the middle of the widest place. */
export interface Point {
  xMm: number;
  yMm: number;
}

/** What is seen of a tied balloon from the side, as closed outlines in mm. */
export interface Silhouette {
  body: Point[];
  /** Neck and lip, hanging from the body; narrower for a softer balloon. */
  neck: Point[];
  /** From the crown to the end of the lip, mm, as distances from the origin. */
  crownMm: number;
  footMm: number;
}

const POINTS_A_SIDE = 36;
const POINTS_A_NECK = 24;

/**
 * The outline of a balloon `widthMm` wide and `heightMm` high (crown to neck), crown up. The crown is half an
 * ellipse; what the height has over the width goes to the lower half, which narrows towards the neck: an oval keeps
 * a full lower half, a pear a tapering one. The neck hangs out further the less the balloon is filled
 * (`widthMm` against `nominalMm`): common practice, proportions from memory.
 */
export function silhouetteOf({
  widthMm,
  heightMm,
  nominalMm,
}: {
  widthMm: number;
  heightMm: number;
  nominalMm: number;
}): Silhouette {
  const half = widthMm / 2;
  const crownMm = Math.min(half, heightMm / 2);
  const lowerMm = heightMm - crownMm;
  // 0 for a sphere, growing with the aspect: pulls the lower half in towards the neck.
  const taper = Math.max(0, lowerMm / half - 1);
  const side: Point[] = [];
  for (let i = 0; i <= POINTS_A_SIDE; i += 1) {
    const angle = (Math.PI * i) / POINTS_A_SIDE;
    const down = -Math.cos(angle);
    const across = Math.sin(angle);
    const narrowing = down > 0 ? 1 - Math.min(0.45, taper) * down * down * across : 1;
    side.push({ xMm: half * across * narrowing, yMm: down < 0 ? down * crownMm : down * lowerMm });
  }
  const body = [...side, ...mirrored(side.slice(1, -1))];

  const softness = Math.min(1, Math.max(0, 1 - widthMm / nominalMm));
  const neckHalf = nominalMm * 0.028;
  const neckLong = nominalMm * (0.06 + 0.09 * softness);
  const top = lowerMm * 0.985;
  // Wide where it leaves the body, narrow in the middle, flaring into the lip, whose edge is rolled.
  const neckSide = Array.from({ length: POINTS_A_NECK + 1 }, (_, i): Point => {
    const along = i / POINTS_A_NECK;
    const flare = 0.75 + 0.6 * (1 - along) ** 4 + 1.1 * along ** 5;
    const rolled = along > 0.97 ? 0.9 : 1;
    return { xMm: neckHalf * flare * rolled, yMm: top + neckLong * along };
  });
  return {
    body,
    neck: [...neckSide, ...mirrored(neckSide)],
    crownMm,
    footMm: top + neckLong,
  };
}

function mirrored(side: readonly Point[]): Point[] {
  return side.map(({ xMm, yMm }) => ({ xMm: -xMm, yMm })).reverse();
}
