import type {
  ChainRecord,
  EyeCheckRecord,
  ModelDetail,
  PersonRecord,
  PieceRecord,
  PumpRecord,
  Session,
  ShelfModel,
  SizerRecord,
  Studio,
  StudyRecord,
  TierRecord,
} from '@leggero/contract';
import { QueryClient, useQuery, useQueryClient, type UseQueryResult } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo } from 'react';

import { ApiError, call } from './client';
import type { Command } from './command';
import { correctedCalibrations, holesById } from './holes';
import { deliver, useOutbox } from './outbox';
import {
  overlayChains,
  overlayEyeCheck,
  overlayEyeChecks,
  overlayModel,
  overlayPeople,
  overlayPieces,
  overlayPumps,
  overlayShelf,
  overlaySizers,
  overlayStudies,
  overlayStudio,
  overlayTiers,
} from './overlay';
import { dresserOf } from './pairs';

const KEYS = {
  studio: ['studio'],
  tiers: ['tiers'],
  pumps: ['pumps'],
  sizers: ['sizers'],
  shelf: ['models'],
  model: (id: string) => ['models', id],
  people: ['people'],
  session: ['session'],
  studies: ['studies'],
  pieces: ['pieces'],
  chains: ['chains'],
  eyeChecks: (personId: string) => ['people', personId, 'eye'],
  eyeCheck: (id: string) => ['eye', id],
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

// Memoised by hand in this file: records that did not change must stay the very same, for what is worked out from
// them is kept by who they are.
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

/** The same for one record by its id; also one that the server has not got yet. */
function useOverlaidOne<Data>(
  query: UseQueryResult<Data>,
  id: string,
  overlay: (id: string, data: Data | undefined, command: Command) => Data | undefined,
): Records<Data> {
  const waiting = useOutbox((state) => state.waiting);
  const data = useMemo(
    () => waiting.reduce<Data | undefined>((one, command) => overlay(id, one, command), query.data),
    [id, query.data, waiting, overlay],
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
  const found = useOverlaid(
    useQuery({ queryKey: KEYS.shelf, queryFn: ({ signal }) => call('listModels', { signal }) }),
    overlayShelf,
  );
  const { data: models } = found;
  const holes = useMeasuredHoles();
  const data = useMemo(
    () => models?.map((model) => (holes ? corrected(model, holes) : model)).map(dresserOf(models)),
    [models, holes],
  );
  return { ...found, data };
}

/** The holes by id once some of them are measured; null before, when nothing is to be corrected. */
function useMeasuredHoles() {
  const sizers = useSizers().data;
  return useMemo(() => {
    const measured = sizers?.some(({ holes }) => holes.some(({ measurements }) => measurements.length > 0));
    return sizers && measured ? holesById(sizers) : null;
  }, [sizers]);
}

/** A model with its readings through measured holes corrected; the very same where there are none. */
function corrected<Model extends ShelfModel>(model: Model, holes: ReturnType<typeof holesById>): Model {
  const calibrations = correctedCalibrations(model.calibrations, holes);
  return calibrations.every((each, i) => each === model.calibrations[i]) ? model : { ...model, calibrations };
}

export function usePeople(): Records<PersonRecord[]> {
  return useOverlaid(
    useQuery({ queryKey: KEYS.people, queryFn: ({ signal }) => call('listPeople', { signal }) }),
    overlayPeople,
  );
}

export function useStudies(): Records<StudyRecord[]> {
  return useOverlaid(
    useQuery({ queryKey: KEYS.studies, queryFn: ({ signal }) => call('listStudies', { signal }) }),
    overlayStudies,
  );
}

/** Pieces of linking work, newest first, each with its checks. */
export function usePieces(): Records<PieceRecord[]> {
  return useOverlaid(
    useQuery({ queryKey: KEYS.pieces, queryFn: ({ signal }) => call('listPieces', { signal }) }),
    overlayPieces,
  );
}

/** Chains that were laid out and measured. */
export function useChains(): Records<ChainRecord[]> {
  return useOverlaid(
    useQuery({ queryKey: KEYS.chains, queryFn: ({ signal }) => call('listChains', { signal }) }),
    overlayChains,
  );
}

/** Whose private pages are open on this device. */
export function useSession(): Records<Session> {
  const query = useQuery({
    queryKey: KEYS.session,
    queryFn: ({ signal }) => call('readSession', { signal }),
  });
  return recordsOf(query, query.data);
}

/** Opens or closes private pages; what they showed before is forgotten. */
export function useSetSession() {
  const client = useQueryClient();
  /** Whoever looks now must be shown nothing that another's session fetched. */
  const forget = () => client.resetQueries({ predicate: ({ queryKey }) => queryKey.includes('eye') });
  return {
    /** Rejects with an `ApiError` when the PIN is wrong or the server is away. */
    open: async (personId: string, pin?: string) => {
      const session = await call('openSession', { body: { personId, ...(pin ? { pin } : {}) } });
      client.setQueryData([...KEYS.session], session);
      await forget();
    },
    close: async () => {
      await call('closeSession');
      client.setQueryData<Session>([...KEYS.session], { personId: null });
      await forget();
    },
    setPin: async (personId: string, pin: string | null) => {
      await call('setPin', { id: personId, body: { pin } });
      await client.invalidateQueries({ queryKey: KEYS.people });
    },
  };
}

/** Someone's sessions by eye, asked for once the session on this device may see them. */
export function useEyeChecks(personId: string, open: boolean): Records<EyeCheckRecord[]> {
  const query = useQuery({
    queryKey: KEYS.eyeChecks(personId),
    queryFn: ({ signal }) => call('listEyeChecks', { id: personId, signal }),
    enabled: open,
  });
  const overlay = useCallback(
    (checks: EyeCheckRecord[], command: Command) => overlayEyeChecks(personId, checks, command),
    [personId],
  );
  return useOverlaid(query, overlay);
}

/** One session by eye; also one that only waits in the outbox so far. */
export function useEyeCheck(id: string): Records<EyeCheckRecord> {
  const query = useQuery({
    queryKey: KEYS.eyeCheck(id),
    queryFn: ({ signal }) => call('readEyeCheck', { id, signal }),
  });
  return useOverlaidOne(query, id, overlayEyeCheck);
}

/** One model; also one that only waits in the outbox so far. */
export function useModel(id: string): Records<ModelDetail> {
  const query = useQuery({
    queryKey: KEYS.model(id),
    queryFn: ({ signal }) => call('readModel', { id, signal }),
  });
  const found = useOverlaidOne(query, id, overlayModel);
  const { data } = found;
  const holes = useMeasuredHoles();
  const shelf = useShelf().data;
  const shown = useMemo(() => {
    const known = data && holes ? corrected(data, holes) : data;
    return known && shelf ? dresserOf(shelf)(known) : known;
  }, [data, holes, shelf]);
  return { ...found, data: shown };
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
  lay<PersonRecord[]>(KEYS.people, overlayPeople);
  lay<StudyRecord[]>(KEYS.studies, overlayStudies);
  lay<PieceRecord[]>(KEYS.pieces, overlayPieces);
  lay<ChainRecord[]>(KEYS.chains, overlayChains);
  for (const [key, checks] of client.getQueriesData<EyeCheckRecord[]>({ queryKey: KEYS.people })) {
    const [, personId, what] = key;
    if (what === 'eye' && typeof personId === 'string' && checks)
      client.setQueryData([...key], overlayEyeChecks(personId, checks, command));
  }
  for (const [key, check] of client.getQueriesData<EyeCheckRecord>({ queryKey: ['eye'] })) {
    const [, id] = key;
    if (typeof id === 'string') client.setQueryData([...key], overlayEyeCheck(id, check, command));
  }
  for (const [key, model] of client.getQueriesData<ModelDetail>({ queryKey: KEYS.shelf })) {
    const id = key[1];
    if (typeof id === 'string') client.setQueryData([...key], overlayModel(id, model, command));
  }
}

/**
 * Asks for everything on screen again. What was asked for before is given up first: a first answer on its way may have
 * left before the last entry arrived, and invalidating alone would wait for it and be content.
 */
async function readAnew(client: QueryClient): Promise<void> {
  await client.cancelQueries();
  await client.invalidateQueries();
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
          if (useOutbox.getState().waiting.length <= 1) void readAnew(client);
        },
        onRefused: () => void readAnew(client),
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
