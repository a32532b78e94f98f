import { z } from 'zod';

/** One line of a file of readings that cannot be used, and why. */
export const lineProblemSchema = z.object({
  /** As an editor counts: the header is line 1. 0 stands for the file as a whole. */
  line: z.int().min(0),
  /** The column's name as the file has it, where one is at fault. */
  column: z.string().nullable(),
  /** What is wrong, and what would do. */
  reason: z.string(),
});
export type LineProblem = z.infer<typeof lineProblemSchema>;

/** How the letters of a file may be written, by the names of the WHATWG Encoding Standard. */
export const FILE_ENCODINGS = ['utf-8', 'windows-1252', 'windows-1250', 'macintosh'] as const;
export type FileEncoding = (typeof FILE_ENCODINGS)[number];

/** What an import would do, or did. */
export const importReportSchema = z.object({
  /** Lines with a reading. */
  lines: z.int().min(0),
  /** Readings new to the records. */
  added: z.int().min(0),
  /** Readings that are there already. */
  known: z.int().min(0),
  /** Balloons, inflators and calibrations that the file names and the records lack. */
  newModels: z.array(z.string()),
  newPumps: z.array(z.string()),
  newCalibrations: z.int().min(0),
  /** The first lines that cannot be used; with any, nothing is imported. */
  problems: z.array(lineProblemSchema),
  problemCount: z.int().min(0),
  /** The letters are not in the encoding named: whoever sent the file is asked which it is. */
  askEncoding: z.boolean(),
  /** The first lines as they were understood. */
  sample: z.array(
    z.object({
      line: z.int(),
      model: z.string(),
      pump: z.string(),
      dose: z.number(),
      widthMm: z.number().nullable(),
      stopsMm: z.number().nullable(),
      passesMm: z.number().nullable(),
    }),
  ),
  /** Whether it was written, or only looked at. */
  written: z.boolean(),
});
export type ImportReport = z.infer<typeof importReportSchema>;

/** One line of the stream that an import answers with: how far it is, and at the end what came of it. */
export const importProgressSchema = z.union([
  z.object({ phase: z.enum(['reading', 'writing']), done: z.int(), of: z.int() }),
  z.object({ report: importReportSchema }),
  z.object({ failed: z.string() }),
]);
export type ImportProgress = z.infer<typeof importProgressSchema>;

/**
 * Where files of readings come from and go to; the body is the file itself (text/csv), in UTF-8, marked UTF-16 or what
 * `?encoding=` names.
 */
export const READING_FILE_PATHS = {
  /** GET, with ?model=<id> for one balloon. */
  write: '/api/readings.csv',
  /** POST: looks, and answers what an import would do. */
  look: '/api/readings.csv/look',
  /** POST: imports all of it or nothing. */
  read: '/api/readings.csv',
} as const;
