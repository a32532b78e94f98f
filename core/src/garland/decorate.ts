import { distance, dot, plus, turned, unit } from '../numeric/space';
import { randomFrom, shuffled } from '../statistics';
import { TRADE, type Trade } from '../trade';
import { ballOnThree, nestIn, type Ball, type Gap } from './gaps';
import type { DecoratorWay } from './kinds';
import type { Place } from './knotLine';
import { leavesAt } from './leavesAt';
import { across } from './overLayer';
import type { Wall } from './relax';
import { softBody, type PackedGarland } from './soft';

/** Small balloons that are tied together and put into a hollow. */
export interface DecoratorGroup {
  gap: Gap;
  widthsMm: readonly number[];
}

/** One of them where it lies. */
export interface Decorator {
  /** Which group it is of, and which of that it is. */
  group: number;
  place: number;
  widthMm: number;
  xMm: number;
  yMm: number;
  zMm: number;
  /** From its middle to its knot, of length 1. */
  neck: Place;
}

/** Necks of small balloons stretch: their knot may be so many times as far from their middle as it lies by itself. */
const NECK_STRETCHES = 2.8;
/** What may press on a balloon is so near to its group's knot, of the group's widest reach. */
const NEAR = 6;
/** Directions that are tried where a balloon finds no three to lie on. */
const DIRECTIONS = 64;
/** Touching is not lying in one another, mm. */
const TOUCH_MM = 1e-6;

/**
 * Small balloons in the hollows of a packed garland, group after group. The first of a group nests in its hollow; each
 * next lies on it and on two others, where its neck reaches the group's knot most easily. Nothing is pressed: what is
 * packed does not move, nor does what was put in before. A group that would reach into a wall is left out.
 *
 * Source: common practice (decorators are glued where they nest); a sphere that touches three by trilateration (any
 * handbook of geometry).
 */
export function decorate(
  { balloons }: Pick<PackedGarland, 'balloons'>,
  groups: readonly DecoratorGroup[],
  { walls = [], trade = TRADE }: { walls?: readonly Wall[] | undefined; trade?: Trade | undefined } = {},
): Decorator[] {
  const there = balloons.map(({ xMm, yMm, zMm, widthMm }): Ball => {
    return { at: [xMm, yMm, zMm], radiusMm: softBody(widthMm, trade).reachMm };
  });
  return groups.flatMap(({ gap, widthsMm }, group): Decorator[] => {
    const bodies = widthsMm.map((mm) => softBody(mm, trade));
    // What would fall through its hollow lies flush in it.
    const nest = nestIn({ balloons }, gap, widthsMm[0]!) ?? nestIn({ balloons }, gap, gap.widthMm);
    if (!nest) return [];
    const first: Ball = { at: nest, radiusMm: bodies[0]!.reachMm };
    first.at = plus(nest, gap.out, pushedOut(there, first, gap.out));
    const knot = plus(first.at, gap.out, -bodies[0]!.tetherMm);
    const farMm = NEAR * Math.max(...bodies.map(({ reachMm }) => reachMm));
    const near = there.filter(({ at, radiusMm }) => distance(at, knot) < radiusMm + farMm);
    const own = [first];
    for (const body of bodies.slice(1)) own.push(besideIts(own, body, { near, knot, out: gap.out }));
    const clear = ({ at, radiusMm }: Ball) => walls.every(({ into, atMm }) => dot(into, at) - atMm >= radiusMm);
    if (!own.every(clear)) return [];
    there.push(...own);
    return own.map(({ at }, place) => {
      const [xMm, yMm, zMm] = at;
      return { group, place, widthMm: widthsMm[place]!, xMm, yMm, zMm, neck: unit(plus(knot, at, -1)) };
    });
  });
}

interface Nest {
  near: readonly Ball[];
  knot: Place;
  out: Place;
}

