import { compareHands } from '@leggero/core/control';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import type { SizesView } from '@/views/sized';
import { stationText } from '@/wording/logbook';

/** Stations beside one another, each drawn toward all by as much as its few balloons leave open. */
export function StationsCard({ view: { sized } }: { view: SizesView }) {
  const { fine } = useLengths();
  const by = new Map<string, number[]>();
  for (const { turn, offMm } of sized) if (turn) by.set(turn.station, [...(by.get(turn.station) ?? []), offMm]);
  const judged = compareHands([...by].map(([of, offs]) => ({ of, offs })));
  if (judged.length === 0) return null;
  return (
    <Card title="Station beside station">
      <View className="gap-1" role="list">
        {judged.map((each) => (
          <View key={each.of} role="listitem">
            <Words className={each.apart ? 'text-edge' : ''}>{stationText(each, fine)}</Words>
          </View>
        ))}
        <Words look="quiet">Few balloons say little: each is drawn toward the others by as much.</Words>
      </View>
    </Card>
  );
}
