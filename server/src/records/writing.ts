import type { NounName } from '@leggero/contract';
import { eq, sql, type Placeholder } from 'drizzle-orm';
import type { ResultSetHeader } from 'mysql2';

import { LOCK_SECONDS } from '../db/connect';
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

/** What is noted of a row; in a statement that is put together once, with places for it. */
type Noted = { [Field in keyof typeof changes.$inferInsert]: (typeof changes.$inferInsert)[Field] | Placeholder };

/** Notes rows as written or gone, once each: what was noted of them before is past. */
const noting = (rows: Noted[]) =>
  sql`insert into ${changes} (studio_id, noun, row_id, there, revision) values ${sql.join(
    rows.map(
      ({ studioId, noun, rowId, there, revision }) => sql`(${studioId}, ${noun}, ${rowId}, ${there}, ${revision})`,
    ),
    sql`, `,
  )} on duplicate key update revision = values(revision)`;

/** A tap writes one row. */
const NOTE = statements(() => {
  const place = (name: string) => sql.placeholder(name);
  const [studioId, noun, rowId] = [place('studioId'), place('noun'), place('rowId')];
  return noting([{ studioId, noun, rowId, there: place('there'), revision: place('revision') }]);
});

/** Whoever writes to a studio is the only one meanwhile. */
const turns = new Turns(LOCK_SECONDS * 1000);

/** Changes noted at once. */
const BATCH = 1000;

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
      if (rows.length === 1) await ask(database, NOTE(), rows[0]);
      else for (let i = 0; i < rows.length; i += BATCH) await database.execute(noting(rows.slice(i, i + BATCH)));
      await trail.write(within, raised.insertId);
      await last?.(within);
      return { result, revision: rows.length > 0 ? raised.insertId : null };
    }),
  );
  if (revision !== null) announce(studioId, revision);
  return result;
}
