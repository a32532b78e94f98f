import type { KnotLine } from './knotLine';
import { neighboursOf, orderInSpace, pairsWithin, type Neighbours } from './neighbours';

/** Flat: a direction of length 1 into the room, and how far from the origin along it, mm. */
export interface Wall {
  into: readonly [x: number, y: number, z: number];
  atMm: number;
}

/** Spheres that are relaxed, and what they are tied to. */
export interface Relaxing {
  /** Three figures a sphere, mm; changed where they lie. */
  at: Float64Array;
  /** From the middle of each to where another begins to press on it, mm. */
  reachMm: Float64Array;
  /** The knot of each; -1 where it is tied to none. */
  knot?: Int32Array | undefined;
  /** How far from its knot the middle of each may be, mm. */
  tetherMm?: Float64Array | undefined;
  /** Where each knot is along `line`, mm; changed where they slide. */
  alongMm?: Float64Array | undefined;
  line?: KnotLine | undefined;
  /** How far each knot lies beside its place on the line, three figures a knot, mm; on it where there are none. */
  besideMm?: Float64Array | undefined;
  /** What spheres are tied to each other by. */
  bonds?: readonly Bond[] | undefined;
  /** Pairs that do not slide on one another. */
  grips?: readonly Grip[] | undefined;
  /** So many of the first spheres, and of the first knots, stay where they are. */
  held?: number | undefined;
  heldKnots?: number | undefined;
}

/** Two spheres that are tied: they may be so far apart, and are drawn together beyond that. */
export interface Bond {
  a: number;
  b: number;
  /** From middle to middle, mm. */
  restMm: number;
}

/** Two spheres that stick where they touch: they may come nearer and go apart, and resist being moved sideways. */
export interface Grip {
  a: number;
  b: number;
  /** From a to b where they touched, of length 1. */
  towards: readonly [x: number, y: number, z: number];
}

export interface RelaxHow {
  /**
   * Done once no two press into one another by more than this share of how far apart they belong; where something draws
   * on them, ties them to each other, or they have weight, once nothing moves them any more.
   */
  within: number;
  mostSteps: number;
  /** Draws the last knot back, and the first one on where none is held, as a share of a contact pressed by its reach. */
  pull?: number | undefined;
  /** Downwards on each, the same share. */
  weight?: number | undefined;
  /** The spring of necks and bonds beside that of two that press; `NECK` where it is not said. */
  neck?: number | undefined;
  walls?: readonly Wall[] | undefined;
}

export interface Relaxed {
  steps: number;
  /** The most that two still press into one another, of how far apart they belong. */
  worst: number;
}

/** The fast inertial relaxation engine's own figures, and its longest step for springs and masses of 1. */
const FIRE = { wait: 8, faster: 1.1, slower: 0.5, alpha: 0.15, fade: 0.99, first: 0.1, most: 0.4 } as const;
/** Lists of neighbours hold until something has moved by half of this share of the mean reach. */
const SKIN = 0.5;
/** A neck gives more easily than balloons that press: its spring beside theirs. */
const NECK = 0.2;
/**
 * What resists sliding beside what resists pressing, of bodies that keep their volume: 2 (1 - ν) / (2 - ν) at ν = ½.
 *
 * Source: Mindlin, Journal of Applied Mechanics 16, 259 (1949).
 */
const GRIP = 2 / 3;
/** Of the greatest force that is there at rest, what is left is nothing. */
const AT_REST = 1e-4;

/**
 * Lets spheres come to rest: where two are nearer than they reach they push apart in proportion, what is tied is held at
 * its knot, what is tied to another by a bond to that one, knots slide along their line where something draws on them.
 * Every mass is 1, as is every spring but those of necks and bonds (`neck`) and of what sticks (`GRIP`).
 *
 * Source: Bitzek et al., Physical Review Letters 97, 170201 (2006): FIRE.
 */
