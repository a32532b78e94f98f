import type { WallThing } from '@leggero/contract';
import type { HungGarland, PathPoint, Place } from '@leggero/core/garland';
import { useRef, useState } from 'react';
import { View, type LayoutChangeEvent } from 'react-native';
import Svg, { Circle, Line, Path, Rect, Text as SvgText } from 'react-native-svg';

import type { TiedBalloon } from '@/parts/piece/tied';
import { DragPoint } from '@/parts/space/DragGrip';
import { DRAWN_FONT } from '@/ui/drawnFont';
import { usePalette } from '@/ui/theme';
import { THING_WORDS } from '@/wording/garland';

interface WallPictureProps {
  wall: { wideMm: number; highMm: number; things: readonly WallThing[] };
  points: readonly Place[];
  balloons: readonly TiedBalloon[];
  /** On its hooks, as it hangs between them; null without any. */
  hung: HungGarland | null;
  /** The places of a drawn path, which are dragged. */
  drawn: readonly PathPoint[];
  chosen: number | null;
  onChoose: (at: number) => void;
  onMove: (at: number, to: PathPoint) => void;
}

/** To a tenth of an inch and more: what a finger can hold. */
const STEP_MM = 5;
/** Around the wall: what is dragged to its edge is seen whole. */
const ROOM_PX = 14;

/** A wall from its front, to scale: what stands there, where the garland runs, and its balloons. */
export function WallPicture({ wall, points, balloons, hung, drawn, chosen, onChoose, onMove }: WallPictureProps) {
  const palette = usePalette();
  const [wide, setWide] = useState(300);
  const from = useRef<PathPoint>({ xMm: 0, zMm: 0 });
  const scale = (wide - 2 * ROOM_PX) / wall.wideMm;
  const high = wall.highMm * scale + 2 * ROOM_PX;
  const x = (mm: number) => ROOM_PX + (mm + wall.wideMm / 2) * scale;
  const y = (mm: number) => high - ROOM_PX - mm * scale;
  const through = (places: readonly Place[]) =>
    places.map(([px, , pz], i) => `${i === 0 ? 'M' : 'L'}${x(px)} ${y(pz)}`).join('');
  const step = (mm: number) => Math.round(mm / STEP_MM) * STEP_MM;
  const nearest = [...balloons].sort((a, b) => b.yMm - a.yMm);
  return (
    <View
      onLayout={(event: LayoutChangeEvent) => setWide(event.nativeEvent.layout.width)}
      style={{ height: high }}
      className="select-none overflow-hidden rounded-card border border-line bg-sunk"
    >
      <Svg width={wide} height={high} role="img" aria-label="The wall from its front">
        <Rect
          x={ROOM_PX}
          y={ROOM_PX}
          width={wide - 2 * ROOM_PX}
          height={wall.highMm * scale}
          fill={palette.ground}
          stroke={palette.line}
        />
        {wall.things.map(({ kind, leftMm, lowMm, wideMm, highMm }, i) => (
          <Rect
            key={i}
            x={ROOM_PX + leftMm * scale}
            y={y(lowMm + highMm)}
            width={wideMm * scale}
            height={highMm * scale}
            rx={kind === 'sofa' ? 8 : 2}
            fill={palette.surface}
            stroke={palette.quiet}
            strokeWidth={1.5}
          />
        ))}
        <Path d={through(points)} stroke={palette.pine} strokeWidth={2} fill="none" />
        {nearest.map(({ xMm, zMm, widthMm, colourHex }, i) => (
          <Circle key={i} cx={x(xMm)} cy={y(zMm)} r={(widthMm / 2) * scale} fill={colourHex} opacity={0.55} />
        ))}
        {wall.things.map(({ kind, leftMm, lowMm, wideMm, highMm }, i) => (
          <SvgText
            key={i}
            x={ROOM_PX + (leftMm + wideMm / 2) * scale}
            y={y(lowMm + highMm / 2) + 5}
            fontSize={14}
            fontFamily={DRAWN_FONT}
            fill={palette.ink}
            textAnchor="middle"
          >
            {THING_WORDS[kind]}
          </SvgText>
        ))}
        {hung?.spans.map((span, i) => (
          <Path key={i} d={through(span.hung)} stroke={palette.ink} strokeWidth={2} strokeDasharray="5 4" fill="none" />
        ))}
        {hung?.fixings.map(({ at: [px, , pz] }, i) => (
          <Rect key={i} x={x(px) - 4} y={y(pz) - 4} width={8} height={8} fill={palette.ink} stroke={palette.surface} />
        ))}
        <Line x1={0} x2={wide} y1={y(0)} y2={y(0)} stroke={palette.quiet} strokeWidth={2} />
        {drawn.map(({ xMm, zMm }, i) => (
          <Circle
            key={i}
            cx={x(xMm)}
            cy={y(zMm)}
            r={i === chosen ? 11 : 8}
            fill={i === chosen ? palette.kiln : palette.pine}
            stroke={palette.surface}
            strokeWidth={2}
          />
        ))}
      </Svg>
      {drawn.map(({ xMm, zMm }, i) => (
        <DragPoint
          key={i}
          left={x(xMm)}
          top={y(zMm)}
          onDrag={(by) => {
            if (by.first) {
              from.current = { xMm, zMm };
              return onChoose(i);
            }
            const { xMm: fromX, zMm: fromZ } = from.current;
            onMove(i, {
              xMm: step(Math.min(wall.wideMm / 2, Math.max(-wall.wideMm / 2, fromX + by.x / scale))),
              zMm: step(Math.min(wall.highMm, Math.max(0, fromZ - by.y / scale))),
            });
          }}
        />
      ))}
    </View>
  );
}
