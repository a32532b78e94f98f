import { View } from 'react-native';

import { Words } from './Words';

/** Steps in the order of work, numbered. */
export function Steps({ steps }: { steps: readonly string[] }) {
  return (
    <View role="list" className="gap-2">
      {steps.map((step, i) => (
        <View key={`${i} ${step}`} role="listitem" className="flex-row gap-3">
          <Words look="figure" className="w-6 text-[18px] leading-6">
            {i + 1}
          </Words>
          <Words className="flex-1">{step}</Words>
        </View>
      ))}
    </View>
  );
}
