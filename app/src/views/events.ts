import type { EventRecord, Studio } from '@leggero/contract';

import type { Venue } from './modelView';

/** What an event says of making and showing its balloons. */
export interface EventConditions {
  /** The studio as it works for this event: how long its pieces stand, how warm it is where they are made. */
  studio: Studio;
  venue: Venue | null;
}

/** A sketch is made and shown as the studio usually does; an event has its own days, rooms and hours. */
export function conditionsOf(event: EventRecord | null, studio: Studio): EventConditions {
  if (event === null) return { studio, venue: null };
  const workroomTempC = event.workroomTempC ?? studio.workroomTempC;
  return {
    studio: { ...studio, daysStanding: event.daysStanding, workroomTempC },
    venue: {
      tempC: event.venueTempC ?? workroomTempC,
      altitudeM: event.venueAltitudeM ?? studio.workroomAltitudeM,
      hours: event.hoursBefore,
      wraps: event.wraps,
    },
  };
}
