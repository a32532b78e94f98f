import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import { baseWeight, type BaseWeight, type SideView } from './baseWeight';
import type { WindForce } from './kinds';
import { ringRadiusMm } from './layer';
import { stackLayers, type StackedLayer, type StackLayersProblemCode } from './stackLayers';
import { tiedRing, type TiedPlace } from './tiedRing';

/** A figure or a sign on a plinth. */
export interface Standing {
  wideMm: number;
  highMm: number;
  kg: number;
}

/** A plinth as it is asked for: a row of clusters with small ones seated between them, a weight at each end. */
export interface PlinthAsked {
  /** Balloons in a cluster. */
  count: number;
  clusters: number;
  widthMm: number;
  /** Of the small ones between each two, mm; null without them. */
  smallMm: number | null;
  /** At each end, kg. */
  weightKg: number;
  standing: readonly Standing[];
  /** On the Beaufort scale; null indoors. */
  wind: WindForce | null;
}

/** A plinth worked out. */
export interface PlinthPlan {
  /** Along the row, from its left end. */
  layers: StackedLayer[];
  longMm: number;
  /** Also how deep it is. */
  highMm: number;
  balloons: number;
  /** What it must weigh in all so that it neither tips nor slips. */
  needs: BaseWeight;
  /** What stands on it, kg. */
  standingKg: number;
  /** Both weights together, and what each must be at least, kg. */
  weightsKg: number;
  leastKg: number;
}

export type PlinthProblemCode =
  | StackLayersProblemCode
  /** Figures stand wider than the row is long: `mostMm`. */
  | 'standing-too-wide'
  | 'bad-weight';

const MOST_KG = 100;
const MM2_PER_M2 = 1e6;

/**
 * A row of clusters along a modelling balloon, the small ones seated between each two: a column that lies (`stackLayers`).
 * It stands on two balloons of each cluster, as deep as it is high. Draughts or wind push on the row and on what stands on
 * it; the weights at its ends hold about its front edge, and must be no lighter than what stands on it.
 *
 * Problems: those of `stackLayers` with `widthMm`, `smallMm`, `count` or `clusters` as their field; `standing-too-wide`,
 * `bad-weight` (0 to 100 kg).
 *
 * Source: `baseWeight`; rows of clusters, their small ones and a weight at both ends are common practice.
 */
export function solvePlinth({
  plinth: { count, clusters, widthMm, smallMm, weightKg, standing, wind },
  trade = TRADE,
  packing = trade.packing,
}: {
  plinth: PlinthAsked;
  packing?: number | undefined;
  trade?: Trade | undefined;
}): Result<PlinthPlan, PlinthProblemCode> {
  if (!(Number.isInteger(clusters) && clusters >= 1)) return problem('no-layers', { field: 'clusters' });
  if (!(weightKg >= 0 && weightKg <= MOST_KG)) return problem('bad-weight', { field: 'weightKg' });
  const widths = Array.from({ length: 2 * clusters - 1 }, (_, i) => (i % 2 === 0 ? widthMm : smallMm)).filter(
    (mm) => mm !== null,
  );
  const made = stackLayers({ layers: widths.map((mm) => ({ count, widthMm: mm })), packing, trade });
  if (!made.ok) {
    const { field, ...rest } = made.problem;
    const [, at, name] = /^layers\.(\d+)\.(\w+)$/.exec(field ?? '') ?? [];
    const own =
      at === undefined
        ? 'clusters'
        : name === 'count'
          ? 'count'
          : widths[Number(at)] === widthMm
            ? 'widthMm'
            : 'smallMm';
    return { ok: false, problem: { ...rest, field: own } as typeof made.problem };
  }
  const longMm = made.value.heightMm;
  const wideMm = standing.reduce((sum, each) => sum + each.wideMm, 0);
  if (wideMm > longMm) return problem('standing-too-wide', { field: 'standing', detail: { mostMm: longMm } });
  const highMm = 2 * reachUpMm({ count, widthMm });
  const needs = baseWeight({ side: sideOf(longMm, highMm, standing), baseMm: highMm, wind, trade });
  if (!needs.ok) return problem('bad-width', { field: 'widthMm' });
  const standingKg = standing.reduce((sum, { kg }) => sum + kg, 0);
  return ok({
    ...{ layers: made.value.layers, longMm, highMm, balloons: made.value.balloons },
    ...{ needs: needs.value, standingKg, weightsKg: 2 * weightKg },
    leastKg: Math.max(needs.value.kg, standingKg) / 2,
  });
}

/** From the middle of a cluster that lies on two of its balloons down to the floor, mm. */
function reachUpMm({ count, widthMm }: { count: number; widthMm: number }): number {
  return ringRadiusMm({ count, widthMm }) * Math.cos(Math.PI / count) + widthMm / 2;
}

/** The row and what stands on it, seen from the front. */
function sideOf(longMm: number, highMm: number, standing: readonly Standing[]): SideView {
  let area = longMm * highMm;
  let moment = (area * highMm) / 2;
  for (const figure of standing) {
    area += figure.wideMm * figure.highMm;
    moment += figure.wideMm * figure.highMm * (highMm + figure.highMm / 2);
  }
  return { areaM2: area / MM2_PER_M2, middleMm: moment / area };
}

/** One balloon of a plinth: x along the row from its middle, z up from the floor. */
export interface PlinthBalloon extends TiedPlace {
  layer: number;
  widthMm: number;
}

/** Every balloon of a plinth where it lies, its neck at the middle of the row. */
export function plinthBalloons({
  layers,
  longMm,
  highMm,
}: Pick<PlinthPlan, 'layers' | 'longMm' | 'highMm'>): PlinthBalloon[] {
  return layers.flatMap(({ count, widthMm, heightMm, radiusMm, turn: own }, layer) => {
    // The first cluster lies on two of its balloons.
    const turn = own + Math.PI / count;
    const at = [heightMm - longMm / 2, highMm / 2] as const;
    return tiedRing({ count, turn, radiusMm, at, out: DOWN }).map((each) => ({ layer, widthMm, ...each }));
  });
}

const DOWN = [0, -1] as const;

/** A round board with half a foil balloon over it. */
export interface BoardCover {
  /** The smallest foil whose half is large enough, mm across while it is empty. */
  foilMm: number;
  /** Around its edge below, once, mm. */
  tapeMm: number;
}

/** Round foil balloons that are sold, inches across while they are empty (common practice). */
const FOILS_IN = [9, 18, 24, 32, 36, 48] as const;
const MM_PER_IN = 25.4;

/**
 * Half of a round foil balloon, cut along its seam, drawn over a round board and taped below: its sheet must be wider than
 * the board by a fold on every side (`trade.boardFoldMm`).
 *
 * Problems: `bad-board` (above 0), `none-large-enough` (with the largest there is).
 *
 * Source: circumference of a circle; common practice.
 */
export function coverBoard({
  acrossMm,
  trade = TRADE,
}: {
  acrossMm: number;
  trade?: Trade | undefined;
}): Result<BoardCover, 'bad-board' | 'none-large-enough'> {
  if (!(acrossMm > 0)) return problem('bad-board', { field: 'board' });
  const leastMm = acrossMm + 2 * trade.boardFoldMm;
  const foil = FOILS_IN.find((inches) => inches * MM_PER_IN >= leastMm);
  if (foil === undefined)
    return problem('none-large-enough', { field: 'board', detail: { largestMm: FOILS_IN.at(-1)! * MM_PER_IN } });
  return ok({ foilMm: foil * MM_PER_IN, tapeMm: Math.PI * acrossMm });
}
