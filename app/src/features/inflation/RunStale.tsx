import { View } from 'react-native';

import { Button } from '@/ui/Button';
import { Words } from '@/ui/Words';
import { lastTapOf, type ShownRun } from '@/views/inflation';
import { momentText } from '@/wording/day';

/** A night is a pause; longer than that, a run was forgotten. */
const FORGOTTEN_MS = 18 * 3_600_000;

interface RunStaleProps {
  run: ShownRun;
  now: number;
  onEnd: (at: string) => void;
}

/** A run that nobody tapped in for long: whether it goes on, or ended then. */
export function RunStale({ run, now, onEnd }: RunStaleProps) {
  const last = lastTapOf(run);
  if (now - Date.parse(last) < FORGOTTEN_MS) return null;
  return (
    <View role="alert" className="gap-2 rounded-card bg-edge-wash p-4">
      <Words look="strong" className="text-edge">
        {`Nothing was tapped since ${momentText(last)}. Tap on to go on with it.`}
      </Words>
      <Button title="End it as of then" onPress={() => onEnd(last)} />
    </View>
  );
}
