import type { PieceDesign, PieceForm } from '@leggero/contract';

/** By which steps a piece is built: a column on line has its own. */
export function howOf(design: PieceDesign): PieceForm | 'column-on-line' {
  return design.form === 'column' && design.heldBy === 'line' ? 'column-on-line' : design.form;
}
