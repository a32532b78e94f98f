import { View } from 'react-native';

import { Words } from './Words';

interface ToolProps {
  title: string;
  figure: string;
  note: string;
  /** How large its figure is set. */
  className?: string;
}

/** One way to reach a target: its name, its figure, and how. */
export function Tool({ title, figure, note, className = '' }: ToolProps) {
  return (
    <View className="flex-1 rounded-card border border-line bg-surface px-3 py-2">
      <Words look="quiet" numberOfLines={1}>
        {title}
      </Words>
      <Words look="figure" numberOfLines={1} className={className}>
        {figure}
      </Words>
      <Words look="quiet">{note}</Words>
    </View>
  );
}
