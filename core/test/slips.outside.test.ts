import jstat from 'jstat';

import {
  assumedErrors,
  fitCalibration,
  normalFrom,
  randomFrom,
  TRADE,
  type CalibrationFit,
  type Reading,
} from '../src';
import { inch, value } from './results';
import { sphereL } from './sureCurve';

/*
 * How far a reading lies from what all others say of it, by leaving it out in truth: a weighted line of volume over
 * dose through the others (Belsley, Kuh and Welsch, Regression Diagnostics, 1980, section 2.1), of balloons that are
 * spheres, filled by strokes that do not vary, with nothing known of the pump.
 */

const TAPE_MM = TRADE.measureSdMm.tape;
const ERRORS = { ...assumedErrors('hand'), balloonShare: 0, doseShare: 0 };
const WORTH = ERRORS.worth;
/** So much may be lost at first that it says nothing. */
const NOTHING_KNOWN = { ...TRADE, firstDoseSd: { ...TRADE.firstDoseSd, hand: 1e4 } };

const widthOf = (volumeL: number) => Math.cbrt((6e6 * volumeL) / Math.PI);
const errorOf = (widthMm: number) => (((Math.PI / 2) * widthMm ** 2) / 1e6) * TAPE_MM;

/** Readings of fresh spheres whose tape errs by so much, and which were misread, by how much, mm. */
function read(
  doses: readonly number[],
  tapeMm: number,
  misread: Readonly<Record<number, number>>,
  seed = 1,
): Reading[] {
  const random = randomFrom(seed);
  return doses.map((dose, i) => ({
    dose,
    balloon: i + 1,
    widthMm: widthOf(0.6 * dose) + tapeMm * normalFrom(random) + (misread[i] ?? 0),
    outcome: 'ok',
  }));
}

function fitted(readings: readonly Reading[], errors = ERRORS): CalibrationFit {
  const known = { inflator: null, growth: { mean: 0, sd: 1e-9 } };
  return value(fitCalibration({ nominalMm: inch(11), readings, errors, known, trade: NOTHING_KNOWN }));
}

const deviationsIn = (readings: readonly Reading[]) =>
  new Map(fitted(readings).outliers.map(({ index, deviations }) => [index, deviations]));

/** The weighted line through points, its covariance for the errors claimed, and its sum of squares. */
function line(points: readonly { dose: number; widthMm: number }[]) {
  let [s, sx, sxx, sy, sxy] = [0, 0, 0, 0, 0];
  for (const { dose, widthMm } of points) {
    const weight = 1 / errorOf(widthMm) ** 2;
    s += weight;
    sx += weight * dose;
    sxx += weight * dose * dose;
    sy += weight * sphereL(widthMm);
    sxy += weight * dose * sphereL(widthMm);
  }
  const determinant = s * sxx - sx * sx;
  const slope = (s * sxy - sx * sy) / determinant;
  const start = (sy - slope * sx) / s;
  return {
    at: (dose: number) => start + slope * dose,
    varianceAt: (dose: number) => (sxx - 2 * dose * sx + dose * dose * s) / determinant,
    squares: points.reduce(
      (sum, { dose, widthMm }) => sum + ((sphereL(widthMm) - start - slope * dose) / errorOf(widthMm)) ** 2,
      0,
    ),
    free: points.length - 2,
  };
}

/** How far one lies from the line through the others but those set aside; what these others' squares come to. */
function leftOut(readings: readonly Reading[], index: number, aside: readonly number[] = []) {
  const points = readings.map(({ dose, widthMm }) => ({ dose, widthMm: widthMm! }));
  const { dose, widthMm } = points[index]!;
  const others = line(points.filter((_, i) => i !== index && !aside.includes(i)));
  const sd = Math.sqrt(errorOf(widthMm) ** 2 + others.varianceAt(dose));
  return { raw: Math.abs(sphereL(widthMm) - others.at(dose)) / sd, squares: others.squares, free: others.free };
}

/** The variance of a normal law within what is left when this share of it is cut off at both ends, by adding up. */
function varianceLeft(share: number): number {
  const end = jstat.normal.inv(1 - share / 2, 0, 1);
  const steps = 20_000;
  let moment = 0;
  for (let i = 0; i < steps; i += 1) {
    const x = end * (2 * ((i + 0.5) / steps) - 1);
    moment += x * x * (Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)) * ((2 * end) / steps);
  }
  return moment / (1 - share);
}

/** One of twelve is set aside beside the one that is asked. */
const TWELFTH_LEFT = varianceLeft(1 / 12);

const EIGHT = [2, 3, 4, 5, 6, 7, 8, 9];
const TWELVE = [2, 3, 4, 5, 6, 7, 8, 9, 3, 5, 7, 9];
const MANY = Array.from({ length: 24 }, (_, i) => 2 + (i % 8));

