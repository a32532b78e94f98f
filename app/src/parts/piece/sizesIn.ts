import type { PieceDesign } from '@leggero/contract';

import type { Material } from './material';
import type { PieceSize } from './sizes';
import { viewTaper } from './viewTaper';
import { viewColumn } from './viewColumn';
import { viewArch } from './viewArch';
import { viewPlinth } from './viewPlinth';
import { viewGarland } from './viewGarland';
import { viewHoop } from './viewHoop';
import { viewBow, viewRope } from './viewRope';
import { viewClosed, viewRing } from './viewClosed';
import { viewChain, viewCurtain, viewSwag } from './viewHanging';

/** The sizes that a piece takes; null where it cannot be worked out. */
export function sizesIn(design: PieceDesign, material: Material): PieceSize[] | null {
  const view = viewIn(design, material);
  return view.ok ? view.value.sizes : null;
}

function viewIn(
  design: PieceDesign,
  material: Material,
): { ok: true; value: { sizes: PieceSize[] } } | { ok: false; problem: object } {
  switch (design.form) {
    case 'column':
      return viewColumn(design, material);
    case 'taper':
      return viewTaper(design, material);
    case 'rope':
      return viewRope(design, material);
    case 'bow':
      return viewBow(design, material);
    case 'arch':
      return viewArch(design, material);
    case 'plinth':
      return viewPlinth(design, material);
    case 'hoop':
      return viewHoop(design, material);
    case 'garland':
      return viewGarland(design, material);
    case 'chain':
      return viewChain(design, material);
    case 'swag':
      return viewSwag(design, material);
    case 'curtain':
      return viewCurtain(design, material);
    case 'ring':
      return viewRing(design, material);
    default:
      return viewClosed(design, material);
  }
}
