import { silhouetteOf, type Finish, type Point } from '@leggero/core';
import { Defs, Ellipse, G, LinearGradient, Path, RadialGradient, Stop } from 'react-native-svg';
import { useId } from 'react';

export interface BalloonLook {
  colourHex: string;
  finish: Finish;
}

interface BalloonProps extends BalloonLook {
  widthMm: number;
  heightMm: number;
  nominalMm: number;
}

/** A balloon in the coordinates of its drawing (mm, origin at the middle of its widest place), in its colour and finish. */
export function Balloon({ widthMm, heightMm, nominalMm, colourHex, finish }: BalloonProps) {
  const id = useId().replace(/:/g, '');
  const { body, neck } = silhouetteOf({ widthMm, heightMm, nominalMm });
  const opacity = finish === 'clear' ? 0.45 : 1;
  return (
    <G opacity={opacity}>
      <Defs>
        {finish === 'mirror' ? (
          <LinearGradient id={id} x1="0.15" y1="0" x2="0.8" y2="1">
            <Stop offset="0" stopColor={shade(colourHex, 0.55)} />
            <Stop offset="0.3" stopColor={shade(colourHex, 0.12)} />
            <Stop offset="0.48" stopColor={shade(colourHex, -0.32)} />
            <Stop offset="0.6" stopColor={shade(colourHex, 0.3)} />
            <Stop offset="1" stopColor={shade(colourHex, -0.45)} />
          </LinearGradient>
        ) : (
          <RadialGradient id={id} cx="0.36" cy="0.3" r="0.85" fx="0.36" fy="0.3">
            <Stop offset="0" stopColor={shade(colourHex, finish === 'pearl' ? 0.55 : 0.3)} />
            <Stop offset="0.4" stopColor={colourHex} />
            <Stop offset="1" stopColor={shade(colourHex, -0.38)} />
          </RadialGradient>
        )}
      </Defs>
      <Path d={pathOf(neck)} fill={shade(colourHex, -0.4)} />
      <Path d={pathOf(body)} fill={`url(#${id})`} />
      {finish === 'matte' ? null : (
        <Ellipse
          cx={-widthMm * 0.19}
          cy={-widthMm * 0.25}
          rx={widthMm * 0.1}
          ry={widthMm * 0.06}
          fill="#ffffff"
          opacity={finish === 'pearl' ? 0.35 : 0.6}
          transform={`rotate(-38 ${-widthMm * 0.19} ${-widthMm * 0.25})`}
        />
      )}
    </G>
  );
}

/** A closed outline as SVG has it. */
export function pathOf(points: readonly Point[]): string {
  return `${points.map(({ xMm, yMm }, i) => `${i === 0 ? 'M' : 'L'}${xMm.toFixed(2)} ${yMm.toFixed(2)}`).join('')}Z`;
}

function channels(hex: string): [number, number, number] {
  return [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)) as [number, number, number];
}

/** A colour towards white (above 0) or black (below 0). */
export function shade(hex: string, by: number): string {
  const to = by > 0 ? 255 : 0;
  const mixed = channels(hex).map((c) => Math.round(c + (to - c) * Math.abs(by)));
  return `#${mixed.map((c) => c.toString(16).padStart(2, '0')).join('')}`;
}

/** Ink that reads on a colour: by its relative luminance (WCAG 2.2). */
export function inkOn(hex: string): '#ffffff' | '#22201c' {
  const [r, g, b] = channels(hex).map((c) => {
    const v = c / 255;
    return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b > 0.3 ? '#22201c' : '#ffffff';
}
