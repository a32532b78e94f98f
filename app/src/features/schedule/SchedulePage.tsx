import { router } from 'expo-router';
import { View } from 'react-native';

import { useModels } from '@/data/records';
import { useStepsDone } from '@/parts/useStepsDone';
import { eventDayOf } from '@/parts/eventDayOf';
import { usePlan } from '@/parts/usePlan';
import type { EventWork } from '@/parts/useEventWork';
import type { ShownEvent } from '@/parts/WithEvent';
import { WithEventWork } from '@/parts/WithEventWork';
import { Button } from '@/ui/Button';
import { useWide } from '@/ui/layout';
import { Empty, Loading } from '@/ui/States';
import { useNow } from '@/ui/useNow';
import { Words } from '@/ui/Words';
import { momentText } from '@/wording/day';
import { NO_DAY, SCHEDULE_PROBLEMS } from '@/wording/schedule';

import { AheadNote } from './AheadNote';
import { DayList } from './DayList';
import { DoneCard } from './DoneCard';
import { DaysCard } from './DaysCard';
import { TimeLine } from './TimeLine';
import { VerdictCard } from './VerdictCard';
import { saveCalendar } from './saveCalendar';

/** When what begins, backwards from the opening of an event. */
export function SchedulePage({ eventId }: { eventId: string }) {
  return (
    <WithEventWork
      eventId={eventId}
      title="Schedule"
      subtitle={(_, { opensAt, timeZone }) => (opensAt === null ? '' : `opens ${momentText(opensAt, timeZone)}`)}
    >
      {(shown) => <Shown {...shown} />}
    </WithEventWork>
  );
}

function Shown({ event, pieces, work }: ShownEvent & { work: EventWork }) {
  const wide = useWide();
  const now = useNow();
  const models = useModels().data ?? [];
  const [plan, change] = usePlan(event);
  const done = useStepsDone(event.id);
  const { opensAt, timeZone } = event;
  if (opensAt === null)
    return (
      <Empty
        sentence={NO_DAY}
        action={
          <Button title="Say when" look="primary" tall onPress={() => router.navigate(`/builds/events/${event.id}`)} />
        }
      />
    );
  if (!done) return <Loading what="what is done" />;
  const made = eventDayOf({ event, opensAt, plan, work, models, progress: done, nowMs: now });
  const nameOf = (id: string) => pieces.find((piece) => piece.id === id)?.name ?? 'a piece';
  const settings = <DaysCard plan={plan} change={change} />;
  if (!made.ok)
    return (
      <View className="gap-3">
        <Words look="error" role="alert">
          {SCHEDULE_PROBLEMS[made.problem.code]}
        </Words>
        {settings}
      </View>
    );
  const day = made.value;
  return (
    <View className={wide ? 'flex-row items-start gap-5' : 'gap-3'}>
      <View className={wide ? 'flex-[3] gap-3' : 'gap-3'}>
        <VerdictCard {...{ day, event, nameOf }} now={now} />
        <AheadNote event={event} day={day} />
        <TimeLine {...{ day, timeZone, nameOf }} now={now} />
        <DayList {...{ day, timeZone, nameOf }} eventId={event.id} onDone={done.say} />
        <DoneCard {...{ done, nameOf }} />
      </View>
      <View className={wide ? 'flex-[2] gap-3' : 'gap-3'}>
        <Button title="Save for a calendar" onPress={() => saveCalendar({ event, day, nameOf })} />
        {settings}
      </View>
    </View>
  );
}
