import {
  CHECK_DEFAULTS,
  layChanges,
  MODEL_DEFAULTS,
  NO_ROWS,
  READING_DEFAULTS,
  RESULT_DEFAULTS,
} from '@leggero/contract';
import type {
  BagRecord,
  ChainRecord,
  Changes,
  EventRecord,
  FinishedGarland,
  StackRecord,
  FixingRecord,
  EyeCheckRecord,
  LossRecord,
  TurnRecord,
  OwnStep,
  SiteTick,
  TallyRecord,
  InflationRecord,
  InflationBatch,
  ModelDetail,
  NounName,
  PersonRecord,
  PieceRecord,
  PumpRecord,
  ReadingRecord,
  RowOf,
  Session,
  StockEntryRecord,
  SizerRecord,
  Studio,
  StudyRecord,
  TierRecord,
  Write,
} from '@leggero/contract';
import { STANDARD_TIERS, type Outcome } from '@leggero/core';
import { act, render } from '@testing-library/react';
import type { ReactElement } from 'react';

import { KnowledgeProvider } from '@/data/knowledge';
import { createQueryClient, RecordsProvider } from '@/data/records';
import { NOTHING_YET, useRecords } from '@/data/state';
import { TradeProvider } from '@/data/tradeProvider';

import { visited } from './router';

const inch = (inches: number) => inches * 25.4;

/** What the server holds in a test. */
export interface Records {
  studio: Studio;
  tiers: TierRecord[];
  pumps: PumpRecord[];
  sizers: SizerRecord[];
  models: ModelDetail[];
  people: PersonRecord[];
  session: Session;
  studies: StudyRecord[];
  eyeChecks: EyeCheckRecord[];
  turnHands?: RowOf<'turnHands'>[];
  stacks: StackRecord[];
  finished: FinishedGarland[];
  fixings: FixingRecord[];
  events: EventRecord[];
  bags?: BagRecord[];
  stockEntries?: StockEntryRecord[];
  losses?: LossRecord[];
  inflations?: InflationRecord[];
  inflationBatches?: InflationBatch[];
  turns?: TurnRecord[];
  tallies?: TallyRecord[];
  ownSteps?: OwnStep[];
  siteTicks?: SiteTick[];
  /** What the server says of what is on no device, by method and address. */
  answers?: (asked: string) => { status?: number; body: unknown } | undefined;
  /** Of nouns that few pages know. */
  more?: { [N in NounName]?: RowOf<N>[] };
  pieces: PieceRecord[];
  chains: ChainRecord[];
  constants: RowOf<'constant'>[];
}

const READINGS: [dose: number, widthInches: number, heightInches: number][] = [
  [1, 5, 5],
  [2, 6.25, 6.25],
  [4, 7.875, 7.9],
  [6, 9, 9.1],
  [7, 9.5, 9.75],
  [8, 9.875, 10.3],
  [9, 10.25, 11.4],
];

function reading(
  index: number,
  [dose, width, height]: (typeof READINGS)[number],
  outcome: Outcome = 'ok',
): ReadingRecord {
  return {
    id: `00000000-0000-4000-8000-00000000010${index}`,
    calibrationId: CALIBRATION_ID,
    dose,
    widthMm: inch(width),
    heightMm: inch(height),
    ...READING_DEFAULTS,
    balloon: index + 1,
    sdMm: null,
    shape: null,
    outcome,
    takenAt: `2026-11-16T17:0${index}:00.000Z`,
  };
}

export const MODEL_ID = '00000000-0000-4000-8000-000000000001';
export const FRESH_ID = '00000000-0000-4000-8000-000000000002';
export const CHECK_ID = '00000000-0000-4000-8000-000000000003';
const CALIBRATION_ID = '00000000-0000-4000-8000-000000000004';
export const PUMP_ID = '00000000-0000-4000-8000-000000000005';
export const SIZER_ID = '00000000-0000-4000-8000-000000000006';
export const OWNER_ID = '00000000-0000-4000-8000-000000000007';
export const CREW_ID = '00000000-0000-4000-8000-000000000008';

