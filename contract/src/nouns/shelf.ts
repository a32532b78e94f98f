import { DECORS, FINISHES, MODEL_KINDS, NOZZLES, ORIGINS, OUTCOMES, SHAPES, WAYS } from '@leggero/core';
import { z } from 'zod';

import {
  demoSchema,
  doseSchema,
  hexSchema,
  idSchema,
  instantSchema,
  lengthMmSchema,
  MOST_BUILD_MM,
  nameSchema,
  storedLength,
  storedNumber,
} from '../common';
import { noun, to } from '../noun';

/** What a model has that is neither special nor paired: those written before there were any. */
export const MODEL_DEFAULTS = {
  lengthMm: null,
  decor: 'none',
  stock: null,
  outerId: null,
  innerId: null,
  seenHex: null,
} as const;

/**
 * What a shelf holds: maker's line, kind, nominal size, finish, and the colour it is shown in; or a pair of two such
 * balloons.
 */
export const model = noun({
  name: 'model',
  path: 'models',
  writtenBy: 'planner',
  forHelper: 'all',
  row: z.object({
    id: idSchema,
    /** Maker and line, as on the bag; what a pair is called. */
    line: nameSchema,
    kind: z.enum(MODEL_KINDS),
    /** Across when full: of a modelling balloon the width in its code, of a foil its flat width. */
    nominalMm: storedLength().min(25).max(2500),
    /** Along when full, of a modelling balloon; the flat height of a foil figure or letter. */
    lengthMm: storedLength().min(50).max(5000).nullable().default(MODEL_DEFAULTS.lengthMm),
    finish: z.enum(FINISHES),
    decor: z.enum(DECORS).default(MODEL_DEFAULTS.decor),
    colourName: z.string().trim().min(1).max(40),
    colourHex: hexSchema,
    /** How many there are; null when nobody counted. */
    stock: z.int().min(0).max(1_000_000).nullable().default(MODEL_DEFAULTS.stock),
    /** The two balloons of a pair, one in the other; null for a single one. */
    outerId: idSchema.nullable().default(MODEL_DEFAULTS.outerId),
    innerId: idSchema.nullable().default(MODEL_DEFAULTS.innerId),
    /** What a pair really looked like, once someone saved it. */
    seenHex: hexSchema.nullable().default(MODEL_DEFAULTS.seenHex),
    demo: demoSchema,
  }),
  given: { demo: false },
  // Which two balloons a pair is made of does not change.
  change: ['line', 'kind', 'nominalMm', 'lengthMm', 'finish', 'decor', 'colourName', 'colourHex', 'stock', 'seenHex'],
  refs: { outerId: to('model', 'remove'), innerId: to('model', 'remove') },
  rules: [
    {
      path: 'innerId',
      message: 'A pair has an outer and an inner balloon',
      holds: ({ outerId, innerId }) => (outerId === null) === (innerId === null),
    },
    {
      path: 'lengthMm',
      message: 'A modelling balloon has a length',
      holds: ({ kind, lengthMm }) => kind !== 'modelling' || lengthMm !== null,
    },
  ],
  order: ['line', 'nominalMm', 'colourName'],
});

/** All readings of one model with one pump, prepared one way. */
export const calibration = noun({
  name: 'calibration',
  path: 'calibrations',
  forHelper: 'all',
  row: z.object({
    id: idSchema,
    modelId: idSchema,
    pumpId: idSchema,
    preStretched: z.boolean(),
    roundedOff: z.boolean(),
    /** Of which bags its balloons were, where someone kept that apart: batches differ. */
    bagId: idSchema.nullable().default(null),
    startedAt: instantSchema,
    demo: demoSchema,
  }),
  given: { demo: false },
  refs: { modelId: to('model', 'remove'), pumpId: to('pump', 'refuse'), bagId: to('bag', 'clear') },
  order: ['-startedAt'],
});

/** What a reading has that says nothing of how its width was taken: those written before there were several ways. */
export const READING_DEFAULTS = {
  way: 'tape',
  stopsMm: null,
  passesMm: null,
  holeId: null,
  stopsHoleId: null,
  nozzle: null,
  balloon: null,
} as const;

/** Balloons of one calibration are numbered up to here. */
export const MOST_BALLOONS = 9999;

