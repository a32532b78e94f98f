/** Pairs of spheres that may touch, in one list: those of sphere i are `others[starts[i]]` up to `starts[i + 1]`. */
export interface Neighbours {
  starts: Int32Array;
  others: Int32Array;
}

/**
 * Which spheres lie so near that they touch, or would after each has moved by half of `skinMm`. Each pair is told once, by
 * its lower index. Spheres are sorted into cells as wide as the farthest that two can touch, so that the time grows as
 * their number does.
 *
 * `at`: places, three figures a sphere. `reachMm`: how far each reaches from its middle.
 *
 * Source: linked cells and Verlet lists (Allen and Tildesley, Computer Simulation of Liquids, 5.3).
 */
export function neighboursOf(at: Float64Array, reachMm: Float64Array, skinMm: number): Neighbours {
  const n = reachMm.length;
  const starts = new Int32Array(n + 1);
  let [others, found] = [new Int32Array(16 * n + 16), 0];
  const cells = cellsOf(at, 2 * reachMm.reduce((most, reach) => Math.max(most, reach), 0) + skinMm);
  const { wide, deep, high, cellOf, first, order } = cells;
  const near = new Int32Array(n);
  for (let i = 0; i < n; i += 1) {
    starts[i] = found;
    const [x, y, z, reach] = [at[3 * i]!, at[3 * i + 1]!, at[3 * i + 2]!, reachMm[i]! + skinMm];
    const cell = cellOf[i]!;
    const [cx, cy, cz] = [cell % wide, Math.floor(cell / wide) % deep, Math.floor(cell / (wide * deep))];
    let many = 0;
    for (let k = Math.max(0, cz - 1); k <= Math.min(high - 1, cz + 1); k += 1)
      for (let l = Math.max(0, cy - 1); l <= Math.min(deep - 1, cy + 1); l += 1) {
        const row = (k * deep + l) * wide;
        const [from, to] = [first[row + Math.max(0, cx - 1)]!, first[row + Math.min(wide - 1, cx + 1) + 1]!];
        for (let slot = from; slot < to; slot += 1) {
          const j = order[slot]!;
          if (j <= i) continue;
          const dx = at[3 * j]! - x;
          const dy = at[3 * j + 1]! - y;
          const dz = at[3 * j + 2]! - z;
          const far = reach + reachMm[j]!;
          if (dx * dx + dy * dy + dz * dz < far * far) {
            near[many] = j;
            many += 1;
          }
        }
      }
    if (found + many > others.length) {
      const more = new Int32Array(2 * others.length + many);
      more.set(others);
      others = more;
    }
    for (let slot = 0; slot < many; slot += 1) others[found + slot] = near[slot]!;
    found += many;
  }
  starts[n] = found;
  return { starts, others };
}

/**
 * Pairs of spheres that are nearer than so many times how far apart they are when they touch, two indices a pair.
 *
 * `at`, `reachMm`: as of `neighboursOf`. `times`: 1 and above.
 */
export function pairsWithin(at: Float64Array, reachMm: Float64Array, times: number): number[] {
  const farthest = 2 * reachMm.reduce((most, reach) => Math.max(most, reach), 0);
  const { starts, others } = neighboursOf(at, reachMm, (times - 1) * farthest);
  const pairs: number[] = [];
  for (let i = 0; i < reachMm.length; i += 1)
    for (let slot = starts[i]!; slot < starts[i + 1]!; slot += 1) {
      const j = others[slot]!;
      const d = Math.hypot(at[3 * j]! - at[3 * i]!, at[3 * j + 1]! - at[3 * i + 1]!, at[3 * j + 2]! - at[3 * i + 2]!);
      if (d < times * (reachMm[i]! + reachMm[j]!)) pairs.push(i, j);
    }
  return pairs;
}

/** Spheres in an order in which those that lie near each other follow each other: their figures are then near too. */
export function orderInSpace(at: Float64Array, reachMm: Float64Array): Int32Array {
  return cellsOf(at, 2 * reachMm.reduce((most, reach) => Math.max(most, reach), 0)).order;
}

/** No more cells than so many for each sphere: where they lie far apart the cells are larger. */
const CELLS_EACH = 8;

function cellsOf(at: Float64Array, leastMm: number) {
  const n = at.length / 3;
  const low = [Infinity, Infinity, Infinity];
  const most = [-Infinity, -Infinity, -Infinity];
  for (let i = 0; i < at.length; i += 1) {
    low[i % 3] = Math.min(low[i % 3]!, at[i]!);
    most[i % 3] = Math.max(most[i % 3]!, at[i]!);
  }
  let edge = leastMm;
  const along = (axis: number) => Math.max(1, Math.floor((most[axis]! - low[axis]!) / edge) + 1);
  while (along(0) * along(1) * along(2) > CELLS_EACH * n + 64) edge *= 1.5;
  const [wide, deep, high] = [along(0), along(1), along(2)];
  const cellOf = new Int32Array(n);
  const first = new Int32Array(wide * deep * high + 1);
  for (let i = 0; i < n; i += 1) {
    const place = (axis: number) => Math.floor((at[3 * i + axis]! - low[axis]!) / edge);
    const cell = (place(2) * deep + place(1)) * wide + place(0);
    cellOf[i] = cell;
    first[cell + 1]! += 1;
  }
  for (let cell = 0; cell < wide * deep * high; cell += 1) first[cell + 1]! += first[cell]!;
  const next = first.slice();
  const order = new Int32Array(n);
  for (let i = 0; i < n; i += 1) {
    const cell = cellOf[i]!;
    order[next[cell]!] = i;
    next[cell]! += 1;
  }
  return { wide, deep, high, cellOf, first, order };
}
