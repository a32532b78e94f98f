import { isBranch } from './ownTrade';
import type { Trade } from './trade';

/**
 * A trade that notes which of its constants are read: what was worked out with it need not be worked out anew when
 * another one changes.
 */
export function watchedTrade(trade: Trade): { trade: Trade; read: ReadonlySet<string> } {
  const read = new Set<string>();
  const watched = new Proxy(trade, {
    get(table, name, receiver) {
      if (typeof name === 'string') read.add(name);
      return Reflect.get(table, name, receiver) as unknown;
    },
  });
  return { trade: watched, read };
}

/** Whether two trades say the same of these constants. */
export function sameIn(names: Iterable<string>, a: Trade, b: Trade): boolean {
  for (const name of names) if (!alike(a[name as keyof Trade], b[name as keyof Trade])) return false;
  return true;
}

/** A table that came from a worker has other objects in it, and the same numbers. */
function alike(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (!isBranch(a) || !isBranch(b)) return false;
  return Object.keys(a).every((name) => alike(a[name], b[name]));
}
