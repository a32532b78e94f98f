import { ColumnPiece } from '@/features/column/ColumnPiece';
import { TaperPiece } from '@/features/column/TaperPiece';
import { LinkedPiece } from '@/features/linking/LinkedPiece';
import { WithPiece } from '@/parts/piece/WithPiece';

/** A piece by what it is: a column, a taper, or linking work. */
export function PiecePage({ pieceId }: { pieceId: string }) {
  return (
    <WithPiece pieceId={pieceId}>
      {({ piece, basis }) => {
        const { design } = piece;
        if (design.form === 'column') return <ColumnPiece {...{ piece, design, basis }} />;
        if (design.form === 'taper') return <TaperPiece {...{ piece, design, basis }} />;
        return <LinkedPiece {...{ piece, design, basis }} />;
      }}
    </WithPiece>
  );
}
