import type { NounName } from '@leggero/contract';
import { eq, sql } from 'drizzle-orm';
import type { ResultSetHeader } from 'mysql2';

import { LOCK_SECONDS, type Database } from '../db/connect';
import { inserter } from '../db/insert';
import type { Scope } from '../db/records';
import { ask, statements } from '../db/statement';
import { changes, studios } from '../db/tables';
import { transact } from '../db/transact';
import { Turns } from '../db/turns';
import { Trail } from '../deed/trail';
import { announce } from './live';
import { allowWriting } from './reach';

/** A transaction that changes rows of one studio, and keeps track of which. */
export interface Writing extends Scope {
  /** Tells that rows were written, or are no longer there. */
  touch(noun: NounName, ids: readonly string[], there?: boolean): void;
  /** What is done, to be told and taken back later. */
  trail: Trail;
}

const RAISE = statements(
  () =>
    sql`update ${studios} set revision = last_insert_id(revision + 1) where ${eq(studios.id, sql.placeholder('studioId'))}`,
);

/** Notes a row as written, or gone. What was noted of it before is past. */
const note = inserter(changes, { then: sql` on duplicate key update revision = values(revision)` });

/** Whoever writes to a studio is the only one meanwhile. */
const turns = new Turns(LOCK_SECONDS * 1000);

/** A tap writes one row, seldom more: so many are noted one by one. */
const FEW = 2;
/** Notes more, so many at once. */
const BATCH = 1000;

async function noteMany(database: Database, rows: (typeof changes.$inferInsert)[]): Promise<void> {
  for (let i = 0; i < rows.length; i += BATCH) {
    await database
      .insert(changes)
      .values(rows.slice(i, i + BATCH))
      .onDuplicateKeyUpdate({ set: { revision: sql`values(revision)` } });
  }
}

/**
 * Does some work in one transaction and notes which rows it touched, with the studio's next revision. The revision is
 * raised first: its row stays locked until the work is committed, so that whoever reads up to a revision has seen all
 * that came before it. `last`: what is read in the same transaction once all is noted, for its answer.
 */
export async function inWriting<S extends Scope, T>(
  scope: S,
  work: (writing: S & Writing) => Promise<T>,
  last?: (within: Scope) => Promise<void>,
): Promise<T> {
  const { studioId } = scope;
  const { result, revision } = await turns.take(studioId, () =>
    transact(scope.database, async (database) => {
      const within: S = { ...scope, database };
      const touched = new Map<string, { noun: NounName; rowId: string; there: boolean }>();
      const raised = await ask<ResultSetHeader>(database, RAISE(), { studioId });
      const trail = new Trail();
      const result = await work({
        ...within,
        touch: (noun, ids, there = true) => {
          // Whatever writes tells of it here, so that nobody writes what is not theirs, by whichever way.
          allowWriting(scope.reach, noun);
          for (const rowId of ids) touched.set(`${noun} ${rowId} ${there}`, { noun, rowId, there });
        },
        trail,
      });
      const rows = [...touched.values()].map((row) => ({ ...row, studioId, revision: raised.insertId }));
      if (rows.length <= FEW) for (const row of rows) await note(database, row);
      else await noteMany(database, rows);
      await trail.write(within, raised.insertId);
      await last?.(within);
      return { result, revision: rows.length > 0 ? raised.insertId : null };
    }),
  );
  if (revision !== null) announce(studioId, revision);
  return result;
}
