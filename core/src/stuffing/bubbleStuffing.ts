import { sphereVolumeL } from '../balloon';
import { chooseHole, type Hole, type HoleChoice } from '../gauge';
import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';

/** The three widths of a bubble; any one follows from the other two. */
export interface BubbleWidths {
  /** The outer, filled through the gap before the inner. */
  outerFirstMm: number;
  /** The inner's own width once it is full. */
  innerMm: number;
  /** Across the outside at the end. */
  finalMm: number;
}

/** Two of the three widths. */
export type BubbleAsked = { [Width in keyof BubbleWidths]?: number | undefined };

/** What is known of the balloons. */
export interface BubbleLimits {
  /** The largest width that each may have, mm: its own limit, or `TRADE.largestFraction` of its nominal. */
  outerMm?: number | undefined;
  innerMm?: number | undefined;
}

export type BubbleProblemCode =
  /** Exactly one of the three is to be left out. */
  | 'leave-one-out'
  | 'bad-width'
  /** The final width is not above the first, or not above the inner's. `nearestMm` is the smallest that works. */
  | 'final-too-small'
  /** A width is above what the balloon allows. `nearestMm` is the largest that works. */
  | 'above-limit';

/** Narrower gaps leave no bubble to see: this much of the final width at least, all around together (from memory). */
const LEAST_GAP_SHARE = 0.04;

/**
 * Bubble stuffing: gas in the gap as well as in the inner. The outer is filled to one width, then the inner until the
 * outside reaches the final one. Gas adds by volume, so final^3 = outerFirst^3 + inner^3, taking all three as spheres
 * (common practice: 14 in and an 11 in inner make about 16 in). Any one of the three may be left out.
 *
 * Problems: `leave-one-out`, `bad-width`, `final-too-small`, `above-limit`, each with its field and, for the last
 * two, the nearest width that works.
 */
export function bubbleStuffing({
  outerFirstMm,
  innerMm,
  finalMm,
  limits = {},
}: BubbleAsked & { limits?: BubbleLimits }): Result<BubbleWidths, BubbleProblemCode> {
  const given = Object.entries({ outerFirstMm, innerMm, finalMm }).filter(([, mm]) => mm !== undefined);
  if (given.length !== 2) return problem('leave-one-out', { detail: { given: given.length } });
  for (const [field, mm] of given) if (!(mm! > 0 && Number.isFinite(mm))) return problem('bad-width', { field });
  const outerLimitMm = limits.outerMm ?? Infinity;
  const innerLimitMm = limits.innerMm ?? Infinity;
  if (finalMm !== undefined) {
    const within = outerFirstMm ?? innerMm!;
    const field = outerFirstMm === undefined ? 'innerMm' : 'outerFirstMm';
    const leastMm = within / (1 - LEAST_GAP_SHARE);
    if (finalMm < leastMm)
      return problem('final-too-small', {
        field: 'finalMm',
        detail: { nearestMm: leastMm, withinMm: within, within: field },
      });
  }
  const widths = solved({ outerFirstMm, innerMm, finalMm });
  const refuse = (field: keyof BubbleWidths, nearestMm: number, whose: 'outer' | 'inner') => {
    const limitMm = whose === 'outer' ? outerLimitMm : innerLimitMm;
    const wouldBeMm = whose === 'outer' ? widths.finalMm : widths.innerMm;
    return problem('above-limit', { field, detail: { nearestMm, limitMm, whose, wouldBeMm } });
  };
  if (widths.finalMm > outerLimitMm) {
    if (finalMm !== undefined) return refuse('finalMm', outerLimitMm, 'outer');
    const firstMm = less(outerLimitMm, innerMm!);
    if (firstMm > 0) return refuse('outerFirstMm', firstMm, 'outer');
    return refuse('innerMm', outerLimitMm * (1 - LEAST_GAP_SHARE), 'outer');
  }
  if (widths.innerMm > innerLimitMm) {
    return innerMm === undefined
      ? refuse('outerFirstMm', less(finalMm!, innerLimitMm), 'inner')
      : refuse('innerMm', innerLimitMm, 'inner');
  }
  return ok(widths);
}

function solved({ outerFirstMm, innerMm, finalMm }: BubbleAsked): BubbleWidths {
  if (finalMm === undefined)
    return { outerFirstMm: outerFirstMm!, innerMm: innerMm!, finalMm: more(outerFirstMm!, innerMm!) };
  if (innerMm === undefined) return { outerFirstMm: outerFirstMm!, innerMm: less(finalMm, outerFirstMm!), finalMm };
  return { outerFirstMm: less(finalMm, innerMm), innerMm, finalMm };
}

