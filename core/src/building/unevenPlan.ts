import { ok, type Result } from '../result';
import { meanOf, most } from '../statistics';
import { TRADE, type Trade } from '../trade';
import { halfAxes, ringRadiusMm, type Layer } from './layer';
import { stackLayers, type Stack, type StackedLayer, type StackLayersProblemCode } from './stackLayers';

/** What holds layers upright. */
export type HeldBy = 'pole' | 'line';

/** Balloons that touch this much lower than the one that bears, as a share of their distance, bear too once latex gives. */
const ALSO_BEARS = 0.02;
/** What touches at less than this share of the height of others only passes by. */
const LEAST_REST = 0.8;

/** A layer, and what does not change of it from one time that it is built to the next. */
export interface PlannedLayer extends StackedLayer {
  /** The index of its first balloon among all. */
  first: number;
  /** How much farther out its balloons lie than balls of their width. */
  farther: number;
  /** How much of their width its balloons reach up from their middles. */
  upShare: number;
  /** The layer that it rests on, which is not the one below where that is small; -1 of the lowest. */
  rests: number;
  /** How far above the one below it would stand if nothing gave, mm. */
  touchingMm: number;
  /** How far above that it stands while nothing is off, mm. */
  aboveMm: number;
  /** Where it meets that layer: balloons of both by their index among all, a pair a contact. */
  uppers: Int32Array;
  lowers: Int32Array;
  /** The index of its first contact among all. */
  firstContact: number;
  /** By contact, how much higher its even layer rests than two balls on this contact alone would. */
  higher: Float64Array;
  /** Directions of the upper balloons of its contacts, seen from the middle of all contacts. */
  cosines: Float64Array;
  sines: Float64Array;
  /** From sums of heights by those directions to the slope of the plane nearest to them: xx, xy, yy. */
  slopes: readonly [number, number, number];
  /** Openings between a balloon and the two that it rests between: two contacts each, by their index among all. */
  openings: Int32Array;
}

/** A stack that is to be built often. */
export interface UnevenPlan {
  stack: Stack;
  heldBy: HeldBy;
  packing: number;
  layers: PlannedLayer[];
  /** Of all balloons while none is off, mm. */
  widthsMm: Float64Array;
  contacts: number;
}

/**
 * Whatever of a stack stays the same however its balloons come out: where it stands while they are even, which balloons
 * meet, and in which directions.
 *
 * Problems: those of `stackLayers`.
 */
export function unevenPlan({
  layers,
  heldBy,
  trade = TRADE,
  packing = trade.packing,
}: {
  layers: readonly Layer[];
  heldBy: HeldBy;
  packing?: number | undefined;
  trade?: Trade | undefined;
}): Result<UnevenPlan, StackLayersProblemCode> {
  const made = stackLayers({ layers, packing, trade });
  if (!made.ok) return made;
  const planned: PlannedLayer[] = [];
  let [first, contacts] = [0, 0];
  for (const layer of made.value.layers) {
    const next = planLayer(layer, planned, { first, firstContact: contacts, packing });
    planned.push(next);
    first += layer.count;
    contacts += next.uppers.length;
  }
  const widthsMm = Float64Array.from(
    made.value.layers.flatMap(({ count, widthMm }) => Array<number>(count).fill(widthMm)),
  );
  return ok({ stack: made.value, heldBy, packing, layers: planned, widthsMm, contacts });
}

/** The radius on which balls of these widths would lie. */
const roundRadiusMm = ({ count, widthMm }: Layer) => ringRadiusMm({ count, widthMm });

function planLayer(
  layer: StackedLayer,
  planned: readonly PlannedLayer[],
  { first, firstContact, packing }: { first: number; firstContact: number; packing: number },
): PlannedLayer {
  const roundMm = roundRadiusMm(layer);
  const { rests, meets } = restOf(layer, planned);
  const below = planned[rests];
  const aboveMm = below ? layer.heightMm - below.heightMm : 0;
  const directions = meets.map(({ upper }) => layer.turn + (2 * Math.PI * upper) / layer.count);
  const [cosines, sines] = [centred(directions.map(Math.cos)), centred(directions.map(Math.sin))];
  return {
    ...layer,
    ...{ first, firstContact, rests, aboveMm },
    upShare: halfAxes(layer).upMm / layer.widthMm,
    touchingMm: layer.riseMm / packing,
    farther: roundMm > 0 ? layer.radiusMm / roundMm : 1,
    uppers: Int32Array.from(meets, ({ upper }) => first + upper),
    lowers: Int32Array.from(meets, ({ lower }) => below!.first + lower),
    higher: Float64Array.from(meets, ({ restMm }) => aboveMm / packing / restMm),
    cosines: Float64Array.from(cosines),
    sines: Float64Array.from(sines),
    slopes: layer.count > 1 ? slopesOf(cosines, sines) : [0, 0, 0],
    openings: Int32Array.from(
      below && below.count > 2 && layer.count > 2 ? openingsOf(meets, below.count, firstContact) : [],
    ),
  };
}

