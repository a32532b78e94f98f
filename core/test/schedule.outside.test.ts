import { randomFrom } from '../src';
import {
  placeSteps,
  scheduleBack,
  slipOf,
  stepOrder,
  type Means,
  type PlacedStep,
  type Step,
  type Stretch,
} from '../src/schedule';
import { value } from './results';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const step = (id: string, hours: number, after: string[] = [], by: Partial<Step> = {}): Step => ({
  ...{ id, lastsMs: hours * HOUR_MS, anyHour: false, people: 1, stations: 0, after, notBeforeMs: null },
  ...by,
});
/** All hours, so that lengths alone decide. */
const ALWAYS: Stretch[] = [{ fromMs: -1e15, toMs: 1e15 }];
/** From nine to five, day after day from thirty days before zero. */
const DAYS: Stretch[] = Array.from({ length: 60 }, (_, day) => {
  const midnight = (day - 30) * DAY_MS;
  return { fromMs: midnight + 9 * HOUR_MS, toMs: midnight + 17 * HOUR_MS };
});
const inHours = (ms: number) => ms / HOUR_MS;

describe('the critical path', () => {
  // The example of seven activities on the page "Program evaluation and review technique" of Wikipedia: expected times
  // (o + 4m + p) / 6 as printed, early and late starts, slack, and the critical path a, c, e, g of 19.51 (its values from
  // memory).
  const EXAMPLE = [
    step('a', 4),
    step('b', 5.33),
    step('c', 5.17, ['a']),
    step('d', 6.33, ['a']),
    step('e', 5.17, ['b', 'c']),
    step('f', 4.5, ['d']),
    step('g', 5.17, ['e']),
  ].map((each) => ({ ...each, people: 0 }));
  const means: Means = { people: 0, stations: 0, hours: ALWAYS };

  it('of a published example is found, with every early and late start and slack', () => {
    const { steps, startsMs, lateMs } = value(
      scheduleBack({ steps: EXAMPLE, means, dueMs: 19.51 * HOUR_MS, nowMs: 0 }),
    );
    expect(inHours(startsMs)).toBeCloseTo(0, 6);
    expect(lateMs).toBeLessThan(1);
    expect(steps.filter(({ critical }) => critical).map(({ id }) => id)).toEqual(['a', 'c', 'e', 'g']);
    const of = (id: string) => steps.find((each) => each.id === id)!;
    for (const [id, early, late, slack] of [
      ['a', 0, 0, 0],
      ['b', 0, 3.84, 3.84],
      ['c', 4, 4, 0],
      ['d', 4, 8.68, 4.68],
      ['e', 9.17, 9.17, 0],
      ['f', 10.33, 15.01, 4.68],
      ['g', 14.34, 14.34, 0],
    ] as const) {
      expect(inHours(of(id).startMs)).toBeCloseTo(late, 6);
      expect(inHours(of(id).floatMs)).toBeCloseTo(slack, 6);
      expect(inHours(of(id).startMs - of(id).floatMs)).toBeCloseTo(early, 6);
    }
  });

  it('delays the end by what delays it, and no other step does within its slack', () => {
    const schedule = value(scheduleBack({ steps: EXAMPLE, means, dueMs: 19.51 * HOUR_MS, nowMs: 0 }));
    const slipped = value(slipOf({ steps: EXAMPLE, means, schedule, stepId: 'c', byMs: 2 * HOUR_MS }));
    expect(slipped.moved.map(({ id, byMs }) => [id, Math.round(inHours(byMs))])).toEqual([
      ['e', 2],
      ['g', 2],
    ]);
    expect(inHours(slipped.lateMs)).toBeCloseTo(2, 6);
    // Time kept in hand takes it up.
    const spare = slipOf({ steps: EXAMPLE, means, schedule, stepId: 'c', byMs: 2 * HOUR_MS, dueMs: 22 * HOUR_MS });
    expect(value(spare).lateMs).toBe(0);
  });
});

