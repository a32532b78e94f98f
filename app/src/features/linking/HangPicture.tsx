import { useId, useRef } from 'react';
import { View, type GestureResponderEvent } from 'react-native';
import { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg';

import { shade } from '@/parts/shade';
import { FillScreen } from '@/ui/FillScreen';
import { Picture } from '@/ui/Picture';
import { usePalette } from '@/ui/theme';

import { BallShades } from '@/parts/piece/BallShades';
import { PERSON, PERSON_MM } from '@/parts/space/person';
import type { Dot } from '@/parts/piece/sizes';

/** A level of the room, above the floor, mm. */
export interface RoomLine {
  title: string;
  highMm: number;
  /** It can be dragged up and down. */
  drag?: boolean;
}

interface HangPictureProps {
  label: string;
  /** y downwards from `zeroMm` above the floor. */
  dots: readonly Dot[];
  zeroMm: number;
  lines: readonly RoomLine[];
  /** The floor, and someone beside the piece. */
  floor: boolean;
  height: number;
  onDrag?: ((highMm: number) => void) | undefined;
  /** Asks for the size of a tapped balloon. */
  onTap: (key: string) => void;
}

/** More than this are drawn in one stroke a colour: a page of single circles would take too long. */
const MANY = 250;
/** About the width of a letter beside a line, px. */
const TITLE_PX = 6.2;

/** A hanging piece to scale, with floor, levels and someone beside it. */
export function HangPicture(props: HangPictureProps) {
  return <FillScreen title={props.label}>{(whole) => <Hung {...props} whole={whole} />}</FillScreen>;
}

function Hung({
  label,
  dots,
  zeroMm,
  lines,
  floor,
  height,
  onDrag,
  onTap,
  whole,
}: HangPictureProps & { whole: number | null }) {
  const palette = usePalette();
  const box = extentOf(dots, zeroMm, lines, floor);
  const dragged = lines.find(({ drag }) => drag);
  const high = (width: number) => Math.min(whole ?? height, scaleFor(box, width) * box.highMm + 28);
  return (
    <Picture
      label={label}
      height={high}
      framed={whole === null}
      over={(width, tall) => {
        const frame = frameOf(box, width, tall);
        return (
          <>
            <TapArea
              onTap={(px, py) => {
                const key = dotAt(dots, (px - frame.left) / frame.scale, (py - frame.yOf(zeroMm)) / frame.scale);
                if (key !== undefined) onTap(key);
              }}
            />
            {dragged && onDrag ? <DragBand {...frame} line={dragged} onDrag={onDrag} /> : null}
          </>
        );
      }}
    >
      {(width, tall) => {
        const { scale, left, yOf } = frameOf(box, width, tall);
        return (
          <>
            {floor ? (
              <Line x1={8} x2={width - 8} y1={yOf(0)} y2={yOf(0)} stroke={palette.quiet} strokeWidth={1.5} />
            ) : null}
            {lines.map(({ title, highMm, drag }) => (
              <G key={title}>
                <Line
                  x1={8}
                  x2={width - 14 - TITLE_PX * title.length}
                  y1={yOf(highMm)}
                  y2={yOf(highMm)}
                  stroke={drag ? palette.pine : palette.line}
                  {...(drag ? { strokeDasharray: '6 4' } : {})}
                  strokeWidth={drag ? 1.5 : 1}
                />
                <SvgText
                  x={width - 8}
                  textAnchor="end"
                  y={yOf(highMm) + 4}
                  fontSize={12}
                  fill={drag ? palette.pine : palette.quiet}
                  fontFamily="HankenGrotesk_400Regular"
                >
                  {title}
                </SvgText>
              </G>
            ))}
            {floor ? (
              <Path
                d={PERSON}
                fill={palette.line}
                transform={`translate(${left + (box.rightMm + 340) * scale} ${yOf(0)}) scale(${scale})`}
              />
            ) : null}
            <G transform={`translate(${left} ${yOf(zeroMm)}) scale(${scale})`}>
              <Dots dots={dots} />
            </G>
          </>
        );
      }}
    </Picture>
  );
}

type Extent = ReturnType<typeof extentOf>;

/** Room at the right for what the levels are called. */
const BESIDE_PX = 88;

function scaleFor({ wideMm }: Extent, width: number): number {
  return Math.max(0, width - BESIDE_PX) / wideMm;
}

/** How the piece lies in its picture. */
function frameOf(box: Extent, width: number, tall: number) {
  const scale = Math.min(scaleFor(box, width), (tall - 28) / box.highMm);
  const left = 16 + (width - BESIDE_PX - box.wideMm * scale) / 2 - box.leftMm * scale;
  const base = 16 + box.topMm * scale;
  return { scale, left, yOf: (highMm: number) => base - highMm * scale };
}

/** Takes taps anywhere on the picture; those with keys choose from the list of sizes. */
function TapArea({ onTap }: { onTap: (px: number, py: number) => void }) {
  return (
    <View
      className="absolute inset-0"
      onStartShouldSetResponder={() => true}
      onResponderRelease={({ nativeEvent }: GestureResponderEvent) =>
        onTap(nativeEvent.locationX, nativeEvent.locationY)
      }
    />
  );
}

/** A thumb is not exact: so much beside a balloon still means it, in widths. */
const REACH = 1.2;

/** The size of the balloon nearest to a place, mm; none where nothing hangs near. */
function dotAt(dots: readonly Dot[], xMm: number, yMm: number): string | undefined {
  let best: { key: string; apart: number } | undefined;
  for (const dot of dots) {
    const apart = Math.hypot(dot.xMm - xMm, dot.yMm - yMm) / dot.widthMm;
    if (apart < (best?.apart ?? REACH)) best = { key: dot.key, apart };
  }
  return best?.key;
}

interface DragBandProps {
  yOf: (highMm: number) => number;
  scale: number;
  line: RoomLine;
  onDrag: (highMm: number) => void;
}

/** As tall as a thumb is wide, px. */
const BAND_PX = 48;

/** A band around a level that moves it, for hands; those with keys type it beside the picture. */
function DragBand({ yOf, scale, line, onDrag }: DragBandProps) {
  const grip = useRef({ pageY: 0, highMm: 0 });
  const hands = {
    onStartShouldSetResponder: () => true,
    onMoveShouldSetResponder: () => true,
    onResponderTerminationRequest: () => false,
    onResponderGrant: ({ nativeEvent }: GestureResponderEvent) => {
      grip.current = { pageY: nativeEvent.pageY, highMm: line.highMm };
    },
    onResponderMove: ({ nativeEvent }: GestureResponderEvent) =>
      onDrag(Math.max(0, grip.current.highMm - (nativeEvent.pageY - grip.current.pageY) / scale)),
  };
  const place = {
    top: yOf(line.highMm) - BAND_PX / 2,
    height: BAND_PX,
    touchAction: 'none',
    cursor: 'ns-resize',
  };
  return <View {...hands} className="absolute left-0 right-0" style={place as object} />;
}

/** The balloons: single ones with light and shade while they are few, else one stroke a colour. */
function Dots({ dots }: { dots: readonly Dot[] }) {
  const id = useId().replace(/:/g, '');
  const colours = [...new Set(dots.map(({ colourHex }) => colourHex))];
  const many = dots.length > MANY;
  const strokes = many ? strokesOf(dots) : null;
  if (strokes) {
    return strokes.map(({ colourHex, widthMm, d }) => (
      <G key={`${colourHex} ${widthMm}`} fill="none" strokeLinecap="round">
        <Path d={d} stroke={shade(colourHex, -0.28)} strokeWidth={widthMm} />
        <Path d={d} stroke={colourHex} strokeWidth={0.8 * widthMm} transform={nudged(widthMm, 0.06, 0.07)} />
        <Path
          d={d}
          stroke={shade(colourHex, 0.45)}
          strokeWidth={0.22 * widthMm}
          transform={nudged(widthMm, 0.17, 0.2)}
        />
      </G>
    ));
  }
  return (
    <>
      <BallShades id={id} colours={colours} />
      {dots.map(({ xMm, yMm, widthMm, colourHex, slope }, i) => (
        <G key={i}>
          <Path d={knotOf(xMm, yMm, widthMm, slope)} fill={shade(colourHex, -0.4)} />
          <Circle cx={xMm} cy={yMm} r={widthMm / 2} fill={`url(#${id}${colours.indexOf(colourHex)})`} />
        </G>
      ))}
    </>
  );
}

/** Neck and tail: a small knot at either end of a body, along the chain. */
function knotOf(xMm: number, yMm: number, widthMm: number, slope: number | undefined): string {
  const [along, across] = slope === undefined ? [0, 1] : [Math.cos(slope), Math.sin(slope)];
  const reach = widthMm * 0.53;
  const half = widthMm * 0.06;
  return [1, -1]
    .map((side) => {
      const [x, y] = [xMm + side * along * reach, yMm + side * across * reach];
      return (
        `M${(x - half).toFixed(1)} ${y.toFixed(1)}a${half.toFixed(1)} ${half.toFixed(1)} 0 1 0 ` +
        `${(2 * half).toFixed(1)} 0a${half.toFixed(1)} ${half.toFixed(1)} 0 1 0 ` +
        `${(-2 * half).toFixed(1)} 0`
      );
    })
    .join('');
}

/** Towards the light, by shares of the width. */
function nudged(widthMm: number, left: number, up: number): string {
  return `translate(${-left * widthMm} ${-up * widthMm})`;
}

/** A round line of no length is a circle: one line of points for all balloons of a colour and a width. */
function strokesOf(dots: readonly Dot[]) {
  const groups = new Map<string, { colourHex: string; widthMm: number; points: string[] }>();
  for (const { xMm, yMm, widthMm, colourHex } of dots) {
    const key = `${colourHex} ${widthMm}`;
    const group = groups.get(key) ?? { colourHex, widthMm, points: [] };
    groups.set(key, group);
    group.points.push(`M${Math.round(xMm)} ${Math.round(yMm)}h0`);
  }
  return [...groups.values()].map(({ points, ...rest }) => ({ ...rest, d: points.join('') }));
}

/** What the picture must hold: the balloons, the levels, and someone beside them. */
function extentOf(dots: readonly Dot[], zeroMm: number, lines: readonly RoomLine[], floor: boolean) {
  let [leftMm, rightMm, topMm, lowMm] = [Infinity, -Infinity, -Infinity, floor ? 0 : Infinity];
  for (const { xMm, yMm, widthMm } of dots) {
    leftMm = Math.min(leftMm, xMm - widthMm / 2);
    rightMm = Math.max(rightMm, xMm + widthMm / 2);
    topMm = Math.max(topMm, zeroMm - yMm + widthMm / 2);
    lowMm = Math.min(lowMm, zeroMm - yMm - widthMm / 2);
  }
  topMm = Math.max(topMm, floor ? PERSON_MM : -Infinity, ...lines.map(({ highMm }) => highMm));
  const beside = floor ? 560 : 0;
  return { leftMm, rightMm, topMm, wideMm: rightMm - leftMm + beside, highMm: topMm - lowMm };
}
