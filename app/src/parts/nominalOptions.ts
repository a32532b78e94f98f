import { NOMINAL_SIZES_MM } from '@leggero/core';

import { nominalInches } from '@/views/modelView';

/** The sizes that balloons are sold in, to choose from; by their inches. */
export const NOMINAL_OPTIONS = NOMINAL_SIZES_MM.map((mm) => {
  const inches = nominalInches(mm);
  return { value: inches, title: inches, heard: `${inches} in` };
});
