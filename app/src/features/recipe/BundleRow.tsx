import type { Batch, Bundle } from '@leggero/core/recipe';
import { View } from 'react-native';

import { Words } from '@/ui/Words';
import { bundleTitle } from '@/wording/recipe';
import { capital } from '@/wording/trade';

import { BatchDots } from './BatchDots';

interface BundleRowProps {
  bundle: Bundle;
  batchOf: (key: string) => Batch;
  markOf: (key: string) => string;
  hexOf: (balloon: string) => string;
  pieces: readonly string[];
}

/** What is tied together, of which batches, and how often. */
export function BundleRow({ bundle, batchOf, markOf, hexOf, pieces }: BundleRowProps) {
  const marks = bundle.batches.map(markOf);
  return (
    <View role="listitem" className="min-h-[48px] flex-row items-center gap-3 border-t border-line py-2">
      <BatchDots
        dots={bundle.batches.map((key) => {
          const { balloon, fillMm } = batchOf(key);
          return { key, widthMm: fillMm, hex: hexOf(balloon) };
        })}
      />
      <View className="flex-1">
        <Words look="strong">{`${capital(bundleTitle(marks.length))} of ${marks.join(' + ')}`}</Words>
        <Words look="quiet">{pieces.join(', ')}</Words>
      </View>
      <Words look="figure" className="text-[22px] leading-7">{`${bundle.count} ×`}</Words>
    </View>
  );
}