const fresh: ModelDetail = {
  id: FRESH_ID,
  line: 'Tarn Satin',
  kind: 'round',
  nominalMm: inch(11),
  finish: 'pearl',
  colourName: 'tide blue',
  colourHex: '#3d6fa6',
  ...MODEL_DEFAULTS,
  demo: false,
  calibrations: [],
  holdTests: [],
  uses: 0,
  targets: [],
  checks: [],
};

/** A studio with one balloon calibrated, one fresh, a pump, a sizer and a batch at its third balloon. */
export function someRecords(): Records {
  return {
    studio: {
      id: '00000000-0000-4000-8000-000000000009',
      name: 'Saltmarsh',
      unit: 'in',
      stepMm: inch(1 / 8),
      daysStanding: 1,
      workroomTempC: 21,
      workroomAltitudeM: 0,
      currency: 'EUR',
    },
    tiers: STANDARD_TIERS.map((tier, position) => ({
      ...tier,
      id: `00000000-0000-4000-8000-00000000020${position}`,
      position,
    })),
    pumps: [{ id: PUMP_ID, name: 'Barge', kind: 'hand', doseVolumeL: 1.1, mostKPa: null, demo: false }],
    sizers: [
      {
        id: SIZER_ID,
        name: 'Plate',
        keeper: '',
        sizings: [],
        demo: false,
        holes: [9, 10, 11].map((size) => ({
          id: `00000000-0000-4000-8000-00000000030${size - 9}`,
          label: String(size),
          widthMm: inch(size),
          measurements: [],
        })),
      },
    ],
    models: [
      {
        ...fresh,
        id: MODEL_ID,
        line: 'Fennimore Standard',
        finish: 'matte',
        colourName: 'kelp green',
        colourHex: '#3f7a4a',
        calibrations: [
          {
            id: CALIBRATION_ID,
            modelId: MODEL_ID,
            pumpId: PUMP_ID,
            preStretched: false,
            roundedOff: false,
            bagId: null,
            startedAt: '2026-11-16T17:00:00.000Z',
            demo: false,
            readings: READINGS.map((values, i) => reading(i, values)),
          },
        ],
        checks: [
          {
            id: CHECK_ID,
            modelId: MODEL_ID,
            tierName: 'Classic',
            targetMm: inch(9.5),
            toleranceMm: inch(0.25),
            size: 4,
            ...CHECK_DEFAULTS,
            startedAt: '2026-11-17T09:00:00.000Z',
            demo: false,
            results: (['passes', 'falls'] as const).map((answer, position) => ({
              id: `00000000-0000-4000-8000-00000000040${position}`,
              checkId: CHECK_ID,
              position,
              answer,
              widthMm: null,
              ...RESULT_DEFAULTS,
              takenAt: `2026-11-17T09:0${position}:00.000Z`,
            })),
          },
        ],
      },
      fresh,
    ],
    people: [
      { id: OWNER_ID, name: 'Maren', owner: true, hasPin: false, demo: false },
      { id: CREW_ID, name: 'Jory', owner: false, hasPin: true, demo: false },
    ],
    session: { personId: null },
    studies: [],
    eyeChecks: [],
    stacks: [],
    finished: [],
    fixings: [],
    events: [],
    pieces: [],
    chains: [],
    constants: [],
  };
}

export const answer = (status: number, body: unknown) =>
  ({ ok: status < 400, status, json: async () => body }) as Response;