/** So many steps of so many hours by so many people, each after some of those before it. */
function some(count: number, seed: number, most: { people: number; stations: number }): Step[] {
  const random = randomFrom(seed);
  const whole = (to: number) => Math.floor(random() * to);
  return Array.from({ length: count }, (_, i) =>
    step(
      `s${i}`,
      1 + whole(8) / 2,
      Array.from({ length: Math.min(i, whole(3)) }, () => `s${Math.max(0, i - 1 - whole(6))}`).filter(
        (id, at, all) => all.indexOf(id) === at,
      ),
      { people: 1 + whole(most.people), stations: whole(most.stations + 1), anyHour: random() < 0.1 },
    ),
  );
}

/** The most people, or stations, that are held at once. */
function mostHeld(steps: readonly Step[], placed: readonly PlacedStep[], of: 'people' | 'stations'): number {
  const changes = placed.flatMap(({ id, parts }) =>
    parts.flatMap(({ fromMs, toMs }) => {
      const held = steps.find((each) => each.id === id)![of];
      return [
        { at: fromMs, by: held },
        { at: toMs, by: -held },
      ];
    }),
  );
  let [now, most] = [0, 0];
  for (const { by } of changes.sort((a, b) => a.at - b.at || a.by - b.by)) most = Math.max(most, (now += by));
  return most;
}

