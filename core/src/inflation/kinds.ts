/** What a tap at a station says of a balloon: made, or why not. */
export const TALLIES = ['done', 'popped', 'pinhole', 'size', 'other'] as const;
export type Tallied = (typeof TALLIES)[number];

/** Why a balloon was not made, in the order of the buttons. */
export const MISHAPS = TALLIES.slice(1) as Exclude<Tallied, 'done'>[];

/** Of a balloon of the wrong size air is let out, or its knot is pulled apart: it is not lost (common practice). */
export const isLost = (what: Tallied): boolean => what !== 'done' && what !== 'size';
