import { DEED_ROUTES } from '@leggero/contract/deed';
import { useInfiniteQuery, useQueryClient } from '@tanstack/react-query';

import { call } from './client';

const KEY = ['deeds'] as const;

/** What was done in the studio, by one account or by anybody (''), the newest first, page by page. */
export const useDeeds = (by: string) =>
  useInfiniteQuery({
    queryKey: [...KEY, by],
    queryFn: ({ pageParam }) =>
      call(DEED_ROUTES.listDeeds, {
        query: { ...(by ? { by } : {}), ...(pageParam ? { before: String(pageParam) } : {}) },
      }),
    initialPageParam: 0,
    getNextPageParam: ({ more }) => more,
  });

/** Asks anew for what was done. */
export function useDeedsRenewed(): () => Promise<void> {
  const client = useQueryClient();
  return () => client.invalidateQueries({ queryKey: KEY });
}
