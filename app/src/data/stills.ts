import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** A piece as it looks, and how large it is. */
export interface DrawnStill {
  /** As an address of data: in the middle of a square. */
  picture: string;
  wideMm: number;
  highMm: number;
  /** Of its lowest point above the floor. */
  footMm: number;
}

/** What a device keeps of a piece's looks, and what that was drawn from. */
export interface KeptStill {
  from: string;
  /** Null where the piece cannot be worked out. */
  still: DrawnStill | null;
}

interface Kept extends DBSchema {
  stills: { key: string; value: KeptStill };
}

let opened: Promise<IDBPDatabase<Kept>> | undefined;
const open = () =>
  (opened ??= openDB<Kept>('leggero-stills', 1, { upgrade: (database) => void database.createObjectStore('stills') }));

/** The stills that this device keeps, by piece; none where it can keep nothing: they are drawn again. */
export async function keptStills(): Promise<Map<string, KeptStill>> {
  try {
    const database = await open();
    const [keys, values] = await Promise.all([database.getAllKeys('stills'), database.getAll('stills')]);
    return new Map(keys.map((key, i) => [key, values[i]!]));
  } catch {
    return new Map();
  }
}

/** More than a studio has pieces: then those of pieces long gone go too. */
const MOST = 1000;

/** Keeps some stills; a device that cannot goes on without. */
export async function keepStills(stills: ReadonlyMap<string, KeptStill>): Promise<void> {
  try {
    const database = await open();
    const kept = database.transaction('stills', 'readwrite');
    if ((await kept.store.count()) > MOST) await kept.store.clear();
    for (const [id, still] of stills) await kept.store.put(still, id);
    await kept.done;
  } catch {
    // They are drawn again.
  }
}