/** Where the next balloon of a group lies: on one of its own and two others, as near to the knot as any such place. */
function besideIts(
  own: readonly Ball[],
  { reachMm, tetherMm }: ReturnType<typeof softBody>,
  { near, knot, out }: Nest,
): Ball {
  const around = [...own, ...near];
  const isFree = (at: Place) => around.every((each) => distance(each.at, at) >= each.radiusMm + reachMm - TOUCH_MM);
  /** Of places on the outer side where it reaches into nothing the nearest to the knot, within some way of it. */
  const nearest = (places: readonly Place[], mostMm: number) => {
    let best: Place | null = null;
    let leastMm = mostMm;
    for (const at of places) {
      const off = plus(at, knot, -1);
      const far = Math.hypot(...off);
      if (far < leastMm && dot(off, out) >= 0 && isFree(at)) [best, leastMm] = [at, far];
    }
    return best;
  };
  const onThree = own.flatMap((first, m) =>
    around.slice(m + 1).flatMap((second, a) =>
      around.slice(m + a + 2).flatMap((third) => {
        const at = ballOnThree([first, second, third], reachMm, out);
        return at ? [at] : [];
      }),
    ),
  );
  const onItsOwn = ({ at, radiusMm }: Ball) => outwards(out).map((way) => plus(at, way, radiusMm + reachMm));
  const last = own.at(-1)!;
  // On top of its own there is always room.
  const at =
    nearest(onThree, NECK_STRETCHES * tetherMm) ??
    nearest(own.flatMap(onItsOwn), Infinity) ??
    plus(last.at, out, last.radiusMm + reachMm);
  return { at, radiusMm: reachMm };
}

/** Directions all over the half of a sphere that looks out (golden spiral). */
function outwards(out: Place): Place[] {
  const [one, other] = across(out);
  return Array.from({ length: DIRECTIONS }, (_, i) => {
    const [up, angle] = [1 - (i + 0.5) / DIRECTIONS, i * Math.PI * (3 - Math.sqrt(5))];
    const flat = Math.sqrt(1 - up * up);
    return plus(plus([0, 0, 0], out, up), turned(one, other, angle), flat);
  });
}

/** How far out a ball must be moved so that it reaches into nothing; 0 at least. */
function pushedOut(there: readonly Ball[], { at, radiusMm }: Ball, out: Place): number {
  let outMm = 0;
  for (const other of there)
    outMm = Math.max(outMm, leavesAt(plus(other.at, at, -1), out, other.radiusMm + radiusMm) ?? 0);
  return outMm;
}

/**
 * Hollows for so many groups: the widest ones, or those that lie evenly along the garland; fewer where there are not so
 * many.
 *
 * `gaps`: the widest first, as of `gapsOf`.
 */
export function gapsAlong(
  { balloons, clusters }: Pick<PackedGarland, 'balloons' | 'clusters'>,
  gaps: readonly Gap[],
  { count, way }: { count: number; way: DecoratorWay },
): Gap[] {
  if (way === 'widest' || count >= gaps.length) return gaps.slice(0, count);
  const left = gaps.map((gap) => ({
    gap,
    along: gap.between.reduce((sum, i) => sum + balloons[i]!.cluster, 0) / gap.between.length,
  }));
  return Array.from({ length: count }, (_, i) => {
    const wanted = ((i + 0.5) / count) * clusters - 0.5;
    let best = 0;
    left.forEach(({ along }, at) => {
      if (Math.abs(along - wanted) < Math.abs(left[best]!.along - wanted)) best = at;
    });
    return left.splice(best, 1)[0]!.gap;
  });
}

/** How many balloons each of so many groups has: each of the given sizes as often as the others, in no order. */
export function groupSizes(count: number, sizes: readonly number[], seed: number): number[] {
  const inTurn = Array.from({ length: count }, (_, i) => sizes[i % sizes.length]!);
  return shuffled(inTurn, randomFrom(seed));
}
