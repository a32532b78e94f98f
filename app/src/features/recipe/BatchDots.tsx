import Svg, { Circle } from 'react-native-svg';

import { BALLOON_PX_PER_MM } from './scale';

interface Dot {
  key: string;
  widthMm: number;
  hex: string;
}

/** Balloons side by side, to one scale with all others of a recipe. */
export function BatchDots({ dots }: { dots: readonly Dot[] }) {
  const radii = dots.map(({ widthMm }) => (widthMm * BALLOON_PX_PER_MM) / 2);
  const high = 2 * Math.max(...radii);
  const lefts = radii.map((_, i) => radii.slice(0, i).reduce((sum, r) => sum + 2 * r, 0));
  const wide = radii.reduce((sum, r) => sum + 2 * r, 0);
  return (
    <Svg width={wide} height={high} aria-hidden>
      {dots.map(({ key, hex }, i) => (
        <Circle
          key={`${key} ${i}`}
          cx={lefts[i]! + radii[i]!}
          cy={high - radii[i]!}
          r={radii[i]! - 0.5}
          fill={hex}
          stroke="rgba(0,0,0,0.18)"
        />
      ))}
    </Svg>
  );
}
