import type { Problem } from '@leggero/core';
import type { HowExact, PieceFault, PieceMeasure, SimulatePieceProblemCode, SizingWay } from '@leggero/core/building';

type Write = (mm: number) => string;

/** Ways to bring balloons to their size, and a spread that someone chose. */
export const WAY_WORDS: Record<SizingWay | 'chosen', string> = {
  eye: 'By eye',
  sizer: 'With a sizer',
  checked: 'Every one checked',
  chosen: 'As chosen',
};

/** "97 of 100"; never all of them but where it is all, never none but where it is none. */
export function ofHundred(share: number): string {
  if (share > 0 && share < 0.005) return 'under 1 of 100';
  const whole = Math.round(100 * share);
  return `${share < 1 ? Math.min(99, whole) : 100} of 100`;
}

/** The answer: how balloons must be sized for this piece, and what happens otherwise. */
export function exactText({ ways, enough }: HowExact): string {
  const good = (way: SizingWay) => ofHundred(ways[way].simulation.good);
  switch (enough) {
    case 'eye':
      return `By eye is fine: ${good('eye')} show no fault.`;
    case 'sizer':
      return `Use the sizer: ${good('sizer')} show no fault, by eye ${good('eye')}.`;
    case 'checked':
      return `Check every one: ${good('checked')} show no fault, sized without a check ${good('sizer')}.`;
    case null:
      return `Checking every one is not enough: ${good('checked')} show no fault. ${mendText(ways.checked.simulation.worst)}`;
  }
}

/** What else helps where exactness does not. */
function mendText(worst: PieceFault | null): string {
  switch (worst) {
    case 'lean':
      return 'On a pole it does not lean; or build it lower.';
    case 'height':
      return 'They are off on the whole: check the hole, or take the next one.';
    default:
      return 'Check them more narrowly than within a quarter inch of 11 in.';
  }
}

/** How far balloons may be off: "Good enough: 95 of 100 balloons within ±½ in, of 10 in". */
export function allowedText(
  { allowed: { sd, any } }: HowExact,
  meanMm: number,
  { text, fine }: { text: Write; fine: Write },
) {
  if (any) return 'Nothing would be seen however far they are off.';
  if (sd === 0) return 'No exactness is enough as it is.';
  return `Good enough: nearly all balloons within ${fine(2 * sd * meanMm)} either way, at ${text(meanMm)}.`;
}

/** How balloons come out by a way, and where that is from. */
export function handsText(
  { lean, sd, within }: { lean: number; sd: number; within?: number | undefined },
  { way, known, meanMm, fine }: { way: SizingWay | 'chosen'; known: boolean; meanMm: number; fine: Write },
): string {
  const from =
    way === 'chosen'
      ? 'as chosen'
      : known
        ? `as ${way === 'eye' ? 'your eye was tested' : 'your batches were checked'}`
        : `from memory, until ${way === 'eye' ? 'your eye is tested' : 'batches are checked'}`;
  const large =
    Math.abs(lean) < LEAST_LEAN
      ? ''
      : `, ${fine(Math.abs(lean) * meanMm)} ${lean > 0 ? 'large' : 'small'} on the whole`;
  const again = within === undefined ? '' : `; those off by more than ${fine(within * meanMm)} are made again`;
  return `Nearly all within ${fine(2 * sd * meanMm)}${large} (${from})${again}.`;
}

/** Less on the whole is none, as a share. */
const LEAST_LEAN = 0.0005;

export const FAULT_WORDS: Record<PieceFault, { title: string; about: string }> = {
  height: { title: 'Height', about: 'over all' },
  mismatch: { title: 'Unlike loops', about: 'one longer than the other' },
  lean: { title: 'Lean', about: 'at its top, before it is straightened' },
  gap: { title: 'Widest gap', about: 'between balloons that should touch' },
  opening: { title: 'Openings to the pole', about: 'wider than even ones' },
  drift: { title: 'Out of its line', about: 'a balloon beside its place in the pattern' },
};

/** "5 ft to 5 ft 1 in; seen on 3 of 100": nine of ten pieces lie between. */
export function measureText(
  fault: PieceFault,
  { found: { low, high }, seen }: PieceMeasure,
  { text, fine }: { text: Write; fine: Write },
): string {
  const range = () => {
    if (fault !== 'height' && high < LEAST_MM) return 'none';
    if (fault !== 'height') return `up to ${fine(high)}${fault === 'opening' ? ' wider' : ''}`;
    return text(low) === text(high) ? `about ${text(low)}` : `${text(low)} to ${text(high)}`;
  };
  return `${range()}; ${seen === 0 ? 'never seen' : `seen on ${ofHundred(seen)}`}`;
}

/** Less than this is none, mm. */
const LEAST_MM = 0.5;

/** How far two of a piece stand apart at their tops, nineteen times of twenty: a difference of two like heights. */
export function pairText({ found: { sd } }: PieceMeasure, along: string, fine: Write): string {
  return `Two of them differ in ${along.toLowerCase()} by up to ${fine(1.96 * Math.SQRT2 * sd)}.`;
}

/** What is wrong with what was asked. */
export function exactProblemText({ code, detail }: Problem<SimulatePieceProblemCode>): string {
  switch (code) {
    case 'no-spread':
      return 'No two balloons are all alike: more than nothing, please.';
    case 'wide-spread':
      return `Up to ${Math.round(200 * detail.most)} % of a balloon either way: farther off it is another size.`;
    case 'bad-trials':
      return `From ${detail.least} to ${detail.most.toLocaleString('en')} pieces: fewer say nothing.`;
    default:
      return 'This piece cannot be built.';
  }
}