/** What was seen after one dose: a width, or the two holes it lies between. A burst may lack both. */
export const reading = noun({
  name: 'reading',
  path: 'readings',
  forHelper: 'all',
  row: z.object({
    id: idSchema,
    calibrationId: idSchema,
    dose: doseSchema,
    widthMm: lengthMmSchema.nullable(),
    /** How the width was taken. */
    way: z.enum(WAYS).default(READING_DEFAULTS.way),
    /** The hole it stops at and the larger one it passes, for a width between two holes. */
    stopsMm: lengthMmSchema.nullable().default(READING_DEFAULTS.stopsMm),
    passesMm: lengthMmSchema.nullable().default(READING_DEFAULTS.passesMm),
    /**
     * The hole that it just passed, or passed of the two; and the one it stopped at. A correction of the hole corrects
     * the reading.
     */
    holeId: idSchema.nullable().default(READING_DEFAULTS.holeId),
    stopsHoleId: idSchema.nullable().default(READING_DEFAULTS.stopsHoleId),
    /** Which nozzle of a two-nozzle inflator filled it. */
    nozzle: z.enum(NOZZLES).nullable().default(READING_DEFAULTS.nozzle),
    /** Which balloon of the calibration it was: one filled on keeps its number. Not known of older readings. */
    balloon: z.int().min(1).max(MOST_BALLOONS).nullable().default(READING_DEFAULTS.balloon),
    heightMm: lengthMmSchema.nullable(),
    sdMm: storedLength().positive().max(100).nullable(),
    shape: z.enum(SHAPES).nullable(),
    outcome: z.enum(OUTCOMES),
    takenAt: instantSchema,
  }),
  refs: {
    calibrationId: to('calibration', 'remove'),
    holeId: to('hole', 'clear'),
    stopsHoleId: to('hole', 'clear'),
  },
  rules: [
    {
      path: 'passesMm',
      message: 'Both holes are needed: the one it stops at and the one it passes',
      holds: ({ stopsMm, passesMm }) => (stopsMm === null) === (passesMm === null),
    },
    {
      path: 'widthMm',
      message: 'Give a width or two holes, not both',
      holds: ({ stopsMm, widthMm }) => stopsMm === null || widthMm === null,
    },
    {
      path: 'widthMm',
      message: 'A width is needed unless the balloon burst',
      holds: ({ widthMm, stopsMm, outcome }) => widthMm !== null || stopsMm !== null || outcome === 'burst',
    },
  ],
  // The same every time, also for those of one moment.
  order: ['takenAt', 'dose', 'id'],
});

/** One balloon tied, left standing and measured again; it begins with its width at the knot. */
export const holdTest = noun({
  name: 'holdTest',
  path: 'hold-tests',
  forHelper: 'all',
  row: z.object({
    id: idSchema,
    modelId: idSchema,
    /** Turns of the neck before the knot. */
    wraps: z.union([z.literal(1), z.literal(2)]),
    /** One balloon inside another. */
    stuffed: z.boolean(),
    startedAt: instantSchema,
    demo: demoSchema,
  }),
  given: { demo: false },
  refs: { modelId: to('model', 'remove') },
  order: ['-startedAt'],
});

/** A width some hours after the knot. */
export const holdReading = noun({
  name: 'holdReading',
  path: 'hold-readings',
  forHelper: 'all',
  row: z.object({
    id: idSchema,
    holdTestId: idSchema,
    hours: storedNumber(3).min(0).max(8760),
    widthMm: lengthMmSchema,
  }),
  refs: { holdTestId: to('holdTest', 'remove') },
  order: ['hours'],
});

/** A target an artist took into use: fixed, so that later readings do not change a build behind one's back. */
export const target = noun({
  name: 'target',
  path: 'targets',
  forHelper: 'all',
  row: z.object({
    id: idSchema,
    modelId: idSchema,
    /** Null once the tier is gone; one is accepted for a tier that is there. */
    tierId: idSchema.nullable(),
    /** The tier's name at the time. */
    tierName: z.string().trim().min(1).max(80),
    /** Counts up for each model and tier. */
    revision: z.int().min(1),
    widthMm: lengthMmSchema,
    toleranceMm: lengthMmSchema,
    dose: doseSchema.nullable(),
    origin: z.enum(ORIGINS),
    daysStanding: z.int().min(0).max(365),
    acceptedAt: instantSchema,
  }),
  given: { revision: 1 },
  refs: { modelId: to('model', 'remove'), tierId: to('tier', 'clear') },
  rules: [{ path: 'tierId', message: 'A target is accepted for a tier', holds: ({ tierId }) => tierId !== null }],
  order: ['-acceptedAt'],
  numbered: { field: 'revision', among: ['modelId', 'tierName'], by: 'next' },
});

/** What someone wants to remember of a balloon, in their own words. */
export const note = noun({
  name: 'note',
  path: 'notes',
  row: z.object({ id: idSchema, modelId: idSchema, text: z.string().trim().min(1).max(500), writtenAt: instantSchema }),
  change: ['text'],
  refs: { modelId: to('model', 'remove') },
  order: ['-writtenAt'],
});

/** A chain of one balloon that was laid out straight and measured: what knot and tail take is learned from it. */
export const chain = noun({
  name: 'chain',
  path: 'chains',
  forHelper: 'all',
  row: z.object({
    id: idSchema,
    modelId: idSchema,
    count: z.int().min(3).max(100),
    widthMm: lengthMmSchema,
    lengthMm: storedLength().positive().max(MOST_BUILD_MM),
    takenAt: instantSchema,
  }),
  refs: { modelId: to('model', 'remove') },
  order: ['-takenAt'],
});
