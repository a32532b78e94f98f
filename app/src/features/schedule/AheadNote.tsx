import type { EventRecord } from '@leggero/contract';
import { View } from 'react-native';

import { write } from '@/data/outbox';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import type { EventDay } from '@/views/eventPlan';
import { aheadText } from '@/wording/schedule';

interface AheadNoteProps {
  event: EventRecord;
  day: EventDay;
}

/** Balloons that are filled sooner than their targets reckon with come out small: they can reckon with it. */
export function AheadNote({ event: { id, hoursBefore, wraps }, day: { schedule } }: AheadNoteProps) {
  const { aheadH, overnight } = schedule;
  const said = aheadText(aheadH, hoursBefore);
  const single = overnight && wraps === 1;
  if (said === null && !single) return null;
  const hours = Math.round(aheadH ?? hoursBefore);
  return (
    <Card title="How long ahead">
      <View className="gap-3">
        {said === null ? null : (
          <>
            <Words>{said}</Words>
            <Button
              title={`Reckon with ${hours} h`}
              onPress={() => write({ change: 'event', id, by: { hoursBefore: hours } })}
            />
          </>
        )}
        {single ? (
          <>
            <Words>Balloons that wait for a night keep their size only with their necks wrapped twice.</Words>
            <Button title="Wrap twice" onPress={() => write({ change: 'event', id, by: { wraps: 2 } })} />
          </>
        ) : null}
      </View>
    </Card>
  );
}
