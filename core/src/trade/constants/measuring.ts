import type { ConstantWords } from '../constants';

/** The numbers of the trade on measuring, and on learning from what was measured. */
export const measuring = {
  measureSdMm: {
    title: 'One width',
    unit: 'mm',
    origin: 'from memory',
    about: 'standard uncertainty of one width by each way of taking it, the hand in it; learned from the readings',
    range: [0.3, 8],
    parts: {
      reference: { range: [0.3, 15] },
    },
  },
  heightSdMm: {
    title: 'One height',
    unit: 'mm',
    origin: 'from memory',
    about: 'standard uncertainty of one height, crown to neck',
    range: [0.5, 12],
  },
  holeSdMm: {
    title: 'A hole',
    unit: 'mm',
    origin: 'from memory',
    about:
      'standard uncertainty of a hole’s width: measured with a caliper or a tape, reckoned from a ' +
      'printed scale bar, or only read off its label',
    range: [0.1, 5],
  },
  squeeze: {
    title: 'Squeeze through a hole',
    unit: 'of the hole',
    origin: 'from memory',
    about:
      'how much wider than its hole a balloon is that just passes: at nominal width, what softness ' +
      'adds, and the scatter; learned from sized balloons',
    range: [0, 0.15],
    parts: {
      share: { title: 'At nominal', range: [0, 0.02] },
      softShare: { title: 'More when soft', range: [0, 0.15] },
      sdShare: { title: 'Scatter', range: [0.002, 0.05] },
      worth: { title: 'Counts for', range: [1, 40], unit: 'balloons' },
    },
  },
  balloonShare: {
    title: 'From balloon to balloon',
    unit: 'of the width',
    origin: 'from memory',
    about: 'how much one balloon of a kind differs from the next at the same air; learned from the readings',
    range: [0.0005, 0.03],
  },
  outlierLimit: {
    title: 'Slip',
    unit: 'standard deviations',
    origin: 'from memory',
    about: 'a reading further than this from the curve of the others is named and set aside',
    range: [2.5, 8],
  },
  priorReadings: {
    title: 'Weight of what is assumed',
    unit: 'readings',
    origin: 'from memory',
    about: 'how many readings the assumed errors count for, beside those of a calibration and when they are learned',
    range: [2, 40],
  },
  learningWorth: {
    title: 'Weight of an assumed margin',
    unit: 'readings',
    origin: 'from memory',
    about: 'how many balloons or answers an assumed margin or aspect counts for when it is learned',
    range: [2, 60],
  },
  betweenWorth: {
    title: 'Weight of an assumed spread',
    unit: 'calibrations',
    origin: 'from memory',
    about: 'how many calibrations an assumed spread between balloons counts for',
    range: [1, 20],
  },
} satisfies Record<string, ConstantWords>;
