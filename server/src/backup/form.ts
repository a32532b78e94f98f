import { idSchema, instantSchema } from '@leggero/contract';
import { z } from 'zod';

/** How backups are written; raised where an older reader would misread one. */
export const FORM = 1;

const nameOfTable = z.string().regex(/^[a-z0-9_]{1,64}$/);
const countSchema = z.number().int().nonnegative();
const sha256Schema = z.string().regex(/^[0-9a-f]{64}$/);

/** The first line: whose records, as of when, and in the tables of which version. */
export const headSchema = z.object({
  leggero: z.literal('backup'),
  form: z.number().int().positive(),
  madeAt: instantSchema,
  studio: z.object({ id: idSchema, name: z.string() }),
  /** How many writes there were. */
  revision: countSchema,
  /** The newest change of the tables, as migrations are dated, ms. */
  tables: countSchema,
  /** Whether it holds what people sign in by. */
  signIn: z.boolean(),
});
export type Head = z.infer<typeof headSchema>;

/** Before the rows of a table: what stands in each. */
export const tableSchema = z.object({ table: nameOfTable, columns: z.array(nameOfTable).min(1) });

const tallySchema = z.object({ rows: countSchema, sha256: sha256Schema });
export type Tally = z.infer<typeof tallySchema>;
/** The last line: how many rows each table has, and the hash of them and of all that comes before this line. */
export const endSchema = z.object({
  end: z.object({ tables: z.record(nameOfTable, tallySchema), sha256: sha256Schema }),
});
export type End = z.infer<typeof endSchema>['end'];
