import { sphereVolumeL } from '../balloon';
import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';

/** One point at which latex air is let out. */
export interface Vent {
  /** Across the outside when it is time, mm. */
  outsideMm: number;
  /** Across the outside after letting out, mm. */
  downToMm: number;
  /** How large the sphere is inside by then, mm. */
  sphereMm: number;
  /** Air around the sphere before and after, mm to each side. */
  gapBeforeMm: number;
  gapAfterMm: number;
  /** Litres let out. */
  letOutL: number;
}

/** A stretchy foil sphere in a clear balloon, step by step. */
export interface SphereInClear {
  /** To stretch the latex: filled this wide, rested, emptied, mm. */
  stretchToMm: number;
  /** Air for the latex before the sphere, mm across. */
  roomMm: number;
  vents: Vent[];
  /** The sphere full, mm, with the outside then and the gap to press out, mm to each side. */
  sphereMm: number;
  outsideMm: number;
  gapMm: number;
}

export type SphereProblemCode =
  | 'bad-width'
  /** A vent more or less than two or three. */
  | 'bad-vents'
  /**
   * The latex is too small for the sphere with its gap (`nearestMm`: the largest sphere that goes in), or so large
   * that it hangs loose and dull.
   */
  | 'latex-too-small'
  | 'latex-too-large';

/** The latex must be at least this much of its nominal to be taut and clear. */
const LEAST_TAUT = 0.9;
/** Air for room before the sphere, as a share of the most the latex bears. */
const ROOM_SHARE = 0.9;

/**
 * A stretchy foil sphere in clear latex of the same size (common practice: 15 in both): the latex stretched and
 * emptied, the sphere folded in, the latex filled for room, then the sphere filled while latex air is let out at two
 * or three points, so that there is always an air gap of at least `gapMm` to each side; else the latex sticks and
 * splits.
 *
 * Volumes add: outside^3 = sphere^3 + air^3. Between two vents the air stays, so the gap shrinks as the sphere grows;
 * the amounts left fall by one ratio from vent to vent, down to what the gap needs around the full sphere. Each vent
 * comes when the outside reaches the most the latex bears (`TRADE.sphereLatexMost`).
 *
 * Problems: `bad-width`, `bad-vents`, `latex-too-small`, `latex-too-large`.
 */
export function sphereInClear({
  trade = TRADE,
  latexNominalMm,
  sphereMm,
  vents = 2,
  gapMm = trade.sphereGapMm,
}: {
  latexNominalMm: number;
  sphereMm: number;
  vents?: number;
  gapMm?: number;
  trade?: Trade | undefined;
}): Result<SphereInClear, SphereProblemCode> {
  for (const [field, mm] of Object.entries({ latexNominalMm, sphereMm, gapMm }))
    if (!(mm > 0 && Number.isFinite(mm))) return problem('bad-width', { field });
  if (vents !== 2 && vents !== 3) return problem('bad-vents', { field: 'vents', detail: { least: 2, most: 3 } });
  const mostMm = trade.sphereLatexMost * latexNominalMm;
  const outsideMm = sphereMm + 2 * gapMm;
  if (outsideMm > mostMm)
    return problem('latex-too-small', {
      field: 'latexNominalMm',
      detail: { nearestMm: mostMm - 2 * gapMm, neededMm: outsideMm / trade.sphereLatexMost },
    });
  if (sphereMm < LEAST_TAUT * latexNominalMm)
    return problem('latex-too-large', {
      field: 'latexNominalMm',
      detail: { nearestMm: sphereMm / LEAST_TAUT, sphereMm },
    });
  const roomMm = ROOM_SHARE * mostMm;
  const air = roomMm ** 3;
  const last = outsideMm ** 3 - sphereMm ** 3;
  const ratio = (last / air) ** (1 / vents);
  const points = Array.from({ length: vents }, (_, i): Vent => {
    const before = air * ratio ** i;
    const after = before * ratio;
    const inside = Math.min(sphereMm, Math.cbrt(mostMm ** 3 - before));
    const outside = Math.cbrt(inside ** 3 + before);
    const downToMm = Math.cbrt(inside ** 3 + after);
    return {
      outsideMm: outside,
      downToMm,
      sphereMm: inside,
      gapBeforeMm: (outside - inside) / 2,
      gapAfterMm: (downToMm - inside) / 2,
      letOutL: sphereVolumeL({ widthMm: Math.cbrt(before - after) }),
    };
  });
  return ok({ stretchToMm: mostMm, roomMm, vents: points, sphereMm, outsideMm, gapMm });
}
