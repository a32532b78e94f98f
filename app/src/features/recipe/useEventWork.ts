import { PLAN_DEFAULTS, type EventRecord, type PieceRecord, type WorkPlan } from '@leggero/contract';
import { needsOf, recipeOf, workOf, type PieceWork, type Recipe } from '@leggero/core/recipe';
import type { WorkCounts } from '@leggero/core/supply';

import { useEvents, useFixings, useModels, usePieces } from '@/data/records';
import { useStockBook } from '@/data/stock';
import { useAsked, useSameFigures } from '@/parts/useAsked';
import { openPieceWorker } from '@/parts/piece/openPieceWorker';
import { fillsOf } from '@/parts/piece/sizeTarget';
import { useBasis, type PieceBasis } from '@/parts/piece/useBasis';
import { useMaterials } from '@/parts/piece/useMaterials';
import type { AskedWork, WorksAnswer, WorksQuestion } from '@/parts/piece/works';
import { twoIn, type Pricing } from '@/views/eventCost';
import { supplyLines, type SupplyLine } from '@/views/supply';

import { lookIn } from './look';
import { worksQuestion } from './worksQuestion';

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
  /** What it is priced with, under the plan that is kept. */
  pricing: Pricing;
  /** Pieces that cannot be worked out: what they take is not in it. */
  failed: PieceRecord[];
}

/** Events whose balloons are still to be made. */
const isOpen = ({ state }: Pick<EventRecord, 'state'>) => state === 'planned' || state === 'in work';

/**
 * All that is to do for an event: null until its records have come and a worker has worked its pieces out, `'failed'`
 * where that could not be done. Other events that are still to be made share its stock.
 */
export function useEventWork(event: EventRecord): EventWork | 'failed' | null {
  const basis = useBasis(event.id);
  const materials = useMaterials();
  const models = useModels().data;
  const book = useStockBook();
  const fixingsOf = useFixings();
  const all = usePieces().data;
  const events = useEvents().data;
  const open = events?.filter((each) => each.id === event.id || isOpen(each));
  const pieces = all?.filter(({ eventId }) => open?.some(({ id }) => id === eventId));
  const question = useSameFigures(materials && pieces && open ? worksQuestion(pieces, open, materials) : null);
  const { answer, last } = useAsked<WorksQuestion, WorksAnswer>(openPieceWorker, question, 0);
  if (answer === 'failed') return 'failed';
  const works = answer ?? last;
  if (!(basis && models && book && fixingsOf && pieces && open && works)) return null;
  // What was answered last may know pieces that are gone, and not yet one that is new.
  const byId = new Map(works.flatMap((asked) => (asked ? [[asked.work.piece, asked]] : [])));
  const { trade } = basis.knowledge;
  const plan = event.plan ?? PLAN_DEFAULTS;
  const twoOf = twoIn(models);
  const mine = pieces.filter(({ eventId }) => eventId === event.id);
  const own = mine.flatMap((piece) => {
    const asked = byId.get(piece.id);
    if (!asked) return [];
    const fills = fillsOf(asked.sizes, fixingsOf(piece.id), basis);
    const sizes = asked.work.sizes.map((size) => ({ ...size, fillMm: fills.get(size.key) ?? size.fillMm }));
    return [{ ...asked.work, sizes }];
  });
  const needs = open.map(({ id, opensAt, plan: planned }) => {
    const of = pieces.flatMap((piece) => (piece.eventId === id ? (byId.get(piece.id)?.work ?? []) : []));
    const sure = (planned ?? PLAN_DEFAULTS).sure;
    return { event: id, opensAtMs: opensAt === null ? null : Date.parse(opensAt), needs: needsOf(of, twoOf), sure };
  });
  return {
    basis,
    plan,
    works: own,
    asked: byId,
    recipe: recipeOf({ pieces: own, order: plan.order, lookOf: (balloon) => lookIn(balloon, models), trade }),
    counts: workOf(own, (balloon) => twoOf(balloon) !== null),
    lines: supplyLines(needs, event.id, { models, book, trade }),
    pricing: { models, book, trade, plan },
    failed: answer === null ? [] : mine.filter(({ id }) => !byId.has(id)),
  };
}