interface Meeting {
  upper: number;
  lower: number;
  restMm: number;
}

/** The layer that bears another, as balls: the one below, or one farther down that reaches higher past a small one. */
function restOf(layer: StackedLayer, planned: readonly PlannedLayer[]): { rests: number; meets: Meeting[] } {
  let best: { rests: number; meets: Meeting[]; highMm: number } = {
    rests: planned.length - 1,
    meets: [],
    highMm: -Infinity,
  };
  // While nothing gives, as far down as its own balloons reach.
  let downMm = 0;
  for (let j = planned.length - 1; j >= 0 && j >= planned.length - MOST_DOWN; j -= 1) {
    const meets = contactsOf(layer, planned[j]!);
    const highMm = most(meets.map(({ restMm }) => restMm)) - downMm;
    if (highMm > best.highMm + NEARER_MM) best = { rests: j, meets, highMm };
    downMm += planned[j]!.touchingMm;
  }
  return best;
}

/** Layers farther down than this bear nothing; and one that bears as high as another does not count before it, mm. */
const MOST_DOWN = 3;
const NEARER_MM = 1e-6;

/** The balloons of a lower layer that each balloon of a layer rests on, as balls. */
function contactsOf(layer: StackedLayer, below: StackedLayer): Meeting[] {
  const [r1, r2] = [roundRadiusMm(below), roundRadiusMm(layer)];
  const apartMm = (below.widthMm + layer.widthMm) / 2;
  const meets = Array.from({ length: layer.count }, (_, upper) => {
    const touches = Array.from({ length: below.count }, (_, lower): Meeting => {
      const angle = layer.turn - below.turn + 2 * Math.PI * (upper / layer.count - lower / below.count);
      const squared = apartMm ** 2 - (r1 * r1 + r2 * r2 - 2 * r1 * r2 * Math.cos(angle));
      return { upper, lower, restMm: Math.sqrt(Math.max(0, squared)) };
    });
    const ownMm = most(touches.map(({ restMm }) => restMm));
    return touches.filter(({ restMm }) => restMm > ownMm - ALSO_BEARS * apartMm);
  }).flat();
  const highestMm = most(meets.map(({ restMm }) => restMm));
  return meets.filter(({ restMm }) => restMm > LEAST_REST * highestMm);
}

/** So that a plane's slope does not follow from its height. */
function centred(parts: readonly number[]): number[] {
  const mean = meanOf(parts);
  return parts.map((part) => part - mean);
}

/** The normal matrix of a plane through the middle, inverted; of directions all in one line along that line alone. */
function slopesOf(cosines: readonly number[], sines: readonly number[]): [number, number, number] {
  const sum = (of: (i: number) => number) => cosines.reduce((all, _, i) => all + of(i), 0);
  const xx = sum((i) => cosines[i]! ** 2);
  const xy = sum((i) => cosines[i]! * sines[i]!);
  const yy = sum((i) => sines[i]! ** 2);
  const trace = xx + yy;
  if (trace === 0) return [0, 0, 0];
  const determinant = xx * yy - xy * xy;
  if (determinant > 1e-9 * trace * trace) return [yy / determinant, -xy / determinant, xx / determinant];
  return [xx / trace ** 2, xy / trace ** 2, yy / trace ** 2];
}

/** Contacts of one balloon with two that are neighbours: between the three one sees through. */
function openingsOf(meets: readonly Meeting[], countBelow: number, firstContact: number): number[] {
  return meets.flatMap((one, i) =>
    meets.flatMap((other, j) =>
      one.upper === other.upper && (one.lower + 1) % countBelow === other.lower
        ? [firstContact + i, firstContact + j]
        : [],
    ),
  );
}
