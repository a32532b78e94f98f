import {
  basket,
  chainFor,
  chainProblem,
  countsOf,
  curtain,
  FORMS,
  formOf,
  handleFor,
  ringOf,
  ringsFor,
  snapForm,
  standingForm,
  swag,
  swagCount,
  swagRows,
  workingRings,
  type CurtainAsked,
  type FormShape,
} from '../src/linking';
import { TRADE } from '../src/trade';
import { inch, problemOf, value } from './results';

const codeOf = (found: ReturnType<typeof problemOf>) => (found === 'none' ? found : found.code);

/** What is refused, with its field and what would work; and what lies just within the bound is not. */
type Case<Asked> = [change: Partial<Asked>, problem: object | 'none'];

function check<Asked>(of: (asked: Asked) => unknown, asked: Asked, cases: Case<Asked>[]) {
  for (const [change, problem] of cases) {
    const found = of({ ...asked, ...change });
    if (problem === 'none') expect({ change, found }).toEqual({ change, found: 'none' });
    else expect({ change, found }).toEqual({ change, found: problem });
  }
}

it('a chain', () => {
  const asked: Parameters<typeof chainFor>[0] = {
    lengthMm: 900,
    widthMm: 125,
    jointMm: 5,
    leastMm: 100,
    mostMm: 150,
    stepMm: 3,
  };
  const outside = { code: 'outside-useful', field: 'widthMm' };
  check((each: Parameters<typeof chainFor>[0]) => problemOf(chainFor(each)), asked, [
    [{ lengthMm: 0 }, { code: 'bad-length', field: 'lengthMm' }],
    [{ lengthMm: Infinity }, { code: 'bad-length', field: 'lengthMm' }],
    [{ roomMm: 899 }, { code: 'longer-than-room', field: 'lengthMm', detail: { mostMm: 899 } }],
    [{ roomMm: 900 }, 'none'],
    [{ widthMm: 99 }, { ...outside, detail: { leastMm: 100, mostMm: 150 } }],
    [{ widthMm: 151 }, { ...outside, detail: { leastMm: 100, mostMm: 150 } }],
    [{ widthMm: 100 }, 'none'],
    [{ widthMm: 150 }, 'none'],
    [{ leastMm: 0 }, { ...outside, detail: { leastMm: 0, mostMm: 150 } }],
    [{ stepMm: 0 }, { code: 'bad-step', field: 'stepMm' }],
    [{ stepMm: 125 }, { code: 'bad-step', field: 'stepMm' }],
    // Shorter than one balloon of the smallest useful size.
    [{ lengthMm: 60 }, { code: 'no-count', field: 'lengthMm', detail: { nearestMm: 100, count: 1 } }],
    [
      { lengthMm: 190, leastMm: 120, mostMm: 130 },
      { code: 'no-count', field: 'lengthMm', detail: { nearestMm: 245, count: 2 } },
    ],
    [{ lengthMm: 20_000 * 130, leastMm: 124, mostMm: 126 }, 'none'],
    [{ lengthMm: 20_001 * 130, leastMm: 124.9999, mostMm: 125.0001 }, expect.objectContaining({ code: 'no-count' })],
  ]);
  // Bodies, joints and the plain balloon at its end, to the millimetre.
  const exact = value(chainFor({ ...asked, lengthMm: 7 * 125 + 7 * 5 + 90, finisherMm: 90 }));
  expect(exact).toMatchObject({ count: 7, balloons: 8, exactMm: expect.closeTo(125, 9) });
  expect(value(chainFor({ ...asked, lengthMm: 7 * 125 + 6 * 5 })).balloons).toBe(7);
  // Of six and seven the one whose balloons are nearer to what was wanted.
  const counts = [118, 121, 125, 126, 132].map(
    (widthMm) => value(chainFor({ ...asked, lengthMm: 6.45 * 130, widthMm })).count,
  );
  expect(counts).toEqual([7, 7, 7, 6, 6]);
});

it('a measured chain', () => {
  const of = (change: object) => chainProblem({ count: 5, widthMm: 100, lengthMm: 520, ...change });
  const detail = { leastMm: 400, mostMm: 700 };
  expect(of({ count: 3, lengthMm: 310 })).toBeNull();
  expect(of({ count: 2 })).toEqual({ code: 'too-few-balloons', field: 'count', detail: { least: 3 } });
  expect(of({ widthMm: Infinity })).toEqual({ code: 'bad-width', field: 'widthMm' });
  // Joints from a quarter of the width inwards to half of it apart.
  for (const lengthMm of [400, 700]) expect(of({ lengthMm })).toBeNull();
  for (const lengthMm of [399, 701])
    expect(of({ lengthMm })).toEqual({ code: 'impossible-length', field: 'lengthMm', detail });
});

