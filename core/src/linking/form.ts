import { ok, problem, type Result } from '../result';
import type { FormKind } from './kinds';
import { chordShare } from './ring';
import { rootWithin } from '../numeric';
import { TRADE, type Trade } from '../trade';

/** What a form is made to; all its sizes follow. */
export interface FormShape {
  kind: FormKind;
  /** Balloons in every ring; a basket's spokes. */
  count: number;
  /** Rings beside the base (for a ball: above and below its equator). */
  rings: number;
  /** Width of the balloons it starts from, mm. */
  baseMm: number;
  /** How far a basket's or a cup's wall leans out, degrees from upright. */
  leanDeg: number;
  /** What a joint puts between two linked balloons, mm. */
  jointMm: number;
}

/** What a layer of a form is. */
export type LayerRole = 'inner-spokes' | 'outer-spokes' | 'ring' | 'cap';

/** Equal balloons at one height, around the axis. */
export interface FormLayer {
  /** `spokes`, `ring-1`…, `cap`: layers of one key have one size. */
  key: string;
  role: LayerRole;
  count: number;
  widthMm: number;
  /** Radius of the circle of centres, and its height above the lowest layer's, mm. */
  radiusMm: number;
  heightMm: number;
  /** Share of a step by which it is turned. */
  turned: 0 | 0.5;
  /** Its neighbours are linked to a closed ring, with this between them, mm; null where they are not. */
  jointMm: number | null;
}

/** Small balloons that tie the points of two rings, before the wall. */
export interface TieLayer {
  key: string;
  /** Which two layers' points it ties, by their places among the layers. */
  below: number;
  above: number;
  count: number;
  /** As practised beside the rings it ties, mm. */
  widthMm: number;
  radiusMm: number;
  heightMm: number;
  turned: 0 | 0.5;
}

export interface Form {
  shape: FormShape;
  layers: FormLayer[];
  ties: TieLayer[];
  /** Clear width of the opening, mm; 0 where a cap closes it. */
  mouthMm: number;
  /** Over everything, mm. */
  acrossMm: number;
  /** From the lowest to the highest point, mm. */
  heightMm: number;
}

export type FormProblemCode =
  | 'bad-count'
  | 'bad-rings'
  | 'bad-width'
  | 'bad-lean'
  /** Ring number `ring` would find no room: the form holds `most` rings. */
  | 'no-room'
  /** What would close it is far larger than its neighbours: one more ring is wanted. */
  | 'cap-too-large';

const COUNTS: Record<FormKind, { least: number; most: number }> = {
  basket: { least: 4, most: 8 },
  cup: { least: 4, most: 12 },
  dome: { least: 5, most: 16 },
  ball: { least: 5, most: 16 },
  wreath: { least: 6, most: 40 },
};
const MOST_RINGS = 6;
/** A wall that leans further has no ring upon ring. */
const MOST_LEAN_DEG = 30;

/** How few and how many balloons a ring of a form may have. */
export function countsOf(kind: FormKind): { least: number; most: number } {
  return COUNTS[kind];
}

/** A place in the half plane through the axis. */
interface Meridian {
  radiusMm: number;
  heightMm: number;
}

/** A curve in that half plane by the way along it from the base, mm. */
type Profile = (alongMm: number) => Meridian;

/**
 * A closed form: spheres in space with every contact kept. All centres lie on one surface of revolution (a straight
 * wall leaning out for basket and cup, a sphere for dome and ball, a plane for the wreath). Each ring closes on
 * itself, so its size follows from its radius; its place along the surface is where it touches the ring below. So
 * every size follows from the base.
 *
 * A basket stands on two balloons for each spoke (chains of four twisted together at their middles): the inner ones
 * stand in a ring, the outer ones on them. Its first ring lies where inner and outer spokes meet, each of its knots
 * caught by a spoke; the outer spokes stand out until the upper ring, at their ends, pulls them in; further rings
 * stand ball upon ball. Small balloons tie the points of two rings, before the wall. The rings press into the spokes,
 * and latex gives: sizes are those of the knots, which lie on one wall, leaning so that they are the practised ones
 * (`TRADE.practisedBasket`, common practice). The other forms turn every ring by half a step. What closes a dome or a
 * ball is one balloon that touches its last ring.
 *
 * Problems: `bad-count`, `bad-rings` (basket and cup 1 to 6), `bad-width`, `bad-lean`, `no-room`.
 */
