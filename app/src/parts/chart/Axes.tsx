import type { ScaleLinear } from 'd3-scale';
import { G, Line, Text as SvgText, type TextProps } from 'react-native-svg';

import { DRAWN_FONT } from '@/ui/drawnFont';
import { usePalette } from '@/ui/theme';
import { MARGIN } from './frame';

interface Tick {
  /** Where it stands, in the scale's own unit. */
  at: number;
  text: string;
}

interface SideAxisProps {
  y: ScaleLinear<number, number>;
  ticks: readonly Tick[];
  /** Of the chart, px. */
  width: number;
  /** Where the hairlines begin, px. */
  left?: number;
}

/** Figures at the left, each with a hairline across. */
export function SideAxis({ y, ticks, width, left = MARGIN.left }: SideAxisProps) {
  const palette = usePalette();
  return (
    <G>
      {ticks.map(({ at, text }) => (
        <G key={at}>
          <Line x1={left} x2={width - MARGIN.right} y1={y(at)} y2={y(at)} stroke={palette.line} />
          <ChartText x={left - 8} y={y(at) + 5} textAnchor="end" text={text} />
        </G>
      ))}
    </G>
  );
}

interface FootAxisProps {
  x: ScaleLinear<number, number>;
  ticks: readonly Tick[];
  /** What the figures count. */
  title: string;
  /** Of the chart, px. */
  width: number;
  height: number;
}

/** Figures below, and at their end what they count. */
export function FootAxis({ x, ticks, title, width, height }: FootAxisProps) {
  return (
    <G>
      {ticks.map(({ at, text }) => (
        <ChartText key={at} x={x(at)} y={height - MARGIN.bottom + 18} textAnchor="middle" text={text} />
      ))}
      <ChartText x={width - MARGIN.right} y={height - 1} textAnchor="end" text={title} />
    </G>
  );
}

/** Whole figures of a unit within a stretch, as ticks of a scale in its parts: inches on a scale of millimetres. */
export function wholeTicks(scale: ScaleLinear<number, number>, { unit = 1, count = 5 } = {}): Tick[] {
  return scale
    .copy()
    .domain(scale.domain().map((value) => value / unit))
    .ticks(count)
    .filter(Number.isInteger)
    .map((figure) => ({ at: figure * unit, text: String(figure) }));
}

/** A word in a chart. */
export function ChartText({ text, ...rest }: { text: string } & TextProps) {
  const palette = usePalette();
  return (
    <SvgText fontSize={14} fontFamily={DRAWN_FONT} fill={palette.quiet} {...rest}>
      {text}
    </SvgText>
  );
}
