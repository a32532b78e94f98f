import type { PieceRecord } from '@leggero/contract';

import { usePieces } from '@/api/queries';
import { Page } from '@/ui/Page';
import { Empty, Failed, Loading } from '@/ui/States';

import { ChainPiece } from './ChainPiece';
import { ClosedPiece } from './ClosedPiece';
import { CurtainPiece } from './CurtainPiece';
import { RingPiece } from './RingPiece';
import { SwagPiece } from './SwagPiece';
import { useWorkroom, type Workroom } from './useWorkroom';

/** A piece of linking work, designed by its figures and drawn to scale. */
export function PiecePage({ pieceId }: { pieceId: string }) {
  const pieces = usePieces();
  const workroom = useWorkroom();
  const piece = pieces.data?.find(({ id }) => id === pieceId);
  if (piece && workroom) return <Piece piece={piece} workroom={workroom} />;
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

function Piece({ piece, workroom }: { piece: PieceRecord; workroom: Workroom }) {
  const { design } = piece;
  switch (design.form) {
    case 'chain':
      return <ChainPiece {...{ piece, design, workroom }} />;
    case 'swag':
      return <SwagPiece {...{ piece, design, workroom }} />;
    case 'curtain':
      return <CurtainPiece {...{ piece, design, workroom }} />;
    case 'ring':
      return <RingPiece {...{ piece, design, workroom }} />;
    default:
      return <ClosedPiece {...{ piece, design, workroom }} />;
  }
}