describe('steps in their places', () => {
  const means: Means = { people: 4, stations: 2, hours: DAYS };

  it('wait for one another, are worked at in hours of work, and hold no more hands than there are', () => {
    for (let seed = 0; seed < 60; seed += 1) {
      const steps = some(24, seed, { people: 3, stations: 2 });
      const { steps: placed, startsMs } = value(scheduleBack({ steps, means, dueMs: 0, nowMs: -25 * DAY_MS }));
      const byId = new Map(placed.map((each) => [each.id, each]));
      for (const { id, after, lastsMs, anyHour } of steps) {
        const { startMs, endMs, parts } = byId.get(id)!;
        for (const other of after) expect(byId.get(other)!.endMs).toBeLessThanOrEqual(startMs);
        expect(parts.reduce((sum, { fromMs, toMs }) => sum + toMs - fromMs, 0)).toBeCloseTo(lastsMs, 0);
        expect(endMs).toBeLessThanOrEqual(0);
        expect(startMs).toBeGreaterThanOrEqual(startsMs);
        if (anyHour) continue;
        for (const { fromMs, toMs } of parts)
          expect(DAYS.some((day) => day.fromMs <= fromMs && toMs <= day.toMs)).toBe(true);
      }
      expect(mostHeld(steps, placed, 'people')).toBeLessThanOrEqual(means.people);
      expect(mostHeld(steps, placed, 'stations')).toBeLessThanOrEqual(means.stations);
    }
  });

  it('come close to the best of all orders of placing, and never go below what hands and chains need', () => {
    const always: Means = { people: 3, stations: 1, hours: ALWAYS };
    let same = 0;
    for (let seed = 0; seed < 30; seed += 1) {
      const steps = some(6, 100 + seed, { people: 2, stations: 1 }).map((each) => ({ ...each, anyHour: false }));
      const long = -value(scheduleBack({ steps, means: always, dueMs: 0, nowMs: -DAY_MS })).startsMs;
      // Every order in which six can be placed: one of them is the best there is (common practice).
      let best = Infinity;
      for (const order of ordersOf(steps.map(({ id }) => id))) {
        const urgency = ({ id }: Step) => -order.indexOf(id);
        const placed = value(placeSteps({ steps, means: always, fromMs: 0, urgency }));
        best = Math.min(best, Math.max(...placed.map(({ endMs }) => endMs)));
      }
      const chain = Math.max(...value(stepOrder(steps)).tailMs.values());
      const hands = steps.reduce((sum, { lastsMs, people }) => sum + lastsMs * people, 0) / always.people;
      expect(long).toBeGreaterThanOrEqual(Math.max(chain, hands) - 1);
      expect(long).toBeLessThanOrEqual(1.25 * best);
      if (long <= best + 1) same += 1;
    }
    expect(same).toBeGreaterThanOrEqual(24);
  });

  it('go on over a night, and begin no sooner than they may', () => {
    const [placed] = value(placeSteps({ steps: [step('long', 10)], means, fromMs: 13 * HOUR_MS }));
    expect(placed!.parts.map(({ fromMs, toMs }) => [inHours(fromMs), inHours(toMs)])).toEqual([
      [13, 17],
      [33, 39],
    ]);
    const late = step('late', 1, [], { notBeforeMs: 12 * HOUR_MS });
    const { lateMs, lateStep } = value(scheduleBack({ steps: [late], means, dueMs: 10 * HOUR_MS, nowMs: 0 }));
    // An hour before ten is nine; it may begin at twelve.
    expect(inHours(lateMs)).toBe(3);
    expect(lateStep).toBe('late');
  });

  it('are found in this century too, whose moments have no parts of a millisecond', () => {
    const now = Date.UTC(2026, 10, 29);
    const hours = DAYS.map(({ fromMs, toMs }) => ({ fromMs: now + fromMs, toMs: now + toMs }));
    const thirds = Array.from({ length: 30 }, (_, i) => step(`s${i}`, 1 / 3 + i / 7, i === 0 ? [] : [`s${i - 1}`]));
    const { steps } = value(
      scheduleBack({ steps: thirds, means: { ...means, hours }, dueMs: now + 12 * HOUR_MS, nowMs: now - 25 * DAY_MS }),
    );
    for (const { id, parts } of steps)
      expect(
        parts.reduce((sum, { fromMs, toMs }) => sum + toMs - fromMs, 0) /
          thirds.find((each) => each.id === id)!.lastsMs,
      ).toBeCloseTo(1, 5);
  });

  it('a delivery goes on by night, and a moment takes no time', () => {
    const steps = [step('order', 0, [], { people: 0 }), step('comes', 48, ['order'], { anyHour: true, people: 0 })];
    const placed = value(scheduleBack({ steps, means, dueMs: 0, nowMs: -10 * DAY_MS })).steps;
    expect(placed.map(({ startMs, endMs }) => [inHours(startMs), inHours(endMs)])).toEqual([
      [-48, -48],
      [-48, 0],
    ]);
  });

  it('that cannot be placed say why', () => {
    const problemOf = (steps: Step[], by: Partial<Means> = {}) => {
      const made = scheduleBack({ steps, means: { ...means, ...by }, dueMs: 0, nowMs: -DAY_MS });
      return made.ok ? null : [made.problem.code, made.problem.field];
    };
    expect(problemOf([step('a', 1, ['b']), step('b', 1, ['a'])])).toEqual(['circle', 'steps.0.after']);
    expect(problemOf([step('a', 1), step('b', 1, ['gone'])])).toEqual(['unknown-step', 'steps.1.after']);
    expect(problemOf([step('a', 1, [], { people: 5 })])).toEqual(['too-many', 'steps.0.people']);
    expect(problemOf([step('a', 1, [], { stations: 3 })])).toEqual(['too-many', 'steps.0.stations']);
    expect(problemOf([step('a', -1)])).toEqual(['bad-length', 'steps.0.lastsMs']);
    expect(problemOf([step('a', 1)], { hours: [] })).toEqual(['no-hours', 'steps.0.lastsMs']);
    const gone = slipOf({
      ...{ steps: [step('a', 1)], means, stepId: 'b', byMs: 1 },
      schedule: value(scheduleBack({ steps: [step('a', 1)], means, dueMs: 0, nowMs: 0 })),
    });
    expect(gone).toMatchObject({ ok: false, problem: { code: 'unknown-step' } });
  });
});

function ordersOf(ids: readonly string[]): string[][] {
  if (ids.length < 2) return [[...ids]];
  return ids.flatMap((id) => ordersOf(ids.filter((other) => other !== id)).map((rest) => [id, ...rest]));
}
