import {
  ARCH_OPEN,
  ARCH_SHAPES,
  BOW_OPEN,
  COLOUR_WAYS,
  COLUMN_OPEN,
  DECORATOR_WAYS,
  FINISHES,
  FORMS,
  FULLER_WAYS,
  FULLNESS,
  GARLAND_PATHS,
  HEMS,
  JOINED_BY,
  MOST_CLUSTERS,
  MOST_FIXINGS,
  MOST_STRIP_HOLES,
  PATH_POINTS,
  MOST_IN_CLUSTER,
  MOST_IN_DECORATOR,
  MOST_LAYERS,
  PATTERN_KINDS,
  RING_FITS,
  TOP_LINES,
  WIND_FORCES,
} from '@leggero/core';
import { z } from 'zod';

import { hexSchema, idSchema, MOST_BUILD_MM } from './common';

/** Lengths of a design are kept as they were worked out: of a build, and of one balloon in it. */
const buildMmSchema = z.number().positive().max(MOST_BUILD_MM);
const partMmSchema = z.number().positive().max(5000);

/** Which balloon a part of a piece is made of, and how it is drawn when it is no longer on the shelf. */
export const partSchema = z.object({
  modelId: idSchema.nullable(),
  colourHex: hexSchema,
  finish: z.enum(FINISHES),
});
export type PiecePart = z.infer<typeof partSchema>;

/** A part with the width it is wanted in, mm. */
export const sizedPartSchema = partSchema.extend({ widthMm: partMmSchema });
export type SizedPart = z.infer<typeof sizedPartSchema>;

/** What repeats along a chain. */
const repeatSchema = z.array(sizedPartSchema).min(1).max(6);
const heightSchema = z.number().min(0).max(30_000);

const chainDesignSchema = z.object({
  form: z.literal('chain'),
  lengthMm: buildMmSchema,
  repeat: repeatSchema,
  /** The plain balloon at its free end. */
  finisher: sizedPartSchema.nullable(),
  /** Height of the room, where it hangs. */
  roomMm: buildMmSchema.nullable(),
  trimmed: z.boolean(),
});

const swagDesignSchema = z.object({
  form: z.literal('swag'),
  /** From the first fixing to the last, over all bays. */
  spanMm: buildMmSchema,
  bays: z.int().min(1).max(12),
  dropMm: z.number().min(0).max(30_000),
  /** How much higher the right fixing of a single bay is than the left. */
  riseMm: z.number().min(-20_000).max(20_000),
  rows: z.int().min(1).max(6),
  rowDropMm: z.number().min(0).max(10_000),
  repeat: repeatSchema,
  /** Fixings above the floor. */
  fixingsMm: buildMmSchema,
  walkedUnder: z.boolean(),
  trimmed: z.boolean(),
});

const curtainDesignSchema = z.object({
  form: z.literal('curtain'),
  acrossMm: buildMmSchema,
  topMm: buildMmSchema,
  hemMm: heightSchema,
  everyMm: buildMmSchema,
  topLine: z.enum(TOP_LINES),
  bowMm: z.number().min(0).max(20_000),
  hem: z.enum(HEMS),
  grid: z.boolean(),
  repeat: repeatSchema,
  finisher: sizedPartSchema.nullable(),
  ceilingMm: buildMmSchema.nullable(),
  walkedUnder: z.boolean(),
  trimmed: z.boolean(),
});

const ringDesignSchema = z.object({
  form: z.literal('ring'),
  count: z.int().min(3).max(500),
  /** From the lowest up, each turned by half a step on the one below. */
  rings: z.array(sizedPartSchema).min(1).max(12),
  /** A thing that a single ring goes with. */
  thing: z.object({ diameterMm: buildMmSchema, fit: z.enum(RING_FITS) }).nullable(),
});

const closedDesignSchema = z.object({
  form: z.enum(FORMS),
  count: z.int().min(4).max(40),
  rings: z.int().min(0).max(6),
  by: z.enum(['base', 'mouth']),
  baseMm: partMmSchema,
  mouthMm: partMmSchema,
  leanDeg: z.number().min(0).max(30),
  /** mm between the sizes it may have. */
  stepMm: z.number().positive().max(50),
  /** By size; those not named are made of `usual`. */
  parts: z.record(z.string().min(1).max(40), partSchema),
  usual: partSchema,
  /** The handle's height, and its modelling balloon. */
  handle: z.object({ riseMm: partMmSchema, part: partSchema }).nullable(),
});