it('a swag', () => {
  const refused = (code: string, field: string, detail?: object) => ({ code, field, ...(detail ? { detail } : {}) });
  check((each: Parameters<typeof swag>[0]) => problemOf(swag(each)), {}, [
    [{ spanMm: 1000 }, { code: 'leave-one-out', detail: { given: 1 } }],
    [
      { spanMm: 1000, dropMm: 100, lengthMm: 1100 },
      { code: 'leave-one-out', detail: { given: 3 } },
    ],
    [{ spanMm: 1000, dropMm: 100, riseMm: NaN }, refused('bad-rise', 'riseMm')],
    [{ spanMm: 0, dropMm: 100 }, refused('bad-span', 'spanMm')],
    [{ lengthMm: 0, spanMm: 100 }, refused('bad-length', 'lengthMm')],
    [{ lengthMm: -5, dropMm: 100 }, refused('bad-length', 'lengthMm')],
    // Flatter than a five hundredth nobody can hang.
    [{ spanMm: 1000, dropMm: 1.9 }, refused('no-drop', 'dropMm')],
    [{ spanMm: 1000, dropMm: 2 }, 'none'],
    [{ lengthMm: 1000, dropMm: 500 }, refused('drop-beyond-string', 'dropMm', { mostMm: 500 })],
    [{ lengthMm: 1000, dropMm: 400, riseMm: 200 }, refused('drop-beyond-string', 'dropMm', { mostMm: 400 })],
    [{ lengthMm: 1000, dropMm: 399, riseMm: 200 }, 'none'],
    [{ lengthMm: 1000, spanMm: 1000 }, refused('string-too-short', 'lengthMm', { leastMm: 1000 })],
    [{ lengthMm: 480, spanMm: 400, riseMm: 300 }, refused('string-too-short', 'lengthMm', { leastMm: 500 })],
    [{ lengthMm: 1420, spanMm: 1000, riseMm: 1000 }, refused('no-drop', 'lengthMm')],
  ]);
  const rows = { fixingsMm: [0, 900], dropMm: 200, rows: 12, rowDropMm: 40, widthsMm: [100], jointMm: 4 };
  check((each: Parameters<typeof swagRows>[0]) => problemOf(swagRows(each)), rows, [
    [{}, 'none'],
    [{ rows: 13 }, refused('bad-rows', 'rows')],
    [{ rows: 1.5 }, refused('bad-rows', 'rows')],
    [{ fixingsMm: [0] }, refused('too-few-fixings', 'fixingsMm')],
    [{ widthsMm: [0] }, refused('bad-length', 'widthsMm')],
    [{ widthsMm: [] }, refused('bad-length', 'widthsMm')],
    [{ jointMm: -100 }, refused('bad-length', 'widthsMm')],
    [{ dropMm: 0 }, refused('no-drop', 'dropMm')],
  ]);
  // As many as reach, tied by a neck at both ends: ten of 100 and eleven necks of 4 are 1,044.
  const count = (lengthMm: number) =>
    value(swagCount({ wanted: value(swag({ spanMm: 700, lengthMm })), widthsMm: [100], jointMm: 4 })).count;
  expect([995, 1043, 1045, 1094, 1098].map(count)).toEqual([10, 10, 10, 10, 11]);
});

