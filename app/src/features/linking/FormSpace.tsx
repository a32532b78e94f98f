import type { PiecePart } from '@leggero/contract';
import type { SizeSpread } from '@leggero/core';
import type { Form, RingGap, SoftForm, Sphere } from '@leggero/core/linking';
import { useCallback, useMemo } from 'react';
import { Line } from 'react-native-svg';

import { formScene, offScene } from '@/parts/piece/scenes';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { useOutcomes } from '@/parts/piece/useOutcomes';
import { BuiltPicture } from '@/parts/space/BuiltPicture';
import type { SceneBalloon, SceneDisc, SceneTube } from '@/parts/space/scene';
import type { Camera, View } from '@/parts/space/view';
import { usePalette } from '@/ui/theme';
import { layerTitle } from '@/wording/pieces';
import { stepHowText } from '@/wording/stepHow';
import { counted } from '@/wording/trade';

interface FormSpaceProps {
  label: string;
  spheres: readonly Sphere[];
  form: Pick<Form, 'layers' | 'ties'>;
  kind: Parameters<typeof layerTitle>[1];
  partOf: (key: string) => PiecePart;
  basis: PieceBasis;
  first: Camera;
  height: number;
  /** Which balloons stand out, and the one that is off its size, by their places. */
  chosen: readonly number[];
  wrong: number | null;
  gap: RingGap | null;
  handle: SceneTube | null;
  /** All of it laid anew with every balloon as it came out; else each keeps its place. */
  laidAnew?: ((spread: SizeSpread, seed: number) => Sphere[]) | undefined;
  /** As it comes to rest on soft bodies, worked out once it is looked at; and that in words. */
  rest?: (() => SoftForm) | null;
  restText?: (rest: SoftForm) => string;
  /** Something round that the ring goes with. */
  thing?: SceneDisc | null;
  onTap: (sphere: number) => void;
}

/** Each balloon stays where it belongs: no figure of the whole follows. */
const NOTHING_SAID = () => null;

/** Linking work that closes on itself, in space. */
export function FormSpace(props: FormSpaceProps) {
  const { spheres, form, kind, partOf, basis, chosen, wrong, gap, handle, thing = null, ...more } = props;
  const { laidAnew, rest = null, restText, onTap, ...picture } = more;
  const { models } = basis.knowledge;
  const sceneOf = useCallback(
    (placed: readonly Sphere[]) =>
      formScene(placed, form, partOf, models, { tubes: handle ? [handle] : [], discs: thing ? [thing] : [] }),
    [form, partOf, models, handle, thing],
  );
  const scene = useMemo(() => sceneOf(spheres), [sceneOf, spheres]);
  const made = useCallback(
    (spread: SizeSpread, seed: number) => (laidAnew ? sceneOf(laidAnew(spread, seed)) : offScene(scene, spread, seed)),
    [laidAnew, sceneOf, scene],
  );
  const inHands = useOutcomes(made, NOTHING_SAID);
  const outcomes = useMemo(() => {
    if (!rest || !restText) return inHands;
    const always = { value: 'rest', title: 'At rest', always: true, text: () => restText(rest()) };
    return [{ ...always, scene: () => sceneOf(rest().spheres) }, ...inHands];
  }, [rest, restText, inHands, sceneOf]);
  const outlineOf = useCallback(
    (_: SceneBalloon, i: number) =>
      i === wrong ? ('wrong' as const) : chosen.includes(i) ? ('chosen' as const) : ('none' as const),
    [wrong, chosen],
  );
  return (
    <BuiltPicture
      {...picture}
      scene={scene}
      outcomes={outcomes}
      stepText={(step, steps) => {
        const own = scene.balloons.filter((balloon) => balloon.step === step);
        const keys = [...new Set(own.map(({ key }) => layerTitle(key, kind).toLowerCase()))].join(', ');
        return `Step ${step + 1} of ${steps}: ${counted(own.length, 'balloon')}, ${keys}`;
      }}
      howText={(step, steps) => stepHowText(kind, step, steps)}
      allText={(steps) => (steps === 1 ? counted(spheres.length, 'balloon') : `All ${counted(steps, 'step')}`)}
      outlineOf={outlineOf}
      onTap={onTap}
      marks={gap ? (view) => <Gap gap={gap} view={view} /> : undefined}
    />
  );
}

function Gap({ gap, view }: { gap: RingGap; view: View }) {
  const palette = usePalette();
  const [from, to] = [gap.from, gap.to].map(({ xMm, yMm, zMm }) => view.project([xMm, yMm, zMm]));
  return (
    <Line x1={from!.x} y1={from!.y} x2={to!.x} y2={to!.y} stroke={palette.out} strokeWidth={4} strokeLinecap="round" />
  );
}
