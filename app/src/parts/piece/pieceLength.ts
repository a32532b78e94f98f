import type { WorkLength } from '@leggero/core/recipe';

import { rulesMm } from './softness';
import type { GarlandView } from './viewGarland';
import type { PieceView } from './viewIn';

/** How long a piece is that is sold by its length; null of one that is not. */
export function pieceLength(found: PieceView): WorkLength | null {
  switch (found.form) {
    case 'garland':
      return garlandLength(found.view);
    case 'arch':
      return plain(found.view.plan.curveMm);
    case 'rope':
      return plain(found.view.plan.heightMm);
    case 'bow':
      return plain(2 * (found.view.plan.loopMm + found.view.plan.tailMm));
    case 'chain':
      return plain(found.design.lengthMm);
    case 'swag':
      return plain(found.design.spanMm * found.design.rows);
    default:
      return null;
  }
}

const plain = (alongMm: number): WorkLength => ({ alongMm, filledMm: alongMm });

/** By the rule of the trade where it knows all of its clusters, else by its path; what lies over it counts as long again. */
function garlandLength({ clusters, over, ruleMm, points }: GarlandView): WorkLength {
  const pathMm = points.slice(1).reduce((sum, to, i) => sum + Math.hypot(...to.map((at, k) => at - points[i]![k]!)), 0);
  const alongMm = ruleMm ?? pathMm;
  const fillMm = rulesMm(over.map(({ kind }) => kind)) ?? (over.length * alongMm) / Math.max(1, clusters.length);
  return { alongMm, filledMm: alongMm + fillMm };
}
