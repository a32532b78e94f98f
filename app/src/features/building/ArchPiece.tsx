import { sideOfBalls } from '@leggero/core/building';
import { useCallback, useMemo, useState } from 'react';
import { View } from 'react-native';

import { balloonsIn, type ColumnBalloon } from '@/parts/piece/colouring';
import { ExactCard } from '@/parts/piece/ExactCard';
import { STEEL_HEX } from '@/parts/piece/holds';
import { PieceLayout } from '@/parts/piece/PieceLayout';
import type { ShownPiece } from '@/parts/piece/shownPiece';
import type { Holds } from '@/parts/piece/tiedScene';
import { usePiece } from '@/parts/piece/usePiece';
import { viewArch, type ArchDesign, type ArchView } from '@/parts/piece/viewArch';
import type { Vec } from '@/parts/space/scene';
import { Words } from '@/ui/Words';
import { archProblemText, archSteps, archText, bendText } from '@/wording/arch';
import { layersText, layerStepText, tiedListText } from '@/wording/building';
import { counted } from '@/wording/trade';

import { ArchFields } from './ArchFields';
import { BaseCard } from './BaseCard';
import { boxOf } from '@/parts/piece/boxOf';
import { ColourCards, namesOf } from './ColourCards';
import { OrderCard } from '@/parts/piece/OrderCard';
import { RoomNotes } from '@/parts/piece/RoomNotes';
import { simulatedRow } from './simulated';
import { TiedPicture } from '@/parts/piece/TiedPicture';
import { rowOf, useGhost, type SimulatedRows } from './useGhost';

/** An arch of layers, free or on a frame: to its feet and its height, with what its bend asks of its inner side. */
export function ArchPiece(shown: ShownPiece<ArchDesign>) {
  const { piece, basis } = shown;
  const { design, change, view, problem, wrong } = usePiece(shown, viewArch, archProblemText);
  const [tapped, setTapped] = useState<ColumnBalloon | null>(null);
  const simulated = useMemo(() => view && simulatedRows(view), [view]);
  const { laidAnew, seen, exact } = useGhost(view?.balloons, simulated, basis);
  const { text, fine } = basis.lengths;
  const nameOf = namesOf(design, basis);
  const holdsOf = useCallback((): Holds => (view ? archHolds(design, view) : NOTHING), [design, view]);
  const said = problem && !FIELDS.has(problem.field ?? '') ? archProblemText(problem, text) : null;
  return (
    <PieceLayout
      piece={piece}
      subtitle={
        view ? `${counted(view.plan.layers, 'layer')}, ${counted(balloonsIn(view), 'balloon')}` : 'cannot be worked out'
      }
      first={
        <>
          {view ? (
            <>
              <TiedPicture
                form="arch"
                label={`An arch: ${figuresText(view, design, text)}`}
                view={view}
                holdsOf={holdsOf}
                each="layer"
                basis={basis}
                stepText={(layer) =>
                  layerStepText({
                    ...{ layer, layers: view.plan.layers, width: text(view.plan.widthMm) },
                    colours: view.map[layer]!.map(nameOf),
                  })
                }
                chosen={tapped?.key ?? null}
                onTap={setTapped}
                laidAnew={laidAnew}
                {...seen}
              />
              <View role="status">
                <Words look="strong">{figuresText(view, design, text)}</Words>
                <Words look="quiet">{archText(view.plan, design, { text, fine })}</Words>
                <Words look="quiet">{bendText(view.plan, text)}</Words>
              </View>
              <RoomNotes
                form="arch"
                box={boxOf(view.balloons)}
                topMm={view.highMm}
                also={[
                  basis.event?.outdoors && design.shape === 'catenary'
                    ? 'Outdoors always on a frame: a free arch gives way in wind.'
                    : null,
                ]}
                basis={basis}
              />
            </>
          ) : null}
          <ArchFields design={design} basis={basis} wrong={wrong} change={change} />
          {said ? (
            <Words look="error" role="alert">
              {said}
            </Words>
          ) : null}
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
              <OrderCard form="arch" steps={archSteps(view.plan, design, tiedListText(view.tying, nameOf))} />
              <BaseCard design={design} side={sideOfBalls(view.balloons)} feet={2} basis={basis} change={change} />
              <ExactCard {...exact!} copies={piece.copies} basis={basis} />
            </>
          ) : null}
        </ColourCards>
      }
    />
  );
}

const NOTHING: Holds = { tubes: [], discs: [] };
/** A frame's tube, and a line through a free arch, mm (common practice); a plate below each foot. */
const FRAME_MM = 20;
const LINE_MM = 3;
const PLATE_MM = 300;
const FIELDS = new Set(['spanMm', 'highMm', 'layers', 'widthMm', 'pattern.order', 'pattern.every']);

/** The frame, or the line, through the middles of all layers, and a plate below each foot. */
function archHolds({ shape, spanMm, standMm }: ArchDesign, { plan }: ArchView): Holds {
  const feet = [-spanMm / 2, spanMm / 2];
  const line = [
    [feet[0]!, 0, standMm],
    ...plan.places.map(({ xMm, zMm }): Vec => [xMm, 0, standMm + zMm]),
    [feet[1]!, 0, standMm],
  ] as Vec[];
  return {
    tubes: [{ line, widthMm: shape === 'ellipse' ? FRAME_MM : LINE_MM, hex: STEEL_HEX }],
    discs:
      standMm > 0
        ? feet.map((x) => ({ at: [x, 0, 0] as Vec, widthMm: PLATE_MM, highMm: standMm, hex: STEEL_HEX }))
        : [],
  };
}

/** All its layers, pushed on from the left foot. */
const simulatedRows = ({ plan, balloons }: ArchView): SimulatedRows => ({
  piece: simulatedRow(plan.stack),
  rows: [rowOf(balloons, 0)],
});

/** "7 ft 8 in high, 8 ft between its feet: 34 quads at 10 in". */
function figuresText({ highMm, plan }: ArchView, { spanMm, count }: ArchDesign, text: (mm: number) => string): string {
  return `${text(highMm)} high, ${text(spanMm)} between its feet: ${layersText(plan.layers, count)} at ${text(plan.widthMm)}`;
}
