import { PIECE_FAULTS, type PieceByWay } from '@leggero/core/building';
import { View } from 'react-native';

import { Words } from '@/ui/Words';
import { FAULT_WORDS, measureText } from '@/wording/exact';

import { SpreadStrip } from '../charts';
import type { PieceBasis } from './useBasis';

/** What the pieces came out as: each measure with how often it was how far off, over the band that nobody sees. */
export function ExactMeasures({
  simulation: { measures },
  along,
  lengths,
}: PieceByWay & { along: string; lengths: PieceBasis['lengths'] }) {
  return (
    <View role="list" className="gap-2">
      {PIECE_FAULTS.map((fault) => {
        const measure = measures[fault];
        if (!measure) return null;
        const { about, ...words } = FAULT_WORDS[fault];
        const title = fault === 'height' ? along : words.title;
        const said = measureText(fault, measure, lengths);
        return (
          <View key={fault} role="listitem">
            <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
              <Words>{title}</Words>
              <Words look="quiet" className="tabular-nums">
                {said}
              </Words>
            </View>
            <SpreadStrip label={`${title}, ${about}: ${said}`} measure={measure} />
          </View>
        );
      })}
      <Words look="quiet">Nine of ten lie between the figures. Within the grey band people do not see it.</Words>
    </View>
  );
}
