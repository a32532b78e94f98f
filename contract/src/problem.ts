import { z } from 'zod';

/** An error as RFC 9457 has it, with the fields it lies in. */
export const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string().optional(),
  /** What is wrong where; `path` is dotted ("holes.2.widthMm"). */
  fields: z.array(z.object({ path: z.string(), message: z.string() })).optional(),
});
export type ProblemDocument = z.infer<typeof problemSchema>;

/** Whether a process can be sent requests: not while it stops, nor while the records cannot be written. */
export const readySchema = z.object({ status: z.literal('ready') });
export const healthSchema = z.object({ status: z.literal('ok'), database: z.literal('ok') });
