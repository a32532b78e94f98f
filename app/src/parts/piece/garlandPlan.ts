import { FULLNESS_PLACES, type ByHand, type DesignOf, type PiecePart, type SizedPart } from '@leggero/contract';
import { FULLNESS, MM_PER_INCH, type Result } from '@leggero/core';
import { factorsOff } from '@leggero/core/building';
import {
  clustersInRhythm,
  coloursAlong,
  comeOut,
  fullnessAt,
  layersOf,
  layersOver,
  stripPlan,
  widerBy,
  type ClusterKind,
  type ClusterProblemCode,
  type ColoursProblemCode,
  type FullnessProblemCode,
  type Move,
  type Over,
  type StripBalloon,
  type StripProblemCode,
  type Touch,
} from '@leggero/core/garland';

import { largerBalloon } from './largerBalloon';
import { likeModels, modelOf, type Material } from './material';

export type StoredGarland = DesignOf<'garland'>;

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
      uneven: design.uneven ?? null,
      trimmings: design.trimmings ?? [],
      fuller: design.fuller ?? 'layers',
      moved: design.moved ?? [],
      joined: design.joined ?? 'modelling',
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
  /** The same as they are packed: uneven where that is wanted. */
  made: Made;
  tied: TiedBalloon[];
  balloons: PlannedBalloon[];
  touches: Touch[];
  moves: Move[];
}

type Made = Pick<GarlandPlan, 'clusters' | 'strip' | 'over'>;

export type GarlandPlanProblemCode = ClusterProblemCode | StripProblemCode | FullnessProblemCode | ColoursProblemCode;

/** How wide balloons of a garland are made of what they are sold as, where none is chosen (common practice). */
export const USUAL_SHARE = 0.85;
/** A cluster that is tied over a strip covers so much of it (common practice). */
const OVER_STRIP_MM = 12 * MM_PER_INCH;

interface Tied {
  cluster: number;
  layer: number;
  /** Its balloons in the order in which they are tied. */
  balloons: Drawn[];
}

/** A balloon of a kind of cluster, or of a step of the strip. */
interface Drawn {
  part: SizedPart;
  nominalMm: number;
  one: string;
}

type Along = Pick<GarlandPlan, 'clusters' | 'strip' | 'left' | 'over'> & { tied: Tied[] };

/** What a balloon of a garland is sold as, mm: by its width where none is chosen. */
export const nominalsOf = (basis: Material) => (part: SizedPart) =>
  modelOf(part, basis)?.nominalMm ?? Math.round(part.widthMm / USUAL_SHARE / MM_PER_INCH) * MM_PER_INCH;

/** A garland from its figures: what follows what along it, what lies over that, in which colour each balloon is. */
export function planGarland(design: GarlandDesign, basis: Material): Result<GarlandPlan, GarlandPlanProblemCode> {
  const nominalOf = nominalsOf(basis);
  const kinds = kindsOf(design, nominalOf);
  const found = design.strip ? alongStrip(design, design.strip, kinds, nominalOf) : alongClusters(design, kinds, basis);
  if (!found.ok) return found;
  const { tied: ties, ...along } = found.value;
  const { colours } = design;
  const coloured =
    colours && coloursAlong({ ...colours, ...colourable(ties, along), colours: colours.list, seed: design.seed });
  if (coloured && !coloured.ok) return coloured;
  const hand = new Map(handOf(design).map((each) => [nameOf(each), each]));
  const tied: TiedBalloon[] = [];
  const balloons: PlannedBalloon[] = [];
  const touches: Touch[] = [];
  for (const { cluster, layer, balloons: drawn } of ties)
    drawn.forEach(({ part, nominalMm, one }, place) => {
      const at = tied.length;
      const colour = coloured ? coloured.value[at]! : null;
      tied.push({ size: sizeOf(nominalMm, part.widthMm), colour });
      const own = hand.size > 0 ? hand.get(nameOf({ cluster, layer, place })) : undefined;
      if (own && (own.out || own.widthMm !== null))
        touches.push({ cluster, layer, place, widthMm: own.out ? null : own.widthMm });
      if (own?.out) return;
      balloons.push({
        cluster,
        layer,
        place,
        nominalMm,
        one,
        at,
        widthMm: own?.widthMm ?? part.widthMm,
        part: own?.part ?? (colour === null ? plainPart(part) : inColour(design, colour, nominalMm, basis)),
        // What has a colour of its own keeps it, whatever is swapped around it.
        colour: own?.part ? null : colour,
        byHand: own !== undefined,
      });
    });
  return {
    ok: true,
    value: { ...along, made: madeUneven(along, design), tied, balloons, touches, moves: movesIn(design) },
  };
}

