import { pairsWithin } from '../garland/neighbours';
import { relax, type Bond, type Grip } from '../garland/relax';
import { softBody } from '../garland/soft';
import { distance, placeOf, plus, unit, type Vec as Place } from '../numeric/space';
import { TRADE, type Trade } from '../trade';
import type { Form } from './form';
import { frameOf } from './formFrame';
import { spheresOf, type Sphere } from './spheres';

/** A closed form at rest: bodies pressed together, necks and tails pulled out. */
export interface SoftForm {
  /** Its layers' balloons, then its ties', as `spheresOf` has them. */
  spheres: Sphere[];
  /** Where its joints lie, mm, and which of them are the knots of a ring, by its layer. */
  joints: Place[];
  knots: ReadonlyMap<number, readonly number[]>;
  /** Whether it came to rest. */
  still: boolean;
  /** How much nearer than they belong the two that press most are, a share. */
  pressed: number;
  /** How much longer than it is by itself the longest neck or tail is pulled, a share of the balloon's half width. */
  pulled: number;
}

/** A joint is as thick as nothing beside balloons, of the smallest’s half width. */
const JOINT = 0.02;
/** After so many steps what has drifted is laid evenly again, at most so many times. */
const STEPS = 400;
const ROUNDS = 3;

/**
 * A closed form as its balloons come to rest from where it is drawn: bodies press into one another by `garlandPress` and
 * against a spring beyond, every balloon is tied by neck and tail to the joints at its two ends (`Frame`), which give by
 * `linkNeck`, and joints hold. Each layer stays alike all the way round, as it is laid by hand: six or more bodies about
 * one point, left to themselves, would fall up and down in turns.
 *
 * Source: relaxation of soft spheres (`relax`).
 */
export function softForm(form: Form, trade: Trade = TRADE): SoftForm {
  const drawn = spheresOf(form);
  const bodies = bodiesOf(form, drawn, trade);
  let still = false;
  for (let round = 0; round < ROUNDS && !still; round += 1) {
    still = settle(bodies, STEPS, trade);
    layEvenly(bodies);
  }
  return { ...lying(bodies, drawn), still };
}

/**
 * Where its balloons lie once they came out otherwise than they are drawn. What touches at rest sticks, as latex does, and
 * does not slide past one another.
 *
 * `widthsMm`: of each, in the order of `spheresOf`.
 */
export function softFormAs(
  form: Form,
  { widthsMm, rest, trade = TRADE }: { widthsMm: readonly number[]; rest: SoftForm; trade?: Trade | undefined },
): Sphere[] {
  const made = rest.spheres.map((sphere, i) => ({ ...sphere, widthMm: widthsMm[i]! }));
  const bodies = bodiesOf(form, made, trade);
  rest.joints.forEach((joint, i) => bodies.at.set(joint, 3 * (made.length + i)));
  settle(bodies, ROUNDS * STEPS, trade, gripsIn(rest.spheres, trade));
  return spheresIn(bodies, made);
}

/** A form's bodies while they come to rest: its balloons, then its joints. */
interface Bodies {
  at: Float64Array;
  reachMm: Float64Array;
  bonds: Bond[];
  /** Those that are alike, all the way round. */
  alike: number[][];
  knots: SoftForm['knots'];
}

/** `placed`: its balloons, where they lie and as wide as they are. */
function bodiesOf(form: Form, placed: readonly Sphere[], trade: Trade): Bodies {
  const { joints, ends, around, ofRing } = frameOf(form, spheresOf(form));
  const thinMm = JOINT * Math.min(...placed.map(({ widthMm }) => widthMm / 2));
  const reaches = placed.map(({ widthMm }) => softBody(widthMm, trade).reachMm);
  let counted = 0;
  const layers = [...form.layers, ...form.ties].map(({ count }) => Array.from({ length: count }, () => counted++));
  return {
    at: Float64Array.from([...placed.map(placeOf), ...joints].flat()),
    reachMm: Float64Array.from([...reaches, ...joints.map(() => thinMm)]),
    bonds: ends.map(({ ball, joint, looseMm }) => {
      const restMm = looseMm ?? (placed[ball]!.widthMm + form.shape.jointMm) / 2;
      return { a: ball, b: placed.length + joint, restMm };
    }),
    alike: [...layers, ...around.map((ring) => ring.map((joint) => placed.length + joint))],
    knots: ofRing,
  };
}

