import { RESULT_DEFAULTS, type CheckRecord } from '@leggero/contract';
import type { HoleAnswer } from '@leggero/core';
import { useEffect, useMemo } from 'react';

import { newId, nowUtc } from '@/device/id';
import { whenIdle } from '@/device/idle';
import { rehearse, write } from '@/data/outbox';
import { useRecords } from '@/data/state';
import { useStanding } from '@/parts/useStanding';

import type { Between } from './HolesAnswer';

interface Answers {
  keep: (answer: HoleAnswer | null, widthMm: number | null, between?: Between) => void;
  undo: () => void;
}

/** Keeps the answers of a check, each in the next free place, so that no two take one place; takes the last one back. */
export function useAnswers({ id: checkId, size, results }: CheckRecord): Answers {
  const { standing, ownLast, send, takeBack } = useStanding<{ id: string; position: number }>(results);
  useRehearsal(checkId);
  return useMemo(
    () => ({
      keep(answer, widthMm, between = RESULT_DEFAULTS) {
        const taken = new Set(standing().map(({ position }) => position));
        const position = Array.from({ length: size }, (_, i) => i).find((place) => !taken.has(place));
        if (position === undefined) return;
        const id = newId();
        send({ id, position });
        write({
          put: 'checkResult',
          row: { id, checkId, position, answer, widthMm, ...between, takenAt: nowUtc() },
        });
      },
      undo() {
        // One's own last before anyone's; which came last is told by the places, which the server gives.
        const last = ownLast() ?? standing().at(-1);
        if (!last) return;
        takeBack(last);
        write({ remove: 'checkResult', id: last.id });
      },
    }),
    [checkId, size, ownLast, send, standing, takeBack],
  );
}

/** The first answer of a check is as quick as those that follow. */
function useRehearsal(checkId: string): void {
  const there = useRecords(({ filled, lacking }) => filled && lacking.length === 0);
  useEffect(() => {
    if (!there) return;
    const row = {
      id: newId(),
      checkId,
      position: 0,
      answer: 'passes' as const,
      widthMm: null,
      ...RESULT_DEFAULTS,
      takenAt: nowUtc(),
    };
    whenIdle(() => rehearse({ put: 'checkResult', row }));
  }, [there, checkId]);
}
