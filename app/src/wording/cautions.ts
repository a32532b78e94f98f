/**
 * A caution: what it is called when folded, and what it says. Not a replacement for local rules or licensed practice.
 */
interface CautionText {
  title: string;
  text: string;
}

/** The usual cautions of the trade, in our words; shown where they apply. */
export const CAUTIONS = {
  latex: {
    title: 'Latex allergy',
    text: 'Ask the client before anything of latex goes up, and never bring it into a hospital or a care home unasked.',
  },
  choking: {
    title: 'Small children',
    text: 'Empty and broken balloons choke children under eight. Keep them in sight, and pick up every piece at once.',
  },
  burst: {
    title: 'Eyes and ears',
    text:
      'Size at arm’s length and look away while filling towards the limit: two skins burst harder and ' +
      'louder than one. Wear glasses, and ear protection beside a compressor.',
  },
  helium: {
    title: 'Helium',
    text:
      'Never breathe it. Keep the cylinder upright and strapped, open a window, and go by the ' +
      'supplier’s sheet. Never let a balloon go outdoors.',
  },
  power: {
    title: 'Foil and power lines',
    text:
      'Foil carries current: keep it away from power lines, sockets and lamps, indoors and out, and ' +
      'weigh it down. Local rules come first.',
  },
  heights: {
    title: 'Ladders, wind and hanging',
    text:
      'For anything overhead or heavy ask a rigger or licensed contractor, and go by the venue’s ' +
      'rules. Outdoors someone responsible sizes frame and ballast; take it down in strong wind.',
  },
} as const satisfies Record<string, CautionText>;
export type CautionName = keyof typeof CAUTIONS;

/** Where balloons are filled by hand: in one line. */
export const FILLING_CAUTION =
  'Size at arm’s length and mind eyes and ears when filling towards the limit. Latex allergy: ask ' +
  'the client. Broken pieces choke small children: collect them at once.';

/** For whoever cuts a sizer. */
export const CUTTING_CAUTION =
  'Mind fingers with blades. Go by the laser cutter’s own rules, its extraction and what may be ' +
  'cut with it, and sand the edges: latex finds every splinter.';

/** How to close it so that it keeps its width: common practice. */
export const TIE_ADVICE = 'Wrap the neck twice before the knot, so that it keeps overnight.';
