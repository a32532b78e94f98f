import {
  layWrites,
  MODEL_DEFAULTS,
  NO_ROWS,
  type BagRecord,
  type ModelRecord,
  type StockEntryRecord,
} from '@leggero/contract';
import Papa from 'papaparse';

import { STOCK_COLUMNS, stockLines, stockPlan, type StockLine } from '@/views/stockFile';
import { digitsOf, isCurrency } from '@/wording/money';
import { stockPlanText, stockProblemText } from '@/wording/stock';

const id = (n: number) => `00000000-0000-4000-8000-0000000037${String(n).padStart(2, '0')}`;
const AT = '2026-11-20T10:00:00.000Z';
const sold = (n: number, inches: number, colourName: string): ModelRecord => ({
  ...MODEL_DEFAULTS,
  ...{ id: id(n), line: 'Tarn, "soft"', kind: 'round', nominalMm: inches * 25.4, finish: 'matte', colourName },
  ...{ colourHex: '#b23a2e', demo: false },
});
const MODELS = [sold(1, 11, 'red'), sold(2, 5, '=blue')];
const BAGS: BagRecord[] = [
  {
    ...{ id: id(10), modelId: id(1), count: 50, bags: 2, batch: 'K;7', shop: 'The quay', priceMinor: 1150 },
    ...{ currency: 'EUR', boughtAt: AT, demo: false },
  },
  {
    ...{ id: id(11), modelId: id(2), count: 100, bags: 1, batch: '', shop: '', priceMinor: 900 },
    ...{ currency: 'JPY', boughtAt: AT, demo: false },
  },
];
const ENTRIES: StockEntryRecord[] = [
  { id: id(20), modelId: id(1), eventId: null, change: 'counted', count: 88, at: AT },
];
let last = 30;
const studio = {
  ...{
    models: MODELS,
    bags: [] as BagRecord[],
    entries: [] as StockEntryRecord[],
    currency: 'EUR',
    digitsOf,
    isCurrency,
  },
  ...{ newId: () => id((last += 1)), now: AT },
};

/** Out as a file and read again, as a spreadsheet would hand it over. */
function throughFile(): StockLine[] {
  const data = stockLines(MODELS, BAGS, ENTRIES, digitsOf);
  const text = Papa.unparse({ fields: [...STOCK_COLUMNS], data }, { newline: '\r\n', escapeFormulae: true });
  expect(text).toContain("'=blue");
  return Papa.parse<StockLine>(text, {
    ...{ header: true, skipEmptyLines: true, transform: (cell) => cell.replace(/^'(?=[=+\-@])/, '') },
  }).data;
}

describe('a stock file', () => {
  it('comes in as it went out, each line once', () => {
    const plan = stockPlan(throughFile(), studio);
    expect(plan.problems).toEqual([]);
    const rows = layWrites(
      { ...NO_ROWS, model: new Map(MODELS.map((model) => [model.id, model])) },
      plan.writes as never,
    );
    expect([...rows.bag.values()]).toEqual(BAGS);
    expect([...rows.stockEntry.values()]).toEqual(ENTRIES);
    // One bag in yen: kept, and said.
    expect(plan.otherMoney).toBe(1);
    expect(stockPlanText(plan, 'EUR')).toBe('3 lines to take in. 1 line is not in EUR: kept, but not added up.');
    const again = stockPlan(throughFile(), { ...studio, bags: BAGS, entries: ENTRIES });
    expect([again.writes, again.there]).toEqual([[], 3]);
    expect(stockPlanText(again, 'EUR')).toBe('0 lines to take in. 3 lines are there already.');
  });

  const line = { line: 'Tarn, "soft"', 'nominal (in)': '11', colour: 'red', count: '50' };

  it('needs no more of a line than which balloon and how many', () => {
    const { writes } = stockPlan([line, { ...line, 'at (UTC)': '2026-11-01', change: 'spoiled', count: '3' }], studio);
    expect(writes).toEqual([
      {
        put: 'bag',
        row: expect.objectContaining({ modelId: id(1), count: 50, bags: 1, priceMinor: null, boughtAt: AT }),
      },
      {
        put: 'stockEntry',
        row: expect.objectContaining({ change: 'spoiled', count: 3, at: '2026-11-01T12:00:00.000Z' }),
      },
    ]);
  });

  it.each([
    [{ colour: 'green' }, 'Line 2, line: no such balloon is on the shelf'],
    [{ kind: 'square' }, 'Line 2, kind: this is none of what it may be'],
    [{ change: 'lost' }, 'Line 2, change: this is none'],
    [{ count: '1.5' }, 'Line 2, count: a whole number'],
    [{ count: '0' }, 'Line 2, count: a whole number'],
    [{ bags: '-1' }, 'Line 2, bags: a whole number'],
    [{ 'price of a bag': '-1' }, 'Line 2, price of a bag: money from 0 up'],
    [{ currency: 'shells' }, 'Line 2, currency: three letters'],
    [{ 'at (UTC)': 'yesterday' }, 'Line 2, at (UTC): a day is needed'],
    [{ shop: 'x'.repeat(81) }, 'Line 2, shop: this is too long'],
  ])('names the line, the column and the reason: %j', (by, said) => {
    const plan = stockPlan([{ ...line, ...by }, line], studio);
    expect(plan.problems).toHaveLength(1);
    expect(stockProblemText(plan.problems[0]!)).toContain(said);
    expect(stockPlanText(plan, 'EUR')).toMatch(/^1 line cannot be used, so nothing is taken in/);
  });
});
