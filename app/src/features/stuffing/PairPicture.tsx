import type { ShelfModel } from '@leggero/contract';
import { View } from 'react-native';
import { G, Line } from 'react-native-svg';

import { figureOf } from '@/views/modelView';
import type { Parts } from '@/views/pairs';
import { Balloon } from '@/parts/Balloon';
import { Picture } from '@/ui/Picture';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';

interface PairPictureProps {
  parts: Parts<ShelfModel>;
  /** The colour of the stuffed one. */
  colourHex: string;
  widthMm: number;
  label: string;
}

/** Outer and inner side by side, and the two as one: all at one width and one scale. */
export function PairPicture({ parts: { outer, inner }, colourHex, widthMm, label }: PairPictureProps) {
  const palette = usePalette();
  const glossy = outer.finish === 'clear' ? 'pearl' : outer.finish;
  const drawn = [
    figureOf(outer, null, widthMm),
    figureOf(inner, null, widthMm),
    { ...figureOf(outer, null, widthMm), colourHex, finish: glossy },
  ] as const;
  const caption = (
    <View className="flex-row pb-3">
      {['Outer', 'Inner', 'Together'].map((word) => (
        <Words key={word} look="quiet" className="flex-1 text-center">
          {word}
        </Words>
      ))}
    </View>
  );
  return (
    <Picture label={label} height={162} caption={caption}>
      {(width, height) => {
        const middle = height / 2 - 4;
        const scale = Math.min((width - 24) / 3 / (widthMm * 1.12), (height - 38) / (widthMm * 1.2));
        const [plus, equals] = [width / 3, (2 * width) / 3];
        return (
          <>
            {drawn.map((figure, i) => (
              <G key={i} transform={`translate(${(width * (2 * i + 1)) / 6} ${middle}) scale(${scale})`}>
                <Balloon {...figure} />
              </G>
            ))}
            <G stroke={palette.quiet} strokeWidth={2} strokeLinecap="round">
              <Line x1={plus - 6} x2={plus + 6} y1={middle} y2={middle} />
              <Line x1={plus} x2={plus} y1={middle - 6} y2={middle + 6} />
              <Line x1={equals - 6} x2={equals + 6} y1={middle - 4} y2={middle - 4} />
              <Line x1={equals - 6} x2={equals + 6} y1={middle + 4} y2={middle + 4} />
            </G>
          </>
        );
      }}
    </Picture>
  );
}
