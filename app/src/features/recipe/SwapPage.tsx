import type { PieceRecord, Write } from '@leggero/contract';
import { useLocalSearchParams, router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';

import { useModels } from '@/data/records';
import { write } from '@/data/outbox';
import { useStockBook } from '@/data/stock';
import { useTrade } from '@/data/trade';
import { lookOf } from '@/parts/piece/pieceWork';
import type { ShownEvent } from '@/parts/WithEvent';
import { Button } from '@/ui/Button';
import { useWide } from '@/ui/layout';
import { Loading } from '@/ui/States';
import { UndoLine } from '@/ui/UndoLine';
import { Words } from '@/ui/Words';
import { lineSwapOf } from '@/views/lineSwap';
import { balloonName } from '@/views/modelView';
import { swapOf, withParts } from '@/views/swap';
import { pieceTitle } from '@/wording/pieces';
import { counted } from '@/wording/trade';

import { StandIns, type SwapReach } from './StandIns';
import { SwapPreview } from './SwapPreview';
import { useSwapped } from './useSwapped';
import type { EventWork } from '@/parts/useEventWork';
import { WithEventWork } from '@/parts/WithEventWork';

/** One balloon, or one line, in place of another in every piece of an event: what changes is shown before it is done. */
export function SwapPage({ eventId }: { eventId: string }) {
  return (
    <WithEventWork eventId={eventId} title="Swap a balloon" subtitle={() => 'In every piece of this event'}>
      {(shown) => <Swap {...shown} />}
    </WithEventWork>
  );
}

function Swap({ event, pieces, work }: ShownEvent & { work: EventWork }) {
  const { from = '', to, reach } = useLocalSearchParams<{ from?: string; to?: string; reach?: SwapReach }>();
  const wide = useWide();
  const trade = useTrade();
  const models = useModels().data;
  const book = useStockBook();
  const [undo, setUndo] = useState<Write[] | null>(null);
  if (!models || !book) return <Loading what="the shelf" />;
  const model = models.find(({ id }) => id === from) ?? null;
  const { daysStanding } = event;
  const line = reach === 'line' && models.some((each) => each.line === to) ? to : undefined;
  const other = models.find(({ id }) => id === to) ?? null;
  const byLine = model && line !== undefined ? lineSwapOf({ from: model, to: line, models }) : null;
  const instead = byLine ?? (other && swapOf({ from, to: other, models, lookOf, daysStanding, trade }));
  const newName = line ?? (other ? balloonName(other) : 'It');
  const changed = instead ? changedPieces(pieces, instead) : [];
  const swap = () => {
    setUndo(pieces.flatMap((piece) => (changed.some(({ id }) => id === piece.id) ? [designWrite(piece)] : [])));
    write(...changed.map(designWrite));
  };
  if (undo)
    return (
      <View className="w-full max-w-[760px] gap-3">
        <UndoLine
          sentence={`${newName} is now in ${counted(undo.length, 'piece')} instead.`}
          onUndo={() => {
            write(...undo);
            setUndo(null);
          }}
        />
        <Button
          title="To the shopping list"
          tall
          onPress={() => router.navigate(`/builds/events/${event.id}/shopping`)}
        />
      </View>
    );
  return (
    <View className={wide ? 'flex-row items-start gap-6' : 'gap-3'}>
      <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
        <StandIns {...{ from, to, models, pieces, book }} reach={reach === 'line' ? 'line' : 'colour'} />
      </View>
      {instead ? (
        <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
          {changed.length === 0 ? (
            <Words look="quiet">No piece of this event has it: there is nothing to swap.</Words>
          ) : (
            <>
              <Button title={`Swap it in ${counted(changed.length, 'piece')}`} look="primary" tall onPress={swap} />
              <Changed {...{ changed, work, event }} />
            </>
          )}
        </View>
      ) : null}
    </View>
  );
}

function Changed({
  changed,
  work,
  event,
}: { changed: readonly PieceRecord[]; work: EventWork } & Pick<ShownEvent, 'event'>) {
  const swapped = useSwapped(changed, event);
  if (swapped === 'failed') return <Words look="error">It could not be worked out here. Load the page again.</Words>;
  if (!swapped) return <Loading what="what changes" />;
  return (
    <>
      {changed.map((piece, i) => (
        <SwapPreview
          key={piece.id}
          title={pieceTitle(piece)}
          before={work.asked.get(piece.id) ?? null}
          after={swapped[i] ?? null}
          basis={work.basis}
        />
      ))}
    </>
  );
}

/** Pieces that are others once some of their parts are. */
function changedPieces(pieces: readonly PieceRecord[], instead: Parameters<typeof withParts>[1]): PieceRecord[] {
  return pieces.flatMap((piece) => {
    const design = withParts(piece.design, instead);
    return JSON.stringify(design) === JSON.stringify(piece.design) ? [] : [{ ...piece, design }];
  });
}

const designWrite = ({ id, design }: PieceRecord): Write => ({ change: 'piece', id, by: { design } });
