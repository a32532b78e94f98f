import { normalFrom, randomFrom } from '../statistics';
import { TRADE, type Trade } from '../trade';
import {
  closingTolerance,
  ringErrorMm,
  ringGiveMm,
  ringPlace,
  tieErrorMm,
  tieGiveMm,
  type Closing,
  type ClosingTolerance,
} from './closing';

/** Pieces built again and again, each balloon off by its own draw. */
export interface ClosingSimulation extends ClosingTolerance {
  runs: number;
  /** Standard error of the spread found, mm; null where none was. */
  errorMm: number | null;
}

/** A spread no sizer is as bad as, mm. */
const WIDEST_SD_MM = 60;
/** Rounds until the spread looked at is the one found; three are usual. */
const MOST_ROUNDS = 12;

/**
 * How exact balloons must be, by building the piece `runs` times with a normal draw for every balloon: rings by their
 * chords around their place, ties by the balloons around them. Each piece fails first at some spread; the answer is
 * the spread that all but `share` reach. Errors are all but proportional to the spread, so each round looks at the
 * spread the last one found and draws the line from there, until it stays.
 */
export function simulateClosing({
  closing,
  runs = 10_000,
  seed = 1,
  share = 0.95,
  trade = TRADE,
}: {
  closing: Closing;
  runs?: number;
  seed?: number;
  share?: number;
  trade?: Trade | undefined;
}): ClosingSimulation {
  const first = closingTolerance({ closing, share, trade });
  if (first.sdMm === null) return { sdMm: null, weakest: null, runs, errorMm: null };
  const draws = drawn(closing, runs, seed);
  const allowed = Math.min(runs - 1, Math.floor(runs * (1 - share)));
  let sdMm = first.sdMm || 1;
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const fails = firstFailures(closing, draws, runs, sdMm, trade);
    const sorted = Float64Array.from(fails.atMm).sort();
    const found = sorted[allowed]!;
    if (found === 0) return { sdMm: 0, weakest: commonest(fails, 0), runs, errorMm: 0 };
    if (found >= WIDEST_SD_MM) return { sdMm: null, weakest: null, runs, errorMm: null };
    if (Math.abs(found - sdMm) < 1e-4 * sdMm || round === MOST_ROUNDS - 1) {
      return {
        sdMm: found,
        weakest: commonest(fails, found),
        runs,
        errorMm: quantileError(sorted, allowed, share),
      };
    }
    sdMm = found;
  }
  throw new Error('the last round answers');
}

/** Half the way between the places one standard error of the count to both sides. */
function quantileError(sorted: Float64Array, at: number, share: number): number {
  const places = Math.max(1, Math.round(Math.sqrt(sorted.length * share * (1 - share))));
  return (sorted[Math.min(sorted.length - 1, at + places)]! - sorted[Math.max(0, at - places)]!) / 2;
}

function drawn({ rings, ties, caps }: Closing, runs: number, seed: number): Float64Array {
  const sum = (parts: readonly { count: number }[]) => parts.reduce((all, { count }) => all + count, 0);
  const random = randomFrom(seed);
  const draws = new Float64Array(runs * (sum(rings) + sum(ties) + caps.length));
  for (let i = 0; i < draws.length; i += 1) draws[i] = normalFrom(random);
  return draws;
}

interface Failures {
  /** For each piece, the spread at which its first part fails, mm. */
  atMm: Float64Array;
  /** Which part that is. */
  part: Int32Array;
  keys: string[];
}

/** Every piece built with one spread; from what each part is then off, where it would fail. */
function firstFailures(
  { rings, ties, caps }: Closing,
  draws: Float64Array,
  runs: number,
  sdMm: number,
  trade: Trade,
): Failures {
  const each = draws.length / runs;
  const made = rings.map(({ count }) => new Float64Array(count));
  const places = rings.map(ringPlace);
  const gives = [
    ...rings.map((ring) => ringGiveMm(ring, trade)),
    ...[...ties, ...caps].map((each) => tieGiveMm(each, trade)),
  ];
  const exact = rings.map((ring, r) => ringErrorMm(ring, new Float64Array(ring.count).fill(ring.widthMm), places[r]!));
  const exactTies = ties.map((tie) => {
    const { lowerMm, upperMm } = tie.place;
    return tieErrorMm(tie.widthMm, [lowerMm, lowerMm, upperMm, upperMm], trade);
  });
  const atMm = new Float64Array(runs).fill(Infinity);
  const part = new Int32Array(runs);
  const four: [number, number, number, number] = [0, 0, 0, 0];
  for (let run = 0; run < runs; run += 1) {
    let at = run * each;
    const look = (which: number, still: number, error: number) => {
      const spread = failsAt(still, error, gives[which]!, sdMm);
      if (spread < atMm[run]!) {
        atMm[run] = spread;
        part[run] = which;
      }
    };
    for (let r = 0; r < rings.length; r += 1) {
      const { count, widthMm } = rings[r]!;
      const widths = made[r]!;
      for (let i = 0; i < count; i += 1, at += 1) widths[i] = widthMm + sdMm * draws[at]!;
      look(r, exact[r]!, ringErrorMm(rings[r]!, widths, places[r]!));
    }
    for (let t = 0; t < ties.length; t += 1) {
      const tie = ties[t]!;
      const [low, high] = [made[tie.lower]!, made[tie.upper]!];
      for (let i = 0; i < tie.count; i += 1, at += 1) {
        const next = i + 1 === tie.count ? 0 : i + 1;
        four[0] = low[i]!;
        four[1] = low[next]!;
        four[2] = high[i]!;
        four[3] = high[next]!;
        look(rings.length + t, exactTies[t]!, tieErrorMm(tie.widthMm + sdMm * draws[at]!, four, trade));
      }
    }
    for (let c = 0; c < caps.length; c += 1, at += 1) {
      const still = caps[c]!.widthMm - caps[c]!.placeMm;
      look(rings.length + ties.length + c, still, still + sdMm * draws[at]!);
    }
  }
  return { atMm, part, keys: [...rings, ...ties, ...caps].map(({ key }) => key) };
}

/** Where the line from its error among exact balloons through its error at this spread leaves the give. */
function failsAt(still: number, error: number, give: number, sdMm: number): number {
  if (Math.abs(still) > give) return 0;
  const slope = (error - still) / sdMm;
  if (slope === 0) return Infinity;
  return ((slope > 0 ? give : -give) - still) / slope;
}

function commonest({ atMm, part, keys }: Failures, sdMm: number): string | null {
  const times = new Map<string, number>();
  atMm.forEach((at, run) => {
    if (at > sdMm) return;
    const key = keys[part[run]!]!;
    times.set(key, (times.get(key) ?? 0) + 1);
  });
  const [most] = [...times].sort((a, b) => b[1] - a[1]);
  return most?.[0] ?? null;
}
