import type { ModelRecord, WorkPlan } from '@leggero/contract';
import type { Result, Trade } from '@leggero/core';
import { needsOf, workOf, type PieceWork } from '@leggero/core/recipe';
import { costOf, hoursFor, shareOut, type Cost, type CostProblemCode, type Priced } from '@leggero/core/supply';

import { partsOf } from './pairs';
import type { StockBook } from './stock';
import { takenOf } from './supply';

/** What an event is priced with. */
export interface Pricing {
  models: readonly ModelRecord[];
  book: StockBook;
  trade: Trade;
  plan: WorkPlan;
}

/** The two balloons of a pair by their ids; null of a single one, and of what is not on the shelf. */
export const twoIn =
  (models: readonly ModelRecord[]) =>
  (balloon: string): string[] | null => {
    const pair = models.find(({ id }) => id === balloon);
    const two = pair ? partsOf(pair, models) : null;
    return two && [two.outer.id, two.inner.id];
  };

/** The balloons of some pieces with their spares, at what one of each costs. */
function goodsOf(works: readonly PieceWork[], { models, book, trade, plan }: Pricing): Priced[] {
  return needsOf(works, twoIn(models)).map((need) => {
    const { take } = takenOf(need, plan.sure, { book, trade });
    const { eachMinor } = book.of(need.balloon);
    return { key: need.balloon, count: take, spare: take - need.count, eachMinor };
  });
}

/** Hours of hands that some pieces take, however many do it. */
function handHoursOf(works: readonly PieceWork[], { models, plan, trade }: Pricing): number {
  const two = twoIn(models);
  const counts = workOf(works, (balloon) => two(balloon) !== null);
  const hours = hoursFor({ counts, sized: plan.sized, people: 1, stations: 1, trade });
  return hours.ok ? hours.value.handHours : 0;
}

/** What an event of some pieces comes to. */
export function eventCost(works: readonly PieceWork[], pricing: Pricing): Result<Cost, CostProblemCode> {
  const { hourMinor, travelMinor, hireMinor, extras, margin } = pricing.plan;
  return costOf({
    goods: goodsOf(works, pricing),
    handHours: handHoursOf(works, pricing),
    ...{ hourMinor, travelMinor, hireMinor, extras, margin },
  });
}

/** The price of an event parted among its pieces, by what each takes of balloons and work; they add up to it. */
export function priceByPiece(works: readonly PieceWork[], priceMinor: number, pricing: Pricing): number[] {
  const weights = works.map((work) => {
    const goods = goodsOf([work], pricing).reduce((sum, { count, eachMinor }) => sum + count * (eachMinor ?? 0), 0);
    return goods + handHoursOf([work], pricing) * pricing.plan.hourMinor;
  });
  return shareOut(priceMinor, weights);
}
