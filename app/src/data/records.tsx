import type {
  ChainRecord,
  EventRecord,
  FixingRecord,
  CheckRecord,
  EyeCheckRecord,
  ModelDetail,
  ModelRecord,
  NounName,
  PersonRecord,
  PieceRecord,
  PumpRecord,
  RowOf,
  Rows,
  Session,
  ShelfModel,
  SizerRecord,
  Studio,
  StudyRecord,
  TierRecord,
  TurnHands,
} from '@leggero/contract';
import { APP_ROUTES, layWrites, NO_ROWS, NOUN_NAMES } from '@leggero/contract';
import { tradeWith, type Trade } from '@leggero/core';
import {
  QueryClient,
  QueryClientProvider,
  useQueries,
  useQuery,
  useQueryClient,
  type UseQueryResult,
} from '@tanstack/react-query';
import { useEffect, useMemo, type ReactNode } from 'react';
import { weakMapMemoize } from 'reselect';

import { painted } from '@/device/painted';
import { CHECK_NOUNS, checksOf, PIECE_NOUNS, pieceOf, piecesOf, STUDY_NOUNS, studiesOf } from '@/views/checks';
import { eyeChecksOf, rowsOfEyeChecks } from '@/views/eyes';
import { SIZER_NOUNS, sizersOf } from '@/views/gauges';
import { correctedCalibrations, holesById } from '@/views/holes';
import { dresserOf } from '@/views/pairs';
import { groupsOf, listed, listOf } from '@/views/rows';
import { DETAIL_NOUNS, detailOf, SHELF_NOUNS, shelfOf } from '@/views/shelf';

import { isShownAtOnce } from './atOnce';
import { ApiError, call } from './client';
import { deliver, pullSoon } from './delivery';
import { LackingProvider, useLacking } from './lacking';
import { onPrivate } from './replica';
import { rowsOf, useRecords, type RecordsState } from './state';
import { useTrade } from './trade';

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

const rowsKey = (noun: NounName) => ['rows', noun] as const;
/** What the change feed never tells of. */
const PRIVATE = 'private';
const KEYS = {
  session: ['session'],
  eyeChecks: (personId: string) => [PRIVATE, 'of', personId],
  eyeCheck: (id: string) => [PRIVATE, id],
  turnHands: (personId: string) => [PRIVATE, 'hands of', personId],
} as const;

/** Gives pages the records: a query for each noun, renewed only for those that a change concerns. */
export function RecordsProvider({ client, children }: { client: QueryClient; children: ReactNode }) {
  useEffect(() => {
    onPrivate(async () => {
      const late = new Promise((resolve) => setTimeout(resolve, LONGEST_PAUSE_MS));
      // What is asked for the first time would only be waited for, though it may have been read before this change.
      await client.cancelQueries({ queryKey: [PRIVATE] });
      await Promise.race([client.invalidateQueries({ queryKey: [PRIVATE] }), late]);
    });
    return renewing(client);
  }, [client]);
  return (
    <QueryClientProvider client={client}>
      <LackingProvider>{children}</LackingProvider>
    </QueryClientProvider>
  );
}

/**
 * Renews the queries of the nouns that change: at once, or after the frame that shows some of it already. Answers how it
 * ends.
 */
function renewing(client: QueryClient): () => void {
  let told = useRecords.getState();
  let late = false;
  const isNews = ({ rows, filled, lacking }: RecordsState) =>
    filled && (rows !== told.rows || lacking !== told.lacking);
  const renew = () => {
    const before = told;
    told = useRecords.getState();
    const { rows, lacking } = told;
    for (const noun of NOUN_NAMES) {
      const isNew = rows[noun] !== before.rows[noun] || before.lacking.includes(noun);
      if (isNew && !lacking.includes(noun)) client.setQueryData(rowsKey(noun), rows[noun]);
    }
  };
  return useRecords.subscribe((state) => {
    if (late || !isNews(state)) return;
    if (!isShownAtOnce()) return renew();
    late = true;
    void painted().then(() => {
      late = false;
      if (isNews(useRecords.getState())) renew();
    });
  });
}

