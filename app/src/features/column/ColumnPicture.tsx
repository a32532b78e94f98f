import { INCHES_PER_FOOT, MM_PER_INCH } from '@leggero/core';
import { useId, useRef, useState } from 'react';
import { View, type GestureResponderEvent } from 'react-native';
import { Circle, Ellipse, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';

import { BallShades } from '@/parts/piece/BallShades';
import { Hands } from '@/parts/piece/Hands';
import { PERSON, PERSON_MM } from '@/parts/piece/person';
import type { ColumnBalloon } from '@/parts/piece/colouring';
import { shade } from '@/parts/shade';
import { Picture } from '@/ui/Picture';
import { usePalette } from '@/ui/theme';

/** A point of the outline that can be dragged outwards and inwards. */
export interface Grip {
  /** Above the floor, and from the axis, mm. */
  highMm: number;
  outMm: number;
}

interface ColumnPictureProps {
  label: string;
  /** From the top of the stand up. */
  balloons: readonly ColumnBalloon[];
  standMm: number;
  /** Of the pole, from the floor; null where line holds it. */
  poleMm: number | null;
  /** What stands on top and is no balloon of the shelf, mm. */
  figureMm: number;
  heightMm: number;
  /** The room's, mm. */
  ceilingMm: number | null;
  unit: 'in' | 'cm' | 'mm';
  height: number;
  /** The size, or the layer, that stands out. */
  stands: (balloon: ColumnBalloon) => boolean;
  onTap: (balloon: ColumnBalloon) => void;
  /** Where its outline can be dragged; by keys the same is typed beside the picture. */
  grips?: readonly Grip[];
  onGrip?: (grip: number, outMm: number) => void;
}

const FOOT_MM = INCHES_PER_FOOT * MM_PER_INCH;
/** Room at the left for the ruler's figures, and above and below the piece, px. */
const RULER_PX = 40;
const EDGE_PX = 18;
const POLE_MM = 22;
/** Between piece and person, mm. */
const BESIDE_MM = 260;
const PERSON_HALF_MM = 215;
/** So that a layer's balloons are told apart: two of four would hide one another. */
const FIRST_TURN = 0.5;

/** A column to scale, from the floor to the ceiling, with a ruler and someone beside it: drag it round, tap a balloon. */
export function ColumnPicture(props: ColumnPictureProps) {
  const [turn, setTurn] = useState(FIRST_TURN);
  const { label, height, onTap } = props;
  return (
    <Picture
      label={label}
      height={height}
      over={(width, high) => {
        const frame = frameOf(props, turn, width, high);
        return (
          <>
            <Hands
              turn={turn}
              onTurn={setTurn}
              onTap={(x, y) => {
                const hit = balloonAt(frame, x, y);
                if (hit) onTap(hit);
              }}
            />
            {props.grips?.map((grip, i) => (
              <GripArea key={i} grip={grip} frame={frame} onDrag={(outMm) => props.onGrip?.(i, outMm)} />
            ))}
          </>
        );
      }}
    >
      {(width, high) => <Standing {...props} frame={frameOf(props, turn, width, high)} width={width} high={high} />}
    </Picture>
  );
}

interface Seen {
  balloon: ColumnBalloon;
  x: number;
  y: number;
  r: number;
}

interface Frame {
  /** From back to front, px. */
  seen: Seen[];
  /** px for each mm; where its axis and the floor are, px. */
  scale: number;
  axis: number;
  floor: number;
  reachMm: number;
}

function frameOf(
  { balloons, standMm, heightMm, ceilingMm }: ColumnPictureProps,
  turn: number,
  width: number,
  high: number,
): Frame {
  const reachMm = Math.max(1, ...balloons.map(({ xMm, yMm, widthMm }) => Math.hypot(xMm, yMm) + widthMm / 2));
  const wideMm = 2 * reachMm + BESIDE_MM + 2 * PERSON_HALF_MM;
  const tallMm = Math.max(heightMm, ceilingMm ?? 0, PERSON_MM);
  const scale = Math.max(0, Math.min((width - RULER_PX - EDGE_PX) / wideMm, (high - 2 * EDGE_PX - 8) / tallMm));
  // In the middle of what is left of the ruler, the person with it.
  const axis = RULER_PX + (width - RULER_PX - EDGE_PX - wideMm * scale) / 2 + reachMm * scale;
  const floor = high - EDGE_PX;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const seen = balloons
    .map((balloon) => {
      const { xMm, yMm, zMm, widthMm } = balloon;
      const depth = -(xMm * sin + yMm * cos);
      const x = axis + (xMm * cos - yMm * sin) * scale;
      return { balloon, depth, x, y: floor - (standMm + zMm) * scale, r: (widthMm / 2) * scale };
    })
    .sort((a, b) => a.depth - b.depth);
  return { seen, scale, axis, floor, reachMm };
}

function balloonAt({ seen }: Frame, px: number, py: number): ColumnBalloon | undefined {
  return seen.findLast(({ x, y, r }) => Math.hypot(x - px, y - py) <= r)?.balloon;
}

function Standing(props: ColumnPictureProps & { frame: Frame; width: number; high: number }) {
  const { standMm, poleMm, figureMm, heightMm, ceilingMm, unit, stands, grips = [], frame, width } = props;
  const { seen, scale, axis, floor, reachMm } = frame;
  const palette = usePalette();
  const id = useId().replace(/:/g, '');
  const colours = [...new Set(seen.map(({ balloon }) => balloon.colourHex))];
  const yOf = (mm: number) => floor - mm * scale;
  const any = seen.some(({ balloon }) => stands(balloon));
  return (
    <>
      <BallShades id={id} colours={colours} />
      <Ruler toMm={Math.max(heightMm, ceilingMm ?? 0, PERSON_MM)} yOf={yOf} unit={unit} />
      <Ellipse cx={axis} cy={floor} rx={1.1 * reachMm * scale} ry={6} fill={palette.sunk} />
      <Line x1={RULER_PX - 8} x2={width - 8} y1={floor} y2={floor} stroke={palette.quiet} strokeWidth={1.5} />
      {ceilingMm === null ? null : (
        <Line
          x1={RULER_PX}
          x2={width - 8}
          y1={yOf(ceilingMm)}
          y2={yOf(ceilingMm)}
          stroke={heightMm > ceilingMm ? palette.out : palette.quiet}
          strokeWidth={1.5}
          strokeDasharray="6 4"
        />
      )}
      <Path
        d={PERSON}
        fill={palette.line}
        transform={`translate(${axis + (reachMm + BESIDE_MM + PERSON_HALF_MM) * scale} ${floor}) scale(${scale})`}
      />
      {poleMm === null ? null : (
        <Rect
          x={axis - (POLE_MM / 2) * scale}
          width={POLE_MM * scale}
          y={yOf(poleMm)}
          height={poleMm * scale}
          fill={palette.quiet}
        />
      )}
      {standMm > 0 ? (
        <Rect
          x={axis - 150 * scale}
          width={300 * scale}
          y={yOf(standMm)}
          height={Math.max(1.5, standMm * scale)}
          fill={palette.quiet}
        />
      ) : null}
      {seen.map(({ balloon, x, y, r }) => {
        const { colourHex, layer, place } = balloon;
        const standsOut = any && stands(balloon);
        return (
          <G key={`${layer} ${place}`}>
            <Circle
              cx={x}
              cy={y}
              r={r}
              fill={`url(#${id}${colours.indexOf(colourHex)})`}
              stroke={standsOut ? palette.ink : shade(colourHex, -0.35)}
              strokeWidth={standsOut ? 1.8 : 0.6}
            />
          </G>
        );
      })}
      {grips.map(({ highMm, outMm }, i) => (
        <G key={i}>
          <Line
            x1={axis + outMm * scale}
            x2={axis + outMm * scale + GRIP_OUT_PX}
            y1={yOf(highMm)}
            y2={yOf(highMm)}
            stroke={palette.pine}
            strokeWidth={1.5}
          />
          <Path d={`M${axis + outMm * scale + GRIP_OUT_PX - 6} ${yOf(highMm)}l6 -7l6 7l-6 7Z`} fill={palette.pine} />
        </G>
      ))}
      {figureMm > 0 ? (
        <Rect
          x={axis - 0.3 * figureMm * scale}
          width={0.6 * figureMm * scale}
          y={yOf(heightMm)}
          height={figureMm * scale}
          rx={8}
          fill="none"
          stroke={palette.quiet}
          strokeWidth={1.5}
          strokeDasharray="4 4"
        />
      ) : null}
    </>
  );
}

/** So far beside the outline a grip stands, and as wide as a thumb is its area, px. */
const GRIP_OUT_PX = 14;
const GRIP_PX = 44;

/** Drags a point of the outline from side to side. */
function GripArea({ grip, frame, onDrag }: { grip: Grip; frame: Frame; onDrag: (outMm: number) => void }) {
  const from = useRef({ pageX: 0, outMm: 0 });
  const { scale, axis, floor } = frame;
  const hands = {
    onStartShouldSetResponder: () => true,
    onMoveShouldSetResponder: () => true,
    onResponderTerminationRequest: () => false,
    onResponderGrant: ({ nativeEvent }: GestureResponderEvent) => {
      from.current = { pageX: nativeEvent.pageX, outMm: grip.outMm };
    },
    onResponderMove: ({ nativeEvent }: GestureResponderEvent) =>
      onDrag(Math.max(0, from.current.outMm + (nativeEvent.pageX - from.current.pageX) / scale)),
  };
  const place = {
    position: 'absolute',
    left: axis + grip.outMm * scale + GRIP_OUT_PX - GRIP_PX / 2,
    top: floor - grip.highMm * scale - GRIP_PX / 2,
    width: GRIP_PX,
    height: GRIP_PX,
    touchAction: 'none',
    cursor: 'ew-resize',
  };
  return <View {...hands} style={place as object} />;
}

/** Feet, or half metres, from the floor up. */
function Ruler({ toMm, yOf, unit }: { toMm: number; yOf: (mm: number) => number; unit: 'in' | 'cm' | 'mm' }) {
  const palette = usePalette();
  const stepMm = unit === 'in' ? FOOT_MM : 500;
  const marks = Array.from({ length: Math.floor(toMm / stepMm) + 1 }, (_, i) => i);
  // Figures must not touch one another on a high piece.
  const apart = Math.ceil(14 / Math.max(1, yOf(0) - yOf(stepMm)));
  const text = {
    fontSize: 11,
    fill: palette.quiet,
    fontFamily: 'HankenGrotesk_400Regular',
    textAnchor: 'end',
  } as const;
  return (
    <>
      <Line x1={RULER_PX - 8} x2={RULER_PX - 8} y1={yOf(0)} y2={yOf(toMm)} stroke={palette.line} strokeWidth={1} />
      {marks.map((mark) => (
        <G key={mark}>
          <Line
            x1={RULER_PX - 12}
            x2={RULER_PX - 8}
            y1={yOf(mark * stepMm)}
            y2={yOf(mark * stepMm)}
            stroke={palette.quiet}
            strokeWidth={1}
          />
          {mark % apart === 0 && mark > 0 ? (
            <SvgText x={RULER_PX - 15} y={yOf(mark * stepMm) + 4} {...text}>
              {unit === 'in' ? `${mark} ft` : `${mark / 2} m`}
            </SvgText>
          ) : null}
        </G>
      ))}
    </>
  );
}
