import { useCallback, useMemo, useState } from 'react';
import { View } from 'react-native';

import { balloonsIn, type ColumnBalloon } from '@/parts/piece/colouring';
import { ExactCard } from '@/parts/piece/ExactCard';
import { STEEL_HEX } from '@/parts/piece/holds';
import { PieceLayout } from '@/parts/piece/PieceLayout';
import type { ShownPiece } from '@/parts/piece/shownPiece';
import type { Holds } from '@/parts/piece/tiedScene';
import { usePiece } from '@/parts/piece/usePiece';
import { viewPlinth, type PlinthDesign, type PlinthView } from '@/parts/piece/viewPlinth';
import type { SceneTube, Vec } from '@/parts/space/scene';
import { Words } from '@/ui/Words';
import { layerStepText, tiedListText } from '@/wording/building';
import { plinthProblemText, plinthSteps } from '@/wording/plinth';
import { counted } from '@/wording/trade';

import { ColourCards, namesOf } from './ColourCards';
import { BoardCard, PlinthFields, WeightsCard } from './PlinthFields';
import { boxOf } from '@/parts/piece/boxOf';
import { OrderCard } from '@/parts/piece/OrderCard';
import { RoomNotes } from '@/parts/piece/RoomNotes';
import { simulatedRow } from './simulated';
import { TiedPicture } from '@/parts/piece/TiedPicture';
import { rowOf, useGhost, type SimulatedRows } from './useGhost';

/** A plinth: a row of clusters with small ones between them, weights at its ends, and figures that stand on it. */
export function PlinthPiece(shown: ShownPiece<PlinthDesign>) {
  const { piece, basis } = shown;
  const { design, change, view, problem, wrong } = usePiece(shown, viewPlinth, plinthProblemText);
  const [tapped, setTapped] = useState<ColumnBalloon | null>(null);
  const simulated = useMemo(() => view && simulatedRows(view), [view]);
  const { laidAnew, seen, exact } = useGhost(view?.balloons, simulated, basis);
  const { text } = basis.lengths;
  const nameOf = namesOf(design, basis);
  const holdsOf = useCallback((): Holds => (view ? plinthHolds(design, view) : NOTHING), [design, view]);
  const said = problem && !FIELDS.has(problem.field ?? '') ? plinthProblemText(problem, text) : null;
  return (
    <PieceLayout
      piece={piece}
      subtitle={
        view
          ? `${counted(view.plan.layers.length, 'cluster')}, ${counted(balloonsIn(view), 'balloon')}`
          : 'cannot be worked out'
      }
      first={
        <>
          {view ? (
            <>
              <TiedPicture
                form="plinth"
                label={`A plinth ${figuresText(view, text)}, with ${counted(design.standing.length, 'figure')}`}
                view={view}
                holdsOf={holdsOf}
                each="cluster"
                basis={basis}
                stepText={(layer) =>
                  layerStepText({
                    ...{ layer, layers: view.plan.layers.length, width: text(view.plan.layers[layer]!.widthMm) },
                    colours: view.map[layer]!.map(nameOf),
                  })
                }
                chosen={tapped?.key ?? null}
                onTap={setTapped}
                laidAnew={laidAnew}
                {...seen}
              />
              <View role="status">
                <Words look="strong">{figuresText(view, text)}</Words>
              </View>
              <RoomNotes form="plinth" box={boxOf(view.balloons)} topMm={topOf(design, view)} basis={basis} />
            </>
          ) : null}
          <PlinthFields design={design} basis={basis} wrong={wrong} change={change} />
          {said ? (
            <Words look="error" role="alert">
              {said}
            </Words>
          ) : null}
          <WeightsCard design={design} view={view} basis={basis} wrong={wrong} change={change} />
          <BoardCard design={design} basis={basis} change={change} />
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
              <OrderCard form="plinth" steps={plinthSteps(view.plan, design, tiedListText(view.tying, nameOf))} />
              <ExactCard {...exact!} copies={piece.copies} basis={basis} />
            </>
          ) : null}
        </ColourCards>
      }
    />
  );
}

const NOTHING: Holds = { tubes: [], discs: [] };
const FIELDS = new Set(['widthMm', 'smallMm', 'standing', 'weightKg', 'pattern.order', 'pattern.every']);
/** The edge of a figure as it is drawn, mm, and its corners. */
const EDGE_MM = 8;
const ROUND = 40;

/** What stands on a plinth, in outlines side by side: figures keep their place. */
function plinthHolds({ standing }: PlinthDesign, { plan: { highMm } }: PlinthView): Holds {
  const wideMm = standing.reduce((sum, each) => sum + each.wideMm, 0);
  const tubes = standing.map((figure, i): SceneTube => {
    const before = standing.slice(0, i).reduce((sum, each) => sum + each.wideMm, 0);
    const middle = before + figure.wideMm / 2 - wideMm / 2;
    const line = Array.from({ length: ROUND + 1 }, (_, at): Vec => {
      const angle = (2 * Math.PI * at) / ROUND;
      const up = highMm + (figure.highMm / 2) * (1 - Math.cos(angle));
      return [middle + (figure.wideMm / 2) * Math.sin(angle), 0, up];
    });
    return { line, widthMm: EDGE_MM, hex: STEEL_HEX };
  });
  return { tubes, discs: [] };
}

/** All its clusters, pushed together from the middle of the row. */
const simulatedRows = ({ plan: { layers }, balloons }: PlinthView): SimulatedRows => ({
  piece: simulatedRow(layers),
  rows: [rowOf(balloons, Math.floor(layers.length / 2))],
});

/** What stands on it with it, mm. */
const topOf = ({ standing }: PlinthDesign, { plan }: PlinthView): number =>
  plan.highMm + Math.max(0, ...standing.map(({ highMm }) => highMm));

/** "2 ft long, 1 ft 6 in high and deep". */
function figuresText({ plan: { longMm, highMm } }: PlinthView, text: (mm: number) => string): string {
  return `${text(longMm)} long, ${text(highMm)} high and deep`;
}
