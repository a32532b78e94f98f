import type { ConstantWords } from '../constants';

/** The numbers of the trade on buying, carrying and the hours that work takes. */
export const supplying = {
  lossShare: {
    title: 'Lost',
    unit: 'of the balloons',
    origin: 'common practice',
    about:
      'how many do not survive each kind of work: four of ninety small ones in filling, one of forty-eight in building; ' +
      'learned from the studio’s own losses',
    range: [0.001, 0.5],
    parts: { inflate: { title: 'In filling' }, build: { title: 'In building' } },
  },
  lossWorth: {
    title: 'Weight of the usual losses',
    unit: 'balloons',
    origin: 'from memory',
    about: 'how many balloons the usual losses count for beside the studio’s own: with it fifteen are taken for twelve',
    range: [2, 500],
  },
  bagOf: {
    title: 'In a bought bag',
    unit: 'balloons',
    origin: 'from memory',
    about: 'how many a bag is taken to hold of which none was bought yet',
    range: [1, 1000],
  },
  carryBagL: {
    title: 'A carrying bag',
    unit: 'L',
    origin: 'from memory',
    about: 'what a bag holds in which inflated balloons are carried',
    range: [20, 2000],
  },
  carryFill: {
    title: 'Filled by balloons',
    unit: 'of the bag',
    origin: 'published',
    about:
      'how much of a bag is balloons: less than the 0.64 of spheres that are poured into a wide box (Bernal, 1960)',
    range: [0.3, 0.74],
  },
  paceS: {
    title: 'Pace',
    unit: 's each',
    origin: 'from memory',
    about:
      'how long one pair of hands takes: 48 by eye are inflated and tied in ten to fifteen minutes (common practice), ' +
      'the rest from memory',
    range: [0.5, 3600],
    parts: {
      eye: { title: 'To inflate by eye' },
      sized: { title: 'To inflate with a sizer' },
      stuff: { title: 'To stuff, a pair' },
      tie: { title: 'To tie, a knot' },
      build: { title: 'To put on, a cluster' },
      load: { title: 'To bag and load, a balloon' },
      check: { title: 'To measure in the morning, all' },
      install: { title: 'To put up, a piece' },
      takeDown: { title: 'To take down, a piece' },
    },
  },
  aheadH: {
    title: 'Inflated ahead, at most',
    unit: 'h before the opening',
    origin: 'from memory',
    about:
      'how long before an opening balloons are inflated: the night before only with necks wrapped twice (common practice), ' +
      'the hours from memory',
    range: [1, 500],
    parts: { once: { title: 'Neck wrapped once' }, twice: { title: 'Neck wrapped twice' } },
  },
  eveningH: {
    title: 'An evening',
    unit: 'h',
    origin: 'from memory',
    about: 'how long after its opening a piece is taken down that stands for one evening',
    range: [1, 24],
  },
} satisfies Record<string, ConstantWords>;
