import type { PieceRecord } from '@leggero/contract';

import type { PaperThing } from '@/parts/paper/paper';
import { openPieceWorker } from '@/parts/piece/openPieceWorker';
import type { StillAnswer, StillQuestion } from '@/parts/piece/piece.worker';
import { useMaterials } from '@/parts/piece/useMaterials';
import { useAsked, useSameFigures } from '@/parts/useAsked';
import { pieceTitle } from '@/wording/pieces';

/** Pictures for paper are sharper than those of a list, px. */
const PX = 900;

/** Pieces as they look on paper, by id; null until a worker has drawn them, none where it cannot. */
export function useThings(pieces: readonly PieceRecord[]): ReadonlyMap<string, PaperThing> | null {
  const materials = useMaterials();
  const question = useSameFigures<StillQuestion>(
    materials && { jobs: pieces.map(({ design }) => ({ design, material: materials(design) })), px: PX },
  );
  const { answer } = useAsked<StillQuestion, StillAnswer>(openPieceWorker, question, { restMs: 0 });
  if (answer === 'failed') return new Map();
  if (!answer) return null;
  return new Map(
    pieces.flatMap((piece, i) => {
      const still = answer[i];
      return still ? [[piece.id, { ...still, key: piece.id, name: pieceTitle(piece) }]] : [];
    }),
  );
}
