import { useState } from 'react';
import { View } from 'react-native';

import { balloonsIn, type ColumnBalloon } from '@/parts/piece/colouring';
import { ExactCard } from '@/parts/piece/ExactCard';
import type { GhostOf } from '@/parts/piece/ExactWays';
import { PieceLayout } from '@/parts/piece/PieceLayout';
import type { ShownPiece } from '@/parts/piece/shownPiece';
import { usePiece } from '@/parts/piece/usePiece';
import { viewColumn, type ColumnView } from '@/parts/piece/viewColumn';
import { Words } from '@/ui/Words';
import { buildProblemText, columnSteps, heldText, layersText } from '@/wording/building';
import { counted } from '@/wording/trade';

import { BaseCard } from './BaseCard';
import { ColourCards, namesOf } from './ColourCards';
import { ColumnFields } from './ColumnFields';
import type { ColumnDesign } from './colouring';
import { OrderCard } from '@/parts/piece/OrderCard';
import { PackingCard } from './PackingCard';
import { RoomNotes } from '@/parts/piece/RoomNotes';
import { sideOf } from '@/parts/piece/standing';
import { simulatedOf, standingBox } from './simulated';
import { StackPicture } from './StackPicture';

/** A column to a height, to a number of layers or of a size: drawn to scale, coloured, and what is to be tied for it. */
export function ColumnPiece(shown: ShownPiece<ColumnDesign>) {
  const { piece, basis } = shown;
  const { design, change, view, problem, wrong } = usePiece(shown, viewColumn, buildProblemText);
  const [tapped, setTapped] = useState<ColumnBalloon | null>(null);
  const [ghost, setGhost] = useState<GhostOf | null>(null);
  const { text, fine } = basis.lengths;
  const ceilingMm = basis.event ? basis.event.ceilingMm : design.ceilingMm;
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
              <StackPicture
                label={pictureText(view, design, text)}
                design={design}
                view={{ ...view, stack: view.plan.stack }}
                poleMm={view.plan.poleMm}
                heldBy={design.heldBy}
                ceilingMm={ceilingMm}
                basis={basis}
                chosen={tapped?.key ?? null}
                onTap={setTapped}
                ghost={ghost}
                onNoGhost={() => setGhost(null)}
              />
              <View role="status">
                <Words look="strong">{figuresText(view, design, text)}</Words>
                <Words look="quiet">{heldText(design, view.plan, { text, fine })}</Words>
              </View>
            </>
          ) : null}
          <RoomNotes
            form="column"
            box={view && standingBox(view.plan.stack, view.plan.heightMm)}
            ceilingMm={design.ceilingMm}
            topped={design.topper !== null}
            leastTopperMm={view?.plan.leastTopperMm ?? null}
            also={[
              basis.event?.outdoors && design.heldBy === 'line'
                ? 'Outdoors always on a pole or a post: line alone gives way in wind.'
                : null,
            ]}
            basis={basis}
          />
          <ColumnFields design={design} basis={basis} wrong={wrong} change={change} />
          {problem && !FIELDS.has(problem.field ?? '') ? (
            <Words look="error" role="alert">
              {buildProblemText(problem, text)}
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
              <OrderCard
                form="column"
                steps={columnSteps(design, view.plan, view.tying, { text, nameOf: namesOf(design, basis) })}
              />
              <ExactCard
                piece={simulatedOf(design, view.plan.stack, design.heldBy)}
                copies={piece.copies}
                basis={basis}
                ghost={ghost}
                onGhost={setGhost}
              />
              <PackingCard stack={view.plan.stack} topped={design.topper?.kind === 'balloon'} basis={basis} />
              <BaseCard design={design} side={sideOf(design, view.plan.stack)} basis={basis} change={change} />
            </>
          ) : null}
        </ColourCards>
      }
    />
  );
}

/** Fields that show their own problem. */
const FIELDS = new Set(['heightMm', 'layers', 'widthMm', 'standMm', 'topper', 'pattern.order', 'pattern.every']);

/** "5 ft 11¾ in high: 10 quads at 10 in". */
function figuresText({ plan }: ColumnView, { count }: ColumnDesign, text: (mm: number) => string): string {
  return `${text(plan.heightMm)} high: ${layersText(plan.layers, count)} at ${text(plan.widthMm)}`;
}

function pictureText({ plan, sizes }: ColumnView, { count }: ColumnDesign, text: (mm: number) => string): string {
  const parts = sizes.map(({ title, count: many, widthMm }) => `${title} ${many} of ${text(widthMm)}`).join(', ');
  return `A column of ${layersText(plan.layers, count)}, ${text(plan.heightMm)} high: ${parts}`;
}
