import { scheduleBack, type Means, type Step } from '@leggero/core/schedule';

import type { Bench } from './bench';
import { median, timed } from './figure';

const STEPS = 200;
const ROUNDS = 21;
const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/** A plan of 200 steps and six people backwards from its end, over working days. */
export function measureSchedule({ report, rounds }: Bench): void {
  const steps = Array.from({ length: STEPS }, (_, i): Step => {
    // Nothing random: a measure is to be the same each time.
    const whole = (seed: number, to: number) => Math.floor(Math.abs(Math.sin(seed * (i + 1))) * to);
    const after = Array.from(
      { length: Math.min(i, whole(7.1, 3)) },
      (_, k) => `s${Math.max(0, i - 1 - whole(3.3 + k, 9))}`,
    );
    return {
      ...{ id: `s${i}`, lastsMs: (1 + whole(1.7, 8)) * 0.25 * HOUR_MS, anyHour: false, notBeforeMs: null },
      ...{ people: 1 + whole(5.9, 3), stations: whole(2.3, 2), after: [...new Set(after)] },
    };
  });
  const hours = Array.from({ length: 120 }, (_, day) => {
    return { fromMs: (day - 110) * DAY_MS + 9 * HOUR_MS, toMs: (day - 110) * DAY_MS + 19 * HOUR_MS };
  });
  const means: Means = { people: 6, stations: 2, hours };
  const taken = Array.from({ length: rounds(ROUNDS) }, () =>
    timed(() => scheduleBack({ steps, means, dueMs: 0, nowMs: -100 * DAY_MS })),
  );
  report({
    what: `a schedule of ${STEPS} steps and 6 people`,
    ours: median(taken),
    yardstick: 'the time it may take',
    theirs: 20,
    ...{ unit: 'ms', most: 1 },
  });
}
