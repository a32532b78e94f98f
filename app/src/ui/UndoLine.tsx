import { View } from 'react-native';

import { Button } from './Button';
import { Words } from './Words';

/** What was just taken away, and the way back. */
export function UndoLine({ sentence, onUndo }: { sentence: string; onUndo: () => void }) {
  return (
    <View role="status" className="mt-3 flex-row items-center gap-3">
      <Words className="flex-1">{sentence}</Words>
      <Button title="Undo" onPress={onUndo} />
    </View>
  );
}
