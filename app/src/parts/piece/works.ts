import type { PieceDesign } from '@leggero/contract';
import type { PieceWork } from '@leggero/core/recipe';

import { drawnMeasures, type DrawnMeasure } from './drawnMeasures';
import { materialFrom, type PlainMaterial } from './material';
import { pieceWork } from './pieceWork';
import type { PieceSize } from './sizes';
import { viewIn } from './viewIn';

/** What is asked of an event's pieces: all that is to do for them. */
export interface WorksQuestion {
  pieces: { id: string; copies: number; design: PieceDesign; material: PlainMaterial; outdoors: boolean }[];
}

/** A piece's sizes as it asks for them, its work, filled to just those, and what of it is measured once it is up. */
export interface AskedWork {
  work: PieceWork;
  sizes: PieceSize[];
  measures: DrawnMeasure[];
}

/** Of each piece, in order; null for one that cannot be worked out. */
export type WorksAnswer = (AskedWork | null)[];

export function worksAnswer({ pieces }: WorksQuestion): WorksAnswer {
  return pieces.map(({ id, copies, design, material: plain, outdoors }) => {
    const material = materialFrom(plain);
    const found = viewIn(design, material);
    if (!found) return null;
    const work = pieceWork(found, { piece: id, copies }, { material, event: { outdoors } });
    return { work, sizes: found.view.sizes, measures: drawnMeasures(found, material) };
  });
}
