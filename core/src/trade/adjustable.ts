import { ok, problem, type Result } from '../result';
import { CONSTANT_GROUPS, CONSTANTS, type ConstantGroup, type ConstantWords, type PlausibleRange } from './constants';
import { numberAt, numberKeys, tradeWith, type OwnNumber } from './ownTrade';
import { TRADE, type Trade } from './trade';

/** A number of the trade that a studio may have otherwise. */
export interface Adjustable {
  /** As `OwnNumber`. */
  key: string;
  /** The constant it is, or is a part of. */
  constant: keyof Trade;
  /** Its way within that constant; null where that is one number. */
  part: string | null;
  group: ConstantGroup;
  /** What sets it apart from the constant's other numbers; null where a part speaks for itself, or there is one. */
  partTitle: string | null;
  words: ConstantWords;
  unit: string;
  /** As the table has it. */
  usual: number;
  range: PlausibleRange;
}

const GROUP_OF = new Map(
  Object.entries(CONSTANT_GROUPS).flatMap(([group, constants]) =>
    Object.keys(constants).map((name) => [name, group as ConstantGroup] as const),
  ),
);

/** Days of the table of standing are names of its rows. */
const FIXED = /^standing\.\d+\.days$/;

/** Every number a studio may change, by what they decide; by key. */
export const ADJUSTABLE: ReadonlyMap<string, Adjustable> = new Map(
  Object.keys(CONSTANTS).flatMap((name) => {
    const constant = name as keyof Trade;
    return numberKeys({ [name]: TRADE[constant] }).flatMap((key) =>
      FIXED.test(key) ? [] : [[key, at(constant, key)]],
    );
  }),
);

function at(constant: keyof Trade, key: string): Adjustable {
  const words = CONSTANTS[constant];
  const part = key === constant ? null : key.slice(constant.length + 1);
  const own = part === null ? undefined : words.parts?.[part];
  return {
    key,
    constant,
    part,
    group: GROUP_OF.get(constant)!,
    partTitle: own?.title ?? null,
    words,
    unit: own?.unit ?? words.unit,
    usual: numberAt(TRADE, key)!,
    range: own?.range ?? words.range,
  };
}

/** Two numbers of which the first times `times` stays under the second, or at most meets it. */
interface Order {
  low: string;
  high: string;
  times: number;
  /** They may be equal. */
  meets: boolean;
}

const under = (low: string, high: string, times = 1): Order => ({ low, high, times, meets: false });
const upTo = (low: string, high: string): Order => ({ low, high, times: 1, meets: true });

/** What would make no sense together. */
const ORDERS: readonly Order[] = [
  under('roundAspect', 'ovalAspect'),
  upTo('shapeAnswerAspect.round', 'roundAspect'),
  under('roundAspect', 'shapeAnswerAspect.oval'),
  upTo('shapeAnswerAspect.oval', 'ovalAspect'),
  under('ovalAspect', 'shapeAnswerAspect.pear'),
  // What is assumed of a line's growth holds the spread between lines twice: about their mean, and about the next one.
  under('growthBetween.lines', 'aspectGrowth.sd', Math.SQRT2),
  under('restShare', 'smallestFraction'),
  under('smallestFraction', 'stuffedFraction'),
  under('smallestFraction', 'usualFraction'),
  upTo('usualFraction', 'largestFraction'),
  upTo('stuffedFraction', 'largestFraction'),
  upTo('standing.4.fraction', 'standing.3.fraction'),
  upTo('standing.3.fraction', 'standing.2.fraction'),
  upTo('standing.2.fraction', 'standing.1.fraction'),
  upTo('standing.1.fraction', 'standing.0.fraction'),
  under('smallestFraction', 'standing.4.fraction'),
  upTo('workTolerance.classic.fraction', 'workTolerance.garland.fraction'),
  upTo('workTolerance.garland.fraction', 'workTolerance.organic.fraction'),
  upTo('holdLossPerHour.twice', 'holdLossPerHour.once'),
  under('stretchShown.least', 'stretchShown.most'),
  ...['matte', 'pearl', 'mirror', 'clear'].map((finish) => upTo(`shine.${finish}.slack`, `shine.${finish}.tight`)),
  under('practisedBasket.spokes', 'practisedBasket.firstRing'),
  under('practisedBasket.firstRing', 'practisedBasket.upperRing'),
  under('practisedBasket.ties', 'practisedBasket.spokes'),
  upTo('sprayMost.wide', 'sprayMost.thin'),
];

