import { ok, problem, type Result } from '../result';
import { MOST_IN_LAYER, MOST_LAYERS, type PatternKind } from './kinds';

/**
 * Colours are numbers, 0 first. Around the ring: `order` has a colour for each balloon of a layer. Up the column
 * (rings, blocks): `order` has the colours from the foot up.
 */
export interface Pattern {
  kind: PatternKind;
  order: readonly number[];
  /** Which way a spiral climbs, and a zigzag begins, seen from outside. */
  to: 'right' | 'left';
  /** Layers until a zigzag turns back, a check or a ring changes. */
  every: number;
}

/** One balloon in another colour than its pattern has it. */
export interface Painted {
  layer: number;
  place: number;
  colour: number;
}

/**
 * The colours of a column rolled out flat: a row for each layer, from the foot up, a number for each place around it.
 * Places are where balloons are in space: those of every other layer sit half a step further on, in the creases.
 */
export type ColourMap = readonly (readonly number[])[];

export type ColourMapProblemCode =
  | 'bad-count'
  | 'no-layers'
  | 'too-many-layers'
  | 'bad-every'
  /** The pattern's ring has another number of balloons than a layer. */
  | 'bad-order'
  /** It names a colour that is not among those chosen. */
  | 'too-few-colours';

/** Patterns that say which colour follows which around the ring. */
export const isAround = (kind: PatternKind) => kind !== 'rings' && kind !== 'blocks';

/**
 * The map of a pattern, with what was painted over it. A spiral keeps the order of every layer and turns each by half a
 * step the same way; a zigzag turns back after `every` layers, stripes after each; checks move on by a whole place after
 * `every` layers; rings change colour after `every` layers, blocks share the height among them.
 *
 * Problems: `bad-count` (2 to 24), `no-layers`, `too-many-layers` (200), `bad-every` (1 or more), `bad-order`,
 * `too-few-colours`.
 *
 * Source: common practice.
 */
export function colourMap({
  count,
  layers,
  pattern,
  colours,
  painted = [],
}: {
  count: number;
  layers: number;
  pattern: Pattern;
  /** How many colours there are to choose from. */
  colours: number;
  painted?: readonly Painted[];
}): Result<number[][], ColourMapProblemCode> {
  const { kind, order, every } = pattern;
  if (!(Number.isInteger(count) && count >= 2 && count <= MOST_IN_LAYER))
    return problem('bad-count', { field: 'count', detail: { least: 2, most: MOST_IN_LAYER } });
  if (!(Number.isInteger(layers) && layers >= 1)) return problem('no-layers', { field: 'layers' });
  if (layers > MOST_LAYERS) return problem('too-many-layers', { field: 'layers', detail: { most: MOST_LAYERS } });
  if (!(Number.isInteger(every) && every >= 1)) return problem('bad-every', { field: 'pattern.every' });
  if (order.length === 0 || (isAround(kind) && order.length !== count))
    return problem('bad-order', { field: 'pattern.order', detail: { given: order.length, needed: count } });
  const named = Math.max(...order, ...painted.map(({ colour }) => colour)) + 1;
  if (named > colours)
    return problem('too-few-colours', { field: 'pattern.order', detail: { given: colours, needed: named } });
  const rows = Array.from({ length: layers }, (_, layer) => {
    const colourAt = rowOf(pattern, layer, layers, count);
    return Array.from({ length: count }, (_, place) => colourAt(place));
  });
  for (const { layer, place, colour } of painted) {
    if (layer < layers && place < count) rows[layer]![place] = colour;
  }
  return ok(rows);
}

function rowOf({ kind, order, to, every }: Pattern, layer: number, layers: number, count: number) {
  const around = (place: number) => order[((place % count) + count) % count]!;
  // Half steps by which a layer is turned to the right against the lowest, seen from outside.
  const turnedBy = (halves: number) => {
    // Places of an odd layer begin half a step further on.
    const whole = (halves - (layer % 2)) / 2;
    return (place: number) => around(place - whole);
  };
  const way = to === 'right' ? 1 : -1;
  switch (kind) {
    case 'spiral':
      return turnedBy(way * layer);
    case 'zigzag':
      return turnedBy(way * fold(layer, every));
    case 'stripes':
      return turnedBy(layer % 2);
    case 'checks':
      return turnedBy((layer % 2) + 2 * Math.floor(layer / every));
    case 'rings':
      return () => order[Math.floor(layer / every) % order.length]!;
    case 'blocks':
      return () => order[Math.min(order.length - 1, Math.floor((layer * order.length) / layers))]!;
  }
}

/** To and fro between 0 and `every`. */
function fold(layer: number, every: number): number {
  const within = layer % (2 * every);
  return within <= every ? within : 2 * every - within;
}

/** `colours` shared as evenly as can be among `count` places, alike ones side by side. */
export function bandsOf({ count, colours }: { count: number; colours: number }): number[] {
  return Array.from({ length: count }, (_, place) => Math.floor((place * Math.min(colours, count)) / count));
}

/** What does not come out of a map as one would expect. */
export type MapNotice =
  /** Colours have not the same share of the ring: their bands are not equally wide. */
  | { code: 'uneven-bands'; widest: number; narrowest: number }
  /** Around the ring two alike meet at the seam. */
  | { code: 'meets-at-seam' }
  /** Blocks or rings are cut off: the topmost has fewer layers than the others. */
  | { code: 'last-ring-short'; layers: number; every: number }
  /** A colour of the pattern is on no balloon. */
  | { code: 'colour-unused'; colour: number };

/** What to know of a map before anything is tied. */
export function noticesOf({ map, pattern }: { map: ColourMap; pattern: Pattern }): MapNotice[] {
  const { kind, order, every } = pattern;
  const notices: MapNotice[] = [];
  const used = new Set(map.flat());
  for (const colour of new Set(order)) if (!used.has(colour)) notices.push({ code: 'colour-unused', colour });
  const shares = [...new Set(order)].map((colour) => order.filter((each) => each === colour).length);
  const [widest, narrowest] = [Math.max(...shares), Math.min(...shares)];
  if (isAround(kind) && widest !== narrowest) notices.push({ code: 'uneven-bands', widest, narrowest });
  const alternates = shares.length > 1 && order.every((colour, place) => place === 0 || colour !== order[place - 1]);
  if (isAround(kind) && order.length > 2 && alternates && order[0] === order.at(-1))
    notices.push({ code: 'meets-at-seam' });
  if (kind === 'rings' && shares.length > 1 && map.length % every !== 0)
    notices.push({ code: 'last-ring-short', layers: map.length % every, every });
  return notices;
}
