import { useCallback, useMemo, useState } from 'react';
import { View } from 'react-native';

import { balloonsIn, type ColumnBalloon } from '@/parts/piece/colouring';
import { ExactCard } from '@/parts/piece/ExactCard';
import { PieceLayout } from '@/parts/piece/PieceLayout';
import type { ShownPiece } from '@/parts/piece/shownPiece';
import type { TiedBalloon } from '@/parts/piece/tied';
import { joinerThrough } from '@/parts/piece/tiedScene';
import { usePiece } from '@/parts/piece/usePiece';
import { viewRope, type RopeDesign, type RopeView } from '@/parts/piece/viewRope';
import { extentOf } from '@/parts/space/scene';
import { Words } from '@/ui/Words';
import { buildProblemText, tiedListText } from '@/wording/building';
import { dupletStepText, ropeSteps, ropeText } from '@/wording/rope';
import { counted } from '@/wording/trade';

import { ColourCards, namesOf } from './ColourCards';
import { JoinerCard } from './JoinerCard';
import { OrderCard } from '@/parts/piece/OrderCard';
import { RopeFields } from './RopeFields';
import { simulatedRow } from './simulated';
import { TiedPicture } from '@/parts/piece/TiedPicture';
import { rowOf, useGhost, type SimulatedRows } from './useGhost';

/** A rope of crossed duplets: its length from their count or the other way round, in colours, on its joiner. */
export function RopePiece(shown: ShownPiece<RopeDesign>) {
  const { piece, basis } = shown;
  const { design, change, view, problem, wrong } = usePiece(shown, viewRope, buildProblemText);
  const [tapped, setTapped] = useState<ColumnBalloon | null>(null);
  const simulated = useMemo(() => view && simulatedRows(view), [view]);
  const { laidAnew, seen, exact } = useGhost(view?.balloons, simulated, basis);
  const { text, fine } = basis.lengths;
  const nameOf = namesOf(design, basis);
  const ceilingMm = basis.event?.ceilingMm ?? null;
  const { colourHex } = design.joiner;
  const holdsOf = useCallback((placed: readonly TiedBalloon[]) => joinerThrough(placed, colourHex), [colourHex]);
  const said = problem && !FIELDS.has(problem.field ?? '') ? buildProblemText(problem, text) : null;
  return (
    <PieceLayout
      piece={piece}
      subtitle={
        view
          ? `${counted(view.plan.layers, 'duplet')}, ${counted(balloonsIn(view), 'balloon')}`
          : 'cannot be worked out'
      }
      first={
        <>
          {view ? (
            <>
              <TiedPicture
                form="rope"
                label={`A rope: ${figuresText(view, text)}`}
                view={view}
                holdsOf={holdsOf}
                each="duplet"
                basis={basis}
                laidAnew={laidAnew}
                said={(scene) => `it is ${text(extentOf(scene).highMm)} long`}
                stepText={(step) =>
                  dupletStepText({ at: step, of: view.plan.layers, colours: view.map[step]!.map(nameOf) })
                }
                chosen={tapped?.key ?? null}
                onTap={setTapped}
                {...seen}
              />
              <View role="status">
                <Words look="strong">{figuresText(view, text)}</Words>
                <Words look="quiet">{ropeText(view.plan, design.open, fine)}</Words>
              </View>
              {ceilingMm !== null && view.plan.heightMm > ceilingMm ? (
                <Words look="error" role="alert">
                  {`Hung straight down it is ${text(view.plan.heightMm - ceilingMm)} longer than the room is high.`}
                </Words>
              ) : null}
            </>
          ) : null}
          <RopeFields design={design} basis={basis} wrong={wrong} change={change} />
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
              <JoinerCard part={design.joiner} joiner={view.joiner} each="The rope" basis={basis} change={change} />
              <OrderCard
                form="rope"
                steps={ropeSteps(view.plan.layers, tiedListText(view.tying, nameOf), 'the joiner')}
              />
              <ExactCard {...exact!} copies={piece.copies} basis={basis} />
            </>
          ) : null}
        </ColourCards>
      }
    />
  );
}

/** Fields that show their own problem. */
const FIELDS = new Set(['heightMm', 'layers', 'widthMm', 'pattern.order', 'pattern.every']);

/** All its duplets, from its lower end up. */
const simulatedRows = ({ plan, balloons }: RopeView): SimulatedRows => ({
  piece: simulatedRow(plan.stack.layers),
  rows: [rowOf(balloons, 0)],
});

/** "6 ft 1⅝ in long: 30 duplets at 4 in". */
function figuresText({ plan: { heightMm, layers, widthMm } }: RopeView, text: (mm: number) => string): string {
  return `${text(heightMm)} long: ${counted(layers, 'duplet')} at ${text(widthMm)}`;
}
