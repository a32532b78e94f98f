import type { RingFit } from './kinds';
import { bisect } from '../numeric';
import { normalCdf } from '../statistics';
import { TRADE, type Trade } from '../trade';
import { tieWidthMm, type TiePlace } from './form';
import { chordShare } from './ring';
import type { SnappedForm } from './snapForm';

/** A closed ring and the place it must fill. */
export interface ClosingRing {
  /** Its size's name; several rings may have one. */
  key: string;
  count: number;
  widthMm: number;
  jointMm: number;
  /** Sum of the pitches that its place takes, mm. */
  roomMm: number;
}

/** Tying balloons and the place each has among four. */
export interface ClosingTie {
  key: string;
  count: number;
  widthMm: number;
  /** Which two rings. */
  lower: number;
  upper: number;
  place: TiePlace;
}

/** A single balloon and the width of its place. */
export interface ClosingCap {
  key: string;
  widthMm: number;
  placeMm: number;
}

/**
 * All that has to close in a piece: each part in the place that the design leaves it, which spokes, ties and the
 * other rings hold. All balloons off by one factor would only make a larger or smaller piece; that is no closing
 * error. A free ring has no place to fill, and nothing to close.
 */
export interface Closing {
  rings: ClosingRing[];
  ties: ClosingTie[];
  caps: ClosingCap[];
}

/** What has to close in a form of stepped sizes. */
export function closingOf({ form }: Pick<SnappedForm, 'form'>): Closing {
  const places = new Map<number, number>();
  const rings: ClosingRing[] = [];
  form.layers.forEach((layer, i) => {
    const { key, role, count, widthMm } = layer;
    if (role === 'cap' || role === 'outer-spokes') return;
    places.set(i, rings.length);
    const jointMm = layer.jointMm ?? form.shape.jointMm;
    rings.push({ key, count, widthMm, jointMm, roomMm: count * chordShare(count) * layer.radiusMm });
  });
  const ties = form.ties.map(({ key, count, widthMm, below, above }): ClosingTie => {
    const place = { lowerMm: form.layers[below]!.widthMm, upperMm: form.layers[above]!.widthMm };
    return { key, count, widthMm, lower: places.get(below)!, upper: places.get(above)!, place };
  });
  const caps = form.layers.flatMap((layer, i): ClosingCap[] => {
    if (layer.role !== 'cap') return [];
    const next = form.layers[i - 1] ?? form.layers[i + 1]!;
    const contact = Math.hypot(next.radiusMm, next.heightMm - layer.heightMm);
    return [{ key: layer.key, widthMm: layer.widthMm, placeMm: 2 * contact - next.widthMm }];
  });
  return { rings, ties, caps };
}

/** How a part closes. */
export const CLOSING_STATES = ['closes', 'opens', 'buckles'] as const;
export type ClosingState = (typeof CLOSING_STATES)[number];

export function stateOf(errorMm: number, giveMm: number): ClosingState {
  return Math.abs(errorMm) <= giveMm ? 'closes' : errorMm > 0 ? 'buckles' : 'opens';
}

/** What a ring's joints take up, mm. */
export function ringGiveMm({ roomMm }: Pick<ClosingRing, 'roomMm'>, trade: Trade = TRADE): number {
  return trade.ringGive * roomMm;
}

/** How far a tying balloon or a cap may be off, mm. */
export function tieGiveMm({ widthMm }: { widthMm: number }, trade: Trade = TRADE): number {
  return trade.tieGive * widthMm;
}

/** The circle a ring must fill: its radius, mm, and the cosine of half a step. */
interface RingPlace {
  radiusMm: number;
  inwards: number;
}

export function ringPlace({ count, roomMm }: ClosingRing): RingPlace {
  return { radiusMm: roomMm / count / chordShare(count), inwards: Math.cos(Math.PI / count) };
}

/**
 * How much longer than its place a ring of unequal balloons is, mm: laid around the circle of its place their chords
 * take 2 asin(p / 2R) each; what they take beyond the whole turn, as a chord. For small errors it is the sum of what
 * they are off.
 */
export function ringErrorMm(
  { count, jointMm }: ClosingRing,
  widths: ArrayLike<number>,
  { radiusMm, inwards }: RingPlace,
): number {
  let halfTurn = 0;
  let last = widths[count - 1]!;
  for (let i = 0; i < count; i += 1) {
    const width = widths[i]!;
    halfTurn += Math.asin(Math.min(1, ((last + width) / 2 + jointMm) / (2 * radiusMm)));
    last = width;
  }
  return 2 * radiusMm * inwards * (halfTurn - Math.PI);
}

/** How much wider than its place a tying balloon is, mm, between four balloons that are not as they should be. */
export function tieErrorMm(
  widthMm: number,
  [lowLeft, lowRight, highLeft, highRight]: readonly [number, number, number, number],
  trade: Trade = TRADE,
): number {
  return widthMm - tieWidthMm({ lowerMm: (lowLeft + lowRight) / 2, upperMm: (highLeft + highRight) / 2 }, trade);
}

