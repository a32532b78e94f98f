import { useIsFetching } from '@tanstack/react-query';
import { usePathname } from 'expo-router';
import { useEffect } from 'react';

import { doorAt, useAccess } from '@/data/access';
import { useLacking } from '@/data/lacking';
import { useRecords, type RecordsState } from '@/data/state';

/** Whether what is here is what the server has, or the server is out of reach. */
function isAtRest({ filled, fresh, struggling, stuck, entering, waiting, settling }: RecordsState): boolean {
  const known = (filled && fresh) || struggling;
  return known && entering === 0 && (waiting.length === 0 || stuck) && settling.length === 0;
}

/**
 * Marks the document with the path shown while nothing is on its way: no records asked for, no entry being delivered; of
 * a page before the app, once it is there.
 * Whoever drives the app from outside waits for the mark, and for nothing being `aria-busy`, instead of guessing.
 */
export function SettledMark() {
  const fetching = useIsFetching() > 0;
  const lacking = useLacking();
  const path = usePathname();
  const shut = useAccess(({ access }) => doorAt(access, path) !== null);
  useEffect(() => {
    // Nothing of it is drawn: it costs a tap no render.
    const mark = () => {
      const state = useRecords.getState();
      const drawn = !state.filled || lacking?.length === 0;
      const settled = shut || (!fetching && drawn && isAtRest(state));
      if (settled) document.documentElement.dataset['settled'] = path;
      else delete document.documentElement.dataset['settled'];
    };
    mark();
    return useRecords.subscribe(mark);
  }, [fetching, lacking, path, shut]);
  return null;
}
