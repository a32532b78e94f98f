import type { EventFile } from '@leggero/contract/eventFile';
import { SHARE_ROUTES } from '@leggero/contract/share';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { create } from 'zustand';

import { call } from './client';

const KEY = ['shares'] as const;

/** What is shared of an event by now. */
export const useShares = (eventId: string) =>
  useQuery({
    queryKey: KEY,
    queryFn: () => call(SHARE_ROUTES.listShares),
    select: (all) => all.filter((share) => share.eventId === eventId),
  });

/** Asks anew for what is shared. */
export function useSharesRenewed(): () => Promise<void> {
  const client = useQueryClient();
  return () => client.invalidateQueries({ queryKey: KEY });
}

/** What a code shows; '' asks for nothing. */
export const useShared = (code: string) =>
  useQuery({
    queryKey: ['shared', code],
    queryFn: () => call(SHARE_ROUTES.openShare, { body: { code } }),
    enabled: code !== '',
    staleTime: Infinity,
  });

/** An event that somebody shared, on its way into this studio; null where none is. */
export const useHeldCopy = create<{ file: EventFile | null }>()(() => ({ file: null }));
