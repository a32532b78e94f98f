import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import { chainLength } from './chain';
import type { Hem, TopLine } from './kinds';
import { swag } from './swag';

/** What a curtain is made to. */
export interface CurtainAsked {
  /** Across, from the first chain to the last, mm. */
  acrossMm: number;
  /** How high above the floor the top line's ends are, mm. */
  topMm: number;
  /** How high the lowest balloon may hang above the floor, mm. */
  hemMm: number;
  /** From chain to chain, as wanted, mm. */
  everyMm: number;
  widthMm: number;
  jointMm: number;
  topLine: TopLine;
  /** How far an arch rises, or a swagged line drops, in its middle, mm. */
  bowMm: number;
  hem: Hem;
  /** Balloons of neighbouring chains tied together; `jointMm` from body to body then, whatever was wanted. */
  grid: boolean;
  finisherMm?: number | undefined;
  /** Height of the room, mm. */
  ceilingMm?: number | undefined;
  /** People walk underneath. */
  walkedUnder: boolean;
  trade?: Trade | undefined;
}

/** One chain of a curtain. */
export interface HungChain {
  /** From the first chain, mm. */
  xMm: number;
  /** Its top and its lower end above the floor, mm. */
  topMm: number;
  endMm: number;
  count: number;
}

/** What to mind about a curtain. */
export type CurtainCaution =
  | { code: 'under-head-height'; lowestMm: number; needMm: number }
  | { code: 'many-balloons'; balloons: number }
  /** In a grid under a bowed line the rows are not level: neighbours are tied where they come nearest. */
  | { code: 'rows-not-level' };

/** A curtain of chains. */
export interface Curtain {
  chains: HungChain[];
  /** As it comes out with a whole number of chains, mm. */
  everyMm: number;
  /** Of the chains, and finishing balloons beside them. */
  balloons: number;
  finishers: number;
  /** Ties between neighbouring chains; 0 without a grid. */
  crossJoints: number;
  cautions: CurtainCaution[];
}

export type CurtainProblemCode =
  | 'bad-length'
  /** The line is above the ceiling: `mostMm` is the highest its ends may be. */
  | 'above-ceiling'
  /** The chains reach the floor, or there is no room for one balloon. `mostMm` is the lowest hem that works. */
  | 'hem-too-high'
  | 'below-floor'
  /** Chains nearer than a balloon is wide: `leastMm`. */
  | 'chains-too-near'
  | 'bad-bow'
  /** More than `most` balloons. */
  | 'too-many-balloons';

const MOST_BALLOONS = 20_000;

/**
 * A curtain of linked chains below a level, arched or swagged line: each chain's own count, so that it ends as near
 * the hem as whole balloons do, or the same count for all. An arch is part of a circle, a swagged line a catenary.
 *
 * Problems: `bad-length`, `bad-bow`, `above-ceiling`, `below-floor`, `hem-too-high`, `chains-too-near`, `too-many-balloons`,
 * each with its field and what would work.
 */
