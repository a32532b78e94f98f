import { modelOf } from '@/parts/piece/material';
import type { GarlandDesign } from '@/parts/piece/garlandPlan';
import type { PieceBasis } from '@/parts/piece/useBasis';
import type { GarlandView } from '@/parts/piece/viewGarland';
import type { MissingSize } from '@/wording/garland';

/** Colours of its own that the shelf has, but not in every size that they are wanted in. */
export function missingOf({ colours }: GarlandDesign, view: GarlandView | null, basis: PieceBasis): MissingSize[] {
  if (!colours || !view) return [];
  const missing = new Map<string, MissingSize>();
  for (const { colour, part, nominalMm } of view.balloons) {
    if (colour === null || part.modelId !== null) continue;
    const model = modelOf(colours.list[colour]!, basis);
    if (model) missing.set(`${model.colourName} ${nominalMm}`, { colour: model.colourName, nominalMm });
  }
  return [...missing.values()];
}
