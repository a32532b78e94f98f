import type { PieceRecord } from '@leggero/contract';

import type { Workroom } from './useWorkroom';

/** What every kind of piece is shown from. */
export interface ShownPiece<Design> {
  piece: PieceRecord;
  design: Design;
  workroom: Workroom;
}
