import type { ModellingSize } from '@leggero/core/modelling';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Path, Rect } from 'react-native-svg';

import { shade } from '@/ui/Balloon';
import { usePalette } from '@/ui/theme';

interface TubePictureProps {
  size: ModellingSize;
  fillMm: number;
  colourHex: string;
  label: string;
}

/** A modelling balloon from knot to tip, to scale: what is full, and the tail left empty. */
export function TubePicture({ size, fillMm, colourHex, label }: TubePictureProps) {
  const palette = usePalette();
  const [width, setWidth] = useState(0);
  const scale = (width - 40) / size.lengthMm;
  const thick = Math.max(10, size.widthMm * scale);
  const full = fillMm * scale;
  const end = 16 + size.lengthMm * scale;
  const height = thick + 30;
  const y = 6;
  const middle = y + thick / 2;
  return (
    <View
      role="img"
      aria-label={label}
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
      style={{ height }}
    >
      {width === 0 ? null : (
        <Svg width={width} height={height} aria-hidden>
          <Path d={`M16 ${middle}l-9 -5v10z`} fill={shade(colourHex, -0.35)} />
          <Rect
            x={16 + full - thick / 2}
            y={middle - thick * 0.18}
            width={Math.max(0, end - 16 - full + thick / 2)}
            height={thick * 0.36}
            rx={thick * 0.18}
            fill={shade(colourHex, -0.3)}
          />
          <Rect x={16} y={y} width={full} height={thick} rx={thick / 2} fill={colourHex} />
          <Rect
            x={16 + thick * 0.5}
            y={y + thick * 0.18}
            width={Math.max(0, full - thick)}
            height={thick * 0.14}
            rx={thick * 0.07}
            fill={shade(colourHex, 0.45)}
            opacity={0.8}
          />
          {full < end - 20 ? (
            <Line
              x1={16 + full}
              x2={16 + full}
              y1={y - 4}
              y2={y + thick + 12}
              stroke={palette.ink}
              strokeWidth={1.4}
            />
          ) : null}
        </Svg>
      )}
    </View>
  );
}
