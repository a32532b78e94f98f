import { cross, dot, plus, turned, unit } from '../numeric/space';
import { randomFrom } from '../statistics';
import type { Place } from './knotLine';
import type { Wall } from './relax';
import { meanWidth, readLine, type SoftGarland } from './soft';

/** A bunch is held over a cluster in so many ways, and tied where it presses on least. */
const TRIES = 12;
/** Its knot lies between the balloons that it is tied over, so far from the line of their mean width. */
const KNOT_OUT = 0.5;
/** How far its balloons lean from straight out, radians. */
const SPREADS = 1;

/** Two directions of length 1 across another. */
export function across(along: Place): [Place, Place] {
  // Never along what is nearly upright.
  const one = unit(cross(Math.abs(along[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0], along));
  return [one, cross(along, one)];
}

/** Ties a bunch over the cluster along the line that it belongs to, on the side where most room is left. */
export function putOver(garland: SoftGarland, k: number, seed: number, walls: readonly Wall[]): void {
  const { bunches, alongMm, besideMm, line, starts, tetherMm, at } = garland;
  const { cluster, layer } = bunches[k]!;
  // Its own numbers, whatever is put on elsewhere.
  const random = randomFrom(seed + 0x9e3779b9 * (cluster + 1) + 0x85ebca6b * layer);
  alongMm[k] = alongMm[cluster]!;
  const { at: knot, along } = readLine(line, alongMm[k]!);
  const [one, other] = across(along);
  const outMm = KNOT_OUT * meanWidth(garland, cluster);
  const many = starts[k + 1]! - starts[k]!;
  let best: { pressed: number; out: Place; places: Place[] } | null = null;
  for (let turn = 0; turn < TRIES; turn += 1) {
    const angle = 2 * Math.PI * random();
    const first = 2 * Math.PI * random();
    const out = turned(one, other, angle);
    const aside = cross(along, out);
    const places = Array.from({ length: many }, (_, j): Place => {
      const round = first + (2 * Math.PI * j) / many;
      const lean = many === 1 ? 0 : Math.sin(SPREADS);
      const ring = plus(plus([0, 0, 0], along, lean * Math.cos(round)), aside, lean * Math.sin(round));
      const way = plus(ring, out, many === 1 ? 1 : Math.cos(SPREADS));
      return plus(plus(knot, out, outMm), way, tetherMm[starts[k]! + j]!);
    });
    const pressed = pressedBy(garland, k, places, walls);
    if (!best || pressed < best.pressed) best = { pressed, out, places };
  }
  besideMm.set(plus([0, 0, 0], best!.out, outMm), 3 * k);
  best!.places.forEach((place, j) => at.set(place, 3 * (starts[k]! + j)));
}

/** How deep balloons at these places would lie in what is there already and in walls, mm in all. */
function pressedBy(
  { at, reachMm, starts }: SoftGarland,
  k: number,
  places: readonly Place[],
  walls: readonly Wall[],
): number {
  let pressed = 0;
  places.forEach((place, j) => {
    const reach = reachMm[starts[k]! + j]!;
    for (let i = 0; i < starts[k]!; i += 1) {
      const apart = reach + reachMm[i]!;
      const [dx, dy, dz] = [at[3 * i]! - place[0], at[3 * i + 1]! - place[1], at[3 * i + 2]! - place[2]];
      const square = dx * dx + dy * dy + dz * dz;
      if (square < apart * apart) pressed += apart - Math.sqrt(square);
    }
    for (const { into, atMm } of walls) pressed += Math.max(0, reach - (dot(into, place) - atMm));
  });
  return pressed;
}
