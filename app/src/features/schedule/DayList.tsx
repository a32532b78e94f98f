import Clock from 'lucide-react-native/icons/clock-alert';
import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';
import type { EventDay, StepGroup } from '@/views/eventPlan';
import { dayOf } from '@/views/workHours';
import { longDayText } from '@/wording/day';
import { airText, clockText, groupText, handsText, spanText } from '@/wording/schedule';

import { StepSheet } from './StepSheet';

interface DayListProps {
  day: EventDay;
  timeZone: string | null;
  nameOf: (piece: string) => string;
  eventId: string;
  /** Steps are done, by their ids. */
  onDone: (stepIds: readonly string[]) => void;
}

/** What is on, day by day; what goes on over a night stands on both days. */
export function DayList({ day, timeZone, nameOf, eventId, onDone }: DayListProps) {
  const [open, setOpen] = useState<StepGroup['kind'] | null>(null);
  const rows = rowsOf(day, timeZone);
  const days = [...new Set(rows.map((row) => row.dayMs))];
  const leastMs = Math.min(...day.groups.flatMap(({ floatMs }) => (floatMs === null ? [] : [floatMs])));
  return (
    <View className="gap-4">
      {days.map((dayMs) => (
        <View key={dayMs} className="gap-1">
          <Words look="heading" level={2}>
            {longDayText(dayMs, timeZone)}
          </Words>
          <View role="list">
            {rows
              .filter((row) => row.dayMs === dayMs)
              .map(({ group, fromMs, toMs, again }) =>
                group === 'opening' ? (
                  <Opening key="opening" at={clockText(fromMs, timeZone)} />
                ) : (
                  <Row
                    key={group.kind}
                    {...{ group, leastMs }}
                    at={clockText(fromMs, timeZone)}
                    lasts={spanText(toMs - fromMs)}
                    title={again ? `${groupText(group, nameOf)}, on` : groupText(group, nameOf)}
                    onPress={() => setOpen(group.kind)}
                  />
                ),
              )}
          </View>
        </View>
      ))}
      <StepSheet
        {...{ day, nameOf, eventId, onDone }}
        group={day.groups.find(({ kind }) => kind === open) ?? null}
        onClose={() => setOpen(null)}
      />
    </View>
  );
}

interface DayRow {
  dayMs: number;
  fromMs: number;
  toMs: number;
  group: StepGroup | 'opening';
  /** It was begun on a day before. */
  again: boolean;
}

function rowsOf({ groups, opensMs }: EventDay, timeZone: string | null): DayRow[] {
  const rows = groups.flatMap((group): DayRow[] => {
    const about = { group, fromMs: group.startMs, toMs: group.endMs, again: false };
    // What goes on by itself for days is told where it begins.
    if (group.people === 0) return [{ ...about, dayMs: dayOf(group.startMs, timeZone) }];
    const parts = group.steps.flatMap((step) => step.parts);
    const days = [...new Set(parts.map(({ fromMs }) => dayOf(fromMs, timeZone)))].sort((a, b) => a - b);
    return days.map((dayMs, i): DayRow => {
      const own = parts.filter(({ fromMs }) => dayOf(fromMs, timeZone) === dayMs);
      return {
        ...{ group, dayMs, again: i > 0 },
        fromMs: Math.min(...own.map(({ fromMs }) => fromMs)),
        toMs: Math.max(...own.map(({ toMs }) => toMs)),
      };
    });
  });
  const at = { fromMs: opensMs, toMs: opensMs, dayMs: dayOf(opensMs, timeZone) };
  const opening: DayRow = { ...at, group: 'opening', again: false };
  return [...rows, opening].sort((a, b) => a.fromMs - b.fromMs || a.toMs - b.toMs);
}

function Opening({ at }: { at: string }) {
  return (
    <View role="listitem" className="min-h-[48px] flex-row items-center gap-3 rounded-card bg-pine-wash px-3">
      <Words look="strong" className="w-[84px] tabular-nums">
        {at}
      </Words>
      <Words look="strong" className="flex-1">
        Opening
      </Words>
    </View>
  );
}

interface RowProps {
  group: StepGroup;
  at: string;
  lasts: string;
  title: string;
  leastMs: number;
  onPress: () => void;
}

function Row({ group, at, lasts, title, leastMs, onPress }: RowProps) {
  const palette = usePalette();
  const { floatMs, critical } = group;
  const held = `${lasts}, ${handsText(group)}`;
  const late = floatMs !== null && floatMs < 0;
  return (
    <View role="listitem" className="border-b border-line">
      <Pressable
        role="button"
        onPress={onPress}
        className="min-h-[56px] flex-row items-center gap-3 px-3 py-2 active:bg-sunk"
      >
        <Words className="w-[84px] tabular-nums">{at}</Words>
        <View className="flex-1">
          <Words look="strong">{title}</Words>
          <Words look="quiet" className={late ? 'text-out' : ''}>
            {floatMs === null ? held : `${held} · ${airText(floatMs, { critical, leastMs })}`}
          </Words>
        </View>
        {critical ? <Clock size={20} color={late ? palette.out : palette.edge} /> : null}
      </Pressable>
    </View>
  );
}
