import { RESULT_DEFAULTS, type CheckRecord } from '@leggero/contract';
import type { HoleAnswer } from '@leggero/core';
import { useMemo } from 'react';

import { newId, nowUtc } from '@/device/id';
import { write } from '@/data/outbox';
import { useStanding } from '@/parts/useStanding';

import type { Between } from './HolesAnswer';

interface Answers {
  keep: (answer: HoleAnswer | null, widthMm: number | null, between?: Between) => void;
  undo: () => void;
}

/** Keeps the answers of a check, each in the next free place, so that no two take one place; takes the last one back. */
export function useAnswers({ id: checkId, size, results }: CheckRecord): Answers {
  const { standing, ownLast, send, takeBack } = useStanding<{ id: string; position: number }>(results);
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
