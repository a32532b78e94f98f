import { useState } from 'react';
import { View } from 'react-native';

import { useModels, useStudio } from '@/data/records';
import { write } from '@/data/outbox';
import { useBags } from '@/data/measured';
import { useStockEntries } from '@/data/stock';
import { chooseFile } from '@/device/download';
import { newId, nowUtc } from '@/device/id';
import { keepCsv } from '@/parts/keepCsv';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { inCommands } from '@/views/inCommands';
import { STOCK_COLUMNS, stockLines, stockPlan, type StockLine, type StockPlan } from '@/views/stockFile';
import { digitsOf, isCurrency } from '@/wording/money';
import { stockPlanText, stockProblemText } from '@/wording/stock';

/** Problems that are named. */
const MOST_NAMED = 8;

/** The stock out as CSV, and in again: what it would add is shown first. */
export function StockFiles() {
  const models = useModels().data ?? [];
  const bags = useBags().data ?? [];
  const entries = useStockEntries().data ?? [];
  const currency = useStudio().data?.currency ?? 'EUR';
  const [plan, setPlan] = useState<StockPlan | null>(null);
  const [said, setSaid] = useState('');
  const out = () => keepCsv('stock.csv', STOCK_COLUMNS, stockLines(models, bags, entries, digitsOf));
  const choose = async () => {
    const file = await chooseFile('.csv,text/csv');
    if (!file) return;
    const { default: Papa } = await import('papaparse');
    const { data } = Papa.parse<StockLine>((await file.text()).replace(/^\uFEFF/, ''), {
      ...{ header: true, skipEmptyLines: 'greedy' },
      transformHeader: (name) => name.trim().toLowerCase().replace('(utc)', '(UTC)'),
      // What was marked as text on its way out is text again.
      transform: (cell) => cell.replace(/^'(?=[=+\-@])/, ''),
    });
    setSaid('');
    setPlan(stockPlan(data, { models, bags, entries, currency, digitsOf, isCurrency, newId, now: nowUtc() }));
  };
  const take = async () => {
    if (!plan) return;
    for (const writes of inCommands(plan.writes)) await write(...writes);
    setSaid(`${plan.writes.length} lines were taken in.`);
    setPlan(null);
  };
  const ready = plan !== null && plan.problems.length === 0 && plan.writes.length > 0;
  return (
    <Card title="As a file">
      <View className="gap-3">
        <Words look="quiet">
          Every bag and every change, a line each, for spreadsheets; the same file can be read in again. A new line
          needs no more than line, nominal size, colour and count.
        </Words>
        {plan ? <Words>{stockPlanText(plan, currency)}</Words> : null}
        {plan?.problems.slice(0, MOST_NAMED).map((problem) => (
          <Words key={`${problem.line} ${problem.column}`} look="error" role="alert">
            {stockProblemText(problem)}
          </Words>
        ))}
        {said ? <Words role="status">{said}</Words> : null}
        <View className="flex-row flex-wrap gap-3">
          <Button title="Save stock as CSV" className="flex-1" onPress={() => void out()} />
          <Button title="Choose a CSV file" className="flex-1" onPress={() => void choose()} />
        </View>
        {ready ? <Button title="Take it in" look="primary" tall onPress={() => void take()} /> : null}
      </View>
    </Card>
  );
}
