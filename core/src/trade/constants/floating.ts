import type { ConstantWords } from '../constants';

/** The numbers of the trade on foil, helium and ballast. */
export const floating = {
  foilStop: {
    title: 'Foil that is full',
    unit: 'of its volume',
    origin: 'from memory',
    about: 'how full a foil is when its seam dents and springs back',
    range: [0.85, 1],
  },
  latexMassG: {
    title: 'Mass of latex',
    unit: 'gram',
    origin: 'from memory',
    about: 'an 11 in latex balloon; others go with the square of their nominal',
    range: [1.5, 6],
    parts: {
      g: { title: 'One balloon' },
      nominalMm: { title: 'Of this size', range: [200, 400], unit: 'mm' },
    },
  },
  foilAreaMassG: {
    title: 'Mass of foil',
    unit: 'gram a square metre',
    origin: 'from memory',
    about: 'foil of one skin',
    range: [20, 150],
  },
  ballastMargin: {
    title: 'Weight against lift',
    unit: 'times the lift',
    origin: 'from memory',
    about: 'how much more than its lift holds a floating balloon indoors, in still air',
    range: [1.2, 10],
  },
  ballastDensity: {
    title: 'Density of ballast',
    unit: 'kg/L',
    origin: 'published',
    about: 'dry loose sand (engineering tables, from memory) and water at 20 degrees Celsius (from memory)',
    range: [0.95, 2],
    parts: {
      sand: { range: [1.2, 2] },
      water: { range: [0.95, 1.05] },
    },
  },
} satisfies Record<string, ConstantWords>;
