import type { CheckRecord, TallyRecord, TurnRecord, Write } from '@leggero/contract';
import type { HoleAnswer, Tallied } from '@leggero/core';
import { useMemo, useRef } from 'react';

import { write } from '@/data/outbox';
import { newId, nowUtc } from '@/device/id';
import { useStanding } from '@/parts/useStanding';
import { useLatest } from '@/ui/useLatest';
import type { ShownBatch } from '@/views/inflation';

/** Who works, and how. */
export interface AtStation {
  station: string;
  /** Two at once from two nozzles: one tap is for both. */
  atOnce: 1 | 2;
  /** Which bags the balloons are from; null where that is not kept apart. */
  bagId: string | null;
}

/** What is tapped into: a batch at a station, the checks of its turns, and the hole that they are held to. */
interface TappedInto {
  batch: ShownBatch;
  at: AtStation;
  /** Whose hands they are; null where nobody says. */
  hands: string | null;
  /** When whoever works here said so; turns of before are another's. */
  since: string;
  checksOf: (turnId: string) => readonly CheckRecord[];
  hole: { id: string; widthMm: number } | null;
}

/** What a balloon did at the hole, or its width, mm. */
export type SizeSeen = HoleAnswer | number;

export interface Taps {
  /** What was tapped here, and the taps of this station at this batch that are shown by now. */
  done: ReturnType<typeof useStanding<TallyRecord>>['done'];
  tallies: readonly TallyRecord[];
  tap: (what: Tallied) => void;
  /** Takes back the last tap; checks stay. */
  undo: () => void;
  /** What a balloon did at the hole, or its width. */
  size: (seen: SizeSeen) => void;
  /** Another dose is given from here on. */
  changeDose: (dose: number) => void;
}

/** A check that goes on, with how many results it has. */
interface BegunCheck {
  id: string;
  turnId: string | null;
  taken: number;
  size: number;
}

interface Begun {
  turn: TurnRecord | null;
  check: BegunCheck | null;
}

/** Keeps what a tap did as soon as that is on its way to the screen; in the order of the taps. */
const soon = (...writes: readonly Write[]) => void setTimeout(() => write(...writes), 0);

/** A check has room for so many. */
const MOST_IN_CHECK = 1000;

/** Keeps the taps of a station at a batch in a turn of its own, with the sizes that are checked meanwhile. */
export function useTaps(into: TappedInto): Taps {
  const { batch, at } = into;
  const turns = batch.turns.filter(({ station }) => station === at.station);
  const tallies = turns.flatMap((turn) => turn.tallies);
  const { done, standing, ownLast, send, takeBack } = useStanding(tallies);
  const present = useLatest({ ...into, turns });
  /** What was begun here, which may not be shown yet. */
  const mine = useRef<Begun>({ turn: null, check: null });
  const taps = useMemo(() => {
    const begin = (batchId: string, how: AtStation, dose: number | null): { turn: TurnRecord; first: Write[] } => {
      const turn = { id: newId(), batchId, ...how, dose, startedAt: nowUtc() };
      mine.current.turn = turn;
      const { hands: personId } = present.current;
      const first: Write[] = [{ put: 'turn', row: turn }];
      if (personId !== null) first.push({ put: 'turnHands', row: { id: newId(), turnId: turn.id, personId } });
      return { turn, first };
    };
    /** The turn that goes on, or another with what begins it. */
    const turnNow = (): { turn: TurnRecord; first: Write[] } => {
      const { batch: now, at: how, since, turns: known } = present.current;
      const same = ({ batchId, station, atOnce, bagId, startedAt }: TurnRecord) =>
        batchId === now.id &&
        station === how.station &&
        atOnce === how.atOnce &&
        bagId === how.bagId &&
        startedAt >= since;
      const going = [mine.current.turn, known[0]].find((turn) => turn && same(turn));
      if (going) return { turn: going, first: [] };
      return begin(now.id, how, known[0]?.dose ?? null);
    };
    /** The check of a turn that goes on, or another with what begins it. */
    const checkNow = (turnId: string): { check: BegunCheck; first: Write[] } => {
      const { batch: now, checksOf, hole } = present.current;
      const open = ({ turnId: of, taken, size }: BegunCheck) => of === turnId && taken < size;
      const shown = checksOf(turnId).map(({ id, turnId: of, size, results }) => ({
        id,
        turnId: of,
        size,
        taken: results.length,
      }));
      const going = [mine.current.check, ...shown].find((check) => check && open(check));
      const { modelId, fillMm: targetMm, toleranceMm, count } = now;
      const size = Math.min(MOST_IN_CHECK, Math.max(1, count));
      const check = going ?? { id: newId(), turnId, taken: 0, size };
      mine.current.check = check;
      if (going) return { check, first: [] };
      const aim = { tierName: 'Inflation run', targetMm, toleranceMm, size };
      const by = { holeId: hole?.id ?? null, holeMm: hole?.widthMm ?? null, turnId, startedAt: nowUtc() };
      return { check, first: [{ put: 'check', row: { id: check.id, modelId: modelId!, ...aim, ...by } }] };
    };
    return {
      tap(what: Tallied) {
        const { turn, first } = turnNow();
        // What went wrong went wrong with one of two.
        const count = what === 'done' ? turn.atOnce : 1;
        const row = { id: newId(), turnId: turn.id, what, count, at: nowUtc() };
        send(row);
        soon(...first, { put: 'tally', row });
      },
      undo() {
        const last =
          ownLast() ??
          standing()
            .sort((a, b) => (a.at < b.at ? -1 : 1))
            .at(-1);
        if (!last) return;
        takeBack(last);
        soon({ remove: 'tally', id: last.id });
      },
      changeDose(dose: number) {
        const { batch: now, at: how } = present.current;
        soon(...begin(now.id, how, dose).first);
      },
      size(seen: SizeSeen) {
        if (present.current.batch.modelId === null) return;
        const { turn, first } = turnNow();
        const { check, first: begins } = checkNow(turn.id);
        const position = check.taken;
        check.taken += 1;
        const found = typeof seen === 'number' ? { answer: null, widthMm: seen } : { answer: seen, widthMm: null };
        const row = { id: newId(), checkId: check.id, position, ...found, takenAt: nowUtc() };
        soon(...first, ...begins, { put: 'checkResult', row });
      },
    };
  }, [present, ownLast, send, standing, takeBack]);
  return { ...taps, done, tallies };
}
