import type { ConstantWords } from '../constants';

/** The numbers of the trade on linking. */
export const linking = {
  linkJoint: {
    title: 'Joint',
    unit: 'of nominal',
    origin: 'from memory',
    about: 'what knot and tail put between two linked bodies, until a chain has been measured',
    range: [-0.05, 0.15],
  },
  linkJointSd: {
    title: 'From joint to joint',
    unit: 'of nominal',
    origin: 'from memory',
    about: 'how far that may be off for one balloon, and how much joints of one chain differ',
    range: [0.005, 0.06],
  },
  linkNeck: {
    title: 'Neck of a linking balloon',
    unit: 'of what resists pressing',
    origin: 'from memory',
    about: 'how hard the neck or tail of a linked balloon pulls, beside how hard two of them press into one another',
    range: [0.2, 4],
  },
  linkNeckSd: {
    title: 'From neck to neck',
    unit: 'of its logarithm',
    origin: 'from memory',
    about: 'how far that may be off: what a basket’s width across is known to follows from it',
    range: [0.05, 1],
  },
  practisedBasket: {
    title: 'Basket as practised',
    unit: 'inch',
    origin: 'common practice',
    about: 'the sizes of a basket of six spokes, all exact; anything scaled by one factor keeps its shape',
    range: [2, 8],
    parts: {
      spokes: { title: 'Spokes' },
      firstRing: { title: 'First ring' },
      upperRing: { title: 'Upper ring' },
      ties: { title: 'Ties' },
    },
  },
  ringGive: {
    title: 'Give of a ring',
    unit: 'of the way round',
    origin: 'from memory',
    about:
      'what the joints of a ring take up unseen: a quarter inch in a ring of six 6 in balloons is more (common practice)',
    range: [0.001, 0.03],
  },
  tieGive: {
    title: 'Give of a tie',
    unit: 'of the tying balloon',
    origin: 'from memory',
    about: 'how much smaller or larger than its place a tying balloon may be',
    range: [0.01, 0.2],
  },
  looksAlike: {
    title: 'Sizes that look alike',
    unit: 'of the width',
    origin: 'from memory',
    about: 'balloons nearer in width than this look the same on the table: 3½ and 3¾ in do (common practice)',
    range: [0.02, 0.2],
  },
  headroomMm: {
    title: 'Headroom',
    unit: 'mm',
    origin: 'from memory',
    about: 'what people walking under a piece need; the venue and local rules decide',
    range: [1900, 3500],
  },
  manyLinked: {
    title: 'Too many for one piece',
    unit: 'balloons',
    origin: 'from memory',
    about: 'from here on a piece is work for several people and days: better made in parts',
    range: [100, 10000],
  },
} satisfies Record<string, ConstantWords>;