it('a curtain', () => {
  const asked: CurtainAsked = {
    ...{ acrossMm: 2000, topMm: 2400, hemMm: 600, everyMm: 200, widthMm: 120, jointMm: 5 },
    ...{ topLine: 'level', bowMm: 0, hem: 'level', grid: false, walkedUnder: false },
  };
  const refused = (code: string, field: string, detail?: object) => ({ code, field, ...(detail ? { detail } : {}) });
  check((each: CurtainAsked) => problemOf(curtain(each)), asked, [
    [{ jointMm: -120 }, refused('bad-length', 'widthMm')],
    [{ everyMm: 119 }, refused('chains-too-near', 'everyMm', { leastMm: 120 })],
    [{ everyMm: 120 }, 'none'],
    // Bodies that press into one another hang as near as their pitch.
    [{ everyMm: 116, jointMm: -4 }, 'none'],
    [{ topLine: 'arched', bowMm: 1001, topMm: 1000 }, refused('bad-bow', 'bowMm', { mostMm: 1000 })],
    [{ topLine: 'arched', bowMm: 1000 }, 'none'],
    [{ topLine: 'swagged', bowMm: 1 }, refused('bad-bow', 'bowMm', { mostMm: 1000 })],
    [{ ceilingMm: 2399 }, refused('above-ceiling', 'topMm', { mostMm: 2399, ceilingMm: 2399 })],
    [{ ceilingMm: 2400 }, 'none'],
    [
      { topLine: 'arched', bowMm: 300, ceilingMm: 2650 },
      refused('above-ceiling', 'topMm', { mostMm: 2350, ceilingMm: 2650 }),
    ],
    [{ topLine: 'swagged', bowMm: 300, ceilingMm: 2400 }, 'none'],
    [{ hemMm: -1 }, refused('below-floor', 'hemMm')],
    [{ hemMm: 0 }, 'none'],
    [{ hemMm: 2281 }, refused('hem-too-high', 'hemMm', { mostMm: 2280 })],
    [{ hemMm: 2280 }, 'none'],
    [{ hemMm: 2000, topLine: 'swagged', bowMm: 300 }, refused('hem-too-high', 'hemMm', { mostMm: 1980 })],
    [{ hemMm: 2280, topLine: 'arched', bowMm: 300 }, 'none'],
    [{ hemMm: 2200, finisherMm: 90 }, refused('hem-too-high', 'hemMm', { mostMm: 2185 })],
    // 201 chains of 100 balloons are too many.
    [
      { acrossMm: 25_000, everyMm: 125, topMm: 12_500, hemMm: 5 },
      refused('too-many-balloons', 'acrossMm', { balloons: 20_100, most: 20_000 }),
    ],
    [{ acrossMm: 24_000, everyMm: 125, topMm: 12_500, hemMm: 5 }, 'none'],
    [
      { acrossMm: 80_000, everyMm: 125, topMm: 12_500, hemMm: 0 },
      refused('too-many-balloons', 'acrossMm', { balloons: 64_100, most: 20_000 }),
    ],
  ]);
  const counts = (change: Partial<CurtainAsked>) => value(curtain({ ...asked, ...change }));
  // 14 bodies and 13 joints are 1,745; with a plain balloon of 90 at the end a chain of 13 takes 1,715.
  expect(counts({ topMm: 2345 }).chains[0]).toEqual({ xMm: 0, topMm: 2345, endMm: 600, count: 14 });
  expect(counts({ topMm: 2315, finisherMm: 90 }).chains[10]).toEqual({ xMm: 2000, topMm: 2315, endMm: 600, count: 13 });
  // One that would end below the floor has one balloon less.
  expect(counts({ topMm: 1060, hemMm: 0 }).chains[0]).toMatchObject({ count: 8, endMm: 65 });
  expect(counts({ topMm: 125, hemMm: 0 }).chains[0]).toMatchObject({ count: 1, endMm: 5 });
  // Chains of unlike length are tied as far down as the shorter one goes.
  const grid = counts({ grid: true, topLine: 'swagged', bowMm: 400 });
  const tied = grid.chains.slice(1).map(({ count }, i) => Math.min(count, grid.chains[i]!.count));
  expect(grid.crossJoints).toBe(tied.reduce((sum, count) => sum + count, 0));
  expect(new Set(grid.chains.map(({ count }) => count)).size).toBeGreaterThan(2);
  expect(counts({ walkedUnder: true, hemMm: 2250, topMm: 2400 }).cautions).toEqual([]);
  expect(counts({ grid: true }).cautions).toEqual([]);
  expect(counts({ topLine: 'arched', bowMm: 300 }).cautions).toEqual([]);
  // The lowest of all chains is what heads meet.
  const lowest = counts({ walkedUnder: true, topLine: 'arched', bowMm: 900, hem: 'follows', hemMm: 1900, topMm: 2600 });
  expect(lowest.cautions).toEqual([
    { code: 'under-head-height', needMm: TRADE.headroomMm, lowestMm: lowest.chains[0]!.endMm },
  ]);
});

