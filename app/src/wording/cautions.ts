/** The usual cautions, where they apply. Not a replacement for local rules or licensed practice. */
export const FILLING_CAUTION =
  'Size at arm’s length and mind eyes and ears when filling towards the limit. Latex allergy: ask the client. Broken pieces choke small children: collect them at once.';

/** For whoever cuts a sizer. */
export const CUTTING_CAUTION =
  'Mind fingers with blades. Go by the laser cutter’s own rules, its extraction and what may be cut with it, and sand the edges: latex finds every splinter.';

/** How to close it so that it keeps its width: common practice. */
export const TIE_ADVICE = 'Wrap the neck twice before the knot, so that it keeps overnight.';
