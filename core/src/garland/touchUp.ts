import { plus, unit } from '../numeric/space';
import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import type { KnotLine } from './knotLine';
import { contactsIn, type Wall } from './relax';
import { settle } from './settle';
import { knotPlace, softBody, spheresOf, type PackedBalloon, type PackedGarland } from './soft';

/** What is done to one balloon by hand. */
export interface Touch extends Pick<PackedBalloon, 'cluster' | 'layer' | 'place'> {
  /** How wide it is made instead, mm; null takes it out. */
  widthMm: number | null;
}

/**
 * A packed garland with some of its balloons made in another size or taken out: what is pressed makes room, knots stay, and
 * what nothing presses stays where it lay. Of a balloon that it does not have nothing is done.
 *
 * Problems: `bad-width` with `touches.<i>` as its field.
 *
 * Source: as of `packGarland`.
 */
export function touchedUp(
  packed: PackedGarland,
  {
    line,
    touches,
    walls = [],
    trade = TRADE,
  }: { line: KnotLine; touches: readonly Touch[]; walls?: readonly Wall[] | undefined; trade?: Trade | undefined },
): Result<PackedGarland, 'bad-width'> {
  const bad = touches.findIndex(({ widthMm }) => widthMm !== null && !(widthMm > 0 && Number.isFinite(widthMm)));
  if (bad >= 0) return problem('bad-width', { field: `touches.${bad}` });
  const widths = new Map(touches.map((touch) => [nameOf(touch), touch.widthMm]));
  const balloons = packed.balloons.flatMap((balloon) => {
    const widthMm = widths.get(nameOf(balloon));
    return widthMm === null ? [] : [{ ...balloon, widthMm: widthMm ?? balloon.widthMm }];
  });
  const knots = new Map(packed.knots.map((knot, i) => [knotName(knot), i]));
  const bodies = balloons.map(({ widthMm }) => softBody(widthMm, trade));
  const spheres = {
    line,
    at: spheresOf(balloons).at,
    reachMm: Float64Array.from(bodies, ({ reachMm }) => reachMm),
    tetherMm: Float64Array.from(bodies, ({ tetherMm }) => tetherMm),
    knot: Int32Array.from(balloons, (balloon) => knots.get(knotName(balloon))!),
    alongMm: Float64Array.from(packed.knots, ({ alongMm }) => alongMm),
    besideMm: Float64Array.from(packed.knots.flatMap(({ besideMm }) => besideMm)),
  };
  const pressed = settle(spheres, walls);
  const { at, reachMm } = spheres;
  return ok({
    ...packed,
    balloons: balloons.map((balloon, i) => {
      const [xMm, yMm, zMm] = [at[3 * i]!, at[3 * i + 1]!, at[3 * i + 2]!];
      const knot = knotPlace(line, packed.knots[spheres.knot[i]!]!);
      return { ...balloon, xMm, yMm, zMm, neck: unit(plus(knot, [xMm, yMm, zMm], -1)) };
    }),
    pressed,
    contacts: contactsIn(at, reachMm),
  });
}

const knotName = ({ cluster, layer }: Pick<Touch, 'cluster' | 'layer'>) => `${cluster} ${layer}`;
const nameOf = ({ place, ...knot }: Pick<Touch, 'cluster' | 'layer' | 'place'>) => `${knotName(knot)} ${place}`;
