import { View } from 'react-native';

import { Button } from '@/ui/Button';
import { Words } from '@/ui/Words';
import type { ShownBatch } from '@/views/inflation';
import { batchMark } from '@/wording/batchMark';

interface BatchThroughProps {
  /** Undefined once all are through. */
  next: ShownBatch | undefined;
  onGo: (batchId: string) => void;
  onEnd: () => void;
  onUndo: () => void;
}

/** A batch is through: what comes next, or the end. */
export function BatchThrough({ next, onGo, onEnd, onUndo }: BatchThroughProps) {
  return (
    <View className="flex-1 gap-2">
      <Words look="strong" role="status" className="text-center">
        {next ? 'This batch is through. Mark its bags and put it aside.' : 'All batches are through.'}
      </Words>
      <Button
        title={next ? `Next: batch ${batchMark(next.place)}` : 'End the run'}
        look="primary"
        tall
        className="min-h-[96px]"
        onPress={() => (next ? onGo(next.id) : onEnd())}
      />
      <Button title="Undo the last tap" onPress={onUndo} />
    </View>
  );
}
