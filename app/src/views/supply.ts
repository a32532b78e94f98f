import type { ModelRecord } from '@leggero/contract';
import type { Result, Trade } from '@leggero/core';
import type { Need } from '@leggero/core/recipe';
import {
  bagsFor,
  lossLaw,
  promisedTo,
  sparesFor,
  type Bought,
  type Demand,
  type LossLaw,
  type Promised,
  type Spares,
  type SparesProblemCode,
} from '@leggero/core/supply';

import type { ModelStock, StockBook } from './stock';

/** What an event needs of one balloon, what there is, and what is to be bought. */
export interface SupplyLine extends Need {
  /** Of the shelf; null where a piece has a colour that is not chosen from it. */
  model: ModelRecord | null;
  /** What is known of its losses. */
  law: LossLaw;
  spares: Result<Spares, SparesProblemCode>;
  /** Spares with it; what is needed where no number of them is enough. */
  take: number;
  stock: ModelStock | null;
  /** Taken out for it already. */
  out: number;
  promised: Promised;
  bought: Bought;
}

/** The needs of an event, and when it opens. */
export interface EventNeeds {
  event: string;
  opensAtMs: number | null;
  needs: readonly Need[];
  /** How sure it is to be that enough survive. */
  sure: number;
}

/** What spares are reckoned from: of a balloon that is not on the shelf the book has nothing, and the usual counts. */
interface Around {
  book: StockBook;
  trade: Trade;
}

/** How many of a balloon are taken so that enough survive: what is needed where no number is enough. */
export function takenOf({ balloon, count, stuffed }: Need, sure: number, { book, trade }: Around) {
  const own = book.of(balloon).lost;
  const law = lossLaw({ own, others: book.lostOfOthers(balloon), stuffed: stuffed > 0, trade });
  const spares = sparesFor({ needed: count, confidence: sure, prior: law, trade });
  return { law, spares, take: spares.ok ? spares.value.take : count };
}

/** How many of a balloon an event still asks of the shelf: not what is out for it already. */
export function stillAsked(need: Need, { event, sure }: Pick<EventNeeds, 'event' | 'sure'>, around: Around): number {
  return Math.max(0, takenOf(need, sure, around).take - outOf(around.book.of(need.balloon), event));
}

/**
 * What the event at `own` needs, line by line: by maker's line, then nominal size and colour. All events share the stock,
 * each in its turn as it opens.
 */
export function supplyLines(
  events: readonly EventNeeds[],
  own: string,
  { models, ...around }: Around & { models: readonly ModelRecord[] },
): SupplyLine[] {
  const { book, trade } = around;
  const known = new Map(models.map((model) => [model.id, model]));
  const demands = new Map<string, Demand[]>();
  for (const { event, opensAtMs, needs, sure } of events)
    for (const need of needs) {
      const demand = { event, opensAtMs, count: stillAsked(need, { event, sure }, around) };
      demands.set(need.balloon, [...(demands.get(need.balloon) ?? []), demand]);
    }
  const mine = events.find(({ event }) => event === own);
  const lines = (mine?.needs ?? []).map((need): SupplyLine => {
    const model = known.get(need.balloon) ?? null;
    const stock = model && book.of(model.id);
    const promised = promisedTo({
      there: stock?.there ?? 0,
      demands: demands.get(need.balloon)!,
      event: own,
    });
    const bought = bagsFor({ lacks: promised.lacks, of: stock?.bagOf ?? null, trade });
    return {
      ...need,
      ...takenOf(need, mine!.sure, around),
      ...{ model, stock, promised, bought, out: stock ? outOf(stock, own) : 0 },
    };
  });
  return lines.sort((a, b) => sortKey(a).localeCompare(sortKey(b)));
}

const outOf = ({ outFor }: ModelStock, event: string): number => Math.max(0, outFor.get(event) ?? 0);

const sortKey = ({ model, balloon }: SupplyLine) =>
  model ? `${model.line} ${String(Math.round(model.nominalMm)).padStart(5, '0')} ${model.colourName}` : `~${balloon}`;

/** How many spares some lines take for another sureness, and what those cost in minor units, as far as prices are known. */
export function sparesAt(
  lines: readonly SupplyLine[],
  sure: number,
  trade: Trade,
): { sure: number; spare: number; minor: number } {
  let [spare, minor] = [0, 0];
  for (const { count, law, stock } of lines) {
    const found = sparesFor({ needed: count, confidence: sure, prior: law, trade });
    const own = found.ok ? found.value.spare : 0;
    spare += own;
    minor += own * (stock?.eachMinor ?? 0);
  }
  return { sure, spare, minor };
}
