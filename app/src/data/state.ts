import { NO_ROWS, type NounName, type Rows } from '@leggero/contract';
import { create } from 'zustand';

import type { Unkept } from '@/device/storage';
import type { Entry } from '@/views/entries';

import type { ApiError } from './client';

/** How the way to the server is. */
export interface Standing {
  /** The last attempt to send did not reach the records. */
  stuck: boolean;
  /** The last attempt to read did not. */
  struggling: boolean;
  /** So many of what waits could not be saved again and again, or hang on what could not. */
  aside: number;
}

/** The records as this device has them. */
export interface RecordsState extends Standing {
  /** Reading will not help: what the server said. */
  error: ApiError | null;
  /** Rows as the server had them at the cursor. */
  base: Rows;
  /** The same with what waits laid over them: what pages show. A noun that did not change keeps its very map. */
  rows: Rows;
  cursor: string;
  /** Up to which revision of the server's records `base` goes. */
  revision: number;
  /** Whether all rows have come: before the first time there is nothing to show. */
  filled: boolean;
  /** Nouns with many rows come from the disk after the others: these have not yet. */
  lacking: readonly NounName[];
  /** How many rows have come while the device is being filled. */
  come: number;
  /** Whether the server was heard since the app was opened: before, another device may know more. */
  fresh: boolean;
  /** What the server does not have yet, oldest first. */
  waiting: readonly Entry[];
  /** So many entries are being kept, and not shown yet. */
  entering: number;
  /** What it has, but has not told of yet. */
  settling: readonly Entry[];
  /** What it would not take. */
  refused: readonly Entry[];
  /** Why this device keeps nothing over a reload; null where it does. */
  unkept: Unkept | null;
}

export const NOTHING_YET: RecordsState = {
  base: NO_ROWS,
  rows: NO_ROWS,
  cursor: '',
  revision: 0,
  filled: false,
  lacking: [],
  come: 0,
  fresh: false,
  waiting: [],
  entering: 0,
  settling: [],
  refused: [],
  stuck: false,
  struggling: false,
  aside: 0,
  error: null,
  unkept: null,
};

export const useRecords = create<RecordsState>()(() => NOTHING_YET);

/** The rows of a noun, once they have come. */
export function rowsOf<N extends NounName>(noun: N): Promise<Rows[N]> {
  return new Promise((resolve) => {
    const are = ({ filled, lacking }: RecordsState) => filled && !lacking.includes(noun);
    if (are(useRecords.getState())) return resolve(useRecords.getState().rows[noun]);
    const stop = useRecords.subscribe((state) => {
      if (!are(state)) return;
      stop();
      resolve(state.rows[noun]);
    });
  });
}
