import { ok, problem, type Result } from '../result';
import { TRADE } from '../trade';
import type { FormKind } from './kinds';
import { chordShare } from './ring';
import { rootWithin } from '../numeric';

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

/** Small balloons that tie the points of two rings, one upon the other. */
export interface TieLayer {
  key: string;
  /** Which two layers' points it ties, by their places among the layers. */
  below: number;
  above: number;
  count: number;
  /** The width that touches all four balloons around it, mm. */
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
 * touch each other, the outer ones stand on them. Its first ring sits between the outer spoke balloons; the rings
 * above stand ball upon ball, and small balloons tie their points. The other forms turn every ring by half a step.
 * What closes a dome or a ball is one balloon that touches its last ring.
 *
 * Problems: `bad-count`, `bad-rings` (basket and cup 1 to 6), `bad-width`, `bad-lean`, `no-room`.
 */
export function formOf(shape: FormShape): Result<Form, FormProblemCode> {
  const wrong = shapeProblem(shape);
  if (wrong) return wrong;
  const { kind, count, rings, baseMm, jointMm } = shape;
  const share = chordShare(count);
  const based = kind === 'basket';
  const baseRadiusMm = (baseMm + (based ? 0 : jointMm)) / share;
  const profile = profileOf(shape, baseRadiusMm);
  const base = { count, widthMm: baseMm, ...profile(0) };
  const layers: FormLayer[] = [];
  let along = 0;
  if (based) {
    layers.push({ ...base, key: 'spokes', role: 'inner-spokes', turned: 0, jointMm: null });
    along = baseMm + jointMm;
    layers.push({
      ...base,
      ...profile(along),
      key: 'spokes',
      role: 'outer-spokes',
      turned: 0,
      jointMm: null,
    });
  } else layers.push({ ...base, key: 'ring-1', role: 'ring', turned: 0, jointMm });

  const first = based ? 1 : 2;
  for (let ring = first; ring < first + rings; ring += 1) {
    const below = layers.at(-1)!;
    const straight = based && ring > 1;
    const placed = nextRing({ profile, from: along, below, count, jointMm, straight });
    if (!placed) return problem('no-room', { field: 'rings', detail: { ring, most: ring - first } });
    along = placed.along;
    const turned = straight ? below.turned : below.turned === 0 ? 0.5 : 0;
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
    const cap = capOn(last, baseRadiusMm);
    if (cap.widthMm > MOST_CAP * baseMm) return problem('cap-too-large', { field: 'rings' });
    if (cap.widthMm < LEAST_CAP * last.widthMm)
      return problem('no-room', {
        field: 'rings',
        detail: { ring: rings + 1, most: Math.max(0, rings - 1) },
      });
    layers.push(cap);
  }
  const whole = kind === 'ball' ? mirrored(layers) : layers;
  return ok({ shape, layers: whole, ties: based ? tiesOf(whole) : [], ...extentOf(kind, whole) });
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
export function workingRings(shape: Omit<FormShape, 'rings'>): number[] {
  return Array.from({ length: MOST_RINGS + 1 }, (_, rings) => rings).filter((rings) => formOf({ ...shape, rings }).ok);
}

/** The same below the equator as above it. */
function mirrored(layers: readonly FormLayer[]): FormLayer[] {
  const below = layers.slice(1).map((layer) => ({ ...layer, heightMm: -layer.heightMm }));
  return [...below.reverse(), ...layers];
}

function extentOf(kind: FormKind, layers: readonly FormLayer[]) {
  const top = layers.at(-1)!;
  const low = Math.min(...layers.map(({ heightMm, widthMm }) => heightMm - widthMm / 2));
  const high = Math.max(...layers.map(({ heightMm, widthMm }) => heightMm + widthMm / 2));
  // A wreath opens at its first ring.
  const open = kind === 'wreath' ? layers[0]! : top;
  return {
    mouthMm: top.role === 'cap' ? 0 : Math.max(0, 2 * open.radiusMm - open.widthMm),
    acrossMm: Math.max(...layers.map(({ radiusMm, widthMm }) => 2 * radiusMm + widthMm)),
    heightMm: high - low,
  };
}

/** What a tying balloon's place is made of, mm. */
export interface TiePlace {
  /** Widths of the balloons below and above, and their pitches within their rings. */
  lowerMm: number;
  upperMm: number;
  lowerPitchMm: number;
  upperPitchMm: number;
  /** From the point of the lower ring to that of the upper. */
  bandMm: number;
}

/**
 * The balloon that just touches all four around it, its centre on the line from point to point: from (a + t)^2 = c^2
 * + x^2 and (b + t)^2 = d^2 + (L - x)^2, with a, b the radii of the balloons, c, d half their pitches and L the band.
 * `alongMm` is x. 0 wide when the four leave no room.
 */
export function tieIn({ lowerMm, upperMm, lowerPitchMm, upperPitchMm, bandMm }: TiePlace): {
  widthMm: number;
  alongMm: number;
} {
  const [a, b, c, d] = [lowerMm / 2, upperMm / 2, lowerPitchMm / 2, upperPitchMm / 2];
  const slope = (a - b) / bandMm;
  const start = (a * a - b * b - c * c + d * d + bandMm * bandMm) / (2 * bandMm);
  const [two, one, none] = [1 - slope * slope, a - start * slope, a * a - c * c - start * start];
  const radius = (-one + Math.sqrt(Math.max(0, one * one - two * none))) / two;
  return radius > 0 ? { widthMm: 2 * radius, alongMm: start + slope * radius } : { widthMm: 0, alongMm: start };
}

/** The place of the ties between two rings that stand ball upon ball. */
export function tiePlace(lower: FormLayer, upper: FormLayer): TiePlace {
  const inwards = Math.cos(Math.PI / lower.count);
  const out = (upper.radiusMm - lower.radiusMm) * inwards;
  return {
    lowerMm: lower.widthMm,
    upperMm: upper.widthMm,
    lowerPitchMm: lower.radiusMm * chordShare(lower.count),
    upperPitchMm: upper.radiusMm * chordShare(upper.count),
    bandMm: Math.hypot(out, upper.heightMm - lower.heightMm),
  };
}

/** Ties between every two rings that stand ball upon ball. */
export function tiesOf(layers: readonly FormLayer[]): TieLayer[] {
  return layers.flatMap((upper, above): TieLayer[] => {
    const below = above - 1;
    const lower = layers[below];
    if (!lower || lower.role !== 'ring' || upper.role !== 'ring' || lower.turned !== upper.turned) return [];
    const place = tiePlace(lower, upper);
    const { widthMm, alongMm } = tieIn(place);
    const part = alongMm / place.bandMm;
    const inwards = Math.cos(Math.PI / lower.count);
    return [
      {
        key: 'ties',
        below,
        above,
        count: lower.count,
        widthMm,
        radiusMm: inwards * (lower.radiusMm + part * (upper.radiusMm - lower.radiusMm)),
        heightMm: lower.heightMm + part * (upper.heightMm - lower.heightMm),
        turned: lower.turned === 0 ? 0.5 : 0,
      },
    ];
  });
}

/** The usual lean of a form's wall, degrees. */
export function usualLeanDeg(kind: FormKind): number {
  return kind === 'basket' ? TRADE.linkGrowthDeg.value : 0;
}
