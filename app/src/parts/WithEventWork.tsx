import type { EventRecord } from '@leggero/contract';
import { useDeferredValue, type ReactNode } from 'react';
import { View } from 'react-native';

import { WithEvent, type ShownEvent } from '@/parts/WithEvent';
import { Page } from '@/ui/Page';
import { Empty, Failed, Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { listed } from '@/wording/trade';

import { useEventWork, type EventWork } from '@/parts/useEventWork';

interface WithEventWorkProps {
  eventId: string;
  title: string;
  /** One line on it, once it is worked out. */
  subtitle: (work: EventWork, event: EventRecord) => string;
  /** Stays in reach at the foot. */
  actions?: (shown: ShownEvent & { work: EventWork }) => ReactNode;
  children: (shown: ShownEvent & { work: EventWork }) => ReactNode;
}

/** A page on all that is to do for an event, once it is worked out; what is missing is said in its place. */
export function WithEventWork({ eventId, ...page }: WithEventWorkProps) {
  return <WithEvent eventId={eventId}>{(shown) => <Worked key={eventId} {...page} shown={shown} />}</WithEvent>;
}

function Worked({
  title,
  subtitle,
  actions,
  children,
  shown,
}: Omit<WithEventWorkProps, 'eventId'> & { shown: ShownEvent }) {
  const { event, pieces } = shown;
  // What follows from it is long: it is drawn in slices, so that the page stays free meanwhile.
  const work = useDeferredValue(useEventWork(event), null);
  const back = `/builds/events/${event.id}`;
  const named = `${title}: ${event.name}`;
  if (pieces.length === 0)
    return (
      <Page title={named} back={back}>
        <Empty sentence="Nothing is drawn up for this event yet: draw up a piece, and this follows from it." />
      </Page>
    );
  if (work === 'failed')
    return (
      <Page title={named} back={back}>
        <Failed
          sentence="It could not be worked out here. Load the page again."
          onRetry={() => window.location.reload()}
        />
      </Page>
    );
  if (work === null)
    return (
      <Page title={named} back={back}>
        <Loading what="its pieces" />
      </Page>
    );
  return (
    <Page title={named} subtitle={subtitle(work, event)} back={back} actions={actions?.({ ...shown, work })}>
      {work.failed.length > 0 ? (
        <View role="alert">
          <Words look="error">
            {`Left out, for it cannot be worked out as it is drawn: ${listed(work.failed.map(({ name }) => name))}. Open it to see why.`}
          </Words>
        </View>
      ) : null}
      {children({ ...shown, work })}
    </Page>
  );
}
