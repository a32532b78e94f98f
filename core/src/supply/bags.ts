import { sphereVolumeL } from '../balloon/volume';
import { TRADE, type Trade } from '../trade';

/** Whole bags of one balloon. */
export interface Bought {
  bags: number;
  /** Balloons in one, and in all of them. */
  bagOf: number;
  balloons: number;
  /** Over what was lacked. */
  left: number;
}

/**
 * As many whole bags as hold what is lacked. `of`: balloons in one, at least 1; null where none was bought yet, and a
 * bag is taken to hold `trade.bagOf`.
 */
export function bagsFor({
  lacks,
  of,
  trade = TRADE,
}: {
  lacks: number;
  of: number | null;
  trade?: Trade | undefined;
}): Bought {
  const bagOf = of ?? trade.bagOf;
  const bags = Math.ceil(Math.max(0, lacks) / bagOf);
  return { bags, bagOf, balloons: bags * bagOf, left: bags * bagOf - Math.max(0, lacks) };
}

/**
 * How many inflated balloons of a width one carrying bag takes: its volume times the share that balloons fill of it; one
 * at least, for a large one is carried by itself.
 *
 * `widthMm`: above 0.
 *
 * Source: random close packing of equal spheres fills 0.64 (Bernal, 1960), less at the walls of a bag.
 */
export function inCarryBag({ widthMm, trade = TRADE }: { widthMm: number; trade?: Trade | undefined }): number {
  return Math.max(1, Math.floor((trade.carryBagL * trade.carryFill) / sphereVolumeL({ widthMm })));
}
