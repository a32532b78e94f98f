import type { EventRecord, PieceRecord } from '@leggero/contract';

import { useAsked, useSameFigures } from '@/parts/useAsked';
import { openPieceWorker } from '@/parts/piece/openPieceWorker';
import { useMaterials } from '@/parts/piece/useMaterials';
import type { WorksAnswer, WorksQuestion } from '@/parts/piece/works';
import { worksQuestion } from '@/parts/piece/worksQuestion';

/** What is to do for pieces that are not kept yet; null until a worker has worked them out. */
export function useSwapped(pieces: readonly PieceRecord[], event: EventRecord): WorksAnswer | 'failed' | null {
  const materials = useMaterials();
  const question = useSameFigures(materials ? worksQuestion(pieces, [event], materials) : null);
  return useAsked<WorksQuestion, WorksAnswer>(openPieceWorker, question, { restMs: 0 }).answer;
}
