import { View } from 'react-native';

import { Button } from './Button';
import { Words } from './Words';

interface UndoLineProps {
  sentence: string;
  title?: string;
  onUndo: () => void;
}

/** What was just taken away, and the way back. */
export function UndoLine({ sentence, title = 'Undo', onUndo }: UndoLineProps) {
  return (
    <View role="status" className="mt-3 flex-row items-center gap-3">
      <Words className="flex-1">{sentence}</Words>
      <Button title={title} onPress={onUndo} />
    </View>
  );
}
