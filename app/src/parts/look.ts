import type { ModelRecord } from '@leggero/contract';

import { balloonName } from '@/views/modelView';

/** What a balloon of a recipe looks like and is called. */
export interface BalloonLooks {
  colour: string;
  name: string;
  /** Across when full, mm; null where it is not chosen from the shelf. */
  nominalMm: number | null;
}

/** How a balloon of a recipe looks: by its row on the shelf, or by the look that it was drawn with. */
export function lookIn(balloon: string, models: readonly ModelRecord[]): BalloonLooks {
  const model = models.find(({ id }) => id === balloon);
  if (model) return { colour: model.colourHex.toLowerCase(), name: balloonName(model), nominalMm: model.nominalMm };
  const [colour = '#888888'] = balloon.split(' ');
  return { colour: colour.toLowerCase(), name: 'not chosen from the shelf', nominalMm: null };
}
