import type { BalloonKind, Finish } from '@leggero/core';

const inch = (inches: number) => inches * 25.4;

/** What Saltmarsh Balloon Works has on its shelf for Tidepool Night. Makers and lines are invented. */
export interface DemoModel {
  line: string;
  kind: BalloonKind;
  nominalMm: number;
  finish: Finish;
  colourName: string;
  colourHex: string;
  pump: 'hand' | 'floor';
  /** Share of nominal up to which it stays round. */
  roundTo: number;
  /** Doses read; empty for a balloon nobody has calibrated yet. */
  doses: number[];
  /** The last reading felt hard. */
  endsHard?: boolean;
  /** One reading with a slip: its place, and by how much the tape was misread, mm. */
  slip?: { at: number; byMm: number };
}

export const DEMO_STUDIO = {
  name: 'Saltmarsh Balloon Works',
  unit: 'in',
  stepMm: inch(1 / 8),
  daysStanding: 1,
} as const;

/** Strokes of the two pumps, litres. */
export const DEMO_PUMPS = {
  hand: { name: 'Skiff hand pump', strokeVolumeL: 0.18 },
  floor: { name: 'Barge floor pump', strokeVolumeL: 1.1 },
} as const;

export const DEMO_SIZERS = [
  { name: 'Plywood plate', inches: [2.5, 3, 3.5, 4, 4.5, 5, 6, 7, 8, 9, 10, 11, 12] },
  { name: 'Crew box', inches: [4, 6, 8, 9, 10, 12, 14] },
] as const;

export const DEMO_MODELS: readonly DemoModel[] = [
  {
    line: 'Fennimore Standard', kind: 'round', nominalMm: inch(11), finish: 'matte', colourName: 'kelp green',
    colourHex: '#3f7a4a', pump: 'floor', roundTo: 0.895, doses: [1, 2.5, 4, 5.5, 6.5, 7.5, 8, 8.5, 9, 9.5], endsHard: true,
  },
  {
    line: 'Fennimore Standard', kind: 'round', nominalMm: inch(5), finish: 'matte', colourName: 'roe orange',
    colourHex: '#d9682b', pump: 'hand', roundTo: 0.93, doses: [1, 2, 3, 4, 4.5, 5],
  },
  {
    line: 'Fennimore Standard', kind: 'round', nominalMm: inch(16), finish: 'matte', colourName: 'lighthouse white',
    colourHex: '#ece7db', pump: 'floor', roundTo: 0.88, doses: [4, 10, 16, 22, 25, 27, 30],
  },
  {
    line: 'Fennimore Mirror', kind: 'round', nominalMm: inch(7), finish: 'mirror', colourName: 'herring silver',
    colourHex: '#a9b4bd', pump: 'hand', roundTo: 0.9, doses: [2, 5, 8, 11, 13],
  },
  {
    line: 'Fennimore Mirror', kind: 'round', nominalMm: inch(11), finish: 'mirror', colourName: 'lamp gold',
    colourHex: '#c9973f', pump: 'floor', roundTo: 0.87, doses: [],
  },
  {
    line: 'Ketteridge Link', kind: 'linking', nominalMm: inch(6), finish: 'matte', colourName: 'anemone pink',
    colourHex: '#d2577e', pump: 'hand', roundTo: 0.8, doses: [1, 2, 3, 3.5, 4, 5], slip: { at: 2, byMm: -22 },
  },
  {
    line: 'Tarn Clear', kind: 'round', nominalMm: inch(18), finish: 'clear', colourName: 'clear', colourHex: '#b9d3da',
    pump: 'floor', roundTo: 0.9, doses: [12],
  },
  {
    line: 'Tarn Satin', kind: 'round', nominalMm: inch(11), finish: 'pearl', colourName: 'tide blue',
    colourHex: '#3d6fa6', pump: 'floor', roundTo: 0.915, doses: [2, 4, 6, 7.5, 8.5, 9, 9.5],
  },
]; // prettier-ignore
