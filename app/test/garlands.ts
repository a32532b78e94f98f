import type { DesignOf } from '@leggero/contract';
import { TRADE } from '@leggero/core';

import type { Material } from '@/parts/piece/material';
import { colouredAtOnce } from '@/parts/piece/garlandAtOnce';
import { packedByHand } from '@/parts/piece/packing';
import { viewGarland } from '@/parts/piece/viewGarland';
import { lengthsOf } from '@/views/lengths';

import { MODEL_ID } from './studio';

export const inch = (inches: number) => inches * 25.4;
export const PIECE_ID = '00000000-0000-4000-8000-000000001977';
export const kelp = { modelId: MODEL_ID, colourHex: '#3f7a4a', finish: 'matte' } as const;
export const foam = { modelId: null, colourHex: '#f3ead8', finish: 'matte' } as const;
export const GARLAND: DesignOf<'garland'> = {
  form: 'garland',
  path: { kind: 'straight', wideMm: inch(72), highMm: inch(80), dropMm: 0 },
  kinds: [
    {
      inRow: 2,
      balloons: [
        { ...kelp, widthMm: inch(10), count: 2 },
        { ...kelp, widthMm: inch(7.5), count: 2 },
      ],
    },
    {
      inRow: 1,
      balloons: [
        { ...foam, widthMm: inch(10), count: 2 },
        { ...kelp, widthMm: inch(7.5), count: 1 },
        { ...foam, widthMm: inch(16), count: 1 },
      ],
    },
  ],
  ...{ clusters: 6, decorators: null, seed: 1 },
};
export const material: Material = {
  ...{ knowledge: { models: [], trade: TRADE }, studio: { stepMm: inch(1 / 8) }, chains: [], stacks: [], longs: [] },
};
export const { long: text } = lengthsOf();
export const worked = (by: Partial<DesignOf<'garland'>> = {}) => {
  const view = viewGarland({ ...GARLAND, ...by }, material);
  if (!view.ok) throw new Error(view.problem.code);
  return view.value;
};
export const made = (by: Partial<DesignOf<'garland'>> = {}) => {
  const pack = packedByHand(worked(by), TRADE);
  if (!pack.ok) throw new Error(pack.problem.code);
  return pack.value;
};

/** It in its colours. */
export const coloured = (by: Partial<DesignOf<'garland'>> = {}) =>
  colouredAtOnce({ ...GARLAND, ...by }, worked(by), made(by), material);
