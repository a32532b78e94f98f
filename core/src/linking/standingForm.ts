import { placeOf, plus } from '../numeric/space';
import { TRADE, type Trade } from '../trade';
import { extentOf, formOf, type Form, type FormLayer, type FormShape, type TieLayer } from './form';
import { softForm, softFormAs, type SoftForm } from './softForm';
import { spheresOf, type Sphere } from './spheres';

/** Bodies further in one another than this share are no balloons any more: a form that takes it is held by something else. */
const MOST_PRESSED = 0.42;

const rests = new Map<string, SoftForm>();
/** So many forms' are remembered. */
const MOST_RESTS = 40;

/** How a form lies with every balloon as drawn (`softForm`); worked out once for as good as one form. */
export function formAtRest(form: Form, trade: Trade = TRADE): SoftForm {
  const { layers, ties, shape } = form;
  const asked = JSON.stringify([layers, ties, shape.jointMm, trade.garlandPress, trade.linkNeck]);
  const known = rests.get(asked);
  if (known) return known;
  const rest = restOf(form, trade);
  if (rests.size >= MOST_RESTS) rests.delete(rests.keys().next().value!);
  rests.set(asked, rest);
  return rest;
}

/** How much wider, and higher, than it is drawn a basket is laid out where bodies that are drawn too close slip past each other. */
const LAID_OUT = [
  [1, 1],
  [1.6, 1],
  [1, 1.5],
] as const;
/** A taller one takes too long to be tried again. */
const MOST_TRIED_RINGS = 3;

function restOf(form: Form, trade: Trade): SoftForm {
  const { kind, rings } = form.shape;
  const again = kind === 'basket' && rings <= MOST_TRIED_RINGS;
  const tried: SoftForm[] = [];
  for (const [wider, higher] of again ? LAID_OUT : LAID_OUT.slice(0, 1)) {
    const laid = <Layer extends FormLayer | TieLayer>(each: Layer): Layer => {
      return { ...each, radiusMm: wider * each.radiusMm, heightMm: higher * each.heightMm };
    };
    const rest = softForm({ ...form, layers: form.layers.map(laid), ties: form.ties.map(laid) }, trade);
    if (holds(rest)) return rest;
    tried.push(rest);
  }
  return tried[0]!;
}

const holds = ({ pressed, still }: SoftForm) => still && pressed <= MOST_PRESSED;

/** Whether soft bodies hold a form: far too many spokes, or far too wide a lean, press further into one another than balloons do. */
export function holdsAtRest(form: Form, trade: Trade = TRADE): boolean {
  return holds(formAtRest(form, trade));
}

/** A form with every layer where soft bodies come to rest. */
export function restingForm(form: Form, trade: Trade = TRADE): Form {
  const { spheres } = formAtRest(form, trade);
  const lies = (layer: number, tie: boolean) => {
    const { xMm, yMm, zMm } = spheres.find((each) => each.layer === layer && each.tie === tie)!;
    return { radiusMm: Math.hypot(xMm, yMm), heightMm: zMm };
  };
  const layers = form.layers.map((layer, i) => ({ ...layer, ...lies(i, false) }));
  const ties = form.ties.map((tie, i) => ({ ...tie, ...lies(i, true) }));
  return { ...form, layers, ties, ...extentOf(form.shape.kind, layers, ties) };
}

/**
 * A form as it stands. A basket's layers lie where soft bodies come to rest, its rings pushed out around its spokes; one
 * that does not hold so (`holdsAtRest`) is as drawn. Other forms keep their contacts of spheres, which is where they come
 * to rest to a twentieth of a width.
 */
export function standingForm(form: Form, trade: Trade = TRADE): Form {
  return form.shape.kind === 'basket' && holdsAtRest(form, trade) ? restingForm(form, trade) : form;
}

/**
 * By how much the wall of a basket leans out at rest, degrees from upright: from the first ring's knots to the second's.
 * Only of practised sizes is it the lean that they are drawn with. Null with a single ring, and where it does not hold.
 */
