import type { ConstantWords } from '../constants';

/** The numbers of the trade on pumps and inflators. */
export const inflators = {
  strokeVolumeL: {
    title: 'Stroke of a common pump',
    unit: 'litre',
    origin: 'from memory',
    about: 'one stroke of a common two-way hand pump: three take a 5 in balloon to about 4 in',
    range: [0.03, 1],
  },
  usualDoseL: {
    title: 'Dose of an unknown inflator',
    unit: 'litre',
    origin: 'from memory',
    about: 'what one stroke or second moves where nothing else is known: it decides the first reading only',
    range: [0.03, 10],
    parts: {
      hand: { range: [0.03, 1] },
      timed: { range: [0.2, 10] },
      twin: { range: [0.2, 10] },
    },
  },
  doseShare: {
    title: 'From stroke to stroke',
    unit: 'of one stroke or second',
    origin: 'from memory',
    about:
      'how much one stroke differs from the next; d of them together by the root of d times as much; ' +
      'learned for each inflator',
    range: [0.003, 0.25],
  },
  nozzleShare: {
    title: 'From nozzle to nozzle',
    unit: 'of the stroke volume',
    origin: 'from memory',
    about: 'half of what two nozzles may differ by, before both are read',
    range: [0.01, 0.4],
  },
  firstDoseSd: {
    title: 'Lost before the first dose',
    unit: 'strokes or seconds',
    origin: 'from memory',
    about: 'how much of a dose may be lost at the start, or given too much, while nothing is known of the inflator',
    range: [0.1, 2],
  },
  strokeBetweenShare: {
    title: 'Stroke, from balloon to balloon',
    unit: 'of the stroke volume',
    origin: 'from memory',
    about: 'how much one pump’s stroke differs from balloon to balloon, as the back pressure does',
    range: [0.01, 0.25],
  },
  deadBetweenDoses: {
    title: 'Loss, from balloon to balloon',
    unit: 'strokes or seconds',
    origin: 'from memory',
    about: 'how much the dose lost at the start differs from balloon to balloon',
    range: [0.02, 1],
  },
  recordedStrokeShare: {
    title: 'Trust in a stroke on record',
    unit: 'of the stroke volume',
    origin: 'from memory',
    about: 'how far a stroke volume on record may be off before any calibration',
    range: [0.02, 0.5],
  },
  inflatorMostKPa: {
    title: 'Pressure reached',
    unit: 'kPa',
    origin: 'from memory',
    about:
      'the pressure each kind of inflator reaches: an electric one too little for small stuffed ' +
      'balloons (common practice)',
    range: [2, 100],
  },
} satisfies Record<string, ConstantWords>;
