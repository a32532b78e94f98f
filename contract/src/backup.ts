import { z } from 'zod';

import { instantSchema } from './common';
import type { Route } from './route';

/** A backup that the server keeps: when it was made, how large it is, and whether it was restored on trial. */
const keptBackupSchema = z.object({
  madeAt: instantSchema,
  bytes: z.number().int().nonnegative(),
  tried: z.boolean(),
});
export type KeptBackup = z.infer<typeof keptBackupSchema>;

/** What a server keeps by itself; `byItself` where it makes them each night. */
export const backupsSchema = z.object({
  byItself: z.boolean(),
  kept: z.array(keptBackupSchema),
  /** Why the last try came to nothing. */
  problem: z.string().nullable(),
});
export type Backups = z.infer<typeof backupsSchema>;

/** A backup made now, as a file: no JSON, and therefore no route like the others. */
export const BACKUP_PATH = '/api/backup';

export const BACKUP_ROUTES = {
  listBackups: { method: 'GET', path: '/api/backups', response: backupsSchema, least: 'owner' },
} as const satisfies Record<string, Route>;
