import { roundedRectangle, type Piece } from './drawing';
import { rimLabel } from './label';
import { packCircles, type PlacedCircle } from './packCircles';
import { EDGE_MM, type Material, type TemplateSize } from './sizes';

/** Plate widths tried for the one that wastes least. */
const TRIES = 14;
const CORNER_MM = 8;

/** Plates with closed holes: as few as the sheet allows, each as small as its holes can be laid. */
export function plates(sizes: readonly TemplateSize[], material: Material): Piece[] {
  const pieces: Piece[] = [];
  let left = [...sizes];
  while (left.length > 0) {
    const layout = bestLayout(left, material);
    if (layout.placed.length === 0) break;
    pieces.push(pieceOf(left, layout, material, pieces.length + 1));
    left = left.filter((_, index) => !layout.placed.some((circle) => circle.index === index));
  }
  return pieces;
}

interface Layout {
  placed: PlacedCircle[];
  widthMm: number;
  heightMm: number;
}

function bestLayout(sizes: readonly TemplateSize[], material: Material): Layout {
  const { sheetWidthMm, sheetHeightMm, bridgeMm, kerfMm } = material;
  const radii = sizes.map(({ widthMm }) => widthMm / 2);
  // A kerf wider than its share is taken off the hole, not off the bridge: holes keep their width.
  const gapMm = bridgeMm;
  const largest = 2 * Math.max(...radii) + 2 * EDGE_MM;
  let best: (Layout & { score: number }) | null = null;
  for (let i = 0; i <= TRIES; i += 1) {
    const widthMm = largest + (i / TRIES) * Math.max(0, sheetWidthMm - kerfMm - largest);
    const heightMm = sheetHeightMm - kerfMm;
    const { placed } = packCircles(radii, { widthMm, heightMm, gapMm, edgeMm: EDGE_MM });
    if (placed.length === 0) continue;
    const wide = Math.max(...placed.map(({ xMm, radiusMm }) => xMm + radiusMm)) + EDGE_MM;
    const high = Math.max(...placed.map(({ yMm, radiusMm }) => yMm + radiusMm)) + EDGE_MM;
    const holes = placed.reduce((sum, { radiusMm }) => sum + radiusMm ** 2, 0);
    // All holes on one plate first, then little waste.
    const score = placed.length + holes / (wide * high);
    if (!best || score > best.score) best = { placed, widthMm: wide, heightMm: high, score };
  }
  return best ?? { placed: [], widthMm: 0, heightMm: 0 };
}

function pieceOf(
  sizes: readonly TemplateSize[],
  { placed, widthMm, heightMm }: Layout,
  { kerfMm, bridgeMm }: Material,
  number: number,
): Piece {
  const grow = kerfMm / 2;
  const holes = placed.map(({ xMm, yMm, radiusMm }) => ({
    kind: 'circle' as const,
    layer: 'cut' as const,
    xMm: xMm + grow,
    yMm: yMm + grow,
    radiusMm: radiusMm - grow,
  }));
  const shifted = placed.map((circle) => ({ ...circle, xMm: circle.xMm + grow, yMm: circle.yMm + grow }));
  const labels = shifted.flatMap((circle) =>
    rimLabel({
      text: sizes[circle.index]!.label,
      circle,
      others: shifted.filter((other) => other !== circle),
      bridgeMm,
    }),
  );
  const outline = roundedRectangle({
    xMm: 0,
    yMm: 0,
    widthMm: widthMm + kerfMm,
    heightMm: heightMm + kerfMm,
    radiusMm: CORNER_MM + grow,
  });
  return {
    name: `plate ${number}`,
    widthMm: widthMm + kerfMm,
    heightMm: heightMm + kerfMm,
    shapes: [...labels, ...holes, outline],
    holes: shifted.map(({ index, xMm, yMm }) => ({ ...sizes[index]!, xMm, yMm })),
  };
}
