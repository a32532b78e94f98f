import { FULLNESS_PLACES, type ByHand, type DesignOf, type PiecePart } from '@leggero/contract';
import { FULLNESS, MM_PER_INCH, type Result } from '@leggero/core';
import {
  clustersInRhythm,
  coloursAlong,
  layersOver,
  stripPlan,
  type ClusterKind,
  type ClusterProblemCode,
  type ColoursProblemCode,
  type FullnessProblemCode,
  type Over,
  type StripBalloon,
  type StripProblemCode,
  type Touch,
} from '@leggero/core/garland';

import { modelOf, type Material } from './material';

type StoredGarland = DesignOf<'garland'>;

/** A garland with all that is said of it, also where it was drawn up before some of it could be. */
export type GarlandDesign = { [Key in keyof Required<StoredGarland>]: Exclude<StoredGarland[Key], undefined> };

export function wholeGarland(design: StoredGarland): GarlandDesign {
  const fullness = design.fullness ?? Array<number>(FULLNESS_PLACES).fill(FULLNESS.least);
  return {
    ...design,
    ...{
      strip: design.strip ?? null,
      colours: design.colours ?? null,
      hand: design.hand ?? [],
      wall: design.wall ?? null,
      fixings: design.fixings ?? null,
      kept: design.kept ?? [],
      fullness,
    },
  };
}

/** A balloon of a garland before it is packed: which it is, what of, how wide. */
export interface PlannedBalloon extends Pick<ByHand, 'cluster' | 'layer' | 'place'> {
  nominalMm: number;
  widthMm: number;
  part: PiecePart;
  /** Which of the garland’s own colours it has; null where it has its cluster’s. */
  colour: number | null;
  /** What it is one of: a balloon of a kind of cluster, or of a step of the strip. */
  one: string;
  /** Made so by hand. */
  byHand: boolean;
  /** Its place among all that are tied, also those that are taken out: in the order in which they are packed. */
  at: number;
}

/** A balloon as it is tied, whatever is done to it by hand. */
interface TiedBalloon {
  /** What those have in common that may be swapped. */
  size: string;
  colour: number | null;
}

/** What lies along the line, what is tied over it, and every balloon of it that is not taken out. */
export interface GarlandPlan {
  /** Clusters along the line; in a strip each is one balloon. */
  clusters: ClusterKind[];
  strip: (StripBalloon & { alongMm: number })[] | null;
  /** Of the strip’s holes those that are left to hang it by, and behind its last balloon. */
  left: { before: number; after: number } | null;
  over: Over[];
  tied: TiedBalloon[];
  balloons: PlannedBalloon[];
  touches: Touch[];
}

export type GarlandPlanProblemCode = ClusterProblemCode | StripProblemCode | FullnessProblemCode | ColoursProblemCode;

/** How wide balloons of a garland are made of what they are sold as, where none is chosen (common practice). */
export const USUAL_SHARE = 0.85;
/** A cluster that is tied over a strip covers so much of it (common practice). */
const OVER_STRIP_MM = 12 * MM_PER_INCH;

interface Tied {
  cluster: number;
  layer: number;
  /** Its balloons in the order in which they are tied. */
  balloons: { part: PiecePart & { widthMm: number }; one: string }[];
}

