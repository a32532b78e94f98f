import {
  linearOf,
  shineOf,
  silhouetteOf,
  skinOpacity,
  stretchedColour,
  type Decor,
  type Finish,
  type Point,
} from '@leggero/core';
import { useId } from 'react';
import { Circle, Defs, Ellipse, G, LinearGradient, Path, RadialGradient, Stop } from 'react-native-svg';

import { useTrade } from '@/data/trade';
import { shade } from './shade';

export interface BalloonLook {
  /** As it looks at its usual fill: less filled it is drawn deeper and duller, more filled paler. */
  colourHex: string;
  finish: Finish;
  /** What is printed on it or lies in it; nothing when absent. */
  decor?: Decor;
}

interface BalloonProps extends BalloonLook {
  widthMm: number;
  heightMm: number;
  nominalMm: number;
}

/** Opacity that a clear skin is drawn with at its usual fill. */
const CLEAR_DRAWN = 0.45;

/**
 * A balloon in the coordinates of its drawing (mm, origin at the middle of its widest place), in its colour and
 * finish as far as it is stretched.
 */
export function Balloon({ widthMm, heightMm, nominalMm, colourHex, finish, decor = 'none' }: BalloonProps) {
  const trade = useTrade();
  const id = useId().replace(/:/g, '');
  const { body, neck } = silhouetteOf({ widthMm, heightMm, nominalMm });
  const fraction = widthMm / nominalMm;
  const hex = stretchedColour({ colourHex, finish, fraction }, trade);
  const shine = shineOf({ finish, fraction }, trade);
  const opacity = finish === 'clear' ? skinOpacity({ fraction, noted: CLEAR_DRAWN, trade }) : 1;
  return (
    <G>
      <G opacity={opacity}>
        <Defs>
          {finish === 'mirror' ? (
            <LinearGradient id={id} x1="0.15" y1="0" x2="0.8" y2="1">
              {MIRRORED.map(([offset, by]) => (
                <Stop key={offset} offset={offset} stopColor={shade(hex, by * shine)} />
              ))}
            </LinearGradient>
          ) : (
            <RadialGradient id={id} cx="0.36" cy="0.3" r="0.85" fx="0.36" fy="0.3">
              <Stop offset="0" stopColor={shade(hex, finish === 'pearl' ? 0.35 + 0.4 * shine : 0.3)} />
              <Stop offset="0.4" stopColor={hex} />
              <Stop offset="1" stopColor={shade(hex, -0.38)} />
            </RadialGradient>
          )}
        </Defs>
        <Path d={pathOf(neck)} fill={shade(hex, -0.4)} />
        <Path d={pathOf(body)} fill={`url(#${id})`} />
      </G>
      {decor === 'none' ? null : <DecorMarks widthMm={widthMm} heightMm={heightMm} hex={hex} decor={decor} />}
      {shine < 0.1 ? null : (
        <Ellipse
          cx={-widthMm * 0.19}
          cy={-widthMm * 0.25}
          rx={widthMm * 0.1}
          ry={widthMm * 0.06}
          fill="#ffffff"
          opacity={0.7 * shine}
          transform={`rotate(-38 ${-widthMm * 0.19} ${-widthMm * 0.25})`}
        />
      )}
    </G>
  );
}

/** Lights and darks of a mirror, from one edge to the other. */
const MIRRORED = [
  [0, 0.55],
  [0.3, 0.12],
  [0.48, -0.32],
  [0.6, 0.3],
  [1, -0.45],
] as const;

/** Places of flecks in a balloon, in halves of its width; more of them low, where they fall. */
const FLECKS = [
  [-0.5, 0.1],
  [0.3, -0.35],
  [0.55, 0.2],
  [-0.2, -0.5],
  [0.05, 0.15],
  [-0.62, -0.25],
  [0.4, 0.55],
  [-0.35, 0.5],
  [0.12, 0.62],
  [-0.1, 0.4],
  [0.25, 0.38],
  [-0.45, 0.7],
  [0.68, -0.15],
  [0.08, -0.15],
  [-0.25, 0.78],
  [0.42, 0.75],
] as const;

interface DecorMarksProps {
  widthMm: number;
  heightMm: number;
  hex: string;
  decor: Exclude<Decor, 'none'>;
}

/** A print: three waves across the middle. Confetti: flecks, most of them low. */
function DecorMarks({ widthMm, heightMm, hex, decor }: DecorMarksProps) {
  const half = widthMm / 2;
  const ink = shade(hex, -0.5);
  if (decor === 'print') {
    const step = half * 0.22;
    const wave = (yMm: number) => `M${-2 * step} ${yMm}q${step / 2} ${-step} ${step} 0t${step} 0t${step} 0t${step} 0`;
    return (
      <Path
        d={[-0.2, 0.05, 0.3].map((at) => wave(at * half)).join('')}
        fill="none"
        stroke={ink}
        strokeWidth={half * 0.06}
        strokeLinecap="round"
      />
    );
  }
  return (
    <G>
      {FLECKS.map(([x, y]) => (
        <Circle
          key={`${x} ${y}`}
          cx={x * half}
          cy={(y * heightMm) / 2}
          r={half * 0.045}
          fill={shade('#c9973f', x * 0.3)}
        />
      ))}
    </G>
  );
}

/** A closed outline as SVG has it. */
function pathOf(points: readonly Point[]): string {
  return `${points.map(({ xMm, yMm }, i) => `${i === 0 ? 'M' : 'L'}${xMm.toFixed(2)} ${yMm.toFixed(2)}`).join('')}Z`;
}

/** Ink that reads on a colour: by its relative luminance (WCAG 2.2). */
export function inkOn(hex: string): '#ffffff' | '#22201c' {
  const [r, g, b] = linearOf(hex);
  return 0.2126 * r + 0.7152 * g + 0.0722 * b > 0.3 ? '#22201c' : '#ffffff';
}
