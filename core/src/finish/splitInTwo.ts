import { widthForVolumeMm } from '../balloon';
import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';

/** Two bubbles from one balloon. */
export interface TwoBubbles {
  /** The first holds `share` of the air, the second the rest; mm across. */
  firstMm: number;
  secondMm: number;
  /** Across the undivided balloon, mm. */
  wholeMm: number;
  /** How much more the skin is stretched than undivided: why a dull mirror shines again. */
  stretchGain: number;
}

export type SplitProblemCode = 'bad-volume' | 'bad-share';

/** A smaller bubble than this share of the air is a pinch, not a bubble (from memory). */
const LEAST_SHARE = 0.05;

/**
 * A balloon of `volumeL` litres divided by a twist: one bubble of `share` of the air and one of the rest, both taken
 * as spheres. Under one pressure both stretch alike, and their surfaces together are larger than the one's: the
 * stretch grows with the square root of (w1^2 + w2^2) / w^2.
 *
 * Problems: `bad-volume` (not above 0), `bad-share` (0.05 to 0.95).
 */
export function splitInTwo({
  volumeL,
  share,
}: {
  volumeL: number;
  share: number;
}): Result<TwoBubbles, SplitProblemCode> {
  if (!(volumeL > 0 && Number.isFinite(volumeL))) return problem('bad-volume', { field: 'volumeL' });
  if (!(share >= LEAST_SHARE && share <= 1 - LEAST_SHARE))
    return problem('bad-share', { field: 'share', detail: { least: LEAST_SHARE, most: 1 - LEAST_SHARE } });
  const wholeMm = widthForVolumeMm({ volumeL });
  const firstMm = widthForVolumeMm({ volumeL: volumeL * share });
  const secondMm = widthForVolumeMm({ volumeL: volumeL * (1 - share) });
  return ok({ firstMm, secondMm, wholeMm, stretchGain: Math.hypot(firstMm, secondMm) / wholeMm });
}

/** How to make a mirror balloon smaller than it shines. */
export interface ShineAdvice {
  /** The smallest width that still shines by itself, mm. */
  smallestMm: number;
  /** `fills` at that or above; below, the share of the skin to leave in the neck so that the rest is tight again. */
  how: 'fills' | 'squeeze-the-neck';
  leaveInNeck: number;
}

/**
 * Under the smallest width that still shines (`TRADE.smallestShine` of nominal) the neck is squeezed: hold it low,
 * press the air to the crown and tie there (common practice). A bubble of `widthMm` is as tight as the whole balloon
 * is at its smallest shine when it is made of (width / smallest)^2 of the skin; the rest stays in the neck.
 */
export function shineAdvice({
  nominalMm,
  widthMm,
  trade = TRADE,
}: {
  nominalMm: number;
  widthMm: number;
  trade?: Trade | undefined;
}): ShineAdvice {
  const smallestMm = trade.smallestShine * nominalMm;
  const leaveInNeck = Math.max(0, 1 - (widthMm / smallestMm) ** 2);
  return { smallestMm, how: leaveInNeck > 0 ? 'squeeze-the-neck' : 'fills', leaveInNeck };
}
