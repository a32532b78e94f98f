import type { ClientRateLimitInfo, Options, Store } from 'express-rate-limit';

import { hashOf } from '../access/secret';
import type { Database } from '../db/connect';
import { addUp, type Count } from './counters';

/** How often processes add up what they counted, ms. */
const TOGETHER_MS = 1000;

/** What all processes had counted when it was added up last, and what came here since. */
interface Tally extends Count {
  fresh: number;
}

/**
 * Counts of a limit on every request: each process counts for itself, and once a second all of it is added up in the
 * records, in two statements however many ask.
 */
export class Tallies implements Store {
  readonly localKeys = false;
  private readonly tallies = new Map<string, Tally>();
  private windowMs = 60_000;
  private timer: NodeJS.Timeout | null = null;

  /** `name`: what is limited, apart from all else that is. */
  constructor(
    private readonly database: Database,
    private readonly name: string,
  ) {}

  init({ windowMs }: Options): void {
    this.windowMs = windowMs;
  }

  increment(key: string): ClientRateLimitInfo {
    const tally = this.tallyOf(key);
    tally.fresh += 1;
    this.timer ??= setTimeout(() => void this.addUp(), TOGETHER_MS).unref();
    return { totalHits: tally.count + tally.fresh, resetTime: new Date(tally.until) };
  }

  decrement(key: string): void {
    this.tallyOf(key).fresh -= 1;
  }

  resetKey(key: string): void {
    this.tallies.delete(this.keyOf(key));
  }

  /** Adds up what came here since; while the records are away each process goes on counting for itself. */
  async addUp(): Promise<void> {
    this.timer = null;
    const now = Date.now();
    for (const [key, { until }] of this.tallies) if (until <= now) this.tallies.delete(key);
    const asked = [...this.tallies.values()].filter(({ fresh }) => fresh !== 0);
    if (asked.length === 0) return;
    const sent = asked.map(({ key, fresh, until }) => ({ key, count: fresh, until }));
    const added = await addUp(this.database, sent).catch(() => []);
    const by = new Map(added.map((count) => [count.key, count]));
    for (const [i, tally] of asked.entries()) {
      const all = by.get(tally.key);
      if (all) Object.assign(tally, all, { fresh: tally.fresh - sent[i]!.count });
    }
  }

  private tallyOf(name: string): Tally {
    const key = this.keyOf(name);
    const now = Date.now();
    const kept = this.tallies.get(key);
    if (kept && kept.until > now) return kept;
    const begun = { key, count: 0, fresh: 0, until: now + this.windowMs };
    this.tallies.set(key, begun);
    return begun;
  }

  private keyOf(name: string): string {
    return hashOf(`${this.name} ${name}`);
  }
}
