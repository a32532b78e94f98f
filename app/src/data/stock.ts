import type { LossRecord, StockEntryRecord } from '@leggero/contract';

import { lossesOfRuns } from '@/views/runLosses';
import { TAPPED_NOUNS } from '@/views/runs';
import { stockBook, type StockBook } from '@/views/stock';

import { useBags } from './measured';
import { inOrder, useModels, useStudio, useView, type Records } from './records';

const ENTRY = ['stockEntry'] as const;
const LOSS = ['loss'] as const;
const entriesOf = inOrder('stockEntry');
const lossesOf = inOrder('loss');

/** What else happened to the stock, newest first. */
export function useStockEntries(): Records<StockEntryRecord[]> {
  return useView(ENTRY, entriesOf);
}

/** Losses, newest first. */
function useLosses(): Records<LossRecord[]> {
  return useView(LOSS, lossesOf);
}

/** What there is of each balloon, what it costs and how many of it are lost; null until all of it has come. */
export function useStockBook(): StockBook | null {
  const models = useModels().data;
  const studio = useStudio().data;
  const bags = useBags().data;
  const entries = useStockEntries().data;
  const losses = useLosses().data;
  const runs = useView(TAPPED_NOUNS, lossesOfRuns).data;
  if (!(models && studio && bags && entries && losses && runs)) return null;
  return stockBook(models, bags, entries, losses, runs, studio.currency);
}

/** What there is of a balloon, none where more went out than came in; null where nobody counted it. */
export function useThere(): (modelId: string) => number | null {
  const book = useStockBook();
  return (modelId) => {
    const stock = book?.of(modelId);
    return stock && !stock.unknown ? Math.max(0, stock.there) : null;
  };
}
