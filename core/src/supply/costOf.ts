import { ok, problem, type Result } from '../result';
import { MOST_MARGIN } from './kinds';

/** Some balloons, or another thing, that is paid for. */
export interface Priced {
  key: string;
  count: number;
  /** Of them so many are spares. */
  spare: number;
  /** Of one, in minor units of money, not always whole; null while nobody knows. */
  eachMinor: number | null;
}

/** What an event costs, all in minor units of money. */
export interface Cost {
  materialMinor: number;
  /** For balloons that are taken so that enough survive. */
  sparesMinor: number;
  workMinor: number;
  travelMinor: number;
  hireMinor: number;
  extrasMinor: number;
  totalMinor: number;
  /** What margin adds, as a share of the price. */
  marginMinor: number;
  priceMinor: number;
  /** Keys of what has no price: the sum is without them. */
  unpriced: string[];
}

export type CostProblemCode = 'bad-price' | 'bad-margin';

/**
 * What an event costs and what its price comes to: material, spares, hours, travel, hire and extras; margin is a share of
 * the price, so that the price is the cost over 1 less the margin. Money is rounded to minor units once for each line,
 * so that the lines add up to the total.
 *
 * Amounts at least 0; `margin` from 0 to 0.9.
 *
 * Source: margin on price (any handbook of bookkeeping).
 */
export function costOf({
  goods,
  handHours,
  hourMinor,
  travelMinor,
  hireMinor,
  extras,
  margin,
}: {
  goods: readonly Priced[];
  handHours: number;
  hourMinor: number;
  travelMinor: number;
  hireMinor: number;
  /** Leaves, mirror finish, stuffing: what is charged beside. */
  extras: readonly { minor: number }[];
  margin: number;
}): Result<Cost, CostProblemCode> {
  const amounts = { hourMinor, travelMinor, hireMinor };
  for (const [field, minor] of Object.entries(amounts)) if (!(minor >= 0)) return problem('bad-price', { field });
  const wrong = extras.findIndex(({ minor }) => !(minor >= 0));
  if (wrong >= 0) return problem('bad-price', { field: `extras.${wrong}` });
  const dear = goods.find(({ eachMinor }) => eachMinor !== null && !(eachMinor >= 0));
  if (dear) return problem('bad-price', { field: dear.key });
  if (!(margin >= 0 && margin <= MOST_MARGIN))
    return problem('bad-margin', { field: 'margin', detail: { least: 0, most: MOST_MARGIN } });
  const sumOf = (many: (good: Priced) => number) =>
    Math.round(goods.reduce((sum, good) => sum + many(good) * (good.eachMinor ?? 0), 0));
  const materialMinor = sumOf(({ count, spare }) => count - spare);
  const sparesMinor = sumOf(({ spare }) => spare);
  const workMinor = Math.round(handHours * hourMinor);
  const extrasMinor = extras.reduce((sum, { minor }) => sum + minor, 0);
  const totalMinor = materialMinor + sparesMinor + workMinor + travelMinor + hireMinor + extrasMinor;
  const priceMinor = Math.round(totalMinor / (1 - margin));
  return ok({
    ...{ materialMinor, sparesMinor, workMinor, travelMinor, hireMinor, extrasMinor, totalMinor },
    ...{ marginMinor: priceMinor - totalMinor, priceMinor },
    unpriced: goods.filter(({ eachMinor, count }) => eachMinor === null && count > 0).map(({ key }) => key),
  });
}
