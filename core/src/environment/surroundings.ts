import { ok, problem, type Result } from '../result';
import { standardPressureKPa } from './atmosphere';

/** Temperature and pressure around a balloon. */
export interface Air {
  tempC: number;
  pressureKPa: number;
}

/** A place as people speak of it. */
export interface Place {
  tempC: number;
  /** Metres above sea level. */
  altitudeM: number;
}

/** Temperatures latex is worked and shown in, degrees Celsius: a freezing yard to a ceiling under a glass roof. */
export const COLDEST_C = -30;
export const WARMEST_C = 70;
const LEAST_KPA = 40;
const MOST_KPA = 120;
const ZERO_C_IN_K = 273.15;

export type AirProblemCode = 'bad-temperature' | 'bad-pressure' | 'bad-altitude';

/**
 * The width that a balloon filled to `widthMm` in one air takes in another, mm. The gas law p V = n R T at a constant
 * amount of air and a constant shape: width goes with the cube root of T / p. The skin's own overpressure, a few
 * hundredths of the air's, changes too little to count.
 *
 * Problems: `bad-temperature` (-30 to 70 degrees Celsius), `bad-pressure` (40 to 120 kPa), `bad-width`.
 * Source: ideal gas law, any handbook of physics.
 */
export function widthAt({
  widthMm,
  from,
  to,
}: {
  widthMm: number;
  from: Air;
  to: Air;
}): Result<number, AirProblemCode | 'bad-width'> {
  if (!(widthMm > 0 && Number.isFinite(widthMm))) return problem('bad-width', { field: 'widthMm' });
  for (const [name, air] of Object.entries({ from, to })) {
    const bad = airProblem(air, `${name}.`);
    if (bad) return bad;
  }
  return ok(widthMm * warmthFactor(from.tempC, to.tempC) * Math.cbrt(from.pressureKPa / to.pressureKPa));
}

/** How much wider a balloon becomes by warmth alone. */
function warmthFactor(fromC: number, toC: number): number {
  return Math.cbrt((toC + ZERO_C_IN_K) / (fromC + ZERO_C_IN_K));
}

/** The first thing about some air that cannot be, its field after `path`; null where balloons are worked in it. */
export function airProblem({ tempC, pressureKPa }: Air, path = '') {
  const bad = temperatureProblem(tempC, path);
  if (bad) return bad;
  return pressureKPa >= LEAST_KPA && pressureKPa <= MOST_KPA
    ? null
    : problem('bad-pressure', {
        field: `${path}pressureKPa`,
        detail: { least: LEAST_KPA, most: MOST_KPA },
      });
}

function temperatureProblem(tempC: number, path: string) {
  return tempC >= COLDEST_C && tempC <= WARMEST_C
    ? null
    : problem('bad-temperature', { field: `${path}tempC`, detail: { least: COLDEST_C, most: WARMEST_C } });
}

/** How a balloon's width changes on its way from one place to another, each cause as a factor. */
export interface Growth {
  warmth: number;
  altitude: number;
  /** Both together. */
  both: number;
}

/**
 * Growth of width from one place to another by warmth and by altitude (standard atmosphere).
 *
 * Problems: `bad-temperature`, `bad-altitude`, with the field `from.tempC` and so on.
 */
export function growthBetween({
  from,
  to,
}: {
  from: Place;
  to: Place;
}): Result<Growth, 'bad-temperature' | 'bad-altitude'> {
  const pressures: number[] = [];
  for (const [name, place] of Object.entries({ from, to })) {
    const bad = temperatureProblem(place.tempC, `${name}.`);
    if (bad) return bad;
    const pressure = standardPressureKPa({ altitudeM: place.altitudeM });
    if (!pressure.ok) {
      return { ok: false, problem: { ...pressure.problem, field: `${name}.${pressure.problem.field}` } };
    }
    pressures.push(pressure.value);
  }
  const warmth = warmthFactor(from.tempC, to.tempC);
  const altitude = Math.cbrt(pressures[0]! / pressures[1]!);
  return ok({ warmth, altitude, both: warmth * altitude });
}
