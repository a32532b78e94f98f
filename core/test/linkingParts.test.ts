import {
  alikeSizes,
  closingAround,
  closingOf,
  closingShare,
  closingTolerance,
  contactsOf,
  formOf,
  formSteps,
  handleFor,
  handleLine,
  handleSpanMm,
  oneWrong,
  pullOne,
  simulateClosing,
  snapForm,
  spheresOf,
  stateOf,
  swag,
  swagPoint,
  tieErrorMm,
  tieGiveMm,
  usualLeanDeg,
  type Closing,
  type Form,
  type FormShape,
} from '../src/linking';
import { TRADE } from '../src/trade';
import { inch, value } from './results';

const BASKET: FormShape = {
  kind: 'basket',
  count: 6,
  rings: 2,
  baseMm: 127,
  leanDeg: usualLeanDeg('basket'),
  jointMm: 5,
};
const form = (change: Partial<FormShape>) => value(formOf({ ...BASKET, ...change }));
const snap = (change: Partial<FormShape>, stepMm = inch(1 / 8)) =>
  value(snapForm({ shape: { ...BASKET, ...change }, stepMm, leastTieMm: 0 }));

describe('the contacts of a form', () => {
  /** In a ring each balloon has a neighbour; a turned one rests on two, a cap on its whole ring, a tie among four. */
  it.each([
    ['a wreath of one ring', { kind: 'wreath', count: 8, rings: 0, leanDeg: 0 }, 8],
    ['a wreath of two', { kind: 'wreath', count: 16, rings: 1, leanDeg: 0 }, 16 + 16 + 32],
    ['a cup', { kind: 'cup', count: 7, rings: 2 }, 3 * 7 + 2 * 14],
    ['a dome', { kind: 'dome', count: 6, rings: 1, leanDeg: 0 }, 2 * 6 + 12 + 6],
    ['a ball', { kind: 'ball', count: 6, rings: 1, leanDeg: 0 }, 3 * 6 + 2 * 12 + 2 * 6],
    // Spokes upon spokes, two rings held by their knots, and from the third on ring upon ring.
    ['a basket of one ring', { rings: 1 }, 6 + 6 + 6],
    ['a basket of two', { rings: 2 }, 6 + 6 + 6 + 6 + 4 * 6],
    ['a basket of four', { rings: 4 }, 6 + 6 + 6 + 6 + 2 * (6 + 6) + 3 * 4 * 6],
  ] as [string, Partial<FormShape>, number][])('%s', (_, shape, count) => {
    const made = form(shape);
    const contacts = contactsOf(made);
    expect(contacts).toHaveLength(count);
    const told = new Set(contacts.map(({ a, b }) => [Math.min(a, b), Math.max(a, b)].join()));
    expect(told.size).toBe(count);
    const spheres = spheresOf(made);
    expect(spheres).toHaveLength([...made.layers, ...made.ties].reduce((sum, layer) => sum + layer.count, 0));
    for (const { a, b, distanceMm } of contacts) {
      const [p, q] = [spheres[a]!, spheres[b]!];
      expect(Math.hypot(p.xMm - q.xMm, p.yMm - q.yMm, p.zMm - q.zMm)).toBeCloseTo(distanceMm, 5);
    }
  });
});

