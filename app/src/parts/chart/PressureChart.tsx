import { MM_PER } from '@leggero/core';
import type { PressurePoint } from '@leggero/core/stuffing';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { Line, Path } from 'react-native-svg';

import type { Lengths } from '@/views/lengths';

import { Picture } from '@/ui/Picture';
import { usePalette } from '@/ui/theme';
import { ChartText, FootAxis, SideAxis, wholeTicks } from './Axes';
import { MARGIN } from './frame';

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
  const last = points.at(-1);
  const highest = Math.max(electricKPa, ...points.map(({ sumKPa }) => sumKPa));
  const y = scaleLinear([0, 1.12 * highest], [height - MARGIN.bottom, MARGIN.top]);
  const sides = y.ticks(4).flatMap((at) => (at > 0 ? [{ at, text: String(at) }] : []));
  const label =
    `Pressure while filling: at most ${Math.max(...points.map(({ sumKPa }) => sumKPa)).toFixed(1)} kPa; ` +
    `an electric inflator gives ${electricKPa.toFixed(0)} kPa`;
  const draw = (width: number) => {
    const right = width - MARGIN.right;
    const x = scaleLinear([points[0]?.widthMm ?? 0, last?.widthMm ?? 1], [MARGIN.left, right]);
    const path = (of: (point: PressurePoint) => number) =>
      line<PressurePoint>(
        ({ widthMm }) => x(widthMm),
        (point) => y(of(point)),
      )(points) ?? '';
    const electric = { y1: y(electricKPa), y2: y(electricKPa), stroke: palette.kiln, strokeWidth: 1.6 };
    return (
      <>
        <SideAxis y={y} ticks={sides} width={width} />
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
        <Line x1={MARGIN.left} x2={right} {...electric} strokeDasharray="2 4" />
        <ChartText x={right} y={electric.y1 - 6} textAnchor="end" fill={palette.kiln} text="electric stops here" />
        <FootAxis
          x={x}
          ticks={wholeTicks(x, { unit: MM_PER[lengths.unit], count: 6 })}
          title={`${lengths.unit} across`}
          width={width}
          height={height}
        />
      </>
    );
  };
  return (
    <Picture label={label} height={height} framed={false}>
      {draw}
    </Picture>
  );
}
