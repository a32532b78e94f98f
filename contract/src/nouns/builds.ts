import { MOST_CLUSTERS, MOST_HOURS_BEFORE, MOST_IN_LAYER, MOST_LAYERS, MOST_MARGIN, ORIGINS } from '@leggero/core';
import { z } from 'zod';

import {
  altitudeMSchema,
  demoSchema,
  doseSchema,
  idSchema,
  instantSchema,
  lengthMmSchema,
  minorSchema,
  MOST_BUILD_MM,
  nameSchema,
  storedLength,
  storedNumber,
  tempCSchema,
  timeZoneSchema,
} from '../common';
import { clusterKindsSchema, pieceDesignSchema } from '../design';
import { noun, to } from '../noun';

/** Where an event is on its way. */
export const EVENT_STATES = ['planned', 'in work', 'up', 'down'] as const;
export type EventState = (typeof EVENT_STATES)[number];

/** What an event has of which nothing was said yet. */
export const EVENT_DEFAULTS = {
  client: '',
  place: '',
  opensAt: null,
  timeZone: null,
  workroomTempC: null,
  venueTempC: null,
  venueAltitudeM: null,
  hoursBefore: 3,
  wraps: 2,
  outdoors: false,
  ceilingMm: null,
  doorHighMm: null,
  doorWideMm: null,
  liftHighMm: null,
  liftWideMm: null,
  notes: '',
  state: 'planned',
  plan: null,
} as const;

/** People, and stations to inflate at, of one event. */
export const MOST_HANDS = 99;
export const MOST_EXTRAS = 20;
/** Characters of what an extra is called. */
export const MOST_EXTRA_NAME = 80;
/** What is sent within a quarter of a year. */
export const MOST_DELIVERY_DAYS = 90;
const MINUTES_A_DAY = 1440;
/** Batches whose place on the bench is said. */
const MOST_ORDERED = 500;

/** When and how long an event's work is of which nothing was said; plans of before these were known lack them. */
const PLAN_TIMES = { dayFromMin: 540, dayToMin: 1140, travelMin: 45, spareMin: 60, deliveryDays: 3 } as const;

/** How the work of an event is planned, and what it costs beside balloons; money in minor units. */
const planSchema = z.object({
  /** How sure it is to be that enough balloons survive. */
  sure: z.number().min(0.5).max(0.999),
  /** With a sizer, or by eye. */
  sized: z.boolean(),
  people: z.int().min(0).max(MOST_HANDS),
  stations: z.int().min(0).max(MOST_HANDS),
  /** The order of the batches on the bench, by their keys; those that are not named follow their own. */
  order: z.array(z.string().max(60)).max(MOST_ORDERED),
  hourMinor: minorSchema,
  travelMinor: minorSchema,
  hireMinor: minorSchema,
  extras: z.array(z.object({ name: z.string().trim().max(MOST_EXTRA_NAME), minor: minorSchema })).max(MOST_EXTRAS),
  /** As a share of the price. */
  margin: z.number().min(0).max(MOST_MARGIN),
  /** When a day's work begins and ends by the clock, minutes after midnight. */
  dayFromMin: z
    .int()
    .min(0)
    .max(MINUTES_A_DAY - 1)
    .default(PLAN_TIMES.dayFromMin),
  dayToMin: z.int().min(1).max(MINUTES_A_DAY).default(PLAN_TIMES.dayToMin),
  /** One way to the place, and kept in hand before the opening, minutes. */
  travelMin: z.int().min(0).max(MINUTES_A_DAY).default(PLAN_TIMES.travelMin),
  spareMin: z.int().min(0).max(MINUTES_A_DAY).default(PLAN_TIMES.spareMin),
  /** From ordering to having it, where something is to be bought. */
  deliveryDays: z.int().min(0).max(MOST_DELIVERY_DAYS).default(PLAN_TIMES.deliveryDays),
});
export type WorkPlan = z.output<typeof planSchema>;

/** How work is planned of which nothing was said. */
export const PLAN_DEFAULTS: WorkPlan = {
  ...{ sure: 0.95, sized: true, people: 1, stations: 1, order: [] },
  ...{ hourMinor: 0, travelMinor: 0, hireMinor: 0, extras: [], margin: 0 },
  ...PLAN_TIMES,
};

/** How the work of an event is planned: as was said, and as is usual where nothing was. */
export const planOf = ({ plan }: { plan: WorkPlan | null }): WorkPlan => ({ ...PLAN_DEFAULTS, ...plan });

/** An event without for whom it is and what it costs. */
function withoutMoney<Event extends { client: string; plan: WorkPlan | null }>(row: Event): Event {
  const { hourMinor, travelMinor, hireMinor, extras, margin } = PLAN_DEFAULTS;
  const plan = row.plan && { ...row.plan, hourMinor, travelMinor, hireMinor, extras, margin };
  return { ...row, client: '', plan };
}

const sizeMmSchema = storedLength().positive().max(MOST_BUILD_MM).nullable();

