import type { Ranged } from '@leggero/core';
import { scaleLinear } from 'd3-scale';
import { G, Line, Rect } from 'react-native-svg';

import { ChartText } from './Axes';
import { useLengths } from '@/data/lengths';
import { Picture } from '@/ui/Picture';
import { usePalette } from '@/ui/theme';

export interface SessionPoint {
  day: string;
  /** Mean less target, mm. */
  biasMm: Ranged;
  spreadMm: number;
}

const HEIGHT = 150;
const LEFT = 72;
const FOOT = 24;

/** Each session's mean against the target: a bar as high as its spread either way, a line where the mean lies. */
export function SessionsChart({ points, name }: { points: readonly SessionPoint[]; name: string }) {
  const palette = usePalette();
  const { fine } = useLengths();
  const most = Math.max(3, ...points.map(({ biasMm, spreadMm }) => Math.abs(biasMm.value) + spreadMm)) * 1.1;
  const y = scaleLinear()
    .domain([-most, most])
    .range([HEIGHT - FOOT, 6]);
  const said = points
    .map(
      ({ day, biasMm, spreadMm }) =>
        `${day}: mean ${biasMm.value < 0 ? 'below' : 'above'} by ${fine(Math.abs(biasMm.value))}, ` +
        `spread ${fine(spreadMm)}`,
    )
    .join('; ');
  const label = `${name}’s sessions. ${said}`;
  const draw = (width: number) => {
    const slot = (width - LEFT) / points.length;
    return (
      <>
        <Line x1={LEFT} x2={width} y1={y(0)} y2={y(0)} stroke={palette.ink} strokeWidth={1.2} />
        <ChartText x={LEFT - 8} y={y(0) + 5} textAnchor="end" text="target" fontSize={12} />
        <ChartText x={LEFT - 8} y={18} textAnchor="end" text={`+${fine(most)}`} fontSize={12} />
        <ChartText x={LEFT - 8} y={HEIGHT - FOOT} textAnchor="end" text={`−${fine(most)}`} fontSize={12} />
        {points.map(({ day, biasMm, spreadMm }, i) => {
          const x = LEFT + slot * (i + 0.5);
          const half = Math.min(22, slot * 0.32);
          return (
            <G key={`${day} ${i}`}>
              <Rect
                x={x - half}
                width={2 * half}
                y={y(biasMm.value + spreadMm)}
                height={y(biasMm.value - spreadMm) - y(biasMm.value + spreadMm)}
                fill={palette.pineWash}
                stroke={palette.pine}
              />
              <Line
                x1={x - half}
                x2={x + half}
                y1={y(biasMm.value)}
                y2={y(biasMm.value)}
                stroke={palette.pine}
                strokeWidth={3}
              />
              <ChartText x={x} y={HEIGHT - 5} textAnchor="middle" text={day} fontSize={12} />
            </G>
          );
        })}
      </>
    );
  };
  return (
    <Picture label={label} height={HEIGHT} framed={false}>
      {draw}
    </Picture>
  );
}
