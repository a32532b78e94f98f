import type { PieceDesign } from '@leggero/contract';

import type { ShownPiece } from '@/parts/piece/shownPiece';

import { ChainPiece } from './ChainPiece';
import { ClosedPiece } from './ClosedPiece';
import { CurtainPiece } from './CurtainPiece';
import { RingPiece } from './RingPiece';
import { SwagPiece } from './SwagPiece';

/** The forms of linking work. */
export type LinkedDesign = Exclude<
  PieceDesign,
  { form: 'column' | 'taper' | 'arch' | 'hoop' | 'rope' | 'bow' | 'plinth' | 'garland' }
>;

/** A piece of linking work, designed by its figures and drawn to scale. */
export function LinkedPiece({ piece, design, basis }: ShownPiece<LinkedDesign>) {
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
