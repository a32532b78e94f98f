import type { PieceRecord } from '@leggero/contract';

import type { PieceBasis } from './useBasis';

/** What every kind of piece is shown from. */
export interface ShownPiece<Design> {
  piece: PieceRecord;
  design: Design;
  basis: PieceBasis;
}
