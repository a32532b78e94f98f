import type { DesignOf } from '@leggero/contract';
import { useState } from 'react';
import { View } from 'react-native';

import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';
import { counted } from '@/wording/trade';

import { ChainEnds } from './ChainEnds';
import { MmField } from '@/parts/piece/Fields';
import { HangingCards } from './HangingCards';
import { HangSpace } from './HangSpace';
import { PieceLayout } from '@/parts/piece/PieceLayout';
import { linkProblemText } from '@/wording/linking';

import type { ShownPiece } from '@/parts/piece/shownPiece';
import { usePiece } from '@/parts/piece/usePiece';
import { viewChain } from '@/parts/piece/viewHanging';

const ROOM_MM = 2700;

/** A chain to a length: its count, the size with which it lands, and what it is made of. */
export function ChainPiece(shown: ShownPiece<DesignOf<'chain'>>) {
  const { piece, basis } = shown;
  const { design, change, view, wrong } = usePiece(shown, viewChain, linkProblemText);
  const [chosen, setChosen] = useState<string | null>(null);
  const { text, fine } = basis.lengths;
  return (
    <PieceLayout
      piece={piece}
      subtitle={view ? counted(view.balloons, 'balloon') : 'cannot be worked out'}
      first={
        <>
          {view ? (
            <HangSpace
              label={`A chain of ${view.balloons} balloons, ${text(view.lengthMm)} long`}
              form="chain"
              view={view}
              inRoom={design.roomMm !== null}
              ceilingMm={design.roomMm}
              basis={basis}
              most={360}
              chosen={chosen}
              onTap={setChosen}
            />
          ) : null}
          {view ? (
            <View role="status">
              <Words look="strong">{`${counted(view.plan.count, 'balloon')}: ${text(view.lengthMm)} long`}</Words>
              <Words look="quiet">
                {`Exact at ${basis.lengths.exact(view.plan.exactMm)} each; ` +
                  `on your steps ${fine(view.offMm)} ${view.offMm > 0 ? 'too long' : 'short'}. Sized to an ` +
                  `eighth either way it lands within ${fine(2 * view.spreadMm)}.`}
              </Words>
            </View>
          ) : null}
          <View className="flex-row flex-wrap gap-3">
            <MmField
              label="Length"
              value={design.lengthMm}
              basis={basis}
              error={wrong('lengthMm')}
              onChange={(lengthMm) => change({ lengthMm })}
            />
            {design.roomMm === null ? null : (
              <MmField
                label="Height of the room"
                value={design.roomMm}
                basis={basis}
                onChange={(roomMm) => change({ roomMm })}
              />
            )}
          </View>
          <SwitchRow
            label="It hangs in a room"
            value={design.roomMm !== null}
            onChange={(hangs) => change({ roomMm: hangs ? Math.max(ROOM_MM, design.lengthMm) : null })}
          />
          <ChainEnds design={design} basis={basis} change={change} />
        </>
      }
      second={
        <>
          <HangingCards
            piece={piece}
            basis={basis}
            sizes={view?.sizes ?? null}
            chosen={chosen}
            onChoose={setChosen}
            repeat={design.repeat}
            error={wrong('widthMm')}
            onRepeat={(repeat) => change({ repeat })}
          />
        </>
      }
    />
  );
}
