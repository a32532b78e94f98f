import { View } from 'react-native';

import { Words } from './Words';

/** How far something is that takes a while. */
export function Progress({ label, share }: { label: string; share: number }) {
  const percent = Math.round(100 * share);
  return (
    <View
      role="progressbar"
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={percent}
      className="gap-1"
    >
      <Words look="label">{`${label} ${percent} %`}</Words>
      <View className="h-2 overflow-hidden rounded-full bg-sunk">
        <View className="h-2 bg-pine" style={{ width: `${percent}%` }} />
      </View>
    </View>
  );
}
