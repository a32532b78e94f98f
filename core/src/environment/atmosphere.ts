import { ok, problem, type Result } from '../result';

/** Pressure at sea level, kPa, and the constants of the lowest layer: U.S. Standard Atmosphere, 1976. */
const SEA_LEVEL_KPA = 101.325;
const SEA_LEVEL_K = 288.15;
const LAPSE_K_PER_M = 0.0065;
/** g M / (R L) with g = 9.80665 m/s2, M = 28.9644 g/mol, R = 8.31432 J/(mol K). */
const EXPONENT = (9.80665 * 0.0289644) / (8.31432 * LAPSE_K_PER_M);

/** Altitudes people work at, m: from the lowest shore to above the highest town. */
export const LOWEST_ALTITUDE_M = -430;
export const HIGHEST_ALTITUDE_M = 6000;

/**
 * Pressure of the standard atmosphere at an altitude (m above sea level), kPa:
 * p = p0 (1 - L h / T0)^(g M / (R L)), for the layer up to 11 km.
 *
 * Problem: `bad-altitude` (not a number, or outside -430 to 6,000 m).
 * Source: U.S. Standard Atmosphere, 1976 (NOAA, NASA, USAF), equation 33a.
 */
export function standardPressureKPa({ altitudeM }: { altitudeM: number }): Result<number, 'bad-altitude'> {
  if (!(altitudeM >= LOWEST_ALTITUDE_M && altitudeM <= HIGHEST_ALTITUDE_M)) {
    const detail = { least: LOWEST_ALTITUDE_M, most: HIGHEST_ALTITUDE_M };
    return problem('bad-altitude', { field: 'altitudeM', detail });
  }
  return ok(SEA_LEVEL_KPA * (1 - (LAPSE_K_PER_M * altitudeM) / SEA_LEVEL_K) ** EXPONENT);
}
