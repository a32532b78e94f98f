import type { EventRecord } from '@leggero/contract';
import { View } from 'react-native';

import { write } from '@/data/outbox';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { changeGiving, type EventDay } from '@/views/eventPlan';
import { awayText, momentText } from '@/wording/day';
import { giveText, groupText, leftText, spanText, toldMs } from '@/wording/schedule';

interface VerdictCardProps {
  day: EventDay;
  event: EventRecord;
  now: number;
  nameOf: (piece: string) => string;
}

/** Whether it can be kept and what comes first; else what would have to give, the gentlest first. */
export function VerdictCard({ day: { schedule, groups, given, opensMs }, event, now, nameOf }: VerdictCardProps) {
  const { lateMs, startsMs } = schedule;
  // What comes after the opening has no time to spare before it.
  const first = groups.find(({ floatMs }) => floatMs !== null);
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
            {first ? groupText(first, nameOf) : 'All is done until it opens'}
          </Words>
          {first ? (
            <Words look="quiet">
              {`by ${momentText(new Date(toldMs(startsMs)).toISOString(), event.timeZone)} · ${spanText(startsMs - now)} to spare`}
            </Words>
          ) : null}
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
            const by = changeGiving(each, event);
            const words = giveText(each, nameOf);
            return (
              <View key={words} role="listitem" className="flex-row items-center gap-3">
                <View className="flex-1">
                  <Words>{words}</Words>
                  <Words look="quiet">{leftText(each.lateMs)}</Words>
                </View>
                {by ? <Button title="Plan so" onPress={() => write({ change: 'event', id: event.id, by })} /> : null}
              </View>
            );
          })}
        </View>
      </View>
    </Card>
  );
}
