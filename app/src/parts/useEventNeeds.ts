import { planOf, type EventRecord, type PieceRecord } from '@leggero/contract';
import { needsOf } from '@leggero/core/recipe';

import { useEvents, useModels, usePieces } from '@/data/records';
import { twoIn } from '@/views/eventCost';
import type { EventNeeds } from '@/views/supply';

import { openPieceWorker } from './piece/openPieceWorker';
import { useMaterials } from './piece/useMaterials';
import type { AskedWork, WorksAnswer, WorksQuestion } from './piece/works';
import { worksQuestion } from './piece/worksQuestion';
import { useAsked, useSameFigures } from './useAsked';

/** What events that are still to be made need, and the work of their pieces. */
export interface OpenEvents {
  events: EventRecord[];
  needs: EventNeeds[];
  pieces: PieceRecord[];
  /** By piece; those that cannot be worked out are missing. */
  asked: ReadonlyMap<string, AskedWork>;
  /** All pieces as they are now have been worked out; else some may be as they were, or missing. */
  settled: boolean;
}

/** Events whose balloons are still to be made. */
const isOpen = ({ state }: Pick<EventRecord, 'state'>) => state === 'planned' || state === 'in work';

/**
 * What all events that are still to be made need of the shelf, and one more event: null until a worker has worked their
 * pieces out, `'failed'` where that could not be done.
 */
export function useEventNeeds(alsoId: string | null): OpenEvents | 'failed' | null {
  const materials = useMaterials();
  const models = useModels().data;
  const all = usePieces().data;
  const events = useEvents().data?.filter((each) => each.id === alsoId || isOpen(each));
  const pieces = all?.filter(({ eventId }) => events?.some(({ id }) => id === eventId));
  const question = useSameFigures(materials && pieces && events ? worksQuestion(pieces, events, materials) : null);
  const { answer, last } = useAsked<WorksQuestion, WorksAnswer>(openPieceWorker, question, { restMs: 0 });
  if (answer === 'failed') return 'failed';
  const works = answer ?? last;
  if (!(models && events && pieces && works)) return null;
  const asked = new Map(works.flatMap((each) => (each ? [[each.work.piece, each]] : [])));
  const twoOf = twoIn(models);
  const needs = events.map(({ id: event, opensAt, plan }): EventNeeds => {
    const of = pieces.flatMap((piece) => (piece.eventId === event ? (asked.get(piece.id)?.work ?? []) : []));
    const opensAtMs = opensAt === null ? null : Date.parse(opensAt);
    return { event, opensAtMs, needs: needsOf(of, twoOf), sure: planOf({ plan }).sure };
  });
  return { events, needs, pieces, asked, settled: answer !== null };
}
