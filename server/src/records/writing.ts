import type { NounName } from '@leggero/contract';
import { eq, sql } from 'drizzle-orm';
import type { ResultSetHeader } from 'mysql2';

import type { Scope } from '../db/records';
import { changes, studios } from '../db/tables';
import { announce } from './live';
import { allowWriting } from './reach';

/** A transaction that changes rows of one studio, and keeps track of which. */
export interface Writing extends Scope {
  /** Tells that rows were written, or are no longer there. */
  touch(noun: NounName, ids: readonly string[], there?: boolean): void;
}

/** Changes noted at once. */
const BATCH = 1000;

/**
 * Does some work in one transaction and notes which rows it touched, with the studio's next revision. The revision is
 * raised first: its row stays locked until the work is committed, so that whoever reads up to a revision has seen all
 * that came before it.
 */
export async function inWriting<S extends Scope, T>(scope: S, work: (writing: S & Writing) => Promise<T>): Promise<T> {
  const { database, studioId } = scope;
  const { result, revision } = await database.transaction(async (tx) => {
    const touched = new Map<string, { noun: NounName; rowId: string; there: boolean }>();
    const [raised] = (await tx
      .update(studios)
      .set({ revision: sql`last_insert_id(${studios.revision} + 1)` })
      .where(eq(studios.id, studioId))) as unknown as [ResultSetHeader];
    const result = await work({
      ...scope,
      database: tx as unknown as Scope['database'],
      touch: (noun, ids, there = true) => {
        // Whatever writes tells of it here, so that nobody writes what is not theirs, by whichever way.
        allowWriting(scope.reach, noun);
        for (const rowId of ids) touched.set(`${noun} ${rowId} ${there}`, { noun, rowId, there });
      },
    });
    const rows = [...touched.values()].map((row) => ({ ...row, studioId, revision: raised.insertId }));
    for (let i = 0; i < rows.length; i += BATCH) {
      await tx
        .insert(changes)
        .values(rows.slice(i, i + BATCH))
        .onDuplicateKeyUpdate({ set: { revision: sql`values(revision)` } });
    }
    return { result, revision: rows.length > 0 ? raised.insertId : null };
  });
  if (revision !== null) announce(studioId, revision);
  return result;
}