/** Colours that a piece is made in, and balloons that are painted one by one. */
export const MOST_COLOURS = 6;
export const MOST_PAINTED = 1200;
const colourAtSchema = z
  .int()
  .min(0)
  .max(MOST_COLOURS - 1);
const layerAtSchema = z
  .int()
  .min(0)
  .max(MOST_LAYERS - 1);

/** Whose colours go where: a pattern, and what was painted over it. */
const colouringSchema = z.object({
  /** Each a balloon of the shelf; colours below are places in this list. */
  colours: z.array(partSchema).min(1).max(MOST_COLOURS),
  pattern: z.object({
    kind: z.enum(PATTERN_KINDS),
    /** Around the ring, or up the column. */
    order: z.array(colourAtSchema).min(1).max(12),
    to: z.enum(['right', 'left']),
    every: z.int().min(1).max(MOST_LAYERS),
  }),
  painted: z
    .array(z.object({ layer: layerAtSchema, place: z.int().min(0).max(23), colour: colourAtSchema }))
    .max(MOST_PAINTED),
});

/** Modelling balloons of one spray. */
const MOST_SPRAYED = 120;

/** What stands on top: a balloon on the topmost layer, or a figure or a spray of modelling balloons of its own height. */
const topperSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('balloon'), part: sizedPartSchema }),
  z.object({ kind: z.literal('figure'), heightMm: buildMmSchema }),
  z.object({
    kind: z.literal('spray'),
    part: partSchema,
    count: z.int().min(1).max(MOST_SPRAYED),
    heightMm: buildMmSchema,
  }),
]);

/** What a piece stands on: how wide, and in which wind. Absent until someone has asked what it must weigh. */
const baseSchema = z.object({
  acrossMm: z.number().min(0).max(MOST_BUILD_MM),
  /** On the Beaufort scale; null indoors. */
  wind: z.literal(WIND_FORCES).nullable(),
});
export type PieceBase = z.infer<typeof baseSchema>;

const columnDesignSchema = colouringSchema.extend({
  form: z.literal('column'),
  /** Balloons in a layer. */
  count: z.int().min(2).max(6),
  open: z.enum(COLUMN_OPEN),
  layers: z.int().min(1).max(MOST_LAYERS),
  widthMm: partMmSchema,
  /** Over all, from the floor. */
  heightMm: buildMmSchema,
  /** Plate and base below the lowest layer. */
  standMm: z.number().min(0).max(5000),
  topper: topperSchema.nullable(),
  base: baseSchema.optional(),
  /** Held by a pole, or by line from layer to layer. */
  heldBy: z.enum(['pole', 'line']),
  /** Of the room, where it is not that of its event. */
  ceilingMm: buildMmSchema.nullable(),
});

/** Points of a silhouette at most. */
export const MOST_POINTS = 9;

const taperDesignSchema = colouringSchema.extend({
  form: z.literal('taper'),
  /** Balloons in a layer. */
  count: z.int().min(3).max(6),
  /** The silhouette: how wide its balloons are at which share of the height, the foot 0. */
  profile: z
    .array(z.object({ at: z.number().min(0).max(1), widthMm: partMmSchema }))
    .min(2)
    .max(MOST_POINTS),
  /** From the floor to the top of the pole, which its layers cover. */
  poleMm: buildMmSchema,
  standMm: z.number().min(0).max(5000),
  /** mm between the sizes its layers may have. */
  stepMm: z.number().positive().max(50),
  topper: topperSchema.nullable(),
  base: baseSchema.optional(),
  ceilingMm: buildMmSchema.nullable(),
});

/** Crossed duplets on a joiner, and the modelling balloon that is. */
const duplets = {
  /** Balloons in a layer: two. */
  count: z.int().min(2).max(2),
  widthMm: partMmSchema,
  joiner: partSchema,
};

const ropeDesignSchema = colouringSchema.extend({
  form: z.literal('rope'),
  ...duplets,
  /** Of its length, its duplets and their size. */
  open: z.enum(COLUMN_OPEN),
  layers: z.int().min(1).max(MOST_LAYERS),
  heightMm: buildMmSchema,
});

