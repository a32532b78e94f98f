import { randomUUID } from 'node:crypto';

import type { EyeMode } from '@leggero/contract';
import { normalFrom } from '@leggero/core';

import type { Database } from '../db/connect';
import {
  eyeBalloons,
  eyeChecks,
  holeMeasurements,
  people,
  sizerHoles,
  sizers,
  sizings,
  studies,
  studyPeople,
  studyWidths,
} from '../db/tables';
import { isoAt } from './moment';
import { DEMO_SIZERS } from './scenario';

const DAY_MS = 86_400_000;
const BALLOON_MS = 45_000;
const INCH = 25.4;

interface Fill {
  tx: Database;
  studioId: string;
  /** The first evening. */
  firstDay: number;
  random: () => number;
}

/** The plate's holes as they really are, by the inches on their labels: sawn a little small, the 9 worn and oval. */
const MEASURED: Record<number, [acrossMm: number, downMm: number]> = {
  8: [202.4, 202.9],
  9: [226.1, 227.9],
  10: [253.4, 253.7],
  11: [279, 279.8],
};
const SIZED_IN: [inches: number, nominalInches: number, widthsMm: number[]][] = [
  [9, 11, [229.4, 231, 230.2, 229.9]],
  [8, 11, [207.6, 206.9]],
];

/** The sizers: what is written beside their holes, what a caliper found, and balloons measured after sizing. */
export async function fillSizers({ tx, studioId, firstDay }: Omit<Fill, 'random'>): Promise<void> {
  for (const { name, keeper, inches } of DEMO_SIZERS) {
    const sizerId = randomUUID();
    await tx.insert(sizers).values({ id: sizerId, studioId, name, keeper, demo: true });
    const holes = inches.map((size) => ({
      id: randomUUID(),
      studioId,
      sizerId,
      label: String(size).replace('.5', '½'),
      widthMm: size * INCH,
    }));
    await tx.insert(sizerHoles).values(holes);
    if (keeper !== '') continue;
    const holeOf = (size: number) => holes.find(({ widthMm }) => widthMm === size * INCH)!.id;
    await tx.insert(holeMeasurements).values(
      Object.entries(MEASURED).map(([size, [acrossMm, downMm]]) => ({
        id: randomUUID(),
        studioId,
        holeId: holeOf(Number(size)),
        acrossMm,
        downMm,
        way: 'caliper' as const,
        takenAt: isoAt(firstDay - DAY_MS),
      })),
    );
    await tx.insert(sizings).values(
      SIZED_IN.flatMap(([size, nominalInches, widths]) =>
        widths.map((widthMm, i) => ({
          id: randomUUID(),
          studioId,
          holeId: holeOf(size),
          nominalMm: nominalInches * INCH,
          widthMm,
          takenAt: isoAt(firstDay + i * BALLOON_MS),
        })),
      ),
    );
  }
}

const PEOPLE = ['Maren', 'Jory', 'Pell'] as const;
type Person = (typeof PEOPLE)[number];

/** Sessions by eye: how far off each one's eye is and how much it scatters, mm. */
const SESSIONS: {
  mode: EyeMode;
  who: Person;
  beside?: Person;
  size: number;
  day: number;
  off: number;
  sdMm: number;
  drift?: number;
}[] = [
  { mode: 'one', who: 'Maren', size: 12, day: 2, off: 5, sdMm: 6.5, drift: 0.4 },
  { mode: 'one', who: 'Maren', size: 12, day: 9, off: 2.5, sdMm: 4.6 },
  { mode: 'one', who: 'Maren', size: 14, day: 20, off: 1, sdMm: 2.9 },
  { mode: 'two', who: 'Maren', beside: 'Jory', size: 8, day: 23, off: 1.2, sdMm: 3.4 },
  { mode: 'pairs', who: 'Jory', size: 12, day: 24, off: -2, sdMm: 3.2 },
];
/** The second person fills larger; the left nozzle of a pair gives more. */
const SECOND_OFF_MM = 6;
const PAIR_LEAN_MM = 3.5;
const TARGET_MM = 10 * INCH;

const STUDY = {
  subject: 'The 9 hole of the Plywood plate',
  balloons: 5,
  repeats: 2,
  around: 229,
  betweenMm: 2.2,
  leans: [0, 3.4, -0.5],
  sdMm: 0.9,
  day: 12,
} as const;

/** Who works here, what their eyes did, and a study of the sizing itself. */
export async function fillPeople({ tx, studioId, firstDay, random }: Fill, modelId: string): Promise<void> {
  const ids = Object.fromEntries(PEOPLE.map((name) => [name, randomUUID()])) as Record<Person, string>;
  await tx
    .insert(people)
    .values(PEOPLE.map((name, i) => ({ id: ids[name], studioId, name, owner: i === 0, demo: true })));
  for (const { mode, who, beside, size, day, off, sdMm, drift = 0 } of SESSIONS) {
    const eyeCheckId = randomUUID();
    const startedMs = firstDay + day * DAY_MS;
    await tx.insert(eyeChecks).values({
      id: eyeCheckId,
      studioId,
      mode,
      personId: ids[who],
      secondPersonId: beside ? ids[beside] : null,
      modelId,
      targetMm: TARGET_MM,
      size,
      startedAt: isoAt(startedMs),
      demo: true,
    });
    const count = mode === 'two' ? 2 * size : size;
    await tx.insert(eyeBalloons).values(
      Array.from({ length: count }, (_, position) => {
        const second = mode === 'two' && position >= size ? SECOND_OFF_MM : 0;
        const lean = mode === 'pairs' ? (position % 2 === 0 ? 0.5 : -0.5) * PAIR_LEAN_MM : 0;
        const widthMm = TARGET_MM + off + second + lean + drift * position + sdMm * normalFrom(random);
        const filledAt = isoAt(startedMs + position * BALLOON_MS);
        return { id: randomUUID(), studioId, eyeCheckId, position, widthMm, filledAt };
      }),
    );
  }
  await fillStudy({ tx, studioId, firstDay, random });
}

async function fillStudy({ tx, studioId, firstDay, random }: Fill): Promise<void> {
  const { subject, balloons, repeats, around, betweenMm, leans, sdMm, day } = STUDY;
  const studyId = randomUUID();
  const startedMs = firstDay + day * DAY_MS;
  await tx
    .insert(studies)
    .values({ id: studyId, studioId, subject, balloons, repeats, startedAt: isoAt(startedMs), demo: true });
  await tx
    .insert(studyPeople)
    .values(PEOPLE.map((name, position) => ({ id: randomUUID(), studioId, studyId, position, name })));
  const trueMm = Array.from({ length: balloons }, () => around + betweenMm * normalFrom(random));
  await tx.insert(studyWidths).values(
    trueMm.flatMap((width, balloon) =>
      leans.flatMap((lean, person) =>
        Array.from({ length: repeats }, (_, repeat) => ({
          id: randomUUID(),
          studioId,
          studyId,
          balloon,
          person,
          repeat,
          widthMm: width + lean + sdMm * normalFrom(random),
          takenAt: isoAt(startedMs + (repeat * balloons + balloon) * BALLOON_MS),
        })),
      ),
    ),
  );
}
