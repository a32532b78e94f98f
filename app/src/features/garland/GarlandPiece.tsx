import type { DesignOf } from '@leggero/contract';
import type { Box, PieceSpread } from '@leggero/core/building';
import type { Place } from '@leggero/core/garland';
import { plus } from '@leggero/core/space';
import { useCallback, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';

import { Cautions } from '@/parts/Cautions';
import { boxOf } from '@/parts/piece/boxOf';
import { CheckCard } from '@/parts/piece/CheckCard';
import type { InHollows } from '@/parts/piece/decorators';
import { garlandAnew } from '@/parts/piece/garlandAnew';
import { nameOf, wholeGarland } from '@/parts/piece/garlandPlan';
import { suppliesOf } from '@/parts/piece/garlandSupplies';
import { OrderCard } from '@/parts/piece/OrderCard';
import type { PackedWithGaps } from '@/parts/piece/packing';
import { PieceLayout } from '@/parts/piece/PieceLayout';
import { RoomNotes } from '@/parts/piece/RoomNotes';
import type { ShownPiece } from '@/parts/piece/shownPiece';
import { SizesCard } from '@/parts/piece/SizesCard';
import { tiedAlong } from '@/parts/piece/softness';
import { TargetCard } from '@/parts/piece/TargetCard';
import type { TiedBalloon } from '@/parts/piece/tied';
import type { Holds } from '@/parts/piece/tiedScene';
import { TiedPicture } from '@/parts/piece/TiedPicture';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { useInHollows, useKeptApart, usePacked } from '@/parts/piece/usePacked';
import { trimmingShapes } from '@/parts/piece/trimmingShapes';
import { usePiece } from '@/parts/piece/usePiece';
import { colouredGarland, viewGarland, type GarlandBalloon, type GarlandView } from '@/parts/piece/viewGarland';
import { useSoftness } from '@/parts/piece/useSoftness';
import { Button } from '@/ui/Button';
import { Progress } from '@/ui/Progress';
import { Words } from '@/ui/Words';
import { garlandCounts, garlandProblemText, garlandStepText, garlandSteps, stripText } from '@/wording/garland';

import { lineAndWall } from './behind';
import { ColourCard } from './ColourCard';
import { Covers } from './Covers';
import { DecoratorCard } from './DecoratorCard';
import { FinishedCard } from './FinishedCard';
import { FixingsCard } from './FixingsCard';
import { FullnessCard } from './FullnessCard';
import { GarlandFields } from './GarlandFields';
import { HandCard } from './HandCard';
import { onHooks } from './hooks';
import { KindCards } from './KindCards';
import { MakingCard } from './MakingCard';
import { missingOf } from './missing';
import { movedOf, movedTo } from './moved';
import { SpreadCard } from './SpreadCard';
import { WallCard } from './WallCard';

/** An organic garland: what is tied along a path and over that, packed in space, with how long it comes out. */
export function GarlandPiece(shown: ShownPiece<DesignOf<'garland'>>) {
  const { piece, basis } = shown;
  const { design: stored, change, view, problem, wrong } = usePiece(shown, viewGarland, garlandProblemText);
  const design = wholeGarland(stored);
  const [chosen, setChosen] = useState<string | null>(null);
  const [tapped, setTapped] = useState<string | null>(null);
  // Where a cluster lay when the hand took hold of it.
  const from = useRef<Place>([0, 0, 0]);
  const { text } = basis.lengths;
  const softness = useSoftness();
  const { last, answer, share, stopped, stop, again } = usePacked(view, softness.trade);
  const packed = last?.ok ? last.value : null;
  const hollows = useInHollows(design, packed, { walls: view?.walls ?? NONE, trade: softness.trade });
  const { balloons, prints } = useColoured(stored, view, { packed, put: hollows.put }, basis);
  const laidAnew = useCallback(
    (spread: PieceSpread, seed: number) =>
      packed && view && softness.trade
        ? garlandAnew(packed, balloons, { ...view, trade: softness.trade }, { spread, seed })
        : balloons,
    [packed, balloons, view, softness.trade],
  );
  const wall = stored.wall ?? null;
  const { trimmings } = hollows;
  const holdsOf = useCallback((): Holds => {
    const { tubes, discs } = lineAndWall(view, wall);
    const drawn = trimmings.map(trimmingShapes);
    const shapes = drawn.flatMap((each) => each.shapes);
    return { tubes: [...tubes, ...drawn.flatMap((each) => each.tubes)], discs, shapes };
  }, [view, wall, trimmings]);
  const size = view?.sizes.find(({ key }) => key === chosen) ?? view?.sizes[0];
  const under = balloons.find(({ plan }) => plan !== null && nameOf(plan) === tapped);
  const made = view && { clusters: view.clusters.length, strip: view.strip, over: view.over };
  const points = view?.points ?? NONE;
  const hooks = onHooks(view, design, basis);
  const refused = answer && answer !== 'failed' && !answer.ok ? answer.problem : null;
  const stripSaid =
    design.strip && view?.left && packed ? stripText({ ...design.strip, ...view.left }, packed.pathMm, text) : null;
  return (
    <PieceLayout
      piece={piece}
      subtitle={view && made ? garlandCounts(made, view.count) : 'cannot be worked out'}
      first={
        <>
          {view && made ? (
            <>
              <TiedPicture
                form="garland"
                label={`A garland of ${garlandCounts(made, view.count)}${packed ? `, ${text(packed.lengthMm)} long` : ''}`}
                view={{ balloons, sizes: view.sizes }}
                holdsOf={holdsOf}
                each="step"
                basis={basis}
                stepText={(step) =>
                  garlandStepText(step, made, balloons.filter((balloon) => balloon.step === step).length)
                }
                chosen={chosen}
                only={under}
                onTap={({ key, plan }) => {
                  setChosen(key);
                  setTapped(plan && nameOf(plan));
                }}
                laidAnew={laidAnew}
                onLetGo={() => setTapped(null)}
                onMove={(by, { first }) => {
                  const plan = under?.plan;
                  if (!plan) return;
                  if (first) from.current = movedOf(design, plan);
                  else change(movedTo(design, plan, plus(from.current, by)));
                }}
                ghosts={NONE}
                onNoGhost={nothing}
              />
              {packed ? (
                <Covers
                  {...{ design, packed, softness, change, text }}
                  deepMm={balloons.length > 0 ? boxOf(balloons).deepMm : 0}
                  ruleMm={answer ? view.ruleMm : undefined}
                  settled={answer !== null}
                />
              ) : null}
              <Packing {...{ packing: answer === null, failed: answer === 'failed', share, stopped, stop, again }} />
              <HandCard design={design} view={view} basis={basis} tapped={under?.plan ?? null} change={change} />
              <RoomNotes
                form="garland"
                box={balloons.length > 0 ? carriedBox(balloons) : null}
                topMm={Math.max(0, ...balloons.map(({ zMm, widthMm }) => zMm + widthMm / 2))}
                basis={basis}
              />
            </>
          ) : null}
          {refused ? (
            <Words look="error" role="alert">
              {garlandProblemText(refused, text)}
            </Words>
          ) : null}
          {problem && !SHOWN.test(problem.field ?? '') ? (
            <Words look="error" role="alert">
              {garlandProblemText(problem, text)}
            </Words>
          ) : null}
          <GarlandFields design={design} points={points} basis={basis} wrong={wrong} change={change} />
          <WallCard {...{ design, points, balloons, basis, wrong, change }} hung={hooks.hung} />
          <FullnessCard design={design} change={change} />
        </>
      }
      second={
        <>
          {size ? <TargetCard piece={piece} size={size} basis={basis} shape="classic" /> : null}
          <MakingCard
            {...{ design, basis, wrong, change }}
            pathMm={packed?.pathMm ?? design.path.wideMm}
            said={stripSaid}
            supplies={view && suppliesOf(design, view, basis)}
          />
          <ColourCard {...{ design, basis, prints, wrong, change }} missing={missingOf(design, view, basis)} />
          {design.strip && view?.over.length === 0 ? null : (
            <KindCards design={design} basis={basis} wrong={wrong} change={change} />
          )}
          {view ? <SpreadCard {...{ design, basis, change }} clusters={view.clusters} trade={softness.trade} /> : null}
          {view ? <FixingsCard {...{ design, text, change }} {...hooks} kg={view.kg} /> : null}
          <DecoratorCard {...{ design, packed, hollows, basis, change }} />
          {view ? (
            <>
              <SizesCard
                piece={piece}
                sizes={view.sizes}
                basis={basis}
                chosen={size?.key ?? null}
                onChoose={(key) => {
                  setChosen(key);
                  setTapped(null);
                }}
              />
              {design.strip ? null : (
                <FinishedCard softness={softness} made={tiedAlong(design, basis)} lengths={basis.lengths} />
              )}
              <OrderCard form="garland" steps={garlandSteps(view.clusters.length, design)} />
              <CheckCard piece={piece} sizes={view.sizes} basis={basis} />
            </>
          ) : null}
          <Cautions names={['heights', 'latex', 'choking']} />
        </>
      }
    />
  );
}

/** A garland in its colours, as it was packed last; nothing before. */
function useColoured(
  design: DesignOf<'garland'>,
  view: GarlandView | null,
  { packed, put }: { packed: PackedWithGaps | null; put: InHollows['put'] },
  basis: PieceBasis,
): { balloons: GarlandBalloon[]; prints: number } {
  const apart = useKeptApart(design, view, packed);
  const balloons = useMemo(
    () => (view && packed ? colouredGarland(design, view, packed, { apart, put }, basis) : []),
    [design, view, packed, apart, put, basis],
  );
  return { balloons, prints: apart?.prints ?? 0 };
}

/** It bends: what is carried lengthwise through a door is as wide and as high as it is thick. */
function carriedBox(balloons: readonly TiedBalloon[]): Box {
  const { deepMm } = boxOf(balloons);
  return { wideMm: deepMm, deepMm, highMm: deepMm };
}

const NONE: never[] = [];
const nothing = () => {};
/** Fields that show their own problem. */
const SHOWN = /^(path\.|clusters$|kinds\.|holes$|pitchMm$|first$|steps|colours\.)/;

interface PackingProps {
  packing: boolean;
  failed: boolean;
  share: number;
  stopped: boolean;
  stop: () => void;
  again: () => void;
}

/** How far a garland is packed that is not yet as its figures say. */
function Packing({ packing, failed, share, stopped, stop, again }: PackingProps) {
  if (failed) return <Words look="error">It could not be packed here. Load the page again.</Words>;
  if (stopped) return <Button title="Pack it after all" onPress={again} />;
  if (!packing) return null;
  return (
    <View className="gap-2">
      <Progress label="Packing" share={share} />
      <Button title="Stop" onPress={stop} />
    </View>
  );
}
