import type { HoleRecord } from '@leggero/contract';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle } from 'react-native-svg';

import { usePalette } from '@/ui/theme';

/** The holes side by side on one line, to one scale, as high as there is room for. */
export function SizerDrawing({ holes, height }: { holes: readonly HoleRecord[]; height: number }) {
  const palette = usePalette();
  const [width, setWidth] = useState(0);
  const gapMm = 20;
  const total = holes.reduce((sum, { widthMm }) => sum + widthMm + gapMm, gapMm);
  const largest = Math.max(1, ...holes.map(({ widthMm }) => widthMm));
  const scale = Math.min(width / total, (height - 4) / largest);
  const lefts = holes.map((_, i) =>
    holes.slice(0, i).reduce((sum, { widthMm }) => sum + widthMm + gapMm, gapMm),
  );
  const label =
    holes.length === 0 ? 'No holes' : `Holes of ${holes.map((hole) => hole.label).join(', ')}, to scale`;
  return (
    <View
      role="img"
      aria-label={label}
      style={{ height }}
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
    >
      {width === 0 ? null : (
        <Svg width={width} height={height} aria-hidden>
          {holes.map(({ id, widthMm }, i) => {
            const cx = (lefts[i]! + widthMm / 2) * scale;
            return (
              <Circle
                key={id}
                cx={cx}
                cy={height - 2 - (widthMm * scale) / 2}
                r={(widthMm * scale) / 2}
                fill={palette.ground}
                stroke={palette.ink}
                strokeWidth={1.2}
              />
            );
          })}
        </Svg>
      )}
    </View>
  );
}
