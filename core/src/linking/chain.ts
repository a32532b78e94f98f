import { ok, problem, type Result } from '../result';
import { roundToStep } from '../units';

/** Bodies linked neck to tail. */
export interface ChainParts {
  count: number;
  widthMm: number;
  /** What knot and tail put between two bodies, mm. */
  jointMm: number;
  /** A plain balloon at the free end, so that no tail shows, mm. */
  finisherMm?: number | undefined;
}

/**
 * Length of a chain from body to body, mm: count widths and a joint between each two; a finishing balloon adds its
 * own width and a joint.
 */
export function chainLength({ count, widthMm, jointMm, finisherMm }: ChainParts): number {
  const bodies = count * widthMm + (count - 1) * jointMm;
  return finisherMm === undefined ? bodies : bodies + jointMm + finisherMm;
}

/** A repeat of widths along a chain: the length of `count` of them, starting anew after the last, mm. */
export function repeatLength({
  count,
  widthsMm,
  jointMm,
  finisherMm,
}: {
  count: number;
  widthsMm: readonly number[];
  jointMm: number;
  finisherMm?: number | undefined;
}): number {
  let sum = (count - 1) * jointMm;
  for (let i = 0; i < count; i += 1) sum += widthsMm[i % widthsMm.length] ?? 0;
  return finisherMm === undefined ? sum : sum + jointMm + finisherMm;
}

/** A chain that lands on a length. */
export interface ChainPlan {
  count: number;
  /** The one width with which the chain is exactly as long as wanted, mm. */
  exactMm: number;
  /** That width on the sizer's steps, and how far the chain then is off, mm (above 0: too long). */
  widthMm: number;
  offMm: number;
  /** Balloons of the chain and, where there is one, the finisher. */
  balloons: number;
}

export type ChainProblemCode =
  | 'bad-length'
  /** A width outside of what the balloon is useful for: `leastMm` to `mostMm`. */
  | 'outside-useful'
  | 'bad-step'
  /** Longer than the room is high: `mostMm`. */
  | 'longer-than-room'
  /** No whole number of balloons between the two widths makes this length. `nearestMm` is a length that works. */
  | 'no-count';

/** More than a hall is long. */
const MOST_COUNT = 20_000;

/**
 * How many balloons make a chain of a wanted length, and the size with which it lands exactly: of all counts whose
 * exact width is useful (`leastMm` to `mostMm`), the one whose width is nearest to the one wanted.
 *
 * Problems: `bad-length`, `longer-than-room`, `outside-useful`, `bad-step`, `no-count` with the nearest length that works.
 */
export function chainFor({
  lengthMm,
  widthMm,
  jointMm,
  leastMm,
  mostMm,
  stepMm,
  finisherMm,
  roomMm = Infinity,
}: {
  lengthMm: number;
  /** Wanted, mm. */
  widthMm: number;
  jointMm: number;
  leastMm: number;
  mostMm: number;
  stepMm: number;
  finisherMm?: number | undefined;
  /** Height of the room it hangs in, mm. */
  roomMm?: number | undefined;
}): Result<ChainPlan, ChainProblemCode> {
  if (!(lengthMm > 0 && Number.isFinite(lengthMm))) return problem('bad-length', { field: 'lengthMm' });
  if (lengthMm > roomMm) return problem('longer-than-room', { field: 'lengthMm', detail: { mostMm: roomMm } });
  if (!(leastMm > 0 && widthMm >= leastMm && widthMm <= mostMm))
    return problem('outside-useful', { field: 'widthMm', detail: { leastMm, mostMm } });
  if (!(stepMm > 0 && stepMm < widthMm)) return problem('bad-step', { field: 'stepMm' });
  const bodiesMm = finisherMm === undefined ? lengthMm : lengthMm - jointMm - finisherMm;
  const exactOf = (count: number) => (bodiesMm - (count - 1) * jointMm) / count;
  const about = (bodiesMm + jointMm) / (widthMm + jointMm);
  const apart = (count: number) => Math.abs(exactOf(count) - widthMm);
  const [best] = [Math.floor(about), Math.ceil(about)]
    .filter((count) => count >= 1 && count <= MOST_COUNT)
    .filter((count) => exactOf(count) >= leastMm && exactOf(count) <= mostMm)
    .sort((a, b) => apart(a) - apart(b));
  if (best === undefined) {
    const count = Math.min(MOST_COUNT, Math.max(1, Math.round(about)));
    const nearest = Math.min(mostMm, Math.max(leastMm, exactOf(count)));
    const nearestMm = chainLength({ count, widthMm: nearest, jointMm, finisherMm });
    return problem('no-count', { field: 'lengthMm', detail: { nearestMm, count } });
  }
  const exactMm = exactOf(best);
  const snappedMm = roundToStep({ mm: exactMm, step: stepMm });
  return ok({
    count: best,
    exactMm,
    widthMm: snappedMm,
    offMm: best * (snappedMm - exactMm),
    balloons: best + (finisherMm === undefined ? 0 : 1),
  });
}

/** How much a chain's length scatters when its balloons do: sd x sqrt(count), mm (sum of independent widths). */
export function chainSpreadMm({ count, sdMm }: { count: number; sdMm: number }): number {
  return sdMm * Math.sqrt(count);
}