const bowDesignSchema = colouringSchema.extend({
  form: z.literal('bow'),
  ...duplets,
  open: z.enum(BOW_OPEN),
  /** Duplets of one loop, and of one tail. */
  loop: z.int().min(1).max(MOST_LAYERS),
  tail: z.int().min(0).max(MOST_LAYERS),
  acrossMm: buildMmSchema,
  /** Its knot above the floor. */
  knotMm: buildMmSchema,
});

/** Crescents on one hoop, and sizes beside the largest in one. */
export const MOST_CRESCENTS = 3;
export const MOST_STEPS = 8;
const clustersSchema = z.int().min(0).max(30);

/** Clusters of falling size to both sides of a centre; degrees are clockwise from the top of the hoop. */
const crescentSchema = z.object({
  atDeg: z.number().min(0).max(360),
  centreMm: partMmSchema,
  steps: z.array(z.object({ widthMm: partMmSchema, left: clustersSchema, right: clustersSchema })).max(MOST_STEPS),
  /** Where it begins and ends, its sizes scaled to land there; null where they are as they are. */
  between: z.object({ fromDeg: z.number().min(0).max(360), toDeg: z.number().min(0).max(360) }).nullable(),
});

const hoopDesignSchema = colouringSchema.extend({
  form: z.literal('hoop'),
  /** Balloons in a cluster. */
  count: z.int().min(2).max(6),
  /** Across, from the middle of its tube to the middle of it. */
  hoopMm: buildMmSchema,
  /** Its lowest point above the floor: so high is its stand. */
  standMm: z.number().min(0).max(5000),
  crescents: z.array(crescentSchema).min(1).max(MOST_CRESCENTS),
  /** mm between the sizes of a crescent that is to land somewhere. */
  stepMm: z.number().positive().max(50),
  /** Larger clusters around the foot of its stand. */
  foot: z.object({ clusters: z.int().min(1).max(12), widthMm: partMmSchema }).nullable(),
  base: baseSchema.optional(),
  /** What hangs inside on lines. */
  sign: z.object({ wideMm: buildMmSchema, highMm: buildMmSchema }).nullable(),
});

const archDesignSchema = colouringSchema.extend({
  form: z.literal('arch'),
  /** Balloons in a layer. */
  count: z.int().min(2).max(6),
  /** On a frame, or free between two bases. */
  shape: z.enum(ARCH_SHAPES),
  open: z.enum(ARCH_OPEN),
  layers: z.int().min(1).max(MOST_LAYERS),
  widthMm: partMmSchema,
  /** From the middle of one foot to the middle of the other. */
  spanMm: buildMmSchema,
  /** To the middle of the arch at its top, from where it stands. */
  highMm: buildMmSchema,
  /** Plates and bases below its feet. */
  standMm: z.number().min(0).max(5000),
  base: baseSchema.optional(),
});

/** Figures and signs on one plinth. */
export const MOST_STANDING = 6;

const plinthDesignSchema = colouringSchema.extend({
  form: z.literal('plinth'),
  /** Balloons in a cluster. */
  count: z.int().min(2).max(6),
  clusters: z.int().min(1).max(30),
  widthMm: partMmSchema,
  /** Of the small clusters between each two; null without them. */
  smallMm: partMmSchema.nullable(),
  /** At each end, kg. */
  weightKg: z.number().min(0).max(100),
  standing: z
    .array(z.object({ wideMm: buildMmSchema, highMm: buildMmSchema, kg: z.number().min(0).max(100) }))
    .max(MOST_STANDING),
  /** On the Beaufort scale; null indoors. */
  wind: z.literal(WIND_FORCES).nullable(),
  /** A round board that is covered with half a foil. */
  board: z.object({ acrossMm: buildMmSchema }).nullable(),
});

/** Kinds of cluster in one garland, sizes in one kind, and clusters of one kind in a row. */
export const MOST_KINDS = 6;
export const MOST_SIZES = 4;
export const MOST_IN_ROW = 12;
export const MOST_DECORATORS = 1000;
/** Ways that its clusters may happen to be turned. */
export const MOST_SEED = 9999;
/** Steps of a strip before they begin anew, and balloons that are changed by hand. */
export const MOST_STRIP_STEPS = 12;
export const MOST_BY_HAND = 300;
/** Clusters that are moved by hand. */
export const MOST_MOVED = 100;
/** So far sizes are made uneven on purpose, as a share of the width: their standard deviation. */
export const MOST_UNEVEN = 0.2;
/** Beginnings that are kept, one after another. */
export const MOST_KEPT = 12;

