import { relax, type Bond } from '../garland/relax';
import { TRADE, type Trade } from '../trade';
import type { Form } from './form';
import { spheresOf, type Sphere } from './spheres';

/** A closed form at rest: bodies pressed together, necks and tails pulled out. */
export interface SoftForm {
  /** Its layers' balloons, then its ties', as `spheresOf` has them. */
  spheres: Sphere[];
  /** Where its joints lie, mm. */
  joints: { xMm: number; yMm: number; zMm: number }[];
  /** Over everything, mm. */
  acrossMm: number;
  heightMm: number;
  /** How much nearer than they belong the two that press most are, a share. */
  pressed: number;
  /** How much longer than it is by itself the longest neck or tail is pulled, a share of the balloon's half width. */
  pulled: number;
}

/** A joint is as thick as nothing beside balloons, of the smallest’s half width. */
const JOINT = 0.02;
const STEPS = 4000;

type Place = readonly [number, number, number];

/**
 * A closed form as its balloons lie: bodies press into one another by `garlandPress` and against a spring beyond, every
 * balloon is tied by neck and tail to the joints at its two ends, which give as necks do, and joints hold. All of it comes
 * to rest from where the form's drawing has it, or from `from`.
 *
 * A basket's spokes are tied at its middle, at the first ring's joints and at the upper ring's; rings share those joints;
 * ties lie between the joints of the two rings that they tie. Of other forms every balloon of a ring is tied to the joint
 * below or above that it sits on, and what closes it to all joints of its last ring.
 *
 * `widthsMm`: of each balloon, as it came out; as drawn where none are given.
 *
 * Source: relaxation of soft spheres (`relax`).
 */
export function softForm(
  form: Form,
  {
    widthsMm,
    from,
    trade = TRADE,
  }: {
    widthsMm?: readonly number[] | undefined;
    from?: Pick<SoftForm, 'spheres' | 'joints'> | undefined;
    trade?: Trade | undefined;
  } = {},
): SoftForm {
  const drawn = spheresOf(form);
  const widths = widthsMm ?? drawn.map(({ widthMm }) => widthMm);
  const frame = frameOf(form, drawn);
  const { jointMm } = form.shape;
  const balls = drawn.length;
  const starts = from ?? { spheres: drawn, joints: frame.joints.map(([xMm, yMm, zMm]) => ({ xMm, yMm, zMm })) };
  const all = [...starts.spheres, ...starts.joints];
  const at = Float64Array.from(all.flatMap(({ xMm, yMm, zMm }) => [xMm, yMm, zMm]));
  const thinMm = JOINT * Math.min(...widths);
  const reachMm = Float64Array.from(all, (_, i) => (i < balls ? (widths[i]! / 2) * (1 - trade.garlandPress) : thinMm));
  const bonds = frame.ends.map(({ ball, joint, looseMm }): Bond => {
    return { a: ball, b: balls + joint, restMm: looseMm ?? (widths[ball]! + jointMm) / 2 };
  });
  const { worst } = relax({ at, reachMm, bonds }, { within: 0, mostSteps: STEPS });
  const place = (i: number) => ({ xMm: at[3 * i]!, yMm: at[3 * i + 1]!, zMm: at[3 * i + 2]! });
  const pulled = bonds.reduce((most, { a, b, restMm }) => {
    const [one, other] = [place(a), place(b)];
    const long = Math.hypot(one.xMm - other.xMm, one.yMm - other.yMm, one.zMm - other.zMm);
    return Math.max(most, (long - restMm) / (widths[a]! / 2));
  }, 0);
  const spheres = drawn.map((sphere, i) => ({ ...sphere, ...place(i), widthMm: widths[i]! }));
  const highest = Math.max(...spheres.map(({ zMm, widthMm }) => zMm + widthMm / 2));
  const lowest = Math.min(...spheres.map(({ zMm, widthMm }) => zMm - widthMm / 2));
  return {
    spheres,
    acrossMm: 2 * Math.max(...spheres.map(({ xMm, yMm, widthMm }) => Math.hypot(xMm, yMm) + widthMm / 2)),
    heightMm: highest - lowest,
    joints: frame.joints.map((_, i) => place(balls + i)),
    pressed: worst,
    pulled,
  };
}

/** Where a form's joints are drawn, and which balloon's end is tied to which; by a string of a length where it says so. */
interface Frame {
  joints: Place[];
  ends: { ball: number; joint: number; looseMm?: number }[];
}

