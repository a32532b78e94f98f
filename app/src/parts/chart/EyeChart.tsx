import type { EyeCheckRecord, ShelfModel } from '@leggero/contract';
import { workToleranceMm } from '@leggero/core';
import { scaleLinear } from 'd3-scale';
import { Circle, G, Line, Rect } from 'react-native-svg';

import { useLengths } from '@/data/lengths';
import { useTrade } from '@/data/trade';
import { ChartText } from './Axes';
import { useWide } from '@/ui/layout';
import { Picture } from '@/ui/Picture';
import { usePalette } from '@/ui/theme';

const LEFT = 46;
const FOOT = 24;

/**
 * Every balloon of a session in the order filled, in its colour, against the target and classic work's tolerance. Ten
 * times life in height.
 */
export function EyeChart({ check, model }: { check: EyeCheckRecord; model: ShelfModel }) {
  const trade = useTrade();
  const palette = usePalette();
  const wide = useWide();
  const { bare, text } = useLengths();
  const height = wide ? 260 : 190;
  const { targetMm, size, mode } = check;
  const toleranceMm = workToleranceMm({ work: 'classic', nominalMm: model.nominalMm, trade });
  const seen = check.balloons.flatMap(({ id, position, widthMm }) =>
    widthMm === null ? [] : [{ id, position, widthMm }],
  );
  const most = 1.15 * Math.max(1.6 * toleranceMm, ...seen.map(({ widthMm }) => Math.abs(widthMm - targetMm)));
  const y = scaleLinear()
    .domain([targetMm - most, targetMm + most])
    .range([height - FOOT, 4]);
  const label =
    `The balloons in the order filled, against ${text(targetMm)}: ` +
    `${seen.map(({ widthMm }) => text(widthMm)).join(', ')}`;
  const draw = (width: number) => {
    const slot = (width - LEFT) / Math.max(1, seen.length);
    return (
      <>
        <Rect
          x={LEFT}
          width={width - LEFT}
          y={y(targetMm + toleranceMm)}
          height={y(targetMm - toleranceMm) - y(targetMm + toleranceMm)}
          fill={palette.pineWash}
        />
        <Line x1={LEFT} x2={width} y1={y(targetMm)} y2={y(targetMm)} stroke={palette.ink} strokeWidth={1.2} />
        {[targetMm + toleranceMm, targetMm, targetMm - toleranceMm].map((mm) => (
          <ChartText key={mm} x={LEFT - 8} y={y(mm) + 5} textAnchor="end" text={bare(mm)} fontSize={13} />
        ))}
        {seen.map(({ id, position, widthMm }, i) => {
          const x = LEFT + slot * (i + 0.5);
          const divided = mode === 'two' && position === size;
          return (
            <G key={id}>
              {divided ? (
                <Line
                  x1={x - slot / 2}
                  x2={x - slot / 2}
                  y1={4}
                  y2={height - FOOT}
                  stroke={palette.line}
                  strokeWidth={2}
                />
              ) : null}
              <Circle
                cx={x}
                cy={y(widthMm)}
                r={Math.min(10, slot * 0.4)}
                fill={model.colourHex}
                stroke={palette.ink}
                strokeWidth={1}
              />
              {slot > 18 || i % 2 === 0 ? (
                <ChartText
                  x={x}
                  y={height - 5}
                  textAnchor="middle"
                  text={
                    mode === 'pairs'
                      ? `${Math.floor(position / 2) + 1}${position % 2 === 0 ? 'L' : 'R'}`
                      : String((mode === 'two' && position >= size ? position - size : position) + 1)
                  }
                  fontSize={12}
                />
              ) : null}
            </G>
          );
        })}
      </>
    );
  };
  return (
    <Picture label={label} height={height} framed={false}>
      {draw}
    </Picture>
  );
}
