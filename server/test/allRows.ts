import { sql } from 'drizzle-orm';

import { OWNED } from '../src/backup/tables';
import type { Database } from '../src/db/connect';

/** What is counted anew by whatever writes. */
const COUNTED = { revision: 0, filled_from: 0 };
/** Tables besides those of a studio's rows. */
const BESIDES = ['accounts', 'credentials', 'passkeys', 'studios'];

/** Rows of every table of studios and accounts, in the database's own words, by table; some left out. */
export async function allRows(database: Database, without: readonly string[] = []): Promise<Record<string, object[]>> {
  const names = [...OWNED.map(({ name }) => name), ...BESIDES].filter((name) => !without.includes(name));
  const found = names.map(async (name) => {
    const [rows] = (await database.execute(sql.raw(`select * from ${name} order by 1, 2`))) as unknown as [object[]];
    return [name, rows.map((row) => ({ ...row, ...COUNTED }))] as const;
  });
  return Object.fromEntries(await Promise.all(found));
}
