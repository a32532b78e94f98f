import type { HoldTestRecord } from '@leggero/contract';
import { keptShare, type HoldRate } from '@leggero/core';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { View } from 'react-native';
import Svg, { Circle, Line, Path } from 'react-native-svg';

import { Picture } from '@/ui/Picture';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';
import { FootAxis, SideAxis } from './Axes';
import { MARGIN } from './frame';

const HEIGHT = 200;
const SAMPLES = 24;
const LEFT = MARGIN.left + 8;

/** How fast balloons closed in one way lose their width; no rate where the tests do not tell. */
export interface HoldLaw {
  wraps: number;
  rate: HoldRate | null;
}

interface HoldChartProps {
  tests: readonly HoldTestRecord[];
  laws: readonly HoldLaw[];
}

/** Share of the width kept over the hours: every balloon, and the law for each way of closing. */
export function HoldChart({ tests, laws }: HoldChartProps) {
  const palette = usePalette();
  const points = tests.flatMap(({ readings, wraps }) => {
    const first = readings.find(({ hours }) => hours === 0)?.widthMm ?? 1;
    return readings.map(({ id, hours, widthMm }) => ({ id, hours, share: widthMm / first, wraps }));
  });
  const mostHours = Math.max(24, ...points.map(({ hours }) => hours)) * 1.05;
  const least = Math.min(0.94, ...points.map(({ share }) => share)) - 0.01;
  const y = scaleLinear([least, 1.005], [HEIGHT - MARGIN.bottom, MARGIN.top]);
  const heard = laws
    .flatMap(({ wraps, rate }) =>
      rate ? [`${wrappedText(wraps)} keeps ${(100 * keptShare({ rate, hours: 24 })).toFixed(1)} % over a day`] : [],
    )
    .join(', ');
  const strokeOf = (wraps: number) => ({
    stroke: wraps === 2 ? palette.pine : palette.edge,
    strokeWidth: 2.5,
    ...(wraps === 1 ? { strokeDasharray: '6 4' } : {}),
  });
  const draw = (width: number) => {
    const x = scaleLinear([0, mostHours], [LEFT, width - MARGIN.right]);
    const sides = y.ticks(4).map((at) => ({ at, text: `${Math.round(100 * at)} %` }));
    const feet = x.ticks(5).map((at) => ({ at, text: String(at) }));
    return (
      <>
        <SideAxis y={y} ticks={sides} width={width} left={LEFT} />
        <FootAxis x={x} ticks={feet} title="hours" width={width} height={HEIGHT} />
        {laws.map(({ wraps, rate }) => {
          if (!rate) return null;
          const steps = Array.from({ length: SAMPLES + 1 }, (_, i) => (mostHours * i) / SAMPLES);
          const path = line<number>(x, (hours) => y(keptShare({ rate, hours })));
          return <Path key={wraps} d={path(steps) ?? ''} fill="none" {...strokeOf(wraps)} />;
        })}
        {points.map(({ id, hours, share, wraps }) => (
          <Circle
            key={id}
            cx={x(hours)}
            cy={y(share)}
            r={5}
            fill={palette.surface}
            stroke={strokeOf(wraps).stroke}
            strokeWidth={2.5}
          />
        ))}
      </>
    );
  };
  return (
    <View>
      <Picture label={`Width kept: ${heard}`} height={HEIGHT} framed={false}>
        {draw}
      </Picture>
      <View className="flex-row flex-wrap gap-4">
        {laws.map(({ wraps }) => (
          <View key={wraps} aria-hidden className="flex-row items-center gap-2">
            <Svg width={28} height={8}>
              <Line x1={0} x2={28} y1={4} y2={4} {...strokeOf(wraps)} />
            </Svg>
            <Words look="quiet">{wrappedText(wraps)}</Words>
          </View>
        ))}
      </View>
    </View>
  );
}

function wrappedText(wraps: number): string {
  return wraps === 1 ? 'wrapped once' : 'wrapped twice';
}
