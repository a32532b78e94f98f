/** Painted metal, by day and in the evening. */
export const STEEL_HEX = '#77706a';
/** A line that holds balloons, mm across (common practice). */
export const LINE_MM = 5;
