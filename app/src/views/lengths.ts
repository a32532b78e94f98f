import {
  formatExactly,
  formatFine,
  formatLength,
  formatLong,
  lengthParts,
  STEP_MM,
  type LengthParts,
  type LengthUnit,
} from '@leggero/core';

/** Lengths as this studio speaks of them. */
export interface Lengths {
  unit: LengthUnit;
  stepMm: number;
  /** "9¾ in" */
  text: (mm: number) => string;
  /** "9¾", for places where the unit stands beside it. */
  bare: (mm: number) => string;
  /** "6 ft 2½ in", "1.88 m": of a build, its room or its line. */
  long: (mm: number) => string;
  /** "3/16 in", "under 0.1 cm": a deviation, spread, tolerance or clearance. */
  fine: (mm: number) => string;
  /** "±3/16 in", "under ±0.1 cm": how far something may be off. */
  eitherWay: (mm: number) => string;
  /** "5.031 in": between the studio's steps, where the exact size matters. */
  exact: (mm: number) => string;
  parts: (mm: number) => LengthParts;
}

/** How lengths are written in a unit and a step; inches in eighths by default. */
export function lengthsOf({
  unit = 'in',
  stepMm = STEP_MM.eighthInch,
}: Partial<Pick<Lengths, 'unit' | 'stepMm'>> = {}): Lengths {
  const parts = (mm: number) => lengthParts({ mm, unit, step: stepMm });
  return {
    unit,
    stepMm,
    parts,
    text: (mm) => formatLength({ mm, unit, step: stepMm }),
    long: (mm) => formatLong({ mm, unit, step: stepMm }),
    fine: (mm) => formatFine({ mm, unit }),
    eitherWay: (mm) => formatFine({ mm, unit, sign: '±' }),
    exact: (mm) => formatExactly({ mm, unit }),
    bare: (mm) => {
      const { sign, whole, fraction } = parts(mm);
      return `${sign}${whole}${fraction}`;
    },
  };
}
