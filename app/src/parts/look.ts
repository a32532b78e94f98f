import type { ModelRecord } from '@leggero/contract';

import { chosenName } from '@/views/modelView';

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
  const [drawnWith = '#888888'] = balloon.split(' ');
  const colour = (model?.colourHex ?? drawnWith).toLowerCase();
  return { colour, name: chosenName(model), nominalMm: model?.nominalMm ?? null };
}
