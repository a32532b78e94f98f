import type { ShelfModel } from '@leggero/contract';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Line } from 'react-native-svg';

import { figureOf } from '@/api/modelView';
import type { Parts } from '@/api/pairs';
import { Balloon } from '@/ui/Balloon';
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
  const [width, setWidth] = useState(0);
  const height = 150;
  const scale = Math.min((width - 24) / 3 / (widthMm * 1.12), (height - 26) / (widthMm * 1.2));
  const glossy = outer.finish === 'clear' ? 'pearl' : outer.finish;
  const drawn = [
    figureOf(outer, null, widthMm),
    figureOf(inner, null, widthMm),
    { ...figureOf(outer, null, widthMm), colourHex, finish: glossy },
  ] as const;
  const at = (i: number) => (width * (2 * i + 1)) / 6;
  return (
    <View
      role="img"
      aria-label={label}
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
      className="rounded-card border border-line bg-surface py-3"
    >
      {width === 0 ? null : (
        <Svg width={width} height={height} aria-hidden>
          {drawn.map((figure, i) => (
            <G key={i} transform={`translate(${at(i)} ${height / 2 - 8}) scale(${scale})`}>
              <Balloon {...figure} />
            </G>
          ))}
          <G stroke={palette.quiet} strokeWidth={2} strokeLinecap="round">
            <Line x1={width / 3 - 6} x2={width / 3 + 6} y1={height / 2 - 8} y2={height / 2 - 8} />
            <Line x1={width / 3} x2={width / 3} y1={height / 2 - 14} y2={height / 2 - 2} />
            <Line
              x1={(2 * width) / 3 - 6}
              x2={(2 * width) / 3 + 6}
              y1={height / 2 - 12}
              y2={height / 2 - 12}
            />
            <Line x1={(2 * width) / 3 - 6} x2={(2 * width) / 3 + 6} y1={height / 2 - 4} y2={height / 2 - 4} />
          </G>
        </Svg>
      )}
      <View className="flex-row" aria-hidden>
        {['Outer', 'Inner', 'Together'].map((word) => (
          <Words key={word} look="quiet" className="flex-1 text-center">
            {word}
          </Words>
        ))}
      </View>
    </View>
  );
}
