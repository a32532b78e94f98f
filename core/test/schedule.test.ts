import { TRADE } from '../src';
import {
  downSteps,
  eventSchedule,
  eventSteps,
  whatGives,
  type EventAsked,
  type PieceToDo,
  type Stretch,
} from '../src/schedule';
import { hoursFor } from '../src/supply';
import { value } from './results';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** Zero is a midnight; days are worked from nine. */
const days = (toHour: number): Stretch[] =>
  Array.from({ length: 40 }, (_, day) => {
    const midnight = (day - 35) * DAY_MS;
    return { fromMs: midnight + 9 * HOUR_MS, toMs: midnight + toHour * HOUR_MS };
  });
const COLUMN: PieceToDo = { id: 'column', balloons: 320, stuffed: 0, knots: 240, clusters: 80, copies: 2 };
const GARLAND: PieceToDo = { id: 'garland', balloons: 144, stuffed: 24, knots: 108, clusters: 36, copies: 1 };
const asked = (by: Partial<EventAsked> = {}, plan: Partial<EventAsked['plan']> = {}): EventAsked => ({
  pieces: [COLUMN, GARLAND],
  plan: { people: 3, stations: 2, sized: true, travelMs: HOUR_MS, deliveryMs: 3 * DAY_MS, ...plan },
  opensMs: 12 * HOUR_MS,
  dueMs: 11 * HOUR_MS,
  nowMs: -20 * DAY_MS,
  wraps: 2,
  hours: days(19),
  ...by,
});
const kindsOf = (one: EventAsked) => value(eventSchedule(one)).steps.map(({ id }) => id);

describe('the steps of an event', () => {
  it('come to the hours of hands that its work takes', () => {
    const steps = eventSteps({ pieces: [COLUMN, GARLAND], plan: asked().plan });
    const counts = { balloons: 464, stuffed: 24, knots: 348, clusters: 116, pieces: 3 };
    const hours = value(hoursFor({ counts, sized: true, people: 3, stations: 2 }));
    for (const [kind, phase] of [
      ['stuff', 'stuff'],
      ['inflate', 'inflate'],
      ['tie', 'tie'],
      ['build', 'build'],
      ['load', 'load'],
      ['up', 'install'],
    ] as const) {
      const own = steps.filter((step) => step.kind === kind);
      const handMs = own.reduce((sum, { lastsMs, people }) => sum + lastsMs * people, 0);
      expect(handMs / HOUR_MS).toBeCloseTo(hours.phases.find((each) => each.phase === phase)!.handHours, 6);
    }
  });

  it('leave out what there is nothing of, and hold as many as can be at it', () => {
    const plain = { ...COLUMN, stuffed: 0, knots: 0 };
    const steps = eventSteps({ pieces: [plain], plan: { ...asked().plan, deliveryMs: 0, travelMs: 0 } });
    expect(steps.map(({ kind }) => kind)).toEqual(['inflate', 'build', 'load', 'up']);
    expect(steps[0]).toMatchObject({ people: 2, stations: 2, after: [] });
    expect(steps[1]).toMatchObject({ people: 2, stations: 0, after: ['inflate'], piece: 'column' });
  });

  it('leave out what is done, and of what is being done what is made', () => {
    const { plan } = asked();
    const all = eventSteps({ pieces: [COLUMN, GARLAND], plan });
    const half = eventSteps({ pieces: [COLUMN, GARLAND], plan, made: 232 });
    const lasts = (steps: typeof all, id: string) => steps.find((step) => step.id === id)!.lastsMs;
    expect(lasts(half, 'inflate')).toBeCloseTo(lasts(all, 'inflate') / 2, 6);
    const done = new Set(['buy', 'stuff', 'inflate', 'tie', 'build column']);
    const rest = eventSteps({ pieces: [COLUMN, GARLAND], plan, done, made: 999 });
    expect(rest.map(({ id }) => id)).toEqual(['build garland', 'load', 'travel', 'up column', 'up garland']);
    // Nothing waits for what is done.
    expect(rest.map(({ after }) => after)).toEqual([[], ['build garland'], ['load'], ['travel'], ['travel']]);
  });

  it('end with taking it down and the way back, at whatever hour that is', () => {
    const steps = downSteps({ pieces: [COLUMN, GARLAND], plan: asked().plan, closesMs: 23 * HOUR_MS });
    expect(steps.map(({ id, anyHour, notBeforeMs }) => [id, anyHour, notBeforeMs])).toEqual([
      ['down', true, 23 * HOUR_MS],
      ['back', true, 23 * HOUR_MS],
    ]);
    expect(steps[0]!.lastsMs).toBeCloseTo((1000 * 3 * TRADE.paceS.takeDown) / 3, 6);
    expect(downSteps({ pieces: [], plan: asked().plan, closesMs: 0 })).toEqual([]);
    const rest = downSteps({ pieces: [COLUMN], plan: asked().plan, closesMs: 0, done: new Set(['down']) });
    expect(rest.map(({ id, after }) => [id, after])).toEqual([['back', []]]);
  });
});

