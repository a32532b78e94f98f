import { coreHoldTest, type ShelfModel } from '@leggero/contract';
import { holdLaws, nightLossMm } from '@leggero/core';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { useTrade } from '@/data/trade';
import { keepCsv } from '@/parts/keepCsv';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { RowLink } from '@/ui/RowLink';
import { HOLD_COLUMNS, holdLines } from '@/views/logFiles';
import { balloonName } from '@/views/modelView';
import { heldText } from '@/wording/logbook';

/** How balloons that were left standing hold, those that lose most first. */
export function HoldsCard({ models }: { models: readonly ShelfModel[] }) {
  const { fine } = useLengths();
  const trade = useTrade();
  const held = models
    .flatMap((model) => {
      const { nominalMm, holdTests } = model;
      const laws = holdLaws(holdTests.map(coreHoldTest), nominalMm, trade).flatMap(({ wraps, rate }) =>
        rate && rate.tests > 0 ? [{ wraps, tests: rate.tests, nightMm: nightLossMm({ rate, nominalMm, trade }) }] : [],
      );
      return laws.length > 0 ? [{ model, laws, most: Math.max(...laws.map(({ nightMm }) => nightMm)) }] : [];
    })
    .sort((a, b) => b.most - a.most);
  if (held.length === 0) return null;
  return (
    <Card title="How balloons hold">
      <View className="gap-2">
        {held.map(({ model, laws }) => (
          <RowLink
            key={model.id}
            href={`/shelf/${model.id}/hold`}
            title={balloonName(model)}
            note={heldText(laws, fine)}
          />
        ))}
        <Button
          title="Save holds as CSV"
          look="plain"
          onPress={() => keepCsv('holds.csv', HOLD_COLUMNS, holdLines(models))}
        />
      </View>
    </Card>
  );
}