export function formOf(shape: FormShape, trade: Trade = TRADE): Result<Form, FormProblemCode> {
  const wrong = shapeProblem(shape);
  if (wrong) return wrong;
  const { kind, count, rings, baseMm, jointMm } = shape;
  const share = chordShare(count);
  const based = kind === 'basket';
  const pitchMm = baseMm + jointMm;
  const profile = profileOf(shape, pitchMm / share);
  const base = { count, widthMm: baseMm, ...profile(0) };
  const layers: FormLayer[] = based
    ? basketLayers(shape, profile)
    : [{ ...base, key: 'ring-1', role: 'ring', turned: 0, jointMm }];
  let along = based && rings > 1 ? 1.5 * pitchMm : 0;
  // Of a basket the first two rings are held by the spokes.
  for (let ring = based ? 3 : 2; ring < (based ? 1 : 2) + rings; ring += 1) {
    const below = layers.at(-1)!;
    const placed = nextRing({ profile, from: along, below, count, jointMm, straight: based });
    if (!placed) return problem('no-room', { field: 'rings', detail: { ring, most: ring - (based ? 1 : 2) } });
    along = placed.along;
    const turned = based ? below.turned : below.turned === 0 ? 0.5 : 0;
    layers.push({
      ...placed.at,
      key: `ring-${ring}`,
      role: 'ring',
      count,
      widthMm: placed.widthMm,
      turned,
      jointMm,
    });
  }
  const closes = kind === 'dome' || kind === 'ball';
  if (closes) {
    const last = layers.at(-1)!;
    const cap = capOn(last, pitchMm / share);
    if (cap.widthMm > MOST_CAP * baseMm) return problem('cap-too-large', { field: 'rings' });
    if (cap.widthMm < LEAST_CAP * last.widthMm)
      return problem('no-room', {
        field: 'rings',
        detail: { ring: rings + 1, most: Math.max(0, rings - 1) },
      });
    layers.push(cap);
  }
  const whole = kind === 'ball' ? mirrored(layers) : layers;
  const ties = based ? tiesOf(whole, trade) : [];
  return ok({ shape, layers: whole, ties, ...extentOf(kind, whole, ties) });
}

/**
 * The spokes of a basket and the two rings that they hold, from the bottom up: the first ring's knots are those between
 * inner and outer spokes, half a pitch up the wall; the upper ring's are the ends of the outer spokes. The ring's
 * balloons lie between the spokes, and press into them.
 */
function basketLayers({ count, baseMm, jointMm, rings }: FormShape, profile: Profile): FormLayer[] {
  const pitchMm = baseMm + jointMm;
  const spokes = (role: LayerRole, alongMm: number): FormLayer => ({
    ...profile(alongMm),
    key: 'spokes',
    role,
    count,
    widthMm: baseMm,
    turned: 0,
    jointMm: null,
  });
  const ring = (number: number, alongMm: number): FormLayer => {
    const at = profile(alongMm);
    const widthMm = chordShare(count) * at.radiusMm - jointMm;
    return { ...at, key: `ring-${number}`, role: 'ring', count, widthMm, turned: 0.5, jointMm };
  };
  const layers = [spokes('inner-spokes', 0), ring(1, pitchMm / 2), spokes('outer-spokes', pitchMm)];
  return rings > 1 ? [...layers, ring(2, 1.5 * pitchMm)] : layers;
}

