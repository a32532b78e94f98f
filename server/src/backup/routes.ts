import { BACKUP_PATH } from '@leggero/contract/backup';
import type { Router } from 'express';

import { tell } from '../access/events';
import { allow, scopeOf } from '../access/who';
import { download } from '../http/download';
import { mount } from '../http/route';
import { readRow } from '../records/store';
import { fileName, packed } from './file';
import type { Keeper } from './keeper';
import { backup } from './write';

/** What the server keeps by itself, and a backup to be kept elsewhere. */
export function backupRoutes(router: Router, { keeper }: { keeper: Keeper | null }): void {
  mount(router, 'listBackups', async ({ studioId }) => ({
    byItself: keeper !== null,
    ...((await keeper?.kept(studioId)) ?? { kept: [], problem: null }),
  }));
  router.get(BACKUP_PATH, allow('owner'), async (request, response) => {
    const scope = scopeOf(response);
    const { database, studioId } = scope;
    const now = new Date();
    const studio = await readRow(scope, 'studio', studioId);
    tell(request, response, 'backup saved', { by: scope.by?.id ?? null });
    // What people sign in by stays here: they may work in other studios of this server too.
    await download(response, packed(backup(database, { studioId, signIn: false, now })), {
      name: fileName({ studio, madeAt: now.toISOString() }),
      type: 'application/gzip',
    });
  });
}