describe('the extent of a form', () => {
  it('is over everything, and its mouth is what its last ring leaves clear', () => {
    for (const shape of [
      { rings: 3 },
      { kind: 'cup', rings: 2, leanDeg: 6 },
      { kind: 'dome', rings: 1, leanDeg: 0 },
    ] as const) {
      const made = form(shape);
      const spheres = spheresOf({ layers: made.layers, ties: [] });
      const reach = (of: (sphere: (typeof spheres)[number]) => number) => spheres.map(of);
      const high = Math.max(...reach(({ zMm, widthMm }) => zMm + widthMm / 2));
      const low = Math.min(...reach(({ zMm, widthMm }) => zMm - widthMm / 2));
      expect(made.heightMm).toBeCloseTo(high - low, 9);
      const out = Math.max(...reach(({ xMm, yMm, widthMm }) => Math.hypot(xMm, yMm) + widthMm / 2));
      expect(made.acrossMm).toBeCloseTo(2 * out, 9);
      const top = made.layers.at(-1)!;
      expect(made.mouthMm).toBeCloseTo(top.role === 'cap' ? 0 : 2 * top.radiusMm - top.widthMm, 9);
    }
  });

  /**
   * In a plane, touching its neighbours and two of the ring within: with t = R2 / R1 and h = pi / n,
   * 1 + t^2 - 2 t cos h = sin^2 h (1 + t)^2 (distance of two points).
   */
  it('a wreath’s rings grow by the one factor that lets them touch', () => {
    for (const count of [8, 12, 24]) {
      const h = Math.PI / count;
      const b = (Math.cos(h) + Math.sin(h) ** 2) / Math.cos(h) ** 2;
      const factor = b + Math.sqrt(b * b - 1);
      const { layers } = form({ kind: 'wreath', count, rings: 2, leanDeg: 0, jointMm: 0 });
      layers.slice(1).forEach((layer, i) => {
        expect(layer.widthMm / layers[i]!.widthMm).toBeCloseTo(factor, 8);
        expect(layer.turned).not.toBe(layers[i]!.turned);
      });
    }
  });
});

describe('sizes on a sizer’s steps', () => {
  /** The least worst error over all sets of steps, when only the form's size may move: a plain search. */
  it.each([
    { kind: 'wreath', count: 16, rings: 2, leanDeg: 0 },
    { kind: 'dome', count: 6, rings: 1, leanDeg: 0 },
    { kind: 'ball', count: 8, rings: 2, leanDeg: 0 },
  ] as Partial<FormShape>[])('of a $kind are those that a plain search finds', (shape) => {
    const step = inch(1 / 8);
    const baseMm = inch(5);
    const { sizes, form: made, compared } = snap({ ...shape, baseMm });
    expect(sizes[0]).toMatchObject({ key: 'ring-1', widthMm: expect.closeTo(baseMm, 9) });
    expect(compared).toBe(5 ** (sizes.length - 1));
    const widths = (base: number) => {
      const { layers } = form({ ...shape, baseMm: base });
      return sizes.map(({ key }) => layers.find((layer) => layer.key === key)!.widthMm);
    };
    const [still, moved] = [widths(baseMm), widths(baseMm + 0.01)];
    const pitch = still.map((mm, i) => mm + (sizes[i]!.key === 'cap' ? 0 : 5));
    const u = still.map((mm, i) => (moved[i]! - mm) / pitch[i]!);
    const uu = u.reduce((sum, x) => sum + x * x, 0);
    let best = { score: Infinity, set: [] as number[] };
    for (let code = 0; code < compared; code += 1) {
      const set = still.map((mm, i) =>
        i === 0 ? baseMm : (Math.round(mm / step) - 2 + (Math.floor(code / 5 ** (i - 1)) % 5)) * step,
      );
      if (set.some((mm) => mm <= 0)) continue;
      const off = set.map((mm, i) => (mm - still[i]!) / pitch[i]!);
      const along = off.reduce((sum, x, i) => sum + x * u[i]!, 0) / uu;
      const worst = Math.max(...off.map((x, i) => Math.abs(x - along * u[i]!))) / TRADE.ringGive;
      const departs = set.reduce((sum, mm, i) => sum + ((mm - still[i]!) / step) ** 2, 0) / set.length;
      if (worst + 0.2 * departs < best.score) best = { score: worst + 0.2 * departs, set };
    }
    expect(sizes.map(({ widthMm }) => widthMm)).toEqual(best.set.map((mm) => expect.closeTo(mm, 6)));
    // What is told of each is that of the place which the form leaves it.
    const places = form(made.shape).layers;
    for (const { key, widthMm, closingMm, ofGive, count } of sizes) {
      const layers = places.filter((layer) => layer.key === key);
      const { widthMm: placeMm, count: around, role } = layers[0]!;
      expect(count).toBe(layers.length * around);
      expect(closingMm).toBeCloseTo((role === 'cap' ? 1 : around) * (widthMm - placeMm), 6);
      const give = role === 'cap' ? TRADE.tieGive * placeMm : TRADE.ringGive * (placeMm + 5);
      expect(ofGive).toBeCloseTo(Math.abs(widthMm - placeMm) / give, 6);
    }
  });

  it('of ties: one size where the bands want one, else one for each band', () => {
    const ties = (leanDeg: number) => snap({ rings: 3, leanDeg }).sizes.filter(({ key }) => key.startsWith('ties'));
    expect(ties(0)).toEqual([expect.objectContaining({ key: 'ties-1', count: 12 })]);
    expect(ties(12).map(({ key, count }) => [key, count])).toEqual([
      ['ties-1', 6],
      ['ties-2', 6],
    ]);
    const { form: made, sizes } = snap({ rings: 3, leanDeg: 12 });
    for (const tie of made.ties) {
      const size = sizes.find(({ key }) => key === tie.key)!;
      expect(tie.widthMm).toBe(size.widthMm);
      // Five eighths of the rings it ties, as practised.
      const exact = 0.3125 * (made.layers[tie.below]!.widthMm + made.layers[tie.above]!.widthMm);
      expect(size.exactMm).toBeCloseTo(exact, 9);
      expect(size.closingMm).toBeCloseTo(size.widthMm - exact, 9);
      expect(size.ofGive).toBeCloseTo(Math.abs(size.closingMm) / (TRADE.tieGive * size.widthMm), 9);
    }
    const { worst, sizes: all } = snap({ rings: 2 });
    expect(worst).toBe(Math.max(...all.map(({ ofGive }) => ofGive)));
  });

  /** Of the two bands that share a size the first is further off, or the second. */
  it.each([4.5, 5])('of bands that share a size the worse one is told: spokes of %d', (inches) => {
    const { form: made, sizes } = snap({ rings: 4, baseMm: inch(inches), leanDeg: 3 }, inch(1 / 4));
    const [shared] = sizes.filter(({ key, count }) => key.startsWith('ties') && count === 12);
    const off = made.ties
      .filter(({ key }) => key === shared!.key)
      .map(({ below, above, widthMm }) =>
        Math.abs(widthMm - 0.3125 * (made.layers[below]!.widthMm + made.layers[above]!.widthMm)),
      );
    expect(off).toHaveLength(2);
    expect(Math.abs(off[0]! - off[1]!)).toBeGreaterThan(1);
    expect(Math.abs(shared!.closingMm)).toBeCloseTo(Math.max(...off), 9);
    expect(shared!.exactMm).toBeCloseTo(shared!.widthMm - shared!.closingMm, 9);
  });
});

