import CloudOff from 'lucide-react-native/icons/cloud-off';
import { lazy, Suspense, useState } from 'react';

import { useRecords, type RecordsState } from '@/data/state';
import { Button } from '@/ui/Button';
import { UNKEPT_WORDS } from '@/wording/unkept';
import { counted } from '@/wording/trade';

import { Notice } from './Notice';
/** Comes with the notice that leads to it: the server has just answered. */
const RefusedSheet = lazy(async () => ({ default: (await import('./RefusedSheet')).RefusedSheet }));

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
  const entries = counted(count, 'entry was', 'entries were');
  return (
    <Notice tone="out" role="alert" says={`${entries} not taken. Nothing is lost: look at it.`}>
      <Button title="Look" onPress={() => setOpen(true)} />
      <Suspense>
        <RefusedSheet open={open} onClose={() => setOpen(false)} />
      </Suspense>
    </Notice>
  );
}

function StateNotice() {
  const says = useRecords(wordsOf);
  return says === null ? null : <Notice tone="edge" icon={CloudOff} says={says} />;
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
