import type { ShelfModel, Studio } from '@leggero/contract';
import { MM_PER_INCH, type Result } from '@leggero/core';
import {
  bubbleSteps,
  bubbleStuffing,
  ruleLimitMm,
  type BubbleProblemCode,
  type BubbleSteps,
  type BubbleWidths,
} from '@leggero/core/stuffing';

import { holesNow, type HoleView } from '@/views/holes';
import { useKnowledge } from '@/data/knowledge';
import type { Knowledge } from '@/views/knowledge';
import { viewModel } from '@/views/modelView';
import { useSizers, useStudio } from '@/data/records';
import { useTrade } from '@/data/trade';
import { useAddress, type Asked } from '@/ui/useAddress';

export const BUBBLE_WIDTHS = ['outerFirstMm', 'innerMm', 'finalMm'] as const;
export type BubbleWidth = (typeof BUBBLE_WIDTHS)[number];
type AskedName = 'find' | 'outer' | 'inner' | BubbleWidth;

/** The bubble every decorator knows: 14 in, and an 11 in inner. */
const FIRST: BubbleWidths = {
  outerFirstMm: 14 * MM_PER_INCH,
  innerMm: 11 * MM_PER_INCH,
  finalMm: 16 * MM_PER_INCH,
};

/** A bubble as the address asks for it. */
export interface Bubble {
  /** Which of the three is sought. */
  sought: BubbleWidth;
  asked: Record<BubbleWidth, number | null>;
  outer: ShelfModel | undefined;
  inner: ShelfModel | undefined;
  found: Result<BubbleWidths, BubbleProblemCode>;
  steps: BubbleSteps<HoleView> | null;
  change: (by: Asked<AskedName>) => void;
}

/**
 * Reads a bubble from the address, solves it within what the chosen balloons bear, and lays it out over the studio's
 * sizers.
 */
export function useBubble(): Bubble {
  const trade = useTrade();
  const [params, change] = useAddress<AskedName>();
  const knowledge = useKnowledge();
  const studio = useStudio().data;
  const sizers = useSizers().data;
  const { find, outer: outerId, inner: innerId, outerFirstMm, innerMm, finalMm } = params;
  const sought = BUBBLE_WIDTHS.find((each) => each === find) ?? 'finalMm';
  const outer = knowledge?.models.find(({ id }) => id === outerId);
  const inner = knowledge?.models.find(({ id }) => id === innerId);
  const asked = {
    outerFirstMm: typedMm(outerFirstMm, FIRST.outerFirstMm),
    innerMm: typedMm(innerMm, FIRST.innerMm),
    finalMm: typedMm(finalMm, FIRST.finalMm),
  };
  const limits = { outerMm: limitMm(outer, knowledge, studio), innerMm: limitMm(inner, knowledge, studio) };
  const solve = () => {
    // A field left empty asks for nothing: it is as wrong as a nought.
    const given = BUBBLE_WIDTHS.filter((each) => each !== sought).map((each) => [each, asked[each] ?? 0]);
    return bubbleStuffing({ ...Object.fromEntries(given), limits });
  };
  const found = solve();
  const plan = () => {
    const holes = sizers?.flatMap((sizer) => holesNow(sizer, trade)) ?? [];
    return found.ok ? bubbleSteps({ widths: found.value, holes, limits }) : null;
  };
  const steps = plan();
  return { sought, asked, outer, inner, found, steps, change };
}

function typedMm(text: string | undefined, first: number): number | null {
  if (text === undefined) return first;
  return text === '' ? null : Number(text);
}

/** What a balloon bears: its round limit or the width where it felt hard, else the rule of its nominal. */
function limitMm(model: ShelfModel | undefined, knowledge: Knowledge | null, studio: Studio | undefined) {
  if (!model || !knowledge || !studio) return undefined;
  const { fit, curve } = viewModel({ model, knowledge, studio, tiers: [] });
  const round = curve?.shape.roundLimit;
  const seen = [
    round?.kind === 'shown' ? round.widthMm : Infinity,
    fit?.limits.hardMm ?? Infinity,
    fit?.limits.burstMm ?? Infinity,
  ];
  const tightest = Math.min(...seen);
  return Number.isFinite(tightest) ? tightest : ruleLimitMm({ ...model, trade: knowledge.trade });
}
