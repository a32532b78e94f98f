import { View } from 'react-native';
import Svg, { Line, Path } from 'react-native-svg';

import { usePalette } from '@/ui/theme';
import type { SizesView } from '@/views/sized';

/** The newest so many are drawn. */
const SHOWN = 24;
const WIDE = 96;
const HIGH = 44;
const DOT = 2.2;

/** The newest sizes of a balloon about their target, small: whether they lie to one side is seen at once. */
export function SizesStrip({ view: { sized, limits } }: { view: SizesView }) {
  const palette = usePalette();
  const shown = sized.slice(-SHOWN);
  const tolerance = shown.at(-1)?.toleranceMm ?? 1;
  const most = Math.max(
    tolerance,
    limits?.high ?? 0,
    -(limits?.low ?? 0),
    ...shown.map(({ offMm }) => Math.abs(offMm)),
  );
  const y = (mm: number) => HIGH / 2 - (mm / most) * (HIGH / 2 - 4);
  const x = (i: number) => 4 + ((WIDE - 8) * (i + 0.5)) / SHOWN;
  const dots = shown
    .map(
      ({ offMm }, i) => `M${x(i) - DOT},${y(offMm)}a${DOT},${DOT} 0 1,0 ${2 * DOT},0a${DOT},${DOT} 0 1,0 ${-2 * DOT},0`,
    )
    .join('');
  return (
    <View aria-hidden>
      <Svg width={WIDE} height={HIGH}>
        <Path d={`M0,${y(tolerance)}H${WIDE}V${y(-tolerance)}H0z`} fill={palette.pineWash} />
        <Line x1={0} x2={WIDE} y1={y(0)} y2={y(0)} stroke={palette.quiet} />
        <Path d={dots} fill={palette.pine} />
      </Svg>
    </View>
  );
}
