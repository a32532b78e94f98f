import type { PiecePart } from '@leggero/contract';
import type { SizeSpread } from '@leggero/core';
import type { PieceSpread, Stack } from '@leggero/core/building';
import { useCallback, useMemo } from 'react';
import { View } from 'react-native';
import { G, Line, Path } from 'react-native-svg';

import { packingOf } from '@/parts/piece/material';
import type { GhostOf } from '@/parts/piece/ExactWays';
import type { Coloured, ColumnBalloon } from '@/parts/piece/colouring';
import { stackScene, unevenBalloons } from '@/parts/piece/scenes';
import { sizeOutline } from '@/parts/piece/sizeOutline';
import { baseOf } from '@/parts/piece/standing';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { useOutcomes } from '@/parts/piece/useOutcomes';
import { BuiltPicture } from '@/parts/space/BuiltPicture';
import { DragGrip, GRIP_PX } from '@/parts/space/DragGrip';
import { extentOf, type Scene } from '@/parts/space/scene';
import { plus } from '@leggero/core/space';
import { type Camera, type View as SpaceView } from '@/parts/space/view';
import { usePalette } from '@/ui/theme';
import { useShown } from '@/ui/useShown';
import { layerStepText } from '@/wording/building';
import { stepHowText } from '@/wording/stepHow';
import { counted } from '@/wording/trade';

import { Ghost, GhostNote, type GhostBalloon } from '@/parts/piece/Ghost';
import { namesOf } from './ColourCards';
import type { ColumnDesign, TaperDesign } from './colouring';

/** A point of the outline that can be dragged outwards and inwards. */
export interface Grip {
  /** Above the floor, and from the axis, mm. */
  highMm: number;
  outMm: number;
}

interface StackPictureProps {
  label: string;
  design: ColumnDesign | TaperDesign;
  /** null while no layers follow. */
  view: (Coloured & { stack: Stack }) | null;
  poleMm: number;
  heldBy: 'pole' | 'line';
  ceilingMm: number | null;
  basis: PieceBasis;
  /** The size that stands out. */
  chosen: string | null;
  onTap: (balloon: ColumnBalloon) => void;
  /** As it came out once: seen over it. */
  ghost: GhostOf | null;
  onNoGhost: () => void;
  grips?: readonly Grip[];
  onGrip?: (grip: number, outMm: number) => void;
}

const HEIGHT_PX = 460;
/** So that a layer's balloons are told apart: two of four would hide one another. */
const FIRST: Camera = { turn: 0.5, tilt: 0.07, zoom: 1, push: [0, 0] };
const NO_BALLOONS: readonly ColumnBalloon[] = [];

