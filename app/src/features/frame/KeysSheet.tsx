import { View } from 'react-native';

import { Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';

const KEYS = [
  ['?', 'These keys'],
  ['/', 'Search everything'],
  ['n', 'New: a balloon on the shelf, a reading on its page'],
  ['c', 'Check a batch, on a balloon’s page'],
  ['1  2  3', 'Stops, just passes, falls through'],
  ['← → ↑ ↓', 'Turn a piece and tilt it, once its picture has the focus; with shift push it along'],
  ['+  −  0', 'Nearer, farther, as at first'],
  ['u', 'Undo the last answer, reading or tap'],
  ['b', 'Count the strokes, at a station that counts by a beat'],
  ['Space', 'Done, at a station of a run; Page down and a foot pedal do the same'],
] as const;

/** The keys that work, for those with a keyboard. */
export function KeysSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Sheet title="Keys" open={open} onClose={onClose}>
      {KEYS.map(([key, does]) => (
        <View key={key} className="flex-row items-center gap-4">
          <Words look="figure" className="w-20 text-[20px]">
            {key}
          </Words>
          <Words className="flex-1">{does}</Words>
        </View>
      ))}
    </Sheet>
  );
}
