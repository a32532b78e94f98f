import { plus, unit } from '../numeric/space';
import type { Trade } from '../trade';
import type { ClusterKind } from './cluster';
import type { KnotLine, Place } from './knotLine';
import { contactsIn } from './relax';

/** Balloons that are tied at one knot: a cluster along the line, or one of the layers over it. */
export interface Bunch {
  kind: ClusterKind;
  /** Which cluster along the line it is, or lies over; from 0. */
  cluster: number;
  /** 0 along the line; 1 and more over that, in the order in which they are put on. */
  layer: number;
}

/** A balloon of a garland where it lies, mm. */
export interface PackedBalloon extends Pick<Bunch, 'cluster' | 'layer'> {
  place: number;
  nominalMm: number;
  widthMm: number;
  xMm: number;
  yMm: number;
  zMm: number;
  /** From its middle to its knot, of length 1. */
  neck: Place;
}

/** A knot: along the line, or beside it where what it ties lies over another. */
export interface PackedKnot extends Pick<Bunch, 'cluster' | 'layer'> {
  alongMm: number;
  besideMm: Place;
}

/** A garland as it comes to rest. */
export interface PackedGarland {
  balloons: PackedBalloon[];
  /** Those of the clusters along the line first, one after another. */
  knots: PackedKnot[];
  /** Clusters along the line. */
  clusters: number;
  /** What those cover, half of what lies between two of them beyond the first and the last, mm. */
  lengthMm: number;
  /** The most that two balloons press into one another beyond what is soft, of how far apart they belong. */
  pressed: number;
  /** Pairs of balloons that touch. */
  contacts: number;
}

/** A garland while it is packed: all balloons in one order, bunch after bunch, each from place 0 on. */
export interface SoftGarland {
  bunches: readonly Bunch[];
  /** Bunches along the line: they come first. */
  along: number;
  line: KnotLine;
  at: Float64Array;
  widthsMm: Float64Array;
  reachMm: Float64Array;
  tetherMm: Float64Array;
  knot: Int32Array;
  alongMm: Float64Array;
  besideMm: Float64Array;
  /** The first balloon of each bunch, and how many there are. */
  starts: Int32Array;
}

/** Where balloons lie, three figures each, and how far each reaches where nothing presses on it, mm. */
export function ballsOf(balloons: readonly Pick<PackedBalloon, 'xMm' | 'yMm' | 'zMm' | 'widthMm'>[]) {
  return {
    at: Float64Array.from(balloons.flatMap(({ xMm, yMm, zMm }) => [xMm, yMm, zMm])),
    reachMm: Float64Array.from(balloons, ({ widthMm }) => widthMm / 2),
  };
}

/** How far a soft balloon of a width reaches from its middle, and how far its knot may be from there, mm. */
export function softBody(widthMm: number, { garlandPress, garlandNeck }: Trade): { reachMm: number; tetherMm: number } {
  return { reachMm: (widthMm / 2) * (1 - garlandPress), tetherMm: (widthMm / 2) * (1 + garlandNeck) };
}

/** A garland before anything is put on. */
export function softGarland(bunches: readonly Bunch[], line: KnotLine, trade: Trade): SoftGarland {
  const widths: number[] = [];
  const knot: number[] = [];
  const starts = [0];
  bunches.forEach(({ kind }, k) => {
    for (const { widthMm, count } of kind)
      for (let i = 0; i < count; i += 1) {
        widths.push(widthMm);
        knot.push(k);
      }
    starts.push(widths.length);
  });
  const bodies = widths.map((widthMm) => softBody(widthMm, trade));
  return {
    ...{ bunches, line, along: bunches.filter(({ layer }) => layer === 0).length },
    at: new Float64Array(3 * widths.length),
    widthsMm: Float64Array.from(widths),
    reachMm: Float64Array.from(bodies, ({ reachMm }) => reachMm),
    tetherMm: Float64Array.from(bodies, ({ tetherMm }) => tetherMm),
    knot: Int32Array.from(knot),
    alongMm: new Float64Array(bunches.length),
    besideMm: new Float64Array(3 * bunches.length),
    starts: Int32Array.from(starts),
  };
}

/** The mean width of a bunch, mm. */
export function meanWidth({ widthsMm, starts }: SoftGarland, k: number): number {
  let sum = 0;
  for (let i = starts[k]!; i < starts[k + 1]!; i += 1) sum += widthsMm[i]!;
  return sum / (starts[k + 1]! - starts[k]!);
}

/** The place on the line that a knot belongs to, and the line's direction there. */
export function readLine(line: KnotLine, alongMm: number): { at: Place; along: Place } {
  const out = new Float64Array(6);
  line.read(alongMm, out);
  return { at: [out[0]!, out[1]!, out[2]!], along: [out[3]!, out[4]!, out[5]!] };
}

/** What a garland is once it lies still. */
export function packedOf(garland: SoftGarland, pressed: number): PackedGarland {
  const { bunches, along, at, alongMm, besideMm, widthsMm, starts, line, reachMm } = garland;
  const knots = bunches.map(({ cluster, layer }, k): PackedKnot => {
    return { cluster, layer, alongMm: alongMm[k]!, besideMm: placeIn(besideMm, k) };
  });
  const balloons = bunches.flatMap(({ kind, cluster, layer }, k) => {
    const knotAt = knotPlace(line, knots[k]!);
    const nominals = kind.flatMap(({ nominalMm, count }) => Array<number>(count).fill(nominalMm));
    return nominals.map((nominalMm, place): PackedBalloon => {
      const i = starts[k]! + place;
      const [xMm, yMm, zMm] = placeIn(at, i);
      const neck = unit(plus(knotAt, [xMm, yMm, zMm], -1));
      return { cluster, layer, place, nominalMm, widthMm: widthsMm[i]!, xMm, yMm, zMm, neck };
    });
  });
  const last = along - 1;
  const lengthMm = last === 0 ? meanWidth(garland, 0) : ((alongMm[last]! - alongMm[0]!) * (last + 1)) / last;
  return { balloons, knots, clusters: along, lengthMm, pressed, contacts: contactsIn(at, reachMm) };
}

/** Where a knot lies. */
export function knotPlace(line: KnotLine, { alongMm, besideMm }: PackedKnot): Place {
  return plus(readLine(line, alongMm).at, besideMm);
}

const placeIn = (flat: Float64Array, i: number): Place => [flat[3 * i]!, flat[3 * i + 1]!, flat[3 * i + 2]!];