/** A piece of layers in its room, to scale. A tap asks for a balloon's target; the marks at its side are dragged. */
export function StackPicture(props: StackPictureProps) {
  const {
    label,
    design,
    view,
    poleMm,
    heldBy,
    ceilingMm,
    basis,
    chosen,
    onTap,
    ghost,
    onNoGhost,
    grips = [],
    onGrip,
  } = props;
  const { models } = basis.knowledge;
  const { text, unit } = basis.lengths;
  const balloons = view?.balloons ?? NO_BALLOONS;
  const sizes = view?.sizes;
  const { standMm, topper } = design;
  const baseMm = baseOf(design, basis).acrossMm;
  const sceneOf = useCallback(
    (placed: readonly ColumnBalloon[]) => {
      const parts = new Map<string, PiecePart>(sizes?.map(({ key, part }) => [key, part]));
      const ceiling = ceilingMm === null ? null : { highMm: ceilingMm, title: text(ceilingMm) };
      const standing = { standMm, topper, baseMm, poleMm, heldBy, ceiling, unit };
      return stackScene(placed, ({ key }) => parts.get(key)!, models, standing);
    },
    [sizes, models, standMm, topper, baseMm, poleMm, heldBy, ceilingMm, text, unit],
  );
  const scene = useMemo(() => sceneOf(balloons), [sceneOf, balloons]);
  const unevenOf = useCallback(
    (spread: PieceSpread, seed: number) => {
      const { packing } = packingOf(basis);
      const { trade } = basis.knowledge;
      return view ? unevenBalloons(view.balloons, view.stack, { spread, seed, heldBy, packing, trade }) : NO_BALLOONS;
    },
    [view, heldBy, basis],
  );
  const made = useMemo(
    () => view && ((spread: SizeSpread, seed: number) => sceneOf(unevenOf(spread, seed))),
    [view, sceneOf, unevenOf],
  );
  const ghosts = useMemo(
    () => (ghost ? unevenOf(ghost.spread, ghost.seed).map((balloon) => ghostOf(balloon, standMm)) : []),
    [ghost, unevenOf, standMm],
  );
  const said = useCallback((scene: Scene) => `it stands ${text(extentOf(scene).highMm)}`, [text]);
  const outcomes = useOutcomes(made, said);
  const outlineOf = useMemo(() => sizeOutline(chosen), [chosen]);
  const nameOf = namesOf(design, basis);
  const place = useShown(ghost !== null);
  return (
    <View ref={place} className="gap-2">
      <BuiltPicture
        label={label}
        height={HEIGHT_PX}
        scene={scene}
        outcomes={outcomes}
        first={FIRST}
        stepText={(step) => {
          const first = balloons.find(({ layer }) => layer === step);
          return layerStepText({
            layer: step,
            layers: view?.map.length ?? 0,
            colours: view?.map[step]?.map(nameOf) ?? null,
            width: first ? text(first.widthMm) : '',
          });
        }}
        howText={(step, steps) => stepHowText(heldBy === 'line' ? 'column-on-line' : design.form, step, steps)}
        allText={() => `All ${counted(view?.map.length ?? 0, 'layer')}`}
        outlineOf={outlineOf}
        onTap={(i) => onTap(balloons[i]!)}
        marks={
          grips.length + ghosts.length === 0
            ? undefined
            : (space) => (
                <>
                  <Ghost balloons={ghosts} space={space} />
                  {grips.map((grip, i) => (
                    <Mark key={i} {...{ grip, space }} />
                  ))}
                </>
              )
        }
        grips={
          grips.length === 0
            ? undefined
            : (space) =>
                grips.map((grip, i) => <GripArea key={i} {...{ grip, space }} onDrag={(mm) => onGrip?.(i, mm)} />)
        }
      />
      {ghost ? <GhostNote onAway={onNoGhost} /> : null}
    </View>
  );
}

function ghostOf({ xMm, yMm, zMm, widthMm, outwards }: ColumnBalloon, standMm: number): GhostBalloon {
  const out = outwards === null ? null : ([Math.cos(outwards), Math.sin(outwards), 0] as const);
  return { at: [xMm, yMm, standMm + zMm], widthMm, out };
}

/** So far beside the outline a grip stands, px. */
const GRIP_OUT_PX = 14;

interface GripProps {
  grip: Grip;
  space: SpaceView;
}

const placeOf = ({ grip: { highMm, outMm }, space }: GripProps) =>
  space.project(plus([0, 0, highMm], space.right, outMm));

function Mark(props: GripProps) {
  const palette = usePalette();
  const { x, y } = placeOf(props);
  return (
    <G>
      <Line x1={x} x2={x + GRIP_OUT_PX} y1={y} y2={y} stroke={palette.pine} strokeWidth={1.5} />
      <Path d={`M${x + GRIP_OUT_PX - 6} ${y}l6 -7l6 7l-6 7Z`} fill={palette.pine} />
    </G>
  );
}

function GripArea({ onDrag, ...props }: GripProps & { onDrag: (outMm: number) => void }) {
  const { x, y, scale } = placeOf(props);
  const place = {
    left: x + GRIP_OUT_PX - GRIP_PX / 2,
    top: y - GRIP_PX / 2,
    width: GRIP_PX,
    height: GRIP_PX,
  };
  return <DragGrip place={place} way="aside" mm={props.grip.outMm} scale={scale} onDrag={onDrag} />;
}
