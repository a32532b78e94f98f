import { changedSince, KEPT_NOUNS, NO_ROWS, NOUNS, type NounName, type Rows } from '@leggero/contract';
import { deleteDB, openDB, type DBSchema, type IDBPDatabase } from 'idb';

import { unkeptBy, type Unkept } from '@/device/storage';
import type { Entry } from '@/views/entries';

type AnyRow = { id: string };

/** What became of rows in one step, by noun: those that are there now, and those that are not. */
type Page = { [N in NounName]?: { rows: AnyRow[]; gone: string[] } };

interface Kept extends DBSchema {
  /** Pages of the nouns of few rows, and of those of many: replayed in their order they are the rows. */
  few: { key: number; value: Page };
  many: { key: number; value: Page };
  meta: { key: string; value: unknown };
  /** What waits and what was refused, by its number. */
  outbox: { key: number; value: Entry };
}

/** Of the stores; what is in them is `FORM`. */
const VERSION = 1;
/** Which rows are kept, and with which fields: what is kept in another form is read anew from the server. */
const FORM = `1 ${KEPT_NOUNS.map((name) => `${name} ${Object.keys(NOUNS[name].row.shape).join(' ')}`).join()}`;

/** Nouns that a grown studio has many thousand rows of. */
export const MANY_ROWS: readonly NounName[] = ['reading', 'checkResult'];
const isOfMany = (noun: string) => (MANY_ROWS as readonly string[]).includes(noun);

