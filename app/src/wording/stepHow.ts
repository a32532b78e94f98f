import type { PieceForm } from '@leggero/contract';

/** How what is put on with a step is turned and where it is locked, and what goes wrong there (common practice). */
interface StepHow {
  first: string;
  next: string;
  last: string;
}

const HALF_STEP =
  'Turn it half a step on, the same way as the one before, so that it rests in the creases: to and fro makes a zigzag.';
const QUARTER =
  'Turn it a quarter on the one before, its necks once around the joiner, and push it down until no gap shows.';
const KNOTTED = 'Knot the joiner behind it, and check the length before the end is cut.';
const RING = {
  first: 'Close it last neck to first tail: a ring that is twisted does not lie flat.',
  next: 'Turn it half a balloon on the ring below: each sits between two. Tie it there before the next.',
  last: 'It closes what is below: where it stands off, a size is wrong, not the knot.',
};

const HOW: Record<PieceForm | 'column-on-line', StepHow> = {
  column: {
    first: 'Push it on from above with its necks around the pole, and wrap one neck twice: this one is locked.',
    next: HALF_STEP,
    last: `${HALF_STEP} Wrap one neck twice around the pole: the topmost is locked too.`,
  },
  'column-on-line': {
    first: 'Tie the line to it, and lead it up through a crease on both sides.',
    next: 'Turn it half a step on, line once through two creases opposite one another, only to the layer below.',
    last: 'Straighten the column from the foot up before the line is knotted here.',
  },
  taper: {
    first: 'The widest, its necks around the pole, one wrapped twice: this one is locked.',
    next: `${HALF_STEP} Sizes look alike: take it from its own bag.`,
    last: 'Wrap one neck twice around the pole. A pole that shows above is hidden by a row of small ones.',
  },
  arch: {
    first: 'Fix it to the left foot, its necks around the middle.',
    next: HALF_STEP,
    last: 'Fix it to the right foot; weigh both feet first, or they slide apart.',
  },
  hoop: {
    first: 'Wrap one neck twice around the tube: what is beside it is pushed against this one.',
    next: 'Turn it so that one balloon sits between two of its neighbour, press it on, then lock it.',
    last: 'Press it on and lock it. A sign is hung after this one: the crescents pull the hoop.',
  },
  rope: { first: 'Twist its necks around the joiner once, near its fixed end.', next: QUARTER, last: KNOTTED },
  bow: {
    first: 'Twist its necks around the joiner once: the loop begins here, at the knot.',
    next: QUARTER,
    last: `${KNOTTED} Hold both sides beside each other: unlike loops are a miscount.`,
  },
  plinth: {
    first: 'String it on the modelling balloon through its middle; its weight comes between knot and neck.',
    next: 'Seat it in the creases of the one before; small ones are cinched by their own necks.',
    last: 'Tie the second weight behind it, and lay the row on two balloons of each cluster.',
  },
  garland: {
    first: 'Leave two necks long: it hangs by them.',
    next: 'Turn it until it nests, push it on, and join two or three necks of each. Neighbours of one size make a rope of it.',
    last: 'Put on last what only nests: glued near the neck, it does not bear to be moved.',
  },
  chain: {
    first: 'Tie neck to tail; keep the tail’s nub whole.',
    next: 'Neck to tail.',
    last: 'Tie off above its knot.',
  },
  swag: {
    first: 'Fix its end balloons first: the rest hangs between them.',
    next: 'Hang it between its fixings; the same count on both sides of the middle.',
    last: 'Step back: a swag that hangs lower has one balloon too many.',
  },
  curtain: {
    first: 'Hang it at the end of the line, its heaviest end down.',
    next: 'Hang it so far beside the last as the list says: by eye they crowd towards one end.',
    last: 'At the other end of the line: what is left over shows here.',
  },
  ring: RING,
  basket: {
    ...RING,
    first: 'Lay the chains across each other and twist their middles twice: once springs open again.',
  },
  cup: RING,
  dome: RING,
  ball: RING,
  wreath: { ...RING, next: 'Lay it around the last, half a balloon on, and tie it at every point.' },
};

/** How one step of so many is done. */
export function stepHowText(form: PieceForm | 'column-on-line', step: number, steps: number): string {
  const { first, next, last } = HOW[form];
  return step === 0 ? first : step === steps - 1 ? last : next;
}

/** How a piece is put on from its first to its last: how it is turned, joined and locked. */
export function buildHow(form: PieceForm | 'column-on-line'): string[] {
  const { first, next, last } = HOW[form];
  return [...new Set([first, next, last])];
}
