import type { EventRecord, WorkPlan } from '@leggero/contract';
import { View } from 'react-native';

import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { planGiving, type EventDay } from '@/views/eventPlan';
import { awayText, momentText } from '@/wording/day';
import { giveText, groupText, leftText, spanText, toldMs } from '@/wording/schedule';

interface VerdictCardProps {
  day: EventDay;
  event: EventRecord;
  now: number;
  change: (by: Partial<WorkPlan>) => void;
  nameOf: (piece: string) => string;
}

/** Whether it can be kept and what comes first; else what would have to give, the gentlest first. */
export function VerdictCard({
  day: { schedule, groups, given, opensMs },
  event,
  now,
  change,
  nameOf,
}: VerdictCardProps) {
  const { lateMs, startsMs } = schedule;
  const first = groups[0];
  // What was to stand by now is told of no more.
  if (opensMs <= now)
    return (
      <Card>
        <Words look="strong" role="status">
          {`It opened ${awayText(new Date(opensMs).toISOString(), now)}.`}
        </Words>
      </Card>
    );
  if (lateMs === 0)
    return (
      <Card>
        <View role="status">
          <Words look="figure" className="text-[28px] leading-9">
            {first ? groupText(first, nameOf) : 'Nothing is to be done'}
          </Words>
          <Words look="quiet">
            {`by ${momentText(new Date(toldMs(startsMs)).toISOString(), event.timeZone)} · ${spanText(startsMs - now)} to spare`}
          </Words>
        </View>
      </Card>
    );
  return (
    <Card>
      <View className="gap-3">
        <Words look="strong" role="alert" className="text-out">
          {`It cannot be kept: ${spanText(lateMs)} are missing.`}
        </Words>
        <Words look="label">What would have to give, the gentlest first, each on top of those above</Words>
        <View role="list" className="gap-2">
          {given.map((each) => {
            const by = planGiving(each, event);
            const words = giveText(each, nameOf);
            return (
              <View key={words} role="listitem" className="flex-row items-center gap-3">
                <View className="flex-1">
                  <Words>{words}</Words>
                  <Words look="quiet">{leftText(each.lateMs)}</Words>
                </View>
                {by ? <Button title="Plan so" onPress={() => change(by)} /> : null}
              </View>
            );
          })}
        </View>
      </View>
    </Card>
  );
}
