import type { EventRecord } from '@leggero/contract';
import { lengthOf } from '@leggero/core/recipe';
import { hoursFor } from '@leggero/core/supply';
import { router, useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';

import { useEvents } from '@/data/records';
import { SideBySide } from '@/parts/paper/PaperView';
import { WithEvent, type ShownEvent } from '@/parts/WithEvent';
import { Card } from '@/ui/Card';
import { useWide } from '@/ui/layout';
import { PickChips } from '@/ui/PickChips';
import { Empty, Failed, Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { eventCost } from '@/views/eventCost';
import { versionRows, type VersionFigures } from '@/wording/versions';

import { useThings } from './sheets/useThings';
import { useEventWork, type EventWork } from '@/parts/useEventWork';
import { WithEventWork } from '@/parts/WithEventWork';

/** Two versions of an event side by side: drawings, counts, length, hours and price. */
export function VersionsPage({ eventId }: { eventId: string }) {
  return (
    <WithEventWork eventId={eventId} title="Compare versions" subtitle={() => 'Beside another event, or a copy of it'}>
      {(shown) => <Versions {...shown} />}
    </WithEventWork>
  );
}

function Versions(shown: ShownEvent & { work: EventWork }) {
  const { with: otherId } = useLocalSearchParams<{ with?: string }>();
  const others = (useEvents().data ?? []).filter(({ id }) => id !== shown.event.id);
  if (others.length === 0)
    return (
      <Empty sentence="There is no other event. Copy this one on its page, change the copy, and compare the two." />
    );
  return (
    <View className="gap-4">
      <PickChips
        label="Beside which"
        options={others.map(({ id, name }) => ({ value: id, title: name }))}
        value={otherId ?? null}
        onChange={(id) => router.setParams({ with: id })}
      />
      {otherId ? (
        <WithEvent key={otherId} eventId={otherId}>
          {(other) => <Beside one={shown} other={other} />}
        </WithEvent>
      ) : null}
    </View>
  );
}

function Beside({ one, other }: { one: ShownEvent & { work: EventWork }; other: ShownEvent }) {
  const wide = useWide();
  const work = useEventWork(other.event);
  if (work === 'failed')
    return <Failed sentence="It could not be worked out here." onRetry={() => window.location.reload()} />;
  if (!work) return <Loading what="the other version" />;
  const { currency } = one.studio;
  const rows = versionRows(figuresOf(one.work), figuresOf(work), {
    currency,
    text: one.work.basis.lengths.text,
  });
  return (
    <>
      <View className={wide ? 'flex-row gap-6' : 'gap-3'}>
        <Drawn {...one} wide={wide} />
        <Drawn {...other} wide={wide} />
      </View>
      <Card>
        <View role="table" aria-label="Side by side">
          <View role="row" className="flex-row gap-2 border-b border-line pb-2">
            <Words role="columnheader" look="label" className="flex-1" />
            {[one.event, other.event].map((event: EventRecord) => (
              <Words key={event.id} role="columnheader" look="label" className="flex-1 text-right">
                {event.name}
              </Words>
            ))}
            <Words role="columnheader" look="label" className="flex-1 text-right">
              Apart
            </Words>
          </View>
          {rows.map(({ title, cells }) => (
            <View key={title} role="row" className="flex-row gap-2 border-b border-line py-2">
              <Words role="rowheader" className="flex-1">
                {title}
              </Words>
              {cells.map((cell, i) => (
                <Words key={i} role="cell" look={i < 2 ? 'strong' : 'body'} className="flex-1 text-right tabular-nums">
                  {cell}
                </Words>
              ))}
            </View>
          ))}
        </View>
      </Card>
    </>
  );
}

function Drawn({ event, pieces, wide }: ShownEvent & { wide: boolean }) {
  const things = useThings(pieces);
  return (
    <View className={wide ? 'flex-1 gap-2' : 'gap-2'}>
      <Words look="heading" level={2}>
        {event.name}
      </Words>
      {things ? (
        <SideBySide things={pieces.flatMap(({ id }) => things.get(id) ?? [])} />
      ) : (
        <Words look="quiet">Drawing…</Words>
      )}
    </View>
  );
}

/** What of a version is compared. */
function figuresOf({ works, recipe, counts, plan, pricing }: EventWork): VersionFigures {
  const { sized, people, stations } = plan;
  const hours = hoursFor({ counts, sized, people, stations, trade: pricing.trade });
  const cost = eventCost(works, pricing);
  return {
    pieces: counts.pieces,
    balloons: counts.balloons,
    batches: recipe.batches.length,
    bags: recipe.bags,
    lengthMm: lengthOf(works)?.alongMm ?? null,
    handHours: hours.ok ? hours.value.handHours : null,
    hours: hours.ok ? hours.value.hours : null,
    costMinor: cost.ok ? cost.value.totalMinor : null,
    priceMinor: cost.ok ? cost.value.priceMinor : null,
  };
}
