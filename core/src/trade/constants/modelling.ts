import type { ConstantWords } from '../constants';

/** The numbers of the trade on modelling balloons. */
export const modelling = {
  twistTail: {
    title: 'Tail for a twist',
    unit: 'of the width, a twist',
    origin: 'common practice',
    about: 'empty tail that one twist takes: an inch for the one of a loop leaf on a balloon two inches across',
    range: [0.1, 1.5],
  },
  burpShare: {
    title: 'Burp',
    unit: 'of the length',
    origin: 'from memory',
    about: 'what letting a little out of a full modelling balloon takes, so that it bends',
    range: [0, 0.2],
  },
  modellingRest: {
    title: 'Empty modelling balloon',
    unit: 'of the length',
    origin: 'from memory',
    about: 'an empty modelling balloon: how long it is, and how wide it lies flat',
    range: [0.1, 0.6],
    parts: {
      length: { title: 'Its length', range: [0.1, 0.35], unit: 'of the inflated length' },
      flatWidth: { title: 'Its width, flat', range: [0.2, 0.6], unit: 'of the width' },
    },
  },
  modellingPull: {
    title: 'Pull',
    unit: 'of its own length',
    origin: 'from memory',
    about: 'how far an empty modelling balloon is pulled while tying or wrapping',
    range: [1, 5],
  },
  ropePull: {
    title: 'Pull along a rope',
    unit: 'of its own length',
    origin: 'common practice',
    about: 'how far an empty modelling balloon is pulled along a rope of duplets: one 260 carries sixty at 4 in',
    range: [2, 9],
  },
  knotMm: {
    title: 'Knot',
    unit: 'mm',
    origin: 'from memory',
    about: 'pulled length that a knot and its ends take',
    range: [10, 100],
  },
  sprayMost: {
    title: 'Most in a spray',
    unit: 'balloons',
    origin: 'common practice',
    about: 'how many twist together at their middles: ten three inches across, up to forty two inches across',
    range: [4, 80],
    parts: {
      wide: { title: 'Three inches across', range: [4, 25] },
      thin: { title: 'Two inches across', range: [10, 80] },
    },
  },
} satisfies Record<string, ConstantWords>;
