import type {
  CheckRecord,
  CheckResultRecord,
  InflationBatch,
  InflationRecord,
  Rows,
  TallyRecord,
  TurnRecord,
} from '@leggero/contract';
import { coreCheckResult } from '@leggero/contract';
import { judgeBatch, TALLIES, type BatchJudgement, type Trade } from '@leggero/core';
import {
  checkDue,
  checkEvery,
  learnPace,
  paceOf,
  pauseFromMs,
  progressOf,
  sinceCheckOf,
  timeLeftS,
  type CheckDue,
  type Pace,
  type Progress,
} from '@leggero/core/inflation';
import { samplingPlan } from '@leggero/core/samplingPlan';
import { weakMapMemoize } from 'reselect';

import { madeIn } from './runPaces';
import { batchesOf, runsOf, talliesOf, TAPPED_NOUNS, turnsOf } from './runs';

export const INFLATION_NOUNS = ['inflation', ...TAPPED_NOUNS] as const;
type InflationRows = Pick<Rows, (typeof INFLATION_NOUNS)[number]>;

/** A turn with its taps, in the order they were made. */
export interface ShownTurn extends TurnRecord {
  tallies: readonly TallyRecord[];
}

/** A batch of a run with all that was tapped for it, at whatever station. */
export interface ShownBatch extends InflationBatch {
  /** Newest first. */
  turns: ShownTurn[];
}

/** An inflation run in full. */
export interface ShownRun extends InflationRecord {
  batches: ShownBatch[];
  progress: Progress;
}

/** The inflation runs of an event, newest first. */
export const inflationsOf = weakMapMemoize((rows: InflationRows, eventId: string): ShownRun[] => {
  const [batches, turns, tallies] = [batchesOf(rows.inflationBatch), turnsOf(rows.turn), talliesOf(rows.tally)];
  return runsOf(rows.inflation)
    .of(eventId)
    .map((run) => {
      const shown = batches.of(run.id).map((batch): ShownBatch => {
        const own = turns.of(batch.id).map((turn): ShownTurn => ({ ...turn, tallies: tallies.of(turn.id) }));
        return { ...batch, turns: own };
      });
      return { ...run, batches: shown, progress: progressOfBatches(shown) };
    });
});

/** What the taps of one turn come to, added up once for the same taps. */
const sumsOf = weakMapMemoize((tallies: readonly TallyRecord[]) =>
  TALLIES.map((what) => {
    return { what, count: tallies.reduce((sum, tally) => sum + (tally.what === what ? tally.count : 0), 0) };
  }),
);

function progressOfBatches(batches: readonly ShownBatch[]): Progress {
  return progressOf({
    batches: batches.map(({ id: key, count }) => ({ key, count })),
    tallies: batches.flatMap(({ id: batch, turns }) =>
      turns.flatMap(({ tallies }) => sumsOf(tallies).map((sum) => ({ batch, ...sum }))),
    ),
  });
}

/** Turns of a station over all batches of a run. */
const turnsAt = (batches: readonly ShownBatch[], station: string): ShownTurn[] =>
  batches.flatMap(({ turns }) => turns.filter((turn) => turn.station === station));

/** The stations of a run, in the order they began. */
export function stationsOf({ batches }: Pick<ShownRun, 'batches'>): string[] {
  const turns = batches.flatMap((batch) => batch.turns);
  const inTime = [...turns].sort((a, b) => (a.startedAt < b.startedAt ? -1 : 1));
  return [...new Set(inTime.map(({ station }) => station))];
}

/** The pace of each station of a run that has one. */
export function pacesOf(run: Pick<ShownRun, 'batches'>, usualS: number): (Pace & { station: string })[] {
  return stationsOf(run).flatMap((station) => {
    const pace = paceOf({ made: madeIn(turnsAt(run.batches, station)), usualS });
    return pace ? [{ ...pace, station }] : [];
  });
}

/** Whoever tapped in the last half hour works; so does who looks at the page. */
const AT_WORK_MS = 1_800_000;

