import { router, useLocalSearchParams } from 'expo-router';

import type { Venue } from '@/views/modelView';
import { ALTITUDE, HOURS, TEMPERATURE } from '@/wording/conditions';

/** The venue that stands in the address; null when the piece is made and shown in one place at one time. */
export function useVenue(): { venue: Venue | null; change: (venue: Venue | null) => void } {
  const { temp, alt, hours, wraps } = useLocalSearchParams<Record<'temp' | 'alt' | 'hours' | 'wraps', string>>();
  const readVenue = (): Venue | null => {
    if (temp === undefined || temp === '') return null;
    const read = { tempC: Number(temp), altitudeM: Number(alt ?? 0), hours: Number(hours ?? 0) };
    const possible = within(read.tempC, TEMPERATURE) && within(read.altitudeM, ALTITUDE) && within(read.hours, HOURS);
    return possible ? { ...read, wraps: wraps === '1' ? 1 : 2 } : null;
  };
  const venue = readVenue();
  const change = (to: Venue | null) =>
    router.setParams({
      temp: to ? String(to.tempC) : '',
      alt: to ? String(to.altitudeM) : '',
      hours: to ? String(to.hours) : '',
      wraps: to ? String(to.wraps) : '',
    });
  return { venue, change };
}

function within(value: number, { least, most }: { least: number; most: number }): boolean {
  return value >= least && value <= most;
}
