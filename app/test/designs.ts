import type { DesignOf } from '@leggero/contract';

import { FRESH_ID, MODEL_ID } from './studio';

const inch = (inches: number) => inches * 25.4;

/** A column of ten quads on a pole, three of each green and one blue. */
export const COLUMN: DesignOf<'column'> = {
  form: 'column',
  ...{ count: 4, open: 'height', layers: 10, heightMm: inch(72), standMm: inch(0.5), widthMm: inch(9.5) },
  ...{ topper: null, heldBy: 'pole', ceilingMm: null },
  colours: [
    { modelId: MODEL_ID, colourHex: '#3f7a4a', finish: 'matte' },
    { modelId: FRESH_ID, colourHex: '#3d6fa6', finish: 'pearl' },
  ],
  pattern: { kind: 'spiral', order: [0, 0, 0, 1], to: 'right', every: 4 },
  painted: [],
};
