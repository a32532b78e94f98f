import { getTableColumns, sql, type SQL } from 'drizzle-orm';
import type { MySqlColumn, MySqlTable } from 'drizzle-orm/mysql-core';

/**
 * A new row of a table by some of its fields, each with a place of its name; the others have their defaults.
 * `orLeave`: one that is there already stays as it is.
 */
export function insertInto(table: MySqlTable, fields: readonly string[], { orLeave = false } = {}): SQL {
  const columns = columnsOf(table);
  const names = fields.map((field) => sql.identifier(columns[field]!.name));
  const places = fields.map((field) => sql.placeholder(field));
  const insert = orLeave ? sql`insert ignore into` : sql`insert into`;
  return sql`${insert} ${table} (${sql.join(names, sql`, `)}) values (${sql.join(places, sql`, `)})`;
}

/** What is given for the fields of a row, in the order of its table's columns and as the driver takes it. */
export function givenFor(table: MySqlTable, row: object): Record<string, unknown> {
  const values = row as Record<string, unknown>;
  const given: Record<string, unknown> = {};
  for (const [field, column] of Object.entries(columnsOf(table))) {
    const value = values[field];
    if (value !== undefined) given[field] = value === null ? null : column.mapToDriverValue(value);
  }
  return given;
}

const columnsOf = (table: MySqlTable) => getTableColumns(table) as Record<string, MySqlColumn>;
