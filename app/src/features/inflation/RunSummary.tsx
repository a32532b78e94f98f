import { View } from 'react-native';

import { write } from '@/data/outbox';
import { useTrade } from '@/data/trade';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { pacesOf, type ShownRun } from '@/views/inflation';
import { dayText } from '@/wording/day';
import { paceText } from '@/wording/inflation';
import { counted } from '@/wording/trade';

/** What a run that is over came to; the newest can go on. */
export function RunSummary({ run, newest }: { run: ShownRun; newest: boolean }) {
  const { paceS } = useTrade();
  const { done, lost, wanted } = run.progress;
  return (
    <Card title={`Run of ${dayText(run.startedAt)}`}>
      <View role="list" className="gap-1 pb-2">
        <View role="listitem">
          <Words>{`${done} of ${counted(wanted, 'balloon')} made, ${lost} lost`}</Words>
        </View>
        {pacesOf(run, paceS.sized).map((pace) => (
          <View key={pace.station} role="listitem">
            <Words look="quiet">{`${pace.station}: ${paceText(pace)}`}</Words>
          </View>
        ))}
      </View>
      {newest ? (
        <Button
          title="Go on with this run"
          onPress={() => write({ change: 'inflation', id: run.id, by: { endedAt: null } })}
        />
      ) : null}
    </Card>
  );
}
