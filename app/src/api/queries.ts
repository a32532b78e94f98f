import type { ModelDetail, PumpRecord, ShelfModel, SizerRecord, Studio, TierRecord } from '@leggero/contract';
import { QueryClient, useQuery, useQueryClient, type UseQueryResult } from '@tanstack/react-query';
import { useEffect, useMemo } from 'react';

import { ApiError, call } from './client';
import type { Command } from './command';
import { deliver, useOutbox } from './outbox';
import {
  overlayModel, overlayPumps, overlayShelf, overlaySizers, overlayStudio, overlayTiers,
} from './overlay'; // prettier-ignore

const KEYS = {
  studio: ['studio'],
  tiers: ['tiers'],
  pumps: ['pumps'],
  sizers: ['sizers'],
  shelf: ['models'],
  model: (id: string) => ['models', id],
} as const;

const LONGEST_PAUSE_MS = 3000;

/** Asks again for as long as asking may help; a record that is not there stays not there. */
export function createQueryClient(): QueryClient {
  return new QueryClient({
    defaultOptions: {
      queries: {
        retry: (_, error) => error instanceof ApiError && error.passing,
        retryDelay: (attempt) => Math.min(LONGEST_PAUSE_MS, 400 * 2 ** attempt),
        staleTime: 2000,
        networkMode: 'always',
      },
    },
  });
}

/** A page's view of some records. */
export interface Records<Data> {
  /** Undefined until they have come. */
  data: Data | undefined;
  /** They will not come: what the server said. */
  error: ApiError | null;
  /** They are late, and are being asked for again. */
  struggling: boolean;
  refetch: () => void;
}

function recordsOf<Data>(query: UseQueryResult<Data>, data: Data | undefined): Records<Data> {
  return {
    data,
    error: query.error instanceof ApiError ? query.error : null,
    struggling: query.failureCount > 0 && query.isFetching,
    refetch: () => void query.refetch(),
  };
}

function useOverlaid<Data>(
  query: UseQueryResult<Data>,
  overlay: (data: Data, command: Command) => Data,
): Records<Data> {
  const waiting = useOutbox((state) => state.waiting);
  const data = useMemo(
    () => (query.data === undefined ? undefined : waiting.reduce(overlay, query.data)),
    [query.data, waiting, overlay],
  );
  return recordsOf(query, data);
}

export function useStudio(): Records<Studio> {
  return useOverlaid(
    useQuery({ queryKey: KEYS.studio, queryFn: ({ signal }) => call('readStudio', { signal }) }),
    overlayStudio,
  );
}

export function useTiers(): Records<TierRecord[]> {
  return useOverlaid(
    useQuery({ queryKey: KEYS.tiers, queryFn: ({ signal }) => call('listTiers', { signal }) }),
    overlayTiers,
  );
}

export function usePumps(): Records<PumpRecord[]> {
  return useOverlaid(
    useQuery({ queryKey: KEYS.pumps, queryFn: ({ signal }) => call('listPumps', { signal }) }),
    overlayPumps,
  );
}

export function useSizers(): Records<SizerRecord[]> {
  return useOverlaid(
    useQuery({ queryKey: KEYS.sizers, queryFn: ({ signal }) => call('listSizers', { signal }) }),
    overlaySizers,
  );
}

export function useShelf(): Records<ShelfModel[]> {
  return useOverlaid(
    useQuery({ queryKey: KEYS.shelf, queryFn: ({ signal }) => call('listModels', { signal }) }),
    overlayShelf,
  );
}

/** One model; also one that only waits in the outbox so far. */
export function useModel(id: string): Records<ModelDetail> {
  const query = useQuery({
    queryKey: KEYS.model(id),
    queryFn: ({ signal }) => call('readModel', { id, signal }),
  });
  const waiting = useOutbox((state) => state.waiting);
  const data = useMemo(
    () =>
      waiting.reduce<ModelDetail | undefined>(
        (model, command) => overlayModel(id, model, command),
        query.data,
      ),
    [id, query.data, waiting],
  );
  return recordsOf(query, data);
}

/** Lays a command the server has taken over the cached records, so that nothing flickers until they are read anew. */
function settle(client: QueryClient, command: Command): void {
  const lay = <Data>(key: readonly string[], overlay: (data: Data, command: Command) => Data) =>
    client.setQueryData<Data>([...key], (data) => (data === undefined ? undefined : overlay(data, command)));
  lay(KEYS.studio, overlayStudio);
  lay<TierRecord[]>(KEYS.tiers, overlayTiers);
  lay<PumpRecord[]>(KEYS.pumps, overlayPumps);
  lay<SizerRecord[]>(KEYS.sizers, overlaySizers);
  lay<ShelfModel[]>(KEYS.shelf, overlayShelf);
  for (const [key, model] of client.getQueriesData<ModelDetail>({ queryKey: KEYS.shelf })) {
    const id = key[1];
    if (typeof id === 'string') client.setQueryData([...key], overlayModel(id, model, command));
  }
}

/** Keeps the outbox moving and the records fresh while the app is open. */
export function useDelivery(): void {
  const client = useQueryClient();
  useEffect(
    () =>
      deliver({
        onTaken: (command) => {
          settle(client, command);
          // Read anew once the burst is over; what is on screen is right already.
          if (useOutbox.getState().waiting.length <= 1) void client.invalidateQueries();
        },
        onRefused: () => void client.invalidateQueries(),
      }),
    [client],
  );
}

/** Does something: kept at once, sent as soon as it can be. */
export function useCommand(): ReturnType<typeof useOutbox.getState>['add'] {
  return useOutbox((state) => state.add);
}

/** Reads everything anew: after something was written past the outbox. */
export function useRefresh(): () => void {
  const client = useQueryClient();
  return () => void client.invalidateQueries();
}
