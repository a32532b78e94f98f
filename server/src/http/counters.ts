import { and, eq, gt, inArray, sql } from 'drizzle-orm';
import type { ClientRateLimitInfo, Options, Store } from 'express-rate-limit';

import { hashOf } from '../access/secret';
import type { Database } from '../db/connect';
import { counters } from '../db/tables';

/** How often something was done by one who is limited, until then, ms since 1970. */
export interface Count {
  key: string;
  count: number;
  until: number;
}

/** Adds counts to those in the records, where these have not ended by now; answers what they are then. */
export async function addUp(database: Database, counted: readonly Count[]): Promise<Count[]> {
  const now = counters.until.mapToDriverValue(new Date().toISOString());
  const over = sql`${counters.until} <= ${now}`;
  await database
    .insert(counters)
    .values(counted.map(({ until, ...row }) => ({ ...row, until: new Date(until).toISOString() })))
    // The count first: it is told by the time that was.
    .onDuplicateKeyUpdate({
      set: {
        count: sql`if(${over}, values(count), count + values(count))`,
        until: sql`if(${over}, values(until_at), until_at)`,
      },
    });
  const keys = counted.map(({ key }) => key);
  const rows = await database.select().from(counters).where(inArray(counters.key, keys));
  return rows.map(({ until, ...row }) => ({ ...row, until: Date.parse(until) }));
}

/** Counts of a limit, kept in the records: all processes of a service count together. */
export class Counters implements Store {
  readonly localKeys = false;
  private windowMs = 60_000;

  /** `name`: what is limited, apart from all else that is. */
  constructor(
    private readonly database: Database,
    private readonly name: string,
  ) {}

  init({ windowMs }: Options): void {
    this.windowMs = windowMs;
  }

  async increment(key: string): Promise<ClientRateLimitInfo> {
    const until = Date.now() + this.windowMs;
    const [counted] = await addUp(this.database, [{ key: this.keyOf(key), count: 1, until }]);
    return { totalHits: counted?.count ?? 1, resetTime: new Date(counted?.until ?? until) };
  }

  async decrement(key: string): Promise<void> {
    await this.database
      .update(counters)
      .set({ count: sql`count - 1` })
      .where(and(eq(counters.key, this.keyOf(key)), gt(counters.count, 0)));
  }

  async resetKey(key: string): Promise<void> {
    await this.database.delete(counters).where(eq(counters.key, this.keyOf(key)));
  }

  private keyOf(key: string): string {
    return hashOf(`${this.name} ${key}`);
  }
}
