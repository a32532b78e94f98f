import type { ModelRecord, PieceRecord } from '@leggero/contract';
import { router } from 'expo-router';
import { View } from 'react-native';

import { useTrade } from '@/data/trade';
import { Card } from '@/ui/Card';
import { Segmented } from '@/ui/Segmented';
import { Empty } from '@/ui/States';
import { linesFor } from '@/views/lineSwap';
import { balloonName } from '@/views/modelView';
import type { StockBook } from '@/views/stock';
import { standInsFor } from '@/views/swap';
import { lineText } from '@/wording/swap';
import { apartText } from '@/wording/supply';

import { lookIn } from '@/parts/look';
import { StandInRow } from './StandInRow';

/** What is swapped: one colour of a line in all its sizes, or the line in all its colours. */
export type SwapReach = 'colour' | 'line';

interface StandInsProps {
  /** The balloon that goes, by its id or its look. */
  from: string;
  reach: SwapReach;
  /** The balloon or the line that is chosen. */
  to: string | undefined;
  models: readonly ModelRecord[];
  pieces: readonly PieceRecord[];
  book: StockBook;
}

/** What may stand in for a balloon or for its whole line, nearest in colour first. */
export function StandIns({ from, reach, to, models, pieces, book }: StandInsProps) {
  const model = models.find(({ id }) => id === from) ?? null;
  const name = lookIn(from, models).name;
  return (
    <Card title={`In place of ${!model ? 'a colour without a balloon' : reach === 'line' ? model.line : name}`}>
      {model ? (
        <View className="mb-3">
          <Segmented<SwapReach>
            label="How much of it"
            options={[
              { value: 'colour', title: 'This colour' },
              { value: 'line', title: 'Its whole line' },
            ]}
            value={reach}
            onChange={(value) => router.setParams({ reach: value, to: '' })}
          />
        </View>
      ) : null}
      {model && reach === 'line' ? (
        <Lines {...{ model, to, models, pieces }} />
      ) : (
        <Balloons {...{ from, model, to, models, book }} />
      )}
    </Card>
  );
}

function Balloons({
  from,
  model,
  to,
  models,
  book,
}: Pick<StandInsProps, 'from' | 'to' | 'models' | 'book'> & { model: ModelRecord | null }) {
  const trade = useTrade();
  const offered = standInsFor({ colourHex: lookIn(from, models).colour, model }, models);
  if (offered.length === 0)
    return <Empty sentence="No other balloon of its kind and size is on the shelf: put one there first." />;
  return (
    <View role="radiogroup" aria-label="In its place" className="gap-1">
      {offered.map(({ model: each, colourApart }) => {
        const stock = book.of(each.id);
        return (
          <StandInRow
            key={each.id}
            name={balloonName(each)}
            models={[each]}
            note={apartText(colourApart, trade.justSeen)}
            there={stock.unknown ? 'not counted' : `${stock.there} there`}
            chosen={each.id === to}
            onChoose={() => router.setParams({ to: each.id })}
          />
        );
      })}
    </View>
  );
}

function Lines({
  model,
  to,
  models,
  pieces,
}: Pick<StandInsProps, 'to' | 'models' | 'pieces'> & { model: ModelRecord }) {
  const trade = useTrade();
  const designs = pieces.map(({ design }) => design);
  const offered = linesFor(model, designs, models);
  if (offered.length === 0)
    return <Empty sentence="No other line on the shelf has balloons of its kind in these sizes." />;
  return (
    <View role="radiogroup" aria-label="In its place" className="gap-1">
      {offered.map((each) => (
        <StandInRow
          key={each.line}
          name={each.line}
          models={each.standIns}
          note={lineText(each, trade.justSeen)}
          chosen={each.line === to}
          onChoose={() => router.setParams({ to: each.line })}
        />
      ))}
    </View>
  );
}
