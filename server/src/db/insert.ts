import { getTableColumns, sql, type SQL } from 'drizzle-orm';
import type { MySqlColumn, MySqlTable } from 'drizzle-orm/mysql-core';
import type { QueryResult } from 'mysql2/promise';
import type { ResultSetHeader } from 'mysql2';

import type { Database } from './connect';
import { ask, statements } from './statement';

interface Inserting {
  /** A row that is there already stays as it is. */
  orLeave?: boolean;
  /** What comes after the row's values. */
  then?: SQL;
}

/**
 * How rows of a table are written one by one: by a statement that is kept for the fields that are given. The others have
 * their defaults.
 */
export function inserter<Answer extends QueryResult = ResultSetHeader>(
  table: MySqlTable,
  { orLeave = false, then = sql`` }: Inserting = {},
): (database: Database, row: object) => Promise<Answer> {
  const columns = getTableColumns(table) as Record<string, MySqlColumn>;
  const statement = statements((...fields: string[]) => {
    const names = fields.map((field) => sql.identifier(columns[field]!.name));
    const places = fields.map((field) => sql.placeholder(field));
    const insert = orLeave ? sql`insert ignore into` : sql`insert into`;
    return sql`${insert} ${table} (${sql.join(names, sql`, `)}) values (${sql.join(places, sql`, `)})${then}`;
  });
  return (database, row) => {
    const given = givenFor(columns, row as Record<string, unknown>);
    return ask(database, statement(...Object.keys(given)), given);
  };
}

/** What is given for the fields of a row, in the order of its table's columns and as the driver takes it. */
function givenFor(columns: Record<string, MySqlColumn>, row: Record<string, unknown>): Record<string, unknown> {
  const given: Record<string, unknown> = {};
  for (const [field, column] of Object.entries(columns)) {
    const value = row[field];
    if (value !== undefined) given[field] = value === null ? null : column.mapToDriverValue(value);
  }
  return given;
}
