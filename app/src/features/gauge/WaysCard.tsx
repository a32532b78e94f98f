import { WAYS } from '@leggero/core';
import { View } from 'react-native';

import { useKnowledge } from '@/api/knowledge';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { counted, WAY_WORDS } from '@/wording/trade';

/** How sure each way of measuring is in these hands: assumed at first, learned from the readings. */
export function WaysCard() {
  const knowledge = useKnowledge();
  if (!knowledge) return null;
  return (
    <Card title="How sure a width is">
      <View role="table" aria-label="How sure a width is">
        {WAYS.map((way) => {
          const { sdMm, assumedMm, readings } = knowledge.shelf.ways[way];
          return (
            <View key={way} role="row" className="min-h-[44px] flex-row items-center gap-3 border-b border-line py-1">
              <View role="cell" className="flex-1">
                <Words look="strong">{WAY_WORDS[way].title}</Words>
                <Words look="quiet">{WAY_WORDS[way].means}</Words>
              </View>
              <View role="cell" className="items-end">
                <Words look="figure" className="text-[20px] leading-7">{`±${sdMm.toFixed(1)} mm`}</Words>
                <Words look="quiet">
                  {readings > 0 ? `${counted(readings, 'reading')}, ${assumedMm} assumed` : 'assumed, from memory'}
                </Words>
              </View>
            </View>
          );
        })}
      </View>
      <Words look="quiet" className="mt-2">
        One standard deviation of a single width. It is learned from how far readings lie from their curves.
      </Words>
    </Card>
  );
}
