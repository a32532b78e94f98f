import { ArchPiece } from '@/features/building/ArchPiece';
import { BowPiece } from '@/features/building/BowPiece';
import { ColumnPiece } from '@/features/building/ColumnPiece';
import { HoopPiece } from '@/features/building/HoopPiece';
import { PlinthPiece } from '@/features/building/PlinthPiece';
import { RopePiece } from '@/features/building/RopePiece';
import { TaperPiece } from '@/features/building/TaperPiece';
import { GarlandPiece } from '@/features/garland/GarlandPiece';
import { LinkedPiece } from '@/features/linking/LinkedPiece';
import { WithPiece } from '@/parts/piece/WithPiece';

/** A piece by what it is: a column, a taper, an arch, a hoop, a rope, a bow, a plinth, a garland, or linking work. */
export function PiecePage({ pieceId }: { pieceId: string }) {
  return (
    <WithPiece pieceId={pieceId}>
      {({ piece, basis }) => {
        const { design } = piece;
        if (design.form === 'column') return <ColumnPiece {...{ piece, design, basis }} />;
        if (design.form === 'taper') return <TaperPiece {...{ piece, design, basis }} />;
        if (design.form === 'arch') return <ArchPiece {...{ piece, design, basis }} />;
        if (design.form === 'hoop') return <HoopPiece {...{ piece, design, basis }} />;
        if (design.form === 'plinth') return <PlinthPiece {...{ piece, design, basis }} />;
        if (design.form === 'garland') return <GarlandPiece {...{ piece, design, basis }} />;
        if (design.form === 'rope') return <RopePiece {...{ piece, design, basis }} />;
        if (design.form === 'bow') return <BowPiece {...{ piece, design, basis }} />;
        return <LinkedPiece {...{ piece, design, basis }} />;
      }}
    </WithPiece>
  );
}
