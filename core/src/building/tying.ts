import type { ColourMap } from './colourMap';

/** Balloons tied together before they come to a layer: a duplet or a triplet, its colours in order. */
export interface Tied {
  colours: readonly number[];
  /** How many of it the piece takes. */
  count: number;
}

/** How a layer is turned against the one below, by its colours, seen from outside. */
export type Turning =
  /** Its colours are those of the layer below, half a step further on. */
  | { code: 'right' | 'left' }
  /** It makes no difference: either way the same comes out. */
  | { code: 'either' }
  /** The same order, but turned by more: so many half steps to the right. */
  | { code: 'by'; halves: number }
  /** Another order of colours. */
  | { code: 'other-order' };

/** What to tie for a map of colours, and how to lay it. */
export interface TyingPlan {
  /** Most of them first. */
  tied: Tied[];
  /** For each layer, which of `tied` it is made of. */
  layers: { parts: number[]; turning: Turning | null }[];
  /** It is proved that no way of tying needs fewer kinds. */
  least: boolean;
}

/** What a layer of so many is put together of: duplets and triplets (common practice). */
export function partsOf(count: number): number[] {
  if (count <= 3) return [count];
  return count % 2 === 0 ? Array.from({ length: count / 2 }, () => 2) : [...partsOf(count - 3), 3];
}

/**
 * What to tie so that as few kinds of duplets (and triplets, for odd counts) as can be make every layer of a map: fewer
 * kinds are fewer mistakes. Which balloons of a layer are tied together is free, since a layer's balloons are laid in
 * their order once it is twisted; of equally few kinds those with fewer mixed ones are taken.
 *
 * `map`: rows of equal length, 1 to 24.
 *
 * Source: branch and bound over the ways of tying each layer (any handbook of algorithms).
 */
export function tyingOf(map: ColourMap): TyingPlan {
  const parts = partsOf(map[0]?.length ?? 0);
  const rows = map.map((row) => [...row].sort((a, b) => a - b));
  const ways = new Map(rows.map((row) => [row.join(), waysToTie(row, parts)]));
  const { kinds, least } = fewestKinds([...ways.values()]);
  const chosen = new Map([...ways].map(([key, own]) => [key, bestOf(own, kinds)]));
  const counts = new Map<string, number>();
  for (const row of rows) for (const kind of chosen.get(row.join())!) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  const tied = [...counts]
    .map(([kind, count]) => ({ kind, colours: kind.split('+').map(Number), count }))
    .sort((a, b) => b.count - a.count || (a.kind < b.kind ? -1 : 1));
  const at = new Map(tied.map(({ kind }, i) => [kind, i]));
  return {
    tied: tied.map(({ colours, count }) => ({ colours, count })),
    layers: rows.map((row, layer) => ({
      parts: chosen.get(row.join())!.map((kind) => at.get(kind)!),
      turning: layer === 0 ? null : turningOf(map, layer),
    })),
    least,
  };
}

/** Every way to part sorted colours into bundles of the given sizes, each way as its kinds, once. */
function waysToTie(colours: readonly number[], sizes: readonly number[]): string[][] {
  const found = new Map<string, string[]>();
  const tie = (left: readonly number[], at: number, kinds: string[]) => {
    if (at === sizes.length) {
      const sorted = [...kinds].sort();
      found.set(sorted.join('|'), sorted);
      return;
    }
    const tried = new Set<string>();
    for (const bundle of choices(left, sizes[at]!)) {
      const kind = bundle.map((place) => left[place]).join('+');
      if (tried.has(kind)) continue;
      tried.add(kind);
      const rest = left.filter((_, place) => !bundle.includes(place));
      // Of bundles of one size the order says nothing: only the one in order is followed.
      const before = kinds.at(-1);
      if (before !== undefined && sizes[at - 1] === sizes[at] && kind < before) continue;
      tie(rest, at + 1, [...kinds, kind]);
    }
  };
  tie(colours, 0, []);
  return [...found.values()];
}

/** Every choice of `size` places out of `left`. */
function choices(left: readonly number[], size: number, from = 0): number[][] {
  if (size === 0) return [[]];
  const found: number[][] = [];
  for (let place = from; place <= left.length - size; place += 1)
    for (const rest of choices(left, size - 1, place + 1)) found.push([place, ...rest]);
  return found;
}

const isMixed = (kind: string) => new Set(kind.split('+')).size > 1;

/** Choices that are tried at most: what a search finds until then is good, though not proved the least. */
const MOST_TRIED = 40_000;

/**
 * A set of kinds with which every layer can be tied: the fewest, and of those the one with the fewest mixed. Layers that
 * leave least choice come first; what is no better than the best so far is not followed.
 */
function fewestKinds(layers: readonly (readonly string[][])[]): { kinds: ReadonlySet<string>; least: boolean } {
  const ordered = [...layers].sort((a, b) => a.length - b.length);
  const used = new Map<string, number>();
  let best: { kinds: ReadonlySet<string>; mixed: number } | null = null;
  let tried = 0;
  const follow = (at: number, mixed: number) => {
    if (best && (used.size > best.kinds.size || (used.size === best.kinds.size && mixed >= best.mixed))) return;
    const ways = ordered[at];
    if (!ways) {
      best = { kinds: new Set(used.keys()), mixed };
      return;
    }
    const added = (way: readonly string[]) => [...new Set(way)].filter((kind) => !used.has(kind));
    const next = ways.map((way) => ({ new: added(way) })).sort((a, b) => a.new.length - b.new.length);
    for (const { new: kinds } of next) {
      tried += 1;
      if (tried > MOST_TRIED && best) return;
      for (const kind of kinds) used.set(kind, at);
      follow(at + 1, mixed + kinds.filter(isMixed).length);
      for (const kind of kinds) used.delete(kind);
      // Without a new kind nothing is lost by it.
      if (kinds.length === 0) return;
    }
  };
  follow(0, 0);
  return { kinds: best!.kinds, least: tried <= MOST_TRIED };
}

/** Of the ways that need no other kinds, the one with the fewest mixed bundles. */
function bestOf(ways: readonly string[][], kinds: ReadonlySet<string>): string[] {
  const possible = ways.filter((way) => way.every((kind) => kinds.has(kind)));
  const mixed = (way: readonly string[]) => way.filter(isMixed).length;
  return possible.reduce((best, way) => (mixed(way) < mixed(best) ? way : best));
}

/** By how many half steps to the right a layer's colours are turned against the one below. */
function turningOf(map: ColourMap, layer: number): Turning {
  const [below, row] = [map[layer - 1]!, map[layer]!];
  const count = row.length;
  if (below.length !== count) return { code: 'other-order' };
  // Places of an odd layer lie half a step further on than their numbers.
  const fits = (halves: number) => {
    const shift = (halves + 1) / 2 - (layer % 2);
    return row.every((colour, place) => colour === below[(((place - shift) % count) + count) % count]);
  };
  const turns = Array.from({ length: count }, (_, i) => 2 * i + 1).filter(fits);
  const [first] = turns;
  if (first === undefined) return { code: 'other-order' };
  const [right, left] = [first === 1, turns.at(-1) === 2 * count - 1];
  if (right && left) return { code: 'either' };
  if (right || left) return { code: right ? 'right' : 'left' };
  return { code: 'by', halves: first };
}
