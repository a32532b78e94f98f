import { getTableColumns, is } from 'drizzle-orm';
import { getTableConfig, MySqlTable } from 'drizzle-orm/mysql-core';

import * as schema from '../db/tables';

/** A table that a backup holds. */
export interface KeptTable {
  name: string;
  columns: string[];
  /** What tells its rows apart, and orders them. */
  key: string[];
  /** The column that says whose its rows are: a studio's, or an account's. */
  of: string;
}

/**
 * What belongs to a studio and is in no backup: word of what changed, for devices, which are filled anew; invitations
 * and what is shared, which would open what was closed since.
 */
const LEFT_OUT: readonly MySqlTable[] = [schema.changes, schema.invitations, schema.shares];

function kept(table: MySqlTable, of = 'studio_id'): KeptTable {
  const { name, columns, primaryKeys } = getTableConfig(table);
  const key = primaryKeys[0]?.columns ?? columns.filter(({ primary }) => primary);
  return { name, columns: columns.map((column) => column.name), key: key.map((column) => column.name), of };
}

/** Tables whose rows are a studio's, by their column `studio_id`. */
const owned = (Object.values(schema) as unknown[])
  .filter((each) => is(each, MySqlTable))
  .filter((table) => 'studioId' in getTableColumns(table));
export const OWNED: readonly KeptTable[] = owned.map((table) => kept(table));

/** Those of them that a backup holds, always in the same order. */
export const STUDIO_TABLES: readonly KeptTable[] = owned
  .filter((table) => !LEFT_OUT.includes(table))
  .map((table) => kept(table))
  .toSorted((a, b) => a.name.localeCompare(b.name));

/** The studio itself. */
export const STUDIO = kept(schema.studios, 'id');
/** Who works there: rows of people who may work elsewhere too. */
export const ACCOUNTS = kept(schema.accounts, 'id');
export const MEMBERS = kept(schema.members);
/** What they sign in by. */
export const SIGN_IN: readonly KeptTable[] = [
  kept(schema.credentials, schema.credentials.userId.name),
  kept(schema.passkeys, schema.passkeys.userId.name),
];
