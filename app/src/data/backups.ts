import { BACKUP_ROUTES } from '@leggero/contract/backup';
import { useQuery } from '@tanstack/react-query';

import { call } from './client';

/** The backups that the server keeps by itself. */
export const useBackups = () => useQuery({ queryKey: ['backups'], queryFn: () => call(BACKUP_ROUTES.listBackups) });
