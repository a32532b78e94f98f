import { MOST_DOSE } from '@leggero/core';
import { z } from 'zod';

/** Ids are UUIDs made where the record is made, so that a repeated request is the same request. */
export const idSchema = z.uuid();

/** A name people give: trimmed, 1 to 80 characters. */
export const nameSchema = z.string().trim().min(1).max(80);

/** A length people may have typed or measured, mm; 5 m is more than any balloon or hole. */
export const lengthMmSchema = z.number().positive().max(5000);

/** A length of a build, mm: a hall is under 100 m. */
export const buildMmSchema = z.number().positive().max(99_999);

/** Strokes or seconds. */
export const doseSchema = z.number().positive().max(MOST_DOSE);

/** ISO 8601, UTC. */
export const instantSchema = z.iso.datetime();

/** A colour as #rrggbb. */
export const hexSchema = z.string().regex(/^#[0-9a-f]{6}$/i);

/** A share of nominal. */
export const fractionSchema = z.number().positive().max(1.2);

/** True for records the demo made. */
export const demoSchema = z.boolean();
