import { TRADE } from '../src';
import {
  checkDue,
  checkEvery,
  doseAgainstLean,
  doseChange,
  isLost,
  learnPace,
  paceOf,
  progressOf,
  sinceCheckOf,
  timeLeftS,
  tradeAtPace,
  type SinceCheck,
} from '../src/inflation';

describe('how far a run is', () => {
  const batches = [
    { key: 'large', count: 4 },
    { key: 'small', count: 10 },
  ];

  it('counts what was tapped at all stations, and begins with the first batch', () => {
    const tallies = [
      { batch: 'large', what: 'done', count: 2 },
      { batch: 'large', what: 'popped', count: 1 },
      { batch: 'small', what: 'done', count: 2 },
      { batch: 'small', what: 'size', count: 1 },
    ] as const;
    const { batches: of, ...all } = progressOf({ batches, tallies });
    expect(all).toEqual({ wanted: 14, done: 4, lost: 1, left: 10, next: 'large' });
    expect(of.map(({ left, lost, over }) => [left, lost, over])).toEqual([
      [2, 1, 0],
      [8, 0, 0],
    ]);
  });

  it('says how many too many two stations made of one batch, and takes none of them for the next', () => {
    const twice = { batch: 'large', what: 'done', count: 3 } as const;
    const { batches: of, left, next } = progressOf({ batches, tallies: [twice, twice] });
    expect(of[0]).toMatchObject({ left: 0, over: 2 });
    expect([left, next]).toEqual([10, 'small']);
  });

  it('is through once nothing is left, and leaves out what no batch asks for', () => {
    const done = batches.map(({ key, count }) => ({ batch: key, what: 'done' as const, count }));
    const gone = { batch: 'gone', what: 'popped' as const, count: 3 };
    expect(progressOf({ batches, tallies: [...done, gone] })).toMatchObject({ next: null, left: 0, lost: 0 });
    expect(progressOf({ batches: [], tallies: [gone] })).toMatchObject({ next: null, wanted: 0 });
  });

  it('takes a balloon of the wrong size for none that is lost: air is let out of it (common practice)', () => {
    expect(['done', 'popped', 'pinhole', 'size', 'other'].filter((what) => isLost(what as 'done'))).toEqual([
      'popped',
      'pinhole',
      'other',
    ]);
  });
});

describe('a pace', () => {
  const taps = (gapsS: number[], count = 1) => {
    let atMs = Date.UTC(2026, 5, 1, 9);
    return [{ atMs, count }, ...gapsS.map((gap) => ({ atMs: (atMs += gap * 1000), count }))];
  };

  it('is the time from tap to tap, pauses and a clock that was set back left out', () => {
    const pace = paceOf({ made: taps([15, 16, 14, 15, 1200, 15, 15, -3600, 15, 15]), usualS: 20 })!;
    expect(pace.eachS).toBeCloseTo(15);
    expect(pace).toMatchObject({ balloons: 8, stretches: 3 });
  });

  it('of 48 two at a time in ten to fifteen minutes is that of the trade (common practice)', () => {
    const pace = paceOf({
      made: taps(
        Array.from({ length: 23 }, () => 31.25),
        2,
      ),
      usualS: 16,
    })!;
    expect(pace.eachS * 48).toBeGreaterThan(600);
    expect(pace.eachS * 48).toBeLessThan(900);
  });

  it('is not known from one tap, from taps of one moment, or from pauses alone', () => {
    expect(paceOf({ made: taps([]), usualS: 15 })).toBeNull();
    expect(paceOf({ made: taps([0, 0, 0]), usualS: 15 })).toBeNull();
    expect(paceOf({ made: taps([86_400, 86_400]), usualS: 15 })).toBeNull();
  });

  it('is learned by how many balloons it was seen on', () => {
    const seen = (balloons: number) => [{ eachS: 30, balloons, stretches: 1 }];
    expect(learnPace({ usualS: 15, seen: [] })).toEqual({ eachS: 15, balloons: 0, stretches: 0 });
    expect(learnPace({ usualS: 15, seen: seen(48) }).eachS).toBeCloseTo(22.5);
    expect(learnPace({ usualS: 15, seen: seen(4800) }).eachS).toBeGreaterThan(29.8);
    expect(tradeAtPace(TRADE, []).paceS).toEqual(TRADE.paceS);
    const { sized, eye } = tradeAtPace(TRADE, [{ eachS: 2 * TRADE.paceS.sized, balloons: 48, stretches: 1 }]).paceS;
    expect([sized, eye]).toEqual([1.5 * TRADE.paceS.sized, TRADE.paceS.eye]);
  });
});