it('rings', () => {
  const wide = { code: 'too-few-balloons', field: 'count', detail: { least: 3, most: 500 } };
  check(
    (each: Parameters<typeof ringOf>[0]) => problemOf(ringOf(each)),
    { count: 8, pitchMm: 100 } as Parameters<typeof ringOf>[0],
    [
      [{ count: 501 }, wide],
      [{ count: 500 }, 'none'],
      [{ count: 3 }, 'none'],
      [{ widthMm: 0 }, { code: 'bad-width', field: 'widthMm' }],
      [{ pitchMm: Infinity }, { code: 'bad-pitch', field: 'pitchMm' }],
    ],
  );
  const asked = { diameterMm: 300, fit: 'around' as const, leastMm: 60, mostMm: 170, jointMm: 4, stepMm: 3 };
  check((each: Parameters<typeof ringsFor>[0]) => problemOf(ringsFor(each)), asked, [
    [{ diameterMm: Infinity }, { code: 'bad-diameter', field: 'diameterMm' }],
    [{ leastMm: 0 }, { code: 'bad-width', field: 'leastMm' }],
    [{ mostMm: 59 }, { code: 'bad-width', field: 'leastMm' }],
    [{ stepMm: 0 }, { code: 'bad-step', field: 'stepMm' }],
    [{ stepMm: 170 }, { code: 'bad-step', field: 'stepMm' }],
    [
      { diameterMm: 20, leastMm: 130 },
      { code: 'none-fits', field: 'diameterMm', detail: { diameterMm: 20, leastMm: 130, mostMm: 170 } },
    ],
  ]);
  // Every size within what is useful is told, and no other.
  for (const { exactMm, count, closingMm, widthMm } of value(ringsFor(asked))) {
    expect(exactMm).toBeGreaterThanOrEqual(60);
    expect(exactMm).toBeLessThanOrEqual(170);
    const radius = (300 + widthMm) / 2;
    expect(closingMm).toBeCloseTo(count * (widthMm + 4 - 2 * radius * Math.sin(Math.PI / count)), 9);
  }
});

