import type { EventRecord, PieceRecord } from '@leggero/contract';

import type { useMaterials } from './useMaterials';
import type { WorksQuestion } from './works';

/** What is asked of the pieces of some events: each as it stands, in its own event's days. */
export function worksQuestion(
  pieces: readonly PieceRecord[],
  events: readonly EventRecord[],
  materials: NonNullable<ReturnType<typeof useMaterials>>,
): WorksQuestion {
  const eventOf = new Map(events.map((event) => [event.id, event]));
  return {
    pieces: pieces.map(({ id, copies, design, eventId }) => {
      const { outdoors, daysStanding } = eventOf.get(eventId!)!;
      const material = materials(design);
      return { id, copies, design, outdoors, material: { ...material, studio: { ...material.studio, daysStanding } } };
    }),
  };
}
