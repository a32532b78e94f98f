import { slipOf } from '@leggero/core/schedule';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';

import { Button } from '@/ui/Button';
import { Segmented } from '@/ui/Segmented';
import { Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import type { EventDay, StepGroup } from '@/views/eventPlan';
import { groupText, handsText, slipText, spanText, stepText } from '@/wording/schedule';

interface StepSheetProps {
  day: EventDay;
  /** Null while none is open. */
  group: StepGroup | null;
  nameOf: (piece: string) => string;
  eventId: string;
  onDone: (stepIds: readonly string[]) => void;
  onClose: () => void;
}

const MINUTE_MS = 60_000;
/** By how much longer a step may take, minutes. */
const LONGER = ['30', '60', '180'] as const;
/** Pages on which a kind of step is done. */
const PAGES: Partial<Record<StepGroup['kind'], { title: string; page: string }>> = {
  buy: { title: 'Open the shopping list', page: 'shopping' },
  inflate: { title: 'Open the inflation run', page: 'run' },
  tie: { title: 'Open the recipe', page: 'recipe' },
  build: { title: 'Open the recipe', page: 'recipe' },
  check: { title: 'Open the next morning', page: 'morning' },
  up: { title: 'Open the site list', page: 'site' },
  down: { title: 'Open the site list', page: 'site' },
};

/** A kind of step: how long each of it takes, by how many, and what moves where it takes longer. */
export function StepSheet({ day, group, nameOf, eventId, onDone, onClose }: StepSheetProps) {
  const [longer, setLonger] = useState<(typeof LONGER)[number]>('30');
  if (group === null) return null;
  const { schedule, asked, opensMs } = day;
  const { plan, hours } = asked;
  const means = { people: plan.people, stations: plan.stations, hours };
  const slip =
    group.floatMs === null
      ? null
      : slipOf({
          ...{ steps: schedule.all, means, schedule, dueMs: opensMs },
          // Of several it is the last that delays what follows.
          stepId: group.steps.at(-1)!.id,
          byMs: Number(longer) * MINUTE_MS,
        });
  const nameOfStep = (id: string) =>
    stepText(
      schedule.all.find((each) => each.id === id)!,
      nameOf,
    );
  const finish = () => {
    onDone(group.steps.map(({ id }) => id));
    onClose();
  };
  const leads = PAGES[group.kind];
  return (
    <Sheet title={groupText(group, nameOf)} open onClose={onClose}>
      <View role="list">
        {group.steps.map((step) => {
          const workedMs = step.parts.reduce((sum, { fromMs, toMs }) => sum + toMs - fromMs, 0);
          return (
            <View key={step.id} role="listitem" className="flex-row justify-between gap-3 py-1">
              <Words className="flex-1">{step.piece === null ? handsText(step) : nameOf(step.piece)}</Words>
              <Words className="tabular-nums">{spanText(workedMs)}</Words>
            </View>
          );
        })}
      </View>
      {slip?.ok ? (
        <View className="gap-2">
          <Words look="label">If it takes longer by</Words>
          <Segmented
            label="If it takes longer by"
            options={LONGER.map((value) => ({ value, title: spanText(Number(value) * MINUTE_MS) }))}
            value={longer}
            onChange={setLonger}
          />
          <Words role="status" look="strong" className={slip.value.lateMs > 0 ? 'text-out' : ''}>
            {slipText(slip.value, nameOfStep)}
          </Words>
        </View>
      ) : null}
      <Button title="It is done" look="primary" tall onPress={finish} />
      {leads ? (
        <Button title={leads.title} onPress={() => router.navigate(`/builds/events/${eventId}/${leads.page}`)} />
      ) : null}
    </Sheet>
  );
}
