import type { HandsJudged } from '@leggero/core/control';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { Words } from '@/ui/Words';
import { stationText } from '@/wording/logbook';

/** Stations, or people, beside one another. */
export function Compared({ judged }: { judged: readonly HandsJudged[] }) {
  const { fine } = useLengths();
  return (
    <View className="gap-1" role="list">
      {judged.map((each) => (
        <View key={each.of} role="listitem">
          <Words className={each.apart ? 'text-edge' : ''}>{stationText(each, fine)}</Words>
        </View>
      ))}
      <Words look="quiet">Few balloons say little: each is drawn toward the others by as much.</Words>
    </View>
  );
}
