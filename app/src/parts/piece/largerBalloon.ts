import type { SizedPart } from '@leggero/contract';
import { MM_PER_INCH, NOMINAL_SIZES_MM, roundToStep, usefulWidths } from '@leggero/core';

import { likeModels, modelOf, type Material } from './material';

/** Larger ones are made on such steps, mm: more sizes nobody keeps apart. */
const STEP_MM = MM_PER_INCH / 2;

/**
 * A balloon made so many times as wide: in the size that is sold for that, of the same kind, colour and finish where the shelf has
 * it.
 */
export function largerBalloon(
  part: SizedPart,
  { nominalMm, by }: { nominalMm: number; by: number },
  basis: Material,
): { part: SizedPart; nominalMm: number } {
  if (by <= 1) return { part, nominalMm };
  const { trade } = basis.knowledge;
  const widthMm = Math.max(part.widthMm, roundToStep({ mm: by * part.widthMm, step: STEP_MM }));
  const bears = (sold: number) => widthMm <= usefulWidths({ nominalMm: sold, trade }).mostMm;
  if (bears(nominalMm)) return { part: { ...part, widthMm }, nominalMm };
  const model = modelOf(part, basis);
  const sizes = model ? likeModels(model, basis).filter((each) => bears(each.nominalMm)) : [];
  const like = sizes.sort((a, b) => a.nominalMm - b.nominalMm)[0];
  const sold = like?.nominalMm ?? NOMINAL_SIZES_MM.find(bears) ?? nominalMm;
  return { part: { ...part, modelId: like?.id ?? null, widthMm }, nominalMm: sold };
}
