import { HOLE_ANSWERS } from '@leggero/core';
import { z } from 'zod';

import { demoSchema, idSchema, instantSchema, lengthMmSchema, nameSchema } from '../common';
import { noun, to } from '../noun';

/** A run of checks: every balloon of a piece, one check for each of its sizes. */
export const run = noun({
  name: 'run',
  path: 'runs',
  row: z.object({ id: idSchema, pieceId: idSchema, startedAt: instantSchema, demo: demoSchema }),
  given: { demo: false },
  refs: { pieceId: to('piece', 'remove') },
  order: ['-startedAt'],
});

/** What a check has that says nothing of its lot, its pairs, its hole or its run. */
export const CHECK_DEFAULTS = {
  lotSize: null,
  acceptMost: null,
  pairs: false,
  holeId: null,
  holeMm: null,
  pieceId: null,
  layer: null,
  runId: null,
  place: null,
  turnId: null,
} as const;

/** A batch held against a target. */
export const check = noun({
  name: 'check',
  path: 'checks',
  forHelper: { by: 'turnId', writes: true },
  row: z.object({
    id: idSchema,
    modelId: idSchema,
    tierName: z.string().trim().min(1).max(80),
    targetMm: lengthMmSchema,
    toleranceMm: lengthMmSchema,
    /** Balloons to be checked. */
    size: z.int().min(1).max(1000),
    /** The lot they stand for, and how many of them may be off before the lot is sized again. */
    lotSize: z.int().min(2).max(20000).nullable().default(CHECK_DEFAULTS.lotSize),
    acceptMost: z.int().min(0).max(100).nullable().default(CHECK_DEFAULTS.acceptMost),
    /** Filled two at once: neighbours are a pair. */
    pairs: z.boolean().default(CHECK_DEFAULTS.pairs),
    /** The hole of the answers, and its width as then known. */
    holeId: idSchema.nullable().default(CHECK_DEFAULTS.holeId),
    holeMm: lengthMmSchema.nullable().default(CHECK_DEFAULTS.holeMm),
    /** The piece the balloons are for, and which of its sizes they are. */
    pieceId: idSchema.nullable().default(CHECK_DEFAULTS.pieceId),
    layer: z.string().trim().min(1).max(40).nullable().default(CHECK_DEFAULTS.layer),
    /** The run it is part of, and its place there, 0 first. */
    runId: idSchema.nullable().default(CHECK_DEFAULTS.runId),
    place: z.int().min(0).max(99).nullable().default(CHECK_DEFAULTS.place),
    /** The turn of an inflation run that it was taken in. */
    turnId: idSchema.nullable().default(CHECK_DEFAULTS.turnId),
    startedAt: instantSchema,
    demo: demoSchema,
  }),
  given: { demo: false },
  refs: {
    modelId: to('model', 'remove'),
    holeId: to('hole', 'clear'),
    pieceId: to('piece', 'clear'),
    runId: to('run', 'clear'),
    turnId: to('turn', 'clear'),
  },
  order: ['-startedAt'],
});

/** What a result has that says nothing of two holes. */
export const RESULT_DEFAULTS = {
  stopsHoleId: null,
  passesHoleId: null,
  stopsMm: null,
  passesMm: null,
} as const;

/** One balloon of a batch: an answer at the hole, a width, or the holes it lies between. */
export const checkResult = noun({
  name: 'checkResult',
  path: 'check-results',
  forHelper: { by: 'checkId', writes: true },
  row: z.object({
    id: idSchema,
    checkId: idSchema,
    /** Place in the batch, 0 first. */
    position: z.int().min(0).max(999),
    answer: z.enum(HOLE_ANSWERS).nullable(),
    widthMm: lengthMmSchema.nullable(),
    /** Between two holes: the largest it stops at and the smallest it passes, by their ids; one is enough. */
    stopsHoleId: idSchema.nullable().default(RESULT_DEFAULTS.stopsHoleId),
    passesHoleId: idSchema.nullable().default(RESULT_DEFAULTS.passesHoleId),
    /** Their widths as then known. */
    stopsMm: lengthMmSchema.nullable().default(RESULT_DEFAULTS.stopsMm),
    passesMm: lengthMmSchema.nullable().default(RESULT_DEFAULTS.passesMm),
    takenAt: instantSchema,
  }),
  refs: {
    checkId: to('check', 'remove'),
    stopsHoleId: to('hole', 'clear'),
    passesHoleId: to('hole', 'clear'),
  },
  rules: [
    {
      path: 'answer',
      message: 'Give one of: an answer at the hole, a width, the holes it lies between',
      holds: ({ answer, widthMm, stopsMm, passesMm }) =>
        Number(answer !== null) + Number(widthMm !== null) + Number(stopsMm !== null || passesMm !== null) === 1,
    },
    {
      path: 'passesMm',
      message: 'The hole it passes is larger than the one it stops at',
      holds: ({ stopsMm, passesMm }) => stopsMm === null || passesMm === null || stopsMm < passesMm,
    },
  ],
  order: ['position'],
  numbered: { field: 'position', among: ['checkId'], by: 'free' },
});

/** A study of the sizing itself: the same balloons, sized by each person, several times. */
export const study = noun({
  name: 'study',
  path: 'studies',
  row: z.object({
    id: idSchema,
    /** What is studied, in the studio's words: a hole, a tape, a caliper. */
    subject: nameSchema,
    balloons: z.int().min(2).max(20),
    repeats: z.int().min(2).max(5),
    startedAt: instantSchema,
    demo: demoSchema,
  }),
  given: { demo: false },
  order: ['-startedAt'],
});

const placeSchema = z.int().min(0).max(29);

/** So many take part in a study at most. */
export const MOST_IN_STUDY = 6;

/** Someone who takes part in a study: a name, no more. */
export const studyPerson = noun({
  name: 'studyPerson',
  path: 'study-people',
  row: z.object({ id: idSchema, studyId: idSchema, position: placeSchema, name: nameSchema }),
  refs: { studyId: to('study', 'remove') },
  order: ['position'],
});

/** One width of a study: which balloon, who, which time. */
export const studyWidth = noun({
  name: 'studyWidth',
  path: 'study-widths',
  row: z.object({
    id: idSchema,
    studyId: idSchema,
    balloon: placeSchema,
    person: placeSchema,
    repeat: placeSchema,
    widthMm: lengthMmSchema,
    takenAt: instantSchema,
  }),
  refs: { studyId: to('study', 'remove') },
  order: ['takenAt'],
});
