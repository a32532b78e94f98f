import { HOLE_WAYS, INFLATOR_KINDS, WIDEST_HOLE_MM } from '@leggero/core';
import { z } from 'zod';

import { demoSchema, idSchema, instantSchema, lengthMmSchema, nameSchema, storedLength, storedNumber } from '../common';
import { noun, to } from '../noun';

/** A hand pump, a timed inflator or one with two nozzles. */
export const pump = noun({
  name: 'pump',
  path: 'pumps',
  forHelper: 'all',
  row: z.object({
    id: idSchema,
    name: nameSchema,
    kind: z.enum(INFLATOR_KINDS),
    /** Litres a stroke or a second moves, where the maker says or it was measured. */
    doseVolumeL: storedNumber(4).positive().max(20).nullable(),
    /** The most it presses, kPa above the air's, where the maker says. */
    mostKPa: storedNumber(3).positive().max(1000).nullable().default(null),
    demo: demoSchema,
  }),
  given: { demo: false },
  change: ['name', 'kind', 'doseVolumeL', 'mostKPa'],
  order: ['name'],
});

/** A plate or box with holes. */
export const sizer = noun({
  name: 'sizer',
  path: 'sizers',
  forHelper: 'all',
  row: z.object({
    id: idSchema,
    name: nameSchema,
    /** Who keeps it; empty for the studio's own. */
    keeper: z.string().trim().max(80).default(''),
    demo: demoSchema,
  }),
  given: { demo: false },
  change: ['name', 'keeper'],
  order: ['name'],
});

/** A sizer has so many at most. */
export const MOST_HOLES = 60;

/** A hole as it was made or written down; those of one sizer differ in width. */
export const hole = noun({
  name: 'hole',
  path: 'holes',
  forHelper: 'all',
  row: z.object({
    id: idSchema,
    sizerId: idSchema,
    /** What is written beside it. */
    label: z.string().trim().min(1).max(20),
    /** The width its label claims. */
    widthMm: lengthMmSchema,
  }),
  change: ['label', 'widthMm'],
  refs: { sizerId: to('sizer', 'remove') },
  order: ['widthMm'],
});

const holeWidthSchema = storedLength().positive().max(WIDEST_HOLE_MM);

/** A hole measured: in one direction, and square to it where it was taken both ways. */
export const holeMeasurement = noun({
  name: 'holeMeasurement',
  path: 'hole-measurements',
  forHelper: 'all',
  row: z.object({
    id: idSchema,
    holeId: idSchema,
    acrossMm: holeWidthSchema,
    downMm: holeWidthSchema.nullable(),
    way: z.enum(HOLE_WAYS),
    takenAt: instantSchema,
  }),
  refs: { holeId: to('hole', 'remove') },
  order: ['takenAt'],
});

/** A balloon sized in a hole and measured afterwards: what the squeeze is learned from. */
export const sizing = noun({
  name: 'sizing',
  path: 'sizings',
  forHelper: 'all',
  row: z.object({
    id: idSchema,
    holeId: idSchema,
    nominalMm: storedLength().min(25).max(2500),
    widthMm: lengthMmSchema,
    takenAt: instantSchema,
  }),
  refs: { holeId: to('hole', 'remove') },
  order: ['takenAt'],
});
