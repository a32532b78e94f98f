import type { PieceRecord } from '@leggero/contract';
import type { ReactNode } from 'react';

import { usePiece } from '@/data/records';
import { Page } from '@/ui/Page';
import { Empty, Failed, Loading } from '@/ui/States';

import { useBasis, type PieceBasis } from './useBasis';

interface WithPieceProps {
  pieceId: string;
  children: (shown: { piece: PieceRecord; basis: PieceBasis }) => ReactNode;
}

/** Finds a piece and what it is worked out from, and shows the page once they are there. */
export function WithPiece({ pieceId, children }: WithPieceProps) {
  const { data: piece, error, refetch } = usePiece(pieceId);
  const basis = useBasis(piece?.eventId ?? null);
  if (piece && basis) return <>{children({ piece, basis })}</>;
  const missing = error?.status === 404;
  return (
    <Page title={missing ? 'No such piece' : ' '} back="/builds">
      {missing ? (
        <Empty sentence="No piece is known at this address. It may have been deleted." />
      ) : error ? (
        <Failed sentence="This piece could not be read." onRetry={refetch} />
      ) : (
        <Loading what="the piece" />
      )}
    </Page>
  );
}