const asked = <N extends NounName>(nouns: readonly N[]) => ({
  queries: nouns.map((noun) => ({
    queryKey: rowsKey(noun),
    queryFn: () => rowsOf(noun),
    staleTime: Infinity,
    gcTime: Infinity,
    structuralSharing: false as const,
  })),
  combine: (results: readonly { data: unknown }[]) =>
    results.every(({ data }) => data !== undefined)
      ? (Object.fromEntries(nouns.map((noun, i) => [noun, results[i]!.data])) as unknown as Pick<Rows, N>)
      : undefined,
});
/** What is asked for the rows of some nouns: the very same each time, so that a tap puts nothing together anew. */
const askedFor = weakMapMemoize(asked) as typeof asked;

/** The rows of some nouns, by noun; undefined until they have come. */
function useRows<N extends NounName>(nouns: readonly N[]): Pick<Rows, N> | undefined {
  const rows = useQueries(askedFor(nouns));
  const lacking = useLacking();
  return lacking === null || nouns.some((noun) => lacking.includes(noun)) ? undefined : rows;
}

/** A page's view of some records. */
export interface Records<Data> {
  /** Undefined until they have come. */
  data: Data | undefined;
  /** They will not come: what the server said. */
  error: ApiError | null;
  refetch: () => void;
}

/** Some rows as a page wants them. */
export function useView<N extends NounName, Data>(
  nouns: readonly N[],
  view: (rows: Pick<Rows, N>) => Data,
): Records<Data> {
  const rows = useRows(nouns);
  const error = useRecords((state) => state.error);
  // By hand in this file: records that did not change must stay the very same, for what is worked out from them is kept
  // by who they are.
  const data = useMemo(() => rows && view(rows), [rows, view]);
  return { data, error, refetch: pullSoon };
}

/** Rows as they are: for views that want something else beside them. */
export const asTheyAre = <Given,>(rows: Given): Given => rows;

const NOT_THERE = new ApiError(404);

/**
 * One of some records: not there once all have come, nothing is on its way, and it is not among them. Where none is
 * `wanted`, none is missing.
 */
function useOne<Data>(found: Records<unknown>, data: Data | undefined, wanted = true): Records<Data> {
  const missing = wanted && found.data !== undefined && data === undefined;
  const gone = useRecords(({ fresh, struggling, entering }) => missing && (fresh || struggling) && entering === 0);
  return { data, error: gone ? NOT_THERE : found.error, refetch: found.refetch };
}

/** One noun, in its order. */
export const inOrder = <N extends NounName>(noun: N) => {
  const list = listOf(noun);
  return (rows: Pick<Rows, N>) => list(rows[noun]) as Rows[N] extends ReadonlyMap<string, infer Row> ? Row[] : never;
};
const tiersOf = inOrder('tier');
const pumpsOf = inOrder('pump');
const peopleOf = inOrder('person');
const chainsOf = inOrder('chain');
const modelsOf = inOrder('model');
const eventsOf = inOrder('event');
const constantsOf = inOrder('constant');
const tradeOf = weakMapMemoize((rows: Rows['constant']): Trade => tradeWith(constantsOf({ constant: rows })));
const studioOf = ({ studio }: Pick<Rows, 'studio'>): Studio => [...studio.values()][0]!;
const ONLY = {
  fixing: ['fixing'],
  event: ['event'],
  studio: ['studio'],
  tier: ['tier'],
  pump: ['pump'],
  person: ['person'],
  constant: ['constant'],
  chain: ['chain'],
  model: ['model'],
  note: ['note'],
} as const;

export function useStudio(): Records<Studio> {
  return useView(ONLY.studio, studioOf);
}

export function useTiers(): Records<TierRecord[]> {
  return useView(ONLY.tier, tiersOf);
}

export function usePumps(): Records<PumpRecord[]> {
  return useView(ONLY.pump, pumpsOf);
}

export function useSizers(): Records<SizerRecord[]> {
  return useView(SIZER_NOUNS, sizersOf);
}

export function usePeople(): Records<PersonRecord[]> {
  return useView(ONLY.person, peopleOf);
}

export function useStudies(): Records<StudyRecord[]> {
  return useView(STUDY_NOUNS, studiesOf);
}

/** Events, newest first. */
export function useEvents(): Records<EventRecord[]> {
  return useView(ONLY.event, eventsOf);
}

