import { alikeSizes } from '../linking/oneWrong';
import { TRADE, type Trade } from '../trade';
import { inCarryBag } from '../supply/bags';
import type { WorkCounts } from '../supply/hoursFor';
import type { PieceWork, Taken, WorkLength, WorkSize } from './work';

/** How many a piece takes of something, all its copies together. */
export interface ForPiece {
  piece: string;
  count: number;
}

/** Balloons that are inflated in one go: one balloon, one target. */
export interface Batch {
  key: string;
  balloon: string;
  fillMm: number;
  /** The closest that any of its pieces asks for, mm either way. */
  toleranceMm: number;
  count: number;
  of: ForPiece[];
  /** Batches that look like this one and are not: kept apart, and marked. */
  alike: string[];
  /** How many of it one carrying bag takes. */
  perBag: number;
  /** Numbers of the bags it is carried in, counted over the whole recipe. */
  bags: { from: number; to: number };
}

/** Balloons that are tied to each other: the batches they are from. */
export interface Bundle {
  key: string;
  batches: string[];
  count: number;
  of: ForPiece[];
}

/** What an event takes of the bench, in working order. */
export interface Recipe {
  batches: Batch[];
  bundles: Bundle[];
  /** Of all pieces and their copies together. */
  takes: Taken[];
  balloons: number;
  bags: number;
}

/** What tells balloons apart: to the eye, and in words. */
export interface Look {
  colour: string;
  name: string;
}

/** Fills nearer than this are one target, mm: a tenth of what a sizer can tell. */
const ONE_TARGET_MM = 0.1;

/** Widths by whole steps that are one target. */
const steps = ({ fillMm }: Pick<WorkSize, 'fillMm'>): number => Math.round(fillMm / ONE_TARGET_MM);

/** The batch that a size is made in. */
export const batchKey = (size: Pick<WorkSize, 'balloon' | 'fillMm'>): string => `${size.balloon} ${steps(size)}`;

/** The balloon of a batch, from its key. */
export const balloonOfBatch = (key: string): string => key.slice(0, key.lastIndexOf(' '));

/**
 * The recipe of some pieces: what they need of one balloon at one target is inflated together, whatever piece it is for;
 * what only looks alike (one colour, and widths that an eye does not tell apart) is kept apart and says so. Bundles are
 * merged by the batches they are tied from.
 *
 * Batches come largest first, for small balloons lose their size soonest (common practice); those named in `order` as
 * they are named there, see `benchOrder`. `lookOf`: what a balloon looks like.
 */
export function recipeOf({
  pieces,
  order = [],
  lookOf,
  trade = TRADE,
}: {
  pieces: readonly PieceWork[];
  order?: readonly string[];
  lookOf: (balloon: string) => Look;
  trade?: Trade | undefined;
}): Recipe {
  const batches = new Map<string, Batch>();
  const bundles = new Map<string, Bundle>();
  for (const { piece, copies, sizes, bundles: tied } of pieces) {
    const keys = new Map(sizes.map((size) => [size.key, batchKey(size)]));
    for (const size of sizes) {
      const { balloon, fillMm, toleranceMm } = size;
      const key = keys.get(size.key)!;
      const count = size.count * copies;
      if (count === 0) continue;
      const batch = batches.get(key);
      if (!batch)
        batches.set(key, {
          ...{ key, balloon, fillMm, toleranceMm, count, of: [{ piece, count }] },
          ...{ alike: [], perBag: inCarryBag({ widthMm: fillMm, trade }), bags: { from: 0, to: 0 } },
        });
      else {
        batch.count += count;
        batch.toleranceMm = Math.min(batch.toleranceMm, toleranceMm);
        addTo(batch.of, piece, count);
      }
    }
    for (const { sizes: parts, count: each } of tied) {
      const from = parts.map((part) => keys.get(part)!).sort();
      const [key, count] = [from.join('+'), each * copies];
      const bundle = bundles.get(key);
      if (!bundle) bundles.set(key, { key, batches: from, count, of: [{ piece, count }] });
      else {
        bundle.count += count;
        addTo(bundle.of, piece, count);
      }
    }
  }
  const names = new Map([...batches.values()].map(({ key, balloon }) => [key, lookOf(balloon).name]));
  // By their names where they are of one width: the same for whoever makes the same pieces.
  const usual = [...batches.values()].sort(
    (a, b) => steps(b) - steps(a) || names.get(a.key)!.localeCompare(names.get(b.key)!) || (a.key < b.key ? -1 : 1),
  );
  const ordered = benchOrder(usual, order);
  const place = new Map(ordered.map(({ key }, i) => [key, i]));
  const placesOf = ({ batches: of }: Bundle) =>
    of.reduce((sum, key) => sum * (ordered.length + 1) + place.get(key)!, 0);
  // A bundle is read as the bench is: the batch that was inflated first stands first.
  for (const bundle of bundles.values()) bundle.batches.sort((a, b) => place.get(a)! - place.get(b)!);
  markAlike(ordered, lookOf, trade);
  const bags = numberBags(ordered);
  return {
    batches: ordered,
    bundles: [...bundles.values()].sort((a, b) => b.count - a.count || placesOf(a) - placesOf(b)),
    takes: sumOfTaken(pieces),
    balloons: ordered.reduce((sum, { count }) => sum + count, 0),
    bags,
  };
}

