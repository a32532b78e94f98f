import type { FoilKind } from '@leggero/core';
import type { FoilHeadroom } from '@leggero/core/foil';

import { percent } from './trade';

/** When to stop, with which shut-off, and how to close it: common practice. */
export const FOIL_WORDS: Record<FoilKind, { stop: string; shutOff: string; seal: string }> = {
  foil: {
    stop: 'Fill until it is firm. Run a finger along the seam: it must still dent, and spring back.',
    shutOff: 'An automatic shut-off suits it.',
    seal: 'The valve closes by itself: press it flat. Heat or tape makes sure where it hangs for days.',
  },
  'stretch-foil': {
    stop: 'Fill until the last wrinkle goes; it is then smooth all around.',
    shutOff: 'Fill by hand: an automatic shut-off stops too soon, while it is still wrinkled.',
    seal: 'Knot or clip the tail close to the sphere, then tape it down.',
  },
};

export const TWO_CHAMBERS =
  'A shape of two chambers fills one first. Stop, press the air across with the flat hand, and ' +
  'fill on until both are firm.';

export function headroomText({ fillTo, roomShare, then }: FoilHeadroom): string {
  switch (then) {
    case 'strains':
      return (
        `Fill it to ${percent(fillTo)} of its volume here, and leave ${percent(roomShare)} more than ` +
        'usual free: at the venue it is just firm.'
      );
    case 'goes-slack':
      return 'It goes slack at the venue: fill it to the seam test here, and top it up there.';
    case 'same':
      return 'The same as here: fill it to the seam test.';
  }
}
