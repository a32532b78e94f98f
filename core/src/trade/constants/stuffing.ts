import type { ConstantWords } from '../constants';

/** The numbers of the trade on balloons in balloons. */
export const stuffing = {
  stuffedFraction: {
    title: 'A pair is filled to',
    unit: 'of nominal',
    origin: 'from memory',
    about: 'the tier a pair is shown at first',
    range: [0.5, 1],
  },
  stuffedDose: {
    title: 'What a stroke does to two skins',
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
    title: 'What stuffing costs',
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
    title: 'The inner’s neck stands out by',
    unit: 'mm',
    origin: 'from memory',
    about: 'how much of the inner’s neck is left standing out of the outer’s',
    range: [0, 50],
  },
  restShare: {
    title: 'An empty balloon’s width',
    unit: 'of nominal',
    origin: 'from memory',
    about: 'width of an empty latex balloon, were it a sphere',
    range: [0.1, 0.4],
  },
  skinThicknessMm: {
    title: 'An empty skin’s thickness',
    unit: 'mm',
    origin: 'from memory',
    about: 'thickness of an empty balloon’s skin',
    range: [0.08, 0.5],
  },
  shearModulusKPa: {
    title: 'How stiff latex is',
    unit: 'kPa',
    origin: 'from memory',
    about: 'shear modulus of vulcanised natural latex',
    range: [100, 900],
  },
  mooneyRatio: {
    title: 'How latex stiffens',
    unit: 'C2 / C1',
    origin: 'from memory',
    about:
      'the second constant of Mooney and Rivlin’s law against the first, for balloon rubber (after Müller and Strehlow)',
    range: [0.02, 0.2],
  },
  sphereLatexMost: {
    title: 'A clear balloon over a sphere, at most',
    unit: 'of nominal',
    origin: 'from memory',
    about: 'as large as one dares to fill a pre-stretched clear balloon around a foil sphere',
    range: [0.9, 1.3],
  },
  sphereGapMm: {
    title: 'Air kept around a sphere',
    unit: 'mm',
    origin: 'from memory',
    about: 'the air gap to keep all around a foil sphere while it grows in latex',
    range: [2, 60],
  },
} satisfies Record<string, ConstantWords>;