describe('the steps of a form', () => {
  const told = (made: Form) =>
    formSteps(made).steps.map((step) => ('ring' in step ? `${step.code} ${step.ring}` : step.code));

  it('a ball is built from its equator up, then down, its caps last on either side', () => {
    expect(told(form({ kind: 'ball', count: 8, rings: 2, leanDeg: 0 }))).toEqual([
      ...['tie-ring 1', 'tie-ring 2', 'seat-ring 2', 'tie-ring 3', 'seat-ring 3', 'set-cap'],
      ...['tie-ring 4', 'seat-ring 4', 'tie-ring 5', 'seat-ring 5', 'set-cap'],
    ]);
    const { steps } = formSteps(form({ kind: 'ball', count: 8, rings: 2, leanDeg: 0 }));
    const keys = steps.flatMap((step) => (step.code === 'tie-ring' ? [step.key] : []));
    expect(keys).toEqual(['ring-1', 'ring-2', 'ring-3', 'ring-2', 'ring-3']);
  });

  it('a basket’s third ring stands upon its second', () => {
    const { steps } = formSteps(form({ rings: 3 }));
    expect(steps.flatMap((step) => (step.code === 'seat-ring' ? [step.on] : []))).toEqual(['spokes', 'ends', 'upon']);
    expect(steps.flatMap((step) => (step.code === 'tie-points' ? [step.ring] : []))).toEqual([2, 3]);
  });

  it('tells what goes wrong in it, and nothing that cannot', () => {
    const notes = (change: Partial<FormShape>) => formSteps(form(change)).notes;
    expect(notes({ kind: 'wreath', count: 8, rings: 0, leanDeg: 0 })).toEqual(['close-ring-last']);
    expect(notes({ kind: 'cup', rings: 1 })).toEqual(['half-step', 'close-ring-last', 'keep-layers-apart']);
    expect(notes({ kind: 'ball', count: 6, rings: 1, leanDeg: 0 })[0]).toBe('equator-first');
    expect(notes({ rings: 2 })).toEqual([
      ...['twist-between-second-and-third', 'points-not-balloons', 'close-ring-last', 'keep-layers-apart'],
    ]);
    expect(told(form({ kind: 'cup', rings: 1 }))).toEqual(['tie-ring 1', 'tie-ring 2', 'seat-ring 2']);
  });
});