/** Places along a garland at which it is said how full it is: evenly, from its beginning to its end. */
export const FULLNESS_PLACES = 5;

/** Single balloons of one colour among the others. */
export const MOST_ACCENTS = 500;

const garlandColoursSchema = z.object({
  way: z.enum(COLOUR_WAYS),
  /** Clusters of a block. */
  block: z.int().min(1).max(MOST_IN_ROW),
  list: z
    .array(
      partSchema.extend({
        share: z.int().min(0).max(100),
        print: z.boolean(),
        /** In place of a share: so many single balloons. */
        accents: z.int().min(1).max(MOST_ACCENTS).nullable().optional(),
      }),
    )
    .min(1)
    .max(MOST_COLOURS),
});

const stripSchema = z.object({
  holes: z.int().min(1).max(MOST_STRIP_HOLES),
  pitchMm: partMmSchema,
  /** The hole that it begins at, from 1. */
  first: z.int().min(1).max(MOST_STRIP_HOLES),
  /** What comes into hole after hole, over and over; null leaves one free. */
  steps: z.array(sizedPartSchema.nullable()).min(1).max(MOST_STRIP_STEPS),
});

/** What stands or hangs at a wall. */
export const WALL_THINGS = ['door', 'window', 'sofa', 'table', 'sign'] as const;
export type WallThingKind = (typeof WALL_THINGS)[number];
export const MOST_WALL_THINGS = 12;

const offMmSchema = z.number().min(-MOST_BUILD_MM).max(MOST_BUILD_MM);

const wallThingSchema = z.object({
  kind: z.enum(WALL_THINGS),
  /** Its left edge from the wall’s left one, and its lower one above the floor. */
  leftMm: offMmSchema,
  lowMm: heightSchema,
  wideMm: buildMmSchema,
  highMm: buildMmSchema,
});
export type WallThing = z.infer<typeof wallThingSchema>;

const byHandSchema = z.object({
  /** Of the strip, where it is made on one; else of its clusters. */
  strip: z.boolean(),
  /** Which balloon: of which cluster along it, along it (0) or in which layer over that, which of those tied there. */
  cluster: z.int().min(0).max(MOST_STRIP_HOLES),
  layer: z.int().min(0).max(MOST_CLUSTERS),
  place: z.int().min(0).max(MOST_IN_CLUSTER),
  /** Taken out, or made so instead; null as it would be. */
  out: z.boolean(),
  widthMm: partMmSchema.nullable(),
  part: partSchema.nullable(),
});
export type ByHand = z.infer<typeof byHandSchema>;

/** What else is put into a garland, as plain shapes. */
export const TRIMMINGS = ['flower', 'leaf', 'sign'] as const;
export type TrimmingKind = (typeof TRIMMINGS)[number];

/** Kinds of cluster in their rhythm, each so many times in a row: so many balloons of each of some sizes. */
export const clusterKindsSchema = <Shape extends z.core.$ZodLooseShape>(balloon: z.ZodObject<Shape>) =>
  z
    .array(
      z.object({
        inRow: z.int().min(1).max(MOST_IN_ROW),
        balloons: z
          .array(balloon.extend({ count: z.int().min(0).max(MOST_IN_CLUSTER) }))
          .min(1)
          .max(MOST_SIZES),
      }),
    )
    .min(1)
    .max(MOST_KINDS);