function shapeProblem({ kind, count, rings, baseMm, leanDeg, jointMm }: FormShape) {
  const { least, most } = COUNTS[kind];
  if (!(Number.isInteger(count) && count >= least && count <= most))
    return problem('bad-count' as const, { field: 'count', detail: { least, most } });
  const leastRings = kind === 'basket' || kind === 'cup' ? 1 : 0;
  if (!(Number.isInteger(rings) && rings >= leastRings && rings <= MOST_RINGS))
    return problem('bad-rings' as const, { field: 'rings', detail: { least: leastRings, most: MOST_RINGS } });
  if (!(baseMm > 0 && Number.isFinite(baseMm)) || !(Math.abs(jointMm) < baseMm / 2))
    return problem('bad-width' as const, { field: 'baseMm' });
  if (!(leanDeg >= 0 && leanDeg <= MOST_LEAN_DEG))
    return problem('bad-lean' as const, { field: 'leanDeg', detail: { least: 0, most: MOST_LEAN_DEG } });
  return null;
}

function profileOf({ kind, leanDeg }: FormShape, baseRadiusMm: number): Profile {
  if (kind === 'dome' || kind === 'ball') {
    return (along) => ({
      radiusMm: baseRadiusMm * Math.cos(along / baseRadiusMm),
      heightMm: baseRadiusMm * Math.sin(along / baseRadiusMm),
    });
  }
  const lean = kind === 'wreath' ? Math.PI / 2 : (leanDeg * Math.PI) / 180;
  const [out, up] = [Math.sin(lean), Math.cos(lean)];
  return (along) => ({ radiusMm: baseRadiusMm + along * out, heightMm: along * up });
}

/** How far along the surface the next ring touches the one below, and what its balloons measure. */
function nextRing({
  profile,
  from,
  below,
  count,
  jointMm,
  straight,
}: {
  profile: Profile;
  from: number;
  below: FormLayer;
  count: number;
  jointMm: number;
  straight: boolean;
}): { along: number; widthMm: number; at: Meridian } | null {
  const share = chordShare(count);
  const apart = Math.cos(straight ? 0 : Math.PI / count);
  const widthAt = (along: number) => share * profile(along).radiusMm - jointMm;
  const gapAt = (along: number) => {
    const { radiusMm, heightMm } = profile(along);
    const level2 = radiusMm ** 2 + below.radiusMm ** 2 - 2 * radiusMm * below.radiusMm * apart;
    return Math.sqrt(level2 + (heightMm - below.heightMm) ** 2) - (widthAt(along) + below.widthMm) / 2;
  };
  // Nothing is further than a few balloons off; on a sphere or a plane it may never touch.
  let high = from;
  for (let tries = 0; tries < 64 && !(gapAt(high) > 0); tries += 1) high += below.widthMm / 8;
  if (!(gapAt(high) > 0) || !(gapAt(from) < 0)) return null;
  const along = rootWithin({ of: gapAt, low: from, high, within: 1e-10 * below.widthMm });
  const widthMm = widthAt(along);
  return widthMm > 0 && profile(along).radiusMm > 0 ? { along, widthMm, at: profile(along) } : null;
}

/**
 * What closes a form is at most so many times as wide as the balloons of its base, and at least such a share of those
 * it closes.
 */
const MOST_CAP = 2;
const LEAST_CAP = 0.25;

/** The one balloon on the axis, on the sphere, that touches the last ring. */
function capOn(last: FormLayer, sphereRadiusMm: number): FormLayer {
  const contact = Math.hypot(last.radiusMm, sphereRadiusMm - last.heightMm);
  const widthMm = 2 * contact - last.widthMm;
  return {
    key: 'cap',
    role: 'cap',
    count: 1,
    widthMm,
    radiusMm: 0,
    heightMm: sphereRadiusMm,
    turned: 0,
    jointMm: null,
  };
}

/** The numbers of rings with which a form of so many balloons a ring comes out; none when no number does. */
export function workingRings(shape: Omit<FormShape, 'rings'>, trade: Trade = TRADE): number[] {
  return Array.from({ length: MOST_RINGS + 1 }, (_, rings) => rings).filter(
    (rings) => formOf({ ...shape, rings }, trade).ok,
  );
}

/** The same below the equator as above it. */
function mirrored(layers: readonly FormLayer[]): FormLayer[] {
  const below = layers.slice(1).map((layer) => ({ ...layer, heightMm: -layer.heightMm }));
  return [...below.reverse(), ...layers];
}

