import { useCallback, useMemo, useState } from 'react';
import { View } from 'react-native';

import { balloonsIn, type ColumnBalloon } from '@/parts/piece/colouring';
import { ExactCard } from '@/parts/piece/ExactCard';
import { PieceLayout } from '@/parts/piece/PieceLayout';
import type { ShownPiece } from '@/parts/piece/shownPiece';
import type { TiedBalloon } from '@/parts/piece/tied';
import { joinerThrough } from '@/parts/piece/tiedScene';
import { usePiece } from '@/parts/piece/usePiece';
import { viewBow, type BowDesign, type BowView } from '@/parts/piece/viewRope';
import { Words } from '@/ui/Words';
import { tiedListText } from '@/wording/building';
import { bowProblemText, bowSteps, bowStepText, bowText } from '@/wording/rope';
import { counted } from '@/wording/trade';

import { boxOf } from '@/parts/piece/boxOf';
import { ColourCards, namesOf } from './ColourCards';
import { JoinerCard } from './JoinerCard';
import { OrderCard } from '@/parts/piece/OrderCard';
import { BowFields } from './RopeFields';
import { RoomNotes } from '@/parts/piece/RoomNotes';
import { TiedPicture } from '@/parts/piece/TiedPicture';
import { rowOf, useGhost, type SimulatedRows } from './useGhost';

/** A bow: two loops and two tails of one count, across a width or of a size, hung by its knot. */
export function BowPiece(shown: ShownPiece<BowDesign>) {
  const { piece, basis } = shown;
  const { design, change, view, problem, wrong } = usePiece(shown, viewBow, bowProblemText);
  const [tapped, setTapped] = useState<ColumnBalloon | null>(null);
  const simulated = useMemo(() => view && simulatedRows(view), [view]);
  const { seen, exact } = useGhost(view?.balloons, simulated, basis);
  const { text, fine } = basis.lengths;
  const nameOf = namesOf(design, basis);
  const { colourHex } = design.joiner;
  const holdsOf = useCallback((placed: readonly TiedBalloon[]) => joinerThrough(placed, colourHex), [colourHex]);
  const said = problem && !FIELDS.has(problem.field ?? '') ? bowProblemText(problem, text) : null;
  return (
    <PieceLayout
      piece={piece}
      subtitle={
        view
          ? `${counted(view.plan.loop + view.plan.tail, 'duplet')} a side, ${counted(balloonsIn(view), 'balloon')}`
          : 'cannot be worked out'
      }
      first={
        <>
          {view ? (
            <>
              <TiedPicture
                form="bow"
                label={pictureText(view, text)}
                view={view}
                holdsOf={holdsOf}
                each="duplet"
                basis={basis}
                stepText={(step) => bowStepText(step, view.plan, (duplet) => view.map[duplet]!.map(nameOf))}
                chosen={tapped?.key ?? null}
                onTap={setTapped}
                {...seen}
              />
              <View role="status">
                <Words look="strong">{figuresText(view, text)}</Words>
                <Words look="quiet">{bowText(view.plan, design.open, { text, fine })}</Words>
              </View>
              <RoomNotes
                form="bow"
                box={boxOf(view.balloons)}
                topMm={view.highMm}
                also={[
                  view.lowMm < 0
                    ? `Its tails reach ${text(-view.lowMm)} below the floor: hang it higher, or shorten them.`
                    : null,
                ]}
                basis={basis}
              />
            </>
          ) : null}
          <BowFields design={design} basis={basis} wrong={wrong} change={change} />
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
              <JoinerCard part={design.joiner} joiner={view.joiner} each="Each side" basis={basis} change={change} />
              <OrderCard
                form="bow"
                steps={bowSteps(view.plan, tiedListText(view.tying, nameOf), 'a joiner of its own')}
              />
              <ExactCard {...exact!} copies={piece.copies} basis={basis} />
            </>
          ) : null}
        </ColourCards>
      }
    />
  );
}

/** Both loops, which are to come out alike, each from the knot on. */
function simulatedRows({ plan: { loop, tail, widthMm }, balloons }: BowView): SimulatedRows {
  const layers = Array.from({ length: 2 * loop }, () => ({ count: 2, widthMm }));
  const loopFrom = (first: number) =>
    rowOf(balloons, 0, ({ step }) => (step >= first && step < first + loop ? step - first : -1));
  return {
    piece: { layers, heldBy: 'pole', fixedMm: 0, twin: true },
    rows: [loopFrom(0), { ...loopFrom(loop + tail), from: loop }],
  };
}

/** Fields that show their own problem. */
const FIELDS = new Set(['acrossMm', 'loop', 'tail', 'widthMm', 'pattern.order', 'pattern.every']);

/** "8 ft 4 in across: 35 duplets a side at 7½ in". */
function figuresText({ plan: { acrossMm, loop, tail, widthMm } }: BowView, text: (mm: number) => string): string {
  return `${text(acrossMm)} across: ${counted(loop + tail, 'duplet')} a side at ${text(widthMm)}`;
}

function pictureText({ plan: { acrossMm, loop, tail, widthMm } }: BowView, text: (mm: number) => string): string {
  return (
    `A bow ${text(acrossMm)} across: two loops of ${counted(loop, 'duplet')} of ${text(widthMm)}, ` +
    `two tails of ${counted(tail, 'duplet')}`
  );
}
