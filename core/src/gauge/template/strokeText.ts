import type { PathShape } from './drawing';

/**
 * Signs drawn with single strokes, as cutters engrave them: a file then needs no font, and looks the same everywhere.
 * Each sign stands in a box 4 wide and 6 high, y down.
 */

// prettier-ignore
const SIGNS: Readonly<Record<string, { wide: number; strokes: readonly (readonly [number, number][])[] }>> = {
  '0': { wide: 4, strokes: [[[1, 0], [3, 0], [4, 1], [4, 5], [3, 6], [1, 6], [0, 5], [0, 1], [1, 0]]] },
  '1': { wide: 2, strokes: [[[0, 1.4], [2, 0], [2, 6]]] },
  '2': { wide: 4, strokes: [[[0, 1], [1, 0], [3, 0], [4, 1], [4, 2.2], [0, 6], [4, 6]]] },
  '3': { wide: 4, strokes: [[[0, 0], [4, 0], [2, 2.4], [3, 2.4], [4, 3.4], [4, 5], [3, 6], [1, 6], [0, 5]]] },
  '4': { wide: 4, strokes: [[[3, 6], [3, 0], [0, 4.2], [4, 4.2]]] },
  '5': { wide: 4, strokes: [[[4, 0], [0, 0], [0, 2.6], [3, 2.6], [4, 3.6], [4, 5], [3, 6], [1, 6], [0, 5]]] },
  '6': { wide: 4, strokes: [[[4, 1], [3, 0], [1, 0], [0, 1], [0, 5], [1, 6], [3, 6], [4, 5],
    [4, 3.6], [3, 2.6], [1, 2.6], [0, 3.6]]] },
  '7': { wide: 4, strokes: [[[0, 0], [4, 0], [1.4, 6]]] },
  '8': { wide: 4, strokes: [[[1, 2.8], [0, 1.8], [0, 1], [1, 0], [3, 0], [4, 1], [4, 1.8], [3, 2.8], [1, 2.8],
    [0, 3.8], [0, 5], [1, 6], [3, 6], [4, 5], [4, 3.8], [3, 2.8]]] },
  '9': { wide: 4, strokes: [[[0, 5], [1, 6], [3, 6], [4, 5], [4, 1], [3, 0], [1, 0], [0, 1],
    [0, 2.4], [1, 3.4], [3, 3.4], [4, 2.4]]] },
  '.': { wide: 0.4, strokes: [[[0, 5.6], [0.4, 5.6], [0.4, 6], [0, 6], [0, 5.6]]] },
  '/': { wide: 3, strokes: [[[0, 6], [3, 0]]] },
  '-': { wide: 3, strokes: [[[0, 3], [3, 3]]] },
  'c': { wide: 3, strokes: [[[3, 2.8], [2.2, 2], [0.8, 2], [0, 2.8], [0, 5.2], [0.8, 6], [2.2, 6], [3, 5.2]]] },
  'i': { wide: 0.4, strokes: [[[0.2, 2], [0.2, 6]], [[0.2, 0.4], [0.2, 0.8]]] },
  'm': { wide: 4.4, strokes: [[[0, 6], [0, 2]], [[0, 2.8], [0.8, 2], [1.6, 2], [2.2, 2.8], [2.2, 6]],
    [[2.2, 2.8], [3, 2], [3.6, 2], [4.4, 2.8], [4.4, 6]]] },
  'n': { wide: 3, strokes: [[[0, 6], [0, 2]], [[0, 2.8], [0.8, 2], [2.2, 2], [3, 2.8], [3, 6]]] },
  ' ': { wide: 1.2, strokes: [] },
};
const HIGH = 6;
const BETWEEN = 1.2;

/** Width of a line of text, mm. Signs there are no strokes for take no room. */
export function textWidthMm(text: string, heightMm: number): number {
  const signs = [...text].flatMap((sign) => SIGNS[sign] ?? []);
  const wide = signs.reduce((sum, sign) => sum + sign.wide, 0) + BETWEEN * Math.max(0, signs.length - 1);
  return (wide * heightMm) / HIGH;
}

/** Text as strokes to engrave, its middle at (x, y), turned by `angle` (radians, from x towards y). */
export function strokeText({
  text,
  xMm,
  yMm,
  heightMm,
  angle = 0,
}: {
  text: string;
  xMm: number;
  yMm: number;
  heightMm: number;
  angle?: number;
}): PathShape[] {
  const scale = heightMm / HIGH;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  let left = -textWidthMm(text, heightMm) / 2;
  const shapes: PathShape[] = [];
  for (const sign of text) {
    const drawn = SIGNS[sign];
    if (!drawn) continue;
    for (const stroke of drawn.strokes) {
      const corners = stroke.map(([px, py]) => {
        const x = left + px * scale;
        const y = py * scale - heightMm / 2;
        return { xMm: xMm + x * cos - y * sin, yMm: yMm + x * sin + y * cos };
      });
      shapes.push({ kind: 'path', layer: 'engrave', closed: false, corners });
    }
    left += (drawn.wide + BETWEEN) * scale;
  }
  return shapes;
}
