import type { PieceRecord } from '@leggero/contract';

import { usePieces } from '@/data/records';
import { Page } from '@/ui/Page';
import { Empty, Failed, Loading } from '@/ui/States';

import { ChainPiece } from './ChainPiece';
import { ClosedPiece } from './ClosedPiece';
import { CurtainPiece } from './CurtainPiece';
import { RingPiece } from './RingPiece';
import { SwagPiece } from './SwagPiece';
import { useBasis, type PieceBasis } from './useBasis';

/** A piece of linking work, designed by its figures and drawn to scale. */
export function PiecePage({ pieceId }: { pieceId: string }) {
  const pieces = usePieces();
  const basis = useBasis();
  const piece = pieces.data?.find(({ id }) => id === pieceId);
  if (piece && basis) return <Piece piece={piece} basis={basis} />;
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

function Piece({ piece, basis }: { piece: PieceRecord; basis: PieceBasis }) {
  const { design } = piece;
  switch (design.form) {
    case 'chain':
      return <ChainPiece {...{ piece, design, basis }} />;
    case 'swag':
      return <SwagPiece {...{ piece, design, basis }} />;
    case 'curtain':
      return <CurtainPiece {...{ piece, design, basis }} />;
    case 'ring':
      return <RingPiece {...{ piece, design, basis }} />;
    default:
      return <ClosedPiece {...{ piece, design, basis }} />;
  }
}
