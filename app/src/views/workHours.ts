import type { Stretch } from '@leggero/core/schedule';
import { DateTime } from 'luxon';

interface WorkDays {
  fromMs: number;
  toMs: number;
  /** By the clock of the place, minutes after midnight. */
  dayFromMin: number;
  dayToMin: number;
  /** Null as the device's. */
  timeZone: string | null;
}

/**
 * The hours of work of each day between two moments, by the clock of a place: on the days its clocks change one day is
 * an hour longer or shorter, and work begins at the same hour all the same.
 */
export function workHours({ fromMs, toMs, dayFromMin, dayToMin, timeZone }: WorkDays): Stretch[] {
  const hours: Stretch[] = [];
  let day = DateTime.fromMillis(fromMs, { zone: timeZone ?? 'local' }).startOf('day');
  while (day.toMillis() < toMs) {
    const next = day.plus({ days: 1 }).startOf('day');
    const at = (minutes: number): number =>
      minutes >= 1440 ? next.toMillis() : day.set({ hour: Math.floor(minutes / 60), minute: minutes % 60 }).toMillis();
    if (dayToMin > dayFromMin) hours.push({ fromMs: at(dayFromMin), toMs: at(dayToMin) });
    day = next;
  }
  return hours;
}

/** The midnight that begins the day of a moment, by the clock of a place. */
export const dayOf = (ms: number, timeZone: string | null): number =>
  DateTime.fromMillis(ms, { zone: timeZone ?? 'local' })
    .startOf('day')
    .toMillis();
