import { relax, type Bond } from '../garland/relax';
import { plus, type Vec as Place } from '../numeric/space';
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

/** One end of a balloon, and the joint that it is tied to; by a string of a length where it says so. */
interface End {
  ball: number;
  joint: number;
  looseMm?: number;
}

/** A form's joints where they are drawn, and which ends are tied to which. */
class Frame {
  readonly joints: Place[] = [];
  readonly ends: End[] = [];
  /** Joints of each ring by its layer, the one before its first balloon first. */
  readonly ofRing = new Map<number, number[]>();

  constructor(
    readonly form: Form,
    private readonly drawn: readonly Sphere[],
  ) {}

  /** The first balloon of a layer, or of the ties between two. */
  start(layer: number, tie = false): number {
    return this.drawn.findIndex((each) => each.layer === layer && each.tie === tie);
  }

  at(ball: number): Place {
    const { xMm, yMm, zMm } = this.drawn[ball]!;
    return [xMm, yMm, zMm];
  }

  /** A new joint so far on the way from one balloon's middle to another's. */
  jointOn(from: number, to: number, share: number): number {
    const [a, b] = [this.at(from), this.at(to)];
    return this.joints.push(plus(a, plus(b, a, -1), share)) - 1;
  }

  tie(ball: number, ...joints: readonly number[]): void {
    for (const joint of joints) this.ends.push({ ball, joint });
  }

  /** Ties a balloon to a joint by a string as long as it is drawn. */
  hang(ball: number, joint: number): void {
    this.ends.push({ ball, joint, looseMm: this.far(ball, joint) });
  }

  nearest(joints: readonly number[], ball: number): number {
    return joints.reduce((best, each) => (this.far(ball, each) < this.far(ball, best) ? each : best));
  }

  private far(ball: number, joint: number): number {
    return Math.hypot(...plus(this.at(ball), this.joints[joint]!, -1));
  }
}

function frameOf(form: Form, drawn: readonly Sphere[]): Frame {
  const frame = new Frame(form, drawn);
  const inner = form.layers.findIndex(({ role }) => role === 'inner-spokes');
  if (inner >= 0) tieSpokes(frame, inner);
  tieRings(frame);
  form.ties.forEach(({ below, above, count }, tie) => {
    const first = frame.start(tie, true);
    const [low, high] = [frame.ofRing.get(below)!, frame.ofRing.get(above)!];
    for (let ball = first; ball < first + count; ball += 1)
      frame.tie(ball, frame.nearest(low, ball), frame.nearest(high, ball));
  });
  if (inner < 0) stackRings(frame);
  return frame;
}

/** Spokes meet in the middle; the first ring shares the joints within them, the upper ring those at their ends. */
function tieSpokes(frame: Frame, inner: number): void {
  const { layers } = frame.form;
  const { count, heightMm } = layers[inner]!;
  const [lower, upper] = [frame.start(inner), frame.start(layers.findIndex(({ role }) => role === 'outer-spokes'))];
  const centre = frame.joints.push([0, 0, heightMm]) - 1;
  const spokes = Array.from({ length: count }, (_, i) => i);
  const between = spokes.map((i) => frame.jointOn(lower + i, upper + i, 0.5));
  const tips = spokes.map((i) => frame.jointOn(lower + i, upper + i, 1.5));
  for (const i of spokes) {
    frame.tie(lower + i, centre, between[i]!);
    frame.tie(upper + i, between[i]!, tips[i]!);
  }
  const [first, second] = layers.flatMap(({ role }, i) => (role === 'ring' ? [i] : []));
  frame.ofRing.set(first!, between);
  if (second !== undefined) frame.ofRing.set(second, tips);
}

/** Balloons of each ring one after another, at joints of its own where it shares none. */
function tieRings(frame: Frame): void {
  frame.form.layers.forEach(({ role, count }, layer) => {
    if (role !== 'ring') return;
    const first = frame.start(layer);
    const own =
      frame.ofRing.get(layer) ??
      Array.from({ length: count }, (_, i) => frame.jointOn(first + ((i + count - 1) % count), first + i, 0.5));
    frame.ofRing.set(layer, own);
    for (let i = 0; i < count; i += 1) frame.tie(first + i, own[i]!, own[(i + 1) % count]!);
  });
}

/** Ring upon ring, each balloon at the joint that it sits on; what closes the form at all joints of its last ring. */
function stackRings(frame: Frame): void {
  const { layers } = frame.form;
  const rings = [...frame.ofRing.keys()];
  rings.slice(1).forEach((layer, i) => {
    const first = frame.start(layer);
    for (let ball = first; ball < first + layers[layer]!.count; ball += 1)
      frame.hang(ball, frame.nearest(frame.ofRing.get(rings[i]!)!, ball));
  });
  layers.forEach(({ role, heightMm }, layer) => {
    if (role !== 'cap') return;
    const off = (ring: number) => Math.abs(layers[ring]!.heightMm - heightMm);
    const last = rings.reduce((best, each) => (off(each) < off(best) ? each : best));
    for (const joint of frame.ofRing.get(last)!) frame.hang(frame.start(layer), joint);
  });
}

/** Balloons that are moved by more than so many times what the most is off are no longer held by what is around them. */
const FALLS = 3;

const rests = new WeakMap<Form, WeakMap<Trade, SoftForm>>();

/** How a form lies while every balloon is as drawn; worked out once for it. */
export function formAtRest(form: Form, trade: Trade = TRADE): SoftForm {
  const known = rests.get(form) ?? new WeakMap<Trade, SoftForm>();
  rests.set(form, known);
  const rest = known.get(trade) ?? softForm(form, { trade });
  known.set(trade, rest);
  return rest;
}

/**
 * A form with balloons that came out otherwise than they are drawn: each is moved from where the drawing has it by as much
 * as `softForm` moves it, so that with all balloons exact it is the drawing. Where the whole would fall together, which the
 * model does not know to be held, each only has its own width.
 *
 * `widthsMm`: of each, in the order of `spheresOf`.
 */
export function formAsMade(form: Form, widthsMm: readonly number[], trade: Trade = TRADE): Sphere[] {
  const exact = formAtRest(form, trade);
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
