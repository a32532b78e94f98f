import CloudOff from 'lucide-react-native/icons/cloud-off';
import { useState } from 'react';
import { View } from 'react-native';

import { useRecords, type RecordsState } from '@/data/state';
import { Button } from '@/ui/Button';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';
import { UNKEPT_WORDS } from '@/wording/entries';
import { counted } from '@/wording/trade';

import { RefusedSheet } from './RefusedSheet';

/** Says calmly when the records are out of reach, when this device keeps nothing, and what the server would not take. */
export function ConnectionNotice() {
  const refused = useRecords((state) => state.refused.length);
  return (
    <>
      {refused > 0 ? <RefusedNotice count={refused} /> : null}
      <StateNotice />
    </>
  );
}

function RefusedNotice({ count }: { count: number }) {
  const [open, setOpen] = useState(false);
  return (
    <View role="alert" className="flex-row items-center gap-3 border-b border-line bg-out-wash px-4 py-2">
      <Words look="label" className="flex-1 text-out">
        {`${counted(count, 'entry was', 'entries were')} not taken. Nothing is lost: look at it.`}
      </Words>
      <Button title="Look" onPress={() => setOpen(true)} />
      <RefusedSheet open={open} onClose={() => setOpen(false)} />
    </View>
  );
}

function StateNotice() {
  const palette = usePalette();
  const says = useRecords(wordsOf);
  if (says === null) return null;
  return (
    <View role="status" className="flex-row items-center gap-3 border-b border-line bg-edge-wash px-4 py-2">
      <CloudOff size={18} color={palette.edge} />
      <Words look="label" className="flex-1 text-edge">
        {says}
      </Words>
    </View>
  );
}

/** What there is to say of the way to the records; null when all is well. */
function wordsOf({ waiting, stuck, struggling, aside, unkept, filled, come }: RecordsState): string | null {
  if (aside > 0)
    return (
      `The server cannot save ${counted(aside, 'entry', 'entries')} just now. Nothing is lost: it is tried again, and ` +
      'all else is saved.'
    );
  if (stuck || struggling) {
    const entries = counted(waiting.length, 'entry waits', 'entries wait');
    if (waiting.length === 0)
      return filled
        ? 'The records are out of reach just now. What is here stays of use; what you enter will wait.'
        : 'The records are out of reach just now. Trying again.';
    return unkept
      ? `The records are out of reach just now. ${entries} in this page alone: leave it open until all is saved.`
      : `The records are out of reach just now. ${entries} here until they are back.`;
  }
  if (!filled && come > 0) return `Fetching the records for the first time: ${come} so far.`;
  return unkept && UNKEPT_WORDS[unkept];
}
