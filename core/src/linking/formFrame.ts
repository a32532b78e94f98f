import { distance, placeOf, plus, type Vec as Place } from '../numeric/space';
import type { Form } from './form';
import type { Sphere } from './spheres';

/** One end of a balloon, and the joint that it is tied to; by a string of a length where it says so. */
interface End {
  ball: number;
  joint: number;
  looseMm?: number;
}

/**
 * A form's joints where they are drawn, and which ends are tied to which.
 *
 * A basket's spokes are tied at its middle, at the first ring's joints and at the upper ring's; rings share those joints;
 * ties lie between the joints of the two rings that they tie. Of other forms every balloon of a ring is tied to the joint
 * below or above that it sits on, and what closes it to all joints of its last ring.
 */
class Frame {
  readonly joints: Place[] = [];
  /** Those that are alike, all the way round. */
  readonly around: number[][] = [];
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

  private at(ball: number): Place {
    return placeOf(this.drawn[ball]!);
  }

  /** New joints, alike, each so far on the way from one balloon's middle to another's. */
  jointsOn(ways: readonly (readonly [from: number, to: number])[], share: number): number[] {
    const joints = ways.map(([from, to]) => {
      const [a, b] = [this.at(from), this.at(to)];
      return this.joints.push(plus(a, plus(b, a, -1), share)) - 1;
    });
    this.around.push(joints);
    return joints;
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
    return distance(this.at(ball), this.joints[joint]!);
  }
}

/** What is tied to what in a closed form, its joints where they are drawn. */
export function frameOf(form: Form, drawn: readonly Sphere[]): Frame {
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
  frame.around.push([centre]);
  const spokes = Array.from({ length: count }, (_, i) => i);
  const out = spokes.map((i) => [lower + i, upper + i] as const);
  const [between, tips] = [frame.jointsOn(out, 0.5), frame.jointsOn(out, 1.5)];
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
    const ways = Array.from({ length: count }, (_, i) => [first + ((i + count - 1) % count), first + i] as const);
    const own = frame.ofRing.get(layer) ?? frame.jointsOn(ways, 0.5);
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
