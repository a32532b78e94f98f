import { planOf, type EventRecord } from '@leggero/contract';
import { useDeferredValue } from 'react';
import { View } from 'react-native';

import { useInflations } from '@/data/inflation';
import { useModels, usePieces, useShelf } from '@/data/records';
import { eventDayOf } from '@/parts/eventDayOf';
import { useEventWork, type EventWork } from '@/parts/useEventWork';
import { useStepsDone } from '@/parts/useStepsDone';
import { RowLink } from '@/ui/RowLink';
import { Loading } from '@/ui/States';
import { useNow } from '@/ui/useNow';
import { openRun } from '@/views/runs';
import { balloonName } from '@/views/modelView';
import { madeBatches, setAside } from '@/views/setAside';
import { shortOf, unknownBalloons } from '@/views/today';
import { momentText } from '@/wording/day';
import { groupText, spanText, toldMs } from '@/wording/schedule';
import { knownText, runText, shortText } from '@/wording/today';
import { counted } from '@/wording/trade';

/** So many balloons that are not known well enough are named. */
const MOST_UNKNOWN = 3;

/** What is on for the next event: what begins when, what goes on, what waits to be measured, what is missing. */
export function Today({ event }: { event: EventRecord }) {
  const work = useDeferredValue(useEventWork(event), null);
  return (
    <View className="gap-2">
      <Running event={event} />
      {work === null ? (
        <Loading what="what is on" />
      ) : work === 'failed' || work.works.length === 0 ? null : (
        <Ahead {...{ event, work }} />
      )}
    </View>
  );
}

/** The run that goes on, and balloons that wait for their morning. */
function Running({ event }: { event: EventRecord }) {
  const now = useNow();
  const runs = useInflations(event.id);
  const models = useShelf().data;
  if (!runs || !models) return null;
  const run = openRun(runs);
  const made = new Set(madeBatches(runs, models).map(({ model }) => model.id));
  const waiting = setAside(models, made, now).filter(({ again, hours }) => again === null && hours >= 1);
  const page = `/builds/events/${event.id}`;
  return (
    <>
      {run ? <RowLink href={`${page}/run`} title="Inflation run goes on" note={runText(run.progress)} /> : null}
      {waiting.length > 0 ? (
        <RowLink
          href={`${page}/morning`}
          title={`Measure ${counted(waiting.length, 'balloon')} again`}
          note="Set aside in the evening: what a night cost"
        />
      ) : null}
    </>
  );
}

/** The next step of the schedule, what there is too little of, and balloons that are not known well enough. */
function Ahead({ event, work }: { event: EventRecord; work: EventWork }) {
  const now = useNow();
  const models = useModels().data ?? [];
  const shelf = useShelf().data ?? [];
  const pieces = usePieces().data ?? [];
  const done = useStepsDone(event.id);
  const { opensAt } = event;
  const made =
    opensAt === null || !done
      ? null
      : eventDayOf({ event, opensAt, plan: planOf(event), work, models, progress: done, nowMs: now });
  const nameOf = (id: string) => pieces.find((piece) => piece.id === id)?.name ?? 'a piece';
  const next = made?.ok ? made.value.groups.find(({ floatMs }) => floatMs !== null) : undefined;
  const lateMs = made?.ok ? made.value.schedule.lateMs : 0;
  const short = shortOf(work.lines).map(({ line, lacks }) => {
    return { name: line.model ? balloonName(line.model) : null, lacks };
  });
  const used = new Set(work.works.flatMap(({ sizes }) => sizes.map(({ balloon }) => balloon)));
  const unknown = unknownBalloons(used, shelf, now);
  const page = `/builds/events/${event.id}`;
  return (
    <>
      {next ? (
        <RowLink
          href={`${page}/schedule`}
          title={groupText(next, nameOf)}
          note={
            lateMs > 0
              ? `${spanText(lateMs)} too late: see what would have to give`
              : `by ${momentText(new Date(toldMs(next.startMs)).toISOString(), event.timeZone)}`
          }
        />
      ) : null}
      {short.length > 0 ? (
        <RowLink
          href={`${page}/shopping`}
          title={`Too few of ${counted(short.length, 'balloon')}`}
          note={shortText(short)}
        />
      ) : null}
      {unknown.slice(0, MOST_UNKNOWN).map(({ model, days }) => (
        <RowLink
          key={model.id}
          href={`/shelf/${model.id}/reading`}
          title={`Calibrate ${balloonName(model)}`}
          note={`${event.name} uses it: ${knownText(days)}`}
        />
      ))}
    </>
  );
}
