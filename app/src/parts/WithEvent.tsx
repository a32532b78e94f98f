import type { EventRecord, PieceRecord, Studio } from '@leggero/contract';
import { useMemo, type ReactNode } from 'react';

import { useEvents, usePieces, useStudio } from '@/data/records';
import { Page } from '@/ui/Page';
import { Empty, Failed, Loading } from '@/ui/States';

/** An event with its pieces. */
export interface ShownEvent {
  event: EventRecord;
  pieces: PieceRecord[];
  studio: Studio;
}

interface WithEventProps {
  eventId: string;
  children: (shown: ShownEvent) => ReactNode;
}

/** Fetches an event and its pieces, and shows the page once they are there. */
export function WithEvent({ eventId, children }: WithEventProps) {
  const events = useEvents();
  const all = usePieces().data;
  const studio = useStudio().data;
  const pieces = useMemo(() => all?.filter((piece) => piece.eventId === eventId), [all, eventId]);
  const event = events.data?.find(({ id }) => id === eventId);
  if (event && pieces && studio) return children({ event, pieces, studio });
  const missing = events.data !== undefined && !event;
  return (
    <Page title={missing ? 'No such event' : ' '} back="/builds">
      {missing ? (
        <Empty sentence="No event is known at this address. It may have been deleted." />
      ) : events.error ? (
        <Failed sentence="This event could not be read." onRetry={events.refetch} />
      ) : (
        <Loading what="the event" />
      )}
    </Page>
  );
}
