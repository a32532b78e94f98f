import { View } from 'react-native';

import { RowLink } from '@/ui/RowLink';
import { SHELF_TOOLS } from '@/wording/shelfTools';

/** What the whole shelf is good for, below its balloons. */
export function ShelfTools() {
  return (
    <View className="mt-2 gap-2">
      {SHELF_TOOLS.map(({ href, title, note }) => (
        <RowLink key={href} href={href} title={title} note={note} />
      ))}
    </View>
  );
}
