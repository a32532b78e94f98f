import { cross, distance, dot, placeOf, plus, unit } from '../numeric/space';
import { neighboursOf } from './neighbours';
import type { Place } from './knotLine';
import { ballsOf, type PackedGarland } from './soft';

/** A sphere: its middle and its radius, mm. */
export interface Ball {
  at: Place;
  radiusMm: number;
}

/** A hollow between three balloons on the outside of a garland. */
export interface Gap {
  /** The widest ball that lies in it without standing out over them, mm. */
  widthMm: number;
  /** The balloons around it, by index. */
  between: readonly [number, number, number];
  /** Away from what the garland is tied to, of length 1. */
  out: Place;
}

/** Widths that are looked for, mm. */
interface GapsBetween {
  leastMm: number;
  mostMm: number;
}

/** Two gaps are one where their balls lie over each other by more than this share of the smaller one’s width. */
const SAME = 0.3;
/** A ball may press so far into what is around it, of both reaches: as soft ones do. */
const PRESSES = 0.06;
/** Halvings: to a thousandth of a width. */
const HALVINGS = 14;

/**
 * The hollows on the outside of a packed garland in which a small balloon nests: between three balloons that are near each
 * other, as wide as the ball that touches all three and the plane that lies on them. The widest first; of those that lie
 * over each other the widest alone.
 *
 * Source: spheres that touch spheres and planes (Soddy, Nature 137, 1021, 1936, where they all touch each other; the
 * general case by trilateration, any handbook of geometry).
 */
export function gapsOf({ balloons }: Pick<PackedGarland, 'balloons'>, { leastMm, mostMm }: GapsBetween): Gap[] {
  const { at, reachMm } = ballsOf(balloons);
  const { starts, others } = neighboursOf(at, reachMm, mostMm / 2);
  const near = balloons.map((): number[] => []);
  for (let i = 0; i < balloons.length; i += 1)
    for (let slot = starts[i]!; slot < starts[i + 1]!; slot += 1) {
      near[i]!.push(others[slot]!);
      near[others[slot]!]!.push(i);
    }
  const ballAt = (i: number): Ball => ({ at: placeOf(balloons[i]!), radiusMm: reachMm[i]! });
  const found: (Gap & { ball: Ball })[] = [];
  for (let i = 0; i < balloons.length; i += 1)
    for (const j of near[i]!.filter((each) => each > i))
      for (const k of near[j]!.filter((each) => each > j && near[i]!.includes(each))) {
        const three = [ballAt(i), ballAt(j), ballAt(k)] as const;
        const away = unit([i, j, k].reduce<Place>((sum, each) => minus(sum, balloons[each]!.neck), [0, 0, 0]));
        const made = flushBetween(three, away, mostMm / 2);
        if (!made || 2 * made.ball.radiusMm < leastMm) continue;
        const around = new Set([...near[i]!, ...near[j]!, ...near[k]!]);
        for (const own of [i, j, k]) around.delete(own);
        if ([...around].every((each) => isClear(made.ball, ballAt(each))))
          found.push({ widthMm: 2 * made.ball.radiusMm, between: [i, j, k], out: made.out, ball: made.ball });
      }
  const kept: typeof found = [];
  for (const gap of found.sort((a, b) => b.widthMm - a.widthMm))
    if (kept.every(({ ball }) => apart(ball, gap.ball))) kept.push(gap);
  return kept.map(({ ball: _, ...gap }) => gap);
}

/**
 * Where a ball of some width lies in a gap: touching all three balloons around it, on their outer side; null where it is
 * too small to reach them all.
 */
export function nestIn(
  { balloons }: Pick<PackedGarland, 'balloons'>,
  { between, out }: Gap,
  widthMm: number,
): Place | null {
  const three = between.map((i) => ({ at: placeOf(balloons[i]!), radiusMm: balloons[i]!.widthMm / 2 }));
  return ballOnThree(three as unknown as Three, widthMm / 2, out);
}

/** Three of them. */
type Three = readonly [Ball, Ball, Ball];

const minus = (a: Place, b: Place): Place => plus(a, b, -1);

