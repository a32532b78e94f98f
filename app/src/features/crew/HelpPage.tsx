import { View } from 'react-native';

import { useAccess } from '@/data/access';
import { here } from '@/data/place';
import { useEvents } from '@/data/records';
import { Page } from '@/ui/Page';
import { RowLink } from '@/ui/RowLink';
import { Empty, Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { helpingText } from '@/wording/crew';
import { EVENT_PAGES, whenAndWhere } from '@/wording/events';

/** What a helper does at an event. */
const HELPS_WITH: ReadonlySet<string> = new Set(['recipe', 'run', 'site']);

/** A helper's event: when and where it is, and what they have of it. */
export function HelpPage() {
  const events = useEvents().data;
  const access = useAccess((state) => state.access);
  const eventId = here()?.eventId;
  if (!events)
    return (
      <Page title="Your event">
        <Loading what="your event" />
      </Page>
    );
  const event = events.find(({ id }) => id === eventId);
  if (!event)
    return (
      <Page title="Your event">
        <Empty sentence="The event that you help at is not here, or no longer. Who invited you knows why." />
      </Page>
    );
  const place = access?.studios.find(({ id }) => id === here()?.studioId);
  return (
    <Page title={event.name} subtitle={whenAndWhere(event)}>
      <View className="w-full max-w-[640px] gap-3">
        {place ? <Words>{helpingText(place)}</Words> : null}
        {EVENT_PAGES.filter(({ page }) => HELPS_WITH.has(page)).map(({ page, title, note }) => (
          <RowLink key={page} href={`/builds/events/${event.id}/${page}`} title={title} note={note} />
        ))}
      </View>
    </Page>
  );
}