const more = (x: number, y: number) => Math.cbrt(x ** 3 + y ** 3);
const less = (whole: number, part: number) => Math.cbrt(Math.max(0, whole ** 3 - part ** 3));

/** Gas to buy or blow for one bubble, litres. */
export function bubbleGasL({ outerFirstMm, innerMm }: BubbleWidths): { gapL: number; innerL: number } {
  return { gapL: sphereVolumeL({ widthMm: outerFirstMm }), innerL: sphereVolumeL({ widthMm: innerMm }) };
}

/** One thing to size at the sizer. */
export type BubbleStep<H extends Hole> =
  | { fill: 'outer'; widthMm: number; at: HoleChoice<H> | null }
  /** Sized outside the outer first, to learn its dose. */
  | { fill: 'inner-alone'; widthMm: number; at: HoleChoice<H> | null }
  | { fill: 'inner-until-final'; widthMm: number; at: HoleChoice<H> | null };

/** How to make a bubble with a sizer. */
export interface BubbleSteps<H extends Hole> {
  /** The widths worked to: those asked for, or the pair that fits the sizer. */
  widths: BubbleWidths;
  /**
   * `as-asked`; `inner-by-dose`, where the outside passes no hole and the inner is sized alone; `other-pair`, where
   * the first width was brought down to the largest hole; `by-tape`, where no pair fits the sizer.
   */
  how: 'as-asked' | 'inner-by-dose' | 'other-pair' | 'by-tape';
  steps: BubbleStep<H>[];
}

/**
 * The sizer steps of a bubble, in order. When the outside is wider than the largest hole, the inner is sized alone
 * first and its dose given again inside; when the first width is too wide as well, the pair of steps that fits it:
 * the first brought to the largest hole and the inner grown so that the final width stays, where the inner's limit
 * and the hole allow.
 */
export function bubbleSteps<H extends Hole>({
  widths,
  holes,
  limits = {},
}: {
  widths: BubbleWidths;
  holes: readonly H[];
  limits?: BubbleLimits;
}): BubbleSteps<H> {
  const largestMm = Math.max(0, ...holes.map(({ widthMm }) => widthMm));
  const at = (targetMm: number): HoleChoice<H> | null => {
    const choice = chooseHole({ targetMm, holes });
    return choice.ok ? choice.value : null;
  };
  const throughTo = (made: BubbleWidths, how: BubbleSteps<H>['how']): BubbleSteps<H> => ({
    widths: made,
    how,
    steps: [
      ...(how === 'as-asked' ? [] : [{ fill: 'inner-alone' as const, widthMm: made.innerMm, at: at(made.innerMm) }]),
      { fill: 'outer', widthMm: made.outerFirstMm, at: at(made.outerFirstMm) },
      { fill: 'inner-until-final', widthMm: made.finalMm, at: at(made.finalMm) },
    ],
  });
  if (widths.finalMm <= largestMm) return throughTo(widths, 'as-asked');
  if (Math.max(widths.outerFirstMm, widths.innerMm) <= largestMm) return throughTo(widths, 'inner-by-dose');
  const innerMostMm = Math.min(largestMm, limits.innerMm ?? Infinity);
  // The larger of the two comes down to the hole; the other makes up for it.
  const outerFirstMm = Math.min(widths.outerFirstMm, largestMm);
  const innerMm = less(widths.finalMm, outerFirstMm);
  if (largestMm > 0 && innerMm <= innerMostMm) return throughTo({ ...widths, outerFirstMm, innerMm }, 'other-pair');
  const smaller = less(widths.finalMm, innerMostMm);
  if (largestMm > 0 && smaller <= largestMm)
    return throughTo({ ...widths, outerFirstMm: smaller, innerMm: innerMostMm }, 'other-pair');
  return throughTo(widths, 'by-tape');
}

/** The largest width of a balloon nobody has calibrated: `TRADE.largestFraction` of its nominal, mm. */
export function ruleLimitMm({ nominalMm, trade = TRADE }: { nominalMm: number; trade?: Trade | undefined }): number {
  return trade.largestFraction * nominalMm;
}

/** The gap to each side between an inner and the outside, once both are round, mm. */
export function bubbleGapMm({ finalMm, innerMm }: Pick<BubbleWidths, 'finalMm' | 'innerMm'>): number {
  return (finalMm - innerMm) / 2;
}
