/** A moment as a day of the year: "5 Oct", as the device's language has it. */
export function dayText(instant: string): string {
  return new Date(instant).toLocaleDateString(undefined, { day: 'numeric', month: 'short' });
}

/** A day and an hour as people say them: "Sat, 5 Dec, 18:00". */
export function momentText(instant: string): string {
  return new Date(instant).toLocaleString(undefined, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });
}

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/** How far off a moment is: "in 7 days", "in 5 hours", "3 days ago". */
export function awayText(instant: string, now: number): string {
  const away = Date.parse(instant) - now;
  const [figure, unit] =
    Math.abs(away) >= 2 * DAY_MS ? [Math.round(away / DAY_MS), 'day'] : [Math.round(away / HOUR_MS), 'hour'];
  return new Intl.RelativeTimeFormat('en', { numeric: 'always' }).format(figure, unit as 'day' | 'hour');
}
