import { KEPT_NOUNS, NO_ROWS, type NounName, type Rows } from '@leggero/contract';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

import { unkeptBy, type Unkept } from '@/device/storage';
import type { Entry } from '@/views/entries';

type AnyRow = { id: string };

interface Kept extends DBSchema {
  /** Rows by noun and id. */
  rows: { key: [string, string]; value: AnyRow };
  meta: { key: string; value: unknown };
  /** What waits and what was refused, by its number. */
  outbox: { key: number; value: Entry };
}

const NAME = 'leggero';
/** Of the stores; what is in them is `FORM`. */
const VERSION = 1;
/** Which rows are kept, and in which form: what is kept in another is read anew from the server. */
const FORM = `1 ${KEPT_NOUNS.join()}`;

/** What a device knew when it was last open. */
export interface Remembered {
  rows: Rows;
  cursor: string;
  revision: number;
  /** Whether the rows are all there, or were being fetched for the first time. */
  filled: boolean;
  entries: Entry[];
}

/** What becomes of rows and waiting commands in one step. */
export interface Step {
  before: Rows;
  after: Rows;
  cursor: string;
  revision: number;
  filled: boolean;
  /** Numbers of entries that are done with, and entries that stand otherwise now. */
  done: readonly number[];
  changed: readonly Entry[];
}

/** What the device keeps over a reload: rows, how far they go, and what waits to be sent. */
export class Keep {
  private constructor(private readonly database: IDBPDatabase<Kept>) {}

  /** Opens what is kept; answers why not, where nothing can be. */
  static async open(): Promise<Keep | Unkept> {
    if (typeof indexedDB === 'undefined') return 'missing';
    try {
      const database = await openDB<Kept>(NAME, VERSION, {
        upgrade(made) {
          made.createObjectStore('rows');
          made.createObjectStore('meta');
          made.createObjectStore('outbox', { keyPath: 'seq', autoIncrement: true });
        },
        // A newer version of the app waits in another tab: it must not wait for this one.
        blocking: (_, __, event) => (event.target as IDBDatabase).close(),
      });
      return new Keep(database);
    } catch (error) {
      return unkeptBy(error);
    }
  }

  /** All that is kept, as of one moment. */
  async load(): Promise<Remembered> {
    const tx = this.database.transaction(['rows', 'meta', 'outbox']);
    const meta = tx.objectStore('meta');
    const [form, cursor, revision, filled, entries] = await Promise.all([
      meta.get('form'),
      meta.get('cursor'),
      meta.get('revision'),
      meta.get('filled'),
      tx.objectStore('outbox').getAll(),
    ]);
    if (form !== FORM) return { rows: NO_ROWS, cursor: '', revision: 0, filled: false, entries };
    const store = tx.objectStore('rows');
    const all = await Promise.all(KEPT_NOUNS.map((noun) => store.getAll(ofNoun(noun))));
    const rows = Object.fromEntries(KEPT_NOUNS.map((noun, i) => [noun, new Map(all[i]!.map((row) => [row.id, row]))]));
    return {
      rows: { ...NO_ROWS, ...rows } as Rows,
      cursor: cursor as string,
      revision: revision as number,
      filled: filled as boolean,
      entries,
    };
  }

  /** What waits and what was refused. */
  entries(): Promise<Entry[]> {
    return this.database.getAll('outbox');
  }

  /** Keeps entries; they are on the disk when this resolves. */
  async add(entries: readonly Entry[]): Promise<Entry[]> {
    const tx = this.database.transaction('outbox', 'readwrite', { durability: 'strict' });
    const seqs = await Promise.all(entries.map(({ seq: _, ...entry }) => tx.store.add(entry)));
    await tx.done;
    return entries.map((entry, i) => ({ ...entry, seq: seqs[i]! }));
  }

  /** Takes entries out. */
  async remove(seqs: readonly number[]): Promise<void> {
    const tx = this.database.transaction('outbox', 'readwrite', { durability: 'strict' });
    await Promise.all([...seqs.map((seq) => tx.store.delete(seq)), tx.done]);
  }

  /** Rows, how far they go, and what became of entries: all or nothing of it. */
  async step({ before, after, cursor, revision, filled, done, changed }: Step): Promise<void> {
    const tx = this.database.transaction(['rows', 'meta', 'outbox'], 'readwrite');
    const [store, meta, outbox] = [tx.objectStore('rows'), tx.objectStore('meta'), tx.objectStore('outbox')];
    const asked: Promise<unknown>[] = [tx.done];
    if ((await meta.get('form')) !== FORM) asked.push(store.clear(), meta.put(FORM, 'form'));
    for (const noun of KEPT_NOUNS) {
      if (after[noun] === before[noun]) continue;
      for (const id of before[noun].keys()) if (!after[noun].has(id)) asked.push(store.delete([noun, id]));
      for (const [id, row] of after[noun] as ReadonlyMap<string, AnyRow>)
        if ((before[noun] as ReadonlyMap<string, AnyRow>).get(id) !== row) asked.push(store.put(row, [noun, id]));
    }
    asked.push(meta.put(cursor, 'cursor'), meta.put(revision, 'revision'), meta.put(filled, 'filled'));
    for (const seq of done) asked.push(outbox.delete(seq));
    for (const entry of changed) if (entry.seq !== undefined) asked.push(outbox.put(entry));
    await Promise.all(asked);
  }

  /** Takes the lease that one tab at a time has, for so long; whether it was to be had. */
  async lease(tab: string, ms: number): Promise<boolean> {
    const tx = this.database.transaction('meta', 'readwrite');
    const held = (await tx.store.get('lease')) as { tab: string; until: number } | undefined;
    const now = Date.now();
    // One that reaches further than any is of a clock that was set back.
    const free = !held || held.tab === tab || held.until < now || held.until > now + ms;
    if (free) await tx.store.put({ tab, until: now + ms }, 'lease');
    await tx.done;
    return free;
  }
}

function ofNoun(noun: NounName): IDBKeyRange {
  return IDBKeyRange.bound([noun], [noun, []]);
}
