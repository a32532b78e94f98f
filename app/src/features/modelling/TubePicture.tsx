import type { ModellingSize } from '@leggero/core/modelling';
import { Line, Path, Rect } from 'react-native-svg';

import { shade } from '@/parts/shade';
import { Picture } from '@/ui/Picture';
import { usePalette } from '@/ui/theme';

interface TubePictureProps {
  size: ModellingSize;
  fillMm: number;
  colourHex: string;
  label: string;
}

const LEFT = 16;
const TOP = 6;

/** A modelling balloon from knot to tip, to scale: what is full, and the tail left empty. */
export function TubePicture({ size, fillMm, colourHex, label }: TubePictureProps) {
  const palette = usePalette();
  const scaleOf = (width: number) => (width - 40) / size.lengthMm;
  const thickOf = (width: number) => Math.max(10, size.widthMm * scaleOf(width));
  return (
    <Picture label={label} height={(width) => thickOf(width) + 30} framed={false}>
      {(width) => {
        const thick = thickOf(width);
        const full = fillMm * scaleOf(width);
        const end = LEFT + size.lengthMm * scaleOf(width);
        const middle = TOP + thick / 2;
        return (
          <>
            <Path d={`M${LEFT} ${middle}l-9 -5v10z`} fill={shade(colourHex, -0.35)} />
            <Rect
              x={LEFT + full - thick / 2}
              y={middle - thick * 0.18}
              width={Math.max(0, end - LEFT - full + thick / 2)}
              height={thick * 0.36}
              rx={thick * 0.18}
              fill={shade(colourHex, -0.3)}
            />
            <Rect x={LEFT} y={TOP} width={full} height={thick} rx={thick / 2} fill={colourHex} />
            <Rect
              x={LEFT + thick * 0.5}
              y={TOP + thick * 0.18}
              width={Math.max(0, full - thick)}
              height={thick * 0.14}
              rx={thick * 0.07}
              fill={shade(colourHex, 0.45)}
              opacity={0.8}
            />
            <Line
              x1={LEFT + full}
              x2={LEFT + full}
              y1={TOP - 4}
              y2={TOP + thick + 12}
              stroke={palette.ink}
              strokeWidth={1.4}
            />
          </>
        );
      }}
    </Picture>
  );
}
