import type { BalloonKind, Decor, Finish, InflatorKind, ModelKind } from '@leggero/core';

const inch = (inches: number) => inches * 25.4;

/** What Saltmarsh Balloon Works has on its shelf for Tidepool Night. Makers and lines are invented. */
export interface DemoModel {
  line: string;
  kind: BalloonKind;
  nominalMm: number;
  finish: Finish;
  colourName: string;
  colourHex: string;
  stock?: number;
  /** Share of nominal up to which it stays round. */
  roundTo: number;
  /** Newest first; none for a balloon nobody has calibrated yet. */
  calibrations: DemoCalibration[];
  /** Balloons left standing: hours and what share of the width is lost an hour. */
  held?: { wraps: 1 | 2; hours: number[]; lossPerHour: number }[];
}

export interface DemoCalibration {
  pump: keyof typeof DEMO_PUMPS;
  doses: number[];
  preStretched?: boolean;
  roundedOff?: boolean;
  /** The last reading felt hard. */
  endsHard?: boolean;
  /** One reading with a slip: its place, and by how much the tape was misread, mm. */
  slip?: { at: number; byMm: number };
  /** Places of readings taken between two holes, half an inch apart. */
  bracketed?: number[];
}

export const DEMO_STUDIO = {
  name: 'Saltmarsh Balloon Works',
  unit: 'in',
  stepMm: inch(1 / 8),
  daysStanding: 0,
} as const;

/** Strokes of the two pumps, litres. */
/** The inflators, with litres a stroke or a second, what is lost at the start and how unequal two nozzles are. */
export const DEMO_PUMPS = {
  hand: { name: 'Skiff hand pump', kind: 'hand', doseVolumeL: 0.18, lost: 0.12, uneven: 0 },
  floor: { name: 'Barge floor pump', kind: 'hand', doseVolumeL: 1.1, lost: 0.12, uneven: 0 },
  timed: { name: 'Breakwater timer', kind: 'timed', doseVolumeL: 2.4, lost: 0.25, uneven: 0 },
  twin: { name: 'Catamaran twin', kind: 'twin', doseVolumeL: 3.1, lost: 0.2, uneven: 0.03 },
} as const satisfies Record<
  string,
  { name: string; kind: InflatorKind; doseVolumeL: number; lost: number; uneven: number }
>;

export const DEMO_SIZERS = [
  { name: 'Plywood plate', keeper: '', inches: [2.5, 3, 3.5, 4, 4.5, 5, 6, 7, 8, 9, 10, 11, 12] },
  { name: 'Crew box', keeper: 'Jory', inches: [4, 6, 8, 9, 10, 12, 14] },
] as const;

export const DEMO_MODELS: readonly DemoModel[] = [
  {
    line: 'Fennimore Standard',
    kind: 'round',
    nominalMm: inch(11),
    finish: 'matte',
    colourName: 'kelp green',
    colourHex: '#3f7a4a',
    stock: 120,
    roundTo: 0.895,
    calibrations: [
      { pump: 'floor', doses: [1, 2.5, 4, 5.5, 6.5, 7.5, 8, 8.5, 9, 11.5], endsHard: true },
      { pump: 'floor', doses: [2, 4, 6, 7, 8, 8.5, 9], preStretched: true, roundedOff: true },
    ],
    held: [
      { wraps: 2, hours: [12, 36], lossPerHour: 0.0004 },
      { wraps: 1, hours: [12, 36], lossPerHour: 0.0011 },
    ],
  },
  {
    line: 'Fennimore Standard',
    kind: 'round',
    nominalMm: inch(5),
    finish: 'matte',
    colourName: 'roe orange',
    colourHex: '#d9682b',
    stock: 240,
    roundTo: 0.93,
    calibrations: [{ pump: 'hand', doses: [1, 2, 3, 4, 4.5, 5] }],
  },
  {
    line: 'Fennimore Standard',
    kind: 'round',
    nominalMm: inch(16),
    finish: 'matte',
    colourName: 'lighthouse white',
    colourHex: '#ece7db',
    stock: 24,
    roundTo: 0.88,
    calibrations: [{ pump: 'timed', doses: [2, 5, 8, 10.5, 11.5, 12.5, 13.5] }],
  },
  {
    line: 'Fennimore Mirror',
    kind: 'round',
    nominalMm: inch(7),
    finish: 'mirror',
    colourName: 'herring silver',
    colourHex: '#a9b4bd',
    stock: 30,
    roundTo: 0.9,
    calibrations: [{ pump: 'hand', doses: [2, 5, 8, 11, 13] }],
  },
  {
    line: 'Fennimore Mirror',
    kind: 'round',
    nominalMm: inch(11),
    finish: 'mirror',
    colourName: 'lamp gold',
    colourHex: '#c9973f',
    roundTo: 0.87,
    calibrations: [],
  },
  {
    line: 'Ketteridge Link',
    kind: 'linking',
    nominalMm: inch(6),
    finish: 'matte',
    colourName: 'anemone pink',
    colourHex: '#d2577e',
    stock: 72,
    roundTo: 0.8,
    calibrations: [
      { pump: 'hand', doses: [1, 2, 3, 3.5, 4, 4.5, 5, 5.5], slip: { at: 2, byMm: -22 }, bracketed: [3, 5] },
    ],
  },
  {
    line: 'Tarn Clear',
    kind: 'round',
    nominalMm: inch(18),
    finish: 'clear',
    colourName: 'clear',
    colourHex: '#b9d3da',
    stock: 1,
    roundTo: 0.9,
    calibrations: [{ pump: 'floor', doses: [12] }],
  },
  {
    line: 'Tarn Satin',
    kind: 'round',
    nominalMm: inch(11),
    finish: 'pearl',
    colourName: 'tide blue',
    colourHex: '#3d6fa6',
    stock: 90,
    roundTo: 0.915,
    calibrations: [{ pump: 'twin', doses: [0.8, 1.2, 1.6, 1.9, 2.2, 2.5, 2.8, 3, 3.1, 3.2, 3.3, 3.4] }],
    held: [{ wraps: 2, hours: [10, 22, 46], lossPerHour: 0.0007 }],
  },
];

