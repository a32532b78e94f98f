import type { EventRecord, PieceRecord, Write } from '@leggero/contract';

import { newId } from '@/device/id';

/** A piece once more, in an event or as a sketch, with nothing checked of it. */
export function copyOfPiece(
  { name, design, copies, eventId }: PieceRecord,
  by: Partial<Pick<PieceRecord, 'name' | 'eventId'>> & { createdAt: string },
): Extract<Write, { put: 'piece' }> {
  return { put: 'piece', row: { name, design, copies, eventId, ...by, id: newId() } };
}

/** What makes an event once more with all its pieces, planned and not yet dated. */
export function copyOfEvent(
  event: EventRecord,
  pieces: readonly PieceRecord[],
  createdAt: string,
): [string, ...Write[]] {
  const { demo: _, ...row } = event;
  const id = newId();
  const name = `${event.name}, once more`.slice(0, 80);
  return [
    id,
    { put: 'event', row: { ...row, id, name, opensAt: null, state: 'planned', createdAt } },
    ...pieces.map((piece) => copyOfPiece(piece, { eventId: id, createdAt })),
  ];
}
