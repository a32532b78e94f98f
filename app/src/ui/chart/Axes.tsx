import { MM_PER, type LengthUnit } from '@leggero/core';
import { scaleLinear } from 'd3-scale';
import { G, Line, Text as SvgText, type TextProps } from 'react-native-svg';

import { usePalette } from '../theme';
import { CHART_FONT, MARGIN, type ChartFrame } from './frame';

/** Whole inches or centimetres at the left with hairlines, whole strokes or seconds below. */
export function Axes({
  frame: { width, height, x, y, mostMm },
  unit,
  doses,
}: {
  frame: ChartFrame;
  unit: LengthUnit;
  doses: 'strokes' | 'seconds';
}) {
  const palette = usePalette();
  const unitMm = MM_PER[unit];
  const [leastMm] = y.domain() as [number, number];
  const room = (mm: number) => y(mm) - y(mostMm) > 14;
  const widths = scaleLinear()
    .domain([leastMm / unitMm, mostMm / unitMm])
    .ticks(5);
  const strokes = x.ticks(Math.min(8, Math.floor(x.domain()[1] ?? 1)));
  const left = MARGIN.left - 8;
  return (
    <G>
      {widths
        .filter((tick) => Number.isInteger(tick) && room(tick * unitMm))
        .map((tick) => {
          const at = y(tick * unitMm);
          return (
            <G key={tick}>
              <Line x1={MARGIN.left} x2={width - MARGIN.right} y1={at} y2={at} stroke={palette.line} />
              <ChartText x={left} y={at + 5} textAnchor="end" text={String(tick)} />
            </G>
          );
        })}
      <ChartText x={left} y={y(mostMm) + 5} textAnchor="end" text={unit} />
      {strokes
        .filter((tick) => Number.isInteger(tick) && tick > 0)
        .map((tick) => (
          <ChartText key={tick} x={x(tick)} y={height - MARGIN.bottom + 18} textAnchor="middle" text={String(tick)} />
        ))}
      <ChartText x={width - MARGIN.right} y={height - 1} textAnchor="end" text={doses} />
    </G>
  );
}

/** A word in a chart. */
export function ChartText({ text, ...rest }: { text: string } & TextProps) {
  const palette = usePalette();
  return (
    <SvgText fontSize={14} fontFamily={CHART_FONT} fill={palette.quiet} {...rest}>
      {text}
    </SvgText>
  );
}
