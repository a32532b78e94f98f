import type { BagRecord, LossRecord, ModelRecord, StockEntryRecord } from '@leggero/contract';
import type { LossWork } from '@leggero/core';
import { stockOf, sumOfLosses, type Losses, type Stock, type StockEntry } from '@leggero/core/supply';
import { weakMapMemoize } from 'reselect';

import type { RunLosses } from './runLosses';

/** What of balloons did not survive some work, of which bags: written down, or tapped in a run. */
type Seen = Pick<LossRecord, 'work' | 'bagId' | 'used' | 'lost'>;

/** Losses by the work at which they happened. */
export type LossesByWork = Partial<Record<LossWork, Losses>>;

/** What there is to know of one balloon's stock. */
export interface ModelStock extends Stock {
  /** Nobody counted it or bought any. */
  unknown: boolean;
  /** Newest first. */
  bags: BagRecord[];
  entries: StockEntryRecord[];
  losses: LossRecord[];
  /** Of them and of inflation runs all that is known of its losses. */
  seen: Seen[];
  /** What one costs, by the newest bag that has a price in the studio's money; in minor units. */
  eachMinor: number | null;
  /** Balloons in one bag, as bought last; null where none was. */
  bagOf: number | null;
  /** Where it was bought last; '' where nobody said. */
  shop: string;
  lost: LossesByWork;
  /** Taken out for an event and not brought back, by event. */
  outFor: ReadonlyMap<string, number>;
}

/** The stock of every balloon. */
export interface StockBook {
  of: (modelId: string) => ModelStock;
  /** What was lost of each balloon but one. */
  lostOfOthers: (modelId: string) => LossesByWork[];
}

/** What of balloons went through each work, and was lost there. */
function lossesByWork(losses: readonly Seen[]): LossesByWork {
  const by: LossesByWork = {};
  for (const { work, used, lost } of losses) by[work] = sumOfLosses([by[work] ?? { used: 0, lost: 0 }, { used, lost }]);
  return by;
}

/** The batch of each bag, by the bag; '' of one that says none. */
export const batchOfBags = (bags: readonly Pick<BagRecord, 'id' | 'batch'>[]): ReadonlyMap<string, string> =>
  new Map(bags.map(({ id, batch }) => [id, batch]));

/** What was lost of each batch that losses were kept apart of; several bags of one batch are one. */
export function lossesByBatch({ bags, seen }: Pick<ModelStock, 'bags' | 'seen'>): (Losses & { batch: string })[] {
  const batchOf = batchOfBags(bags);
  const by = new Map<string, Losses[]>();
  for (const loss of seen) {
    const batch = loss.bagId === null ? undefined : batchOf.get(loss.bagId);
    if (batch) by.set(batch, [...(by.get(batch) ?? []), loss]);
  }
  return [...by].map(([batch, all]) => ({ batch, ...sumOfLosses(all) }));
}

/** What is out for each event. */
function outForEvents(entries: readonly StockEntryRecord[]): ReadonlyMap<string, number> {
  const out = new Map<string, number>();
  for (const { eventId, change, count } of entries) {
    const by = change === 'out' ? count : change === 'back' ? -count : 0;
    if (eventId !== null && by !== 0) out.set(eventId, (out.get(eventId) ?? 0) + by);
  }
  return out;
}

const ledgerOf = (
  { stock }: Pick<ModelRecord, 'stock'>,
  bags: readonly BagRecord[],
  entries: readonly StockEntryRecord[],
): StockEntry[] => [
  // What was said of a balloon when it was put on the shelf counts until something newer does.
  ...(stock === null ? [] : [{ change: 'counted' as const, count: stock, atMs: 0 }]),
  ...bags.map(({ count, bags: many, boughtAt }): StockEntry => {
    return { change: 'bought', count: count * many, atMs: Date.parse(boughtAt) };
  }),
  ...entries.map(({ change, count, at }): StockEntry => ({ change, count, atMs: Date.parse(at) })),
];

/** The stock of every balloon, put together once for the same records. Lists are newest first. */
export const stockBook = weakMapMemoize(
  (
    models: readonly ModelRecord[],
    bags: readonly BagRecord[],
    entries: readonly StockEntryRecord[],
    losses: readonly LossRecord[],
    runs: readonly RunLosses[],
    currency: string,
  ): StockBook => {
    const [bagsOf, entriesOf, lossesOf] = [grouped(bags), grouped(entries), grouped(losses)];
    const inRuns = grouped(runs);
    const known = new Map(models.map((model) => [model.id, model]));
    const found = new Map<string, ModelStock>();
    const of = (modelId: string): ModelStock => {
      const before = found.get(modelId);
      if (before) return before;
      const own = { bags: bagsOf.get(modelId) ?? [], entries: entriesOf.get(modelId) ?? [] };
      const ledger = ledgerOf(known.get(modelId) ?? { stock: null }, own.bags, own.entries);
      const written = lossesOf.get(modelId) ?? [];
      // What a run counts is filled there.
      const tapped = (inRuns.get(modelId) ?? []).map((each): Seen => ({ ...each, work: 'inflate' }));
      const seen = [...written, ...tapped];
      const priced = own.bags.find((bag) => bag.priceMinor !== null && bag.currency === currency);
      const made: ModelStock = {
        ...stockOf(ledger),
        ...own,
        unknown: ledger.length === 0,
        losses: written,
        seen,
        eachMinor: priced ? priced.priceMinor! / priced.count : null,
        bagOf: own.bags[0]?.count ?? null,
        shop: own.bags.find(({ shop }) => shop !== '')?.shop ?? '',
        lost: lossesByWork(seen),
        outFor: outForEvents(own.entries),
      };
      found.set(modelId, made);
      return made;
    };
    const lostOfOthers = (modelId: string) =>
      [...new Set([...lossesOf.keys(), ...inRuns.keys()])]
        .filter((other) => other !== modelId)
        .map((other) => of(other).lost);
    return { of, lostOfOthers };
  },
);

function grouped<Row extends { modelId: string }>(rows: readonly Row[]): ReadonlyMap<string, Row[]> {
  const by = new Map<string, Row[]>();
  for (const row of rows) {
    const own = by.get(row.modelId);
    if (own) own.push(row);
    else by.set(row.modelId, [row]);
  }
  return by;
}
