import { workToleranceMm, type Problem } from '@leggero/core';
import {
  garlandPath,
  type keptApart,
  knotLine,
  layersOf,
  type Decorator,
  type KeptApart,
  type GarlandPathProblemCode,
  type KnotLineProblemCode,
  type Place,
  type Wall,
} from '@leggero/core/garland';
import { latexMassG } from '@leggero/core/helium';

import { colourTitle } from './colouring';
import { decoratorGroups, wholeDecorators } from './decorators';
import {
  inColour,
  nameOf,
  planGarland,
  USUAL_SHARE,
  wholeGarland,
  type GarlandDesign,
  type GarlandPlan,
  type GarlandPlanProblemCode,
  type PlannedBalloon,
  type StoredGarland,
} from './garlandPlan';
import { modelOf, type Material } from './material';
import type { PackedWithGaps } from './packing';
import { rulesMm } from './softness';
import type { PieceSize } from './sizes';
import type { TiedBalloon } from './tied';

/** A garland before it is packed. */
export interface GarlandView extends GarlandPlan, Pick<GarlandDesign, 'seed' | 'kept'> {
  /** Where it runs. */
  points: Place[];
  walls: Wall[];
  sizes: PieceSize[];
  /** How many there are, decorators too. */
  count: number;
  /** What its balloons weigh, empty, kg. */
  kg: number;
  /** What the trade says its clusters cover, mm; null where it says nothing of one of them, and of strips. */
  ruleMm: number | null;
}

export type GarlandProblemCode = GarlandPlanProblemCode | GarlandPathProblemCode | KnotLineProblemCode;

const FLOOR: Wall = { into: [0, 0, 1], atMm: 0 };

/** A garland from its figures: which clusters follow each other, where they run, how many balloons of what. */
export function viewGarland(
  stored: StoredGarland,
  basis: Material,
): { ok: true; value: GarlandView } | { ok: false; problem: Problem<GarlandProblemCode> } {
  const design = wholeGarland(stored);
  const planned = planGarland(design, basis);
  if (!planned.ok) return planned;
  const points = garlandPath(design.path);
  if (!points.ok) return points;
  const line = knotLine(points.value);
  if (!line.ok) return line;
  const plan = planned.value;
  const sizes = new Map<string, PieceSize>();
  for (const balloon of plan.balloons) {
    const key = keyOf(balloon);
    const known = sizes.get(key);
    if (known) known.count += 1;
    else sizes.set(key, sizeFor(balloon, design, basis));
  }
  const all = [...sizes.values()];
  if (design.decorators) all.push(decoratorSize(design.decorators, design.seed, basis));
  return {
    ok: true,
    value: {
      ...plan,
      ...{ seed: design.seed, kept: design.kept },
      points: points.value,
      walls: [FLOOR],
      sizes: all,
      count: all.reduce((sum, { count }) => sum + count, 0),
      kg: weightOf(plan, design, basis),
      ruleMm: plan.strip ? null : rulesMm(plan.clusters),
    },
  };
}

/** What all of it weighs, kg: the air in it weighs next to nothing in air. */
function weightOf({ balloons }: GarlandPlan, { decorators, seed }: GarlandDesign, basis: Material): number {
  const { trade } = basis.knowledge;
  const grams = balloons.reduce((sum, { nominalMm }) => sum + latexMassG({ nominalMm, trade }), 0);
  const small = decorators
    ? decoratorGroups({ decorators, seed }).flat().length *
      latexMassG({ nominalMm: decoratorNominal(decorators, basis), trade })
    : 0;
  return (grams + small) / 1000;
}

/** Which size of the garland a balloon is of. */
export function keyOf({ one, colour, byHand, nominalMm, widthMm, part }: PlannedBalloon): string {
  if (colour !== null) return `colour-${colour + 1}-${nominalMm}-${widthMm}`;
  return byHand ? `hand-${part.modelId ?? part.colourHex}-${nominalMm}-${widthMm}` : one;
}

function sizeFor(balloon: PlannedBalloon, { uneven }: GarlandDesign, basis: Material): PieceSize {
  const { one, colour, byHand, nominalMm, widthMm, part } = balloon;
  const [kind, at, i] = one.split('-');
  const name = colourTitle(part, colour ?? Number(i ?? at) - 1, basis);
  const ofCluster = kind === 'strip' ? 'Strip' : `Cluster ${at}`;
  return {
    key: keyOf(balloon),
    title: colour !== null ? name : `${byHand ? 'By hand' : ofCluster}, ${name.toLowerCase()}`,
    ...{ count: 1, widthMm, part },
    toleranceMm: unevenTolerance(
      workToleranceMm({ work: 'garland', nominalMm, trade: basis.knowledge.trade }),
      byHand ? null : uneven,
      widthMm,
    ),
  };
}

/** Deviations that nearly all lie within: 95 in 100. */
const NEARLY_ALL = 2;
/** Of sizes that are uneven on purpose nearly all are to be as far off as was asked. */
const unevenTolerance = (workMm: number, uneven: number | null, widthMm: number) =>
  Math.max(workMm, NEARLY_ALL * (uneven ?? 0) * widthMm);

export const DECORATORS = 'decorators';

const decoratorNominal = (decorators: NonNullable<GarlandDesign['decorators']>, basis: Material): number =>
  modelOf(decorators, basis)?.nominalMm ?? decorators.widthMm / USUAL_SHARE;