/** A garland from its figures: what follows what along it, what lies over that, in which colour each balloon is. */
export function planGarland(design: GarlandDesign, basis: Material): Result<GarlandPlan, GarlandPlanProblemCode> {
  const { kinds, strip, fullness, clusters: many } = design;
  const hand = handOf(design);
  const nominal = (part: PiecePart & { widthMm: number }) =>
    modelOf(part, basis)?.nominalMm ?? Math.round(part.widthMm / USUAL_SHARE / MM_PER_INCH) * MM_PER_INCH;
  const rhythm = kinds.flatMap(({ inRow }, kind) => Array<number>(inRow).fill(kind));
  const core = kinds.map(({ balloons }) => balloons.map((part) => ({ ...part, nominalMm: nominal(part) })));
  const inRhythm = (clusters: number) => clustersInRhythm({ kinds: core, rhythm, clusters });
  const ofKind = kinds.map(({ balloons }, kind) =>
    balloons.flatMap((part, i) => Array.from({ length: part.count }, () => ({ part, one: oneOfKind(kind, i) }))),
  );
  const kindAt = (k: number) => rhythm[k % rhythm.length]!;
  const tied: Tied[] = [];
  let plan: Pick<GarlandPlan, 'clusters' | 'strip' | 'left' | 'over'>;
  if (strip) {
    const steps = strip.steps.map((step) => (step ? { ...step, nominalMm: nominal(step) } : ('skip' as const)));
    const laid = stripPlan({ ...strip, steps });
    if (!laid.ok) return laid;
    const { balloons, before, after, lengthMm } = laid.value;
    const places = balloons.map((each) => ({ ...each, alongMm: (each.hole - balloons[0]!.hole) * strip.pitchMm }));
    for (const [cluster, { hole }] of balloons.entries()) {
      const step = (hole - strip.first) % strip.steps.length;
      tied.push({ cluster, layer: 0, balloons: [{ part: strip.steps[step]!, one: oneOfStep(step) }] });
    }
    const feet = Math.max(1, Math.round(lengthMm / OVER_STRIP_MM));
    const kindsOver = inRhythm(feet);
    if (!kindsOver.ok) return kindsOver;
    const layers = layersOver(fullness, feet);
    if (!layers.ok) return layers;
    const over = layers.value.flatMap((times, foot) => {
      const on = Math.min(balloons.length - 1, Math.floor(((foot + 0.5) / feet) * balloons.length));
      return Array.from({ length: times }, () => ({ on, kind: kindsOver.value[foot]!, of: kindAt(foot) }));
    });
    const clusters = balloons.map(({ nominalMm, widthMm }): ClusterKind => [{ nominalMm, widthMm, count: 1 }]);
    plan = { clusters, strip: places, left: { before, after }, over: tieOver(over, ofKind, tied) };
  } else {
    const found = inRhythm(many);
    if (!found.ok) return found;
    const clusters = found.value;
    const layers = layersOver(fullness, many);
    if (!layers.ok) return layers;
    clusters.forEach((_, cluster) => tied.push({ cluster, layer: 0, balloons: ofKind[kindAt(cluster)]! }));
    const over = layers.value.flatMap((times, on) =>
      Array.from({ length: times }, () => ({ on, kind: clusters[on]!, of: kindAt(on) })),
    );
    plan = { clusters, strip: null, left: null, over: tieOver(over, ofKind, tied) };
  }
  const drawn = tied.flatMap(({ cluster, layer, balloons }) =>
    balloons.map(({ part, one }, place) => ({ cluster, layer, place, part, one, nominalMm: nominal(part) })),
  );
  const coloured = design.colours && coloursFor(design, drawn, plan.clusters.length);
  if (coloured && !coloured.ok) return coloured;
  const changed = new Map(hand.map((each) => [nameOf(each), each]));
  const balloons = drawn.flatMap(({ part: sized, ...at }, i): PlannedBalloon[] => {
    const own = changed.get(nameOf(at));
    if (own?.out) return [];
    const { widthMm, modelId, colourHex, finish } = sized;
    const colour = coloured ? coloured.value[i]! : null;
    const first = colour === null ? { modelId, colourHex, finish } : inColour(design, colour, at.nominalMm, basis);
    return [
      {
        ...at,
        part: own?.part ?? first,
        // What has a colour of its own keeps it, whatever is swapped around it.
        colour: own?.part ? null : colour,
        widthMm: own?.widthMm ?? widthMm,
        byHand: own !== undefined,
        at: i,
      },
    ];
  });
  const there = new Set(drawn.map(nameOf));
  const touches = hand.flatMap(({ cluster, layer, place, out, widthMm }): Touch[] =>
    there.has(nameOf({ cluster, layer, place })) && (out || widthMm !== null)
      ? [{ cluster, layer, place, widthMm: out ? null : widthMm }]
      : [],
  );
  const all = drawn.map((each, i) => ({ size: sizeOf(each), colour: coloured ? coloured.value[i]! : null }));
  return { ok: true, value: { ...plan, tied: all, balloons, touches } };
}

/** What is changed by hand of it as it is made now. */
export const handOf = ({ hand, strip }: Pick<GarlandDesign, 'hand' | 'strip'>): ByHand[] =>
  hand.filter((each) => each.strip === (strip !== null));

/** Which balloon is meant: the same words for the same one. */
export const nameOf = ({ cluster, layer, place }: Pick<ByHand, 'cluster' | 'layer' | 'place'>) =>
  `${cluster} ${layer} ${place}`;

const oneOfKind = (kind: number, balloon: number) => `cluster-${kind + 1}-${balloon + 1}`;
const oneOfStep = (step: number) => `strip-${step + 1}`;

function tieOver(over: readonly (Over & { of: number })[], ofKind: readonly Tied['balloons'][], tied: Tied[]): Over[] {
  const layers = new Map<number, number>();
  return over.map(({ on, kind, of }) => {
    const layer = (layers.get(on) ?? 0) + 1;
    layers.set(on, layer);
    tied.push({ cluster: on, layer, balloons: ofKind[of]! });
    return { on, kind };
  });
}

function coloursFor(
  { colours, seed }: GarlandDesign,
  drawn: readonly (Pick<PlannedBalloon, 'cluster' | 'nominalMm'> & { part: { widthMm: number } })[],
  clusters: number,
) {
  const { list, way, block } = colours!;
  const balloons = drawn.map(({ cluster, ...each }) => ({ cluster, size: sizeOf(each) }));
  return coloursAlong({ balloons, clusters, colours: list, way, block, seed });
}

const sizeOf = ({ nominalMm, part: { widthMm } }: { nominalMm: number; part: { widthMm: number } }) =>
  `${nominalMm} ${widthMm}`;

/** The balloon of the shelf in a garland’s colour and a size; the colour alone where the shelf has none. */
export function inColour(
  { colours }: Pick<GarlandDesign, 'colours'>,
  colour: number,
  nominalMm: number,
  basis: Material,
): PiecePart {
  const { modelId, colourHex, finish } = colours!.list[colour]!;
  const model = modelOf({ modelId, colourHex, finish }, basis);
  if (!model || model.nominalMm === nominalMm) return { modelId, colourHex, finish };
  const like = basis.knowledge.models.find(
    (each) =>
      each.nominalMm === nominalMm &&
      each.kind === model.kind &&
      each.colourName === model.colourName &&
      each.finish === model.finish,
  );
  return { modelId: like?.id ?? null, colourHex, finish };
}
