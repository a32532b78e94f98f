import type { PiecePart } from '@leggero/contract';

/** One size of a piece: how many balloons of what, and how wide. */
export interface PieceSize {
  key: string;
  title: string;
  count: number;
  widthMm: number;
  part: PiecePart;
  /** Either way, mm. */
  toleranceMm: number;
  /** Where it was stepped: its exact width, and how it closes. */
  snap?: { exactMm: number; closingMm: number; ofGive: number; around: boolean };
}
