import type { ConstantWords } from '../constants';

/** The numbers of the trade on the shape of a balloon. */
export const shape = {
  roundAspect: {
    title: 'Round limit',
    unit: 'height / width',
    origin: 'from memory',
    about: 'up to here a balloon looks round',
    range: [1.02, 1.12],
  },
  ovalAspect: {
    title: 'Oval limit',
    unit: 'height / width',
    origin: 'from memory',
    about: 'up to here it is oval, beyond it is a pear',
    range: [1.08, 1.4],
  },
  shapeAnswerAspect: {
    title: 'Answers on the shape',
    unit: 'height / width',
    origin: 'from memory',
    about: 'the aspect that an answer of round, oval or pear stands for when the height was not measured',
    range: [0.98, 1.6],
    parts: {
      round: { range: [0.98, 1.05] },
      oval: { range: [1.03, 1.3] },
      pear: { range: [1.1, 1.6] },
    },
  },
  shapeAnswerSd: {
    title: 'Trust in such an answer',
    unit: 'height / width',
    origin: 'from memory',
    about: 'how far such an answer may be off',
    range: [0.01, 0.12],
  },
  answerEdgeSd: {
    title: 'Steadiness of the eye',
    unit: 'height / width',
    origin: 'from memory',
    about: 'how much the aspect at which an eye calls a balloon oval differs from once to the next',
    range: [0.002, 0.05],
  },
  typicalAspect: {
    title: 'Shape of an unknown line',
    unit: 'height / width',
    origin: 'from memory',
    about: 'the aspect of a balloon whose line nobody has calibrated, at the widths people work at',
    range: [0.95, 1.3],
    parts: {
      sd: { title: 'How far off', range: [0.01, 0.15] },
    },
  },
  aspectGrowth: {
    title: 'Lengthening',
    unit: 'height / width',
    origin: 'from memory',
    about:
      'how much longer a balloon is at nominal than while slack, where no height was measured, and how far that may be off',
    range: [0, 0.3],
    parts: {
      mean: { title: 'Usually' },
      sd: { title: 'How far off', range: [0.03, 0.2] },
    },
  },
  growthBetween: {
    title: 'Lengthening, from balloon to balloon',
    unit: 'height / width',
    origin: 'from memory',
    about: 'how much that growth differs between the sizes of one line, and between lines',
    range: [0.005, 0.08],
  },
  roundLimitBetween: {
    title: 'Round limit, from balloon to balloon',
    unit: 'of nominal',
    origin: 'from memory',
    about: 'how much the round limit differs between the sizes of one line, and between lines, as a share of nominal',
    range: [0.005, 0.1],
  },
  aspectLawSd: {
    title: 'Trust in a drawn shape',
    unit: 'height / width',
    origin: 'from memory',
    about: 'how far an aspect law of straight stretches may pass by the true one',
    range: [0.002, 0.04],
  },
  grownLawSd: {
    title: 'Trust in a lengthening shape',
    unit: 'height / width',
    origin: 'from memory',
    about:
      'how far a law that lengthens by one fitted term may pass by the true one, the further the more it lengthens',
    range: [0.001, 0.2],
    parts: {
      least: { range: [0.001, 0.03] },
      share: { title: 'Of the growth', range: [0.01, 0.2], unit: 'of the growth' },
    },
  },
  unseenAspectSd: {
    title: 'Shape without a height',
    unit: 'height / width',
    origin: 'from memory',
    about: 'how much the aspect changes along the widths read when no height was measured',
    range: [0.003, 0.06],
  },
  aspectBeyond: {
    title: 'Shape past the last one seen',
    unit: 'height / width for a doubled width',
    origin: 'from memory',
    about: 'how far the aspect may run away past the last shape seen: pears lengthen fast',
    range: [0.2, 3],
  },
  otherAspect: {
    title: 'Alike side by side',
    unit: 'height / width',
    origin: 'from memory',
    about: 'two balloons whose aspects differ by more do not look alike side by side',
    range: [0.01, 0.15],
  },
} satisfies Record<string, ConstantWords>;
