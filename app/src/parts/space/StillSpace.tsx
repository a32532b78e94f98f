import { useId, type ReactNode } from 'react';
import { Circle, Ellipse, G, Path } from 'react-native-svg';

import type { Palette } from '@/ui/palette';
import { usePalette } from '@/ui/theme';

import { BallShades } from '../piece/BallShades';
import { shade } from '../shade';
import type { Outline } from './balloonRows';
import type { Scene, SceneBalloon, SceneDisc, SceneShape, SceneTube, Vec } from './scene';
import { MANY, strokesDrawn } from './stillStrokes';
import { dot, plus } from '@leggero/core/space';
import { type Seen, type View } from './view';

interface StillSpaceProps {
  scene: Scene;
  view: View;
  /** Steps that are built so far. */
  built: number;
  outlineOf: (balloon: SceneBalloon, i: number) => Outline;
}

/** One thing to be drawn, and how far from the eye it is. */
interface Drawn {
  depth: number;
  shape: ReactNode;
}

/** A scene as a still drawing, from the same places and the same eye as the one in space. */
export function StillSpace({ scene, view, built, outlineOf }: StillSpaceProps) {
  const palette = usePalette();
  const id = useId().replace(/:/g, '');
  const colours = [...new Set(scene.balloons.map(({ skin }) => skin.hex))];
  const many = scene.balloons.length > MANY;
  const singles = () =>
    scene.balloons.flatMap((balloon, i): Drawn[] => {
      const look = {
        light: `url(#${id}${colours.indexOf(balloon.skin.hex)})`,
        outline: outlineOf(balloon, i),
        palette,
      };
      return balloon.step < built ? [balloonDrawn(balloon, view, look, String(i))] : [];
    });
  const drawn = [
    ...(many ? strokesDrawn(scene, view, built) : singles()),
    ...scene.tubes.flatMap((tube, i) => tubeDrawn(tube, view, `tube${i}`)),
    ...scene.discs.map((disc, i) => discDrawn(disc, view, `disc${i}`)),
    ...(scene.shapes ?? []).map((shape, i) => shapeDrawn(shape, view, `shape${i}`)),
  ];
  return (
    <>
      {many ? null : <BallShades id={id} colours={colours} />}
      {drawn.sort((a, b) => b.depth - a.depth).map(({ shape }) => shape)}
    </>
  );
}

interface Look {
  /** What fills it. */
  light: string;
  outline: Outline;
  palette: Palette;
}

function balloonDrawn(balloon: SceneBalloon, view: View, { light, outline, palette }: Look, key: string): Drawn {
  const { x, y, depth, scale } = view.project(balloon.at);
  const { across, ...seen } = seenAs(balloon, view);
  const { hex, finish } = balloon.skin;
  const body = ellipseOf(balloon.at, { across, ...seen }, view);
  const stroke = outline === 'wrong' ? palette.out : outline === 'chosen' ? palette.ink : shade(hex, -0.35);
  return {
    depth,
    shape: (
      <G key={key}>
        <Path d={neckOf(balloon, view)} fill={shade(hex, -0.42)} />
        <Ellipse
          {...body}
          fill={light}
          fillOpacity={finish === 'clear' ? 0.55 : 1}
          stroke={stroke}
          strokeWidth={outline === 'none' ? 0.6 : outline === 'wrong' ? 3.5 : 1.8}
        />
        {balloon.inner ? (
          <Circle cx={x} cy={y} r={0.9 * across * scale} fill={balloon.inner.hex} fillOpacity={0.6} />
        ) : null}
      </G>
    ),
  };
}

/** An outline of such half axes in the picture. */
function ellipseOf(at: Vec, { across, along, angle }: ReturnType<typeof seenAs>, view: View) {
  const { x, y, scale } = view.project(at);
  return {
    ...{ cx: x, cy: y, rx: along * scale, ry: across * scale },
    transform: `rotate(${angle.toFixed(1)} ${x.toFixed(1)} ${y.toFixed(1)})`,
  };
}

function shapeDrawn({ at, hex, axis, ...shape }: SceneShape, view: View, key: string): Drawn {
  const body = ellipseOf(at, seenAs({ ...shape, neck: axis }, view), view);
  return { depth: view.project(at).depth, shape: <Ellipse key={key} {...body} fill={hex} stroke={shade(hex, -0.2)} /> };
}

function discDrawn({ at, widthMm, highMm, hex }: SceneDisc, view: View, key: string): Drawn {
  const [foot, head] = [view.project(at), view.project([at[0], at[1], at[2] + highMm])];
  const rx = (widthMm / 2) * foot.scale;
  // A circle that lies flat is as deep as the eye is above it.
  const ry = rx * Math.abs(view.into[2]);
  const side = `M${foot.x - rx} ${foot.y}V${head.y}H${foot.x + rx}V${foot.y}Z`;
  return {
    depth: foot.depth,
    shape: (
      <G key={key}>
        <Ellipse cx={foot.x} cy={foot.y} rx={rx} ry={ry} fill={hex} />
        <Path d={side} fill={hex} />
        <Ellipse cx={head.x} cy={head.y} rx={rx} ry={ry} fill={shade(hex, 0.3)} stroke={hex} />
      </G>
    ),
  };
}

/** Half axes of a balloon's outline, mm, and how its longer line lies in the picture, degrees. */
function seenAs({ widthMm, aspect, neck }: Pick<SceneBalloon, 'widthMm' | 'aspect' | 'neck'>, { right, up }: View) {
  const [aside, above] = [dot(neck, right), dot(neck, up)];
  const across = widthMm / 2;
  // Of a spheroid the outline is an ellipse: seen along its line a circle, seen from its side as long as it is.
  const slant = Math.hypot(aside, above);
  const along = across * Math.hypot(aspect * slant, Math.sqrt(Math.max(0, 1 - slant * slant)));
  return { across, along, angle: (-Math.atan2(above, aside) * 180) / Math.PI };
}

/** A balloon's neck and knot, from its body on. */
function neckOf({ at, widthMm, aspect, neck }: SceneBalloon, view: View): string {
  const foot = view.project(plus(at, neck, (aspect * widthMm) / 2));
  const knot = view.project(plus(at, neck, (aspect * widthMm) / 2 + 0.09 * widthMm));
  const half = 0.06 * widthMm;
  return bandOf(foot, half, knot, 0.7 * half);
}

/** Two ends of so many mm to either side, as one outline. */
function bandOf(from: Seen, fromMm: number, to: Seen, toMm: number): string {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const long = Math.hypot(dx, dy) || 1;
  const corner = ({ x, y, scale }: Seen, out: number) =>
    `${(x - (dy / long) * out * scale).toFixed(1)} ${(y + (dx / long) * out * scale).toFixed(1)}`;
  return `M${corner(from, fromMm)}L${corner(to, toMm)}L${corner(to, -toMm)}L${corner(from, -fromMm)}Z`;
}

/** A tube piece by piece, so that it passes behind some balloons and before others. */
function tubeDrawn({ line, widthMm, hex }: SceneTube, view: View, key: string): Drawn[] {
  const seen = line.map(view.project);
  return seen.slice(1).map((to, i) => {
    const from = seen[i]!;
    const band = bandOf(from, widthMm / 2, to, widthMm / 2);
    return {
      depth: (from.depth + to.depth) / 2,
      shape: <Path key={`${key} ${i}`} d={band} fill={hex} stroke={hex} strokeWidth={0.5} />,
    };
  });
}
