import {
  closingAround,
  closingOf,
  handleFor,
  handleLine,
  handleSpanMm,
  jointFor,
  learnJoint,
  pullOne,
  ringOf,
  snapForm,
  spheresOf,
  standingForm,
  usualLeanDeg,
} from '../src/linking';
import { TRADE } from '../src/trade';
import { inch, value } from './results';

function made(kind: 'basket' | 'cup') {
  const shape = { kind, count: 6, rings: 2, baseMm: inch(5), leanDeg: usualLeanDeg(kind), jointMm: 5 };
  const { form } = value(snapForm({ shape, stepMm: inch(1 / 8), leastTieMm: 0 }));
  return { form, closing: closingOf({ form }), spheres: spheresOf(standingForm(form)) };
}

describe('one balloon pulled off its size', () => {
  const { form, closing, spheres } = made('basket');
  const at = (is: (sphere: (typeof spheres)[number]) => boolean) => spheres.findIndex(is);
  const inRing = at(({ tie, layer }) => !tie && form.layers[layer]!.role === 'ring');
  const tied = at(({ tie }) => tie);

  const far = (lies: typeof spheres, i: number) =>
    Math.hypot(...(['xMm', 'yMm', 'zMm'] as const).map((axis) => lies[i]![axis] - spheres[i]![axis]));
  const out = ({ xMm, yMm }: { xMm: number; yMm: number }) => Math.hypot(xMm, yMm);

  it('in a ring is pushed out when it is too large, and drawn in when it is too small', () => {
    const large = pullOne({ spheres, closing, form, at: inRing, offMm: inch(0.5) });
    expect(large.wrong?.state).toBe('buckles');
    expect(out(large.spheres[inRing]!)).toBeGreaterThan(out(spheres[inRing]!) + inch(0.1));
    expect(large.movedMm).toBeCloseTo(far(large.spheres, inRing), 9);
    const small = pullOne({ spheres, closing, form, at: inRing, offMm: -inch(0.5) });
    expect(small.wrong?.state).toBe('opens');
    expect(out(small.spheres[inRing]!)).toBeLessThan(out(spheres[inRing]!) - inch(0.1));
    // Its ring lies apart anyway.
    expect([large.gap, small.gap]).toEqual([null, null]);
  });

  it('leaves a gap in a ring whose balloons touch, less than it is too small, for it is drawn in', () => {
    const cup = made('cup');
    const small = pullOne({ ...cup, at: 0, offMm: -inch(0.5) });
    expect(small.wrong?.state).toBe('opens');
    // From skin to skin.
    const { from, to } = small.gap!;
    const own = small.spheres[0]!;
    expect(Math.hypot(from.xMm - own.xMm, from.yMm - own.yMm, from.zMm - own.zMm)).toBeCloseTo(own.widthMm / 2, 6);
    const open = Math.hypot(from.xMm - to.xMm, from.yMm - to.yMm, from.zMm - to.zMm);
    expect(open).toBeGreaterThan(1);
    expect(open).toBeLessThan(inch(0.5));
  });

  it('that ties others only pushes them: nothing closes through it', () => {
    const pulled = pullOne({ spheres, closing, form, at: tied, offMm: inch(0.5) });
    expect([pulled.wrong, pulled.gap]).toEqual([null, null]);
    expect(pulled.spheres[tied]!.widthMm).toBeCloseTo(spheres[tied]!.widthMm + inch(0.5), 9);
  });

  it('moves its neighbours more than what is on the other side, none farther than it is off itself', () => {
    for (const offMm of [inch(0.5), -inch(0.5)]) {
      const { spheres: lies } = pullOne({ spheres, closing, form, at: inRing, offMm });
      const beside = spheres.flatMap(({ layer, tie, index }, i) =>
        !tie && layer === spheres[inRing]!.layer && [1, 5].includes(index) ? [far(lies, i)] : [],
      );
      const opposite = spheres.flatMap(({ layer, tie, index }, i) =>
        !tie && layer === spheres[inRing]!.layer && index === 3 ? [far(lies, i)] : [],
      );
      expect(Math.max(...opposite)).toBeLessThan(Math.min(...beside));
      lies.forEach((_, i) => expect(far(lies, i)).toBeLessThan(1.5 * Math.abs(offMm)));
    }
  });

  it('that is exact changes nothing', () => {
    const pulled = pullOne({ spheres, closing, form, at: inRing, offMm: 0 });
    expect(pulled.wrong?.state).toBe('closes');
    expect(pulled.spheres[inRing]!.xMm).toBeCloseTo(spheres[inRing]!.xMm, 9);
  });
});