/** The records as the change feed tells of them. */
export function feedOf(records: Records): Changes {
  const {
    studio,
    tiers,
    pumps,
    sizers,
    models,
    people,
    studies,
    stacks,
    finished,
    fixings,
    bags = [],
    stockEntries = [],
    losses = [],
    inflations = [],
    inflationBatches = [],
    turns = [],
    tallies = [],
    ownSteps = [],
    siteTicks = [],
    more = {},
    events,
    pieces,
    chains,
    constants,
  } = records;
  const calibrations = models.flatMap((model) => model.calibrations);
  const holdTests = models.flatMap((model) => model.holdTests);
  const checks = new Map([...models, ...pieces].flatMap((owner) => owner.checks).map((check) => [check.id, check]));
  const rows: { [N in NounName]?: unknown[] } = {
    studio: [studio],
    tier: tiers,
    pump: pumps,
    person: people,
    sizer: sizers.map(({ holes: _, sizings: __, ...sizer }) => sizer),
    hole: sizers.flatMap(({ id: sizerId, holes }) =>
      holes.map(({ measurements: _, ...hole }) => ({ ...hole, sizerId })),
    ),
    holeMeasurement: sizers.flatMap(({ holes }) => holes.flatMap(({ measurements }) => measurements)),
    sizing: sizers.flatMap(({ sizings }) => sizings),
    model: models.map(({ calibrations: _, holdTests: __, uses: ___, targets: ____, checks: _____, ...model }) => model),
    calibration: calibrations.map(({ readings: _, ...calibration }) => calibration),
    reading: calibrations.flatMap(({ readings }) => readings),
    holdTest: holdTests.map(({ readings: _, ...test }) => test),
    holdReading: holdTests.flatMap(({ readings }) => readings),
    target: models.flatMap(({ targets }) => targets),
    chain: chains,
    constant: constants,
    stack: stacks,
    finishedGarland: finished,
    fixing: fixings,
    bag: bags,
    stockEntry: stockEntries,
    loss: losses,
    inflation: inflations,
    inflationBatch: inflationBatches,
    turn: turns,
    tally: tallies,
    ownStep: ownSteps,
    siteTick: siteTicks,
    event: events,
    piece: pieces.map(({ checks: _, ...piece }) => piece),
    check: [...checks.values()].map(({ results: _, ...check }) => check),
    checkResult: [...checks.values()].flatMap(({ results }) => results),
    study: studies.map(({ people: _, widths: __, ...study }) => study),
    studyPerson: studies.flatMap(({ id: studyId, people: names }) =>
      names.map((name, position) => ({ id: `${studyId.slice(0, -2)}9${position}`, studyId, position, name })),
    ),
    studyWidth: studies.flatMap(({ widths }) => widths),
    ...more,
  };
  return { cursor: 'c', revision: 1, more: false, anew: false, rows: rows as Changes['rows'], gone: {} };
}

/** Answers reads from the records; writes are left to wait in the outbox, where tests look at them. */
export function serve(records: Records): void {
  globalThis.fetch = (async (url: unknown, init?: RequestInit) => {
    const path = String(url).replace('/api/', '');
    const own = records.answers?.(`${init?.method} ${String(url)}`);
    if (own) return answer(own.status ?? 200, own.body);
    if (path.endsWith('/eye-checks')) return answer(200, records.eyeChecks);
    const eyeCheck = records.eyeChecks.find(({ id }) => path === `eye-checks/${id}`);
    if (eyeCheck) return answer(200, eyeCheck);
    if (path.endsWith('/turn-hands'))
      return answer(200, records.turnHands?.filter(({ personId }) => path.includes(personId)) ?? []);
    if (path === 'session') return answer(200, records.session);
    return answer(404, { type: 'about:blank', title: 'nothing', status: 404 });
  }) as typeof fetch;
}

/** Renders a page over the records, with an empty outbox. */
export function show(page: ReactElement, records: Records = someRecords()) {
  visited.length = 0;
  serve(records);
  act(() => {
    const base = layChanges(NO_ROWS, feedOf(records));
    useRecords.setState({ ...NOTHING_YET, base, rows: base, filled: true, fresh: true, unkept: 'missing' });
  });
  return render(
    <RecordsProvider client={createQueryClient()}>
      <TradeProvider>
        <KnowledgeProvider>{page}</KnowledgeProvider>
      </TradeProvider>
    </RecordsProvider>,
  );
}

/** What the user has done so far: every write, oldest first. */
export function done() {
  return useRecords.getState().waiting.flatMap(({ writes }) => writes) as Write[];
}

/** The same by what was done to which noun: "put reading". */
export function namesDone() {
  return done().map((write) => Object.entries(write)[0]!.join(' '));
}

/** The last of them. */
export function lastDone() {
  return done().at(-1);
}
