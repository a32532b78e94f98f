import type { ConstantWords } from '../constants';

/** The numbers of the trade on balloons in balloons. */
export const stuffing = {
  stuffedFraction: {
    title: 'Fill of a pair',
    unit: 'of nominal',
    origin: 'from memory',
    about: 'the tier a pair is shown at first',
    range: [0.5, 1],
  },
  stuffedDose: {
    title: 'Stroke into two skins',
    unit: 'of the stroke volume',
    origin: 'from memory',
    about:
      'what a stroke or second is worth against two skins, and how far that may be off, before the pair is calibrated',
    range: [0.7, 1.1],
    parts: {
      sd: { title: 'How far off', range: [0.01, 0.2] },
    },
  },
  stuffedEffort: {
    title: 'Effort of stuffing',
    unit: 'times',
    origin: 'from memory',
    about: 'how much longer a stuffed balloon takes, and how many more are lost',
    range: [1, 8],
    parts: {
      time: { title: 'Time' },
      loss: { title: 'Losses' },
    },
  },
  neckProudMm: {
    title: 'Neck left out',
    unit: 'mm',
    origin: 'from memory',
    about: 'how much of the inner’s neck is left standing out of the outer’s',
    range: [0, 50],
  },
  restShare: {
    title: 'Empty width',
    unit: 'of nominal',
    origin: 'from memory',
    about: 'width of an empty latex balloon, were it a sphere',
    range: [0.1, 0.4],
  },
  skinThicknessMm: {
    title: 'Empty skin',
    unit: 'mm',
    origin: 'from memory',
    about: 'thickness of an empty balloon’s skin',
    range: [0.08, 0.5],
  },
  shearModulusKPa: {
    title: 'Stiffness of latex',
    unit: 'kPa',
    origin: 'from memory',
    about: 'shear modulus of vulcanised natural latex',
    range: [100, 900],
  },
  mooneyRatio: {
    title: 'Stiffening of latex',
    unit: 'C2 / C1',
    origin: 'from memory',
    about:
      'the second constant of Mooney and Rivlin’s law against the first, for balloon rubber (after Müller and Strehlow)',
    range: [0.02, 0.2],
  },
  sphereLatexMost: {
    title: 'Clear balloon over a sphere',
    unit: 'of nominal',
    origin: 'from memory',
    about: 'as large as one dares to fill a pre-stretched clear balloon around a foil sphere',
    range: [0.9, 1.3],
  },
  sphereGapMm: {
    title: 'Air around a sphere',
    unit: 'mm',
    origin: 'from memory',
    about: 'the air gap to keep all around a foil sphere while it grows in latex',
    range: [2, 60],
  },
} satisfies Record<string, ConstantWords>;
