import type { ConstantWords } from '../constants';

/** The numbers of the trade on colours and finishes. */
export const colour = {
  colourNotedAt: {
    title: 'Fill of a noted colour',
    unit: 'of nominal',
    origin: 'from memory',
    about: 'how far a balloon is filled when its colour is noted',
    range: [0.6, 1],
  },
  stretchShown: {
    title: 'Fills drawn apart',
    unit: 'of nominal',
    origin: 'from memory',
    about: 'the fills between which a drawing changes colour: beyond them it would mislead',
    range: [0.3, 1.3],
    parts: {
      least: { title: 'From', range: [0.3, 0.8] },
      most: { title: 'To', range: [0.9, 1.3] },
    },
  },
  colourDepth: {
    title: 'Paling',
    unit: 'power of the thickness',
    origin: 'from memory',
    about:
      'how far a colour follows the thickness of its skin: pigment that scatters follows little, a dyed clear skin most',
    range: [0, 1.5],
  },
  shine: {
    title: 'Shine',
    unit: '0 to 1',
    origin: 'from memory',
    about: 'how strongly each finish shines when slack and when tight, in the drawings',
    range: [0, 1],
  },
  skinOpacity: {
    title: 'Hiding',
    unit: '0 to 1',
    origin: 'from memory',
    about:
      'how much of what is behind it each finish hides; how far that may be off, and how well an eye matches a colour',
    range: [0, 1],
    parts: {
      sd: { title: 'How far off', range: [0.02, 0.4] },
      matchSd: { title: 'How well an eye matches', range: [0.01, 0.2] },
    },
  },
  skinTint: {
    title: 'Tinting',
    unit: 'power',
    origin: 'from memory',
    about: 'how strongly each finish colours the light that passes it',
    range: [0, 1.5],
  },
  justSeen: {
    title: 'Just seen',
    unit: 'distance in Oklab',
    origin: 'from memory',
    about: 'two colours nearer than this look alike',
    range: [0.005, 0.08],
  },
  printNoted: {
    title: 'Place of a print',
    unit: 'of the way from crown to neck',
    origin: 'from memory',
    about: 'where the middle of a print sits',
    range: [0.2, 0.8],
  },
} satisfies Record<string, ConstantWords>;
