import type { PieceRecord } from '@leggero/contract';
import type { ReactNode } from 'react';

import { usePieces } from '@/data/records';
import { Page } from '@/ui/Page';
import { Empty, Failed, Loading } from '@/ui/States';

import { useBasis, type PieceBasis } from './useBasis';

interface WithPieceProps {
  pieceId: string;
  children: (shown: { piece: PieceRecord; basis: PieceBasis }) => ReactNode;
}

/** Finds a piece and what it is worked out from, and shows the page once they are there. */
export function WithPiece({ pieceId, children }: WithPieceProps) {
  const pieces = usePieces();
  const piece = pieces.data?.find(({ id }) => id === pieceId);
  const basis = useBasis(piece?.eventId ?? null);
  if (piece && basis) return <>{children({ piece, basis })}</>;
  return (
    <Page title={pieces.data && !piece ? 'No such piece' : ' '} back="/builds">
      {pieces.data && !piece ? (
        <Empty sentence="No piece is known at this address. It may have been deleted." />
      ) : pieces.error ? (
        <Failed sentence="This piece could not be read." onRetry={pieces.refetch} />
      ) : (
        <Loading what="the piece" />
      )}
    </Page>
  );
}
