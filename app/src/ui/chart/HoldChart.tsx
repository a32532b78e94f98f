import { coreHoldTest, type HoldTestRecord } from '@leggero/contract';
import { fitHold, keptShare } from '@leggero/core';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path } from 'react-native-svg';

import { ChartText } from './Axes';
import { MARGIN } from './frame';
import { usePalette } from '../theme';
import { Words } from '../Words';

const HEIGHT = 200;
const SAMPLES = 24;

/** Share of the width kept over the hours: every balloon, and the law for each way of closing. */
export function HoldChart({ tests }: { tests: readonly HoldTestRecord[] }) {
  const palette = usePalette();
  const [width, setWidth] = useState(0);
  const points = tests.flatMap(({ readings, wraps }) => {
    const first = readings.find(({ hours }) => hours === 0)?.widthMm ?? 1;
    return readings.map(({ id, hours, widthMm }) => ({ id, hours, share: widthMm / first, wraps }));
  });
  const mostHours = Math.max(24, ...points.map(({ hours }) => hours)) * 1.05;
  const least = Math.min(0.94, ...points.map(({ share }) => share)) - 0.01;
  const x = scaleLinear([0, mostHours], [MARGIN.left + 8, width - MARGIN.right]);
  const y = scaleLinear([least, 1.005], [HEIGHT - MARGIN.bottom, MARGIN.top]);
  const laws = [...new Set(tests.map(({ wraps }) => wraps))].map((wraps) => {
    const fitted = fitHold({ tests: tests.map(coreHoldTest), closing: { wraps, stuffed: false } });
    return { wraps, rate: fitted.ok ? fitted.value : null };
  });
  const path = line<number>()
    .x((hours) => x(hours))
    .y((hours) => hours);
  const heard = laws
    .map(({ wraps, rate }) =>
      rate
        ? `wrapped ${wraps === 1 ? 'once' : 'twice'} keeps ` +
          `${(100 * keptShare({ rate, hours: 24 })).toFixed(1)} % over a day`
        : '',
    )
    .join(', ');
  return (
    <View>
      <View
        role="img"
        aria-label={`Width kept: ${heard}`}
        onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
        style={{ height: HEIGHT }}
      >
        {width === 0 ? null : (
          <Svg width={width} height={HEIGHT} aria-hidden>
            {y.ticks(4).map((share) => (
              <G key={share}>
                <Line
                  x1={MARGIN.left + 8}
                  x2={width - MARGIN.right}
                  y1={y(share)}
                  y2={y(share)}
                  stroke={palette.line}
                />
                <ChartText x={MARGIN.left} y={y(share) + 5} textAnchor="end" text={`${Math.round(100 * share)} %`} />
              </G>
            ))}
            {x.ticks(5).map((hours) => (
              <ChartText
                key={hours}
                x={x(hours)}
                y={HEIGHT - MARGIN.bottom + 18}
                textAnchor="middle"
                text={String(hours)}
              />
            ))}
            <ChartText x={width - MARGIN.right} y={HEIGHT - 1} textAnchor="end" text="hours" />
            {laws.map(({ wraps, rate }) => {
              if (!rate) return null;
              const steps = Array.from({ length: SAMPLES + 1 }, (_, i) => (mostHours * i) / SAMPLES);
              const d = path.y((hours) => y(keptShare({ rate, hours })))(steps) ?? '';
              return (
                <Path
                  key={wraps}
                  d={d}
                  fill="none"
                  stroke={wraps === 2 ? palette.pine : palette.edge}
                  strokeWidth={2.5}
                  {...(wraps === 1 ? { strokeDasharray: '6 4' } : {})}
                />
              );
            })}
            {points.map(({ id, hours, share, wraps }) => (
              <Circle
                key={id}
                cx={x(hours)}
                cy={y(share)}
                r={5}
                fill={palette.surface}
                stroke={wraps === 2 ? palette.pine : palette.edge}
                strokeWidth={2.5}
              />
            ))}
          </Svg>
        )}
      </View>
      <View className="flex-row flex-wrap gap-4">
        {laws.map(({ wraps }) => (
          <View key={wraps} aria-hidden className="flex-row items-center gap-2">
            <Svg width={28} height={8}>
              <Line
                x1={0}
                x2={28}
                y1={4}
                y2={4}
                stroke={wraps === 2 ? palette.pine : palette.edge}
                strokeWidth={2.5}
                {...(wraps === 1 ? { strokeDasharray: '6 4' } : {})}
              />
            </Svg>
            <Words look="quiet">{wraps === 2 ? 'wrapped twice' : 'wrapped once'}</Words>
          </View>
        ))}
      </View>
    </View>
  );
}
