import { distributionOf, type Distribution } from '../building/distribution';
import { spreadBy, type SizingWay } from '../building/howExact';
import { factorsOff, type PieceSpread } from '../building/sizesOff';
import type { SizeSpread } from '../consistency/sizeSpread';
import { ok, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import type { ClusterKind } from './cluster';
import { STRAIGHT } from './knotLine';
import { packGarland, type PackGarlandProblemCode } from './packGarland';

/** Ways to bring a garland's balloons to their size: nobody checks every one of them. */
export const GARLAND_WAYS = ['eye', 'sizer'] as const satisfies readonly SizingWay[];
export type GarlandWay = (typeof GARLAND_WAYS)[number];

/** Balloons of one size along a garland, and what they do to its length. */
export interface SizeMatters {
  nominalMm: number;
  widthMm: number;
  count: number;
  /** By how many hundredths it is longer where these are one hundredth wider. */
  share: number;
}

/** How long a garland comes out in certain hands. */
export interface GarlandSimulation {
  /** With every balloon as it is planned: what is left is how its clusters happen to be turned. */
  planned: Distribution;
  ways: Record<GarlandWay, { spread: PieceSpread; lengthMm: Distribution }>;
  /** What matters most first. */
  sizes: SizeMatters[];
}

/** So many times each garland is made, turned otherwise, and each time by every way. */
const TIMES = 16;
/** Balloons of one size are made so much wider, and narrower, to see what follows: well beyond chance. */
const OFF = 0.08;
/** What sizes do is looked at in the first clusters. */
const MOST_TRIED = 40;

/**
 * Makes a garland again and again: as planned, by eye and with a sizer, each time with its clusters turned alike; and with
 * the balloons of each size made wider and narrower by themselves.
 *
 * `own`: how balloons come out in these hands, as far as that is known. `seed`: the same one gives the same garlands.
 * `onDone`: told how many are packed of all that will be.
 *
 * Problems: those of `packGarland`.
 *
 * Source: `packGarland`; sampling with common random numbers (any handbook of simulation).
 */
export function simulateGarland({
  clusters,
  own = {},
  seed,
  trade = TRADE,
  onDone,
}: {
  clusters: readonly ClusterKind[];
  own?: Partial<Record<'eye' | 'sizer', SizeSpread>> | undefined;
  seed: number;
  trade?: Trade | undefined;
  onDone?: ((packed: number, of: number) => void) | undefined;
}): Result<GarlandSimulation, PackGarlandProblemCode> {
  const sizes = sizesOf(clusters);
  const all = TIMES * (1 + GARLAND_WAYS.length + 2 * sizes.length);
  let done = 0;
  /** Lengths of the garlands that `made` answers, time after time. */
  const lengths = (made: (time: number) => readonly ClusterKind[]): Result<Float64Array, PackGarlandProblemCode> => {
    const found = new Float64Array(TIMES);
    for (let time = 0; time < TIMES; time += 1) {
      const packed = packGarland({ clusters: made(time), line: STRAIGHT, seed: seed + time, trade });
      if (!packed.ok) return packed;
      found[time] = packed.value.lengthMm;
      onDone?.((done += 1), all);
    }
    return ok(found);
  };
  const planned = lengths(() => clusters);
  if (!planned.ok) return planned;
  const ways = {} as GarlandSimulation['ways'];
  for (const way of GARLAND_WAYS) {
    const spread = spreadBy(way, { own, trade });
    const made = lengths((time) => comeOut(clusters, factorsOff(spread, seed + time)));
    if (!made.ok) return made;
    ways[way] = { spread, lengthMm: distributionOf(made.value) };
  }
  const tried = clusters.slice(0, MOST_TRIED);
  const matters: SizeMatters[] = [];
  for (const size of sizes) {
    const [wider, narrower] = [1 + OFF, 1 - OFF].map((by) => lengths(() => resized(tried, size, by)));
    if (!wider!.ok) return wider!;
    if (!narrower!.ok) return narrower!;
    const share = Math.log(mean(wider!.value) / mean(narrower!.value)) / Math.log((1 + OFF) / (1 - OFF));
    matters.push({ ...size, share });
  }
  matters.sort((a, b) => b.share - a.share);
  return ok({ planned: distributionOf(planned.value), ways, sizes: matters });
}

const mean = (values: Float64Array) => values.reduce((sum, each) => sum + each, 0) / values.length;

type Size = Omit<SizeMatters, 'share'>;
const isOf = ({ nominalMm, widthMm }: Size, part: ClusterKind[number]) =>
  part.nominalMm === nominalMm && part.widthMm === widthMm;

function sizesOf(clusters: readonly ClusterKind[]): Size[] {
  const sizes: Size[] = [];
  for (const part of clusters.flat()) {
    if (part.count === 0) continue;
    const known = sizes.find((size) => isOf(size, part));
    if (known) known.count += part.count;
    else sizes.push({ ...part });
  }
  return sizes;
}

/** The same clusters with the balloons of one size made wider. */
const resized = (clusters: readonly ClusterKind[], size: Size, by: number): ClusterKind[] =>
  clusters.map((kind) => kind.map((part) => (isOf(size, part) ? { ...part, widthMm: by * part.widthMm } : part)));

/** The same clusters with every balloon as wide as it came out: never wider than it is sold. */
export function comeOut(clusters: readonly ClusterKind[], factor: () => number): ClusterKind[] {
  return clusters.map((kind) =>
    kind.flatMap(({ nominalMm, widthMm, count }) =>
      Array.from({ length: count }, () => ({
        ...{ nominalMm, count: 1 },
        widthMm: Math.min(widthMm * factor(), Math.max(widthMm, nominalMm)),
      })),
    ),
  );
}