/** What is packed of what is planned: every balloon off by its own draw where sizes are uneven on purpose. */
function madeUneven({ clusters, strip, over }: Made, { uneven, seed }: GarlandDesign): Made {
  if (uneven === null) return { clusters, strip, over };
  const off = factorsOff({ lean: 0, sd: uneven }, seed);
  return {
    clusters: comeOut(clusters, off),
    strip: strip && strip.map((each) => ({ ...each, widthMm: each.widthMm * off() })),
    over: over.map((each) => ({ ...each, kind: comeOut([each.kind], off)[0]! })),
  };
}

/** Kinds of cluster in their rhythm: as they are packed, and balloon by balloon. */
interface Kinds {
  inRhythm: (clusters: number) => Result<ClusterKind[], ClusterProblemCode>;
  /** The balloons of the kind that the cluster so far along is of. */
  at: (cluster: number) => Drawn[];
}

/** Which kind each cluster is of, until they begin anew. */
export const rhythmOf = (kinds: readonly { inRow: number }[]): number[] =>
  kinds.flatMap(({ inRow }, kind) => Array<number>(inRow).fill(kind));

function kindsOf({ kinds }: GarlandDesign, nominalOf: (part: SizedPart) => number): Kinds {
  const rhythm = rhythmOf(kinds);
  const packed = kinds.map(({ balloons }) => balloons.map((part) => ({ ...part, nominalMm: nominalOf(part) })));
  const drawn = packed.map((kind, k) =>
    kind.flatMap(({ count, nominalMm, ...part }, i) => {
      const one: Drawn = { part, nominalMm, one: `cluster-${k + 1}-${i + 1}` };
      return Array<Drawn>(count).fill(one);
    }),
  );
  return {
    inRhythm: (clusters) => clustersInRhythm({ kinds: packed, rhythm, clusters }),
    at: (cluster) => drawn[rhythm[cluster % rhythm.length]!]!,
  };
}

/** Clusters one after another, and more of the same kind over each where it is fuller; or larger balloons in it. */
function alongClusters(
  { clusters: many, fullness, fuller }: GarlandDesign,
  kinds: Kinds,
  basis: Material,
): Result<Along, ClusterProblemCode | FullnessProblemCode> {
  const found = kinds.inRhythm(many);
  if (!found.ok) return found;
  const layers = layersOver(fullness, many);
  if (!layers.ok) return layers;
  if (fuller === 'larger') return { ok: true, value: largerClusters(found.value, fullness, kinds, basis) };
  const clusters = found.value;
  const tied = clusters.map((_, cluster): Tied => ({ cluster, layer: 0, balloons: kinds.at(cluster) }));
  const over = layers.value.flatMap((times, on) => Array<Over>(times).fill({ on, kind: clusters[on]! }));
  tied.push(...tiedOver(over, ({ on }) => kinds.at(on)));
  return {
    ok: true,
    value: { clusters, strip: null, left: null, over, tied },
  };
}

/** The same clusters with larger balloons where they are to be fuller. */
function largerClusters(
  clusters: readonly ClusterKind[],
  fullness: readonly number[],
  kinds: Kinds,
  basis: Material,
): Along {
  const tied = clusters.map((_, cluster): Tied => {
    const by = widerBy(fullnessAt(fullness, (cluster + 0.5) / clusters.length));
    const balloons = kinds.at(cluster).map(({ one, part, nominalMm }): Drawn => {
      const made = largerBalloon(part, { nominalMm, by }, basis);
      return { ...made, one: made.part.widthMm === part.widthMm ? one : `${one}-${made.part.widthMm}` };
    });
    return { cluster, layer: 0, balloons };
  });
  const kindOf = ({ balloons }: Tied): ClusterKind =>
    balloons.map(({ nominalMm, part: { widthMm } }) => ({ nominalMm, widthMm, count: 1 }));
  return { clusters: tied.map(kindOf), strip: null, left: null, over: [], tied };
}

