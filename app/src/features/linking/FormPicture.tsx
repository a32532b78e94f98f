import type { RingGap, Sphere } from '@leggero/core/linking';
import { useId, useMemo, useRef, useState } from 'react';
import { type GestureResponderEvent } from 'react-native';
import { Circle, Defs, G, Line, Path, RadialGradient, Stop } from 'react-native-svg';

import { shade } from '@/ui/Balloon';
import { Picture } from '@/ui/Picture';
import { usePalette } from '@/ui/theme';

/** From the side, a little from above; or straight from above. */
export type Seen = 'side' | 'above';

interface FormPictureProps {
  label: string;
  spheres: readonly Sphere[];
  colourOf: (key: string) => string;
  seen: Seen;
  height: number;
  /** Which balloons stand out, by their places. */
  chosen: readonly number[];
  /** The one that is off its size. */
  wrong: number | null;
  gap: RingGap | null;
  /** The handle's line, and how thick it is, mm. */
  handle: { points: readonly Place[]; widthMm: number; colourHex: string } | null;
  /** Something round the ring goes with, drawn as its circle, mm across. */
  thingMm?: number | null;
  onTap: (sphere: number) => void;
}

interface Place {
  xMm: number;
  yMm: number;
  zMm: number;
}

/** How far from above the side view looks down. */
const TILT = 0.3;
/** A press that moves less is a tap, px. */
const STILL_PX = 6;

/** A piece in space, to scale: drag it round, tap a balloon. */
export function FormPicture(props: FormPictureProps) {
  const [turn, setTurn] = useState(0.26);
  const { seen, height, label } = props;
  return (
    <Picture label={label} height={height}>
      {(width, high) => (
        <Turned {...props} turn={turn} onTurn={setTurn} width={width} high={high} key={seen} />
      )}
    </Picture>
  );
}

interface Shown {
  at: number;
  x: number;
  y: number;
  depth: number;
}