describe('a ring and the thing it goes with', () => {
  const widthMm = inch(5);

  it('on its own fills what it makes, whatever its sizes', () => {
    expect(closingAround({ count: 8, widthMm, jointMm: 0, thing: null })).toEqual({ rings: [], ties: [], caps: [] });
  });

  it('around a pot that it fits exactly has room for just its own length', () => {
    const count = 8;
    const ring = ringOf({ count, pitchMm: widthMm, widthMm });
    if (!ring.ok) throw new Error(ring.problem.code);
    const { insideMm, outsideMm } = ring.value;
    const room = (diameterMm: number, fit: 'around' | 'inside') =>
      closingAround({ count, widthMm, jointMm: 0, thing: { diameterMm, fit } }).rings[0]!.roomMm;
    // The clear width inside is the thickest pot, the width over everything the narrowest drum.
    expect(room(insideMm, 'around')).toBeCloseTo(count * widthMm, 6);
    expect(room(outsideMm, 'inside')).toBeCloseTo(count * widthMm, 6);
    expect(room(insideMm + 20, 'around')).toBeGreaterThan(count * widthMm);
  });
});

describe('what a knot takes', () => {
  it('is learned from chains, and taken from the table when one of them cannot be', () => {
    const chains = [{ count: 6, widthMm: 127, lengthMm: 6 * 127 + 5 * 4 }];
    const learned = learnJoint({ nominalMm: inch(6), chains });
    if (!learned.ok) throw new Error(learned.problem.code);
    expect(jointFor({ nominalMm: inch(6), chains })).toEqual(learned.value);
    const slip = [...chains, { count: 6, widthMm: 127, lengthMm: 5000 }];
    expect(jointFor({ nominalMm: inch(6), chains: slip })).toEqual({
      jointMm: TRADE.linkJoint * inch(6),
      sdMm: TRADE.linkJointSd * inch(6),
      chains: 0,
    });
  });
});

describe('a handle in space', () => {
  it('runs from point to point over the opening, level at both ends and highest in the middle', () => {
    const { form } = made('basket');
    const spanMm = handleSpanMm(form);
    const size = { code: '260', widthMm: inch(2), lengthMm: inch(60) };
    const handle = handleFor({ spanMm, riseMm: 300, size });
    if (!handle.ok) throw new Error(handle.problem.code);
    expect(handle.value.widthMm).toBe(size.widthMm);
    const line = handleLine(form, handle.value);
    const [first, last] = [line[0]!, line.at(-1)!];
    const top = form.layers.at(-1)!.heightMm;
    expect(first.zMm).toBeCloseTo(top, 3);
    expect(last.zMm).toBeCloseTo(top, 3);
    expect(Math.max(...line.map(({ zMm }) => zMm))).toBeCloseTo(top + 300, 6);
    expect(Math.hypot(last.xMm - first.xMm, last.yMm - first.yMm)).toBeCloseTo(spanMm, 6);
    // Its length on the page is the arch that is twisted.
    const along = line.slice(1).reduce((sum, point, i) => {
      const before = line[i]!;
      return sum + Math.hypot(point.xMm - before.xMm, point.yMm - before.yMm, point.zMm - before.zMm);
    }, 0);
    expect(along / handle.value.archMm).toBeCloseTo(1, 2);
  });
});