describe('closed forms', () => {
  const shape: FormShape = { kind: 'basket', count: 6, rings: 2, baseMm: 100, leanDeg: 4, jointMm: 5 };
  const of = (change: Partial<FormShape>) => problemOf(formOf({ ...shape, ...change }));

  it.each(FORMS)('%s: how many in a ring, how many rings', (kind) => {
    const { least, most } = countsOf(kind);
    for (const count of [least - 1, most + 1, least + 0.5])
      expect(of({ kind, count })).toEqual({ code: 'bad-count', field: 'count', detail: { least, most } });
    for (const count of [least, most]) expect(codeOf(of({ kind, count }))).not.toBe('bad-count');
    const fewest = kind === 'basket' || kind === 'cup' ? 1 : 0;
    for (const rings of [fewest - 1, 7, 1.5])
      expect(of({ kind, rings })).toEqual({ code: 'bad-rings', field: 'rings', detail: { least: fewest, most: 6 } });
    for (const rings of [fewest, 6]) expect(codeOf(of({ kind, rings }))).not.toBe('bad-rings');
  });

  it('their sizes and their lean', () => {
    for (const change of [{ baseMm: 0 }, { baseMm: -100 }, { baseMm: Infinity }, { jointMm: 50 }, { jointMm: -50 }])
      expect(of(change)).toEqual({ code: 'bad-width', field: 'baseMm' });
    for (const jointMm of [49, -49]) expect(codeOf(of({ jointMm }))).not.toBe('bad-width');
    for (const leanDeg of [-0.1, 30.1, NaN])
      expect(of({ leanDeg })).toEqual({ code: 'bad-lean', field: 'leanDeg', detail: { least: 0, most: 30 } });
    for (const leanDeg of [0, 30]) expect(of({ leanDeg })).toBe('none');
  });

  it('a ring that finds no room is named, and how many there may be; a cap out of proportion is refused', () => {
    const dome = { kind: 'dome' as const, leanDeg: 0 };
    expect(of({ ...dome, count: 12, rings: 1 })).toEqual({ code: 'cap-too-large', field: 'rings' });
    let refused = 0;
    for (const [jointMm, count] of [5, 20, 45].flatMap((mm) => [5, 6, 7, 8, 10].map((n) => [mm, n] as const))) {
      const working = workingRings({ ...shape, ...dome, count, jointMm });
      for (let rings = 0; rings <= 6; rings += 1) {
        const found = of({ ...dome, count, jointMm, rings });
        expect(found === 'none').toBe(working.includes(rings));
        if (codeOf(found) !== 'no-room') continue;
        refused += 1;
        // With the most that it names there is room; whether a cap then fits is another matter.
        const { most, ring } = (found as { detail: { most: number; ring: number } }).detail;
        expect(most).toBeLessThan(rings);
        expect(ring).toBeLessThanOrEqual(rings + 1);
        expect(codeOf(of({ ...dome, count, jointMm, rings: most }))).not.toBe('no-room');
        expect(codeOf(of({ ...dome, count, jointMm, rings: most + 1 }))).toBe('no-room');
      }
    }
    expect(refused).toBeGreaterThan(10);
  });

  it('on a sizer’s steps', () => {
    const snap = (change: Partial<FormShape>, stepMm = inch(1 / 8), leastTieMm = 0) =>
      problemOf(snapForm({ shape: { ...shape, ...change }, stepMm, leastTieMm }));
    expect(snap({ count: 3 })).toMatchObject({ code: 'bad-count' });
    for (const stepMm of [0, 100]) expect(snap({}, stepMm)).toEqual({ code: 'bad-step', field: 'stepMm' });
    const coarse = snap({ leanDeg: 1 }, 20);
    expect(coarse).toMatchObject({ code: 'steps-too-coarse', field: 'stepMm' });
    // Rings of spokes grow by the wall's lean over half a pitch: the most that two neighbours differ by.
    const { layers } = value(formOf({ ...shape, leanDeg: 1 }));
    const [spokes, first, , upper] = layers.map(({ widthMm }) => widthMm) as [number, number, number, number];
    const { differenceMm } = (coarse as { detail: { differenceMm: number } }).detail;
    expect(differenceMm).toBeCloseTo(Math.max(first - spokes, upper - first), 9);
    const small = snap({}, inch(1 / 8), 90);
    expect(small).toMatchObject({ code: 'tie-too-small', field: 'baseMm', detail: { leastTieMm: 90 } });
    const { nearestMm } = (small as { detail: { nearestMm: number } }).detail;
    expect(snap({ baseMm: nearestMm }, inch(1 / 8), 90)).toBe('none');
    expect(snap({ baseMm: nearestMm - inch(1 / 8) }, inch(1 / 8), 90)).toMatchObject({ code: 'tie-too-small' });
  });

  it('a basket by its mouth', () => {
    const asked = { spokes: 6, rings: 2, stepMm: inch(1 / 8), jointMm: 5 };
    expect(problemOf(basket(asked))).toEqual({ code: 'leave-one-out', detail: { given: 0 } });
    expect(problemOf(basket({ ...asked, baseMm: 100, mouthMm: 100 }))).toEqual({
      code: 'leave-one-out',
      detail: { given: 2 },
    });
    for (const mouthMm of [0, -3, Infinity])
      expect(problemOf(basket({ ...asked, mouthMm }))).toEqual({ code: 'bad-mouth', field: 'mouthMm' });
    expect(problemOf(basket({ ...asked, baseMm: 100, stepMm: 0 }))).toEqual({ code: 'bad-step', field: 'stepMm' });
    expect(problemOf(basket({ ...asked, spokes: 9, mouthMm: 100 }))).not.toBe('none');
    for (const mouthMm of [60, 200, 900])
      expect(standingForm(value(basket({ ...asked, mouthMm })).exact).mouthMm / mouthMm).toBeCloseTo(1, 3);
  });
});

it('a handle', () => {
  const size = { code: '260', widthMm: 50, lengthMm: 1500 };
  expect(problemOf(handleFor({ spanMm: 300, riseMm: 0, size }))).toEqual({ code: 'bad-rise', field: 'riseMm' });
  const made = value(handleFor({ spanMm: 300, riseMm: 300, size }));
  // A bubble that holds is a quarter longer than wide (common practice).
  expect(made.bubbleMm).toBeCloseTo(62.5, 9);
  expect(made.bodyMm).toBeCloseTo(made.archMm + 125, 9);
  expect(made.tailMm).toBeGreaterThan(0);
  const refused = handleFor({ spanMm: 300, riseMm: 900, size });
  const { mostMm } = (problemOf(refused) as { detail: { mostMm: number } }).detail;
  // Just as long as the balloon when it is filled to its tail.
  expect(value(handleFor({ spanMm: 300, riseMm: mostMm - 0.001, size })).bodyMm).toBeCloseTo(1500 - made.tailMm, 1);
  expect(handleFor({ spanMm: 300, riseMm: mostMm + 0.01, size }).ok).toBe(false);
});
