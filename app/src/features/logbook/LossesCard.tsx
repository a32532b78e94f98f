import type { ModelRecord } from '@leggero/contract';
import { nothingYet } from '@leggero/core/inflation';
import { sumOfLosses } from '@leggero/core/supply';
import { View } from 'react-native';

import type { Log } from '@/data/logbook';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { LOSS_COLUMNS, lossLines } from '@/views/logFiles';
import { balloonName } from '@/views/modelView';
import type { StockBook } from '@/views/stock';
import { causesText, lostText } from '@/wording/logbook';

import { keepCsv } from '@/parts/keepCsv';

interface LossesCardProps {
  models: readonly ModelRecord[];
  book: StockBook;
  causes: Log['causes'];
}

/** What was lost of each balloon, the leakiest first, and why where a station said so. */
export function LossesCard({ models, book, causes }: LossesCardProps) {
  const lost = models
    .map((model) => ({ model, seen: sumOfLosses(book.of(model.id).seen) }))
    .filter(({ seen }) => seen.used > 0)
    .sort((a, b) => b.seen.lost / b.seen.used - a.seen.lost / a.seen.used);
  if (lost.length === 0) return null;
  const most = Math.max(...lost.map(({ seen }) => seen.lost / seen.used));
  const file = () => keepCsv('losses.csv', LOSS_COLUMNS, lossLines(models, book));
  return (
    <Card title="Losses">
      <View className="gap-2">
        {lost.map(({ model, seen }) => {
          const why = causesText(causes.get(model.id) ?? nothingYet());
          return (
            <RowLink
              key={model.id}
              href={`/shelf/${model.id}/stock`}
              title={balloonName(model)}
              note={`${lostText(seen)}${why ? `: ${why}` : ''}`}
            >
              <View aria-hidden className="w-12 justify-center">
                <View className="h-2 rounded-full bg-sunk">
                  <View
                    className="h-2 rounded-full bg-edge"
                    style={{ width: `${most === 0 ? 0 : (100 * seen.lost) / seen.used / most}%` }}
                  />
                </View>
              </View>
            </RowLink>
          );
        })}
        <Words look="quiet">Filled and built, as written down and as stations tapped it.</Words>
        <Button title="Save losses as CSV" look="plain" onPress={file} />
      </View>
    </Card>
  );
}
