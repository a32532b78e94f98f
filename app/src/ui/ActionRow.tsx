import { View } from 'react-native';

import { Button } from './Button';
import { Words } from './Words';

interface ActionRowProps {
  title: string;
  note: string | null;
  /** What can be done with it; in its place a word, where nothing can. */
  action: { title: string; busy?: boolean; onPress: () => void } | string | null;
}

/** One of a list, with the one thing that can be done with it. */
export function ActionRow({ title, note, action }: ActionRowProps) {
  return (
    <View className="flex-row items-center gap-3">
      <View className="flex-1">
        <Words look="strong">{title}</Words>
        {note ? <Words look="quiet">{note}</Words> : null}
      </View>
      {typeof action === 'string' ? <Words look="quiet">{action}</Words> : null}
      {action && typeof action === 'object' ? (
        <Button title={action.title} disabled={action.busy ?? false} onPress={action.onPress} />
      ) : null}
    </View>
  );
}