export function restingLeanDeg(form: Form, trade: Trade = TRADE): number | null {
  if (form.shape.kind !== 'basket' || !holdsAtRest(form, trade)) return null;
  const { joints, knots } = formAtRest(form, trade);
  const [low, high] = [...knots.values()].map(([first]) => {
    const [x, y, z] = joints[first!]!;
    return { outMm: Math.hypot(x, y), upMm: z };
  });
  if (!low || !high) return null;
  return (Math.atan2(high.outMm - low.outMm, high.upMm - low.upMm) * 180) / Math.PI;
}

/** A lean is found once it moves by less than this, degrees; it moves by a third from try to try. */
const FOUND_DEG = 0.05;
const TRIES = 12;

/**
 * The lean at which a basket's wall rests just as its rings are sized for, degrees: rings are sized for a lean, come to
 * rest at another, are sized for that one, and so on. Six spokes come to the practised sizes whatever lean they begin
 * from, and nearly however hard necks pull. Null with a single ring, where it does not hold, and of few spokes, whose wall
 * would lean inwards.
 */
export function ownLeanDeg(shape: FormShape, trade: Trade = TRADE): number | null {
  let { leanDeg } = shape;
  for (let tries = 0; tries < TRIES; tries += 1) {
    const form = formOf({ ...shape, leanDeg }, trade);
    const next = form.ok ? restingLeanDeg(form.value, trade) : null;
    if (next === null || next < 0) return null;
    if (Math.abs(next - leanDeg) < FOUND_DEG) return next;
    leanDeg = next;
  }
  return null;
}

/** Between what a basket's width across lies, and with which necks it would not hold, so that it may be beyond. */
export interface StandingAcross {
  leastMm: number;
  mostMm: number;
  failing: readonly ('harder' | 'softer')[];
}

/** A basket's width across with 95 in 100, as hard as necks may pull (`linkNeckSd`), mm; of one that holds. */
export function standingAcross(form: Form, trade: Trade = TRADE): StandingAcross {
  const across = ([-2, 0, 2] as const).map((by) => {
    const other = { ...trade, linkNeck: trade.linkNeck * Math.exp(by * trade.linkNeckSd) };
    return { by, mm: holdsAtRest(form, other) ? restingForm(form, other).acrossMm : null };
  });
  const known = across.flatMap(({ mm }) => mm ?? []);
  const failing = across.filter(({ mm }) => mm === null).map(({ by }) => (by > 0 ? 'harder' : 'softer'));
  return { leastMm: Math.min(...known), mostMm: Math.max(...known), failing };
}

/** The clear width that is left between a basket's outer spokes and rings, where it is narrowest, mm. */
export function wellMm({ layers }: Pick<Form, 'layers'>): number {
  const walls = layers.filter(({ role }) => role !== 'inner-spokes');
  return Math.max(0, Math.min(...walls.map(({ radiusMm, widthMm }) => 2 * radiusMm - widthMm)));
}

/** Balloons that are moved by more than so many times what the most is off are not held by what is around them. */
const FALLS = 3;

/**
 * A form with balloons that came out otherwise than they are drawn: each is moved from where it stands by as much as soft
 * bodies move it, so that with all balloons exact it is `standingForm`. Of one that does not hold, or would fall, only
 * widths change.
 *
 * `widthsMm`: of each, in the order of `spheresOf`.
 */
export function formAsMade(form: Form, widthsMm: readonly number[], trade: Trade = TRADE): Sphere[] {
  const drawn = spheresOf(standingForm(form, trade));
  const stands = drawn.map((each, i) => ({ ...each, widthMm: widthsMm[i]! }));
  if (!holdsAtRest(form, trade)) return stands;
  const rest = formAtRest(form, trade);
  const made = softFormAs(form, { widthsMm, rest, trade });
  const ways = made.map((is, i) => plus(placeOf(is), placeOf(rest.spheres[i]!), -1));
  const offMm = Math.max(...drawn.map(({ widthMm }, i) => Math.abs(widthsMm[i]! - widthMm)));
  if (ways.some((way) => Math.hypot(...way) > FALLS * offMm)) return stands;
  return stands.map((each, i) => {
    const [xMm, yMm, zMm] = plus(placeOf(each), ways[i]!);
    return { ...each, xMm, yMm, zMm };
  });
}
