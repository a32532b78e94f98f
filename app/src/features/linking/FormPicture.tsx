import type { RingGap, Sphere } from '@leggero/core/linking';
import { useId, useState } from 'react';
import { Circle, G, Line, Path } from 'react-native-svg';

import { shade } from '@/parts/shade';
import { Picture } from '@/ui/Picture';
import { usePalette } from '@/ui/theme';

import { Hands } from '@/parts/piece/Hands';
import { FIRST_TURN, nearerHalf, projector, type Place, type Seen } from '@/parts/piece/projector';

import { BallShades } from '@/parts/piece/BallShades';

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

/** A piece in space, to scale: drag it round, tap a balloon. */
export function FormPicture(props: FormPictureProps) {
  const [turn, setTurn] = useState(FIRST_TURN);
  const { label, height, onTap } = props;
  return (
    <Picture
      label={label}
      height={height}
      over={(width, high) => (
        <Hands
          turn={turn}
          onTurn={setTurn}
          onTap={(x, y) => {
            const hit = balloonAt(frameOf(props, turn, width, high), props.spheres, x, y);
            if (hit !== undefined) onTap(hit);
          }}
        />
      )}
    >
      {(width, high) => <Turned {...props} turn={turn} width={width} high={high} />}
    </Picture>
  );
}

/** A piece as it lies in its picture. */
interface Frame {
  /** From back to front. */
  shown: { at: number; x: number; y: number; depth: number }[];
  arch: { x: number; y: number; depth: number }[];
  project: (place: Place) => { x: number; y: number; depth: number };
  /** px for each mm, and where the axis stands. */
  scale: number;
  dx: number;
  dy: number;
}

function frameOf(
  { spheres, seen, handle, thingMm }: Pick<FormPictureProps, 'spheres' | 'seen' | 'handle' | 'thingMm'>,
  turn: number,
  width: number,
  high: number,
): Frame {
  const project = projector(seen, turn);
  const shown = spheres.map((sphere, at) => ({ at, ...project(sphere) })).sort((a, b) => a.depth - b.depth);
  const arch = handle?.points.map(project) ?? [];
  // The frame holds the piece however it is turned.
  const reach = Math.max(
    1,
    (thingMm ?? 0) / 2,
    ...spheres.map(({ xMm, yMm, widthMm }) => Math.hypot(xMm, yMm) + widthMm / 2),
  );
  const halfOf = (at: number) => spheres[at]!.widthMm / 2;
  const above = seen === 'above' ? reach : -Infinity;
  const top = Math.min(
    -above,
    ...shown.map(({ at, y }) => y - halfOf(at)),
    ...arch.map(({ y }) => y - (handle?.widthMm ?? 0) / 2),
  );
  const foot = Math.max(above, ...shown.map(({ at, y }) => y + halfOf(at)));
  const scale = Math.min((width - 24) / (2 * reach), (high - 24) / (foot - top));
  return { shown, arch, project, scale, dx: width / 2, dy: high / 2 - ((top + foot) / 2) * scale };
}

function balloonAt({ shown, scale, dx, dy }: Frame, spheres: readonly Sphere[], px: number, py: number) {
  const [x, y] = [(px - dx) / scale, (py - dy) / scale];
  return shown.findLast((each) => Math.hypot(each.x - x, each.y - y) <= spheres[each.at]!.widthMm / 2)?.at;
}

function Turned(props: FormPictureProps & { turn: number; width: number; high: number }) {
  const { spheres, colourOf, chosen, wrong, gap, handle, thingMm, turn, width, high } = props;
  const palette = usePalette();
  const id = useId().replace(/:/g, '');
  const { shown, arch, project, scale, dx, dy } = frameOf(props, turn, width, high);
  const colours = [...new Set(spheres.map(({ key }) => colourOf(key)))];
  const standing = new Set(chosen);
  return (
    <>
      <BallShades id={id} colours={colours} />
      <G transform={`translate(${dx} ${dy}) scale(${scale})`}>
        {thingMm ? (
          <Circle r={thingMm / 2} fill={palette.sunk} stroke={palette.quiet} strokeWidth={1.5 / scale} />
        ) : null}
        {handle ? <Arch line={arch} {...handle} /> : null}
        {shown.map(({ at, x, y }) => {
          const { widthMm, key } = spheres[at]!;
          const hex = colourOf(key);
          const r = widthMm / 2;
          const ring = at === wrong ? palette.out : standing.has(at) ? palette.ink : null;
          return (
            <G key={at}>
              <Circle
                cx={x}
                cy={y}
                r={r}
                fill={`url(#${id}${colours.indexOf(hex)})`}
                stroke={shade(hex, -0.45)}
                strokeWidth={0.6 / scale}
              />
              <Path d={tailOf(x, y, r)} fill={shade(hex, -0.42)} />
              {ring ? (
                <Circle
                  cx={x}
                  cy={y}
                  r={r}
                  fill="none"
                  stroke={ring}
                  strokeWidth={(at === wrong ? 3.5 : 1.8) / scale}
                />
              ) : null}
            </G>
          );
        })}
        {handle ? <Arch line={nearerHalf(arch)} {...handle} /> : null}
        {gap ? <GapLine gap={gap} project={project} scale={scale} colour={palette.out} /> : null}
      </G>
    </>
  );
}

interface ArchProps {
  line: readonly { x: number; y: number }[];
  widthMm: number;
  colourHex: string;
}

/** Part of a handle: the tube, and the light along it. */
function Arch({ line, widthMm, colourHex }: ArchProps) {
  const d = line.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');
  // Flat ends: the nearer half is drawn once more over the balloons, and its seam must not show.
  const stroke = { fill: 'none', strokeLinejoin: 'round' } as const;
  return (
    <>
      <Path d={d} {...stroke} stroke={shade(colourHex, -0.3)} strokeWidth={widthMm} />
      <Path d={d} {...stroke} stroke={colourHex} strokeWidth={widthMm * 0.82} />
      <Path d={d} {...stroke} stroke={shade(colourHex, 0.35)} strokeWidth={widthMm * 0.16} />
    </>
  );
}

/** The knot and its tail, low on a balloon. */
function tailOf(x: number, y: number, r: number): string {
  const [w, h] = [r * 0.1, r * 0.13];
  return `M${x - w} ${y + r * 0.62}l${w} ${-h * 0.7}l${w} ${h * 0.7}l${-w * 0.6} ${h}l${-w * 0.8} 0Z`;
}

function GapLine({
  gap,
  project,
  scale,
  colour,
}: {
  gap: RingGap;
  project: ReturnType<typeof projector>;
  scale: number;
  colour: string;
}) {
  const [from, to] = [project(gap.from), project(gap.to)];
  return (
    <Line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke={colour} strokeWidth={4 / scale} strokeLinecap="round" />
  );
}
