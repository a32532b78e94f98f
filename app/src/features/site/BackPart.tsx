import type { Write } from '@leggero/contract';
import { COMES_BACK, needsOf, type Taken } from '@leggero/core/recipe';
import { useState } from 'react';
import { View } from 'react-native';

import { useInflations } from '@/data/inflation';
import { useLengths } from '@/data/lengths';
import { write } from '@/data/outbox';
import { useModels } from '@/data/records';
import { usePhotos, useRepairs, useSiteTicks } from '@/data/site';
import { useStockBook } from '@/data/stock';
import { newId, nowUtc } from '@/device/id';
import type { EventWork } from '@/parts/useEventWork';
import type { ShownEvent } from '@/parts/WithEvent';
import { Worked } from '@/parts/Worked';
import { Button } from '@/ui/Button';
import { Loading } from '@/ui/States';
import { UndoLine } from '@/ui/UndoLine';
import { Words } from '@/ui/Words';
import { comingBack, type ComingBack } from '@/views/comingBack';
import { twoIn } from '@/views/eventCost';
import { balloonName } from '@/views/modelView';
import { massText } from '@/wording/baseWeight';
import { takenText } from '@/wording/recipe';
import { outText } from '@/wording/site';
import { counted } from '@/wording/trade';

import { BackRow } from './BackRow';
import { TickRow } from './TickRow';
import { toggleTick } from './toggleTick';

/** What goes back when it comes down: balloons that were left, and what is used again. */
export function BackPart({ event }: ShownEvent) {
  return (
    <Worked event={event}>
      {(work) => (
        <>
          <Left {...{ event, work }} />
          <Things eventId={event.id} things={work.recipe.takes.filter(({ kind }) => COMES_BACK.includes(kind))} />
        </>
      )}
    </Worked>
  );
}

/** Balloons that went out and are left, as far as the records tell. */
function Left({ event, work }: Pick<ShownEvent, 'event'> & { work: EventWork }) {
  const models = useModels().data;
  const book = useStockBook();
  const runs = useInflations(event.id);
  const repairs = useRepairs(event.id);
  const [undo, setUndo] = useState<Write[] | null>(null);
  if (!(models && book && runs && repairs)) return <Loading what="what went out" />;
  const needs = needsOf(work.works, twoIn(models));
  const back = comingBack({ eventId: event.id, models, book, runs, repairs, needs });
  return (
    <>
      <Balloons
        // What went back changes what is out: counts are proposed anew.
        key={back.map(({ model, out }) => `${model.id} ${out}`).join()}
        {...{ back }}
        eventId={event.id}
        onBack={setUndo}
      />
      {undo ? (
        <UndoLine
          sentence="They are back in stock."
          onUndo={() => {
            write(...undo);
            setUndo(null);
          }}
        />
      ) : null}
    </>
  );
}

interface BalloonsProps {
  back: readonly ComingBack[];
  eventId: string;
  onBack: (undo: Write[]) => void;
}

function Balloons({ back, eventId, onBack }: BalloonsProps) {
  const [counts, setCounts] = useState<ReadonlyMap<string, number>>(new Map());
  const countOf = ({ model, left }: ComingBack) => counts.get(model.id) ?? left;
  const all = back.reduce((sum, each) => sum + countOf(each), 0);
  const putBack = () => {
    const rows = back.flatMap((each) => {
      const count = countOf(each);
      const row = { id: newId(), modelId: each.model.id, eventId, change: 'back' as const, count, at: nowUtc() };
      return count > 0 ? [row] : [];
    });
    write(...rows.map((row): Write => ({ put: 'stockEntry', row })));
    onBack(rows.map(({ id }) => ({ remove: 'stockEntry', id })));
  };
  return (
    <View className="gap-3">
      <Words look="heading" level={2}>
        Balloons that were left
      </Words>
      {back.length === 0 ? (
        <Words look="quiet">
          None are out for it. What an event takes off the shelf is said in its shopping list; what is left comes back
          here.
        </Words>
      ) : (
        <>
          {back.map((each) => (
            <BackRow
              key={each.model.id}
              title={balloonName(each.model)}
              note={outText(each)}
              count={countOf(each)}
              most={each.out}
              onChange={(count) => setCounts(new Map(counts).set(each.model.id, count))}
            />
          ))}
          <Button
            title={`Put ${counted(all, 'balloon')} back`}
            look="primary"
            tall
            disabled={all === 0}
            onPress={putBack}
          />
        </>
      )}
    </View>
  );
}

/** The same for the same thing of an event. */
const keyOf = ({ kind, lengthMm, kg }: Taken) =>
  `back ${kind} ${Math.round(lengthMm ?? 0)} ${Math.round(10 * (kg ?? 0))}`;

function Things({ eventId, things }: { eventId: string; things: readonly Taken[] }) {
  const { long, unit } = useLengths();
  const ticks = useSiteTicks(eventId) ?? [];
  const photos = usePhotos(eventId) ?? [];
  if (things.length === 0) return null;
  return (
    <View className="gap-1">
      <Words look="heading" level={2}>
        Used again
      </Words>
      <View role="list">
        {things.map((taken) => {
          const key = keyOf(taken);
          const seen = ticks.filter((tick) => tick.key === key);
          return (
            <TickRow
              key={key}
              title={takenText(taken, { text: long, mass: (kg) => massText(kg, unit) })}
              note=""
              done={seen.length > 0}
              onToggle={() => toggleTick(eventId, key, seen)}
              eventId={eventId}
              photoKey={key}
              photos={photos.filter((photo) => photo.key === key)}
            />
          );
        })}
      </View>
    </View>
  );
}
