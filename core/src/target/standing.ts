import { TRADE, type Trade } from '../trade';

/**
 * The largest share of nominal that stands for `days` days: the rules of thumb in `TRADE.standing`, straight between
 * them, level outside. 0 is the same day.
 */
export function standingFraction({ days, trade = TRADE }: { days: number; trade?: Trade | undefined }): number {
  const rules = trade.standing;
  const later = rules.findIndex((rule) => rule.days >= days);
  if (later < 0) return rules.at(-1)!.fraction;
  if (later === 0) return rules[0]!.fraction;
  const from = rules[later - 1]!;
  const to = rules[later]!;
  return from.fraction + ((days - from.days) / (to.days - from.days)) * (to.fraction - from.fraction);
}