/** Whether they came to rest. */
function settle({ at, reachMm, bonds }: Bodies, mostSteps: number, { linkNeck }: Trade, grips?: Grip[]): boolean {
  return relax({ at, reachMm, bonds, grips }, { within: 0, mostSteps, neck: linkNeck }).steps < mostSteps;
}

/** What is alike lies equally high, equally far out, and equally far around. */
function layEvenly({ at, alike }: Bodies): void {
  for (const ring of alike) {
    const share = 1 / ring.length;
    let [out, up, beside] = [0, 0, 0];
    ring.forEach((i, step) => {
      // The first one's direction is everyone's, turned by its steps.
      const angle = 2 * Math.PI * step * share;
      const [x, y] = [at[3 * i]!, at[3 * i + 1]!];
      out += share * (x * Math.cos(angle) + y * Math.sin(angle));
      beside += share * (y * Math.cos(angle) - x * Math.sin(angle));
      up += share * at[3 * i + 2]!;
    });
    ring.forEach((i, step) => {
      const angle = 2 * Math.PI * step * share;
      at[3 * i] = out * Math.cos(angle) - beside * Math.sin(angle);
      at[3 * i + 1] = out * Math.sin(angle) + beside * Math.cos(angle);
      at[3 * i + 2] = up;
    });
  }
}

/** Pairs that press on one another. */
function gripsIn(spheres: readonly Sphere[], trade: Trade): Grip[] {
  const places = spheres.map(placeOf);
  const reachMm = Float64Array.from(spheres, ({ widthMm }) => softBody(widthMm, trade).reachMm);
  const pairs = pairsWithin(Float64Array.from(places.flat()), reachMm, 1);
  return Array.from({ length: pairs.length / 2 }, (_, i) => {
    const [a, b] = [pairs[2 * i]!, pairs[2 * i + 1]!];
    return { a, b, towards: unit(plus(places[b]!, places[a]!, -1)) };
  });
}

const placeIn = ({ at }: Bodies, i: number): Place => [at[3 * i]!, at[3 * i + 1]!, at[3 * i + 2]!];

/** Its balloons, where they lie now. */
function spheresIn(bodies: Bodies, placed: readonly Sphere[]): Sphere[] {
  return placed.map((sphere, i) => {
    const [xMm, yMm, zMm] = placeIn(bodies, i);
    return { ...sphere, xMm, yMm, zMm };
  });
}

/** What came to rest. */
function lying(bodies: Bodies, placed: readonly Sphere[]): Omit<SoftForm, 'still'> {
  const { at, reachMm, bonds, knots } = bodies;
  const far = (a: number, b: number) => distance(placeIn(bodies, b), placeIn(bodies, a));
  const balls = placed.length;
  const pairs = pairsWithin(at.subarray(0, 3 * balls), reachMm.subarray(0, balls), 1);
  let pressed = 0;
  for (let i = 0; i < pairs.length; i += 2) {
    const [a, b] = [pairs[i]!, pairs[i + 1]!];
    pressed = Math.max(pressed, 1 - far(a, b) / (reachMm[a]! + reachMm[b]!));
  }
  return {
    spheres: spheresIn(bodies, placed),
    joints: Array.from({ length: reachMm.length - balls }, (_, i) => placeIn(bodies, balls + i)),
    knots,
    pressed,
    pulled: bonds.reduce(
      (most, { a, b, restMm }) => Math.max(most, (far(a, b) - restMm) / (placed[a]!.widthMm / 2)),
      0,
    ),
  };
}