/** What a form takes up in all, and its opening, mm. */
export function extentOf(kind: FormKind, layers: readonly FormLayer[], ties: readonly TieLayer[]) {
  const top = layers.at(-1)!;
  const all = [...layers, ...ties];
  const low = Math.min(...all.map(({ heightMm, widthMm }) => heightMm - widthMm / 2));
  const high = Math.max(...all.map(({ heightMm, widthMm }) => heightMm + widthMm / 2));
  // A wreath opens at its first ring.
  const open = kind === 'wreath' ? layers[0]! : top;
  return {
    mouthMm: top.role === 'cap' ? 0 : Math.max(0, 2 * open.radiusMm - open.widthMm),
    acrossMm: Math.max(...all.map(({ radiusMm, widthMm }) => 2 * radiusMm + widthMm)),
    heightMm: high - low,
  };
}

/** The balloons that a tying balloon sits among, mm. */
export interface TiePlace {
  lowerMm: number;
  upperMm: number;
}

/** How wide a tying balloon is beside the rings it ties, as practised: a share of the mean of both. */
function tieShare({ practisedBasket: { firstRing, upperRing, ties } }: Trade): number {
  return ties / ((firstRing + upperRing) / 2);
}

/** The width of the tying balloon between balloons of such widths, mm. */
export function tieWidthMm({ lowerMm, upperMm }: TiePlace, trade: Trade = TRADE): number {
  return (tieShare(trade) * (lowerMm + upperMm)) / 2;
}

/**
 * Where a tying balloon sits: before the wall, at the points of both rings, touching the two balloons of each from
 * outside. Balloons too far apart for it have it halfway between them, on the wall.
 */
function tieAt(lower: FormLayer, upper: FormLayer, widthMm: number): Meridian {
  const half = Math.PI / lower.count;
  // In the half plane of the point: the balloons beside it lie half a pitch off that plane.
  const near = ({ radiusMm, heightMm, widthMm: own }: FormLayer) => {
    const apart = ((own + widthMm) / 2) ** 2 - (radiusMm * Math.sin(half)) ** 2;
    return { out: radiusMm * Math.cos(half), up: heightMm, reach: Math.sqrt(Math.max(0, apart)) };
  };
  const [a, b] = [near(lower), near(upper)];
  const [dOut, dUp] = [b.out - a.out, b.up - a.up];
  const between = Math.hypot(dOut, dUp);
  const alongMm = (a.reach ** 2 - b.reach ** 2 + between ** 2) / (2 * between);
  const beside = Math.sqrt(Math.max(0, a.reach ** 2 - alongMm ** 2));
  return {
    radiusMm: a.out + (alongMm * dOut + beside * dUp) / between,
    heightMm: a.up + (alongMm * dUp - beside * dOut) / between,
  };
}

/** Ties between every two rings of a basket, from the bottom up. */
export function tiesOf(layers: readonly FormLayer[], trade: Trade = TRADE): TieLayer[] {
  const rings = layers.flatMap((layer, i) => (layer.role === 'ring' ? [i] : []));
  return rings.slice(1).map((above, i): TieLayer => {
    const below = rings[i]!;
    const [lower, upper] = [layers[below]!, layers[above]!];
    const widthMm = tieWidthMm({ lowerMm: lower.widthMm, upperMm: upper.widthMm }, trade);
    const turned = lower.turned === 0 ? 0.5 : 0;
    return { key: 'ties', below, above, count: lower.count, widthMm, turned, ...tieAt(lower, upper, widthMm) };
  });
}

/**
 * The usual lean of a form's wall, degrees: a basket's such that its rings grow as practised, by a fourteenth of a
 * spoke for each half spoke of height.
 */
export function usualLeanDeg(kind: FormKind, trade: Trade = TRADE): number {
  if (kind !== 'basket') return 0;
  const { spokes, firstRing } = trade.practisedBasket;
  return (Math.asin(2 * (firstRing / spokes - 1)) * 180) / Math.PI;
}
