import { RESULT_DEFAULTS, type CheckRecord } from '@leggero/contract';
import type { HoleAnswer } from '@leggero/core';
import { useMemo, useRef } from 'react';

import { newId, nowUtc } from '@/device/id';
import { write } from '@/data/outbox';
import { useLatest } from '@/ui/useLatest';

import type { Between } from './HolesAnswer';

interface Answers {
  keep: (answer: HoleAnswer | null, widthMm: number | null, between?: Between) => void;
  undo: () => void;
}

/**
 * Keeps the answers of a check, each in the next free place, and takes the last one back. Taps may come faster than
 * the page is drawn: what was sent since counts beside what is shown, so that no two take one place.
 */
export function useAnswers({ id: checkId, size, results }: CheckRecord): Answers {
  const sent = useRef<{ id: string; position: number }[]>([]);
  const takenBack = useRef(new Set<string>());
  // What is shown is looked up when a tap comes, so that the buttons stay the same from tap to tap.
  const shown = useLatest(results);
  return useMemo(() => {
    const standing = () => {
      const known = new Set(shown.current.map(({ id }) => id));
      const all = [...shown.current, ...sent.current.filter(({ id }) => !known.has(id))];
      return all.filter(({ id }) => !takenBack.current.has(id));
    };
    return {
      keep(answer, widthMm, between = RESULT_DEFAULTS) {
        const taken = new Set(standing().map(({ position }) => position));
        const position = Array.from({ length: size }, (_, i) => i).find((place) => !taken.has(place));
        if (position === undefined) return;
        const id = newId();
        sent.current.push({ id, position });
        write({
          put: 'checkResult',
          row: { id, checkId, position, answer, widthMm, ...between, takenAt: nowUtc() },
        });
      },
      undo() {
        const stands = new Set(standing().map(({ id }) => id));
        // One's own last before anyone's; which came last is told by the places, which the server gives.
        const own = sent.current.findLast(({ id }) => stands.has(id));
        const last = own ?? shown.current.findLast(({ id }) => stands.has(id));
        if (!last) return;
        takenBack.current.add(last.id);
        write({ remove: 'checkResult', id: last.id });
      },
    };
  }, [checkId, size, shown]);
}
