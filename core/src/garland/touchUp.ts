import { plus, unit } from '../numeric/space';
import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import type { KnotLine, Place } from './knotLine';
import { contactsIn, type Wall } from './relax';
import { settle } from './settle';
import { knotPlace, softBody, ballsOf, type PackedBalloon, type PackedGarland } from './soft';

/** What is done to one balloon by hand. */
export interface Touch extends Pick<PackedBalloon, 'cluster' | 'layer' | 'place'> {
  /** How wide it is made instead, mm; null takes it out. */
  widthMm: number | null;
}

/** A cluster that is pulled elsewhere by hand, and how far. */
export interface Move extends Pick<PackedBalloon, 'cluster' | 'layer'> {
  byMm: Place;
}

/**
 * A packed garland with some of its balloons made in another size or taken out, and some of its clusters moved: what is
 * pressed makes room, all other knots stay, and what nothing presses stays where it lay. Of a balloon or a cluster that it
 * does not have nothing is done.
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
    moves = [],
    walls = [],
    trade = TRADE,
  }: {
    line: KnotLine;
    touches: readonly Touch[];
    moves?: readonly Move[] | undefined;
    walls?: readonly Wall[] | undefined;
    trade?: Trade | undefined;
  },
): Result<PackedGarland, 'bad-width'> {
  const bad = touches.findIndex(({ widthMm }) => widthMm !== null && !(widthMm > 0 && Number.isFinite(widthMm)));
  if (bad >= 0) return problem('bad-width', { field: `touches.${bad}` });
  const widths = new Map(touches.map((touch) => [nameOf(touch), touch.widthMm]));
  const moved = new Map(moves.map((move) => [knotName(move), move.byMm]));
  const balloons = packed.balloons.flatMap((balloon) => {
    const widthMm = widths.get(nameOf(balloon));
    if (widthMm === null) return [];
    const [x, y, z] = moved.get(knotName(balloon)) ?? [0, 0, 0];
    const { xMm, yMm, zMm } = balloon;
    return [{ ...balloon, widthMm: widthMm ?? balloon.widthMm, xMm: xMm + x, yMm: yMm + y, zMm: zMm + z }];
  });
  const lie = packed.knots.map((knot) => ({
    ...knot,
    besideMm: plus(knot.besideMm, moved.get(knotName(knot)) ?? [0, 0, 0]),
  }));
  const knots = new Map(lie.map((knot, i) => [knotName(knot), i]));
  const bodies = balloons.map(({ widthMm }) => softBody(widthMm, trade));
  const spheres = {
    line,
    at: ballsOf(balloons).at,
    reachMm: Float64Array.from(bodies, ({ reachMm }) => reachMm),
    tetherMm: Float64Array.from(bodies, ({ tetherMm }) => tetherMm),
    knot: Int32Array.from(balloons, (balloon) => knots.get(knotName(balloon))!),
    alongMm: Float64Array.from(lie, ({ alongMm }) => alongMm),
    besideMm: Float64Array.from(lie.flatMap(({ besideMm }) => besideMm)),
  };
  const pressed = settle(spheres, walls);
  const { at, reachMm } = spheres;
  return ok({
    ...packed,
    knots: lie,
    balloons: balloons.map((balloon, i) => {
      const [xMm, yMm, zMm] = [at[3 * i]!, at[3 * i + 1]!, at[3 * i + 2]!];
      const knot = knotPlace(line, lie[spheres.knot[i]!]!);
      return { ...balloon, xMm, yMm, zMm, neck: unit(plus(knot, [xMm, yMm, zMm], -1)) };
    }),
    pressed,
    contacts: contactsIn(at, reachMm),
  });
}

const knotName = ({ cluster, layer }: Pick<Touch, 'cluster' | 'layer'>) => `${cluster} ${layer}`;
const nameOf = ({ place, ...knot }: Pick<Touch, 'cluster' | 'layer' | 'place'>) => `${knotName(knot)} ${place}`;
