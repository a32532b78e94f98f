import { View } from 'react-native';

import { useRemoval } from '@/data/useRemoval';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { UndoLine } from '@/ui/UndoLine';
import { Words } from '@/ui/Words';
import type { ModelStock } from '@/views/stock';
import { dayText } from '@/wording/day';
import { bagText, entryText, lossText } from '@/wording/stock';

/** Lines of a ledger that are shown. */
const MOST_SHOWN = 40;

/** What was bought, counted, taken and lost of a balloon, newest first; each line can be taken back, and the last put there again. */
export function Ledger({ stock: { bags, entries, losses }, currency }: { stock: ModelStock; currency: string }) {
  const [bag, entry, loss] = [useRemoval('bag'), useRemoval('stockEntry'), useRemoval('loss')];
  const gone = [
    ...(bag.removed ? [{ text: bagText(bag.removed, currency), restore: bag.restore }] : []),
    ...(entry.removed ? [{ text: entryText(entry.removed), restore: entry.restore }] : []),
    ...(loss.removed ? [{ text: lossText(loss.removed), restore: loss.restore }] : []),
  ];
  const lines = [
    ...bags.map((row) => ({
      id: row.id,
      at: row.boughtAt,
      text: bagText(row, currency),
      takeBack: () => bag.remove(row),
    })),
    ...entries.map((row) => ({ id: row.id, at: row.at, text: entryText(row), takeBack: () => entry.remove(row) })),
    ...losses.map((row) => ({ id: row.id, at: row.at, text: lossText(row), takeBack: () => loss.remove(row) })),
  ].sort((a, b) => b.at.localeCompare(a.at));
  return (
    <Card title="Ledger">
      {lines.length === 0 ? <Words look="quiet">Nothing is written down yet.</Words> : null}
      {gone.map(({ text, restore }) => (
        <UndoLine key={text} sentence={`Taken back: ${text}.`} onUndo={restore} />
      ))}
      <View role="list">
        {lines.slice(0, MOST_SHOWN).map(({ id, at, text, takeBack }) => (
          <View key={id} role="listitem" className="min-h-[52px] flex-row items-center gap-3 border-t border-line py-1">
            <View className="flex-1">
              <Words>{text}</Words>
              <Words look="quiet">{dayText(at)}</Words>
            </View>
            <Button title="Take back" look="plain" onPress={takeBack} />
          </View>
        ))}
      </View>
      {lines.length > MOST_SHOWN ? (
        <Words look="quiet">{`${lines.length - MOST_SHOWN} older lines are not shown.`}</Words>
      ) : null}
    </Card>
  );
}