/** Pieces of every event and sketches, newest first, each with its checks. */
export function usePieces(): Records<PieceRecord[]> {
  return useView(PIECE_NOUNS, piecesOf);
}

/** One piece with its checks; of no piece there is none. */
export function usePiece(id: string | null): Records<PieceRecord> {
  const rows = useView(PIECE_NOUNS, asTheyAre);
  const piece = useMemo(() => (rows.data && id !== null ? pieceOf(rows.data, id) : undefined), [rows.data, id]);
  return useOne(rows, piece, id !== null);
}

/** Every check of a batch, newest first. */
export function useChecks(): Records<CheckRecord[]> {
  return useView(CHECK_NOUNS, checksOf);
}

/** The numbers of the trade that the studio has otherwise. */
export function useConstants(): Records<RowOf<'constant'>[]> {
  return useView(ONLY.constant, constantsOf);
}

/** The trade's numbers as the studio has them. */
export function useOwnTrade(): Records<Trade> {
  return useView(ONLY.constant, ownTrade);
}
const ownTrade = ({ constant }: Pick<Rows, 'constant'>): Trade => tradeOf(constant);

/** Chains that were laid out and measured. */
export function useChains(): Records<ChainRecord[]> {
  return useView(ONLY.chain, chainsOf);
}

/** Every balloon by line and size, without what is known of it: there sooner than the shelf. */
export function useModels(): Records<ModelRecord[]> {
  return useView(ONLY.model, modelsOf);
}

const notesByModel = groupsOf('note', 'modelId');

/** What was written of a balloon, newest first. */
export function useNotes(modelId: string): readonly RowOf<'note'>[] {
  const rows = useRows(ONLY.note);
  return rows ? notesByModel(rows.note).of(modelId) : [];
}

const fixingsByPiece = groupsOf('fixing', 'pieceId');

/** The targets that pieces keep, newest first: of one piece, or by piece. */
export function useFixings(): ((pieceId: string) => readonly FixingRecord[]) | undefined {
  const rows = useRows(ONLY.fixing);
  return rows && ((pieceId) => fixingsByPiece(rows.fixing).of(pieceId));
}

export function useShelf(): Records<ShelfModel[]> {
  const found = useView(SHELF_NOUNS, shelfOf);
  const holes = useMeasuredHoles();
  const trade = useTrade();
  const data = found.data && dressed(found.data, holes, trade);
  return { ...found, data };
}

type Holes = ReturnType<typeof holesById>;

/** A shelf as it is shown: corrected, and in its colours; once for all pages. */
const dressed = weakMapMemoize((models: ShelfModel[], holes: Holes | null, trade: Trade) =>
  listed(...models.map((model) => (holes ? corrected(model, holes) : model)).map(dresserOf(models, trade))),
);

/** The holes by id once some of them are measured; null before, when nothing is to be corrected. */
function useMeasuredHoles(): Holes | null {
  const sizers = useSizers().data;
  return sizers ? measuredHoles(sizers) : null;
}
const measuredHoles = weakMapMemoize((sizers: SizerRecord[]): Holes | null => {
  const measured = sizers.some(({ holes }) => holes.some(({ measurements }) => measurements.length > 0));
  return measured ? holesById(sizers) : null;
});

/** A model with its readings through measured holes corrected; the very same where there are none. */
function corrected<Model extends ShelfModel>(model: Model, holes: Holes): Model {
  const calibrations = correctedCalibrations(model.calibrations, holes);
  return calibrations.every((each, i) => each === model.calibrations[i]) ? model : { ...model, calibrations };
}

/** One model; also one that only waits in the outbox so far. */
export function useModel(id: string): Records<ModelDetail> {
  const rows = useView(DETAIL_NOUNS, asTheyAre);
  const holes = useMeasuredHoles();
  const shelf = useShelf().data;
  const trade = useTrade();
  const shown = useMemo(() => {
    const model = rows.data && detailOf(rows.data, id);
    const known = model && holes ? corrected(model, holes) : model;
    return known && shelf ? dresserOf(shelf, trade)(known) : known;
  }, [rows.data, id, holes, shelf, trade]);
  return useOne(rows, shown);
}

