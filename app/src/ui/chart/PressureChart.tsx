import { MM_PER } from '@leggero/core';
import type { PressurePoint } from '@leggero/core/stuffing';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Path } from 'react-native-svg';

import type { Lengths } from '@/api/lengths';
import { ChartText } from './Axes';
import { MARGIN } from './frame';
import { usePalette } from '../theme';

interface PressureChartProps {
  points: readonly PressurePoint[];
  /** The most an electric inflator presses, kPa. */
  electricKPa: number;
  lengths: Lengths;
  height?: number;
}

/** Pressure while filling: each skin thin, both together thick, and the line an electric inflator stops at. */
export function PressureChart({ points, electricKPa, lengths, height = 190 }: PressureChartProps) {
  const palette = usePalette();
  const [width, setWidth] = useState(0);
  const last = points.at(-1);
  const highest = Math.max(electricKPa, ...points.map(({ sumKPa }) => sumKPa));
  const x = scaleLinear([points[0]?.widthMm ?? 0, last?.widthMm ?? 1], [MARGIN.left, width - MARGIN.right]);
  const y = scaleLinear([0, 1.12 * highest], [height - MARGIN.bottom, MARGIN.top]);
  const path = (of: (point: PressurePoint) => number) =>
    line<PressurePoint>()
      .x(({ widthMm }) => x(widthMm))
      .y((point) => y(of(point)))(points as PressurePoint[]) ?? '';
  const unitMm = MM_PER[lengths.unit];
  const widths = scaleLinear()
    .domain(x.domain().map((mm) => mm / unitMm))
    .ticks(6)
    .filter(Number.isInteger);
  const ticks = y.ticks(4).filter((tick) => tick > 0);
  const label =
    'Pressure while filling: at most ' +
    `${Math.max(...points.map(({ sumKPa }) => sumKPa)).toFixed(1)} kPa; an electric inflator gives ` +
    `${electricKPa.toFixed(0)} kPa`;
  return (
    <View
      role="img"
      aria-label={label}
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
      style={{ height }}
    >
      {width === 0 ? null : (
        <Svg width={width} height={height} aria-hidden>
          {ticks.map((tick) => (
            <G key={tick}>
              <Line x1={MARGIN.left} x2={width - MARGIN.right} y1={y(tick)} y2={y(tick)} stroke={palette.line} />
              <ChartText x={MARGIN.left - 8} y={y(tick) + 5} textAnchor="end" text={String(tick)} />
            </G>
          ))}
          <ChartText x={MARGIN.left} y={height - 1} textAnchor="start" text="kPa above the air" />
          {points[0]?.eachKPa.map((_, i) => (
            <Path
              key={i}
              d={path(({ eachKPa }) => eachKPa[i]!)}
              fill="none"
              stroke={palette.quiet}
              strokeWidth={1.4}
              strokeDasharray={i === 0 ? '1 0' : '5 4'}
            />
          ))}
          <Path d={path(({ sumKPa }) => sumKPa)} fill="none" stroke={palette.pine} strokeWidth={2.6} />
          <Line
            x1={MARGIN.left}
            x2={width - MARGIN.right}
            y1={y(electricKPa)}
            y2={y(electricKPa)}
            stroke={palette.kiln}
            strokeWidth={1.6}
            strokeDasharray="2 4"
          />
          <ChartText
            x={width - MARGIN.right}
            y={y(electricKPa) - 6}
            textAnchor="end"
            fill={palette.kiln}
            text="electric stops here"
          />
          {widths.map((tick) => (
            <ChartText
              key={tick}
              x={x(tick * unitMm)}
              y={height - MARGIN.bottom + 18}
              textAnchor="middle"
              text={String(tick)}
            />
          ))}
          <ChartText x={width - MARGIN.right} y={height - 1} textAnchor="end" text={`${lengths.unit} across`} />
        </Svg>
      )}
    </View>
  );
}
