import type { PieceDesign } from '@leggero/contract';

import type { Material } from './material';
import type { PieceSize } from './sizes';
import { viewIn } from './viewIn';

/** The sizes that a piece takes; null where it cannot be worked out. */
export function sizesIn(design: PieceDesign, material: Material): PieceSize[] | null {
  return viewIn(design, material)?.view.sizes ?? null;
}
