import type { PartedPair } from '@leggero/core/stuffing';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path } from 'react-native-svg';

import { useTrade } from '@/data/trade';
import { Balloon } from '../Balloon';
import { usePalette } from '@/ui/theme';

const WIDTH = 150;
const HEIGHT = 132;
const LEFT = 8;
/** Room above the curve for the balloons. */
const TOP = 62;

/** Two balloons on two nozzles of one pump: one pressure, two sizes, each over its place on the curve. */
export function PartedChart({ parted, colourHex }: { parted: PartedPair; colourHex: string }) {
  const trade = useTrade();
  const palette = usePalette();
  const { curve, smaller, larger } = parted;
  const pair = [smaller, larger];
  const x = scaleLinear([1, curve.at(-1)!.stretch], [LEFT, WIDTH - 22]);
  const y = scaleLinear([0, parted.highest], [HEIGHT - 10, TOP]);
  const path = line<(typeof curve)[number]>()
    .x(({ stretch }) => x(stretch))
    .y(({ pressure }) => y(pressure));
  const level = y(smaller.pressure);
  // Both balloons to one scale: their nominal is 1 / restShare of a stretch of 1.
  const nominal = 1 / trade.restShare;
  const scale = 44 / larger.stretch;
  return (
    <View
      role="img"
      aria-label="Two equal balloons on one pump press alike at two sizes: one stays small, the other takes its air"
    >
      <Svg width={WIDTH} height={HEIGHT} aria-hidden>
        <Line x1={LEFT} x2={WIDTH} y1={HEIGHT - 10} y2={HEIGHT - 10} stroke={palette.line} />
        <Line x1={LEFT} x2={WIDTH} y1={level} y2={level} stroke={palette.kiln} strokeDasharray="2 4" />
        <Path d={path(curve) ?? ''} fill="none" stroke={palette.pine} strokeWidth={2.4} />
        {pair.map(({ stretch }) => (
          <G key={stretch}>
            <Circle cx={x(stretch)} cy={level} r={4} fill={palette.surface} stroke={palette.pine} strokeWidth={2} />
            <G transform={`translate(${x(stretch)} ${TOP - 12 - (scale * stretch) / 2}) scale(${scale})`}>
              <Balloon widthMm={stretch} heightMm={stretch} nominalMm={nominal} colourHex={colourHex} finish="matte" />
            </G>
          </G>
        ))}
      </Svg>
    </View>
  );
}