/** Seconds until all is made by the stations that are at work now, each at its own pace. */
export function secondsLeft(
  run: ShownRun,
  { station, usualS, now }: { station: string; usualS: number; now: number },
): number | null {
  const paces = [...new Set([...stationsOf(run), station])].flatMap((each) => {
    const made = madeIn(turnsAt(run.batches, each));
    const last = made.at(-1);
    if (each !== station && !(last && now - last.atMs < AT_WORK_MS)) return [];
    const pace = paceOf({ made, usualS });
    return learnPace({ usualS, seen: pace ? [pace] : [] });
  });
  return timeLeftS({ left: run.progress.left, paces });
}

/** How many of the last results say whether a station leans. */
const LAST_RESULTS = 8;
/** Fewer say nothing of it. */
const FEWEST_RESULTS = 3;
/** Leaning so far, as a share of the tolerance, is looked at more closely. */
const LEANS = 0.25;

/** Whether a station is to check a size, and what its last checks came to. */
export interface StationChecks {
  due: CheckDue;
  /** Of the last results of its present turn; null with fewer than three. */
  lately: BatchJudgement | null;
  /** The check that those results are of. */
  checkId: string | null;
}

/** Strokes or seconds that a station gives for a batch: as it changed them last, or as the batch has them. */
export function doseAt({ turns, dose }: ShownBatch, station: string): number | null {
  return turns.find((turn) => turn.station === station)?.dose ?? dose;
}

/** What the checks of a station say of a batch that it makes. */
export function stationChecks({
  batch,
  station,
  checksOf,
  trade,
}: {
  batch: ShownBatch;
  station: string;
  /** The checks of a turn. */
  checksOf: (turnId: string) => readonly CheckRecord[];
  trade: Trade;
}): StationChecks {
  const own = batch.turns.filter((turn) => turn.station === station);
  const inTime = (results: readonly CheckResultRecord[]) =>
    [...results].sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1));
  const [present = [], ...before] = own.map(({ id }) => checksOf(id).flatMap(({ results }) => results));
  // With another bag, other hands or another dose it begins anew: what was put right is not put right once more.
  const last = inTime(present).slice(-LAST_RESULTS);
  const results = [...present, ...before.flat()];
  const { fillMm: targetMm, toleranceMm, count } = batch;
  const judged =
    last.length < FEWEST_RESULTS ? null : judgeBatch({ targetMm, toleranceMm, results: last.map(coreCheckResult) });
  const lately = judged?.ok ? judged.value : null;
  const leaning = lately !== null && lately.meanMm !== null && Math.abs(lately.meanMm - targetMm) > LEANS * toleranceMm;
  const made = madeIn(own);
  const plan = samplingPlan({ lotSize: Math.max(2, count) });
  const due = checkDue({
    since: sinceCheckOf({
      ...{ made, leaning, checkedAtMs: results.map(({ takenAt }) => Date.parse(takenAt)) },
      turnAtMs: own[0] ? Date.parse(own[0].startedAt) : 0,
      pauseMs: pauseFromMs({ made, usualS: trade.paceS.sized }),
    }),
    every: checkEvery({ lot: count, checks: plan.ok ? plan.value.sampleSize : 1 }),
  });
  return { due, lately, checkId: last.at(-1)?.checkId ?? null };
}

/** The batch that a station goes on with: the one it is at, or the first that is not through and no other is at. */
export function nextBatch(run: ShownRun, { station, now }: { station: string; now: number }): ShownBatch | undefined {
  const left = new Map(run.progress.batches.map((each) => [each.batch, each.left]));
  const open = run.batches.filter(({ id }) => left.get(id)! > 0);
  const isAt = ({ turns }: ShownBatch, own: boolean) =>
    turns.some((turn) => (turn.station === station) === own && now - lastTap(turn) < AT_WORK_MS);
  return open.find((batch) => isAt(batch, true)) ?? open.find((batch) => !isAt(batch, false)) ?? open[0];
}

/** When a turn was last tapped in, ms since 1970. */
const lastTap = ({ startedAt, tallies }: ShownTurn): number => Date.parse(tallies.at(-1)?.at ?? startedAt);

/** When a run was last tapped in: when it began, where it never was. */
export function lastTapOf({ batches, startedAt }: Pick<ShownRun, 'batches' | 'startedAt'>): string {
  const turns = batches.flatMap((batch) => batch.turns);
  return turns.reduce((latest, turn) => {
    const at = turn.tallies.at(-1)?.at ?? turn.startedAt;
    return at > latest ? at : latest;
  }, startedAt);
}
