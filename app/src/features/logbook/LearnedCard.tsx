import type { ModelRecord } from '@leggero/contract';
import { sumOfLosses } from '@leggero/core/supply';
import { View } from 'react-native';

import { useFinishedGarlands, useHoldTests, useStacks } from '@/data/measured';
import { Card } from '@/ui/Card';
import { RowLink } from '@/ui/RowLink';
import type { StockBook } from '@/views/stock';
import type { Taken } from '@/views/taken';
import { learnedRows } from '@/wording/learned';

interface LearnedCardProps {
  models: readonly ModelRecord[];
  book: StockBook;
  taken: readonly Taken[];
}

/** What comes back to the next plan, from how many records, and where they stand. */
export function LearnedCard({ models, book, taken }: LearnedCardProps) {
  const stacks = useStacks().data ?? [];
  const garlands = useFinishedGarlands().data ?? [];
  const held = useHoldTests().data ?? [];
  const rows = learnedRows({
    losses: sumOfLosses(models.flatMap(({ id }) => book.of(id).seen)),
    paced: taken.flatMap(({ paces }) => paces).reduce((sum, { balloons }) => sum + balloons, 0),
    stacks: stacks.length,
    garlands: garlands.length,
    holdTests: held.length,
  });
  return (
    <Card title="What comes back to the next plan">
      <View className="gap-2">
        {rows.map(({ href, title, note }) => (
          <RowLink key={title} {...{ href, title, note }} />
        ))}
      </View>
    </Card>
  );
}
