import type { NounName } from '@leggero/contract';

/** Rows that are as large as so many others. */
const WEIGHTS: { readonly [N in NounName]?: number } = { photo: 50 };

/** As how many rows one of a noun counts where rows are read in pages. */
export const weightOf = (noun: NounName): number => WEIGHTS[noun] ?? 1;