describe('one balloon off its size', () => {
  const { form: made } = snap({});
  const closing = closingOf({ form: made });
  const spheres = spheresOf(made);

  it('is told of the ties beside it: each has a quarter of its place from it, five eighths as wide', () => {
    // Rings among closing: inner spokes, first ring, upper ring.
    for (const [ring, offMm] of [
      [1, 6],
      [2, -9],
      [1, 60],
    ] as const) {
      const [tie] = closing.ties;
      const { lowerMm, upperMm } = tie!.place;
      const still = tieErrorMm(tie!.widthMm, [lowerMm, lowerMm, upperMm, upperMm]);
      const error = still - (0.625 * offMm) / 4;
      const { ties } = oneWrong({ closing, ring, offMm });
      expect(ties.worstMm).toBeCloseTo(error, 9);
      expect(ties.unfit).toBe(Math.abs(error) > tieGiveMm(tie!) ? 2 : 0);
    }
    expect(oneWrong({ closing, ring: 1, offMm: 60 }).ties.unfit).toBe(2);
    // Nothing ties the spokes.
    expect(oneWrong({ closing, ring: 0, offMm: 30 }).ties).toEqual({ unfit: 0, worstMm: 0 });
    // A ring between two bands has ties in both; the worse one is told.
    const three = closingOf({ form: snap({ rings: 3, leanDeg: 12 }).form });
    expect(oneWrong({ closing: three, ring: 2, offMm: 90 }).ties.unfit).toBe(4);
  });

  it('may be off until its ring’s error is what the joints take up, either way', () => {
    const { mostMm } = oneWrong({ closing, ring: 2, offMm: 0 });
    const give = TRADE.ringGive * closing.rings[2]!.roomMm;
    expect(oneWrong({ closing, ring: 2, offMm: mostMm.large }).errorMm).toBeCloseTo(give, 1);
    expect(oneWrong({ closing, ring: 2, offMm: -mostMm.small }).errorMm).toBeCloseTo(-give, 1);
    expect(oneWrong({ closing, ring: 2, offMm: -20 }).liftMm).toBe(0);
    expect([stateOf(2, 2), stateOf(-2, 2), stateOf(2.1, 2), stateOf(-2.1, 2)]).toEqual([
      ...['closes', 'closes', 'buckles', 'opens'],
    ]);
  });

  it('is one of its own ring: of the spokes and of each ring the number that closing has', () => {
    for (const key of ['spokes', 'ring-1', 'ring-2']) {
      const place = spheres.findIndex((sphere) => sphere.key === key);
      const { wrong } = pullOne({ spheres, closing, form: made, at: place, offMm: 8 });
      const ring = closing.rings.findIndex((each) => each.key === key);
      expect(wrong).toEqual(oneWrong({ closing, ring, offMm: 8 }));
    }
    // Nothing closes through the outer spokes.
    const outer = spheres.findIndex(({ layer }) => made.layers[layer]!.role === 'outer-spokes');
    const pulled = pullOne({ spheres, closing, form: made, at: outer, offMm: 8 });
    expect([pulled.wrong, pulled.gap]).toEqual([null, null]);
    expect(pulled.spheres[outer]!.widthMm).toBeCloseTo(spheres[outer]!.widthMm + 8, 9);
  });

  it('looks like another when they differ by less than an eye tells', () => {
    const share = TRADE.looksAlike;
    const pair = (apartMm: number) =>
      alikeSizes([
        { key: 'large', widthMm: 200 },
        { key: 'small', widthMm: 200 - apartMm },
      ]);
    expect(pair(200 * share)).toEqual([]);
    expect(pair(199 * share)).toEqual([{ first: 'large', second: 'small', apartMm: expect.closeTo(199 * share, 9) }]);
  });
});

