import type { DesignOf, SizedPart } from '@leggero/contract';
import { roundToStep, type Problem } from '@leggero/core';
import {
  chainFor,
  chainSpreadMm,
  curtain,
  hangChain,
  repeatLength,
  swagRows,
  swag,
  swagCount,
  type ChainPlan,
  type Curtain,
  type CurtainCaution,
  type HangingChain,
  type HungBalloon,
  type SwagRow,
  type LinkProblemCode,
} from '@leggero/core/linking';

import { layerTitle } from '@/wording/pieces';

import type { PieceSize } from './sizes';
import { jointOf, linkToleranceMm, nominalOf, usefulOf, type Material } from './material';

/** One chain of a hanging piece. */
export interface PieceChain {
  hangs: HangingChain;
  /** Where its balloons hang, and which size each is of. */
  balloons: HungBalloon[];
  keys: string[];
}

/** A hanging piece worked out: its chains where they hang, and the sizes of their balloons. */
export interface Hanging {
  chains: PieceChain[];
  sizes: PieceSize[];
  balloons: number;
  cautions: CurtainCaution[];
}

const meanOf = (repeat: readonly SizedPart[]) => repeat.reduce((sum, { widthMm }) => sum + widthMm, 0) / repeat.length;

/** The joint of a repeat: of its first balloon, as neck and tail are alike along a chain. */
const jointIn = (repeat: readonly SizedPart[], basis: Material) => jointOf(repeat[0]!, basis).jointMm;

function sizesOf(
  repeat: readonly SizedPart[],
  counts: readonly number[],
  finisher: { part: SizedPart; count: number } | null,
  basis: Material,
  title: (key: string) => string,
): PieceSize[] {
  const lines = repeat.map((part, i) => ({ key: `part-${i + 1}`, part, count: counts[i] ?? 0 }));
  if (finisher && finisher.count > 0) lines.push({ key: 'finisher', ...finisher });
  return lines.map(({ key, part, count }): PieceSize => ({
    key,
    title: repeat.length === 1 && key === 'part-1' ? 'Chain balloons' : title(key),
    count,
    widthMm: part.widthMm,
    part,
    toleranceMm: linkToleranceMm(nominalOf(part, basis), basis),
  }));
}

/** How often each balloon of a repeat comes among `count`. */
function timesOf(repeat: readonly SizedPart[], counts: readonly number[]): number[] {
  const times = repeat.map(() => 0);
  for (const count of counts)
    for (let i = 0; i < repeat.length; i += 1)
      times[i]! += Math.floor(count / repeat.length) + (i < count % repeat.length ? 1 : 0);
  return times;
}

/** How far down a chain reaches, above the floor, mm. */
export const lowestOf = ({ balloons }: Pick<PieceChain, 'balloons'>): number =>
  Math.min(...balloons.map(({ highMm, widthMm }) => highMm - widthMm / 2));

/** So many balloons of a repeat, and what ends them, where they hang; none where they do not reach. */
function hung(
  { count, repeat, finisher }: { count: number; repeat: readonly SizedPart[]; finisher: SizedPart | null },
  how: Omit<HangingChain, 'widthsMm'>,
): PieceChain[] {
  const places = Array.from({ length: count }, (_, i) => i % repeat.length);
  const widthsMm = places.map((place) => repeat[place]!.widthMm);
  const keys = places.map((place) => `part-${place + 1}`);
  if (finisher) {
    widthsMm.push(finisher.widthMm);
    keys.push('finisher');
  }
  const hangs = { ...how, widthsMm };
  const made = hangChain(hangs);
  return made.ok ? [{ hangs, balloons: made.value, keys }] : [];
}

export type ChainView = Hanging & {
  plan: ChainPlan;
  lengthMm: number;
  offMm: number;
  /** One standard deviation of the length when balloons scatter by half of what linking work allows, mm. */
  spreadMm: number;
};

