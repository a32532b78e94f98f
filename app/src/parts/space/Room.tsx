import { Line, Path, Rect, Text } from 'react-native-svg';

import { DRAWN_FONT } from '@/ui/drawnFont';
import { usePalette } from '@/ui/theme';

import { PERSON } from './person';
import { FAINT, LINE_PX, PATCH_PX, roomShapes } from './roomShapes';
import type { Scene } from './scene';
import type { View } from './view';

/** What a piece stands in, as a still drawing. */
export function Room({ scene, view }: { scene: Scene; view: View }) {
  const palette = usePalette();
  return roomShapes(scene, view).map((shape, i) => {
    const ink = palette[shape.ink];
    switch (shape.kind) {
      case 'line': {
        const { x1, y1, x2, y2, dashed } = shape;
        const dashes = dashed ? { strokeDasharray: '6 4' } : {};
        return <Line key={i} {...{ x1, y1, x2, y2 }} stroke={ink} strokeWidth={LINE_PX} {...dashes} />;
      }
      case 'box': {
        const { x, y, width, height, filled } = shape;
        const look = filled
          ? { fill: ink, opacity: FAINT.box }
          : { fill: 'none', stroke: ink, strokeWidth: LINE_PX, strokeDasharray: '4 4' };
        return <Rect key={i} {...{ x, y, width, height }} {...look} />;
      }
      case 'patch': {
        const d = `M${shape.points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`;
        return <Path key={i} d={d} fill={ink} stroke={ink} strokeWidth={PATCH_PX} strokeLinejoin="round" />;
      }
      case 'text':
        return (
          <Text key={i} x={shape.x} y={shape.y} fontSize={11} fill={ink} fontFamily={DRAWN_FONT} textAnchor="end">
            {shape.text}
          </Text>
        );
      case 'person': {
        const { x, y, wide, tall } = shape;
        const place = `translate(${x} ${y}) scale(${wide} ${tall})`;
        return <Path key={i} d={PERSON} fill={ink} opacity={FAINT.person} transform={place} />;
      }
    }
  });
}