describe('how exact balloons must be', () => {
  const none = { rings: [], ties: [], caps: [] };
  const ring = { key: 'ring', count: 9, widthMm: 127, jointMm: 5, roomMm: 9 * 132 };
  /** The normal law keeps 95 of 100 within 1.959964 standard deviations (published tables). */
  const Z = 1.959964;

  it('for a cap alone it is what the normal table gives, and so it is when many are built', () => {
    const cap: Closing = { ...none, caps: [{ key: 'cap', widthMm: 60, placeMm: 60 }] };
    const sdMm = (TRADE.tieGive * 60) / Z;
    expect(closingTolerance({ closing: cap })).toEqual({ sdMm: expect.closeTo(sdMm, 5), weakest: 'cap' });
    const built = simulateClosing({ closing: cap, runs: 6000 });
    expect(built.weakest).toBe('cap');
    expect(Math.abs(built.sdMm! - sdMm)).toBeLessThan(4 * built.errorMm!);
    // One that is not quite as wide as its place leaves less.
    const off: Closing = { ...none, caps: [{ key: 'cap', widthMm: 58, placeMm: 60 }] };
    const less = closingTolerance({ closing: off }).sdMm!;
    expect(less).toBeLessThan(0.6 * sdMm);
    expect(closingShare({ closing: off, sdMm: less })).toBeCloseTo(0.95, 6);
    expect(Math.abs(simulateClosing({ closing: off, runs: 6000 }).sdMm! / less - 1)).toBeLessThan(0.05);
  });

  it('of ties that are weaker than their rings it is theirs', () => {
    // Wide joints leave the rings much room; the ties are as practised.
    const rings = [0, 1].map((i) => ({ key: `ring-${i}`, count: 6, widthMm: 130, jointMm: 500, roomMm: 6 * 630 }));
    const tie = { key: 'ties', count: 6, widthMm: 81.25, lower: 0, upper: 1, place: { lowerMm: 130, upperMm: 130 } };
    const closing = { rings, ties: [tie], caps: [] };
    // Six that must all hold: each with the sixth root of 0.95, within 2.6310 deviations (published tables).
    const sdMm = (TRADE.tieGive * 81.25) / 2.631 / Math.hypot(1, 0.3125);
    const found = closingTolerance({ closing });
    expect(found.weakest).toBe('ties');
    expect(found.sdMm! / sdMm).toBeCloseTo(1, 3);
    const built = simulateClosing({ closing, runs: 2000 });
    expect(built.weakest).toBe('ties');
    expect(Math.abs(built.sdMm! - sdMm)).toBeLessThan(4 * built.errorMm!);
  });

  it('the simulation tells its own error: as much as it differs from seed to seed', () => {
    const closing = { ...none, rings: [ring] };
    const built = Array.from({ length: 24 }, (_, seed) => simulateClosing({ closing, runs: 200, seed: seed + 1 }));
    const mean = built.reduce((sum, { sdMm }) => sum + sdMm!, 0) / built.length;
    const spread = Math.sqrt(built.reduce((sum, { sdMm }) => sum + (sdMm! - mean) ** 2, 0) / (built.length - 1));
    const told = built.reduce((sum, { errorMm }) => sum + errorMm!, 0) / built.length;
    expect(told / spread).toBeGreaterThan(0.6);
    expect(told / spread).toBeLessThan(1.6);
    expect(mean).toBeCloseTo((TRADE.ringGive * ring.roomMm) / Z / 3, 1);
    expect(built[0]!.runs).toBe(200);
  });

  it('where no spread opens it, or none closes it, both say so', () => {
    const wide = { ...none, rings: [{ ...ring, widthMm: 4000, jointMm: 0, roomMm: 9 * 4000 * 1000 }] };
    expect(closingTolerance({ closing: { ...none, caps: [{ key: 'cap', widthMm: 5000, placeMm: 5000 }] } })).toEqual({
      sdMm: null,
      weakest: null,
    });
    expect(
      simulateClosing({ closing: { ...none, caps: [{ key: 'cap', widthMm: 5000, placeMm: 5000 }] }, runs: 200 }),
    ).toEqual({ sdMm: null, weakest: null, runs: 200, errorMm: null });
    expect(closingTolerance({ closing: wide })).toEqual({ sdMm: 0, weakest: 'ring' });
    const tight = { ...none, rings: [{ ...ring, roomMm: 9 * 128 }] };
    expect(simulateClosing({ closing: tight, runs: 200 })).toEqual({ sdMm: 0, weakest: 'ring', runs: 200, errorMm: 0 });
    expect(closingShare({ closing: none, sdMm: 5 })).toBe(1);
  });

  it('what has to close is each ring in its room, each tie among four, each cap on its ring', () => {
    const dome = form({ kind: 'dome', count: 6, rings: 1, leanDeg: 0 });
    const closing = closingOf({ form: dome });
    expect(closing.rings.map(({ key, count }) => [key, count])).toEqual([
      ['ring-1', 6],
      ['ring-2', 6],
    ]);
    for (const { widthMm, jointMm, roomMm } of closing.rings) expect(roomMm).toBeCloseTo(6 * (widthMm + jointMm), 6);
    const { widthMm } = dome.layers.at(-1)!;
    expect(closing.caps).toEqual([{ key: 'cap', widthMm, placeMm: expect.closeTo(widthMm, 6) }]);
    const ball = closingOf({ form: form({ kind: 'ball', count: 6, rings: 1, leanDeg: 0 }) });
    expect(ball.caps).toHaveLength(2);
    for (const cap of ball.caps) expect(cap.placeMm).toBeCloseTo(cap.widthMm, 6);
    expect(closingAround({ count: 6, widthMm: 100, jointMm: 4, thing: { diameterMm: 300, fit: 'on' } }).rings).toEqual([
      { key: 'ring-1', count: 6, widthMm: 100, jointMm: 4, roomMm: expect.closeTo(6 * 150, 9) },
    ]);
  });
});

