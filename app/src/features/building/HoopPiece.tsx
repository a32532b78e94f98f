import { sideOfBalls, type Box } from '@leggero/core/building';
import { useCallback, useMemo, useState } from 'react';
import { View } from 'react-native';

import { balloonsIn, type ColumnBalloon } from '@/parts/piece/colouring';
import { ExactCard } from '@/parts/piece/ExactCard';
import { PieceLayout } from '@/parts/piece/PieceLayout';
import type { ShownPiece } from '@/parts/piece/shownPiece';
import type { TiedBalloon } from '@/parts/piece/tied';
import type { Holds } from '@/parts/piece/tiedScene';
import { usePiece } from '@/parts/piece/usePiece';
import { viewHoop, type HoopDesign, type HoopView } from '@/parts/piece/viewHoop';
import { Words } from '@/ui/Words';
import { coloursText, tiedListText } from '@/wording/building';
import { clusterStepText, hoopProblemText, hoopSteps, hoopText } from '@/wording/hoop';
import { counted } from '@/wording/trade';

import { BaseCard } from './BaseCard';
import { boxOf } from '@/parts/piece/boxOf';
import { ColourCards, namesOf } from './ColourCards';
import { CrescentCards, HoopFields } from './HoopFields';
import { OrderCard } from '@/parts/piece/OrderCard';
import { RoomNotes } from '@/parts/piece/RoomNotes';
import { hoopHolds } from './hoopHolds';
import { simulatedRow } from './simulated';
import { TiedPicture } from '@/parts/piece/TiedPicture';
import { rowOf, useGhost, type SimulatedRows } from './useGhost';

/** A hoop with crescents: where each begins and ends, in widths and in strokes, what stays bare, and its sign. */
export function HoopPiece(shown: ShownPiece<HoopDesign>) {
  const { piece, basis } = shown;
  const { design, change, view, problem, wrong } = usePiece(shown, viewHoop, hoopProblemText);
  const [tapped, setTapped] = useState<ColumnBalloon | null>(null);
  const simulated = useMemo(() => view && simulatedRows(view), [view]);
  const { seen, exact } = useGhost(view?.balloons, simulated, basis);
  const { text } = basis.lengths;
  const nameOf = namesOf(design, basis);
  const holdsOf = useCallback((): Holds => (view ? hoopHolds(design, view) : NOTHING), [design, view]);
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
                form="hoop"
                label={pictureText(view, design, text)}
                view={view}
                holdsOf={holdsOf}
                each="cluster"
                basis={basis}
                stepText={(step) => stepText(view, step, nameOf, text)}
                chosen={tapped?.key ?? null}
                onTap={setTapped}
                {...seen}
              />
              <View role="status">
                <Words look="strong">{`${text(view.highMm)} high, ${counted(clustersIn(view), 'cluster')}`}</Words>
                <Words look="quiet">{hoopText(view.plan, view.wraps, text)}</Words>
              </View>
              <RoomNotes form="hoop" box={hoopBox(design, view)} topMm={view.highMm} basis={basis} />
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
              <ExactCard {...exact!} copies={piece.copies} basis={basis} />
            </>
          ) : null}
        </ColourCards>
      }
    />
  );
}

const NOTHING: Holds = { tubes: [], discs: [] };

/** Without its stand and what lies at its foot; where its balloons are few the hoop itself reaches farther. */
function hoopBox({ hoopMm }: HoopDesign, { balloons, plan }: HoopView): Box {
  const { wideMm, deepMm, highMm } = boxOf(balloons.filter(({ layer }) => layer < plan.clusters.length));
  return { wideMm: Math.max(wideMm, hoopMm), deepMm, highMm: Math.max(highMm, hoopMm) };
}

const clustersIn = ({ map }: HoopView): number => map.length;

/** Its longest crescent, which shows what is off before any other: built from its centre outwards. */
function simulatedRows({ plan: { crescents, clusters }, balloons }: HoopView): SimulatedRows {
  const longest = crescents.reduce((far, each, i) => (each.arcMm > crescents[far]!.arcMm ? i : far), 0);
  const first = clusters.findIndex(({ crescent }) => crescent === longest);
  const own = clusters.filter(({ crescent }) => crescent === longest);
  const layerOf = ({ layer }: TiedBalloon) => (clusters[layer]?.crescent === longest ? layer - first : -1);
  return {
    piece: simulatedRow(crescents[longest]!.layers),
    rows: [
      rowOf(
        balloons,
        own.findIndex(({ place }) => place === 0),
        layerOf,
      ),
    ],
  };
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