function frameOf({ layers, ties }: Form, drawn: readonly Sphere[]): Frame {
  const joints: Place[] = [];
  const ends: Frame['ends'] = [];
  const start = (layer: number, tie = false) => drawn.findIndex((each) => each.layer === layer && each.tie === tie);
  const joint = (place: Place) => joints.push(place) - 1;
  const at = (ball: number): Place => [drawn[ball]!.xMm, drawn[ball]!.yMm, drawn[ball]!.zMm];
  const middle = (a: Place, b: Place): Place => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2, (a[2] + b[2]) / 2];
  const far = (a: Place, b: Place) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
  /** Joints of each ring, the one before its first balloon first. */
  const ofRing = new Map<number, number[]>();
  const inner = layers.findIndex(({ role }) => role === 'inner-spokes');
  const outer = layers.findIndex(({ role }) => role === 'outer-spokes');
  if (inner >= 0) {
    const [lower, upper] = [start(inner), start(outer)];
    const centre = joint([0, 0, layers[inner]!.heightMm]);
    const { count } = layers[inner]!;
    const between = Array.from({ length: count }, (_, i) => joint(middle(at(lower + i), at(upper + i))));
    const tips = Array.from({ length: count }, (_, i) => {
      const [a, b] = [at(lower + i), at(upper + i)];
      return joint([1.5 * b[0] - 0.5 * a[0], 1.5 * b[1] - 0.5 * a[1], 1.5 * b[2] - 0.5 * a[2]]);
    });
    for (let i = 0; i < count; i += 1) {
      ends.push({ ball: lower + i, joint: centre }, { ball: lower + i, joint: between[i]! });
      ends.push({ ball: upper + i, joint: between[i]! }, { ball: upper + i, joint: tips[i]! });
    }
    const rings = layers.flatMap(({ role }, i) => (role === 'ring' ? [i] : []));
    ofRing.set(rings[0]!, between);
    if (rings[1] !== undefined) ofRing.set(rings[1], tips);
  }
  layers.forEach(({ role, count }, layer) => {
    if (role !== 'ring') return;
    const first = start(layer);
    const own =
      ofRing.get(layer) ??
      Array.from({ length: count }, (_, i) => joint(middle(at(first + ((i + count - 1) % count)), at(first + i))));
    ofRing.set(layer, own);
    for (let i = 0; i < count; i += 1)
      ends.push({ ball: first + i, joint: own[i]! }, { ball: first + i, joint: own[(i + 1) % count]! });
  });
  ties.forEach(({ below, above, count }, tie) => {
    const first = start(tie, true);
    const [low, high] = [ofRing.get(below)!, ofRing.get(above)!];
    // A point that lies between the last balloon and the first is the first joint.
    const nearest = (of: readonly number[], ball: number) =>
      of.reduce((best, each) => (far(joints[each]!, at(ball)) < far(joints[best]!, at(ball)) ? each : best), of[0]!);
    for (let i = 0; i < count; i += 1)
      ends.push(
        { ball: first + i, joint: nearest(low, first + i) },
        { ball: first + i, joint: nearest(high, first + i) },
      );
  });
  if (inner >= 0) return { joints, ends };
  // Ring upon ring: each balloon is tied to the joint that it sits on.
  const rings = [...ofRing.keys()];
  rings.slice(1).forEach((layer, i) => {
    const below = ofRing.get(rings[i]!)!;
    const first = start(layer);
    for (let k = 0; k < layers[layer]!.count; k += 1) {
      const on = below.reduce((best, each) =>
        far(joints[each]!, at(first + k)) < far(joints[best]!, at(first + k)) ? each : best,
      );
      ends.push({ ball: first + k, joint: on, looseMm: far(joints[on]!, at(first + k)) });
    }
  });
  layers.forEach(({ role }, layer) => {
    if (role !== 'cap') return;
    const cap = start(layer);
    const last = rings.reduce((best, each) =>
      Math.abs(layers[each]!.heightMm - layers[layer]!.heightMm) <
      Math.abs(layers[best]!.heightMm - layers[layer]!.heightMm)
        ? each
        : best,
    );
    for (const each of ofRing.get(last)!) ends.push({ ball: cap, joint: each, looseMm: far(joints[each]!, at(cap)) });
  });
  return { joints, ends };
}

/** Balloons that are moved by more than so many times what the most is off are no longer held by what is around them. */
const FALLS = 3;

/** How each form lies while every balloon is as drawn; worked out once for it. */
const atRest = new WeakMap<Form, SoftForm>();

/**
 * A form with balloons that came out otherwise than they are drawn: each is moved from where the drawing has it by as much
 * as `softForm` moves it, so that with all balloons exact it is the drawing. Where the whole would fall together, which the
 * model does not know to be held, each only has its own width.
 *
 * `widthsMm`: of each, in the order of `spheresOf`.
 */
export function formAsMade(form: Form, widthsMm: readonly number[], trade: Trade = TRADE): Sphere[] {
  const exact = atRest.get(form) ?? softForm(form, { trade });
  atRest.set(form, exact);
  const made = softForm(form, { widthsMm, from: exact, trade });
  const drawn = spheresOf(form);
  const off = Math.max(...drawn.map(({ widthMm }, i) => Math.abs(widthsMm[i]! - widthMm)));
  const far = (i: number) => {
    const [was, is] = [exact.spheres[i]!, made.spheres[i]!];
    return Math.hypot(is.xMm - was.xMm, is.yMm - was.yMm, is.zMm - was.zMm);
  };
  // A tall stack of rings may fall into its creases, which ties keep it from in hands: then nothing is said of it.
  const falls = drawn.some((_, i) => far(i) > FALLS * off);
  return drawn.map((drawn, i) => {
    const [was, is] = [exact.spheres[i]!, made.spheres[i]!];
    if (falls) return { ...drawn, widthMm: widthsMm[i]! };
    return {
      ...drawn,
      widthMm: widthsMm[i]!,
      xMm: drawn.xMm + is.xMm - was.xMm,
      yMm: drawn.yMm + is.yMm - was.yMm,
      zMm: drawn.zMm + is.zMm - was.zMm,
    };
  });
}