describe('how far a slip lies, against leaving it out', () => {
  it.each([
    ['as sure as claimed', 0.5],
    ['twice as unsure', 3.2],
    ['three times as unsure', 4.8],
  ])('one of eight, by a tape %s', (_, tapeMm) => {
    for (let seed = 1; seed <= 8; seed += 1) {
      const readings = read(EIGHT, tapeMm, { 3: 90 }, seed);
      const { raw, squares, free } = leftOut(readings, 3);
      const ratio = Math.max(1, (WORTH + squares) / (WORTH + free));
      expect(deviationsIn(readings).get(3)! / (raw / Math.sqrt(ratio))).toBeCloseTo(1, 3);
    }
  });

  it('two of twelve: each without the other, the variance of all others as the cut ones would have it', () => {
    let grown = 0;
    for (let seed = 1; seed <= 8; seed += 1) {
      const readings = read(TWELVE, 3.2, { 3: 110, 9: 120 }, seed);
      const found = deviationsIn(readings);
      expect([...found.keys()].sort((a, b) => a - b)).toEqual([3, 9]);
      for (const [one, other] of [
        [3, 9],
        [9, 3],
      ] as const) {
        const { raw, squares, free } = leftOut(readings, one, [other]);
        const ratio = Math.max(1, (WORTH + squares / TWELFTH_LEFT) / (WORTH + free));
        if (ratio > 1.2) grown += 1;
        expect(found.get(one)! / (raw / Math.sqrt(ratio))).toBeCloseTo(1, 3);
      }
    }
    expect(grown).toBeGreaterThan(8);
  });

  it('the furthest of many: by the others or the middle of all squares, whichever is less', () => {
    let byMiddle = 0;
    for (let seed = 1; seed <= 8; seed += 1) {
      const misread = { 2: 100, 7: 105, 12: 95, 21: 110 };
      const readings = read(MANY, 3.2, misread, seed);
      const each = readings.map((_, i) => leftOut(readings, i));
      const furthest = each.reduce((best, { raw }, i) => (raw > each[best]!.raw ? i : best), 0);
      const { raw, squares, free } = each[furthest]!;
      const inOrder = each.map((one) => one.raw ** 2).sort((a, b) => a - b);
      const middling = inOrder[Math.floor(inOrder.length / 2)]! / jstat.chisquare.inv(0.5, 1);
      const byOthers = (WORTH + squares) / (WORTH + free);
      if (middling < byOthers && middling > 1) byMiddle += 1;
      const ratio = Math.max(1, Math.min(byOthers, middling));
      expect(deviationsIn(readings).get(furthest)! / (raw / Math.sqrt(ratio))).toBeCloseTo(1, 3);
    }
    expect(byMiddle).toBeGreaterThan(4);
  });
});

describe('who is charged', () => {
  it('an honest reading that looks far beside a wild one is taken back', () => {
    let tried = 0;
    for (let seed = 1; seed <= 60; seed += 1) {
      const readings = read(TWELVE, 4.8, { 5: 120 }, seed);
      const honest = readings.map((_, i) => i).filter((i) => i !== 5);
      const judged = honest.map((i) => {
        const { raw, squares, free } = leftOut(readings, i, [5]);
        return { raw, far: raw / Math.sqrt(Math.max(1, (WORTH + squares / TWELFTH_LEFT) / (WORTH + free))) };
      });
      // Only those of which one would be charged by what was assumed of the tape, and none is by what it shows.
      if (!judged.some(({ raw }) => raw > 4.2) || judged.some(({ far }) => far > 3.9)) continue;
      tried += 1;
      expect([seed, ...deviationsIn(readings).keys()]).toEqual([seed, 5]);
    }
    expect(tried).toBeGreaterThan(5);
  });

  it('nobody, where all others would fall without it', () => {
    const widths = [210, 208, 206, 204, 235];
    const few = widths.map((widthMm, i): Reading => ({ dose: 4 + i, balloon: i + 1, widthMm, outcome: 'ok' }));
    expect(deviationsIn(few).size).toBe(0);
    const many = Array.from({ length: 20 }, (_, i): Reading => {
      const [dose, widthMm] = i < 18 ? [4 + i / 8, 220 - 0.3 * i] : [6, 235];
      return { dose, balloon: i + 1, widthMm: widthMm + (i % 3) / 10, outcome: 'ok' };
    });
    expect(deviationsIn(many).size).toBe(0);
  });
});

describe('a burst', () => {
  it.each([false, true])(
    'lies as far from the line as it, its tape, its strokes and its make err by (varied: %p)',
    (varied) => {
      const errors = varied ? assumedErrors('hand') : ERRORS;
      const burstMm = 150;
      const readings = [...read(EIGHT, 0.5, {}), { dose: 8, balloon: 99, widthMm: burstMm, outcome: 'burst' as const }];
      const { outliers, covariance, deadVolumeL, doseVolumeL, varianceRatio } = fitted(readings, errors);
      const [a, b, c] = [covariance[0]![0]!, covariance[0]![1]!, covariance[1]![1]!];
      const strokes = 8 * (errors.doseShare * doseVolumeL) ** 2;
      const made = (3 * sphereL(burstMm) * errors.balloonShare) ** 2;
      const own = varianceRatio * (errorOf(burstMm) ** 2 + strokes + made);
      const sd = Math.sqrt(a + 16 * b + 64 * c + own);
      expect(outliers.map(({ index }) => index)).toEqual([8]);
      const off = Math.abs(sphereL(burstMm) - deadVolumeL - 8 * doseVolumeL);
      expect(outliers[0]!.deviations / (off / sd)).toBeCloseTo(1, 3);
    },
  );
});
