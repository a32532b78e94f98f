import {
  modelLabel,
  MOST_BAGS,
  MOST_BATCH,
  MOST_COUNTED,
  MOST_MINOR,
  MOST_SHOP,
  type BagRecord,
  type ModelRecord,
  type StockEntryRecord,
  type Write,
} from '@leggero/contract';
import { FINISHES, MM_PER_INCH, MODEL_KINDS, readNumber, STOCK_CHANGES, type StockChange } from '@leggero/core';

/** Columns of a stock file, in the order in which they are written. */
export const STOCK_COLUMNS = [
  ...(['line', 'nominal (in)', 'kind', 'finish', 'colour', 'change', 'count', 'bags', 'batch', 'shop'] as const),
  ...(['price of a bag', 'currency', 'at (UTC)', 'entry'] as const),
] as const;
type Column = (typeof STOCK_COLUMNS)[number];
export type StockLine = Partial<Record<Column, string>>;

/** Why a line cannot be used. */
export interface StockLineProblem {
  /** As an editor counts them: the header is 1. */
  line: number;
  column: Column;
  code: 'unknown-balloon' | 'not-one-of' | 'no-count' | 'no-money' | 'no-moment' | 'no-currency' | 'too-long';
}

/** What a stock file would add. */
export interface StockPlan {
  writes: Write[];
  /** Lines that are there already. */
  there: number;
  /** Bags in other money than the studio’s. */
  otherMoney: number;
  problems: StockLineProblem[];
}

const minorIn = (minor: number | null, digits: number) =>
  minor === null ? '' : (minor / 10 ** digits).toFixed(digits);

/** The stock of all balloons as lines: bags as they came in, then what happened. `digitsOf`: digits behind a currency’s point. */
export function stockLines(
  models: readonly ModelRecord[],
  bags: readonly BagRecord[],
  entries: readonly StockEntryRecord[],
  digitsOf: (currency: string) => number,
): Required<StockLine>[] {
  const known = new Map(models.map((model) => [model.id, model]));
  const about = (modelId: string) => {
    const model = known.get(modelId);
    if (!model) return null;
    const nominal = String(Math.round((model.nominalMm / MM_PER_INCH) * 100) / 100);
    return {
      line: model.line,
      'nominal (in)': nominal,
      kind: model.kind,
      finish: model.finish,
      colour: model.colourName,
    };
  };
  const bought = bags.flatMap(({ id, modelId, count, bags: many, batch, shop, priceMinor, currency, boughtAt }) => {
    const model = about(modelId);
    if (!model) return [];
    const price = minorIn(priceMinor, digitsOf(currency));
    const made = { change: 'bought', count: String(count), bags: String(many), batch, shop, 'price of a bag': price };
    return [{ ...model, ...made, currency, 'at (UTC)': boughtAt, entry: id }];
  });
  const others = entries.flatMap(({ id, modelId, change, count, at }) => {
    const model = about(modelId);
    const none = { bags: '', batch: '', shop: '', 'price of a bag': '', currency: '' };
    return model ? [{ ...model, change, count: String(count), ...none, 'at (UTC)': at, entry: id }] : [];
  });
  return [...bought, ...others];
}

interface Studio {
  models: readonly ModelRecord[];
  bags: readonly BagRecord[];
  entries: readonly StockEntryRecord[];
  /** What its money is. */
  currency: string;
  digitsOf: (currency: string) => number;
  isCurrency: (code: string) => boolean;
  newId: () => string;
  now: string;
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** What the lines of a stock file would add; with any problem nothing is to be written. */
export function stockPlan(lines: readonly StockLine[], studio: Studio): StockPlan {
  const { models, bags, entries, currency: own } = studio;
  const byLabel = new Map(models.filter(({ outerId }) => outerId === null).map((model) => [modelLabel(model), model]));
  const there = new Set([...bags, ...entries].map(({ id }) => id));
  const plan: StockPlan = { writes: [], there: 0, otherMoney: 0, problems: [] };
  lines.forEach((line, i) => {
    const read = readLine(line, byLabel, studio);
    if ('code' in read) plan.problems.push({ ...read, line: i + 2 });
    else if (there.has(read.id)) plan.there += 1;
    else {
      there.add(read.id);
      plan.writes.push(read.write);
      if (read.currency !== null && read.currency !== own) plan.otherMoney += 1;
    }
  });
  return plan;
}

type Wrong = Omit<StockLineProblem, 'line'>;
const wrong = (column: Column, code: Wrong['code']): Wrong => ({ column, code });

function readLine(
  line: StockLine,
  byLabel: ReadonlyMap<string, ModelRecord>,
  { currency: own, digitsOf, isCurrency, newId, now }: Studio,
): Wrong | { id: string; write: Write; currency: string | null } {
  const text = (column: Column) => (line[column] ?? '').trim();
  const [kind, finish] = [text('kind') || 'round', text('finish') || 'matte'];
  if (!MODEL_KINDS.includes(kind as never)) return wrong('kind', 'not-one-of');
  if (!FINISHES.includes(finish as never)) return wrong('finish', 'not-one-of');
  const model = byLabel.get(
    modelLabel({
      ...{ line: text('line'), nominalMm: readNumber(text('nominal (in)')) * MM_PER_INCH, colourName: text('colour') },
      ...{ kind: kind as ModelRecord['kind'], finish: finish as ModelRecord['finish'] },
    }),
  );
  if (!model) return wrong('line', 'unknown-balloon');
  const change = (text('change') || 'bought') as StockChange;
  if (!STOCK_CHANGES.includes(change)) return wrong('change', 'not-one-of');
  const count = readNumber(text('count'));
  if (!(Number.isInteger(count) && count >= (change === 'bought' ? 1 : 0) && count <= MOST_COUNTED))
    return wrong('count', 'no-count');
  const at = text('at (UTC)') === '' ? now : momentOf(text('at (UTC)'));
  if (at === null) return wrong('at (UTC)', 'no-moment');
  const id = UUID.test(text('entry')) ? text('entry').toLowerCase() : newId();
  if (change !== 'bought')
    return {
      ...{ id, currency: null },
      write: { put: 'stockEntry', row: { id, modelId: model.id, eventId: null, change, count, at } },
    };
  const many = text('bags') === '' ? 1 : readNumber(text('bags'));
  if (!(Number.isInteger(many) && many >= 1 && many <= MOST_BAGS)) return wrong('bags', 'no-count');
  const [batch, shop] = [text('batch'), text('shop')];
  if (batch.length > MOST_BATCH) return wrong('batch', 'too-long');
  if (shop.length > MOST_SHOP) return wrong('shop', 'too-long');
  const currency = (text('currency') || own).toUpperCase();
  if (!isCurrency(currency)) return wrong('currency', 'no-currency');
  const priced = text('price of a bag');
  const minor = Math.round(readNumber(priced) * 10 ** digitsOf(currency));
  if (priced !== '' && !(minor >= 0 && minor <= MOST_MINOR)) return wrong('price of a bag', 'no-money');
  const priceMinor = priced === '' ? null : minor;
  const row = { id, modelId: model.id, count, bags: many, batch, shop, priceMinor, currency, boughtAt: at };
  return { id, currency: priceMinor === null ? null : currency, write: { put: 'bag', row } };
}

/** A moment as it is kept; a day alone is its noon. */
function momentOf(text: string): string | null {
  const moment = new Date(/^\d{4}-\d{2}-\d{2}$/.test(text) ? `${text}T12:00:00Z` : text);
  const year = moment.getUTCFullYear();
  return year >= 1900 && year <= 2199 ? moment.toISOString() : null;
}
