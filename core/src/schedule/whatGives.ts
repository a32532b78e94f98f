import { TRADE, type Trade } from '../trade';
import { eventSchedule, type EventAsked } from './eventSchedule';
import type { PieceToDo } from './eventSteps';
import type { Stretch } from './kinds';

/** Something that can give where a schedule cannot be kept. */
export type Give =
  /** Necks wrapped twice, so that they wait a night. */
  | { kind: 'wrap-twice' }
  /** Ordered so that it comes the next day. */
  | { kind: 'faster-delivery' }
  /** Worked into the evening. */
  | { kind: 'longer-days' }
  | { kind: 'stations' | 'people'; count: number }
  /** No time kept in hand before the opening. */
  | { kind: 'no-spare-time' }
  /** Inflated by eye. */
  | { kind: 'by-eye' }
  /** Of a piece that is left out. */
  | { kind: 'leave-out'; piece: string }
  /** Opened later, ms. */
  | { kind: 'later'; byMs: number };

/** Something that gives, with how late it still is then. */
export interface Given {
  give: Give;
  lateMs: number;
}

const DAY_MS = 86_400_000;
/** So many more people are asked for before sizes are. */
const MOST_MORE = 3;
/** What helps by less is not asked for. */
const HELPS_MS = 60_000;

/**
 * What would have to give so that a schedule can be kept, the gentlest first, each on top of those before; what does not
 * help is left out. Empty where it can be kept as it is. `longHours`: hours of work where days are longer.
 *
 * The order is common practice: a turn of the neck before money, money before hands, hands before sizes, sizes before
 * pieces, pieces before the opening.
 */
export function whatGives(
  asked: EventAsked,
  { longHours }: { longHours: readonly Stretch[] },
  trade: Trade = TRADE,
): Given[] {
  const lateOf = (one: EventAsked): number => {
    const made = eventSchedule(one, trade);
    return made.ok ? made.value.lateMs : Infinity;
  };
  let now = asked;
  let lateMs = lateOf(asked);
  const given: Given[] = [];
  const ask = (give: Give, next: EventAsked): void => {
    if (lateMs === 0) return;
    const left = lateOf(next);
    if (!(left < lateMs - HELPS_MS || left === 0)) return;
    given.push({ give, lateMs: left });
    [now, lateMs] = [next, left];
  };
  const planned = (by: Partial<EventAsked['plan']>): EventAsked => ({ ...now, plan: { ...now.plan, ...by } });
  if (asked.wraps === 1) ask({ kind: 'wrap-twice' }, { ...now, wraps: 2 });
  if (asked.plan.deliveryMs > DAY_MS) ask({ kind: 'faster-delivery' }, planned({ deliveryMs: DAY_MS }));
  ask({ kind: 'longer-days' }, { ...now, hours: longHours });
  for (let stations = asked.plan.stations + 1; stations <= asked.plan.people; stations += 1)
    ask({ kind: 'stations', count: stations }, planned({ stations }));
  for (let more = 1; more <= MOST_MORE; more += 1) {
    const people = asked.plan.people + more;
    // Whoever comes has a station too, where stations were what all waited for.
    ask({ kind: 'people', count: people }, planned({ people, stations: Math.max(now.plan.stations, people) }));
  }
  ask({ kind: 'no-spare-time' }, { ...now, dueMs: now.opensMs });
  if (asked.plan.sized) ask({ kind: 'by-eye' }, planned({ sized: false }));
  for (const piece of byHands(asked.pieces)) {
    if (now.pieces.length <= 1) break;
    ask({ kind: 'leave-out', piece: piece.id }, { ...now, pieces: now.pieces.filter(({ id }) => id !== piece.id) });
  }
  if (lateMs > 0 && Number.isFinite(lateMs)) given.push({ give: { kind: 'later', byMs: lateMs }, lateMs: 0 });
  return given;
}

/** Pieces by what hands they take, the most first. */
function byHands(pieces: readonly PieceToDo[]): PieceToDo[] {
  const hands = ({ balloons, knots, clusters }: PieceToDo) => balloons + knots + clusters;
  return [...pieces].sort((a, b) => hands(b) - hands(a));
}
