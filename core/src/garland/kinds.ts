/** Where a garland runs: level, hanging, over a gate, up and over, up and along, around a frame or a ring, as it is drawn. */
export const GARLAND_PATHS = ['straight', 'droop', 'arch', 'half-arch', 'corner', 'backdrop', 'hoop', 'own'] as const;
export type GarlandPathKind = (typeof GARLAND_PATHS)[number];

/** Clusters of one garland. */
export const MOST_CLUSTERS = 400;

/** Balloons of one cluster: more are not tied at one knot. */
export const MOST_IN_CLUSTER = 12;

/** How colours follow each other along a garland: in blocks of clusters, one into the next, all over it. */
export const COLOUR_WAYS = ['blocks', 'fade', 'scatter'] as const;
export type ColourWay = (typeof COLOUR_WAYS)[number];

/** The least and the most that a garland is full, where 1 is what its clusters along the line make it. */
export const FULLNESS = { least: 1, most: 3 } as const;

/** How a garland is made fuller: by more clusters over those along the line, or by larger balloons in them. */
export const FULLER_WAYS = ['layers', 'larger'] as const;
export type FullerWay = (typeof FULLER_WAYS)[number];

/** Holes of one strip. */
export const MOST_STRIP_HOLES = 2000;

/** Places of a path that is drawn. */
export const PATH_POINTS = { least: 2, most: 12 } as const;

/** Hooks of one garland. */
export const MOST_FIXINGS = 60;

/** How groups of decorators are spread over a garland: into its widest hollows, or evenly along it. */
export const DECORATOR_WAYS = ['widest', 'even'] as const;
export type DecoratorWay = (typeof DECORATOR_WAYS)[number];

/** Decorators that are tied together: in twos, threes and fours. */
export const MOST_IN_DECORATOR = 4;

/** What joins the clusters of a garland: their own necks, modelling balloons, line, bands. */
export const JOINED_BY = ['necks', 'modelling', 'line', 'bands'] as const;
export type JoinedBy = (typeof JOINED_BY)[number];
