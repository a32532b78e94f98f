import { DrizzleQueryError, fillPlaceholders, type SQLWrapper } from 'drizzle-orm';
import { MySqlDialect } from 'drizzle-orm/mysql-core';
import type { QueryResult } from 'mysql2/promise';

import type { Database } from './connect';

/** A statement that is asked over and over: its text, and the values of its places, `sql.placeholder` among them. */
export interface Statement {
  text: string;
  params: unknown[];
}

/**
 * Rows of a studio by several of their ids: by these. After many came at once the database takes a studio's rows for few,
 * and would look through all of them.
 */
export const BY_IDS = { forceIndex: 'PRIMARY' };

const dialect = new MySqlDialect();

/** More than there are; where whoever asks may choose, they choose no more of them than this. */
const MOST_KEPT = 500;

/**
 * Statements that are put together when they are first asked for, each by what it is for; what differs from one time to
 * the next are placeholders in them.
 */
export function statements<For extends unknown[]>(build: (...of: For) => SQLWrapper): (...of: For) => Statement {
  const kept = new Map<string, Statement>();
  return (...of) => {
    const key = of.join(' ');
    const before = kept.get(key);
    if (before) return before;
    if (kept.size === MOST_KEPT) kept.clear();
    const { sql: text, params } = dialect.sqlToQuery(build(...of).getSQL());
    const statement = { text, params };
    kept.set(key, statement);
    return statement;
  };
}

/**
 * Carries out a statement that each connection prepares once. Rows are lists of what drivers answer, in the order of what
 * is selected; moments are texts in UTC.
 */
export async function ask<Answer extends QueryResult>(
  { $client }: Database,
  { text, params }: Statement,
  given: Record<string, unknown> = {},
): Promise<Answer> {
  const values = fillPlaceholders(params, given);
  try {
    const [answer] = await $client.execute<Answer>(
      { sql: text, rowsAsArray: true, dateStrings: true },
      values as never,
    );
    return answer;
  } catch (error) {
    // As drizzle tells of its own: what is logged leaves the values out.
    throw new DrizzleQueryError(text, values, error as Error);
  }
}
