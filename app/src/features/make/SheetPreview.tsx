import type { CircleShape, TemplateSheet } from '@leggero/core/template';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Path, Rect, Text as SvgText } from 'react-native-svg';

import { usePalette } from '@/ui/theme';

import { pathData } from './svgFile';

const FIGURES = 'BricolageGrotesque_700Bold';

interface SheetPreviewProps {
  sheet: TemplateSheet;
  label: string;
  mostHeight: number;
}

/** A sheet as it will be cut: cuts in ink, engraving in the quiet colour, all to scale. */
export function SheetPreview({ sheet, label, mostHeight }: SheetPreviewProps) {
  const palette = usePalette();
  const [room, setRoom] = useState(0);
  const { widthMm, heightMm, shapes, holes } = sheet;
  const scale = Math.min(room / widthMm, mostHeight / heightMm);
  // One path for each layer: a hundred strokes of labels are one thing to draw.
  const draw = () => {
    const paths = (layer: 'cut' | 'engrave') =>
      shapes
        .flatMap((shape) =>
          shape.kind === 'path' && shape.layer === layer ? [pathData(shape.corners, shape.closed)] : [],
        )
        .join('');
    const circles = shapes.flatMap((shape) => (shape.kind === 'circle' ? [circleData(shape)] : [])).join('');
    return { cut: paths('cut'), engrave: paths('engrave'), circles };
  };
  const drawn = draw();
  const hair = 1.3 / scale;
  return (
    <View
      role="img"
      aria-label={label}
      className="items-center"
      onLayout={(event) => setRoom(event.nativeEvent.layout.width)}
    >
      {room === 0 ? null : (
        <Svg width={widthMm * scale} height={heightMm * scale} viewBox={`0 0 ${widthMm} ${heightMm}`} aria-hidden>
          <Rect width={widthMm} height={heightMm} fill={palette.surface} stroke={palette.line} strokeWidth={hair} />
          <G fill={palette.sunk} stroke={palette.ink} strokeWidth={hair}>
            <Path d={drawn.cut} />
            <Path d={drawn.circles} fill={palette.surface} />
          </G>
          <Path d={drawn.engrave} fill="none" stroke={palette.pine} strokeWidth={hair} />
          {holes.map((hole) => (
            <SvgText
              key={hole.label}
              x={hole.xMm}
              y={hole.yMm + 5 / scale}
              fontSize={14 / scale}
              fontFamily={FIGURES}
              fill={palette.ink}
              textAnchor="middle"
            >
              {hole.label}
            </SvgText>
          ))}
        </Svg>
      )}
    </View>
  );
}

function circleData({ xMm, yMm, radiusMm: r }: CircleShape): string {
  return `M${xMm - r} ${yMm}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
}
