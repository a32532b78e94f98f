import type { Result } from '@leggero/core';
import type { ColourMapProblemCode, TiedPlace } from '@leggero/core/building';

import { coloured, type Coloured, type ColumnBalloon, type LayeredDesign, type SizeAsked } from './colouring';
import type { Material } from './material';

/** A balloon that is tied to something, with where its neck is. */
export interface TiedBalloon extends ColumnBalloon, Pick<TiedPlace, 'neck'> {
  /** Its place in the building order. */
  step: number;
}

/** The colours of a piece whose balloons are tied along something. */
export type TiedColours = Omit<Coloured, 'balloons'> & { balloons: TiedBalloon[] };

/** A tied balloon before it has a colour. */
export type Uncoloured = TiedPlace & Pick<TiedBalloon, 'layer' | 'widthMm'>;

/** Colours laid over balloons that are tied along something; a layer a step, unless `stepOf` says another. */
export function colouredTied(
  design: Pick<LayeredDesign, 'count' | 'colours' | 'pattern' | 'painted'>,
  { placed, layers }: { placed: readonly Uncoloured[]; layers: number },
  basis: Material,
  sizeAt: (layer: number, colour: number) => SizeAsked,
  stepOf: (layer: number) => number = (layer) => layer,
): Result<TiedColours, ColourMapProblemCode> {
  const balloons = placed.map(({ neck: _, ...at }) => ({ ...at, aspect: 1, outwards: null }));
  const found = coloured({ ...design, topper: null }, { balloons, layers }, basis, sizeAt);
  if (!found.ok) return found;
  const tied = found.value.balloons.map((balloon, i): TiedBalloon => {
    return { ...balloon, neck: placed[i]!.neck, step: stepOf(balloon.layer) };
  });
  return { ok: true, value: { ...found.value, balloons: tied } };
}
