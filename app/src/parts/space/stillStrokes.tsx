import type { ReactNode } from 'react';
import { G, Path } from 'react-native-svg';

import { shade } from '../shade';
import type { Scene } from './scene';
import type { View } from './view';

/** More than this are drawn in one stroke a colour: a page of single shapes would take too long. */
export const MANY = 250;
/** Of the widest balloon, how much deeper in the picture one may be and still be drawn in the same stroke. */
const ALIKE = 0.5;
/** Widths are told apart by so much, px. */
const WIDTH_PX = 0.5;

/** Light and shade of a ball, from its edge inwards: how wide, how far towards the light, and how much lighter. */
const RINGS = [
  { wide: 1, left: 0, up: 0, by: -0.28 },
  { wide: 0.8, left: 0.06, up: 0.07, by: 0 },
  { wide: 0.22, left: 0.17, up: 0.2, by: 0.45 },
] as const;

/** Balloons that lie equally deep in the picture, are of one colour and seem equally wide. */
interface Stroke {
  depth: number;
  hex: string;
  clear: boolean;
  widthPx: number;
  /** A round line of no length is a circle. */
  points: string[];
}

/** Many balloons in few strokes, each with how deep it lies. */
export function strokesDrawn({ balloons }: Pick<Scene, 'balloons'>, view: View, built: number) {
  const deep = ALIKE * balloons.reduce((most, { widthMm }) => Math.max(most, widthMm), 1);
  const strokes = new Map<string, Stroke>();
  for (const { at, widthMm, skin, step } of balloons) {
    if (step >= built) continue;
    const { x, y, depth, scale } = view.project(at);
    const level = Math.round(depth / deep);
    const widthPx = WIDTH_PX * Math.round((widthMm * scale) / WIDTH_PX);
    const clear = skin.finish === 'clear';
    const key = `${level} ${skin.hex} ${clear} ${widthPx}`;
    const stroke = strokes.get(key) ?? { depth: level * deep, hex: skin.hex, clear, widthPx, points: [] };
    strokes.set(key, stroke);
    stroke.points.push(`M${x.toFixed(1)} ${y.toFixed(1)}h0`);
  }
  return [...strokes].map(([key, stroke]) => ({ depth: stroke.depth, shape: strokeShape(key, stroke) }));
}

function strokeShape(key: string, { hex, clear, widthPx, points }: Stroke): ReactNode {
  const d = points.join('');
  return (
    <G key={key} fill="none" strokeLinecap="round" opacity={clear ? 0.55 : 1}>
      {RINGS.map(({ wide, left, up, by }) => (
        <Path
          key={wide}
          d={d}
          stroke={by === 0 ? hex : shade(hex, by)}
          strokeWidth={wide * widthPx}
          transform={`translate(${-left * widthPx} ${-up * widthPx})`}
        />
      ))}
    </G>
  );
}
