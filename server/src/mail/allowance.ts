import type { Options } from 'express-rate-limit';

import type { Database } from '../db/connect';
import { Counters } from '../http/counters';

/** How many letters may go for one who asks, counted over all processes: nobody's mailbox is filled by way of us. */
export class Allowance {
  private readonly counters: Counters;

  /** `name`: what is counted; `most` in `windowMs`. */
  constructor(
    database: Database,
    name: string,
    private readonly of: { most: number; windowMs: number },
  ) {
    this.counters = new Counters(database, name);
    this.counters.init({ windowMs: of.windowMs } as Options);
  }

  /** Counts one more; whether it may go. */
  async takes(key: string): Promise<boolean> {
    return (await this.counters.increment(key)).totalHits <= this.of.most;
  }
}
