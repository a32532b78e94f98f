import { Suspense, useState } from 'react';

import { Today } from '@/chunks';
import { useEvents } from '@/data/records';
import { RowLink } from '@/ui/RowLink';
import { Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { awayText, momentText } from '@/wording/day';

/** The event that opens next, or is waited for, with what is on for it today; nothing where none has a day. */
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
      <Suspense fallback={<Loading what="what is on" />}>
        <Today event={next} />
      </Suspense>
    </>
  );
}
