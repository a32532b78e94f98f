import { COLDEST_C, HIGHEST_ALTITUDE_M, LOWEST_ALTITUDE_M, MOST_HOURS_BEFORE, WARMEST_C } from '@leggero/core';

/** What a number of the surroundings may be, for the field it is typed in. */
export const TEMPERATURE = {
  least: COLDEST_C,
  most: WARMEST_C,
  error: `Temperatures from ${COLDEST_C} to ${WARMEST_C} °C are possible.`,
};
export const ALTITUDE = {
  least: LOWEST_ALTITUDE_M,
  most: HIGHEST_ALTITUDE_M,
  error: `Altitudes from ${LOWEST_ALTITUDE_M} to ${HIGHEST_ALTITUDE_M} m are possible.`,
};
export const HOURS = {
  least: 0,
  most: MOST_HOURS_BEFORE,
  error: `Hours from 0 to ${MOST_HOURS_BEFORE} are possible.`,
};
