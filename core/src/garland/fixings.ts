import { settle } from '../numeric';
import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import { hookPlaces } from './hookPlaces';
import { MOST_FIXINGS } from './kinds';
import type { KnotLine, Place } from './knotLine';
import { readLine } from './soft';

/** What one fixing carries. */
export interface FixingLoad {
  /** How far along the garland it is, mm. */
  alongMm: number;
  at: Place;
  /** Downwards and, where it is pulled aside more to one side than to the other, aside: both together, kg. */
  kg: number;
}

/** A garland between two fixings. */
export interface HungSpan {
  /** As it hangs, from one fixing to the next. */
  hung: Place[];
  /** How far it hangs below the way that was drawn for it, at the most, mm; null where it hangs straight down. */
  sagMm: number | null;
}

/** A garland on its fixings. */
export interface HungGarland {
  fixings: FixingLoad[];
  spans: HungSpan[];
  /** The most of all, mm and kg. */
  sagMm: number;
  mostKg: number;
}

export type FixingsProblemCode = 'bad-fixings' | 'bad-weight';

/** Places of a span that are looked at. */
const LOOKS = 24;
/** A span whose ends are nearer to above each other than this share of its length hangs straight down. */
const UPRIGHT = 0.05;

/**
 * What fixings along a garland's path carry, at its ends, its corners and evenly between (`hookPlaces`), and how far it sags
 * between them.
 * Between two it is a heavy chain as long as its path there and `garlandGive` more: a catenary. At each fixing the pulls of
 * both its spans are added; where a span hangs straight down its upper end carries it.
 *
 * `kg`: of the whole garland, the same for each length of it.
 *
 * Problems: `bad-fixings` (2 to 60) with `fixings.count`, `bad-weight` with `kg` as their field.
 *
 * Source: y = a cosh(x / a) with a pull of its weight for a length times a aside, times a sinh(x / a) downwards (any
 * handbook of mechanics).
 */
export function hungOn({
  line,
  count,
  kg,
  trade = TRADE,
}: {
  line: KnotLine;
  count: number;
  kg: number;
  trade?: Trade | undefined;
}): Result<HungGarland, FixingsProblemCode> {
  if (!(Number.isInteger(count) && count >= 2 && count <= MOST_FIXINGS))
    return problem('bad-fixings', { field: 'fixings.count', detail: { least: 2, most: MOST_FIXINGS } });
  if (!(kg >= 0 && Number.isFinite(kg))) return problem('bad-weight', { field: 'kg' });
  const { lengthMm } = line;
  const kgPerMm = kg / lengthMm;
  const alongMm = hookPlaces(line, count);
  const at = alongMm.map((mm) => readLine(line, mm).at);
  const pulls = alongMm.map(() => ({ down: 0, aside: 0 }));
  const spans = alongMm.slice(1).map((toMm, i) => {
    const span = spanOf(line, { fromMm: alongMm[i]!, toMm, kgPerMm, give: trade.garlandGive });
    pulls[i]!.down += span.left.down;
    pulls[i]!.aside += span.left.aside;
    pulls[i + 1]!.down += span.right.down;
    pulls[i + 1]!.aside += span.right.aside;
    return span;
  });
  const fixings = pulls.map(({ down, aside }, i): FixingLoad => {
    return { alongMm: alongMm[i]!, at: at[i]!, kg: Math.hypot(down, aside) };
  });
  return ok({
    fixings,
    spans: spans.map(({ hung, sagMm }) => ({ hung, sagMm })),
    sagMm: Math.max(0, ...spans.map(({ sagMm }) => sagMm ?? 0)),
    mostKg: Math.max(...fixings.map((each) => each.kg)),
  });
}

/** Downwards, and to the right, kg. */
interface Pull {
  down: number;
  aside: number;
}

function spanOf(
  line: KnotLine,
  { fromMm, toMm, kgPerMm, give }: { fromMm: number; toMm: number; kgPerMm: number; give: number },
): HungSpan & { left: Pull; right: Pull } {
  const [from, to] = [readLine(line, fromMm).at, readLine(line, toMm).at];
  const spanMm = Math.abs(to[0] - from[0]);
  const lengthMm = (toMm - fromMm) * (1 + give);
  const kg = kgPerMm * (toMm - fromMm);
  const riseMm = to[2] - from[2];
  if (spanMm < UPRIGHT * lengthMm) {
    const down = riseMm < 0 ? { left: kg, right: 0 } : { left: 0, right: kg };
    return {
      hung: [from, to],
      sagMm: null,
      left: { down: down.left, aside: 0 },
      right: { down: down.right, aside: 0 },
    };
  }
  const { aMm, lowestAtMm } = chainBetween({ spanMm, riseMm, lengthMm });
  const way = Math.sign(to[0] - from[0]);
  // The garland's own length of it weighs what it weighs, however it gives.
  const aside = (kg / lengthMm) * aMm;
  const [left, right] = [-lowestAtMm / aMm, (spanMm - lowestAtMm) / aMm];
  const hung = Array.from({ length: LOOKS + 1 }, (_, i): Place => {
    // As far along it as this share of its length.
    const at = Math.asinh(Math.sinh(left) + (i * (Math.sinh(right) - Math.sinh(left))) / LOOKS);
    return [from[0] + way * (lowestAtMm + aMm * at), from[1], from[2] + aMm * (Math.cosh(at) - Math.cosh(left))];
  });
  return {
    hung,
    sagMm: Math.max(...hung.map((place, i) => drawnAt(line, fromMm, toMm, i / LOOKS)[2] - place[2])),
    left: { down: -aside * Math.sinh(left), aside: way * aside },
    right: { down: aside * Math.sinh(right), aside: -way * aside },
  };
}

/**
 * The parameter of a chain between two places, however steep, and how far along the level its lowest place is, or would be:
 * with u half the span over a, sinh(u) / u is the root of length and rise over the span.
 */
function chainBetween({ spanMm, riseMm, lengthMm }: { spanMm: number; riseMm: number; lengthMm: number }) {
  const ratio = Math.sqrt(lengthMm ** 2 - riseMm ** 2) / spanMm;
  // sinh(u) / u lies above 1 + u^2 / 6: Newton's steps come down from there and never pass.
  const next = (u: number) => u - (Math.sinh(u) - ratio * u) / (Math.cosh(u) - ratio);
  const u = settle({ from: Math.sqrt(6 * (ratio - 1)), next, within: 1e-12 });
  const aMm = spanMm / (2 * u);
  return { aMm, lowestAtMm: spanMm / 2 - aMm * Math.atanh(riseMm / lengthMm) };
}

/** The place of the drawn way so far between two fixings. */
function drawnAt(line: KnotLine, fromMm: number, toMm: number, share: number): Place {
  return readLine(line, fromMm + share * (toMm - fromMm)).at;
}
