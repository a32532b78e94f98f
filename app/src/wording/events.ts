import type { EventRecord, EventState, FixingRecord } from '@leggero/contract';
import type { InflatorKind } from '@leggero/core';

import { awayText, momentText } from './day';
import { counted, doseText, doseUnit } from './trade';

export const STATE_WORDS: Record<EventState, string> = {
  planned: 'Planned',
  'in work': 'In work',
  up: 'Up',
  down: 'Down',
};

/** What follows from an event's pieces, each a page of its own. */
export const EVENT_PAGES = [
  { page: 'recipe', title: 'Recipe', note: 'What to inflate, tie and build, in working order' },
  {
    page: 'run',
    title: 'Inflation run',
    note: 'Batch after batch at a station: a tap a balloon, sizes checked as you go',
  },
  { page: 'schedule', title: 'Schedule', note: 'Backwards from the opening: what begins when, and what cannot wait' },
  { page: 'morning', title: 'Next morning', note: 'What a night cost: set balloons aside, and measure them again' },
  { page: 'site', title: 'Site list', note: 'What to look at, what to put right, how it came out, what goes back' },
  { page: 'shopping', title: 'Shopping list', note: 'What is needed with spares, what is there, what to buy' },
  { page: 'sheet', title: 'Sheets', note: 'For the bench, the site and the client, to print or as PDF' },
  { page: 'money', title: 'Hours and price', note: 'How long it takes by how many, and what it comes to' },
  { page: 'versions', title: 'Compare versions', note: 'Beside a copy or another event: counts, hours, price' },
] as const;

/** When and where an event is, in one line; what is not said yet is left out. */
export function whenAndWhere({
  opensAt,
  timeZone,
  place,
}: Pick<EventRecord, 'opensAt' | 'timeZone' | 'place'>): string {
  return [opensAt === null ? '' : momentText(opensAt, timeZone), place].filter((part) => part !== '').join(' · ');
}

/** What an event's rooms and days are, in one line. */
export function conditionsText(
  { venueTempC, daysStanding, outdoors, hoursBefore }: EventRecord,
  workroomTempC: number,
): string {
  return [
    outdoors ? 'outdoors' : 'indoors',
    venueTempC === null || venueTempC === workroomTempC
      ? `${workroomTempC} °C`
      : `${workroomTempC} to ${venueTempC} °C`,
    `made ${counted(hoursBefore, 'hour')} before`,
    daysStanding === 0 ? 'stands the same day' : `stands ${counted(daysStanding, 'day')}`,
  ].join(' · ');
}

const HOUR_MS = 3_600_000;

/** What is wrong with when an event opens; undefined where nothing is. */
export function openingProblem(
  { opensAt, hoursBefore, state }: Pick<EventRecord, 'opensAt' | 'hoursBefore' | 'state'>,
  now: number,
): string | undefined {
  if (opensAt === null || state === 'up' || state === 'down') return undefined;
  const left = Date.parse(opensAt) - now;
  if (left < 0)
    return `It opened ${awayText(opensAt, now)} and is still ${STATE_WORDS[state].toLowerCase()}: is it up?`;
  if (state === 'planned' && left < hoursBefore * HOUR_MS)
    return `It opens ${awayText(opensAt, now)}, and is made ${counted(hoursBefore, 'hour')} before: begin, or open later.`;
  return undefined;
}

/** What has moved since a target was fixed: "Since then it has moved: 9¾ to 9⅝ in, 7½ to 7 strokes." */
export function movedText(
  fixed: Pick<FixingRecord, 'fillMm' | 'dose'>,
  now: { fillMm: number; dose: number | null; kind: InflatorKind },
  text: (mm: number) => string,
): string {
  const parts = [];
  if (text(fixed.fillMm) !== text(now.fillMm)) parts.push(`${text(fixed.fillMm)} to ${text(now.fillMm)}`);
  if (fixed.dose !== now.dose) {
    const said = (dose: number | null) => (dose === null ? 'no dose yet' : doseText(dose, now.kind));
    parts.push(`${said(fixed.dose)} to ${said(now.dose)} ${doseUnit(now.kind)}`);
  }
  return `Since then it has moved: ${parts.join(', ')}.`;
}
