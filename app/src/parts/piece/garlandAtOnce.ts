import { keptApart } from '@leggero/core/garland';

import { decorateQuestion, inHollows, NOTHING_IN } from './decorators';
import { wholeGarland, type StoredGarland } from './garlandPlan';
import type { Material } from './material';
import type { PackedWithGaps } from './packing';
import { apartQuestion, colouredGarland, type GarlandBalloon, type GarlandView } from './viewGarland';

/** A packed garland in its colours with all that lies in its hollows, worked out at once: where no worker is asked. */
export function colouredAtOnce(
  stored: StoredGarland,
  view: GarlandView,
  packed: PackedWithGaps,
  material: Material,
): GarlandBalloon[] {
  const { trade } = material.knowledge;
  const apart = apartQuestion(stored, view, packed);
  const hollows = decorateQuestion(wholeGarland(stored), packed, { walls: view.walls, trade });
  const { put } = hollows ? inHollows(hollows) : NOTHING_IN;
  return colouredGarland(stored, view, packed, { apart: apart && keptApart(apart), put }, material);
}
