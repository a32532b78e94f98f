/** A moment as a day of the year: "5 Oct", as the device's language has it. */
export function dayText(instant: string): string {
  return new Date(instant).toLocaleDateString(undefined, { day: 'numeric', month: 'short' });
}

/** A day and an hour as people say them: "Sat, 5 Dec, 18:00"; by another clock than the device's it is said by whose. */
export function momentText(instant: string, timeZone: string | null = null): string {
  const at = new Date(instant);
  const zoned = timeZone === null ? {} : { timeZone };
  const text = at.toLocaleString(undefined, {
    ...{ weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' },
    ...zoned,
  });
  return timeZone === null || at.toLocaleString('en', zoned) === at.toLocaleString('en')
    ? text
    : `${text} (${cityOf(timeZone)})`;
}

/** "Friday, 4 December", by the clock of a place. */
export function longDayText(ms: number, timeZone: string | null): string {
  return new Date(ms).toLocaleDateString(undefined, {
    ...{ weekday: 'long', day: 'numeric', month: 'long' },
    ...(timeZone === null ? {} : { timeZone }),
  });
}

/** "Lisbon", of Europe/Lisbon. */
export const cityOf = (timeZone: string): string => timeZone.split('/').at(-1)!.replaceAll('_', ' ');

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/** How far off a moment is: "in 7 days", "in 5 hours", "3 days ago". */
export function awayText(instant: string, now: number): string {
  const away = Date.parse(instant) - now;
  const [figure, unit] =
    Math.abs(away) >= 2 * DAY_MS ? [Math.round(away / DAY_MS), 'day'] : [Math.round(away / HOUR_MS), 'hour'];
  return new Intl.RelativeTimeFormat('en', { numeric: 'always' }).format(figure, unit as 'day' | 'hour');
}