describe('what is left', () => {
  it('takes as long as all stations together need', () => {
    expect(timeLeftS({ left: 60, paces: [{ eachS: 20 }, { eachS: 20 }] })).toBeCloseTo(600);
    expect(timeLeftS({ left: 60, paces: [{ eachS: 10 }, { eachS: 30 }] })).toBeCloseTo(450);
    expect(timeLeftS({ left: 60, paces: [] })).toBeNull();
  });
});

describe('another dose', () => {
  it('goes with the cube of the width, in half strokes and tenths of seconds', () => {
    // Three strokes take a 5 in to about 4 in (common practice): one less, to 3.5 in.
    expect(doseChange({ dose: 3, widthMm: 101.6, byMm: -12.7, timed: false })).toBe(-1);
    expect(doseChange({ dose: 7, widthMm: 254, byMm: -3.2, timed: false })).toBe(-0.5);
    expect(doseChange({ dose: 4, widthMm: 254, byMm: 6.35, timed: true })).toBeCloseTo(0.3);
    expect(doseChange({ dose: 3, widthMm: 254, byMm: 1, timed: false })).toBe(0);
  });
});

describe('a dose against a lean', () => {
  const against = (meanMm: number | null, basis: 'widths' | 'answers') =>
    doseAgainstLean({ dose: 7, timed: false, targetMm: 241.3, toleranceMm: 6.35, lately: { meanMm, basis } });

  it('makes up for what was measured, and for no more than the tolerance where only a hole was asked', () => {
    expect(against(241.3 + 16, 'widths')).toBe(-1.5);
    expect(against(241.3 + 16, 'answers')).toBe(-0.5);
    expect(against(241.3 - 16, 'answers')).toBe(0.5);
    expect(against(241.3 + 1, 'widths')).toBe(0);
    expect(against(null, 'answers')).toBe(0);
  });
});

describe('when to check a size', () => {
  const steady: SinceCheck = { made: 3, none: false, hands: false, paused: false, leaning: false };
  const due = (since: Partial<SinceCheck>, every = 8) => checkDue({ since: { ...steady, ...since }, every });

  it('is at the first balloons of a batch, of other hands, and after a pause', () => {
    expect(due({ none: true, made: 1 }).why).toBe('start');
    expect(due({ hands: true, made: 1 }).why).toBe('hands');
    expect(due({ paused: true, made: 2 }).why).toBe('pause');
  });

  it('is not before a balloon is there to be checked', () => {
    expect(due({ none: true, made: 0 })).toEqual({ why: null, inBalloons: 8 });
    expect(due({ hands: true, paused: true, made: 0 }).why).toBeNull();
  });

  it('is by the plan otherwise, and twice as often while the last ones lean', () => {
    expect(due({})).toEqual({ why: null, inBalloons: 5 });
    expect(due({ made: 8 })).toEqual({ why: 'plan', inBalloons: 0 });
    expect(due({ made: 4 }).why).toBeNull();
    expect(due({ made: 4, leaning: true }).why).toBe('leaning');
    expect(due({ made: 9, leaning: true }).why).toBe('plan');
    expect(due({ made: 1, leaning: true }, 2)).toEqual({ why: null, inBalloons: 1 });
  });

  it('is told from what was tapped and checked since', () => {
    const at = (minutes: number, count = 1) => ({ atMs: minutes * 60_000, count });
    const since = (checks: number[], turnAt = 0) =>
      sinceCheckOf({
        made: [at(1, 2), at(2, 2), at(3, 2), at(20, 2)],
        checkedAtMs: checks.map((minutes) => minutes * 60_000),
        turnAtMs: turnAt * 60_000,
        pauseMs: 5 * 60_000,
        leaning: false,
      });
    expect(since([])).toEqual({ made: 8, none: true, hands: false, paused: true, leaning: false });
    expect(since([2.5])).toMatchObject({ made: 4, none: false, paused: true });
    expect(since([2.5], 2.8)).toMatchObject({ hands: true });
    expect(since([4])).toMatchObject({ made: 2, paused: true });
    expect(since([19, 1.5])).toMatchObject({ made: 2, paused: false });
    expect(since([21])).toMatchObject({ made: 0, paused: false });
  });

  it('spreads the checks of a plan over its lot', () => {
    expect(checkEvery({ lot: 96, checks: 5 })).toBe(19);
    expect(checkEvery({ lot: 8, checks: 8 })).toBe(2);
    expect(checkEvery({ lot: 8, checks: 0 })).toBe(8);
  });
});
