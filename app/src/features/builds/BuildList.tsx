import type { EventRecord, PieceRecord } from '@leggero/contract';
import { router, usePathname } from 'expo-router';
import CalendarPlus from 'lucide-react-native/icons/calendar-plus';
import Plus from 'lucide-react-native/icons/plus';
import { FlatList, View } from 'react-native';

import { may } from '@/data/access';
import { useEvents, usePieces } from '@/data/records';
import { PieceStill } from '@/parts/PieceStill';
import { SearchLink } from '@/parts/SearchLink';
import { Button, IconButton } from '@/ui/Button';
import { Page } from '@/ui/Page';
import { RowLink } from '@/ui/RowLink';
import { Empty, Failed, Loading } from '@/ui/States';
import { useKeys } from '@/ui/useKeys';
import { Words } from '@/ui/Words';
import { STATE_WORDS, whenAndWhere } from '@/wording/events';
import { FORM_WORDS, pieceTitle } from '@/wording/pieces';
import { counted } from '@/wording/trade';

const draw = () => router.navigate('/builds/new');
const plan = () => router.navigate('/builds/events/new');

const ROWS = { gap: 12, paddingHorizontal: 16, paddingTop: 6, paddingBottom: 24 };

/** A row of the list: an event, a piece of none, or what stands above those. */
type Row = { event: EventRecord; pieces: PieceRecord[] } | { piece: PieceRecord } | { title: string };

/** Events with their pieces, then the sketches, newest first. */
export function BuildList() {
  const pieces = usePieces();
  const events = useEvents();
  const path = usePathname();
  useKeys(path === '/builds' && may('piece') ? { n: draw } : {});
  const rows = pieces.data && events.data ? rowsOf(events.data, pieces.data) : null;
  return (
    <Page
      title="Builds"
      subtitle={rows ? `${counted(events.data!.length, 'event')}, ${counted(pieces.data!.length, 'piece')}` : undefined}
      ownScroll={rows !== null}
      aside={
        may('piece') ? (
          <View className="flex-row">
            <IconButton label="Plan an event" icon={CalendarPlus} onPress={plan} />
            <IconButton label="Draw up a piece" icon={Plus} onPress={draw} />
          </View>
        ) : null
      }
    >
      {rows ? (
        <FlatList
          data={rows}
          keyExtractor={keyOf}
          initialNumToRender={10}
          maxToRenderPerBatch={5}
          windowSize={5}
          contentContainerStyle={ROWS}
          ListHeaderComponent={<SearchLink />}
          ListEmptyComponent={
            <Empty
              sentence="Plan the first event, or draw up a piece: a column, a curtain, a basket. Its sizes and counts are worked out."
              action={
                <View className="gap-3">
                  <Button title="Draw up a piece" look="primary" tall onPress={draw} />
                  <Button title="Plan an event" tall onPress={plan} />
                </View>
              }
            />
          }
          renderItem={({ item }) =>
            'event' in item ? (
              <EventRow {...item} />
            ) : 'piece' in item ? (
              <PieceRow piece={item.piece} />
            ) : (
              <Words look="heading" level={2}>
                {item.title}
              </Words>
            )
          }
        />
      ) : pieces.error ? (
        <Failed sentence="The builds could not be read." onRetry={pieces.refetch} />
      ) : (
        <Loading what="the builds" />
      )}
    </Page>
  );
}

const keyOf = (row: Row) => ('event' in row ? row.event.id : 'piece' in row ? row.piece.id : row.title);

/** Each event, the next to open first, those without a day before what is long over; then what belongs to none. */
function rowsOf(events: readonly EventRecord[], pieces: readonly PieceRecord[]): Row[] {
  const known = new Set(events.map(({ id }) => id));
  const loose = pieces.filter(({ eventId }) => eventId === null || !known.has(eventId));
  const rank = ({ state }: EventRecord) => (state === 'down' ? 1 : 0);
  const inOrder = [...events].sort(
    (a, b) => rank(a) - rank(b) || (a.opensAt ?? '9999').localeCompare(b.opensAt ?? '9999'),
  );
  return [
    ...inOrder.map((event) => ({ event, pieces: pieces.filter(({ eventId }) => eventId === event.id) })),
    ...(events.length > 0 && loose.length > 0 ? [{ title: 'Sketches' }] : []),
    ...loose.map((piece) => ({ piece })),
  ];
}

/** So many of an event's pieces are shown beside its name. */
const SHOWN = 6;

/** An event with how its pieces look. */
function EventRow({ event, pieces }: { event: EventRecord; pieces: PieceRecord[] }) {
  const { id, name, state } = event;
  const note = [STATE_WORDS[state], whenAndWhere(event)].filter((part) => part !== '').join(' · ');
  return (
    <View className="gap-2">
      <RowLink href={`/builds/events/${id}`} title={name} note={note} />
      {pieces.length > 0 ? (
        <View className="gap-2 border-l border-line pl-3">
          {pieces.slice(0, SHOWN).map((piece) => (
            <PieceRow key={piece.id} piece={piece} />
          ))}
          {pieces.length > SHOWN ? <Words look="quiet">{`and ${pieces.length - SHOWN} more`}</Words> : null}
        </View>
      ) : null}
    </View>
  );
}

/** A piece as it looks, what it is, and how much of it is to be checked. */
function PieceRow({ piece: { id, name, design, copies, checks } }: { piece: PieceRecord }) {
  const left = checks.reduce((sum, { size, results }) => sum + Math.max(0, size - results.length), 0);
  const state = checks.length === 0 ? '' : left === 0 ? ' · all checked' : ` · ${left} to check`;
  return (
    <RowLink
      href={`/builds/${id}`}
      title={pieceTitle({ name, copies })}
      note={`${FORM_WORDS[design.form].title}${state}`}
    >
      <PieceStill id={id} design={design} size={64} />
    </RowLink>
  );
}