/** Between what a number may lie, as the others are now. */
export interface Bounds {
  least: number;
  most: number;
  /** The numbers that hold it there; null for what is plausible. */
  leastBy: string | null;
  mostBy: string | null;
  /** Whether the bound itself will do. */
  leastMeets: boolean;
  mostMeets: boolean;
}

/** Between what the number of a key may lie beside a trade's other numbers; undefined for a key of none. */
export function constantBounds({ key, trade }: { trade: Trade; key: string }): Bounds | undefined {
  const adjustable = ADJUSTABLE.get(key);
  if (!adjustable) return undefined;
  const [least, most] = adjustable.range;
  const bounds: Bounds = { least, most, leastBy: null, mostBy: null, leastMeets: true, mostMeets: true };
  for (const { low, high, times, meets } of ORDERS) {
    if (high === key) {
      const bound = times * numberAt(trade, low)!;
      if (bound >= bounds.least) Object.assign(bounds, { least: bound, leastBy: low, leastMeets: meets });
    } else if (low === key) {
      const bound = numberAt(trade, high)! / times;
      if (bound <= bounds.most) Object.assign(bounds, { most: bound, mostBy: high, mostMeets: meets });
    }
  }
  return bounds;
}

export type ConstantProblemCode = 'unknown-constant' | 'implausible' | 'contradicts';

/**
 * The value, where the number of a key may have it beside a trade's other numbers.
 *
 * Problems: `unknown-constant` (field `key`); `implausible` (no number, or out of its range) and `contradicts` (the
 * number of another key, `by`, holds it within its bounds), both with `value` as their field.
 */
export function constantValue({
  key,
  value,
  trade,
}: {
  trade: Trade;
  key: string;
  value: number;
}): Result<number, ConstantProblemCode> {
  const range = ADJUSTABLE.get(key)?.range;
  const bounds = constantBounds({ trade, key });
  if (!range || !bounds) return problem('unknown-constant', { field: 'key' });
  if (!(value >= range[0] && value <= range[1]))
    return problem('implausible', { field: 'value', detail: { least: range[0], most: range[1] } });
  const { least, most, leastBy, mostBy, leastMeets, mostMeets } = bounds;
  const high = value > least || (leastMeets && value === least);
  const low = value < most || (mostMeets && value === most);
  if (high && low) return ok(value);
  return problem('contradicts', { field: 'value', detail: { least, most, by: (high ? mostBy : leastBy)! } });
}

/**
 * The same numbers in an order in which each can be set after the ones before it, from what a studio has now (`own`):
 * what rises goes from the top down, what falls from the bottom up. `null` where one of them cannot be so at all. There
 * always is such an order between two tables without contradictions: each pair only says which of two is the larger.
 */
export function inOrderOfChange({
  own,
  wanted,
}: {
  own: readonly OwnNumber[];
  wanted: readonly OwnNumber[];
}): OwnNumber[] | null {
  const ordered: OwnNumber[] = [];
  const left = [...wanted];
  while (left.length > 0) {
    const trade = tradeWith([...own, ...ordered]);
    const next = left.findIndex(({ key, value }) => constantValue({ trade, key, value }).ok);
    if (next < 0) return null;
    ordered.push(...left.splice(next, 1));
  }
  return ordered;
}