export function curtain(asked: CurtainAsked): Result<Curtain, CurtainProblemCode> {
  const { acrossMm, topMm, hemMm, widthMm, jointMm, topLine, bowMm, finisherMm, ceilingMm, grid } = asked;
  for (const field of ['acrossMm', 'topMm', 'widthMm', 'everyMm'] as const)
    if (!(asked[field] > 0 && Number.isFinite(asked[field]))) return problem('bad-length', { field });
  const pitchMm = widthMm + jointMm;
  const wantedMm = grid ? pitchMm : asked.everyMm;
  if (!(pitchMm > 0)) return problem('bad-length', { field: 'widthMm' });
  if (wantedMm < Math.min(widthMm, pitchMm) - 1e-9)
    return problem('chains-too-near', { field: 'everyMm', detail: { leastMm: widthMm } });
  const line = topLineOf(topLine, acrossMm, bowMm);
  if (!line) return problem('bad-bow', { field: 'bowMm', detail: { mostMm: acrossMm / 2 } });
  const archMm = topLine === 'arched' ? bowMm : 0;
  if (ceilingMm !== undefined && topMm + archMm > ceilingMm)
    return problem('above-ceiling', { field: 'topMm', detail: { mostMm: ceilingMm - archMm, ceilingMm } });
  if (!(hemMm >= 0)) return problem('below-floor', { field: 'hemMm' });
  const lowestTop = topMm - (topLine === 'swagged' ? bowMm : 0);
  const mostHemMm = lowestTop - chainLength({ count: 1, widthMm, jointMm, finisherMm });
  if (hemMm > mostHemMm) return problem('hem-too-high', { field: 'hemMm', detail: { mostMm: mostHemMm } });

  const count = Math.max(1, Math.round(acrossMm / wantedMm)) + 1;
  const everyMm = acrossMm / (count - 1);
  const estimate = (count * (topMm - hemMm)) / pitchMm;
  if (estimate > 2 * MOST_BALLOONS) return tooMany(estimate);
  const finisher = finisherMm === undefined ? 0 : finisherMm + jointMm;
  const countAt = (highMm: number) => Math.max(1, Math.round((highMm - hemMm - finisher + jointMm) / pitchMm));
  const same = countAt(lowestTop);
  const chains = Array.from({ length: count }, (_, i): HungChain => {
    const xMm = i * everyMm;
    const hangs = topMm + line(xMm);
    const balloons = asked.hem === 'level' ? countAt(hangs) : same;
    const endMm = hangs - chainLength({ count: balloons, widthMm, jointMm, finisherMm });
    // Half a balloon below the hem is as near as whole balloons come; below the floor one is left out.
    if (endMm >= 0 || balloons === 1) return { xMm, topMm: hangs, endMm: Math.max(0, endMm), count: balloons };
    return { xMm, topMm: hangs, endMm: endMm + pitchMm, count: balloons - 1 };
  });
  const balloons = chains.reduce((sum, chain) => sum + chain.count, 0);
  if (balloons > MOST_BALLOONS) return tooMany(balloons);
  const crossJoints = grid
    ? chains.slice(1).reduce((sum, chain, i) => sum + Math.min(chain.count, chains[i]!.count), 0)
    : 0;
  return ok({
    chains,
    everyMm,
    balloons,
    finishers: finisherMm === undefined ? 0 : count,
    crossJoints,
    cautions: cautionsOf(asked, chains, balloons),
  });
}

function tooMany(balloons: number) {
  return problem('too-many-balloons' as const, {
    field: 'acrossMm',
    detail: { balloons: Math.round(balloons), most: MOST_BALLOONS },
  });
}

function cautionsOf(
  { walkedUnder, grid, topLine, trade = TRADE }: CurtainAsked,
  chains: readonly HungChain[],
  balloons: number,
): CurtainCaution[] {
  const lowestMm = Math.min(...chains.map(({ endMm }) => endMm));
  const needMm = trade.headroomMm;
  return [
    ...(walkedUnder && lowestMm < needMm ? [{ code: 'under-head-height' as const, lowestMm, needMm }] : []),
    ...(balloons >= trade.manyLinked ? [{ code: 'many-balloons' as const, balloons }] : []),
    ...(grid && topLine !== 'level' ? [{ code: 'rows-not-level' as const }] : []),
  ];
}

/** How much higher than its ends the top line is, by the place along it; null where there is no such line. */
function topLineOf(topLine: TopLine, acrossMm: number, bowMm: number): ((xMm: number) => number) | null {
  if (topLine === 'level') return () => 0;
  if (!(bowMm > 0)) return null;
  const half = acrossMm / 2;
  if (topLine === 'arched') {
    if (bowMm > half) return null;
    const radius = (half * half + bowMm * bowMm) / (2 * bowMm);
    return (xMm) => Math.sqrt(Math.max(0, radius * radius - (xMm - half) ** 2)) - (radius - bowMm);
  }
  const hung = swag({ spanMm: acrossMm, dropMm: bowMm });
  if (!hung.ok) return null;
  const { aMm } = hung.value;
  return (xMm) => aMm * (Math.cosh((xMm - half) / aMm) - 1) - bowMm;
}
