import { ok, problem, type Result } from '../result';
import { randomFrom, shuffled } from '../statistics';
import type { ColourWay } from './kinds';
import { pairsWithin } from './neighbours';
import { ballsOf, type PackedGarland } from './soft';

/** One colour of a garland. */
export interface GarlandColour {
  /** How much of it there is beside the others; any measure. */
  share: number;
  /** Its balloons are printed: no two side by side. */
  print: boolean;
  /** In place of a share: so many single balloons of it, evenly along the garland. */
  accents?: number | null | undefined;
}

/** A balloon before it has a colour. */
export interface Uncoloured {
  cluster: number;
  /** What may be swapped with each other without another size being blown up. */
  size: string;
}

export type ColoursProblemCode = 'no-colours' | 'bad-colour-share' | 'bad-block';

interface ColoursAsked {
  balloons: readonly Uncoloured[];
  /** Clusters along it. */
  clusters: number;
  colours: readonly GarlandColour[];
  way: ColourWay;
  /** Clusters of one block. */
  block: number;
  seed: number;
}

/**
 * Which colour each balloon of a garland has: in blocks of clusters, fading from one colour into the next, or scattered. Of
 * scattered ones there are as many of each as its share says, over all sizes as within each, to one balloon; `keptApart`
 * then lays them so that neighbours differ. Accents are then put in place of others, evenly along it, no two of one cluster
 * while there are as many clusters.
 *
 * Problems: `no-colours` with `colours`, `bad-colour-share` (none below 0, one that is no accent above) with
 * `colours.<i>.share`, `bad-block` (a whole one above 0) with `block` as their field.
 */
export function coloursAlong(asked: ColoursAsked): Result<number[], ColoursProblemCode> {
  const { colours, block } = asked;
  if (colours.length === 0) return problem('no-colours', { field: 'colours' });
  const bad = colours.findIndex(({ share }) => !(share >= 0 && Number.isFinite(share)));
  const wanted = colours.map(({ share, accents }) => (accents ? 0 : share));
  const all = wanted.reduce((sum, share) => sum + share, 0);
  if (bad >= 0 || !(all > 0)) return problem('bad-colour-share', { field: `colours.${Math.max(0, bad)}.share` });
  if (!(Number.isInteger(block) && block >= 1)) return problem('bad-block', { field: 'block' });
  return ok(
    withAccents(
      asked,
      laidOut(
        asked,
        wanted.map((share) => share / all),
      ),
    ),
  );
}

function laidOut(asked: ColoursAsked, shares: readonly number[]): number[] {
  const { balloons, clusters, way, block } = asked;
  switch (way) {
    case 'blocks': {
      const ofBlock = takenInTurn(shares, Math.ceil(clusters / block));
      return balloons.map(({ cluster }) => ofBlock[Math.floor(cluster / block)]!);
    }
    case 'fade':
      return faded(asked, shares);
    case 'scatter':
      return scattered(asked, shares);
  }
}

/** The same with single balloons in the colours of accents. */
function withAccents({ balloons, clusters, colours, seed }: ColoursAsked, laid: readonly number[]): number[] {
  const accents = colours.flatMap(({ accents }, colour) => Array<number>(accents ?? 0).fill(colour));
  if (accents.length === 0) return [...laid];
  const random = randomFrom(seed + 1);
  const own = [...laid];
  const taken = new Set<number>();
  // Which balloon of its cluster it is, is chance; which cluster, its place among them.
  const order = shuffled(
    balloons.map((_, i) => i),
    random,
  );
  takenInTurn(
    colours.map(({ accents: many }) => (many ?? 0) / accents.length),
    accents.length,
  ).forEach((colour, k) => {
    const wanted = ((k + 0.5) / accents.length) * clusters - 0.5;
    let best = -1;
    for (const i of order)
      if (
        !taken.has(i) &&
        (best < 0 || Math.abs(balloons[i]!.cluster - wanted) < Math.abs(balloons[best]!.cluster - wanted))
      )
        best = i;
    if (best < 0) return;
    taken.add(best);
    own[best] = colour;
  });
  return own;
}

