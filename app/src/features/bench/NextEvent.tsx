import { useState } from 'react';

import { useEvents } from '@/data/records';
import { useOpenRun } from '@/data/runs';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { awayText, momentText } from '@/wording/day';

/** The event that opens next, or is waited for; nothing where none has a day. */
export function NextEvent() {
  const events = useEvents().data ?? [];
  const [now] = useState(Date.now);
  const [next] = events
    .filter(({ state, opensAt }) => opensAt !== null && (state === 'planned' || state === 'in work'))
    .sort((a, b) => a.opensAt!.localeCompare(b.opensAt!));
  if (!next?.opensAt) return null;
  return (
    <>
      <Words look="heading" level={2}>
        {`${Date.parse(next.opensAt) > now ? 'Opens' : 'Opened'} ${awayText(next.opensAt, now)}`}
      </Words>
      <RowLink href={`/builds/events/${next.id}`} title={next.name} note={momentText(next.opensAt, next.timeZone)} />
      <RunGoing eventId={next.id} />
    </>
  );
}

/** The way back to an inflation run that goes on. */
function RunGoing({ eventId }: { eventId: string }) {
  const run = useOpenRun(eventId);
  if (!run) return null;
  return (
    <RowLink
      href={`/builds/events/${eventId}/run`}
      title="Inflation run"
      note={`goes on since ${momentText(run.startedAt)}`}
    />
  );
}
