/** Closed forms made of rings upon rings. */
export const FORMS = ['basket', 'cup', 'dome', 'ball', 'wreath'] as const;
export type FormKind = (typeof FORMS)[number];

/** Lines that chains hang from, seen from the front. */
export const TOP_LINES = ['level', 'arched', 'swagged'] as const;
export type TopLine = (typeof TOP_LINES)[number];

/** Where the chains of a curtain end: at one height, or all with the same count. */
export const HEMS = ['level', 'follows'] as const;
export type Hem = (typeof HEMS)[number];

/** How a ring goes with a round thing: around the outside of it, along it, or inside its wall. */
export const RING_FITS = ['around', 'on', 'inside'] as const;
export type RingFit = (typeof RING_FITS)[number];
