import { TRADE, type Trade } from './trade';

/** One number of the trade as a studio has it. */
export interface OwnNumber {
  /** Its way within the table: "roundAspect", "measureSdMm.tape", "standing.1.fraction". */
  key: string;
  value: number;
}

/**
 * The table with a studio's own numbers in it; of two for one key the later one counts. Keys that lead to no number
 * here, as a newer version may have kept them, change nothing; with none that does it is the table itself.
 */
export function tradeWith(own: Iterable<OwnNumber>): Trade {
  let made: unknown = TRADE;
  for (const { key, value } of own) made = withNumber(made, key.split('.'), value);
  return made as Trade;
}

/** The number a key leads to; undefined where there is none. */
export function numberAt(trade: Trade, key: string): number | undefined {
  let at: unknown = trade;
  for (const name of key.split('.')) at = isBranch(at) && Object.hasOwn(at, name) ? at[name] : undefined;
  return typeof at === 'number' ? at : undefined;
}

/** The keys of all numbers in a table, in its order. */
export function numberKeys(table: object = TRADE): string[] {
  return Object.entries(table).flatMap(([name, value]) =>
    isBranch(value) ? numberKeys(value).map((key) => `${name}.${key}`) : [name],
  );
}

function withNumber(at: unknown, [name, ...rest]: readonly string[], value: number): unknown {
  if (name === undefined) return typeof at === 'number' ? value : at;
  if (!isBranch(at) || !Object.hasOwn(at, name)) return at;
  const changed = withNumber(at[name], rest, value);
  if (changed === at[name]) return at;
  return Array.isArray(at)
    ? at.map((each: unknown, i) => (String(i) === name ? changed : each))
    : { ...at, [name]: changed };
}

/** Whether a value of the table has numbers in it. */
export function isBranch(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null;
}