function decoratorSize(decorators: NonNullable<GarlandDesign['decorators']>, seed: number, basis: Material): PieceSize {
  const { modelId, colourHex, finish, widthMm, uneven } = wholeDecorators(decorators);
  const count = decoratorGroups({ decorators, seed }).flat().length;
  const nominalMm = decoratorNominal(decorators, basis);
  return {
    ...{ key: DECORATORS, title: 'Decorators', count, widthMm },
    part: { modelId, colourHex, finish },
    toleranceMm: unevenTolerance(
      workToleranceMm({ work: 'organic', nominalMm, trade: basis.knowledge.trade }),
      uneven,
      widthMm,
    ),
  };
}

/** A balloon of a garland where it lies, and what it is planned as; null of a decorator. */
export interface GarlandBalloon extends TiedBalloon {
  plan: PlannedBalloon | null;
}

/**
 * Every balloon of a packed garland with its colour, a cluster a step, then what is tied over them; what decorates it is
 * the last.
 *
 * `apart`: scattered colours as they were laid so that neighbours differ, by `apartQuestion`; null as they were drawn. `put`:
 * decorators where they lie, by `decorateQuestion`.
 */
export function colouredGarland(
  stored: StoredGarland,
  view: GarlandPlan,
  packed: PackedWithGaps,
  { apart, put }: { apart: KeptApart | null; put: readonly Decorator[] },
  basis: Material,
): GarlandBalloon[] {
  const design = wholeGarland(stored);
  const planned = new Map(inColours(design, view, apart, basis).map((balloon) => [nameOf(balloon), balloon]));
  const layers = layersOf(view.over);
  const stepsOver = new Map(view.over.map(({ on }, i) => [`${on} ${layers[i]!}`, view.clusters.length + i]));
  const known = new Set(view.balloons.map(keyOf));
  const base: GarlandBalloon[] = [];
  for (const balloon of packed.balloons) {
    const { cluster, layer, place, widthMm, xMm, yMm, zMm, neck } = balloon;
    const plan = planned.get(nameOf(balloon));
    const key = plan && keyOf(plan);
    // What was packed last may have balloons that there are no more of until it is packed anew.
    if (!plan || !key || !known.has(key)) continue;
    const step = layer === 0 ? cluster : (stepsOver.get(`${cluster} ${layer}`) ?? view.clusters.length);
    const { colourHex } = plan.part;
    base.push({
      layer: cluster,
      place,
      xMm,
      yMm,
      zMm,
      widthMm,
      aspect: 1,
      outwards: null,
      neck,
      key,
      step,
      colourHex,
      plan,
    });
  }
  const last = view.clusters.length + view.over.length;
  const { decorators } = design;
  return decorators ? [...base, ...decoratorsOf(put, decorators.colourHex, last)] : base;
}

/** What is asked to lay scattered colours so that neighbours differ: what is changed by hand keeps its own. */
export type ApartQuestion = Parameters<typeof keptApart>[0];

/** The same of a garland as it was packed; null where its colours are not scattered, or what is packed is another one. */
export function apartQuestion(
  stored: StoredGarland,
  { tied, balloons }: Pick<GarlandPlan, 'tied' | 'balloons'>,
  { beside }: PackedWithGaps,
): ApartQuestion | null {
  const { colours, seed } = wholeGarland(stored);
  const last = beside.reduce((most, at) => Math.max(most, at), 0);
  if (colours?.way !== 'scatter' || last >= tied.length) return null;
  return {
    balloons: tied,
    first: tied.map(({ colour }) => colour!),
    // Accents lie apart as prints do.
    colours: colours.list.map(({ print, accents }) => ({ print: print || !!accents })),
    pairs: beside,
    held: tiedByHand(tied, balloons),
    seed,
  };
}

/** The balloons of a plan in the colours that they were laid in. */
function inColours(
  design: GarlandDesign,
  { tied, balloons }: GarlandPlan,
  apart: KeptApart | null,
  basis: Material,
): readonly PlannedBalloon[] {
  if (!apart || apart.colours.length !== tied.length) return balloons;
  const most = design.colours?.list.length ?? 0;
  return balloons.map((plan) => {
    const colour = apart.colours[plan.at]!;
    if (plan.byHand || colour === plan.colour || colour >= most) return plan;
    return { ...plan, colour, part: inColour(design, colour, plan.nominalMm, basis) };
  });
}

/** Those that are taken out or made otherwise by hand: they leave what they were drawn as. */
function tiedByHand(tied: GarlandPlan['tied'], plans: readonly PlannedBalloon[]): number[] {
  const asTied = new Set(plans.flatMap(({ byHand, at }) => (byHand ? [] : [at])));
  return tied.flatMap((_, at) => (asTied.has(at) ? [] : [at]));
}

/** Decorators as the last step of a garland. */
function decoratorsOf(put: readonly Decorator[], colourHex: string, step: number): GarlandBalloon[] {
  return put.map(({ group, widthMm, xMm, yMm, zMm, neck }) => ({
    ...{ layer: step, place: group, xMm, yMm, zMm, widthMm, aspect: 1, outwards: null, neck, step, plan: null },
    ...{ colourHex, key: DECORATORS },
  }));
}
