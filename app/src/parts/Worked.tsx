import type { EventRecord } from '@leggero/contract';
import { useDeferredValue, type ReactNode } from 'react';

import { useEventWork, type EventWork } from '@/parts/useEventWork';
import { Failed, Loading } from '@/ui/States';

/** A part that needs an event's pieces worked out. */
export function Worked({ event, children }: { event: EventRecord; children: (work: EventWork) => ReactNode }) {
  const work = useDeferredValue(useEventWork(event), null);
  if (work === 'failed')
    return (
      <Failed
        sentence="Its pieces could not be worked out here. Load the page again."
        onRetry={() => window.location.reload()}
      />
    );
  return work ? children(work) : <Loading what="its pieces" />;
}
