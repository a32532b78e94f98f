import { LINE_MM, STEEL_HEX } from '@/parts/piece/holds';
import type { GarlandDesign } from '@/parts/piece/garlandPlan';
import type { Holds } from '@/parts/piece/tiedScene';
import type { GarlandView } from '@/parts/piece/viewGarland';

/** Behind a garland, mm: what stands at its wall is seen there in outlines. */
const WALL_MM = 200;
/** How wide those are drawn, mm: to be seen across a room. */
const OUTLINE_MM = 14;

/** The line, the strip or the string that its knots lie along, and outlines of what stands behind it. */
export function lineAndWall(view: GarlandView | null, wall: GarlandDesign['wall']): Holds {
  const line = view ? [{ line: view.points, widthMm: LINE_MM, hex: STEEL_HEX }] : [];
  const outlines = (wall?.things ?? []).flatMap(({ leftMm, lowMm, wideMm, highMm }) => {
    const left = leftMm - wall!.wideMm / 2;
    const [right, top] = [left + wideMm, lowMm + highMm];
    const corners = [
      [left, lowMm],
      [left, top],
      [right, top],
      [right, lowMm],
    ].map(([x, z]) => [x!, WALL_MM, z!] as const);
    // Each side by itself: a line through corners is drawn round.
    return corners.map((corner, i) => {
      const side = [corner, corners[(i + 1) % corners.length]!];
      return { line: side, widthMm: OUTLINE_MM, hex: STEEL_HEX };
    });
  });
  return { tubes: [...line, ...outlines], discs: [] };
}