export function relax(spheres: Relaxing, how: RelaxHow): Relaxed {
  const { at, reachMm, knot, tetherMm, held = 0 } = spheres;
  if (reachMm.length < SORTED_FROM || held > 0 || spheres.bonds || spheres.grips) return relaxed(spheres, how);
  const order = orderInSpace(at, reachMm);
  const sorted = {
    ...spheres,
    at: Float64Array.from({ length: at.length }, (_, i) => at[3 * order[Math.floor(i / 3)]! + (i % 3)]!),
    reachMm: Float64Array.from(order, (i) => reachMm[i]!),
    knot: knot && Int32Array.from(order, (i) => knot[i]!),
    tetherMm: tetherMm && Float64Array.from(order, (i) => tetherMm[i]!),
  };
  const done = relaxed(sorted, how);
  order.forEach((i, slot) => at.set(sorted.at.subarray(3 * slot, 3 * slot + 3), 3 * i));
  return done;
}

/** From so many on they are worked on in the order in which they lie. */
const SORTED_FROM = 2000;

function relaxed(spheres: Relaxing, how: RelaxHow): Relaxed {
  const { within, mostSteps, pull = 0, weight = 0, walls = [], neck = NECK } = how;
  const { at, reachMm, knot, tetherMm, alongMm, line, besideMm, held = 0, heldKnots = 0 } = spheres;
  const { bonds = [], grips = [] } = spheres;
  const { abs, sqrt } = Math;
  const n = reachMm.length;
  const knots = alongMm?.length ?? 0;
  const slides = pull !== 0 && knots > heldKnots;
  const meanMm = reachMm.reduce((sum, reach) => sum + reach, 0) / Math.max(1, n);
  const skinMm = SKIN * meanMm;
  const size = 3 * n + knots;
  const [v, f] = [new Float64Array(size), new Float64Array(size)];
  const place = new Float64Array(6);
  const places = new Float64Array(6 * knots);
  const readKnots = () => {
    for (let k = 0; k < knots; k += 1) {
      line!.read(alongMm![k]!, place);
      places.set(place, 6 * k);
      if (besideMm) for (let axis = 0; axis < 3; axis += 1) places[6 * k + axis]! += besideMm[3 * k + axis]!;
    }
  };
  readKnots();
  let near: Neighbours = neighboursOf(at, reachMm, skinMm);
  let listed = at.slice();
  const forces = (): number => {
    f.fill(0);
    let worst = 0;
    const { starts, others } = near;
    // Figures by themselves, not in pairs and threes: this is where all the time goes.
    for (let i = 0; i < n; i += 1) {
      const a = 3 * i;
      const x = at[a]!;
      const y = at[a + 1]!;
      const z = at[a + 2]!;
      const reach = reachMm[i]!;
      let fx = 0;
      let fy = 0;
      let fz = -weight * meanMm;
      for (let slot = starts[i]!; slot < starts[i + 1]!; slot += 1) {
        const j = others[slot]!;
        const b = 3 * j;
        const dx = at[b]! - x;
        const dy = at[b + 1]! - y;
        const dz = at[b + 2]! - z;
        const apart = reach + reachMm[j]!;
        const square = dx * dx + dy * dy + dz * dz;
        if (square >= apart * apart) continue;
        const d = sqrt(square) || 1e-9;
        const over = apart - d;
        if (over > worst * apart) worst = over / apart;
        const by = over / d;
        fx -= by * dx;
        fy -= by * dy;
        fz -= by * dz;
        f[b]! += by * dx;
        f[b + 1]! += by * dy;
        f[b + 2]! += by * dz;
      }
      for (const { into, atMm } of walls) {
        const over = reach - (into[0] * x + into[1] * y + into[2] * z - atMm);
        if (over <= 0) continue;
        if (over > worst * reach) worst = over / reach;
        fx += over * into[0];
        fy += over * into[1];
        fz += over * into[2];
      }
      const k = knot ? knot[i]! : -1;
      if (k >= 0) {
        const p = 6 * k;
        const dx = x - places[p]!;
        const dy = y - places[p + 1]!;
        const dz = z - places[p + 2]!;
        const d = sqrt(dx * dx + dy * dy + dz * dz);
        const long = d - tetherMm![i]!;
        if (long > 0) {
          const by = (neck * long) / d;
          fx -= by * dx;
          fy -= by * dy;
          fz -= by * dz;
          if (slides) f[3 * n + k]! += by * (dx * places[p + 3]! + dy * places[p + 4]! + dz * places[p + 5]!);
        }
      }
      f[a]! += fx;
      f[a + 1]! += fy;
      f[a + 2]! += fz;
    }
    for (const { a: one, b: other, restMm } of bonds) {
      const [a, b] = [3 * one, 3 * other];
      const dx = at[b]! - at[a]!;
      const dy = at[b + 1]! - at[a + 1]!;
      const dz = at[b + 2]! - at[a + 2]!;
      const d = sqrt(dx * dx + dy * dy + dz * dz);
      if (d <= restMm) continue;
      const by = (neck * (d - restMm)) / d;
      f[a]! += by * dx;
      f[a + 1]! += by * dy;
      f[a + 2]! += by * dz;
      f[b]! -= by * dx;
      f[b + 1]! -= by * dy;
      f[b + 2]! -= by * dz;
    }
    for (const { a: one, b: other, towards } of grips) {
      const [a, b] = [3 * one, 3 * other];
      const [tx, ty, tz] = towards;
      const dx = at[b]! - at[a]!;
      const dy = at[b + 1]! - at[a + 1]!;
      const dz = at[b + 2]! - at[a + 2]!;
      // What is left of it beside the way from one to the other.
      const along = dx * tx + dy * ty + dz * tz;
      const fx = GRIP * (dx - along * tx);
      const fy = GRIP * (dy - along * ty);
      const fz = GRIP * (dz - along * tz);
      f[a]! += fx;
      f[a + 1]! += fy;
      f[a + 2]! += fz;
      f[b]! -= fx;
      f[b + 1]! -= fy;
      f[b + 2]! -= fz;
    }
    if (slides) {
      if (heldKnots === 0) f[3 * n]! += pull * meanMm;
      f[3 * n + knots - 1]! -= pull * meanMm;
      f.fill(0, 3 * n, 3 * n + heldKnots);
    }
    f.fill(0, 0, 3 * held);
    return worst;
  };
  let worst = forces();
  let [dt, alpha, since]: [number, number, number] = [FIRE.first, FIRE.alpha, 0];
  const still = AT_REST * meanMm;
  let step = 0;
  for (; step < mostSteps; step += 1) {
    let [power, vv, ff, moved] = [0, 0, 0, 0];
    for (let i = 0; i < size; i += 1) {
      power += f[i]! * v[i]!;
      vv += v[i]! * v[i]!;
      ff += f[i]! * f[i]!;
    }
    if (!slides && weight === 0 && bonds.length + grips.length === 0 ? worst <= within : ff <= still * still * size)
      break;
    if (power > 0) {
      const mix = alpha * sqrt(vv / (ff || 1));
      for (let i = 0; i < size; i += 1) v[i] = (1 - alpha) * v[i]! + mix * f[i]!;
      since += 1;
      if (since > FIRE.wait) {
        dt = Math.min(FIRE.most, dt * FIRE.faster);
        alpha *= FIRE.fade;
      }
    } else {
      v.fill(0);
      dt *= FIRE.slower;
      alpha = FIRE.alpha;
      since = 0;
    }
    for (let i = 0; i < size; i += 1) v[i]! += dt * f[i]!;
    for (let i = 0; i < 3 * n; i += 1) {
      at[i]! += dt * v[i]!;
      const off = abs(at[i]! - listed[i]!);
      if (off > moved) moved = off;
    }
    if (slides) {
      for (let k = 0; k < knots; k += 1) alongMm![k]! += dt * v[3 * n + k]!;
      readKnots();
    }
    // Along one axis it may be less than along all three.
    if (moved * 1.7321 > skinMm / 2) {
      near = neighboursOf(at, reachMm, skinMm);
      listed = at.slice();
    }
    worst = forces();
  }
  return { steps: step, worst };
}

/** How near two must be to touch: to a hundredth of how far apart they belong. */
const TOUCHES = 1.01;

/** Pairs that touch. */
export const contactsIn = (at: Float64Array, reachMm: Float64Array): number =>
  pairsWithin(at, reachMm, TOUCHES).length / 2;
