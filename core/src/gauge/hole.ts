import { TRADE, type Trade } from '../trade';

/** How a hole was measured: a caliper in it, a tape or ruler over it, or its printer's scale bar. */
export const HOLE_WAYS = ['caliper', 'tape', 'bar'] as const;
export type HoleWay = (typeof HOLE_WAYS)[number];

/** One measurement of a hole. */
export interface HoleMeasurement {
  /** Clear width in one direction, mm. */
  acrossMm: number;
  /** Clear width square to that, mm; the same when absent. */
  downMm?: number | undefined;
  way: HoleWay;
  /** When, in days on any one calendar. */
  day: number;
}

/** A hole as its records tell it: what is written beside it, and what was measured since. */
export interface RecordedHole {
  /** The width its label claims, mm. */
  labelledMm: number;
  measurements: readonly HoleMeasurement[];
}

/** What a hole is on a day. */
export interface HoleNow {
  /** Width to work with, mm: the mean of both directions, as a soft balloon takes the hole's shape. */
  widthMm: number;
  /** Standard uncertainty of it, mm. */
  sdMm: number;
  /** How much wider it is than its label claims, mm; negative when narrower. */
  offMm: number;
  /** Difference of the two directions, mm. */
  ovalMm: number;
  /** Growth from the first measurement to the last, mm; `null` with fewer than two days of them. */
  wearMm: number | null;
  origin: 'measured' | 'rule';
}

/**
 * A hole's width on a `day`: straight between the measurements before and after it (wear is slow), the first one's
 * before all, the last one's after all; the label's width where nothing was measured. `day` is the last when absent.
 *
 * The uncertainty is that of the way of measuring, and an oval hole's two directions add their difference spread evenly
 * (d / sqrt(12); JCGM 100:2008, 4.3.7).
 */
export function holeOn({ labelledMm, measurements }: RecordedHole, day = Infinity, trade: Trade = TRADE): HoleNow {
  const sorted = [...measurements].sort((a, b) => a.day - b.day);
  const [first] = sorted;
  const last = sorted.at(-1);
  if (!first || !last) {
    const sdMm = trade.holeSdMm.label;
    return { widthMm: labelledMm, sdMm, offMm: 0, ovalMm: 0, wearMm: null, origin: 'rule' };
  }
  const before = sorted.findLast((each) => each.day <= day) ?? first;
  const after = sorted.find((each) => each.day > day) ?? before;
  const share = after.day > before.day && day > before.day ? (day - before.day) / (after.day - before.day) : 0;
  const widthMm = (1 - share) * meanWidthMm(before) + share * meanWidthMm(after);
  const nearest = share > 0.5 ? after : before;
  const ovalMm = Math.abs(nearest.acrossMm - (nearest.downMm ?? nearest.acrossMm));
  return {
    widthMm,
    sdMm: Math.hypot(trade.holeSdMm[nearest.way], ovalMm / Math.sqrt(12)),
    offMm: widthMm - labelledMm,
    ovalMm,
    wearMm: last.day > first.day ? meanWidthMm(last) - meanWidthMm(first) : null,
    origin: 'measured',
  };
}

function meanWidthMm({ acrossMm, downMm = acrossMm }: HoleMeasurement): number {
  return (acrossMm + downMm) / 2;
}

/** Two widths nearer than this are one hole, mm: no saw, knife or printer tells them apart. */
export const SAME_WIDTH_MM = 0.01;

export type HolesProblemCode =
  /** Two holes of one width. */
  | 'hole-twice'
  /** A hole with a larger label is not wider; the detail names both. */
  | 'holes-out-of-order'
  /** A width no hole has. */
  | 'bad-hole';

/** The widest hole a sizer has, mm. */
export const WIDEST_HOLE_MM = 1000;

/**
 * The first hole that cannot stand in a row from small to large, by its place; `null` when all can. `widthMm` is what
 * the hole measures.
 */
export function holesProblem(
  holes: readonly { label: string; widthMm: number }[],
): { code: HolesProblemCode; index: number; other: string } | null {
  for (let index = 0; index < holes.length; index += 1) {
    const { widthMm } = holes[index]!;
    const before = holes[index - 1];
    if (!(widthMm > 0 && widthMm <= WIDEST_HOLE_MM)) return { code: 'bad-hole', index, other: '' };
    if (!before) continue;
    const other = before.label;
    if (Math.abs(widthMm - before.widthMm) < SAME_WIDTH_MM) return { code: 'hole-twice', index, other };
    if (widthMm < before.widthMm) return { code: 'holes-out-of-order', index, other };
  }
  return null;
}
