import type { EventRecord } from '@leggero/contract';
import { Suspense, useState } from 'react';

import { Today } from '@/chunks';
import { useEvents } from '@/data/records';
import { RowLink } from '@/ui/RowLink';
import { Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { awayText, momentText } from '@/wording/day';

/** Events that stand, and the one that opens next, or is waited for, with what is on for it today; nothing where none is. */
export function NextEvent() {
  const events = useEvents().data ?? [];
  const [now] = useState(Date.now);
  const [next] = events
    .filter(({ state, opensAt }) => opensAt !== null && (state === 'planned' || state === 'in work'))
    .sort((a, b) => a.opensAt!.localeCompare(b.opensAt!));
  return (
    <>
      {events
        .filter(({ state }) => state === 'up')
        .map(({ id, name }) => (
          <RowLink key={id} href={`/builds/events/${id}/site?part=right`} title={`${name} stands`} note={STANDING} />
        ))}
      {next?.opensAt ? <Next event={next} opensAt={next.opensAt} now={now} /> : null}
    </>
  );
}

const STANDING = 'A balloon failed, something is to be put right, or it comes down';

function Next({ event, opensAt, now }: { event: EventRecord; opensAt: string; now: number }) {
  return (
    <>
      <Words look="heading" level={2}>
        {`${Date.parse(opensAt) > now ? 'Opens' : 'Opened'} ${awayText(opensAt, now)}`}
      </Words>
      <RowLink href={`/builds/events/${event.id}`} title={event.name} note={momentText(opensAt, event.timeZone)} />
      <Suspense fallback={<Loading what="what is on" />}>
        <Today event={event} />
      </Suspense>
    </>
  );
}
