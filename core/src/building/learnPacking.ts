import { ok, problem, type Result } from '../result';
import { normalQuantile } from '../statistics';
import { TRADE, type Trade } from '../trade';
import type { Layer } from './layer';
import { stackLayers, type StackLayersProblemCode } from './stackLayers';

/** A stack that stood, and how high. */
export interface MeasuredStack {
  /** Its layers from the lowest up; two at least. */
  layers: readonly Layer[];
  /** From its lowest point to its highest, mm. */
  heightMm: number;
}

/** What measured stacks say of packing. */
export interface LearnedPacking {
  packing: number;
  /** With 95 in 100 what this maker's stacks have. */
  interval: readonly [least: number, most: number];
  /** Each stack alone. */
  stacks: { packing: number; sd: number }[];
}

export type LearnPackingProblemCode =
  | StackLayersProblemCode
  | 'no-stacks'
  | 'too-few-layers'
  /** No stack of these balloons stands so high, or so low. */
  | 'bad-height';

/** Outside of this a stack is not of the balloons that were named. */
const PLAUSIBLE = { least: 0.5, most: 1.1 } as const;

/**
 * Packing learned from stacks whose height was measured. Height = packing x rise + ends, so each stack gives (height -
 * ends) / rise; its error is that of the tape, that of the balloons' common width, and what differs from one stack of a
 * maker to the next. They are weighed with what the trade expects: one good measurement of a tall column outweighs it.
 *
 * Problems: `no-stacks`; with `stacks.<index>` before their field those of `stackLayers`, `too-few-layers` (2), and
 * `bad-height` with the heights that are plausible.
 *
 * Source: mean of normal measurements with a normal prior (any handbook of Bayesian statistics).
 */
export function learnPacking({
  stacks,
  trade = TRADE,
  widthSdMm = trade.holeSdMm.label,
}: {
  stacks: readonly MeasuredStack[];
  /** How far all widths of a stack may be off together, mm. */
  widthSdMm?: number | undefined;
  trade?: Trade | undefined;
}): Result<LearnedPacking, LearnPackingProblemCode> {
  if (stacks.length === 0) return problem('no-stacks', { field: 'stacks' });
  const each: LearnedPacking['stacks'] = [];
  for (const [i, { layers, heightMm }] of stacks.entries()) {
    const made = stackLayers({ layers, packing: 1, trade });
    if (!made.ok) {
      const { field, ...rest } = made.problem;
      return { ok: false, problem: { ...rest, field: `stacks.${i}.${field}` } as typeof made.problem };
    }
    const { touchingMm } = made.value;
    if (!(touchingMm > 0))
      return problem('too-few-layers', { field: `stacks.${i}.layers`, detail: { least: LEAST_LAYERS } });
    const endsMm = made.value.heightMm - touchingMm;
    const packing = (heightMm - endsMm) / touchingMm;
    if (!(packing >= PLAUSIBLE.least && packing <= PLAUSIBLE.most))
      return problem('bad-height', {
        field: `stacks.${i}.heightMm`,
        detail: { leastMm: endsMm + PLAUSIBLE.least * touchingMm, mostMm: endsMm + PLAUSIBLE.most * touchingMm },
      });
    const meanMm = layers.reduce((sum, { count, widthMm }) => sum + count * widthMm, 0) / made.value.balloons;
    // Height grows with the width of all: twice the balloons, twice as high.
    const widthSd = (heightMm / meanMm) * widthSdMm;
    each.push({ packing, sd: Math.hypot(Math.hypot(trade.stackSdMm, widthSd) / touchingMm, trade.packingBetween) });
  }
  let weight = 1 / trade.packingSd ** 2;
  let sum = weight * trade.packing;
  for (const { packing, sd } of each) {
    weight += 1 / sd ** 2;
    sum += packing / sd ** 2;
  }
  const packing = sum / weight;
  const reach = normalQuantile(0.975) / Math.sqrt(weight);
  return ok({ packing, interval: [packing - reach, packing + reach], stacks: each });
}

const LEAST_LAYERS = 2;
