import type { Box } from '@leggero/core/building';
import { useCallback, useMemo, useState } from 'react';
import { View } from 'react-native';

import { Cautions } from '@/parts/Cautions';
import { boxOf } from '@/parts/piece/boxOf';
import { CheckCard } from '@/parts/piece/CheckCard';
import { LINE_MM, STEEL_HEX } from '@/parts/piece/holds';
import { OrderCard } from '@/parts/piece/OrderCard';
import { PieceLayout } from '@/parts/piece/PieceLayout';
import { RoomNotes } from '@/parts/piece/RoomNotes';
import type { ShownPiece } from '@/parts/piece/shownPiece';
import { SizesCard } from '@/parts/piece/SizesCard';
import { TargetCard } from '@/parts/piece/TargetCard';
import type { TiedBalloon } from '@/parts/piece/tied';
import type { Holds } from '@/parts/piece/tiedScene';
import { TiedPicture } from '@/parts/piece/TiedPicture';
import { usePacked } from '@/parts/piece/usePacked';
import { usePiece } from '@/parts/piece/usePiece';
import { garlandBalloons, viewGarland, type GarlandDesign, type GarlandView } from '@/parts/piece/viewGarland';
import { Button } from '@/ui/Button';
import { Progress } from '@/ui/Progress';
import { Words } from '@/ui/Words';
import {
  clusterStepText,
  coverText,
  fillingClusters,
  garlandProblemText,
  garlandSteps,
  ruleText,
} from '@/wording/garland';
import { counted } from '@/wording/trade';

import { DecoratorCard } from './DecoratorCard';
import { GarlandFields } from './GarlandFields';
import { KindCards } from './KindCards';

/** An organic garland: clusters in a rhythm along a path, packed in space, with how long it comes out. */
export function GarlandPiece(shown: ShownPiece<GarlandDesign>) {
  const { piece, basis } = shown;
  const { design, change, view, problem, wrong } = usePiece(shown, viewGarland, garlandProblemText);
  const [chosen, setChosen] = useState<string | null>(null);
  const { text } = basis.lengths;
  const { last, answer, share, stopped, stop, again } = usePacked(view, design.seed);
  const packed = last?.ok ? last.value : null;
  const { kinds, decorators } = design;
  const sizes = view?.sizes;
  const balloons = useMemo(() => {
    // What was packed last may have sizes that there are no more of until it is packed anew.
    const known = new Set(sizes?.map(({ key }) => key));
    const placed = packed ? garlandBalloons({ kinds, decorators }, packed) : [];
    return placed.filter(({ key }) => known.has(key));
  }, [packed, kinds, decorators, sizes]);
  const holdsOf = useCallback((): Holds => holdsAlong(view), [view]);
  const size = view?.sizes.find(({ key }) => key === chosen) ?? view?.sizes[0];
  // Until it is packed anew, what is said is of the path and the clusters that were packed.
  const covered = view && packed && { ...packed, clusters: packed.knotsMm.length };
  const filling = covered && answer ? fillingClusters(covered) : null;
  const refused = answer && answer !== 'failed' && !answer.ok ? answer.problem : null;
  return (
    <PieceLayout
      piece={piece}
      subtitle={
        view
          ? `${counted(view.clusters.length, 'cluster')}, ${counted(view.balloons, 'balloon')}`
          : 'cannot be worked out'
      }
      first={
        <>
          {view ? (
            <>
              <TiedPicture
                form="garland"
                label={`A garland of ${counted(view.clusters.length, 'cluster')}${covered ? `, ${text(covered.lengthMm)} long` : ''}`}
                view={{ balloons, sizes: view.sizes }}
                holdsOf={holdsOf}
                each={decorators ? 'step' : 'cluster'}
                basis={basis}
                stepText={(step) =>
                  clusterStepText(
                    step,
                    view.clusters.length,
                    balloons.filter((balloon) => balloon.step === step).length,
                  )
                }
                chosen={chosen}
                onTap={({ key }) => setChosen(key)}
                ghosts={NONE}
                onNoGhost={nothing}
              />
              {covered ? (
                <View role="status">
                  <Words look="strong">{`${text(covered.lengthMm)} long: ${counted(covered.clusters, 'cluster')}`}</Words>
                  <Words look="quiet">{coverText(covered, text)}</Words>
                  {answer ? <Words look="quiet">{ruleText(view.ruleMm, covered.lengthMm, text)}</Words> : null}
                </View>
              ) : null}
              <Packing {...{ packing: answer === null, failed: answer === 'failed', share, stopped, stop, again }} />
              {filling === null ? null : (
                <Button
                  title={`Take ${counted(filling, 'cluster')}: they fill the path`}
                  onPress={() => change({ clusters: filling })}
                />
              )}
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
          <GarlandFields design={design} basis={basis} wrong={wrong} change={change} />
        </>
      }
      second={
        <>
          {size ? <TargetCard piece={piece} size={size} basis={basis} shape="classic" /> : null}
          <KindCards design={design} basis={basis} wrong={wrong} change={change} />
          <DecoratorCard design={design} packed={packed} basis={basis} change={change} />
          {view ? (
            <>
              <SizesCard
                piece={piece}
                sizes={view.sizes}
                basis={basis}
                chosen={size?.key ?? null}
                onChoose={setChosen}
              />
              <OrderCard form="garland" steps={garlandSteps(view.clusters.length, design.path.kind)} />
              <CheckCard piece={piece} sizes={view.sizes} basis={basis} />
            </>
          ) : null}
          <Cautions names={['heights', 'latex', 'choking']} />
        </>
      }
    />
  );
}

/** It bends: what is carried lengthwise through a door is as wide and as high as it is thick. */
function carriedBox(balloons: readonly TiedBalloon[]): Box {
  const { deepMm } = boxOf(balloons);
  return { wideMm: deepMm, deepMm, highMm: deepMm };
}

const NONE: never[] = [];
const nothing = () => {};
/** Fields that show their own problem. */
const SHOWN = /^(path\.|clusters$|kinds\.)/;

/** The line, the strip or the string that its knots lie along. */
function holdsAlong(view: GarlandView | null): Holds {
  return { tubes: view ? [{ line: view.points, widthMm: LINE_MM, hex: STEEL_HEX }] : [], discs: [] };
}

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
