import { DEED_ROUTES, type Deed } from '@leggero/contract/deed';
import { View } from 'react-native';

import { useDeedsRenewed } from '@/data/deeds';
import { pullSoon } from '@/data/delivery';
import { useLengths } from '@/data/lengths';
import { useRecords } from '@/data/state';
import { useSending } from '@/data/useSending';
import { Button } from '@/ui/Button';
import { WrongLine } from '@/ui/WrongLine';
import { Words } from '@/ui/Words';
import { subjectOf } from '@/views/deeds';
import { changesText, deedTitle, doneBy } from '@/wording/deeds';

/** One deed: what, to what, by whom, and the way back where there is one. */
export function DeedRow({ deed }: { deed: Deed }) {
  const { text } = useLengths();
  const rows = useRecords((state) => state.rows);
  const { send, busy, wrong } = useSending(DEED_ROUTES.undoDeed);
  const renew = useDeedsRenewed();
  const [first] = deed.rows;
  const subject = first ? subjectOf(rows, first) : null;
  const lines = deed.count === 1 && first ? changesText(first, text) : [];
  const undo = async () => {
    if (await send({ id: deed.id })) pullSoon();
    await renew();
  };
  return (
    <View className="gap-2">
      <View className="flex-row items-center gap-3">
        <View className="flex-1">
          <Words look="strong">{`${deed.undoes ? 'Back: ' : ''}${deedTitle(deed)}`}</Words>
          {subject ? <Words>{subject}</Words> : null}
          {lines.map((line) => (
            <Words key={line}>{line}</Words>
          ))}
          <Words look="quiet">{doneBy(deed)}</Words>
        </View>
        {deed.undoneBy ? <Words look="quiet">Taken back</Words> : null}
        {deed.canUndo ? <Button title="Undo" disabled={busy} onPress={() => void undo()} /> : null}
      </View>
      <WrongLine wrong={wrong} />
    </View>
  );
}
