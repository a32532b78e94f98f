/** More layers are a tower, not a column. */
export const MOST_LAYERS = 200;

/** Balloons of a layer at most: more do not fit round one pole. */
export const MOST_IN_LAYER = 24;

/** Balloons in a layer of a column: crossed duplets, triplets, quads, quints, sixes. */
export const LAYER_COUNTS = [2, 3, 4, 5, 6] as const;

/** What of a column is worked out from the rest. */
export const COLUMN_OPEN = ['height', 'layers', 'size'] as const;
export type ColumnOpen = (typeof COLUMN_OPEN)[number];

/** What of a bow is worked out from the rest: how wide it is, the duplets of a loop, or the size. */
export const BOW_OPEN = ['across', 'loop', 'size'] as const;
export type BowOpen = (typeof BOW_OPEN)[number];

/** What of an arch is worked out from the rest. */
export const ARCH_OPEN = ['layers', 'height', 'size'] as const;
export type ArchOpen = (typeof ARCH_OPEN)[number];

/** On a frame it follows half an ellipse; free it stands as a chain hangs. */
export const ARCH_SHAPES = ['ellipse', 'catenary'] as const;
export type ArchShape = (typeof ARCH_SHAPES)[number];

/** Winds that a piece may stand in, by their force on the Beaufort scale; beyond them it is taken in. */
export const WIND_FORCES = [2, 3, 4, 5] as const;
export type WindForce = (typeof WIND_FORCES)[number];

/** How colours run over the layers of a column. */
export const PATTERN_KINDS = ['spiral', 'zigzag', 'stripes', 'checks', 'rings', 'blocks'] as const;
export type PatternKind = (typeof PATTERN_KINDS)[number];
