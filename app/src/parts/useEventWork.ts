import { planOf, type EventRecord, type PieceRecord, type WorkPlan } from '@leggero/contract';
import { recipeOf, workOf, type PieceWork, type Recipe } from '@leggero/core/recipe';
import type { Pace } from '@leggero/core/pace';
import type { WorkCounts } from '@leggero/core/supply';

import { useFixings, useModels } from '@/data/records';
import { useSeenPaces } from '@/data/seenPaces';
import { useStockBook } from '@/data/stock';
import { useTrade } from '@/data/trade';
import { fillsOfPieces } from '@/parts/piece/sizeTarget';
import { useBasis, type PieceBasis } from '@/parts/piece/useBasis';
import type { AskedWork } from '@/parts/piece/works';
import { useEventNeeds } from '@/parts/useEventNeeds';
import { twoIn, type Pricing } from '@/views/eventCost';
import { tradeAtOwnPace } from '@/views/runPaces';
import { supplyLines, type SupplyLine } from '@/views/supply';

import { lookIn } from '@/parts/look';

/** All that is to do, to buy and to pay for an event. */
export interface EventWork {
  basis: PieceBasis;
  plan: WorkPlan;
  works: PieceWork[];
  /** Sizes of its pieces as they ask for them, by piece. */
  asked: ReadonlyMap<string, AskedWork>;
  recipe: Recipe;
  counts: WorkCounts;
  lines: SupplyLine[];
  /** What it is priced with, under the plan that is kept, at the studio's own pace. */
  pricing: Pricing;
  /** How fast balloons were filled in its runs. */
  seen: Pace[];
  /** Pieces that cannot be worked out: what they take is not in it. */
  failed: PieceRecord[];
}

/**
 * All that is to do for an event: null until its records have come and a worker has worked its pieces out, `'failed'`
 * where that could not be done. Other events that are still to be made share its stock.
 */
export function useEventWork(event: EventRecord): EventWork | 'failed' | null {
  const basis = useBasis(event.id);
  const models = useModels().data;
  const book = useStockBook();
  const fixingsOf = useFixings();
  const open = useEventNeeds(event.id);
  const seen = useSeenPaces(useTrade().paceS.sized);
  if (open === 'failed') return 'failed';
  if (!(basis && models && book && fixingsOf && open)) return null;
  const { trade } = basis.knowledge;
  const { needs, asked, settled } = open;
  const plan = planOf(event);
  const twoOf = twoIn(models);
  const mine = open.pieces.filter(({ eventId }) => eventId === event.id);
  const known = mine.flatMap((piece) => {
    const own = asked.get(piece.id);
    return own ? [{ ...own, fixings: fixingsOf(piece.id) }] : [];
  });
  const fills = fillsOfPieces(known, basis);
  const works = known.map(({ work }, i) => {
    return { ...work, sizes: work.sizes.map((size) => ({ ...size, fillMm: fills[i]!.get(size.key) ?? size.fillMm })) };
  });
  return {
    ...{ basis, plan, works, asked },
    recipe: recipeOf({ pieces: works, order: plan.order, lookOf: (balloon) => lookIn(balloon, models), trade }),
    counts: workOf(works, (balloon) => twoOf(balloon) !== null),
    lines: supplyLines(needs, event.id, { models, book, trade }),
    pricing: { models, book, plan, trade: tradeAtOwnPace(trade, seen) },
    seen,
    failed: settled ? mine.filter(({ id }) => !asked.has(id)) : [],
  };
}
