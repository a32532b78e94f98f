import type { StockChange } from './kinds';

/** One line of a ledger: how many came or went, or how many there were when someone counted. */
export interface StockEntry {
  change: StockChange;
  count: number;
  /** Milliseconds since 1970. */
  atMs: number;
}

/** What a ledger comes to. */
export interface Stock {
  /** What should lie there; below zero where more went out than came in: the shelf may know better. */
  there: number;
  /** Of it went out, came back, and was spoiled since it was counted last. */
  out: number;
  spoiled: number;
  /** When it was counted last; null where it never was. */
  countedAtMs: number | null;
}

/**
 * What a ledger of one balloon comes to: a count says what there is, whatever was written before it; what came and went
 * afterwards is added. Entries may come in any order; of one moment a count is the last.
 */
export function stockOf(entries: readonly StockEntry[]): Stock {
  const inTime = [...entries].sort((a, b) => a.atMs - b.atMs || rank(a) - rank(b));
  const stock: Stock = { there: 0, out: 0, spoiled: 0, countedAtMs: null };
  for (const { change, count, atMs } of inTime) {
    switch (change) {
      case 'counted':
        Object.assign(stock, { there: count, out: 0, spoiled: 0, countedAtMs: atMs });
        break;
      case 'bought':
        stock.there += count;
        break;
      case 'back':
        stock.there += count;
        stock.out -= count;
        break;
      case 'out':
        stock.there -= count;
        stock.out += count;
        break;
      case 'spoiled':
        stock.there -= count;
        stock.spoiled += count;
        break;
    }
  }
  return stock;
}

const rank = ({ change }: StockEntry) => (change === 'counted' ? 1 : 0);

/** How many of a balloon one event takes. */
export interface Demand {
  event: string;
  /** When it opens, ms since 1970; null while nobody has said. */
  opensAtMs: number | null;
  count: number;
}

/** What of a stock an event may count on, after those that open before it. */
export interface Promised {
  /** Promised to events that open sooner. */
  before: number;
  /** What is left for this one, at least 0. */
  left: number;
  /** What this one lacks. */
  lacks: number;
  /** What is promised to those that open later and lack it once this one has its share. */
  later: number;
}

/**
 * What of a stock an event may count on: events are served as they open, those without a day last, of one moment as they
 * were given. A stock below zero is nothing.
 */
export function promisedTo({
  there,
  demands,
  event,
}: {
  there: number;
  demands: readonly Demand[];
  event: string;
}): Promised {
  const order = [...demands].sort((a, b) => (a.opensAtMs ?? Infinity) - (b.opensAtMs ?? Infinity) || 0);
  const at = order.findIndex((demand) => demand.event === event);
  const sum = (some: readonly Demand[]) => some.reduce((all, { count }) => all + count, 0);
  const own = at < 0 ? 0 : order[at]!.count;
  const before = sum(order.slice(0, Math.max(0, at)));
  const stock = Math.max(0, there);
  const left = Math.max(0, stock - before);
  const after = Math.max(0, left - own);
  return { before, left, lacks: Math.max(0, own - left), later: Math.max(0, sum(order.slice(at + 1)) - after) };
}
