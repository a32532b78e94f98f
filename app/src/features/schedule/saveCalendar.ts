import type { EventRecord } from '@leggero/contract';

import { fileName, keepFile } from '@/device/download';
import type { EventDay } from '@/views/eventPlan';

import { calendarOf } from './calendarFile';

interface Saved {
  event: EventRecord;
  day: EventDay;
  nameOf: (piece: string) => string;
}

/** Hands the schedule to the browser as a file that calendars read. */
export async function saveCalendar({ event, day, nameOf }: Saved): Promise<void> {
  const text = await calendarOf({ event, day, nameOf, nowMs: Date.now() });
  keepFile(text, { name: fileName(`${event.name} schedule`, 'ics'), type: 'text/calendar' });
}
