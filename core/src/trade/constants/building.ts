import type { ConstantWords } from '../constants';

/** The numbers of the trade on columns and tapers. */
export const building = {
  packing: {
    title: 'Packing',
    unit: 'of the rise of touching layers',
    origin: 'common practice',
    about: 'how high layers stand once latex gives: eight of quads at 10 in make 5 ft',
    range: [0.6, 1],
  },
  packingSd: {
    title: 'From studio to studio',
    unit: 'of the rise of touching layers',
    origin: 'from memory',
    about: 'how far a studio’s own packing may be from it, before a stack was measured',
    range: [0.01, 0.15],
  },
  packingBetween: {
    title: 'From stack to stack',
    unit: 'of the rise of touching layers',
    origin: 'from memory',
    about: 'how much two stacks of one maker differ',
    range: [0.001, 0.05],
  },
  stackSdMm: {
    title: 'Tape along a stack',
    unit: 'mm',
    origin: 'from memory',
    about: 'how far the height of a stack is misread',
    range: [1, 30],
  },
  topperShare: {
    title: 'Least topper',
    unit: 'of the balloons below',
    origin: 'common practice',
    about: 'how wide a topper must be on a column so as not to look lost: 30 in on 11 in balloons',
    range: [1, 5],
  },
} satisfies Record<string, ConstantWords>;