describe('the schedule of an event', () => {
  it('goes backwards from its opening, with a look in the morning where balloons wait for a night', () => {
    const { steps, overnight, aheadH, lateMs } = value(eventSchedule(asked()));
    const kinds = steps.map(({ id }) => id.split(' ')[0]);
    expect(kinds).toEqual(['buy', 'stuff', 'inflate', 'tie', 'build', 'build', 'check', 'load', 'travel', 'up', 'up']);
    expect(overnight).toBe(true);
    expect(aheadH!).toBeGreaterThan(12);
    expect(lateMs).toBe(0);
    const check = steps.find(({ id }) => id === 'check')!;
    // The morning of the opening.
    expect(check.startMs).toBeGreaterThanOrEqual(9 * HOUR_MS);
    expect(Math.max(...steps.map(({ endMs }) => endMs))).toBe(11 * HOUR_MS);
  });

  it('measures nothing in the morning of what is made and put up on one day', () => {
    const small = asked({
      opensMs: 18 * HOUR_MS,
      dueMs: 17 * HOUR_MS,
      pieces: [{ ...GARLAND, balloons: 48, stuffed: 0, knots: 36, clusters: 12 }],
    });
    expect(kindsOf(small)).not.toContain('check');
    expect(value(eventSchedule(small)).overnight).toBe(false);
  });

  it('does not inflate the night before what is wrapped once', () => {
    const once = value(eventSchedule(asked({ wraps: 1 })));
    expect(once.lateStep).toBe('inflate');
    expect(once.lateMs).toBeGreaterThan(0);
    expect(value(eventSchedule(asked({ wraps: 2 }))).lateMs).toBe(0);
  });

  it('has the delivery begin in time, and is late by what is missing', () => {
    const { steps } = value(eventSchedule(asked()));
    const [buy, stuff] = ['buy', 'stuff'].map((id) => steps.find((step) => step.id === id)!);
    expect(buy!.endMs).toBeLessThanOrEqual(stuff!.startMs);
    expect(buy!.endMs - buy!.startMs).toBeCloseTo(3 * DAY_MS, 0);
    const late = value(eventSchedule(asked({ nowMs: buy!.startMs + 5 * HOUR_MS })));
    expect(late.lateMs / HOUR_MS).toBeCloseTo(5, 3);
    expect(late.lateStep).toBe('buy');
    expect(late.steps.filter(({ critical }) => critical).length).toBeGreaterThan(0);
  });

  it('is kept on the day itself where the rest can be done in time', () => {
    const noon = { opensMs: 18 * HOUR_MS, dueMs: 17 * HOUR_MS, nowMs: 14 * HOUR_MS };
    expect(value(eventSchedule(asked(noon))).lateMs).toBeGreaterThan(0);
    const done = new Set(['buy', 'stuff', 'inflate', 'tie', 'build column', 'build garland']);
    const rest = value(eventSchedule(asked({ ...noon, done })));
    expect(rest.lateMs).toBe(0);
    expect(rest.steps[0]!.id).toBe('load');
    const all = new Set([...done, 'load', 'travel', 'up column', 'up garland']);
    expect(value(eventSchedule(asked({ ...noon, done: all }))).steps).toEqual([]);
  });

  it('asks for someone, and for a station', () => {
    expect(eventSchedule(asked({}, { people: 0 }))).toMatchObject({ ok: false, problem: { code: 'nobody' } });
    expect(eventSchedule(asked({}, { stations: 0 }))).toMatchObject({ ok: false, problem: { code: 'no-station' } });
  });
});

describe('what would have to give', () => {
  const long = { longHours: days(23) };

  it('is nothing where it can be kept', () => {
    expect(whatGives(asked(), long)).toEqual([]);
  });

  it('is a second turn of the neck where balloons may not wait for a night without', () => {
    expect(whatGives(asked({ wraps: 1 }), long)).toEqual([{ give: { kind: 'wrap-twice' }, lateMs: 0 }]);
  });

  it('begins with money and ends with the opening; what does not help is not asked for', () => {
    // The evening before: what is to be bought comes the next day at the soonest.
    const given = whatGives(asked({ nowMs: -6 * HOUR_MS }), long);
    expect(given[0]!.give).toEqual({ kind: 'faster-delivery' });
    expect(given.at(-1)!.give.kind).toBe('later');
    expect(given.at(-1)!.lateMs).toBe(0);
    const left = given.map(({ lateMs }) => lateMs);
    expect(left).toEqual([...left].sort((a, b) => b - a));
  });

  it('asks for hands before sizes, and for sizes before pieces', () => {
    const hurried = asked({ nowMs: -5 * HOUR_MS }, { deliveryMs: 0, people: 2, stations: 1 });
    const kinds = whatGives(hurried, { longHours: days(20) }).map(({ give }) => give.kind);
    const order = ['longer-days', 'stations', 'people', 'no-spare-time', 'by-eye', 'leave-out', 'later'];
    expect(kinds.length).toBeGreaterThan(1);
    expect(kinds.map((kind) => order.indexOf(kind))).toEqual(
      kinds.map((kind) => order.indexOf(kind)).sort((a, b) => a - b),
    );
    expect(kinds).toContain('people');
  });

  it('stops as soon as it can be kept', () => {
    const short = value(eventSchedule(asked({}, { deliveryMs: 0 })));
    const given = whatGives(asked({ nowMs: short.startsMs + HOUR_MS / 2 }, { deliveryMs: 0 }), long);
    expect(given.length).toBeGreaterThan(0);
    expect(given.at(-1)!.lateMs).toBe(0);
    expect(given.filter(({ lateMs }) => lateMs === 0)).toHaveLength(1);
  });
});