/** Whose private pages are open on this device; only as far as that is `known` already, the server is not asked. */
export function useSession({ known = false } = {}): Records<Session> {
  const query = useQuery({
    queryKey: KEYS.session,
    queryFn: ({ signal }) => call(APP_ROUTES.readSession, { signal }),
    enabled: !known,
  });
  return recordsOf(query, query.data);
}

function recordsOf<Data>(query: UseQueryResult<unknown>, data: Data | undefined): Records<Data> {
  return {
    data,
    error: query.error instanceof ApiError ? query.error : null,
    refetch: () => void query.refetch(),
  };
}

/** Opens or closes private pages; what they showed before is forgotten. */
export function useSetSession() {
  const client = useQueryClient();
  /** Whoever looks now must be shown nothing that another's session fetched. */
  const forget = () => client.resetQueries({ queryKey: [PRIVATE] });
  return {
    /** Rejects with an `ApiError` when the PIN is wrong or the server is away. */
    open: async (personId: string, pin?: string) => {
      const session = await call(APP_ROUTES.openSession, { body: { personId, ...(pin ? { pin } : {}) } });
      client.setQueryData([...KEYS.session], session);
      await forget();
    },
    close: async () => {
      await call(APP_ROUTES.closeSession);
      client.setQueryData<Session>([...KEYS.session], { personId: null });
      await forget();
    },
    setPin: async (personId: string, pin: string | null) => {
      await call(APP_ROUTES.setPin, { id: personId, body: { pin } });
      pullSoon();
    },
  };
}

/** What the server told of sessions by eye, with what waits laid over it. */
function useEyes(told: readonly EyeCheckRecord[] | undefined) {
  const kept = useRows(EYE_NOUNS);
  const waiting = useRecords((state) => state.waiting);
  return useMemo(() => {
    if (!kept || !told) return undefined;
    const laid = layWrites(
      { ...NO_ROWS, ...kept, ...rowsOfEyeChecks(told) },
      waiting.flatMap(({ writes }) => writes),
    );
    return eyeChecksOf(laid);
  }, [kept, told, waiting]);
}
const EYE_NOUNS = ['person', 'model'] as const;

/** Someone's sessions by eye, asked for once the session on this device may see them. */
export function useEyeChecks(personId: string, open: boolean): Records<EyeCheckRecord[]> {
  const query = useQuery({
    queryKey: KEYS.eyeChecks(personId),
    queryFn: ({ signal }) => call(APP_ROUTES.listEyeChecks, { id: personId, signal }),
    enabled: open,
  });
  const all = useEyes(query.data);
  const own = useMemo(
    () => all?.filter((check) => check.personId === personId || check.secondPersonId === personId),
    [all, personId],
  );
  return recordsOf(query, own);
}

/** One session by eye; also one that only waits in the outbox so far. */
export function useEyeCheck(id: string): Records<EyeCheckRecord> {
  const query = useQuery({
    queryKey: KEYS.eyeCheck(id),
    queryFn: ({ signal }) => call(APP_ROUTES.readEyeCheck, { id, signal }),
  });
  const told = useMemo(() => (query.data ? [query.data] : []), [query.data]);
  const all = useEyes(told);
  const check = useMemo(() => all?.find((each) => each.id === id), [all, id]);
  return recordsOf(query, check);
}

/**
 * Whose hands turns at stations were, by the turn: of people whose turns the session on this device may see. Undefined
 * until the server has told.
 */
export function useTurnHands(personIds: readonly string[]): ReadonlyMap<string, string> | undefined {
  return useQueries({
    queries: personIds.map((id) => ({
      queryKey: KEYS.turnHands(id),
      queryFn: ({ signal }: { signal: AbortSignal }) => call(APP_ROUTES.listTurnHands, { id, signal }),
    })),
    combine: handsByTurn,
  });
}

function handsByTurn(told: readonly { data: TurnHands[] | undefined }[]): ReadonlyMap<string, string> | undefined {
  if (told.some(({ data }) => data === undefined)) return undefined;
  return new Map(told.flatMap(({ data }) => data!.map(({ turnId, personId }) => [turnId, personId])));
}

/** Keeps the outbox moving and the records fresh while the app is open. */
export function useDelivery(): void {
  useEffect(deliver, []);
}
