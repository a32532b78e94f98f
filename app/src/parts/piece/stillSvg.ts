import { shade } from '../shade';
import { extentOf, type Still } from './still';

/** A piece as lines of SVG, in mm, its lowest point in the middle of its width at 0, 0. */
export interface SvgPiece {
  lines: string[];
  wideMm: number;
  highMm: number;
  footMm: number;
}

const figure = (mm: number) => String(Math.round(mm * 10) / 10);

/** A still as SVG: each balloon a circle in its colour, lit from the upper left. `name`: sets its gradients apart. */
export function svgPiece(still: Still, name: string): SvgPiece {
  const { left, right, top, foot } = extentOf(still);
  const hexes = [...new Set(still.balls.map(({ hex }) => hex))];
  const idOf = new Map(hexes.map((hex, i) => [hex, `${name}-${i}`]));
  const gradients = hexes.map(
    (hex) =>
      `<radialGradient id="${idOf.get(hex)}" cx="0.36" cy="0.3" r="0.85"><stop offset="0" stop-color="${shade(hex, 0.38)}"/>` +
      `<stop offset="0.4" stop-color="${hex}"/><stop offset="1" stop-color="${shade(hex, -0.4)}"/></radialGradient>`,
  );
  const balls = still.balls.map(
    ({ x, y, r, hex }) =>
      `<circle cx="${figure(x)}" cy="${figure(y)}" r="${figure(r)}" fill="url(#${idOf.get(hex)})"/>`,
  );
  const dx = -(left + right) / 2;
  return {
    lines: [
      `<defs>${gradients.join('')}</defs>`,
      `<g transform="translate(${figure(dx)} ${figure(-foot)})">`,
      ...(still.handle ? arch(still.handle, still.handle.line) : []),
      ...balls,
      ...(still.handle ? arch(still.handle, still.handle.near) : []),
      '</g>',
    ],
    ...{ wideMm: right - left, highMm: foot - top, footMm: still.footMm },
  };
}

function arch({ widthMm, hex }: NonNullable<Still['handle']>, line: readonly { x: number; y: number }[]): string[] {
  if (line.length === 0) return [];
  const path = line.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${figure(x)} ${figure(y)}`).join(' ');
  return [
    [shade(hex, -0.3), 1],
    [hex, 0.8],
  ].map(
    ([colour, share]) =>
      `<path d="${path}" fill="none" stroke-linejoin="round" stroke="${colour}" stroke-width="${figure(Number(share) * widthMm)}"/>`,
  );
}

/** Between pieces, and around them, mm. */
const APART_MM = 200;

/** Pieces side by side on one floor as an SVG document, to scale in mm. */
export function svgOf(pieces: readonly SvgPiece[]): string {
  let wide = APART_MM;
  const high = Math.max(1, ...pieces.map(({ footMm, highMm }) => footMm + highMm)) + 2 * APART_MM;
  const placed = pieces.map(({ lines, wideMm, footMm }) => {
    const x = wide + wideMm / 2;
    wide += wideMm + APART_MM;
    return `<g transform="translate(${figure(x)} ${figure(high - APART_MM - footMm)})">${lines.join('')}</g>`;
  });
  const floor = figure(high - APART_MM);
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${figure(wide)} ${figure(high)}"`,
    ` width="${figure(wide)}mm" height="${figure(high)}mm">`,
    `<line x1="0" x2="${figure(wide)}" y1="${floor}" y2="${floor}" stroke="#655f56" stroke-width="4"/>`,
    ...placed,
    '</svg>',
  ].join('\n');
}
