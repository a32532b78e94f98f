/** A rectangle to be laid, mm. */
export interface Slab {
  widthMm: number;
  heightMm: number;
}

/** Where a slab lies. */
export interface Lain {
  /** Its place among the slabs given. */
  index: number;
  sheet: number;
  xMm: number;
  yMm: number;
  /** By a quarter turn. */
  turned: boolean;
}

interface Rect extends Slab {
  xMm: number;
  yMm: number;
}

/**
 * Lays slabs on sheets, `gapMm` apart, turned where that wastes less: largest first, each into the free rectangle
 * that it leaves the shortest side of, on the first sheet that takes it. `null` when one is larger than a sheet.
 *
 * Source: the maximal-rectangles method with best short side fit; Jylanki, A Thousand Ways to Pack the Bin (2010).
 */
export function nest(slabs: readonly Slab[], sheet: Slab, gapMm: number): Lain[] | null {
  const order = slabs
    .map((_, index) => index)
    .sort((a, b) => slabs[b]!.widthMm * slabs[b]!.heightMm - slabs[a]!.widthMm * slabs[a]!.heightMm);
  // A gap after each slab, and one more room at the sheet's far edges, where none is needed.
  const whole = { xMm: 0, yMm: 0, widthMm: sheet.widthMm + gapMm, heightMm: sheet.heightMm + gapMm };
  const free: Rect[][] = [];
  const lain: Lain[] = [];
  for (const index of order) {
    const slab = { widthMm: slabs[index]!.widthMm + gapMm, heightMm: slabs[index]!.heightMm + gapMm };
    let spot: (Rect & { turned: boolean }) | null = null;
    let at = -1;
    while (!spot) {
      at += 1;
      if (at === free.length) {
        free.push([whole]);
        spot = bestRoom(free[at]!, slab);
        if (!spot) return null;
      } else spot = bestRoom(free[at]!, slab);
    }
    lain.push({ index, sheet: at, xMm: spot.xMm, yMm: spot.yMm, turned: spot.turned });
    free[at] = carve(free[at]!, spot);
  }
  return lain.sort((a, b) => a.index - b.index);
}

const TOUCH = 1e-9;

function bestRoom(free: readonly Rect[], slab: Slab): (Rect & { turned: boolean }) | null {
  let best: (Rect & { turned: boolean; short: number; long: number }) | null = null;
  for (const room of free) {
    for (const turned of [false, true]) {
      const widthMm = turned ? slab.heightMm : slab.widthMm;
      const heightMm = turned ? slab.widthMm : slab.heightMm;
      const spare = [room.widthMm - widthMm, room.heightMm - heightMm].sort((a, b) => a - b);
      const [short = 0, long = 0] = spare;
      if (short < -TOUCH) continue;
      if (!best || short < best.short - TOUCH || (short < best.short + TOUCH && long < best.long - TOUCH)) {
        best = { xMm: room.xMm, yMm: room.yMm, widthMm, heightMm, turned, short, long };
      }
    }
  }
  return best;
}

/** The free rectangles once `taken` is not free any more: up to four strips of each, without those inside another. */
function carve(free: readonly Rect[], taken: Rect): Rect[] {
  const right = taken.xMm + taken.widthMm;
  const bottom = taken.yMm + taken.heightMm;
  const strips = free.flatMap((room): Rect[] => {
    const roomRight = room.xMm + room.widthMm;
    const roomBottom = room.yMm + room.heightMm;
    const apart = taken.xMm >= roomRight || right <= room.xMm || taken.yMm >= roomBottom || bottom <= room.yMm;
    if (apart) return [room];
    return [
      { ...room, widthMm: taken.xMm - room.xMm },
      { ...room, xMm: right, widthMm: roomRight - right },
      { ...room, heightMm: taken.yMm - room.yMm },
      { ...room, yMm: bottom, heightMm: roomBottom - bottom },
    ].filter((strip) => strip.widthMm > TOUCH && strip.heightMm > TOUCH);
  });
  return strips.filter(
    (inner, i) => !strips.some((outer, j) => i !== j && holds(outer, inner) && !(j > i && holds(inner, outer))),
  );
}

function holds(outer: Rect, inner: Rect): boolean {
  return (
    outer.xMm <= inner.xMm &&
    outer.yMm <= inner.yMm &&
    outer.xMm + outer.widthMm >= inner.xMm + inner.widthMm &&
    outer.yMm + outer.heightMm >= inner.yMm + inner.heightMm
  );
}