/** Counts something for a piece, which may take it in several sizes. */
function addTo(of: ForPiece[], piece: string, count: number): void {
  const known = of.find((each) => each.piece === piece);
  if (known) known.count += count;
  else of.push({ piece, count });
}

/**
 * Things with keys in the order someone gave them: those it names as it names them, every other one right behind the one
 * that it usually follows.
 */
export function benchOrder<Item extends { key: string }>(usual: readonly Item[], order: readonly string[]): Item[] {
  const place = new Map(order.map((key, i) => [key, i]));
  const named = usual.filter(({ key }) => place.has(key)).sort((a, b) => place.get(a.key)! - place.get(b.key)!);
  const list = [...named];
  usual.forEach((item, i) => {
    if (place.has(item.key)) return;
    const before = usual[i - 1];
    list.splice(before ? list.indexOf(before) + 1 : 0, 0, item);
  });
  return list;
}

/** Says of each batch which others of its colour an eye does not tell from it. */
function markAlike(batches: readonly Batch[], lookOf: (balloon: string) => Look, trade: Trade): void {
  const byColour = new Map<string, Batch[]>();
  for (const batch of batches) {
    const { colour } = lookOf(batch.balloon);
    byColour.set(colour, [...(byColour.get(colour) ?? []), batch]);
  }
  for (const own of byColour.values()) {
    const known = new Map(own.map((batch) => [batch.key, batch]));
    const widths = own.map((batch) => ({ key: batch.key, widthMm: steps(batch) * ONE_TARGET_MM }));
    for (const { first, second } of alikeSizes(widths, trade)) {
      known.get(first)!.alike.push(second);
      known.get(second)!.alike.push(first);
    }
  }
}

/** Numbers the bags of all batches, one after another; answers how many there are. */
function numberBags(batches: readonly Batch[]): number {
  let last = 0;
  for (const batch of batches) {
    const bags = Math.ceil(batch.count / batch.perBag);
    batch.bags = { from: last + 1, to: last + bags };
    last += bags;
  }
  return last;
}

/** What is cut from a roll: its lengths add up, where those of poles stand side by side. */
const CUT = new Set<Taken['kind']>(['line', 'strip']);

/** What some pieces take beside balloons: alike things counted together. */
export function sumOfTaken(pieces: readonly Pick<PieceWork, 'takes' | 'copies'>[]): Taken[] {
  const all = new Map<string, Taken>();
  for (const { takes, copies } of pieces)
    for (const { kind, count, lengthMm, kg, balloon } of takes) {
      if (count <= 0) continue;
      const cut = CUT.has(kind);
      const key = cut ? kind : [kind, balloon, Math.round(lengthMm ?? 0), Math.round(10 * (kg ?? 0))].join(' ');
      const known = all.get(key);
      if (!known)
        all.set(key, { kind, count: count * copies, lengthMm: cut ? (lengthMm ?? 0) * copies : lengthMm, kg, balloon });
      else {
        known.count += count * copies;
        if (cut) known.lengthMm = (known.lengthMm ?? 0) + (lengthMm ?? 0) * copies;
      }
    }
  return [...all.values()];
}

/** What there is to do for some pieces, by kind of work. `stuffed`: whether a balloon is one in another. */
export function workOf(pieces: readonly PieceWork[], stuffed: (balloon: string) => boolean): WorkCounts {
  const counts: WorkCounts = { balloons: 0, stuffed: 0, knots: 0, clusters: 0, pieces: 0 };
  for (const { copies, sizes, knots, clusters } of pieces) {
    for (const { balloon, count } of sizes) {
      counts.balloons += count * copies;
      if (stuffed(balloon)) counts.stuffed += count * copies;
    }
    counts.knots += knots * copies;
    counts.clusters += clusters * copies;
    counts.pieces += copies;
  }
  return counts;
}

/** How long those pieces are together that are sold by their length; null where none is. */
export function lengthOf(pieces: readonly Pick<PieceWork, 'length' | 'copies'>[]): WorkLength | null {
  const long = pieces.flatMap(({ length, copies }) => (length ? [{ ...length, copies }] : []));
  if (long.length === 0) return null;
  const sum = (of: keyof WorkLength) => long.reduce((all, each) => all + each.copies * each[of], 0);
  return { alongMm: sum('alongMm'), filledMm: sum('filledMm') };
}