/** A chain: every size of the repeat is brought to the steps by the one factor with which it lands. */
export function viewChain(
  design: DesignOf<'chain'>,
  basis: Material,
): { ok: true; value: ChainView } | { ok: false; problem: Problem<LinkProblemCode> } {
  const { repeat, finisher, lengthMm, roomMm } = design;
  const jointMm = jointIn(repeat, basis);
  const widthMm = meanOf(repeat);
  const useful = repeat.map((part) => usefulOf(part, basis));
  const stepMm = basis.studio.stepMm;
  const planned = chainFor({
    lengthMm,
    widthMm,
    jointMm,
    stepMm,
    finisherMm: finisher?.widthMm,
    roomMm: roomMm ?? undefined,
    leastMm: Math.min(widthMm, ...useful.map(({ leastMm }) => leastMm)),
    mostMm: Math.max(widthMm, ...useful.map(({ mostMm }) => mostMm)),
  });
  if (!planned.ok) return planned;
  const plan = planned.value;
  const factor = plan.exactMm / widthMm;
  const sized = repeat.map((part) => ({
    ...part,
    widthMm: Math.max(stepMm, roundToStep({ mm: part.widthMm * factor, step: stepMm })),
  }));
  const madeMm = repeatLength({
    count: plan.count,
    widthsMm: sized.map((part) => part.widthMm),
    jointMm,
    finisherMm: finisher?.widthMm,
  });
  const tolerance = linkToleranceMm(nominalOf(repeat[0]!, basis), basis);
  return {
    ok: true,
    value: {
      plan,
      lengthMm: madeMm,
      offMm: madeMm - lengthMm,
      spreadMm: chainSpreadMm({ count: plan.count, sdMm: tolerance / 2 }),
      chains: hung(
        { count: plan.count, repeat: sized, finisher },
        { from: { xMm: 0, highMm: roomMm ?? lengthMm }, to: null, jointMm },
      ),
      sizes: sizesOf(sized, timesOf(sized, [plan.count]), finisher && { part: finisher, count: 1 }, basis, (key) =>
        layerTitle(key, 'chain'),
      ),
      balloons: plan.balloons,
      cautions: [],
    },
  };
}

export type SwagView = Hanging & { rows: SwagRow[]; lowestMm: number };

/** Swags in rows between fixings; a single one may hang from fixings of unequal height. */
export function viewSwag(
  design: DesignOf<'swag'>,
  basis: Material,
): { ok: true; value: SwagView } | { ok: false; problem: Problem<LinkProblemCode> } {
  const { repeat, spanMm, bays, dropMm, riseMm, rows, rowDropMm, fixingsMm } = design;
  const jointMm = jointIn(repeat, basis);
  const widthsMm = repeat.map(({ widthMm }) => widthMm);
  const fixings = Array.from({ length: bays + 1 }, (_, i) => (i * spanMm) / bays);
  const single = bays === 1 && rows === 1;
  const made = single
    ? oneSwag({ spanMm, dropMm, riseMm, widthsMm, jointMm })
    : swagRows({ fixingsMm: fixings, dropMm, rows, rowDropMm, widthsMm, jointMm });
  if (!made.ok) return made;
  const chains = made.value.flatMap(({ bays: bayed }) =>
    bayed.flatMap(({ count }, bay) =>
      hung(
        { count, repeat, finisher: null },
        {
          from: { xMm: fixings[bay]!, highMm: fixingsMm },
          to: { xMm: fixings[bay + 1]!, highMm: fixingsMm + (single ? riseMm : 0) },
          jointMm,
        },
      ),
    ),
  );
  const counts = made.value.flatMap(({ bays: bayed }) => bayed.map(({ count }) => count));
  const balloons = counts.reduce((sum, count) => sum + count, 0);
  return {
    ok: true,
    value: {
      rows: made.value,
      chains,
      balloons,
      lowestMm: Math.min(...chains.map(lowestOf)),
      sizes: sizesOf(repeat, timesOf(repeat, counts), null, basis, (key) => layerTitle(key, 'swag')),
      cautions: [],
    },
  };
}

function oneSwag({
  widthsMm,
  jointMm,
  ...asked
}: {
  spanMm: number;
  dropMm: number;
  riseMm: number;
  widthsMm: readonly number[];
  jointMm: number;
}) {
  const wanted = swag(asked);
  if (!wanted.ok) return wanted;
  const counted = swagCount({ wanted: wanted.value, widthsMm, jointMm });
  if (!counted.ok) return counted;
  const row: SwagRow = { row: 0, bays: [counted.value], balloons: counted.value.count };
  return { ok: true as const, value: [row] };
}

export type CurtainView = Hanging & { made: Curtain };

/** A curtain of chains, or a grid. */
export function viewCurtain(
  design: DesignOf<'curtain'>,
  basis: Material,
): { ok: true; value: CurtainView } | { ok: false; problem: Problem<LinkProblemCode> } {
  const { repeat, finisher, ceilingMm, form: _, trimmed: __, ...asked } = design;
  const jointMm = jointIn(repeat, basis);
  const made = curtain({
    ...asked,
    widthMm: meanOf(repeat),
    jointMm,
    ceilingMm: ceilingMm ?? undefined,
    finisherMm: finisher?.widthMm,
    trade: basis.knowledge.trade,
  });
  if (!made.ok) return made;
  const { chains, balloons, finishers, cautions } = made.value;
  const hanging = chains.flatMap(({ xMm, topMm, count }) =>
    hung({ count, repeat, finisher }, { from: { xMm, highMm: topMm }, to: null, jointMm }),
  );
  const counts = timesOf(
    repeat,
    chains.map(({ count }) => count),
  );
  return {
    ok: true,
    value: {
      made: made.value,
      chains: hanging,
      balloons: balloons + finishers,
      cautions,
      sizes: sizesOf(repeat, counts, finisher && { part: finisher, count: finishers }, basis, (key) =>
        layerTitle(key, 'curtain'),
      ),
    },
  };
}
