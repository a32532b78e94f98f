/** Of how many days, weeks and months the newest backup is kept. */
const KEPT = { days: 7, weeks: 5, months: 12 } as const;

const DAY_MS = 86_400_000;

/** Days since 1970, and weeks from a Monday on: the first day of 1970 was a Thursday. */
const dayOf = (iso: string): number => Math.floor(Date.parse(iso) / DAY_MS);
const weekOf = (iso: string): number => Math.floor((dayOf(iso) + 3) / 7);
const monthOf = (iso: string): string => iso.slice(0, 7);

/**
 * Which of some backups are kept, by when they were made (ISO 8601, UTC): the newest of each of the last days, weeks and
 * months that have any. However long none was made, those there are stay: what counts are days with a backup.
 */
export function keptOf(made: readonly string[]): string[] {
  const newestFirst = made.toSorted().toReversed();
  const kept = new Set<string>();
  const keep = (most: number, of: (iso: string) => string | number) => {
    const seen = new Set<string | number>();
    for (const each of newestFirst) {
      if (seen.has(of(each))) continue;
      if (seen.size === most) return;
      seen.add(of(each));
      kept.add(each);
    }
  };
  keep(KEPT.days, dayOf);
  keep(KEPT.weeks, weekOf);
  keep(KEPT.months, monthOf);
  return newestFirst.filter((each) => kept.has(each));
}