function Turned({
  spheres, colourOf, seen, chosen, wrong, gap, handle, thingMm, onTap, turn, onTurn, width, high,
}: FormPictureProps & { turn: number; onTurn: (turn: number) => void; width: number; high: number }) {
  const palette = usePalette();
  const id = useId().replace(/:/g, '');
  const project = useMemo(() => projector(seen, turn), [seen, turn]);
  const shown = useMemo(
    () => spheres.map((sphere, at): Shown => ({ at, ...project(sphere) })).sort((a, b) => a.depth - b.depth),
    [spheres, project],
  );
  const arch = useMemo(() => handle?.points.map((point) => project(point)) ?? [], [handle, project]);
  const colours = useMemo(() => [...new Set(spheres.map(({ key }) => colourOf(key)))], [spheres, colourOf]);
  // The frame holds the piece however it is turned.
  const reach = Math.max(1, ...spheres.map(({ xMm, yMm, widthMm }) => Math.hypot(xMm, yMm) + widthMm / 2), (thingMm ?? 0) / 2);
  const ys = shown.map(({ at, y }) => [y - spheres[at]!.widthMm / 2, y + spheres[at]!.widthMm / 2] as const);
  const top = Math.min(...ys.map(([low]) => low), ...arch.map(({ y }) => y - (handle?.widthMm ?? 0) / 2), seen === 'above' ? -reach : Infinity);
  const foot = Math.max(...ys.map(([, low]) => low), seen === 'above' ? reach : -Infinity);
  const scale = Math.min((width - 24) / (2 * reach), (high - 24) / (foot - top));
  const [dx, dy] = [width / 2, high / 2 - ((top + foot) / 2) * scale];

  const grip = useRef({ pageX: 0, pageY: 0, turn: 0, moved: false });
  const hands = {
    onStartShouldSetResponder: () => true,
    onMoveShouldSetResponder: () => true,
    onResponderTerminationRequest: () => false,
    onResponderGrant: ({ nativeEvent: { pageX, pageY } }: GestureResponderEvent) => {
      grip.current = { pageX, pageY, turn, moved: false };
    },
    onResponderMove: ({ nativeEvent: { pageX } }: GestureResponderEvent) => {
      const by = pageX - grip.current.pageX;
      if (Math.abs(by) < STILL_PX && !grip.current.moved) return;
      grip.current.moved = true;
      onTurn(grip.current.turn + by / 120);
    },
    onResponderRelease: ({ nativeEvent: { locationX, locationY } }: GestureResponderEvent) => {
      if (grip.current.moved) return;
      const [x, y] = [(locationX - dx) / scale, (locationY - dy) / scale];
      const hit = shown.findLast((each) => Math.hypot(each.x - x, each.y - y) <= spheres[each.at]!.widthMm / 2);
      if (hit) onTap(hit.at);
    },
  };
  const standing = new Set(chosen);
  return (
    <>
      <Defs>
        {colours.map((hex, i) => (
          <RadialGradient key={hex} id={`${id}${i}`} cx="0.36" cy="0.3" r="0.85" fx="0.36" fy="0.3">
            <Stop offset="0" stopColor={shade(hex, 0.38)} />
            <Stop offset="0.4" stopColor={hex} />
            <Stop offset="1" stopColor={shade(hex, -0.4)} />
          </RadialGradient>
        ))}
      </Defs>
      <G transform={`translate(${dx} ${dy}) scale(${scale})`}>
        {thingMm ? <Circle r={thingMm / 2} fill={palette.sunk} stroke={palette.quiet} strokeWidth={1.5 / scale} /> : null}
        {shown.map(({ at, x, y }) => {
          const { widthMm, key } = spheres[at]!;
          const hex = colourOf(key);
          const r = widthMm / 2;
          return (
            <G key={at}>
              <Circle cx={x} cy={y} r={r} fill={`url(#${id}${colours.indexOf(hex)})`} stroke={shade(hex, -0.45)} strokeWidth={0.6 / scale} />
              <Path d={tailOf(x, y, r)} fill={shade(hex, -0.42)} />
              {at === wrong || standing.has(at) ? (
                <Circle cx={x} cy={y} r={r} fill="none" stroke={at === wrong ? palette.out : palette.ink} strokeWidth={(at === wrong ? 3 : 1.8) / scale} />
              ) : null}
            </G>
          );
        })}
        {handle ? (
          <Path d={arch.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join('')} fill="none" stroke={handle.colourHex} strokeWidth={handle.widthMm} strokeLinecap="round" strokeLinejoin="round" />
        ) : null}
        {gap ? <GapLine gap={gap} project={project} scale={scale} colour={palette.out} /> : null}
      </G>
      <G {...(hands as object)}>
        <Path d={`M0 0h${width}v${high}H0Z`} fill="transparent" />
      </G>
    </>
  );
} // prettier-ignore

/** Where a point stands on the screen, mm, y downwards; nearer points have a larger depth. */
function projector(seen: Seen, turn: number): (place: Place) => { x: number; y: number; depth: number } {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const [up, down] = seen === 'above' ? [0, 1] : [Math.cos(TILT), Math.sin(TILT)];
  return ({ xMm, yMm, zMm }) => {
    const x = xMm * cos - yMm * sin;
    const back = xMm * sin + yMm * cos;
    return { x, y: -zMm * up - back * down, depth: zMm * down - back * up };
  };
}

/** The knot and its tail, low on a balloon. */
function tailOf(x: number, y: number, r: number): string {
  const [w, h] = [r * 0.1, r * 0.13];
  return `M${x - w} ${y + r * 0.62}l${w} ${-h * 0.7}l${w} ${h * 0.7}l${-w * 0.6} ${h}l${-w * 0.8} 0Z`;
}

function GapLine({ gap, project, scale, colour }: { gap: RingGap; project: ReturnType<typeof projector>; scale: number; colour: string }) {
  const [from, to] = [project(gap.from), project(gap.to)];
  return <Line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke={colour} strokeWidth={4 / scale} strokeLinecap="round" />;
} // prettier-ignore
