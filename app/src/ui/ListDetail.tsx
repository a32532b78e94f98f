import type { ReactNode } from 'react';
import { View } from 'react-native';

import { useWide } from './layout';

/** List and detail side by side when wide; on a phone the page alone. */
export function ListDetail({ list, children }: { list: ReactNode; children: ReactNode }) {
  const wide = useWide();
  if (!wide) return <>{children}</>;
  return (
    <View className="flex-1 flex-row">
      <View className="no-print w-[348px] border-r border-line">{list}</View>
      <View id="detail" className="flex-1">
        {children}
      </View>
    </View>
  );
}