/** A build as it is sold: for whom, where, when and how long, and what its place allows. */
export const event = noun({
  name: 'event',
  path: 'events',
  writtenBy: 'planner',
  forHelper: { by: 'id', writes: false, shown: withoutMoney },
  row: z.object({
    id: idSchema,
    name: nameSchema,
    client: z.string().trim().max(80).default(EVENT_DEFAULTS.client),
    place: z.string().trim().max(120).default(EVENT_DEFAULTS.place),
    /** When it opens; null while nobody has said. */
    opensAt: instantSchema.nullable().default(EVENT_DEFAULTS.opensAt),
    /** Whose clock its place goes by; null as the device's. */
    timeZone: timeZoneSchema.nullable().default(EVENT_DEFAULTS.timeZone),
    /** How long it stands, days. */
    daysStanding: z.int().min(0).max(365),
    /** Where its balloons are made; null as the studio's workroom is. */
    workroomTempC: tempCSchema.nullable().default(EVENT_DEFAULTS.workroomTempC),
    /** Where they are shown; null as it is in the workroom. */
    venueTempC: tempCSchema.nullable().default(EVENT_DEFAULTS.venueTempC),
    venueAltitudeM: altitudeMSchema.nullable().default(EVENT_DEFAULTS.venueAltitudeM),
    /** Hours from the knot to the opening, and turns of the neck. */
    hoursBefore: storedNumber(1).min(0).max(MOST_HOURS_BEFORE).default(EVENT_DEFAULTS.hoursBefore),
    wraps: z.union([z.literal(1), z.literal(2)]).default(EVENT_DEFAULTS.wraps),
    outdoors: z.boolean().default(EVENT_DEFAULTS.outdoors),
    ceilingMm: sizeMmSchema.default(EVENT_DEFAULTS.ceilingMm),
    doorHighMm: sizeMmSchema.default(EVENT_DEFAULTS.doorHighMm),
    doorWideMm: sizeMmSchema.default(EVENT_DEFAULTS.doorWideMm),
    liftHighMm: sizeMmSchema.default(EVENT_DEFAULTS.liftHighMm),
    liftWideMm: sizeMmSchema.default(EVENT_DEFAULTS.liftWideMm),
    notes: z.string().trim().max(2000).default(EVENT_DEFAULTS.notes),
    state: z.enum(EVENT_STATES).default(EVENT_DEFAULTS.state),
    plan: planSchema.nullable().default(EVENT_DEFAULTS.plan),
    createdAt: instantSchema,
    demo: demoSchema,
  }),
  given: { demo: false },
  change: [
    ...(['name', 'client', 'place', 'opensAt', 'timeZone', 'daysStanding', 'workroomTempC', 'venueTempC'] as const),
    ...(['venueAltitudeM', 'hoursBefore', 'wraps', 'outdoors', 'ceilingMm', 'doorHighMm', 'doorWideMm'] as const),
    ...(['liftHighMm', 'liftWideMm', 'notes', 'state', 'plan'] as const),
  ],
  order: ['-createdAt'],
});

/** A stack that stood and was measured: what packing is learned from. */
export const stack = noun({
  name: 'stack',
  path: 'stacks',
  forHelper: 'all',
  row: z.object({
    id: idSchema,
    /** From the lowest up. */
    layers: z
      .array(z.object({ count: z.int().min(1).max(MOST_IN_LAYER), widthMm: lengthMmSchema }))
      .min(2)
      .max(MOST_LAYERS),
    /** From its lowest point to its highest. */
    heightMm: storedLength().positive().max(MOST_BUILD_MM),
    takenAt: instantSchema,
  }),
  order: ['-takenAt'],
});

/** A garland of clusters that was finished and measured: how soft this studio's are is learned from it. */
export const finishedGarland = noun({
  name: 'finishedGarland',
  path: 'finished-garlands',
  forHelper: 'all',
  row: z.object({
    id: idSchema,
    /** Along it, each so many times in a row, begun anew until all clusters were on. */
    kinds: clusterKindsSchema(z.object({ nominalMm: lengthMmSchema, widthMm: lengthMmSchema })),
    clusters: z.int().min(2).max(MOST_CLUSTERS),
    /** From its first balloon to its last, along it. */
    lengthMm: storedLength().positive().max(MOST_BUILD_MM),
    takenAt: instantSchema,
  }),
  order: ['-takenAt'],
});

/** What a piece has that says nothing of an event. */
export const PIECE_DEFAULTS = { eventId: null, copies: 1 } as const;

/** A piece of an event, or a sketch of none: counts, sizes and places are worked out from its design. */
export const piece = noun({
  name: 'piece',
  path: 'pieces',
  writtenBy: 'planner',
  forHelper: { by: 'eventId', writes: false },
  row: z.object({
    id: idSchema,
    name: nameSchema,
    design: pieceDesignSchema,
    /** The event it is for; it stays as a sketch when that goes. */
    eventId: idSchema.nullable().default(PIECE_DEFAULTS.eventId),
    /** How many of it are made. */
    copies: z.int().min(1).max(99).default(PIECE_DEFAULTS.copies),
    createdAt: instantSchema,
    demo: demoSchema,
  }),
  given: { demo: false },
  change: ['name', 'design', 'eventId', 'copies'],
  refs: { eventId: to('event', 'clear') },
  order: ['-createdAt'],
});

/** A target that a piece keeps: later readings do not move it silently. The newest for a balloon and a width counts. */
export const fixing = noun({
  name: 'fixing',
  path: 'fixings',
  writtenBy: 'planner',
  forHelper: { by: 'pieceId', writes: false },
  row: z.object({
    id: idSchema,
    pieceId: idSchema,
    modelId: idSchema,
    /** The width that the piece asks of the balloon. */
    wantedMm: lengthMmSchema,
    /** What it is filled to for that, and the strokes or seconds as they were then. */
    fillMm: lengthMmSchema,
    dose: doseSchema.nullable(),
    origin: z.enum(ORIGINS),
    fixedAt: instantSchema,
  }),
  refs: { pieceId: to('piece', 'remove'), modelId: to('model', 'remove') },
  order: ['-fixedAt'],
});
