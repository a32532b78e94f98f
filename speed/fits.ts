import { fitCalibration, type Reading } from '@leggero/core';
import { PolynomialRegression } from 'ml-regression-polynomial';

import { ELEVEN, readingsOf } from '../core/test/physicalBalloon';
import type { Bench } from './bench';
import { median, timed } from './figure';

const CALIBRATIONS = 1000;
const DOSES = [1, 2, 2.5, 3, 4, 5, 5.5, 6, 7, 8, 8.5, 9];
const ROUNDS = 9;

/** 1,000 calibrations of 12 readings with heights, against a library's plain quadratic fit of the same points. */
export function measureFits({ report, rounds }: Bench): void {
  const sets = Array.from({ length: CALIBRATIONS }, (_, seed) =>
    readingsOf({ balloon: ELEVEN, doses: DOSES, seed: seed + 1 }),
  );
  const ours: number[] = [];
  const theirs: number[] = [];
  for (let round = 0; round < rounds(ROUNDS); round += 1) {
    ours.push(timed(() => sets.forEach((readings) => fitCalibration({ nominalMm: 279.4, readings }))));
    theirs.push(timed(() => sets.forEach((readings) => new PolynomialRegression(...pointsOf(readings), 2))));
  }
  report({
    what: '1,000 calibrations of 12 readings',
    ours: median(ours),
    yardstick: 'plain quadratic fits of the same points (ml-regression-polynomial)',
    theirs: median(theirs),
    unit: 'ms',
    most: 30,
  });
}

/** The same calibrations with 12 bracketed readings more, by maximum likelihood, against the plain fits. */
export function measureBrackets({ report, rounds }: Bench): void {
  const plain = Array.from({ length: CALIBRATIONS }, (_, seed) =>
    readingsOf({ balloon: ELEVEN, doses: DOSES, seed: seed + 1 }),
  );
  const both = plain.map((readings, seed) => [
    ...readings,
    ...readingsOf({ balloon: ELEVEN, doses: DOSES, seed: seed + 5001 }).map(bracketed),
  ]);
  const ours: number[] = [];
  const theirs: number[] = [];
  for (let round = 0; round < rounds(ROUNDS); round += 1) {
    ours.push(timed(() => both.forEach((readings) => fitCalibration({ nominalMm: 279.4, readings }))));
    theirs.push(timed(() => plain.forEach((readings) => fitCalibration({ nominalMm: 279.4, readings }))));
  }
  report({
    what: '1,000 calibrations of 12 measured and 12 bracketed readings',
    ours: median(ours),
    yardstick: 'the plain fits of the 12 measured ones',
    theirs: median(theirs),
    unit: 'ms',
    most: 15,
  });
}

/** A width between two holes half an inch apart. */
function bracketed({ dose, widthMm = 0 }: Reading): Reading {
  const stopsMm = Math.floor(widthMm / 12.7) * 12.7;
  return { dose, outcome: 'ok', bracket: { stopsMm, passesMm: stopsMm + 12.7 } };
}

function pointsOf(readings: readonly Reading[]): [number[], number[]] {
  return [readings.map(({ dose }) => dose), readings.map(({ widthMm }) => widthMm ?? 0)];
}
