import type { ModellingSize } from '@leggero/core/modelling';
import { Circle, G, Path } from 'react-native-svg';

import { shade } from '@/parts/shade';
import { Picture } from '@/ui/Picture';

/** What a drawing of a shape needs, mm. */
export type ShapeLines =
  | { shape: 'leaf'; longMm: number; acrossMm: number }
  | { shape: 'loop'; outsideMm: number }
  | { shape: 'spray'; rays: number; rayMm: number }
  | { shape: 'curl'; turns: number; acrossMm: number; alongMm: number };

interface ShapePictureProps {
  lines: ShapeLines;
  size: ModellingSize;
  colourHex: string;
  label: string;
}

/** A shape made of one thick line as wide as the balloon, to scale with its own frame. */
export function ShapePicture({ lines, size, colourHex, label }: ShapePictureProps) {
  const { widthMm } = size;
  const { path, wideMm, highMm } = drawing(lines, widthMm);
  return (
    <Picture label={label} height={210}>
      {(width, height) => {
        const scale = Math.min((width - 24) / wideMm, (height - 20) / highMm);
        return (
          <G
            transform={`translate(${width / 2} ${height / 2}) scale(${scale})`}
            fill="none"
            strokeLinecap="round"
            strokeLinejoin="round"
          >
            <Path d={path} stroke={shade(colourHex, -0.35)} strokeWidth={widthMm} />
            <Path d={path} stroke={colourHex} strokeWidth={widthMm * 0.86} />
            <Path d={path} stroke={shade(colourHex, 0.4)} strokeWidth={widthMm * 0.14} opacity={0.8} />
            {lines.shape === 'spray' ? <Circle r={widthMm * 0.7} fill={shade(colourHex, -0.2)} /> : null}
          </G>
        );
      }}
    </Picture>
  );
}

/** The middle line of a shape around the origin, and the frame it takes. */
function drawing(lines: ShapeLines, widthMm: number): { path: string; wideMm: number; highMm: number } {
  switch (lines.shape) {
    case 'leaf': {
      const { longMm, acrossMm } = lines;
      const half = longMm / 2 - widthMm / 2;
      const r = widthMm / 2;
      // Two sides that belly a little, joined by the bend at the tip.
      const path =
        `M${-half} 0C${-half / 2} ${-r * 1.2} ${half / 4} ${-r} ${half - r} ${-r}A${r} ${r} 0 0 1 ` +
        `${half - r} ${r}C${half / 4} ${r} ${-half / 2} ${r * 1.2} ${-half} 0`;
      return { path, wideMm: longMm, highMm: acrossMm * 1.2 };
    }
    case 'loop': {
      const r = (lines.outsideMm - widthMm) / 2;
      const path = `M0 ${r}A${r} ${r} 0 1 1 0.01 ${r}`;
      return { path, wideMm: lines.outsideMm, highMm: lines.outsideMm };
    }
    case 'spray': {
      const { rays, rayMm } = lines;
      const tips = Array.from({ length: rays }, (_, i) => (2 * Math.PI * i) / rays - Math.PI / 2);
      const long = rayMm - widthMm / 2;
      const path = tips.map((angle) => `M0 0L${long * Math.cos(angle)} ${long * Math.sin(angle)}`).join('');
      return { path, wideMm: 2 * rayMm, highMm: 2 * rayMm };
    }
    case 'curl': {
      const { turns, acrossMm, alongMm } = lines;
      const r = (acrossMm - widthMm) / 2;
      const steps = Math.ceil(turns * 24);
      // Seen from the side and a little from above, so that each turn shows.
      const points = Array.from({ length: steps + 1 }, (_, i) => {
        const angle = (2 * Math.PI * turns * i) / steps;
        const along = (alongMm - widthMm) * (i / steps - 0.5);
        return `${along + 0.25 * widthMm * Math.cos(angle)} ${r * Math.sin(angle)}`;
      });
      return { path: `M${points.join('L')}`, wideMm: alongMm + widthMm, highMm: acrossMm };
    }
  }
}
