import { garlandSupplies, type GarlandSupplies } from '@leggero/core/garland';

import type { GarlandDesign } from '@/parts/piece/garlandPlan';
import { longOf } from '@/parts/piece/material';
import type { PieceBasis } from '@/parts/piece/useBasis';
import type { GarlandView } from '@/parts/piece/viewGarland';

/** What a garland takes beside its balloons, its joiners of the modelling balloon that most are made of. */
export function suppliesOf(
  { joined, strip, fixings, decorators, trimmings }: GarlandDesign,
  { clusters, over }: GarlandView,
  basis: PieceBasis,
): GarlandSupplies {
  return garlandSupplies({
    ...{ by: joined, clusters, strip: strip !== null, over: over.length, fixings: fixings?.count ?? 0 },
    hollows: trimmings.reduce((sum, { count }) => sum + count, decorators?.count ?? 0),
    size: longOf(undefined),
    trade: basis.knowledge.trade,
  });
}
