import type { EventRecord } from '@leggero/contract';
import { View } from 'react-native';

import { useInflations } from '@/data/inflation';
import { useEvents, useShelf } from '@/data/records';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { Empty, Loading } from '@/ui/States';
import { useNow } from '@/ui/useNow';
import { Words } from '@/ui/Words';
import { madeBatches, setAside } from '@/views/setAside';

import { AsideCard } from './AsideCard';
import { MeasureAgain } from './MeasureAgain';

/** The evening a few balloons are set aside, the next morning they are measured again: what a night costs is learned. */
export function MorningPage({ eventId }: { eventId: string }) {
  const event = useEvents().data?.find(({ id }) => id === eventId);
  const back = `/builds/events/${eventId}`;
  if (!event)
    return (
      <Page title="Next morning" back="/builds">
        <Loading what="the event" />
      </Page>
    );
  return (
    <Page title={`Next morning: ${event.name}`} back={back}>
      <Shown event={event} />
    </Page>
  );
}

function Shown({ event }: { event: EventRecord }) {
  const wide = useWide();
  const now = useNow();
  const runs = useInflations(event.id);
  const models = useShelf().data;
  if (!runs || !models) return <Loading what="what was made" />;
  const made = madeBatches(runs, models);
  const asides = setAside(models, new Set(made.map(({ model }) => model.id)), now);
  if (made.length === 0)
    return (
      <Empty sentence="Nothing was inflated for it yet. Once a run has begun, one of each batch can be set aside." />
    );
  const opensMs = event.opensAt === null ? null : Date.parse(event.opensAt);
  return (
    <View className={wide ? 'flex-row items-start gap-5' : 'gap-3'}>
      <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
        {asides.length === 0 ? (
          <Words look="quiet">
            Tonight: tie one of each batch, measure it, and set it aside marked. In the morning it stands here to be
            measured again.
          </Words>
        ) : null}
        {asides.map((one) => (
          <MeasureAgain key={one.test.id} {...{ one, opensMs }} />
        ))}
      </View>
      <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
        <AsideCard made={made} wraps={event.wraps} />
      </View>
    </View>
  );
}
