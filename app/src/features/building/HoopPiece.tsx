import { sideOfBalls, type SimulatedPiece } from '@leggero/core/building';
import { useCallback, useState } from 'react';
import { View } from 'react-native';

import { balloonsIn, type ColumnBalloon } from '@/parts/piece/colouring';
import { ExactCard } from '@/parts/piece/ExactCard';
import { PieceLayout } from '@/parts/piece/PieceLayout';
import type { ShownPiece } from '@/parts/piece/shownPiece';
import type { Holds } from '@/parts/piece/tiedScene';
import { usePiece } from '@/parts/piece/usePiece';
import { viewHoop, type HoopDesign, type HoopView } from '@/parts/piece/viewHoop';
import { Words } from '@/ui/Words';
import { coloursText, tiedListText } from '@/wording/building';
import { clusterStepText, hoopProblemText, hoopSteps, hoopText } from '@/wording/hoop';
import { counted } from '@/wording/trade';

import { BaseCard } from './BaseCard';
import { ColourCards, namesOf } from './ColourCards';
import { CrescentCards, HoopFields } from './HoopFields';
import { OrderCard } from './OrderCard';
import { hoopHolds } from './hoopHolds';
import { simulatedRow } from './simulated';
import { TiedPicture } from './TiedPicture';

/** A hoop with crescents: where each begins and ends, in widths and in strokes, what stays bare, and its sign. */
export function HoopPiece(shown: ShownPiece<HoopDesign>) {
  const { piece, basis } = shown;
  const { design, change, view, problem, wrong } = usePiece(shown, viewHoop, hoopProblemText);
  const [tapped, setTapped] = useState<ColumnBalloon | null>(null);
  const { text } = basis.lengths;
  const nameOf = namesOf(design, basis);
  const holdsOf = useCallback((): Holds => (view ? hoopHolds(design, view) : NOTHING), [design, view]);
  const ceilingMm = basis.event?.ceilingMm ?? null;
  const said = problem && !problem.field?.startsWith('crescents') && problem.field !== 'hoopMm';
  return (
    <PieceLayout
      piece={piece}
      subtitle={
        view
          ? `${counted(clustersIn(view), 'cluster')}, ${counted(balloonsIn(view), 'balloon')}`
          : 'cannot be worked out'
      }
      first={
        <>
          {view ? (
            <>
              <TiedPicture
                label={pictureText(view, design, text)}
                view={view}
                holdsOf={holdsOf}
                each="cluster"
                basis={basis}
                stepText={(step) => stepText(view, step, nameOf, text)}
                chosen={tapped?.key ?? null}
                onTap={setTapped}
              />
              <View role="status">
                <Words look="strong">{`${text(view.highMm)} high, ${counted(clustersIn(view), 'cluster')}`}</Words>
                <Words look="quiet">{hoopText(view.plan, view.wraps, text)}</Words>
              </View>
              {ceilingMm !== null && view.highMm > ceilingMm ? (
                <Words look="error" role="alert">
                  {`${text(view.highMm - ceilingMm)} taller than the ceiling of ${text(ceilingMm)}.`}
                </Words>
              ) : null}
            </>
          ) : null}
          {said ? (
            <Words look="error" role="alert">
              {hoopProblemText(problem, text)}
            </Words>
          ) : null}
          <HoopFields design={design} view={view} basis={basis} wrong={wrong} change={change} />
          <CrescentCards design={design} view={view} basis={basis} wrong={wrong} change={change} />
        </>
      }
      second={
        <ColourCards
          piece={piece}
          design={design}
          basis={basis}
          view={view}
          tapped={tapped}
          onTap={setTapped}
          wrong={wrong}
          change={change}
        >
          {view ? (
            <>
              <OrderCard
                form="hoop"
                steps={hoopSteps(view.plan, tiedListText(view.tying, nameOf), {
                  foot: design.foot?.clusters ?? 0,
                  sign: design.sign !== null,
                })}
              />
              <BaseCard design={design} side={sideOfBalls(view.balloons)} basis={basis} change={change} />
              <ExactCard piece={largestOf(view)} along="Length" copies={piece.copies} basis={basis} />
            </>
          ) : null}
        </ColourCards>
      }
    />
  );
}

const NOTHING: Holds = { tubes: [], discs: [] };

const clustersIn = ({ map }: HoopView): number => map.length;

/** Its longest crescent, which shows what is off before any other. */
function largestOf({ plan: { crescents } }: HoopView): SimulatedPiece {
  const { layers } = crescents.reduce((longest, each) => (each.arcMm > longest.arcMm ? each : longest));
  return simulatedRow(layers);
}

function pictureText(view: HoopView, { hoopMm, crescents }: HoopDesign, text: (mm: number) => string): string {
  return `A hoop ${text(hoopMm)} across with ${counted(crescents.length, 'crescent')}: ${counted(balloonsIn(view), 'balloon')}`;
}

/** What is put on with a step: clusters of crescents first, then those at the foot. */
function stepText(
  { balloons, plan, map }: HoopView,
  step: number,
  nameOf: (colour: number) => string,
  text: (mm: number) => string,
): string {
  const first = balloons.find((balloon) => balloon.step === step);
  if (!first) return '';
  const cluster = plan.clusters[first.layer];
  const colours = coloursText(map[first.layer]!.map(nameOf));
  return cluster ? clusterStepText(cluster, colours, text) : `At the foot, ${text(first.widthMm)}: ${colours}`;
}
