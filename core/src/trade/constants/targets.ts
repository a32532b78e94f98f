import type { ConstantWords } from '../constants';

/** The numbers of the trade on how far a balloon is filled, and how exactly. */
export const targets = {
  usualFraction: {
    title: 'Usual fill',
    unit: 'of nominal',
    origin: 'common practice',
    about: 'the tier shown first: what most work is filled to',
    range: [0.6, 1],
  },
  largestFraction: {
    title: 'Largest fill',
    unit: 'of nominal',
    origin: 'common practice',
    about: 'above it a nominal is too small',
    range: [0.8, 1.05],
  },
  smallestFraction: {
    title: 'Smallest fill',
    unit: 'of nominal',
    origin: 'common practice',
    about: 'under it a nominal is too large',
    range: [0.25, 0.7],
  },
  smallestShine: {
    title: 'Smallest fill that shines',
    unit: 'of nominal',
    origin: 'from memory',
    about: 'under it mirror finish dulls, unless the neck is squeezed tight',
    range: [0.4, 0.8],
  },
  hardMargin: {
    title: 'Margin under hard',
    unit: 'of the width where it felt hard',
    origin: 'from memory',
    about: 'how far a target stays under a width that felt hard',
    range: [0.8, 1],
  },
  burstMargin: {
    title: 'Margin under burst',
    unit: 'of the width where it burst',
    origin: 'from memory',
    about: 'how far a target stays under a width where one burst',
    range: [0.7, 1],
  },
  nearlyShare: {
    title: 'Nearly a limit',
    unit: 'of nominal',
    origin: 'from memory',
    about: 'a limit that leaves no more room than this nearly acted',
    range: [0.005, 0.1],
  },
  toleranceFraction: {
    title: 'Tolerance',
    unit: 'of nominal',
    origin: 'common practice',
    about: 'a quarter inch either way on an 11 in balloon in classic work',
    range: [0.005, 0.1],
  },
  workTolerance: {
    title: 'Tolerance by the work',
    unit: 'of nominal',
    origin: 'common practice',
    about:
      'how far a balloon may be off: an eighth of an inch in linking work, a quarter on an 11 in in ' +
      'classic work; wider in garlands and organic work (from memory)',
    range: [0.005, 0.2],
    parts: {
      'linking.mm': { title: 'Linking', range: [0.5, 12], unit: 'mm' },
      'classic.fraction': { title: 'Classic' },
      'garland.fraction': { title: 'Garland' },
      'organic.fraction': { title: 'Organic' },
    },
  },
  workShare: {
    title: 'Good enough by eye',
    unit: 'of the balloons',
    origin: 'from memory',
    about: 'how many must lie within that tolerance for the eye to be enough',
    range: [0.5, 0.99],
  },
} satisfies Record<string, ConstantWords>;
