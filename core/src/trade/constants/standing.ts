import type { ConstantWords } from '../constants';

/** The numbers of the trade on what standing costs. */
export const standing = {
  standing: {
    title: 'Days it stands',
    unit: 'of nominal',
    origin: 'common practice',
    about: 'the largest fraction of nominal that stands for so many days; for one evening from memory',
    range: [0.4, 1.05],
    parts: {
      '0.fraction': { title: 'One evening' },
      '1.fraction': { title: 'A day' },
      '2.fraction': { title: 'Three days' },
      '3.fraction': { title: 'A week' },
      '4.fraction': { title: 'Three weeks' },
    },
  },
  holdLossPerHour: {
    title: 'Loss by the hour',
    unit: 'of the width an hour',
    origin: 'from memory',
    about:
      'width an 11 in loses by standing, with the neck wrapped once or twice; a stuffed balloon loses this share of it' +
      ', another size by one over its width',
    range: [0.00005, 0.01],
    parts: {
      once: { title: 'Neck wrapped once' },
      twice: { title: 'Neck wrapped twice' },
      stuffedShare: { title: 'A stuffed one loses', range: [0.2, 1], unit: 'of that' },
    },
  },
  holdLossSdShare: {
    title: 'Trust in that loss',
    unit: 'of the loss',
    origin: 'from memory',
    about: 'how far the assumed loss may be off',
    range: [0.1, 1],
  },
  holdBetweenShare: {
    title: 'Loss, from balloon to balloon',
    unit: 'of the loss',
    origin: 'from memory',
    about: 'how much the loss differs from one balloon to the next',
    range: [0.05, 1],
  },
  nightFraction: {
    title: 'Fill of a night',
    unit: 'of nominal',
    origin: 'from memory',
    about: 'the fill that what a night costs is told for',
    range: [0.5, 1],
  },
} satisfies Record<string, ConstantWords>;