/** The linking balloon that the pieces of Tidepool Night are made of. */
export const DEMO_LINK: DemoModel = {
  line: 'Tarn Link',
  kind: 'linking',
  nominalMm: inch(6),
  finish: 'matte',
  colourName: 'coral red',
  colourHex: '#c8493a',
  stock: 150,
  roundTo: 0.97,
  calibrations: [{ pump: 'hand', doses: [1, 2, 3, 4, 4.5, 5, 5.5, 6] }],
};

/** What else lies on the shelf: not filled to a width, or with something on it or in it. */
export interface DemoSpecial {
  line: string;
  kind: ModelKind;
  nominalMm: number;
  lengthMm?: number;
  finish: Finish;
  decor?: Decor;
  colourName: string;
  colourHex: string;
  stock?: number;
  /** Lengths read of a modelling balloon: doses with the hand pump, and what one adds, mm. */
  lengths?: { doses: number[]; perDoseMm: number };
}

export const DEMO_SPECIALS: readonly DemoSpecial[] = [
  {
    line: 'Ketteridge Long',
    kind: 'modelling',
    nominalMm: inch(2),
    lengthMm: inch(60),
    finish: 'matte',
    colourName: 'eelgrass',
    colourHex: '#5f8f3e',
    stock: 100,
    lengths: { doses: [3, 6, 9, 12, 15], perDoseMm: 86 },
  },
  {
    line: 'Tarn Foil',
    kind: 'foil',
    nominalMm: inch(18),
    finish: 'mirror',
    colourName: 'moon silver',
    colourHex: '#c3c9cf',
    stock: 6,
  },
  {
    line: 'Tarn Orb',
    kind: 'stretch-foil',
    nominalMm: inch(15),
    finish: 'mirror',
    colourName: 'pearl shell',
    colourHex: '#d8c7b8',
    stock: 4,
  },
  {
    line: 'Tarn Clear',
    kind: 'round',
    nominalMm: inch(11),
    finish: 'clear',
    decor: 'confetti',
    colourName: 'clear, gold flakes',
    colourHex: '#d5d2b4',
    stock: 50,
  },
  {
    line: 'Tarn Satin',
    kind: 'round',
    nominalMm: inch(12),
    finish: 'pearl',
    decor: 'print',
    colourName: 'shell pink',
    colourHex: '#d9a3a0',
    stock: 25,
  },
];

/** Balloons in balloons, by line and nominal inches. */
export interface DemoPair {
  outer: { line: string; inches: number };
  inner: { line: string; inches: number };
  colourName: string;
  /** What it really looked like. */
  seenHex?: string;
  /** Shape and readings of the pair itself; none for one nobody has calibrated. */
  roundTo: number;
  calibrations: DemoCalibration[];
}

export const DEMO_PAIRS: readonly DemoPair[] = [
  {
    outer: { line: 'Ketteridge Link', inches: 6 },
    inner: { line: 'Fennimore Standard', inches: 5 },
    colourName: 'pink over orange',
    roundTo: 0.76,
    calibrations: [{ pump: 'hand', doses: [1, 2, 3, 3.5, 4, 4.5] }],
  },
  {
    outer: { line: 'Tarn Satin', inches: 11 },
    inner: { line: 'Fennimore Standard', inches: 11 },
    colourName: 'blue over green',
    seenHex: '#3a6f92',
    roundTo: 0.89,
    calibrations: [],
  },
  {
    outer: { line: 'Tarn Clear', inches: 18 },
    inner: { line: 'Fennimore Standard', inches: 16 },
    colourName: 'clear over white',
    roundTo: 0.8,
    calibrations: [],
  },
];
