import type { EventRecord } from '@leggero/contract';

import type { EventDay, PlannedStep } from '@/views/eventPlan';
import { handsText, stepText } from '@/wording/schedule';

interface CalendarOf {
  event: Pick<EventRecord, 'id' | 'name' | 'place'>;
  day: EventDay;
  nameOf: (piece: string) => string;
  nowMs: number;
}

/** Steps at the place of the event; the others are done in the workroom. */
const AT_PLACE: readonly PlannedStep['kind'][] = ['up', 'down'];
/** How long an opening is shown. */
const OPENING_MS = 3_600_000;

interface Entry {
  id: string;
  fromMs: number;
  toMs: number;
  summary: string;
  description: string;
  /** Where; '' where nobody said. */
  location: string;
}

/**
 * A schedule as an iCalendar file: an entry for each stretch of each step, and one for the opening. Moments are in UTC, so
 * that a calendar shows each by its own clock, also across a change of clocks; an entry keeps its name from one file to
 * the next, so that a calendar renews it.
 *
 * Source: RFC 5545.
 */
export async function calendarOf({ event, day, nameOf, nowMs }: CalendarOf): Promise<string> {
  const { default: ICAL } = await import('ical.js');
  const moment = (ms: number) => ICAL.Time.fromJSDate(new Date(ms), true);
  const calendar = new ICAL.Component('vcalendar');
  calendar.addPropertyWithValue('prodid', '-//Leggero//Schedule//EN');
  calendar.addPropertyWithValue('version', '2.0');
  for (const { id, fromMs, toMs, ...words } of entriesOf({ event, day, nameOf })) {
    const entry = new ICAL.Component('vevent');
    entry.addPropertyWithValue('uid', `${event.id}-${id}`);
    entry.addPropertyWithValue('dtstamp', moment(nowMs));
    // A newer file counts higher.
    entry.addPropertyWithValue('sequence', Math.floor(nowMs / 60_000));
    entry.addPropertyWithValue('dtstart', moment(fromMs));
    entry.addPropertyWithValue('dtend', moment(toMs));
    for (const [name, text] of Object.entries(words)) if (text !== '') entry.addPropertyWithValue(name, text);
    calendar.addSubcomponent(entry);
  }
  return `${calendar.toString()}\r\n`;
}

function entriesOf({ event, day, nameOf }: Omit<CalendarOf, 'nowMs'>): Entry[] {
  const steps = day.steps.flatMap((step) =>
    step.parts.map(({ fromMs, toMs }, i): Entry => ({
      ...{ id: `${step.id.replaceAll(' ', '-')}-${i}`, fromMs, toMs },
      summary: `${stepText(step, nameOf)} (${event.name})`,
      description: handsText(step),
      location: AT_PLACE.includes(step.kind) ? event.place : '',
    })),
  );
  const opens = { fromMs: day.opensMs, toMs: day.opensMs + OPENING_MS, location: event.place };
  return [...steps, { ...opens, id: 'opening', summary: `${event.name} opens`, description: '' }];
}
