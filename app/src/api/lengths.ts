import { formatLength, lengthParts, STEP_MM, type LengthParts, type LengthUnit } from '@leggero/core';

import { useStudio } from './queries';

/** Lengths as this studio speaks of them. */
export interface Lengths {
  unit: LengthUnit;
  stepMm: number;
  /** "9¾ in" */
  text: (mm: number) => string;
  /** "9¾", for places where the unit stands beside it. */
  bare: (mm: number) => string;
  parts: (mm: number) => LengthParts;
}

/** How to write lengths; inches in eighths until the studio's settings have come. */
export function useLengths(): Lengths {
  const { unit = 'in', stepMm = STEP_MM.eighthInch } = useStudio().data ?? {};
  const parts = (mm: number) => lengthParts({ mm, unit, step: stepMm });
  return {
    unit,
    stepMm,
    parts,
    text: (mm) => formatLength({ mm, unit, step: stepMm }),
    bare: (mm) => {
      const { sign, whole, fraction } = parts(mm);
      return `${sign}${whole}${fraction}`;
    },
  };
}