describe('a handle', () => {
  it('spans from point to point: across an even ring two points face, across an odd one a point faces a balloon', () => {
    for (const count of [5, 6]) {
      const made = form({ count });
      const top = made.layers.at(-1)!;
      const balloons = spheresOf({ layers: [top], ties: [] });
      const middle = (a: number, b: number) => ({
        xMm: (balloons[a % count]!.xMm + balloons[b % count]!.xMm) / 2,
        yMm: (balloons[a % count]!.yMm + balloons[b % count]!.yMm) / 2,
      });
      const point = middle(0, 1);
      const across = count === 6 ? middle(3, 4) : balloons[3]!;
      expect(handleSpanMm(made)).toBeCloseTo(Math.hypot(point.xMm - across.xMm, point.yMm - across.yMm), 6);
    }
  });

  it('stands on points, not on balloons', () => {
    const made = form({});
    const handle = value(
      handleFor({ spanMm: handleSpanMm(made), riseMm: 250, size: { code: '260', widthMm: 50, lengthMm: 1500 } }),
    );
    const [foot] = handleLine(made, handle);
    const top = made.layers.at(-1)!;
    const away = spheresOf({ layers: [top], ties: [] })
      .map(({ xMm, yMm }) => Math.hypot(xMm - foot!.xMm, yMm - foot!.yMm))
      .sort((a, b) => a - b);
    expect(away[0]).toBeCloseTo(away[1]!, 6);
  });
});

it('a chain in a swag runs down to its lowest point, level there, and up again', () => {
  const hung = value(swag({ spanMm: 2000, dropMm: 400 }));
  const slope = (share: number) => swagPoint(hung, share * hung.lengthMm).slope;
  expect(slope(0)).toBeCloseTo((hung.endAngleDeg.left * Math.PI) / 180, 9);
  expect(slope(0.5)).toBeCloseTo(0, 9);
  expect(slope(1)).toBeCloseTo(-slope(0), 9);
});
