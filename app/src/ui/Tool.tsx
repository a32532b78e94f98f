import { View } from 'react-native';

import { Words } from './Words';

/** One way to reach a target: its name, its figure, and how. */
export function Tool({ title, figure, note }: { title: string; figure: string; note: string }) {
  return (
    <View className="flex-1 rounded-card border border-line bg-surface px-3 py-2">
      <Words look="quiet" numberOfLines={1}>
        {title}
      </Words>
      <Words look="figure" numberOfLines={1}>
        {figure}
      </Words>
      <Words look="quiet">{note}</Words>
    </View>
  );
}
