import type { Corner, Piece } from './drawing';
import { labelHeight, type Material, type TemplateSize } from './sizes';
import { strokeText } from './strokeText';

/** The hook's hole, mm across, and the band around every hole in bridges. */
const EYE_MM = 10;
const LEAST_BAND_MM = 10;

/**
 * Strips of rings one below the other, the largest lowest, with an eye to hang them by. Each ring is a band around
 * its hole; the bands run into one another, and the label stands in the neck above its hole.
 */
export function strips(sizes: readonly TemplateSize[], material: Material): Piece[] {
  const runs: TemplateSize[][] = [];
  for (const size of sizes) {
    const run = runs.at(-1);
    if (run && stripHeight([...run, size], material) <= material.sheetHeightMm) run.push(size);
    else runs.push([size]);
  }
  return runs.map((run, i) => stripOf(run, material, i + 1));
}

/** Bands wide enough for the label, mm. */
export function bandMm(bridgeMm: number): number {
  return Math.max(LEAST_BAND_MM, bridgeMm);
}

function stripHeight(run: readonly TemplateSize[], material: Material): number {
  const discs = discsOf(run, material);
  const last = discs.at(-1)!;
  return last.y + last.outer;
}

interface Disc {
  /** Height of its centre below the strip's top. */
  y: number;
  /** Radius of its hole and of its rim, as cut. */
  inner: number;
  outer: number;
}

function discsOf(run: readonly TemplateSize[], { kerfMm, bridgeMm }: Material): Disc[] {
  const grow = kerfMm / 2;
  const band = bandMm(bridgeMm);
  const radii = [EYE_MM / 2, ...run.map(({ widthMm }) => widthMm / 2)];
  let y = grow + band + EYE_MM / 2;
  return radii.map((radius, i) => {
    if (i > 0) y += radii[i - 1]! + band + radius;
    return { y, inner: radius - grow, outer: radius + band + grow };
  });
}

function stripOf(run: readonly TemplateSize[], material: Material, number: number): Piece {
  const discs = discsOf(run, material);
  const middle = Math.max(...discs.map(({ outer }) => outer));
  const waists = discs.slice(1).map((disc, i) => waistOf(discs[i]!, disc));
  const right: Corner[] = waists.map((waist, i) => ({
    xMm: middle + waist.half,
    yMm: waist.y,
    bulge: bulgeBetween(discs[i + 1]!, waist, waists[i + 1]),
  }));
  const left: Corner[] = waists.map((waist, i) => ({
    xMm: middle - waist.half,
    yMm: waist.y,
    bulge: i === 0 ? capBulge(discs[0]!, waist) : bulgeBetween(discs[i]!, waists[i - 1]!, waist),
  }));
  const corners = [...right, ...left.reverse()];
  const last = discs.at(-1)!;
  const tall = labelHeight(bandMm(material.bridgeMm));
  return {
    name: `ring strip ${number}`,
    widthMm: 2 * middle,
    heightMm: last.y + last.outer,
    holes: run.map((size, i) => ({ ...size, xMm: middle, yMm: discs[i + 1]!.y })),
    shapes: [
      ...run.flatMap((size, i) => {
        const { y, inner } = discs[i + 1]!;
        const yMm = y - inner - bandMm(material.bridgeMm) / 2 - material.kerfMm / 2;
        return strokeText({ text: size.label, xMm: middle, yMm, heightMm: tall });
      }),
      ...discs.map(({ y, inner }) => ({
        kind: 'circle' as const,
        layer: 'cut' as const,
        xMm: middle,
        yMm: y,
        radiusMm: inner,
      })),
      { kind: 'path', layer: 'cut', closed: true, corners },
    ],
  };
}

/** Where two rims cross: how far down, and how far from the middle. */
interface Waist {
  y: number;
  half: number;
}

function waistOf(above: Disc, below: Disc): Waist {
  const distance = below.y - above.y;
  const along = (distance ** 2 + above.outer ** 2 - below.outer ** 2) / (2 * distance);
  return { y: above.y + along, half: Math.sqrt(Math.max(0, above.outer ** 2 - along ** 2)) };
}

/** The rim of a disc down its right (or, mirrored, up its left) side; all the way round below the last waist. */
function bulgeBetween(disc: Disc, from: Waist, to: Waist | undefined): number {
  const start = Math.atan2(from.half, disc.y - from.y);
  const end = to ? Math.atan2(to.half, disc.y - to.y) : 2 * Math.PI - start;
  return Math.tan((end - start) / 4);
}

/** The eye's rim, over the top from the left waist to the right one. */
function capBulge(eye: Disc, waist: Waist): number {
  const half = Math.PI - Math.atan2(waist.half, waist.y - eye.y);
  return Math.tan((2 * half) / 4);
}
