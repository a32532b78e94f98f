import { roundToStep } from '@leggero/core';
import { ringRadiusMm } from '@leggero/core/building';
import { useState } from 'react';
import { View } from 'react-native';

import { balloonsIn, type ColumnBalloon } from '@/parts/piece/colouring';
import { ExactCard } from '@/parts/piece/ExactCard';
import type { GhostOf } from '@/parts/piece/ExactWays';
import { PieceLayout } from '@/parts/piece/PieceLayout';
import type { ShownPiece } from '@/parts/piece/shownPiece';
import { usePiece } from '@/parts/piece/usePiece';
import { viewTaper, type TaperView } from '@/parts/piece/viewTaper';
import { Words } from '@/ui/Words';
import { buildProblemText, layersText, taperSteps, taperText, tiedListText } from '@/wording/building';
import { counted } from '@/wording/trade';

import { BaseCard } from './BaseCard';
import { ColourCards, namesOf } from './ColourCards';
import type { TaperDesign } from './colouring';
import { LayersCard } from './LayersCard';
import { OrderCard } from '@/parts/piece/OrderCard';
import { PackingCard } from './PackingCard';
import { RoomNotes } from '@/parts/piece/RoomNotes';
import { sideOf } from '@/parts/piece/standing';
import { simulatedOf, standingBox } from './simulated';
import { StackPicture } from './StackPicture';
import { TaperFields } from './TaperFields';

/** A taper along a silhouette that can be dragged, on a pole it covers: every layer on a step, from which balloon each. */
export function TaperPiece(shown: ShownPiece<TaperDesign>) {
  const { piece, basis } = shown;
  const { design, change, view, problem, wrong } = usePiece(shown, viewTaper, buildProblemText);
  const [tapped, setTapped] = useState<ColumnBalloon | null>(null);
  const [ghost, setGhost] = useState<GhostOf | null>(null);
  const { text, fine } = basis.lengths;
  const { profile, poleMm, standMm, count, colours, stepMm } = design;
  const nameOf = namesOf(design, basis);
  const hexOf = (colour: number) => colours[colour]!.colourHex;
  const ceilingMm = basis.event ? basis.event.ceilingMm : design.ceilingMm;
  // Outwards a ring reaches so many of its balloons' widths.
  const reach = ringRadiusMm({ count, widthMm: 1 }) + 0.5;
  const grips = profile.map(({ at, widthMm }) => ({
    highMm: standMm + at * (poleMm - standMm),
    outMm: reach * widthMm,
  }));
  const drag = (i: number, outMm: number) => {
    const widthMm = Math.max(stepMm, roundToStep({ mm: outMm / reach, step: stepMm }));
    if (widthMm !== profile[i]!.widthMm)
      change({ profile: profile.map((point, at) => (at === i ? { ...point, widthMm } : point)) });
  };
  const said = problem && !FIELDS.has(problem.field ?? '') ? buildProblemText(problem, text) : null;
  return (
    <PieceLayout
      piece={piece}
      subtitle={
        view
          ? `${counted(view.layers.length, 'layer')}, ${counted(balloonsIn(view), 'balloon')}`
          : 'cannot be worked out'
      }
      first={
        <>
          <StackPicture
            label={view ? pictureText(view, design, text) : 'A silhouette that no layers follow'}
            design={design}
            view={view}
            poleMm={poleMm}
            heldBy="pole"
            ceilingMm={ceilingMm}
            basis={basis}
            chosen={tapped?.key ?? null}
            onTap={setTapped}
            ghost={ghost}
            onNoGhost={() => setGhost(null)}
            grips={grips}
            onGrip={drag}
          />
          {view ? (
            <View role="status">
              <Words look="strong">{`${text(view.heightMm)} high: ${layersText(view.layers.length, count)}`}</Words>
              <Words look="quiet">{taperText(view.plan, { text, fine })}</Words>
            </View>
          ) : null}
          {said ? (
            <Words look="error" role="alert">
              {said}
            </Words>
          ) : null}
          <RoomNotes
            form="taper"
            box={view && standingBox(view.stack, view.heightMm)}
            ceilingMm={design.ceilingMm}
            topped={design.topper !== null}
            leastTopperMm={view?.leastTopperMm ?? null}
            basis={basis}
          />
          <Words look="quiet">Drag the green marks at its side, or type the widths.</Words>
          <TaperFields design={design} basis={basis} wrong={wrong} change={change} />
        </>
      }
      second={
        <ColourCards
          piece={piece}
          design={design}
          basis={basis}
          view={view}
          between={
            view ? (
              <LayersCard layers={view.layers} lengths={basis.lengths} hexOf={(layer) => hexOf(view.map[layer]![0]!)} />
            ) : null
          }
          tapped={tapped}
          onTap={setTapped}
          wrong={wrong}
          change={change}
        >
          {view ? (
            <>
              <OrderCard
                form="taper"
                steps={taperSteps(design, view.layers.length, tiedListText(view.tying, nameOf))}
              />
              <ExactCard
                piece={simulatedOf(design, view.stack, 'pole')}
                copies={piece.copies}
                basis={basis}
                ghost={ghost}
                onGhost={setGhost}
              />
              <PackingCard stack={view.plan.stack} topped={false} basis={basis} />
              <BaseCard design={design} side={sideOf(design, view.stack)} basis={basis} change={change} />
            </>
          ) : null}
        </ColourCards>
      }
    />
  );
}

/** Fields that show their own problem. */
const FIELDS = new Set(['heightMm', 'profile', 'stepMm', 'topper', 'pattern.order', 'pattern.every']);

function pictureText({ heightMm, layers }: TaperView, { count }: TaperDesign, text: (mm: number) => string): string {
  const sizes = layers.map(({ widthMm }) => text(widthMm)).join(', ');
  return `A taper of ${layersText(layers.length, count)}, ${text(heightMm)} high, from the foot up: ${sizes}`;
}
