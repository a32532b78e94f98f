import { View } from 'react-native';

import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { PACE_COLUMNS, paceLines, TAKEN_COLUMNS, takenLines } from '@/views/logFiles';
import type { Taken } from '@/views/taken';
import { dayText } from '@/wording/day';
import { paceText } from '@/wording/inflation';
import { takenText } from '@/wording/logbook';

import { keepCsv } from '@/parts/keepCsv';

/** What each inflation run took, and how fast its stations were. */
export function TakenCard({ taken }: { taken: readonly Taken[] }) {
  if (taken.length === 0) return null;
  return (
    <Card title="What builds took">
      <View className="gap-2">
        {taken.map((each) => (
          <View key={each.runId} className="gap-1">
            <RowLink
              href={`/builds/events/${each.eventId}/run`}
              title={`${each.eventName}, ${dayText(each.startedAt)}`}
              note={takenText(each)}
            />
            {each.paces.map((pace) => (
              <Words key={pace.station} look="quiet" className="px-3">
                {`${pace.station}: ${paceText(pace)}`}
              </Words>
            ))}
          </View>
        ))}
        <Button
          title="Save builds as CSV"
          look="plain"
          onPress={() => keepCsv('builds.csv', TAKEN_COLUMNS, takenLines(taken))}
        />
        <Button
          title="Save paces as CSV"
          look="plain"
          onPress={() => keepCsv('paces.csv', PACE_COLUMNS, paceLines(taken))}
        />
      </View>
    </Card>
  );
}