/** Colours one after another so that each is always as near to its share as can be. */
function takenInTurn(shares: readonly number[], many: number): number[] {
  const taken = shares.map(() => 0);
  return Array.from({ length: many }, (_, i) => {
    let next = 0;
    const wanting = (colour: number) => shares[colour]! * (i + 1) - taken[colour]!;
    for (let colour = 1; colour < shares.length; colour += 1) if (wanting(colour) > wanting(next) + 1e-9) next = colour;
    taken[next]! += 1;
    return next;
  });
}

/** Each colour whole in the middle of its share of the way, mixed with the next between. */
function faded({ balloons, clusters }: ColoursAsked, shares: readonly number[]): number[] {
  let begun = 0;
  const used = shares.flatMap((share, colour) => {
    begun += share;
    return share > 0 ? [{ colour, middle: begun - share / 2 }] : [];
  });
  // What one balloon has too much of a colour, the next of its size has less of.
  const owed = new Map<string, number>();
  return balloons.map(({ cluster, size }) => {
    const at = (cluster + 0.5) / clusters;
    const next = used.findIndex(({ middle }) => middle > at);
    if (next === 0) return used[0]!.colour;
    if (next < 0) return used.at(-1)!.colour;
    const [from, to] = [used[next - 1]!, used[next]!];
    const key = `${size} ${next}`;
    const now = (owed.get(key) ?? 0.5) + (at - from.middle) / (to.middle - from.middle);
    owed.set(key, now >= 1 ? now - 1 : now);
    return now >= 1 ? to.colour : from.colour;
  });
}

function scattered({ balloons, seed }: ColoursAsked, shares: readonly number[]): number[] {
  const random = randomFrom(seed);
  const places = bySizeOf(balloons);
  const colours = Array<number>(balloons.length).fill(0);
  // What one size could not take of a colour, the next ones take: so the shares hold over all.
  let owed = shares.map(() => 0);
  for (const own of places.values()) {
    const wanted = shares.map((share, colour) => share * own.length + owed[colour]!);
    const given = wanted.map((many) => Math.max(0, Math.floor(many)));
    const order = wanted.map((_, colour) => colour).sort((a, b) => wanted[b]! - given[b]! - (wanted[a]! - given[a]!));
    const left = () => own.length - given.reduce((sum, many) => sum + many, 0);
    for (let turn = 0; left() > 0; turn += 1) given[order[turn % order.length]!]! += 1;
    for (let turn = order.length - 1; left() < 0; turn = (turn + order.length - 1) % order.length)
      if (given[order[turn]!]! > 0) given[order[turn]!]! -= 1;
    owed = wanted.map((many, colour) => many - given[colour]!);
    const drawn = shuffled(
      given.flatMap((many, colour) => Array<number>(many).fill(colour)),
      random,
    );
    own.forEach((place, i) => (colours[place] = drawn[i]!));
  }
  return colours;
}

/** Which balloons are of each size. */
function bySizeOf(balloons: readonly Pick<Uncoloured, 'size'>[]): Map<string, number[]> {
  const bySize = new Map<string, number[]>();
  balloons.forEach(({ size }, i) => {
    const own = bySize.get(size);
    if (own) own.push(i);
    else bySize.set(size, [i]);
  });
  return bySize;
}

/** Two are neighbours where they are nearer than this, of how far apart they are when they touch. */
const BESIDE = 1.06;

/** Pairs of balloons that lie side by side, two indices a pair. */
export function besideEachOther({ balloons }: Pick<PackedGarland, 'balloons'>): number[] {
  const { at, reachMm } = ballsOf(balloons);
  return pairsWithin(at, reachMm, BESIDE);
}

/** Two prints side by side are worse than so many pairs of one colour. */
const PRINTS_COST = 50;
const PASSES = 12;
/** So often prints that still touch are put elsewhere. */
const PARTINGS = 12;
/** Of so many others of its size a balloon looks for one to swap with. */
const LOOKED_AT = 48;

/** Colours laid so, and what could not be kept apart. */
export interface KeptApart {
  colours: number[];
  /** Pairs side by side of one colour, and of prints. */
  same: number;
  prints: number;
}

