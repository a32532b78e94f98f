import type { Rows } from '@leggero/contract';
import { useEffect } from 'react';

import { useRecords } from './state';

/** So many are on the page. */
let showing = 0;

/** Whether something on the page shows by itself what a tap changes: all else may follow. */
export const isShownAtOnce = (): boolean => showing > 0;

/**
 * What is told of the rows the moment they change, for the one thing that a hand waits for. While it is on the page
 * everything else follows after the frame that shows it.
 */
export function useAtOnce<Value>(of: (rows: Rows) => Value): Value {
  useEffect(() => {
    showing += 1;
    return () => {
      showing -= 1;
    };
  }, []);
  return useRecords(({ rows }) => of(rows));
}
