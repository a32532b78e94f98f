import { EVENT_STATES, NOUNS, type EventRecord, type PieceRecord } from '@leggero/contract';
import { router } from 'expo-router';
import Copy from 'lucide-react-native/icons/copy';
import Plus from 'lucide-react-native/icons/plus';
import { useState } from 'react';
import { View } from 'react-native';

import { may } from '@/data/access';
import { useLengths } from '@/data/lengths';
import { write } from '@/data/outbox';
import { useFixings } from '@/data/records';
import { nowUtc } from '@/device/id';
import { PieceStill } from '@/parts/PieceStill';
import { movedIn } from '@/parts/piece/sizeTarget';
import { useBasis } from '@/parts/piece/useBasis';
import { useRested } from '@/parts/useRested';
import { WithEvent, type ShownEvent } from '@/parts/WithEvent';
import { Button } from '@/ui/Button';
import { DeleteButton } from '@/ui/DeleteButton';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { RowLink } from '@/ui/RowLink';
import { Segmented } from '@/ui/Segmented';
import { Words } from '@/ui/Words';
import { awayText } from '@/wording/day';
import { conditionsText, EVENT_PAGES, openingProblem, STATE_WORDS, whenAndWhere } from '@/wording/events';
import { FORM_WORDS, pieceTitle } from '@/wording/pieces';
import { counted } from '@/wording/trade';

import { copyOfEvent } from '@/parts/piece/copies';
import { EventDetails } from './EventDetails';
import { EventPicture } from './EventPicture';

/** An event: its pieces to one scale, what they are, and all that is said of it. */
export function EventPage({ eventId }: { eventId: string }) {
  return <WithEvent eventId={eventId}>{(shown) => <Shown key={eventId} {...shown} />}</WithEvent>;
}

/** What of a change can be kept: a name that is none, or words that are too many, wait until they are put right. */
function keepable(by: Partial<EventRecord>): Partial<EventRecord> {
  const { change } = NOUNS.event;
  const possible = change.filter((field) => field in by && NOUNS.event.row.shape[field].safeParse(by[field]).success);
  return Object.fromEntries(possible.map((field) => [field, by[field]]));
}

function Shown({ event: stored, pieces, studio }: ShownEvent) {
  const wide = useWide();
  const lengths = useLengths();
  const [now] = useState(Date.now);
  const { id } = stored;
  const [event, change] = useRested(stored, (by) => {
    const kept = keepable(by);
    if (Object.keys(kept).length > 0) write({ change: 'event', id, by: kept });
  });
  const draw = () => router.navigate(`/builds/new?event=${id}`);
  const copy = () => {
    const [copyId, ...writes] = copyOfEvent(stored, pieces, nowUtc());
    write(...writes);
    router.navigate(`/builds/events/${copyId}`);
  };
  const remove = () => {
    write({ remove: 'event', id });
    router.replace('/builds');
  };
  const basis = useBasis(id);
  const fixingsOf = useFixings();
  const noteOf = (pieceId: string, { form }: PieceRecord['design']) => {
    const moved = basis && fixingsOf ? movedIn(fixingsOf(pieceId), basis).length : 0;
    return moved === 0 ? FORM_WORDS[form].title : `${FORM_WORDS[form].title} · ${counted(moved, 'fixed target')} moved`;
  };
  const problem = openingProblem(event, now);
  const { opensAt, client } = event;
  return (
    <Page
      title={event.name.trim() === '' ? stored.name : event.name}
      subtitle={whenAndWhere(event) || 'Not dated yet'}
      back={wide ? undefined : '/builds'}
    >
      <EventPicture
        label={event.name}
        pieces={pieces}
        ceilingMm={event.ceilingMm}
        text={lengths.long}
        most={wide ? 380 : 280}
      />
      <View role="status">
        <Words look="strong">
          {[opensAt === null ? null : `Opens ${awayText(opensAt, now)}`, client || null].filter(Boolean).join(' · ') ||
            'Give it a day, and the Bench shows how far off it is'}
        </Words>
        <Words look="quiet">{conditionsText(event, event.workroomTempC ?? studio.workroomTempC)}</Words>
      </View>
      {problem ? (
        <Words look="error" role="alert">
          {problem}
        </Words>
      ) : null}
      <Segmented
        label="Where it is on its way"
        options={EVENT_STATES.map((value) => ({ value, title: STATE_WORDS[value] }))}
        value={event.state}
        onChange={(state) => change({ state })}
      />
      <View className={wide ? 'flex-row items-start gap-6' : 'gap-4'}>
        <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
          <Words look="heading" level={2}>
            Pieces
          </Words>
          {pieces.length === 0 ? <Words look="quiet">Nothing is drawn up for it yet.</Words> : null}
          {pieces.map(({ id: pieceId, name, design, copies }) => (
            <RowLink
              key={pieceId}
              href={`/builds/${pieceId}`}
              title={pieceTitle({ name, copies })}
              note={noteOf(pieceId, design)}
            >
              <PieceStill id={pieceId} design={design} size={56} />
            </RowLink>
          ))}
          {pieces.length === 0 ? null : (
            <>
              {EVENT_PAGES.map(({ page, title, note }) => (
                <RowLink key={page} href={`/builds/events/${id}/${page}`} title={title} note={note} />
              ))}
            </>
          )}
          {may('piece') ? (
            <>
              <Button title="Draw up a piece" icon={Plus} look="primary" tall onPress={draw} />
              <Button title="Copy this event with its pieces" icon={Copy} onPress={copy} />
              <DeleteButton
                what={stored.name}
                consequence="What was said of it goes and does not come back. Its pieces stay, as sketches."
                onDelete={remove}
              />
            </>
          ) : null}
        </View>
        <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
          <EventDetails event={event} studio={studio} lengths={lengths} now={now} change={change} />
        </View>
      </View>
    </Page>
  );
}