const garlandDesignSchema = z.object({
  form: z.literal('garland'),
  path: z.object({
    kind: z.enum(GARLAND_PATHS),
    wideMm: buildMmSchema,
    highMm: buildMmSchema,
    /** Between its fixings, where it hangs. */
    dropMm: z.number().min(0).max(MOST_BUILD_MM),
    /** What it runs through where it is drawn: to the right of the wall’s middle, and above the floor. */
    points: z
      .array(z.object({ xMm: offMmSchema, zMm: heightSchema }))
      .max(PATH_POINTS.most)
      .optional(),
  }),
  /** Along it, each so many times in a row, begun anew until all clusters are on. */
  kinds: clusterKindsSchema(sizedPartSchema),
  clusters: z.int().min(1).max(MOST_CLUSTERS),
  // What follows came later: garlands that were drawn up before are without it.
  /** In place of clusters along the line; clusters are then tied over it. */
  strip: stripSchema.nullable().optional(),
  /** So many times as many balloons as along the line. */
  fullness: z.array(z.number().min(FULLNESS.least).max(FULLNESS.most)).length(FULLNESS_PLACES).optional(),
  fuller: z.enum(FULLER_WAYS).optional(),
  /** How far its balloons are made uneven on purpose. */
  uneven: z.number().positive().max(MOST_UNEVEN).nullable().optional(),
  /** Hooks along it, and what each of them holds. */
  fixings: z
    .object({ count: z.int().min(2).max(MOST_FIXINGS), holdsKg: z.number().min(0.01).max(1000) })
    .nullable()
    .optional(),
  /** What it hangs before, to scale. */
  wall: z
    .object({ wideMm: buildMmSchema, highMm: buildMmSchema, things: z.array(wallThingSchema).max(MOST_WALL_THINGS) })
    .nullable()
    .optional(),
  /** In place of the colours of its clusters. */
  colours: garlandColoursSchema.nullable().optional(),
  /** What is changed by hand, the newest last. */
  hand: z.array(byHandSchema).max(MOST_BY_HAND).optional(),
  /** Clusters that are pulled elsewhere by hand, and how far. */
  moved: z
    .array(
      byHandSchema
        .pick({ strip: true, cluster: true, layer: true })
        .extend({ xMm: offMmSchema, yMm: offMmSchema, zMm: offMmSchema }),
    )
    .max(MOST_MOVED)
    .optional(),
  /** Small ones in the hollows between its balloons, the widest hollows first. */
  decorators: sizedPartSchema
    .extend({
      /** Groups of them, each in a hollow. */
      count: z.int().min(1).max(MOST_DECORATORS),
      way: z.enum(DECORATOR_WAYS).optional(),
      /** Balloons of a group: as often of each of these as of the others. */
      tied: z.array(z.int().min(1).max(MOST_IN_DECORATOR)).min(1).max(MOST_IN_DECORATOR).optional(),
      uneven: z.number().positive().max(MOST_UNEVEN).nullable().optional(),
    })
    .nullable(),
  /** Flowers, leaves and signs in hollows that no decorator takes, evenly along it; each kind once. */
  trimmings: z
    .array(z.object({ kind: z.enum(TRIMMINGS), count: z.int().min(1).max(MOST_DECORATORS), wideMm: partMmSchema }))
    .max(TRIMMINGS.length)
    .optional(),
  /** What joins its clusters. */
  joined: z.enum(JOINED_BY).optional(),
  /** How its clusters happen to be turned. */
  seed: z.int().min(1).max(MOST_SEED),
  /** What is good as it lies: clusters before each of these, from 0, rising, and how those are turned. */
  kept: z
    .array(z.object({ before: z.int().min(1).max(MOST_STRIP_HOLES), seed: z.int().min(1).max(MOST_SEED) }))
    .max(MOST_KEPT)
    .optional(),
});

/** What a piece is made to. Counts, sizes and places are worked out from it. */
export const pieceDesignSchema = z.discriminatedUnion('form', [
  chainDesignSchema,
  swagDesignSchema,
  curtainDesignSchema,
  ringDesignSchema,
  closedDesignSchema,
  columnDesignSchema,
  taperDesignSchema,
  ropeDesignSchema,
  bowDesignSchema,
  hoopDesignSchema,
  archDesignSchema,
  plinthDesignSchema,
  garlandDesignSchema,
]);
export type PieceDesign = z.infer<typeof pieceDesignSchema>;
export type DesignOf<Form extends PieceDesign['form']> = Extract<PieceDesign, { form: Form }>;
export type ClosedDesign = z.infer<typeof closedDesignSchema>;

/** Every form that a piece may have. */
export const PIECE_FORMS = [
  'column',
  'taper',
  'arch',
  'hoop',
  'rope',
  'bow',
  'plinth',
  'garland',
  'chain',
  'swag',
  'curtain',
  'ring',
  ...FORMS,
] as const;
export type PieceForm = (typeof PIECE_FORMS)[number];
