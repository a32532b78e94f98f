import { distance, placeOf } from '../numeric/space';
import { TRADE, type Trade } from '../trade';
import type { Closing } from './closing';
import type { Form, FormLayer } from './form';
import { oneWrong, type OneWrong } from './oneWrong';
import type { Sphere } from './spheres';
import { formAsMade } from './standingForm';

/** Where a ring stands open: between the skins of two balloons, mm. */
export interface RingGap {
  from: { xMm: number; yMm: number; zMm: number };
  to: { xMm: number; yMm: number; zMm: number };
}

/** Thinner no gap is seen, mm. */
const LEAST_GAP_MM = 1;

/** What one balloon off its size does. */
export interface PulledOne {
  spheres: Sphere[];
  /** How far it moves itself, mm. */
  movedMm: number;
  gap: RingGap | null;
  wrong: OneWrong | null;
}

/**
 * One balloon of a closed form off its size: how all of it then lies (`formAsMade`), and, in a ring, what that does to it:
 * whether it still closes, and where it stands open.
 *
 * `spheres`: of the form as it stands, as `spheresOf` has them. `at`: which of them, by `offMm`.
 */
export function pullOne({
  spheres,
  closing,
  form,
  at,
  offMm,
  trade = TRADE,
}: {
  spheres: readonly Sphere[];
  closing: Closing;
  form: Form;
  at: number;
  offMm: number;
  trade?: Trade | undefined;
}): PulledOne {
  const sphere = spheres[at]!;
  const closes = ({ role }: FormLayer) => role === 'ring' || role === 'inner-spokes';
  const layer = form.layers[sphere.layer];
  const widthsMm = spheres.map(({ widthMm }, i) => (i === at ? widthMm + offMm : widthMm));
  const lies = formAsMade(form, widthsMm, trade);
  const movedMm = distance(placeOf(sphere), placeOf(lies[at]!));
  const pulled = { spheres: lies, movedMm };
  if (sphere.tie || !layer || !closes(layer)) return { ...pulled, gap: null, wrong: null };
  const ring = form.layers.slice(0, sphere.layer).filter(closes).length;
  const wrong = oneWrong({ closing, ring, offMm, trade });
  // Around its spokes a basket's rings lie apart anyway, on pulled necks.
  const opens = wrong.state === 'opens' && form.shape.kind !== 'basket';
  return { ...pulled, gap: opens ? gapBeside(lies, at) : null, wrong };
}

/** The wider of the gaps to its neighbours in its ring, from skin to skin; null where it touches both. */
function gapBeside(spheres: readonly Sphere[], at: number): RingGap | null {
  const own = spheres[at]!;
  const ring = spheres.filter(({ layer, tie }) => layer === own.layer && tie === own.tie);
  const place = ring.indexOf(own);
  const gaps = [1, ring.length - 1].map((step) => {
    const other = ring[(place + step) % ring.length]!;
    const apart = distance(placeOf(own), placeOf(other));
    const openMm = apart - (own.widthMm + other.widthMm) / 2;
    const on = (share: number) => ({
      xMm: own.xMm + (other.xMm - own.xMm) * share,
      yMm: own.yMm + (other.yMm - own.yMm) * share,
      zMm: own.zMm + (other.zMm - own.zMm) * share,
    });
    return { openMm, from: on(own.widthMm / 2 / apart), to: on(1 - other.widthMm / 2 / apart) };
  });
  const { openMm, ...gap } = gaps[gaps[1]!.openMm > gaps[0]!.openMm ? 1 : 0]!;
  return openMm > LEAST_GAP_MM ? gap : null;
}
