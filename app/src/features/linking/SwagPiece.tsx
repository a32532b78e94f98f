import type { DesignOf } from '@leggero/contract';
import { useState } from 'react';
import { View } from 'react-native';

import { useTrade } from '@/data/trade';
import { Card } from '@/ui/Card';
import { Stepper } from '@/ui/Stepper';
import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';
import { lowerText, linkProblemText } from '@/wording/linking';
import { counted } from '@/wording/trade';
import type { Lengths } from '@/views/lengths';

import { NeckNote } from './ChainEnds';
import { MmField } from '@/parts/piece/Fields';
import { HangingCards } from './HangingCards';
import { HangSpace, type Level } from './HangSpace';
import { PieceLayout } from '@/parts/piece/PieceLayout';

import type { ShownPiece } from '@/parts/piece/shownPiece';
import { usePiece } from '@/parts/piece/usePiece';
import { viewSwag } from '@/parts/piece/viewHanging';

/** Swags between fixings: how long, how many, how steep, how low. */
export function SwagPiece(shown: ShownPiece<DesignOf<'swag'>>) {
  const trade = useTrade();
  const { piece, basis } = shown;
  const { design, change, view, wrong } = usePiece(shown, viewSwag, linkProblemText);
  const [chosen, setChosen] = useState<string | null>(null);
  const { text } = basis.lengths;
  const single = design.bays === 1 && design.rows === 1;
  const needMm = trade.headroomMm;
  const low = view !== null && design.walkedUnder && view.lowestMm < needMm;
  const levels: Level[] = [
    { title: text(design.fixingsMm), highMm: design.fixingsMm },
    ...(view ? [{ title: text(view.lowestMm), highMm: view.lowestMm }] : []),
  ];
  return (
    <PieceLayout
      piece={piece}
      subtitle={view ? counted(view.balloons, 'balloon') : 'cannot be worked out'}
      first={
        <>
          {view ? (
            <HangSpace
              label={
                `${counted(design.bays * design.rows, 'swag')} of ${view.balloons} balloons, ` +
                `${text(view.lowestMm)} above the floor at the lowest`
              }
              form="swag"
              view={view}
              levels={levels}
              basis={basis}
              most={280}
              chosen={chosen}
              onTap={setChosen}
            />
          ) : null}
          {low ? (
            <Words look="error" role="alert">
              {`People walk underneath: the lowest balloon hangs at ${text(view.lowestMm)}, and heads need ` +
                `${text(needMm)}. The venue and local rules decide.`}
            </Words>
          ) : null}
          <View className="flex-row flex-wrap gap-3">
            <MmField
              label="Span, all bays"
              value={design.spanMm}
              basis={basis}
              error={wrong('spanMm')}
              onChange={(spanMm) => change({ spanMm })}
            />
            <MmField
              label="Drop"
              value={design.dropMm}
              basis={basis}
              error={wrong('dropMm') ?? wrong('lengthMm')}
              onChange={(dropMm) => change({ dropMm })}
            />
            <MmField
              label="Fixings above the floor"
              value={design.fixingsMm}
              basis={basis}
              onChange={(fixingsMm) => change({ fixingsMm })}
            />
            {single ? (
              <MmField
                label="Right fixing higher by"
                hint="0 where both are level."
                value={design.riseMm}
                basis={basis}
                error={wrong('riseMm')}
                onChange={(riseMm) => change({ riseMm })}
              />
            ) : (
              <MmField
                label="Each row deeper by"
                value={design.rowDropMm}
                basis={basis}
                onChange={(rowDropMm) => change({ rowDropMm })}
              />
            )}
          </View>
          <View className="flex-row gap-3">
            <View className="flex-1">
              <Stepper
                label="bays"
                value={design.bays}
                shown={String(design.bays)}
                step={1}
                least={1}
                most={12}
                onChange={(bays) => change({ bays, ...(bays > 1 ? { riseMm: 0 } : {}) })}
              />
            </View>
            <View className="flex-1">
              <Stepper
                label="rows"
                value={design.rows}
                shown={String(design.rows)}
                step={1}
                least={1}
                most={6}
                onChange={(rows) => change({ rows, ...(rows > 1 ? { riseMm: 0 } : {}) })}
              />
            </View>
          </View>
          <SwitchRow
            label="People walk underneath"
            value={design.walkedUnder}
            onChange={(walkedUnder) => change({ walkedUnder })}
          />
          <NeckNote trimmed={design.trimmed} onChange={(trimmed) => change({ trimmed })} />
        </>
      }
      second={
        <>
          {view ? <RowsCard view={view} lengths={basis.lengths} /> : null}
          <HangingCards
            piece={piece}
            basis={basis}
            sizes={view?.sizes ?? null}
            chosen={chosen}
            onChoose={setChosen}
            repeat={design.repeat}
            onRepeat={(repeat) => change({ repeat })}
          />
        </>
      }
    />
  );
}

interface RowsCardProps {
  view: NonNullable<Extract<ReturnType<typeof viewSwag>, { ok: true }>['value']>;
  lengths: Lengths;
}

/** How each row hangs: its chain, its count, how steeply it leaves the fixings, and how deep it then really is. */
function RowsCard({ view, lengths: { text, fine } }: RowsCardProps) {
  return (
    <Card title="As it hangs">
      <View role="list" className="gap-2">
        {view.rows.map(({ row, bays, balloons }) => {
          const { hung, count, lowerMm } = bays[0]!;
          const { left, right } = hung.endAngleDeg;
          const steep =
            Math.abs(left - right) < 0.5
              ? `${left.toFixed(0)}° at both fixings`
              : `${left.toFixed(0)}° and ${right.toFixed(0)}° at its fixings`;
          return (
            <View key={row} role="listitem">
              <Words look="strong">
                {view.rows.length > 1 ? `Row ${row + 1}: ` : ''}
                {bays.length > 1 ? `${bays.length} × ${count}, ${balloons} balloons` : counted(count, 'balloon')}
              </Words>
              <Words look="quiet">
                {`${text(hung.lengthMm)} of chain, ${text(hung.dropMm)} deep (${lowerText(lowerMm, fine)}), ` +
                  `${steep}; lowest ${text(hung.lowestAtMm)} from the left.`}
              </Words>
            </View>
          );
        })}
      </View>
    </Card>
  );
}