const isClear = (ball: Ball, other: Ball): boolean =>
  distance(ball.at, other.at) > (1 - PRESSES) * (ball.radiusMm + other.radiusMm);

function apart(one: Ball, other: Ball): boolean {
  const over = one.radiusMm + other.radiusMm - distance(one.at, other.at);
  return over < SAME * 2 * Math.min(one.radiusMm, other.radiusMm);
}

/** The ball that touches three and the plane on their outer side, no wider than twice `mostMm`. */
function flushBetween(three: Three, away: Place, mostMm: number): { ball: Ball; out: Place } | null {
  const out = planeOn(three, away);
  if (!out || dot(out, away) <= 0) return null;
  const level = dot(out, three[0].at) + three[0].radiusMm;
  // How far a ball of this radius stands out; null where it falls through.
  const proud = (radiusMm: number) => {
    const at = ballOnThree(three, radiusMm, out);
    return at && dot(out, at) + radiusMm - level;
  };
  let [low, high] = [0, mostMm];
  const widest = proud(high);
  // Where even the widest falls through, it is no hollow but a hole.
  if (widest === null) return null;
  if (widest > 0) {
    for (let i = 0; i < HALVINGS; i += 1) {
      const middle = (low + high) / 2;
      const stands = proud(middle);
      if (stands === null || stands < 0) low = middle;
      else high = middle;
    }
  }
  const at = ballOnThree(three, high, out);
  return at && { ball: { at, radiusMm: high }, out };
}

/** The direction square to the plane that lies on three balls, on the side that looks away; null where none does. */
function planeOn([a, b, c]: Three, away: Place): Place | null {
  const [ab, ac] = [minus(b.at, a.at), minus(c.at, a.at)];
  const normal = unit(cross(ab, ac));
  const flat = inPlane([ab, ac], [a.radiusMm - b.radiusMm, a.radiusMm - c.radiusMm]);
  if (!flat) return null;
  const rest = 1 - dot(flat, flat);
  if (rest <= 0) return null;
  return plus(flat, normal, Math.sign(dot(normal, away) || 1) * Math.sqrt(rest));
}

/**
 * The middle of a ball of a radius that touches three, on the side of a direction; null where it does not reach them.
 *
 * Source: trilateration (any handbook of geometry).
 */
export function ballOnThree([a, b, c]: Three, radiusMm: number, side: Place): Place | null {
  const [ab, ac] = [minus(b.at, a.at), minus(c.at, a.at)];
  const far = [a, b, c].map((ball) => (ball.radiusMm + radiusMm) ** 2) as [number, number, number];
  const flat = inPlane([ab, ac], [(far[0] - far[1] + dot(ab, ab)) / 2, (far[0] - far[2] + dot(ac, ac)) / 2]);
  if (!flat) return null;
  const rest = far[0] - dot(flat, flat);
  if (rest < 0) return null;
  const normal = unit(cross(ab, ac));
  return plus(plus(a.at, flat), normal, Math.sign(dot(normal, side) || 1) * Math.sqrt(rest));
}

/** The place in the plane of two directions with such products with them; null where they are one. */
function inPlane([u, v]: readonly [Place, Place], [p, q]: readonly [number, number]): Place | null {
  const [uu, uv, vv] = [dot(u, u), dot(u, v), dot(v, v)];
  const det = uu * vv - uv * uv;
  if (det < 1e-9 * uu * vv) return null;
  return plus(plus([0, 0, 0], u, (p * vv - q * uv) / det), v, (q * uu - p * uv) / det);
}

/**
 * The ball between four that all touch each other: its curvature is half of the sum of theirs and the root of three times
 * the square of that sum less six times the sum of their squares.
 *
 * Source: Soddy, Nature 137 (1936) 1021.
 */
export function gapFiller(radiiMm: readonly [number, number, number, number]): number {
  const curvatures = radiiMm.map((radius) => 1 / radius);
  const sum = curvatures.reduce((all, each) => all + each, 0);
  const squares = curvatures.reduce((all, each) => all + each * each, 0);
  return 2 / (sum + Math.sqrt(3 * sum * sum - 6 * squares));
}
