import type { PieceForm, PiecePart } from '@leggero/contract';
import type { PieceSpread } from '@leggero/core/building';
import type { SizeSpread } from '@leggero/core';
import { useCallback, useMemo } from 'react';
import { View } from 'react-native';

import { onlyOutline, sizeOutline } from './sizeOutline';
import { offScene } from './scenes';
import { tiedScene, type Holds } from './tiedScene';
import type { Coloured } from './colouring';
import type { PieceBasis } from './useBasis';
import { useOutcomes } from './useOutcomes';
import type { TiedBalloon } from './tied';
import { BuiltPicture } from '../space/BuiltPicture';
import { MoveGrip, MoveMark } from '../space/MoveGrip';
import type { Scene, SceneRoom, Vec } from '../space/scene';
import { heightFor, type Camera } from '../space/view';
import { useShown } from '@/ui/useShown';
import { stepHowText } from '@/wording/stepHow';
import { counted } from '@/wording/trade';

import { Ghost, GhostNote, type GhostBalloon } from './Ghost';

interface TiedPictureProps<Balloon extends TiedBalloon> {
  label: string;
  view: Pick<Coloured, 'sizes'> & { balloons: Balloon[] };
  /** What holds balloons that lie so. */
  holdsOf: (balloons: readonly TiedBalloon[]) => Holds;
  ceiling?: SceneRoom['ceiling'] | undefined;
  basis: PieceBasis;
  /** The same laid anew where that can be told; else each balloon keeps its place. */
  laidAnew?: ((spread: PieceSpread, seed: number) => TiedBalloon[]) | undefined;
  /** Of the piece as it came out once: "it is 6 ft long". */
  said?: ((scene: Scene) => string | null) | undefined;
  stepText: (step: number) => string;
  form: PieceForm;
  /** What is put on with a step: a duplet, a cluster. */
  each: string;
  chosen: string | null;
  /** The only balloon that stands out, where one is meant and not its size. */
  only?: Balloon | undefined;
  onTap: (balloon: Balloon) => void;
  /** What is meant can be pulled elsewhere: by how far, from where the hand took hold of it. */
  onMove?: ((by: Vec, how: { first: boolean }) => void) | undefined;
  /** What is meant was tapped once more: it is let go. */
  onLetGo?: (() => void) | undefined;
  /** As some of it came out once: seen over it. */
  ghosts: readonly TiedBalloon[];
  onNoGhost: () => void;
}

const MOST_PX = 460;
const FIRST: Camera = { turn: 0.2, tilt: 0.07, zoom: 1, push: [0, 0] };
const nothing = () => null;

function ghostOf({ xMm, yMm, zMm, widthMm, neck: [x, y, z] }: TiedBalloon): GhostBalloon {
  return { at: [xMm, yMm, zMm], widthMm, out: [-x, -y, -z] };
}

/** Balloons that are tied along something, in space beside a person: a tap asks for a balloon's target. */
export function TiedPicture<Balloon extends TiedBalloon>(props: TiedPictureProps<Balloon>) {
  const {
    label,
    view,
    holdsOf,
    ceiling = null,
    basis,
    laidAnew,
    said = nothing,
    stepText,
    form,
    each,
    chosen,
    only,
    onTap,
    onMove,
    onLetGo = nothing,
    ghosts,
    onNoGhost,
  } = props;
  const { models } = basis.knowledge;
  const { unit } = basis.lengths;
  const { balloons, sizes } = view;
  const sceneOf = useCallback(
    (placed: readonly TiedBalloon[]) => {
      const parts = new Map<string, PiecePart>(sizes.map(({ key, part }) => [key, part]));
      return tiedScene(placed, ({ key }) => parts.get(key)!, models, { holds: holdsOf(placed), ceiling, unit });
    },
    [sizes, models, holdsOf, ceiling, unit],
  );
  const scene = useMemo(() => sceneOf(balloons), [sceneOf, balloons]);
  const made = useMemo(
    () => (spread: SizeSpread, seed: number) =>
      laidAnew ? sceneOf(laidAnew(spread, seed)) : offScene(scene, spread, seed),
    [laidAnew, sceneOf, scene],
  );
  const outcomes = useOutcomes(made, said);
  const outlineOf = useMemo(
    () => (only ? onlyOutline(balloons.indexOf(only)) : sizeOutline(chosen)),
    [only, balloons, chosen],
  );
  const shown = useMemo(() => ghosts.map(ghostOf), [ghosts]);
  const grip = only && onMove ? ([only.xMm, only.yMm, only.zMm] as const) : null;
  const place = useShown(shown.length > 0);
  return (
    <View ref={place} className="gap-2">
      <BuiltPicture
        label={label}
        height={(width) => heightFor(scene, FIRST.tilt, width, MOST_PX)}
        scene={scene}
        outcomes={outcomes}
        first={FIRST}
        stepText={stepText}
        howText={(step, steps) => stepHowText(form, step, steps)}
        allText={(steps) => `All ${counted(steps, each)}`}
        outlineOf={outlineOf}
        onTap={(i) => onTap(balloons[i]!)}
        marks={
          shown.length > 0 || grip
            ? (space) => (
                <>
                  <Ghost balloons={shown} space={space} />
                  {grip ? <MoveMark at={grip} space={space} /> : null}
                </>
              )
            : undefined
        }
        grips={
          grip && onMove ? (space) => <MoveGrip at={grip} space={space} onMove={onMove} onTap={onLetGo} /> : undefined
        }
      />
      {shown.length > 0 ? <GhostNote onAway={onNoGhost} /> : null}
    </View>
  );
}
