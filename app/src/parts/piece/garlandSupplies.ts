import { garlandSupplies, type GarlandSupplies } from '@leggero/core/garland';

import type { GarlandDesign, GarlandPlan } from './garlandPlan';
import { longOf, type Material } from './material';

/** What a garland takes beside its balloons, its joiners of the modelling balloon that most are made of. */
export function suppliesOf(
  { joined, strip, fixings, decorators, trimmings }: GarlandDesign,
  { clusters, over }: Pick<GarlandPlan, 'clusters' | 'over'>,
  basis: Material,
): GarlandSupplies {
  return garlandSupplies({
    ...{ by: joined, clusters, strip: strip !== null, over: over.length, fixings: fixings?.count ?? 0 },
    hollows: trimmings.reduce((sum, { count }) => sum + count, decorators?.count ?? 0),
    size: longOf(undefined),
    trade: basis.knowledge.trade,
  });
}