/**
 * The same colours with balloons of one size swapped until as few neighbours as can be found have one colour, and no two
 * prints lie side by side: each that is beside its like is swapped with whichever other leaves least, over and over.
 *
 * `pairs`: those that lie side by side, as of `besideEachOther`. `held`: those that keep their first colour all the same:
 * each of them changes places with one other, and no more is moved.
 */
export function keptApart({
  balloons,
  first,
  colours: kinds,
  pairs,
  held = [],
  seed,
}: {
  balloons: readonly Pick<Uncoloured, 'size'>[];
  /** The colour of each to begin with. */
  first: readonly number[];
  colours: readonly Pick<GarlandColour, 'print'>[];
  pairs: readonly number[];
  held?: readonly number[] | undefined;
  seed: number;
}): KeptApart {
  const colours = [...first];
  const random = randomFrom(seed);
  const near = balloons.map((): number[] => []);
  for (let p = 0; p < pairs.length; p += 2) {
    near[pairs[p]!]!.push(pairs[p + 1]!);
    near[pairs[p + 1]!]!.push(pairs[p]!);
  }
  const bySize = bySizeOf(balloons);
  const costOf = (one: number, other: number) =>
    (one === other ? 1 : 0) + (kinds[one]!.print && kinds[other]!.print ? PRINTS_COST : 0);
  // What balloon i would cost in a colour, where its neighbour `but` had another.
  const cost = (i: number, colour: number, but = -1, then = 0) => {
    let sum = 0;
    for (const j of near[i]!) sum += costOf(colour, j === but ? then : colours[j]!);
    return sum;
  };
  const found = () => {
    let [same, prints] = [0, 0];
    for (let p = 0; p < pairs.length; p += 2) {
      const [one, other] = [colours[pairs[p]!]!, colours[pairs[p + 1]!]!];
      if (one === other) same += 1;
      if (kinds[one]!.print && kinds[other]!.print) prints += 1;
    }
    return { same, prints };
  };
  const improve = () => {
    for (let pass = 0; pass < PASSES; pass += 1) {
      let better = false;
      for (const own of bySize.values())
        for (const i of own) {
          const [mine, now] = [colours[i]!, cost(i, colours[i]!)];
          if (now === 0) continue;
          let [best, gain] = [-1, 1e-9];
          const begin = Math.floor(random() * own.length);
          for (let look = 0; look < Math.min(LOOKED_AT, own.length); look += 1) {
            const j = own[(begin + look) % own.length]!;
            const theirs = colours[j]!;
            if (theirs === mine) continue;
            const less = now + cost(j, theirs) - cost(i, theirs, j, mine) - cost(j, mine, i, theirs);
            if (less > gain) [best, gain] = [j, less];
          }
          if (best < 0) continue;
          [colours[i], colours[best]] = [colours[best]!, mine];
          better = true;
        }
      if (!better) return;
    }
  };
  // Those prints that no single swap parts are each put elsewhere, and all is swapped on from there.
  const part = () => {
    for (const own of bySize.values())
      for (const i of own) {
        if (!kinds[colours[i]!]!.print || cost(i, colours[i]!) < PRINTS_COST) continue;
        const j = own[Math.floor(random() * own.length)]!;
        [colours[i], colours[j]] = [colours[j]!, colours[i]!];
      }
  };
  improve();
  let best = { ...found(), colours: [...colours] };
  for (let time = 0; best.prints > 0 && time < PARTINGS; time += 1) {
    part();
    improve();
    const now = found();
    if (now.prints < best.prints || (now.prints === best.prints && now.same < best.same))
      best = { ...now, colours: [...colours] };
  }
  best.colours.forEach((colour, i) => (colours[i] = colour));
  const kept = new Set<number>();
  for (const i of held) {
    const [mine, theirs] = [colours[i]!, first[i]!];
    kept.add(i);
    if (mine === theirs) continue;
    // As many of each colour as before: what is not kept yet has one of it.
    const others = bySize.get(balloons[i]!.size)!.filter((j) => !kept.has(j) && colours[j] === theirs);
    const best = others.reduce((least, j) => (cost(j, mine) < cost(least, mine) ? j : least));
    [colours[i], colours[best]] = [theirs, mine];
  }
  return { ...found(), colours };
}
