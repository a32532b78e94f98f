/** Balloons of a recipe are drawn so large: an 18 in one still fits beside its words. */
export const BALLOON_PX_PER_MM = 0.13;
