import { MOST_SNAG, type PhotoRecord, type SnagRecord } from '@leggero/contract';
import { useState } from 'react';
import { View } from 'react-native';

import { write } from '@/data/outbox';
import { usePhotos, useRepairs, useSnags } from '@/data/site';
import { useLengths } from '@/data/lengths';
import { newId, nowUtc } from '@/device/id';
import type { ShownEvent } from '@/parts/WithEvent';
import { PieceStill } from '@/parts/PieceStill';
import { Button } from '@/ui/Button';
import { PickChips } from '@/ui/PickChips';
import { RowLink } from '@/ui/RowLink';
import { Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { dayText } from '@/wording/day';
import { repairedText, repairText } from '@/wording/repair';
import { counted } from '@/wording/trade';

import { AddText } from './AddText';
import { TickRow } from './TickRow';

type Shown = ShownEvent & { nameOf: (piece: string) => string };

/** What is not as it should be, until it is put right; and balloons that were made anew. */
export function SnagPart({ event, pieces, nameOf }: Shown) {
  const snags = useSnags(event.id);
  const photos = usePhotos(event.id);
  if (!snags || !photos) return <Loading what="what is to be put right" />;
  const open = snags.filter(({ doneAt }) => doneAt === null);
  const inOrder = [...open, ...snags.filter(({ doneAt }) => doneAt !== null)];
  return (
    <>
      <Words look="strong" role="status">
        {open.length === 0 ? 'Nothing is left to put right' : `${counted(open.length, 'thing')} to put right`}
      </Words>
      {inOrder.length === 0 ? null : (
        <View role="list">
          {inOrder.map((snag) => (
            <Snag key={snag.id} {...{ snag, nameOf }} photos={photos.filter(({ key }) => key === snag.id)} />
          ))}
        </View>
      )}
      <AddSnag {...{ event, pieces }} />
      <Repaired {...{ event, pieces, nameOf }} />
    </>
  );
}

function Snag({ snag, photos, nameOf }: { snag: SnagRecord; photos: readonly PhotoRecord[]; nameOf: Shown['nameOf'] }) {
  const { id, eventId, pieceId, text, at, doneAt } = snag;
  const done = doneAt !== null;
  const when = done ? `put right ${dayText(doneAt)}` : `since ${dayText(at)}`;
  return (
    <TickRow
      title={text}
      note={pieceId === null ? when : `${nameOf(pieceId)}, ${when}`}
      done={done}
      onToggle={() => write({ change: 'snag', id, by: { doneAt: done ? null : nowUtc() } })}
      eventId={eventId}
      photoKey={id}
      photos={photos}
    />
  );
}

/** About all of it. */
const ALL = '';

function AddSnag({ event, pieces }: Pick<Shown, 'event' | 'pieces'>) {
  const [about, setAbout] = useState(ALL);
  const add = (text: string) => {
    const pieceId = about === ALL ? null : about;
    write({ put: 'snag', row: { id: newId(), eventId: event.id, pieceId, text, at: nowUtc() } });
  };
  return (
    <AddText label="Something to put right" most={MOST_SNAG} title="Add it" look="primary" onAdd={add}>
      <PickChips
        label="At which piece"
        options={[{ value: ALL, title: 'All of it' }, ...pieces.map(({ id, name }) => ({ value: id, title: name }))]}
        value={about}
        onChange={setAbout}
      />
    </AddText>
  );
}

/** The way to a balloon that failed, and those that were made anew. */
function Repaired({ event, pieces, nameOf }: Omit<Shown, 'studio'>) {
  const { text } = useLengths();
  const repairs = useRepairs(event.id) ?? [];
  return (
    <View className="gap-2">
      <Words look="heading" level={2}>
        Repairs
      </Words>
      <Words look="quiet">
        A balloon failed: open its piece, tap the balloon, and it says what a new one is filled to.
      </Words>
      {pieces.map((piece) => (
        <RowLink key={piece.id} href={`/builds/${piece.id}`} title={piece.name} note={repairedText(piece.id, repairs)}>
          <PieceStill id={piece.id} design={piece.design} size={48} />
        </RowLink>
      ))}
      {repairs.map((repair) => (
        <View key={repair.id} className="flex-row items-center gap-3">
          <Words className="flex-1">
            {`${repair.pieceId === null ? 'A piece' : nameOf(repair.pieceId)}, ${repairText(repair, text)}`}
          </Words>
          <Button title="Take back" look="plain" onPress={() => write({ remove: 'repair', id: repair.id })} />
        </View>
      ))}
    </View>
  );
}
