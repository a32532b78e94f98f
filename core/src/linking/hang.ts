import { ok, type Result } from '../result';
import { swag, swagPoint, type SwagProblemCode } from './swag';

/** Where a chain is tied to, mm: along the wall, and above the floor. */
export interface Fixing {
  xMm: number;
  highMm: number;
}

/** A chain and where it hangs: from one place straight down, or from there to another one on its right. */
export interface HangingChain {
  from: Fixing;
  to: Fixing | null;
  /** Of its balloons, from where it begins on. */
  widthsMm: readonly number[];
  /** What knot and tail put between two bodies, mm. */
  jointMm: number;
}

/** A balloon where it hangs. */
export interface HungBalloon extends Fixing {
  widthMm: number;
  /** How the chain runs there, radians: 0 level to the right, above 0 downwards. */
  slope: number;
}

/**
 * The balloons of a chain where they hang. Straight down the first one's body begins at the place itself; between two
 * places a neck ties each end, and the bodies lie along a catenary of the chain's own length.
 *
 * Problems: those of `swag`, for a chain between two places.
 */
export function hangChain({ from, to, widthsMm, jointMm }: HangingChain): Result<HungBalloon[], SwagProblemCode> {
  const alongs = middlesOf(widthsMm, jointMm, to === null ? 0 : jointMm);
  if (to === null) {
    const down = (along: number, i: number): HungBalloon => ({
      ...{ xMm: from.xMm, highMm: from.highMm - along },
      ...{ widthMm: widthsMm[i]!, slope: Math.PI / 2 },
    });
    return ok(alongs.map(down));
  }
  const hung = swag({
    spanMm: to.xMm - from.xMm,
    riseMm: to.highMm - from.highMm,
    lengthMm: (alongs.at(-1) ?? 0) + (widthsMm.at(-1) ?? 0) / 2 + jointMm,
  });
  if (!hung.ok) return hung;
  return ok(
    alongs.map((along, i) => {
      const { xMm, yMm, slope } = swagPoint(hung.value, along);
      return { xMm: from.xMm + xMm, highMm: from.highMm - yMm, widthMm: widthsMm[i]!, slope };
    }),
  );
}

/** How far along a chain the middle of each of its balloons is, mm. */
function middlesOf(widthsMm: readonly number[], jointMm: number, beginsMm: number): number[] {
  let end = beginsMm - jointMm;
  return widthsMm.map((widthMm) => {
    const middle = end + jointMm + widthMm / 2;
    end = middle + widthMm / 2;
    return middle;
  });
}
