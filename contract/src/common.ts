import { COLDEST_C, HIGHEST_ALTITUDE_M, LOWEST_ALTITUDE_M, MOST_DOSE, WARMEST_C } from '@leggero/core';
import { z } from 'zod';

/** Ids are UUIDs made where the record is made, so that a repeated request is the same request. */
export const idSchema = z.uuid().toLowerCase();

/** Decimal places that are stored: of a length a ten-thousandth of a millimetre. */
export const LENGTH_PLACES = 4;
export const DOSE_PLACES = 3;

/** A number as it will be stored, to so many decimal places. */
export function asStored(value: number, places: number): number {
  // Without the sign of a zero.
  return Number(value.toFixed(places)) + 0;
}

/**
 * A number that is rounded as it will be stored before its bounds are looked at: a positive one that would be stored as
 * 0 is not positive.
 */
export const storedNumber = (places: number) => z.number().overwrite((value) => asStored(value, places));

export const storedLength = () => storedNumber(LENGTH_PLACES);

/** A name people give: trimmed, 1 to 80 characters. */
export const nameSchema = z.string().trim().min(1).max(80);

/** A length people may have typed or measured, mm; 5 m is more than any balloon or hole. */
export const lengthMmSchema = storedLength().positive().max(5000);

/** A hall is under 100 m. */
export const MOST_BUILD_MM = 99_999;

/** How warm a place is where latex is worked or shown, and how high above the sea. */
export const tempCSchema = storedNumber(2).min(COLDEST_C).max(WARMEST_C);
export const altitudeMSchema = storedNumber(2).min(LOWEST_ALTITUDE_M).max(HIGHEST_ALTITUDE_M);

/** Strokes or seconds. */
export const doseSchema = storedNumber(DOSE_PLACES).positive().max(MOST_DOSE);

/** The years that a record may be from: others are a slip of a clock or a file. */
const FIRST_YEAR = 1900;
const LAST_YEAR = 2199;

/** ISO 8601, UTC. */
export const instantSchema = z.iso.datetime().refine(isPossibleInstant, 'A moment lies between 1900 and 2199');

/** Whether a moment can be one of a record. */
export function isPossibleInstant(instant: string | Date): boolean {
  const year = new Date(instant).getUTCFullYear();
  return year >= FIRST_YEAR && year <= LAST_YEAR;
}

/** A time zone by the name that calendars know it by, such as Europe/Lisbon. */
export const timeZoneSchema = z.string().max(64).refine(isTimeZone, 'A time zone, such as Europe/Lisbon');

/** Whether clocks are known to be set by this name anywhere. */
export function isTimeZone(name: string): boolean {
  try {
    return name !== '' && new Intl.DateTimeFormat('en', { timeZone: name }).format(0) !== '';
  } catch {
    return false;
  }
}

/** A colour as #rrggbb. */
export const hexSchema = z.string().regex(/^#[0-9a-f]{6}$/i);

/** A share of nominal. */
export const fractionSchema = storedNumber(4).positive().max(1.2);

/** Money in minor units, cents or pence; up to ten million. */
export const MOST_MINOR = 1_000_000_000;
export const minorSchema = z.int().min(0).max(MOST_MINOR);
/** As ISO 4217 has it. */
export const currencySchema = z.string().regex(/^[A-Z]{3}$/);

/** True for records the demo made. */
export const demoSchema = z.boolean();
