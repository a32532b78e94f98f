import { router } from 'expo-router';

import { useInflations } from '@/data/inflation';
import { write } from '@/data/outbox';
import { useEvents } from '@/data/records';
import { nowUtc } from '@/device/id';
import { Button } from '@/ui/Button';
import { Page } from '@/ui/Page';
import { Empty, Loading } from '@/ui/States';
import { useAddress } from '@/ui/useAddress';
import { isOpen, openRun } from '@/views/runs';

import { AtStationForm } from './AtStationForm';
import { ByPieceCard } from './ByPieceCard';
import { RunSummary } from './RunSummary';
import { Station } from './Station';

/** What the address says of where someone works. */
type StationAddress = 'station' | 'two' | 'bag' | 'batch' | 'since' | 'hands';

/** The inflation run of an event: where it is worked at, once it is said which station this is. */
export function InflationPage({ eventId }: { eventId: string }) {
  // Without its pieces: they would be put together anew with each size that is checked.
  const events = useEvents().data;
  const runs = useInflations(eventId);
  const [{ station, two, bag, batch, since, hands }, ask] = useAddress<StationAddress>();
  const event = events?.find(({ id }) => id === eventId);
  const title = event ? `Inflation run: ${event.name}` : 'Inflation run';
  const recipe = `/builds/events/${eventId}/recipe`;
  if (!events || !runs)
    return (
      <Page title={title} back={recipe}>
        <Loading what="the run" />
      </Page>
    );
  if (!event)
    return (
      <Page title={title} back="/builds">
        <Empty sentence="No event is known at this address. It may have been deleted." />
      </Page>
    );
  const run = openRun(runs);
  const tapped = runs.filter(({ batches }) => batches.some(({ turns }) => turns.length > 0));
  if (!run)
    return (
      <Page
        title={title}
        back={recipe}
        actions={
          <Button
            title="To the recipe"
            look="primary"
            tall
            className="flex-1"
            onPress={() => router.navigate(recipe)}
          />
        }
      >
        {tapped.length === 0 ? <Empty sentence="No run has begun. Its recipe begins one: batch after batch." /> : null}
        {tapped.map((each, i) => (
          <RunSummary key={each.id} run={each} newest={i === 0} />
        ))}
        {tapped.length === 0 ? null : <ByPieceCard event={event} runs={tapped} />}
      </Page>
    );
  if (!station)
    return <AtStationForm title={title} back={recipe} run={run} onKeep={(at) => ask({ ...at, since: nowUtc() })} />;
  return (
    <Station
      run={run}
      title={event.name}
      back={recipe}
      at={{ station, atOnce: two ? 2 : 1, bagId: bag ?? null }}
      since={since ?? ''}
      hands={hands ?? null}
      batchId={batch}
      onGo={(batchId) => ask({ batch: batchId, bag: undefined })}
      onStation={() => ask({ station: undefined })}
      onBag={(bagId) => ask({ bag: bagId ?? undefined })}
      // One that another device began at the same moment goes with it.
      onEnd={(endedAt) =>
        write(...runs.filter(isOpen).map(({ id }) => ({ change: 'inflation' as const, id, by: { endedAt } })))
      }
    />
  );
}
