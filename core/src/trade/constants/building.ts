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
  windGusts: {
    title: 'Gusts',
    unit: 'of the mean wind',
    origin: 'from memory',
    about: 'how much faster gusts are than the wind that is forecast, near the ground in the open',
    range: [1.2, 2.5],
  },
  windForce: {
    title: 'What wind finds',
    unit: 'of the wind’s pressure on what is seen from the side',
    origin: 'published',
    about: 'how hard wind pushes an upright round piece: a long cylinder before its drag falls (EN 1991-1-4, 7.9)',
    range: [0.4, 2],
  },
  draughtMs: {
    title: 'Draught indoors',
    unit: 'm/s',
    origin: 'from memory',
    about: 'what doors and passers-by do to a piece that stands indoors, as a wind',
    range: [0.5, 8],
  },
  baseGrip: {
    title: 'Grip of a base',
    unit: 'of its weight',
    origin: 'from memory',
    about: 'how hard a base holds against being pushed along a smooth floor',
    range: [0.1, 0.9],
  },
  baseMargin: {
    title: 'Margin of a base',
    unit: 'times what just holds',
    origin: 'from memory',
    about: 'how much heavier than what just holds a base is made',
    range: [1, 4],
  },
  boardFoldMm: {
    title: 'Fold under a board',
    unit: 'mm',
    origin: 'from memory',
    about: 'how much of half a foil is turned under a round board on every side',
    range: [10, 120],
  },
  seen: {
    title: 'What is seen on a piece',
    unit: 'of the piece, or of a balloon',
    origin: 'from memory',
    about:
      'how far a piece may be off before people see it: its height and its lean as shares of its height, of a low one ' +
      'as a share of a balloon’s width; a gap, an opening wider than even, a balloon beside its place as such shares',
    range: [0.002, 0.5],
    parts: {
      height: { title: 'Height' },
      lean: { title: 'Lean' },
      low: { title: 'Height and lean of a low piece' },
      gap: { title: 'Gap' },
      opening: { title: 'Opening to the pole' },
      drift: { title: 'Beside its place' },
    },
  },
  builtShare: {
    title: 'Pieces without a fault',
    unit: 'share of the pieces',
    origin: 'from memory',
    about: 'how many of the pieces that are built one way must show no fault, for that way to be good enough',
    range: [0.5, 0.99],
  },
  handSpread: {
    title: 'How exact hands are',
    unit: 'of the width',
    origin: 'from memory',
    about: 'standard deviation from balloon to balloon, by eye and with a sizer; learned from checks and eye tests',
    range: [0.002, 0.25],
    parts: { eye: { title: 'By eye' }, sizer: { title: 'With a sizer' } },
  },
  garlandPress: {
    title: 'Pressed together in a garland',
    unit: 'of the width',
    origin: 'common practice',
    about:
      'how much nearer than their widths balloons of a garland lie: a cluster of two at 10 and two at 7½ in makes a foot',
    range: [0, 0.3],
  },
  garlandNeck: {
    title: 'Neck in a cluster',
    unit: 'of half the width',
    origin: 'from memory',
    about: 'how far from a balloon the knot is that its cluster is tied at, along its neck',
    range: [0, 0.6],
  },
} satisfies Record<string, ConstantWords>;
