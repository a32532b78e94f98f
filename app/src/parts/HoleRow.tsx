import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Ellipse, Line } from 'react-native-svg';

import { usePalette } from '@/ui/theme';

interface ShownHole {
  id: string;
  label: string;
  /** Across and down, mm. */
  widthMm: number;
  downMm?: number | undefined;
}

/** Holes side by side on one line, to one scale, as high as there is room for; one of them may be at hand. */
export function HoleRow({
  holes,
  height,
  at,
}: {
  holes: readonly ShownHole[];
  height: number;
  at?: string | undefined;
}) {
  const palette = usePalette();
  const [width, setWidth] = useState(0);
  const gapMm = 20;
  const total = holes.reduce((sum, { widthMm }) => sum + widthMm + gapMm, gapMm);
  const largest = Math.max(1, ...holes.map(({ widthMm }) => widthMm));
  const scale = Math.min(width / total, (height - 8) / largest);
  const lefts = holes.map((_, i) => holes.slice(0, i).reduce((sum, { widthMm }) => sum + widthMm + gapMm, gapMm));
  const label = holes.length === 0 ? 'No holes' : `Holes of ${holes.map((hole) => hole.label).join(', ')}, to scale`;
  return (
    <View
      role="img"
      aria-label={label}
      style={{ height }}
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
    >
      {width === 0 ? null : (
        <Svg width={width} height={height} aria-hidden>
          {holes.map(({ id, widthMm, downMm = widthMm }, i) => {
            const cx = (lefts[i]! + widthMm / 2) * scale;
            const here = id === at;
            return [
              <Ellipse
                key={id}
                cx={cx}
                cy={height - 6 - (downMm * scale) / 2}
                rx={(widthMm * scale) / 2}
                ry={(downMm * scale) / 2}
                fill={here ? palette.pineWash : palette.ground}
                stroke={here ? palette.pine : palette.ink}
                strokeWidth={here ? 2.4 : 1.2}
              />,
              here ? (
                <Line
                  key="at"
                  x1={cx - (widthMm * scale) / 2}
                  x2={cx + (widthMm * scale) / 2}
                  y1={height - 1.5}
                  y2={height - 1.5}
                  stroke={palette.pine}
                  strokeWidth={3}
                />
              ) : null,
            ];
          })}
        </Svg>
      )}
    </View>
  );
}