/** Balloons hole by hole, and clusters over them, one for each foot and each time that it is fuller. */
function alongStrip(
  { fullness }: GarlandDesign,
  strip: NonNullable<GarlandDesign['strip']>,
  kinds: Kinds,
  nominalOf: (part: SizedPart) => number,
): Result<Along, ClusterProblemCode | StripProblemCode | FullnessProblemCode> {
  const steps = strip.steps.map((step) => (step ? { ...step, nominalMm: nominalOf(step) } : ('skip' as const)));
  const laid = stripPlan({ ...strip, steps });
  if (!laid.ok) return laid;
  const { balloons, before, after, lengthMm } = laid.value;
  const feet = Math.max(1, Math.round(lengthMm / OVER_STRIP_MM));
  const found = kinds.inRhythm(feet);
  if (!found.ok) return found;
  const layers = layersOver(fullness, feet);
  if (!layers.ok) return layers;
  const tied = balloons.map(({ hole, nominalMm }, cluster): Tied => {
    const step = (hole - strip.first) % strip.steps.length;
    return { cluster, layer: 0, balloons: [{ part: strip.steps[step]!, nominalMm, one: `strip-${step + 1}` }] };
  });
  const feetOver = layers.value.flatMap((times, foot) => Array<number>(times).fill(foot));
  const over = feetOver.map((foot): Over => {
    const on = Math.min(balloons.length - 1, Math.floor(((foot + 0.5) / feet) * balloons.length));
    return { on, kind: found.value[foot]! };
  });
  tied.push(...tiedOver(over, (_, i) => kinds.at(feetOver[i]!)));
  return {
    ok: true,
    value: {
      clusters: balloons.map(({ nominalMm, widthMm }): ClusterKind => [{ nominalMm, widthMm, count: 1 }]),
      strip: balloons.map((each) => ({ ...each, alongMm: (each.hole - balloons[0]!.hole) * strip.pitchMm })),
      left: { before, after },
      over,
      tied,
    },
  };
}

function tiedOver(over: readonly Over[], balloonsOf: (each: Over, i: number) => Drawn[]): Tied[] {
  const layers = layersOf(over);
  return over.map((each, i) => ({ cluster: each.on, layer: layers[i]!, balloons: balloonsOf(each, i) }));
}

/** What colours are laid over. */
function colourable(ties: readonly Tied[], { clusters }: Pick<Along, 'clusters'>) {
  const balloons = ties.flatMap(({ cluster, balloons: drawn }) =>
    drawn.map(({ nominalMm, part }) => ({ cluster, size: sizeOf(nominalMm, part.widthMm) })),
  );
  return { balloons, clusters: clusters.length };
}

const sizeOf = (nominalMm: number, widthMm: number) => `${nominalMm} ${widthMm}`;
const plainPart = ({ modelId, colourHex, finish }: PiecePart): PiecePart => ({ modelId, colourHex, finish });

/** What is done by hand to a garland as it is made now: on a strip, or of clusters. */
export const isMadeSo =
  ({ strip }: Pick<GarlandDesign, 'strip'>) =>
  (each: { strip: boolean }): boolean =>
    each.strip === (strip !== null);

/** What is changed by hand of it as it is made now. */
export const handOf = (design: Pick<GarlandDesign, 'hand' | 'strip'>): ByHand[] => design.hand.filter(isMadeSo(design));

/** Clusters that are moved by hand of it as it is made now. */
const movesIn = (design: Pick<GarlandDesign, 'moved' | 'strip'>): Move[] =>
  design.moved
    .filter(isMadeSo(design))
    .map(({ cluster, layer, xMm, yMm, zMm }) => ({ cluster, layer, byMm: [xMm, yMm, zMm] }));

/** Which balloon is meant: the same words for the same one. */
export const nameOf = ({ cluster, layer, place }: Pick<ByHand, 'cluster' | 'layer' | 'place'>) =>
  `${cluster} ${layer} ${place}`;

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
  const like = likeModels(model, basis).find((each) => each.nominalMm === nominalMm);
  return { modelId: like?.id ?? null, colourHex, finish };
}