/** Pages read at once, so that nothing blocks the page. */
const PART = 2;
/** Rows of a page that was packed. */
const PACKED = 1000;
/** So many pages are packed into fewer. */
const MOST_PAGES = 600;

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

  /** Opens what is kept under a name; answers why not, where nothing can be. */
  static async open(name: string): Promise<Keep | Unkept> {
    if (typeof indexedDB === 'undefined') return 'missing';
    try {
      const database = await openDB<Kept>(name, VERSION, {
        upgrade(made) {
          made.createObjectStore('few', { autoIncrement: true });
          made.createObjectStore('many', { autoIncrement: true });
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

  /** All that is kept but the nouns of many rows, as of one moment. */
  async load(): Promise<Remembered> {
    const tx = this.database.transaction(['few', 'meta', 'outbox']);
    const meta = tx.objectStore('meta');
    const [form, cursor, revision, filled, entries, pages] = await Promise.all([
      meta.get('form'),
      meta.get('cursor'),
      meta.get('revision'),
      meta.get('filled'),
      tx.objectStore('outbox').getAll(),
      tx.objectStore('few').getAll(),
    ]);
    if (form !== FORM) return { rows: NO_ROWS, cursor: '', revision: 0, filled: false, entries };
    return {
      rows: { ...NO_ROWS, ...replayed(pages) },
      cursor: cursor as string,
      revision: revision as number,
      filled: filled as boolean,
      entries,
    };
  }

  /** The nouns of many rows, part by part, so that the page goes on meanwhile. */
  async loadMany(): Promise<Partial<Rows>> {
    const pages: Page[] = [];
    for (let last = 0; ;) {
      const range = IDBKeyRange.lowerBound(last, true);
      const [part, keys] = await Promise.all([
        this.database.getAll('many', range, PART),
        this.database.getAllKeys('many', range, PART),
      ]);
      pages.push(...part);
      if (part.length < PART) break;
      last = keys.at(-1)!;
    }
    return replayed(pages);
  }

  /** What waits and what was refused, and how far the rows go, as of one moment. */
  async entries(): Promise<Pick<Remembered, 'entries' | 'revision'>> {
    const tx = this.database.transaction(['meta', 'outbox']);
    const [revision, entries] = await Promise.all([
      tx.objectStore('meta').get('revision'),
      tx.objectStore('outbox').getAll(),
    ]);
    return { entries, revision: (revision as number | undefined) ?? 0 };
  }

  /** Keeps entries; they are on the disk when this resolves. */
  async add(entries: readonly Entry[]): Promise<Entry[]> {
    const tx = this.database.transaction('outbox', 'readwrite', { durability: 'strict' });
    const adding = entries.map(({ seq: _, ...entry }) => tx.store.add(entry));
    // At once, not once its answers have come back: that is one way there and back less.
    tx.commit();
    const [seqs] = await Promise.all([Promise.all(adding), tx.done]);
    return entries.map((entry, i) => ({ ...entry, seq: seqs[i]! }));
  }

  /** Takes entries out. */
  async remove(seqs: readonly number[]): Promise<void> {
    const tx = this.database.transaction('outbox', 'readwrite', { durability: 'strict' });
    await Promise.all([...seqs.map((seq) => tx.store.delete(seq)), tx.done]);
  }

  /** Rows, how far they go, and what became of entries: all or nothing of it. */
  async step({ before, after, cursor, revision, filled, done, changed }: Step): Promise<void> {
    const tx = this.database.transaction(['few', 'many', 'meta', 'outbox'], 'readwrite');
    const [few, many] = [tx.objectStore('few'), tx.objectStore('many')];
    const [meta, outbox] = [tx.objectStore('meta'), tx.objectStore('outbox')];
    const asked: Promise<unknown>[] = [tx.done];
    if ((await meta.get('form')) !== FORM) asked.push(few.clear(), many.clear(), meta.put(FORM, 'form'));
    for (const [store, page] of [
      [few, pageOf(before, after, false)],
      [many, pageOf(before, after, true)],
    ] as const)
      if (Object.keys(page).length > 0) asked.push(store.add(page));
    asked.push(meta.put(cursor, 'cursor'), meta.put(revision, 'revision'), meta.put(filled, 'filled'));
    for (const seq of done) asked.push(outbox.delete(seq));
    for (const entry of changed) if (entry.seq !== undefined) asked.push(outbox.put(entry));
    await Promise.all(asked);
  }

  /** Lets go of what is kept, so that it can be taken away. */
  close(): void {
    this.database.close();
  }

  /** Takes away all that is kept under a name. */
  static destroy(name: string): Promise<void> {
    return deleteDB(name);
  }

  /** Packs the many small pages that steps leave behind into few large ones. */
  async pack(): Promise<void> {
    const tx = this.database.transaction(['few', 'many'], 'readwrite');
    for (const name of ['few', 'many'] as const) {
      const store = tx.objectStore(name);
      if ((await store.count()) <= MOST_PAGES) continue;
      const rows = replayed(await store.getAll());
      await store.clear();
      for (const [noun, all] of Object.entries(rows)) {
        const list = [...all.values()];
        for (let i = 0; i < list.length; i += PACKED)
          await store.add({ [noun]: { rows: list.slice(i, i + PACKED), gone: [] } });
      }
    }
    await tx.done;
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

/** What of the nouns of many rows, or of the others, is otherwise after a step. */
function pageOf(before: Rows, after: Rows, many: boolean): Page {
  const page: Page = {};
  for (const noun of KEPT_NOUNS) {
    if (isOfMany(noun) !== many || after[noun] === before[noun]) continue;
    const [was, is] = [before[noun], after[noun]] as ReadonlyMap<string, AnyRow>[];
    const rows: AnyRow[] = [];
    const gone: string[] = [];
    for (const id of changedSince(was!, is!) ?? new Set([...was!.keys(), ...is!.keys()])) {
      const row = is!.get(id);
      if (row === undefined) gone.push(id);
      else if (row !== was!.get(id)) rows.push(row);
    }
    page[noun] = { rows, gone };
  }
  return page;
}

/** The rows that pages leave when they are laid one upon the other. */
function replayed(pages: readonly Page[]): Partial<Rows> {
  const rows: { [noun: string]: Map<string, AnyRow> } = {};
  for (const page of pages)
    for (const [noun, now] of Object.entries(page)) {
      const all = (rows[noun] ??= new Map());
      for (const id of now.gone) all.delete(id);
      for (const row of now.rows) all.set(row.id, row);
    }
  return rows as unknown as Partial<Rows>;
}
