import { View } from 'react-native';

import { write } from '@/data/outbox';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import type { ModelStock } from '@/views/stock';
import { dayText } from '@/wording/day';
import { bagText, entryText, lossText } from '@/wording/stock';

/** Lines of a ledger that are shown. */
const MOST_SHOWN = 40;

/** What was bought, counted, taken and lost of a balloon, newest first; each line can be taken back. */
export function Ledger({ stock: { bags, entries, losses }, currency }: { stock: ModelStock; currency: string }) {
  const lines = [
    ...bags.map((bag) => ({ noun: 'bag' as const, id: bag.id, at: bag.boughtAt, text: bagText(bag, currency) })),
    ...entries.map((entry) => ({ noun: 'stockEntry' as const, id: entry.id, at: entry.at, text: entryText(entry) })),
    ...losses.map((loss) => ({ noun: 'loss' as const, id: loss.id, at: loss.at, text: lossText(loss) })),
  ].sort((a, b) => b.at.localeCompare(a.at));
  return (
    <Card title="Ledger">
      {lines.length === 0 ? <Words look="quiet">Nothing is written down yet.</Words> : null}
      <View role="list">
        {lines.slice(0, MOST_SHOWN).map(({ noun, id, at, text }) => (
          <View key={id} role="listitem" className="min-h-[52px] flex-row items-center gap-3 border-t border-line py-1">
            <View className="flex-1">
              <Words>{text}</Words>
              <Words look="quiet">{dayText(at)}</Words>
            </View>
            <Button title="Take back" look="plain" onPress={() => write({ remove: noun, id })} />
          </View>
        ))}
      </View>
      {lines.length > MOST_SHOWN ? (
        <Words look="quiet">{`${lines.length - MOST_SHOWN} older lines are not shown.`}</Words>
      ) : null}
    </Card>
  );
}