/** How exact the balloons of a piece must be. */
export interface ClosingTolerance {
  /**
   * The largest spread (one standard deviation) with which `share` of the pieces close, mm; null where any spread
   * does, as for a free ring. 0: not even exact balloons close.
   */
  sdMm: number | null;
  /** Of all that stays open or buckles at that spread, what does so most often. */
  weakest: string | null;
}

/** One thing that must be within its give, as a normal law for a spread of 1 mm. */
interface Need {
  key: string;
  /** Things like it. */
  times: number;
  errorMm: number;
  giveMm: number;
  /** Standard deviation of its error for each mm of spread. */
  slope: number;
}

/** A spread no sizer is as bad as, mm. */
const WIDEST_SD_MM = 60;

/**
 * How exact balloons must be, to first order: each ring's error is the sum of what its balloons are off; each
 * tie's is its own and what its four neighbours do to its place. Each is normal; that all hold is taken as their
 * product.
 *
 * Source: propagation of uncertainty to first order (JCGM 100:2008); product of independent intervals (Sidak, JASA
 * 62, 1967).
 */
export function closingTolerance({
  closing,
  share = 0.95,
  trade = TRADE,
}: {
  closing: Closing;
  share?: number;
  trade?: Trade | undefined;
}): ClosingTolerance {
  const needs = needsOf(closing, trade).filter(({ slope, errorMm }) => slope > 1e-9 || errorMm !== 0);
  if (needs.length === 0) return { sdMm: null, weakest: null };
  const all = (sd: number) => needs.reduce((product, need) => product * holds(need, sd) ** need.times, 1);
  if (all(1e-9) < share) return { sdMm: 0, weakest: weakestOf(needs, 1e-9) };
  if (all(WIDEST_SD_MM) >= share) return { sdMm: null, weakest: null };
  const { low } = bisect({ holds: (sd) => all(sd) >= share, low: 0, high: WIDEST_SD_MM, halvings: 50 });
  return { sdMm: low, weakest: weakestOf(needs, low) };
}

/** How many of 100 pieces close, as a share, when the balloons spread so much; to first order. */
export function closingShare({
  closing,
  sdMm,
  trade = TRADE,
}: {
  closing: Closing;
  sdMm: number;
  trade?: Trade | undefined;
}): number {
  return needsOf(closing, trade).reduce(
    (product, need) => product * holds(need, Math.max(1e-9, sdMm)) ** need.times,
    1,
  );
}

function weakestOf(needs: readonly Need[], sd: number): string {
  const fails = (need: Need) => 1 - holds(need, sd) ** need.times;
  return needs.reduce((worst, need) => (fails(need) > fails(worst) ? need : worst)).key;
}

function holds({ errorMm, giveMm, slope }: Need, sd: number): number {
  const spread = slope * sd;
  if (spread < 1e-12) return Number(Math.abs(errorMm) <= giveMm);
  return normalCdf((giveMm - errorMm) / spread) - normalCdf((-giveMm - errorMm) / spread);
}

function needsOf({ rings, ties, caps }: Closing, trade: Trade): Need[] {
  return [
    ...rings.map((ring): Need => {
      const equal = new Float64Array(ring.count).fill(ring.widthMm);
      const errorMm = ringErrorMm(ring, equal, ringPlace(ring));
      return { key: ring.key, times: 1, errorMm, giveMm: ringGiveMm(ring, trade), slope: Math.sqrt(ring.count) };
    }),
    ...ties.map((tie): Need => {
      const { widthMm, place, key, count } = tie;
      const four = [place.lowerMm, place.lowerMm, place.upperMm, place.upperMm] as [number, number, number, number];
      const errorMm = tieErrorMm(widthMm, four, trade);
      const by = 1e-4 * widthMm;
      const slopes = four.map((mm, i) => {
        const moved = [...four] as typeof four;
        moved[i] = mm + by;
        return (tieErrorMm(widthMm, moved, trade) - errorMm) / by;
      });
      return { key, times: count, errorMm, giveMm: tieGiveMm(tie, trade), slope: Math.hypot(1, ...slopes) };
    }),
    ...caps.map((cap): Need => ({
      key: cap.key,
      times: 1,
      errorMm: cap.widthMm - cap.placeMm,
      giveMm: tieGiveMm(cap, trade),
      slope: 1,
    })),
  ];
}

/** A thing that a ring goes around, along or inside of. */
export interface RingThing {
  diameterMm: number;
  fit: RingFit;
}

/**
 * What a single ring has to fill: around a thing, along it or inside it the circle that the thing leaves; on its own
 * it fills what it makes, whatever its sizes.
 */
export function closingAround({
  count,
  widthMm,
  jointMm,
  thing,
}: {
  count: number;
  widthMm: number;
  jointMm: number;
  thing: RingThing | null;
}): Closing {
  if (!thing) return { rings: [], ties: [], caps: [] };
  const side = { around: 1, on: 0, inside: -1 }[thing.fit];
  const placeMm = (thing.diameterMm + side * widthMm) / 2;
  const roomMm = count * 2 * Math.sin(Math.PI / count) * placeMm;
  return { rings: [{ key: 'ring-1', count, widthMm, jointMm, roomMm }], ties: [], caps: [] };
}
