import { EVENT_DEFAULTS, PIECE_DEFAULTS, PLAN_DEFAULTS } from '@leggero/contract';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { NextEvent } from '@/features/bench/NextEvent';
import { unknownBalloons } from '@/views/today';
import { knownText, runText, shortText } from '@/wording/today';

import { withBenchWorkers } from './benchWorker';
import { COLUMN } from './designs';
import { visited } from './router';
import { FRESH_ID, MODEL_ID, show, someRecords, type Records } from './studio';

withBenchWorkers();

const inch = (inches: number) => inches * 25.4;
const id = (n: number) => `00000000-0000-4000-8000-0000000081${String(n).padStart(2, '0')}`;
const DAY_MS = 86_400_000;
const from = (days: number) => new Date(Date.now() + days * DAY_MS).toISOString();

const records = (by: Partial<Records> = {}): Records => ({
  ...someRecords(),
  events: [
    {
      ...EVENT_DEFAULTS,
      ...{ id: id(1), name: 'Low Tide', daysStanding: 0, createdAt: from(-9), demo: false, opensAt: from(6) },
      plan: { ...PLAN_DEFAULTS, people: 2, stations: 2 },
    },
  ],
  pieces: [
    {
      ...PIECE_DEFAULTS,
      ...{ id: id(2), name: 'Kelp', design: COLUMN, eventId: id(1), checks: [], createdAt: from(-9), demo: false },
    },
  ],
  ...by,
});
const open = async (of: Records) => {
  show(<NextEvent />, of);
  await waitFor(() => expect(document.querySelector('[aria-busy=true]')).toBeNull());
};

describe('today on the bench', () => {
  it('is what begins next, what is missing, and what is not known well enough', async () => {
    await open(records());
    expect(await screen.findByRole('link', { name: /^Buy what is missing.*by / })).toBeTruthy();
    expect(screen.getByRole('link', { name: /^Too few of \d balloons?/ })).toBeTruthy();
    await userEvent.click(
      screen.getByRole('link', { name: /^Calibrate Tarn Satin 11.*Low Tide uses it: never measured/ }),
    );
    expect(visited.at(-1)).toBe(`/shelf/${FRESH_ID}/reading`);
  });

  it('is also what stands: the way to what fails there, and to taking it down', async () => {
    const [event] = records().events;
    await open(records({ events: [{ ...event!, state: 'up', opensAt: from(-1) }] }));
    await userEvent.click(await screen.findByRole('link', { name: /^Low Tide stands/ }));
    expect(visited.at(-1)).toBe(`/builds/events/${id(1)}/site?part=right`);
    expect(screen.queryByText(/^Open/)).toBeNull();
  });

  it('is the run that goes on, and what was set aside', async () => {
    const batch = {
      ...{ id: id(4), inflationId: id(3), key: 'a', place: 0, modelId: MODEL_ID, colourHex: '#3f7a4a' },
      ...{ fillMm: inch(9.5), toleranceMm: inch(0.25), count: 8, dose: 7, timed: false },
    };
    const turn = { batchId: id(4), station: 'Table 1', atOnce: 1 as const, bagId: null, dose: null };
    const test = {
      id: id(7),
      modelId: MODEL_ID,
      wraps: 2 as const,
      stuffed: false,
      startedAt: from(-0.5),
      demo: false,
    };
    const models = someRecords().models.map((model) =>
      model.id === MODEL_ID
        ? { ...model, holdTests: [{ ...test, readings: [{ id: id(8), holdTestId: id(7), hours: 0, widthMm: 241 }] }] }
        : model,
    );
    await open(
      records({
        ...{ models, inflationBatches: [batch], turns: [{ ...turn, id: id(5), startedAt: from(-0.6) }] },
        inflations: [{ id: id(3), eventId: id(1), startedAt: from(-0.6), endedAt: null, demo: false }],
        tallies: [
          { id: id(6), turnId: id(5), what: 'done', count: 3, at: from(-0.5) },
          { id: id(9), turnId: id(5), what: 'popped', count: 1, at: from(-0.5) },
        ],
      }),
    );
    expect(await screen.findByRole('link', { name: /^Inflation run goes on.*3 of 8 made, 1 lost/ })).toBeTruthy();
    await userEvent.click(screen.getByRole('link', { name: /^Measure 1 balloon again/ }));
    expect(visited.at(-1)).toBe(`/builds/events/${id(1)}/morning`);
  });

  it('is late where it cannot be kept', async () => {
    const [event] = records().events;
    await open(records({ events: [{ ...event!, opensAt: from(0.2) }] }));
    expect(await screen.findByRole('link', { name: /too late: see what would have to give/ })).toBeTruthy();
  });
});

describe('words of today', () => {
  it('say how much is made, how old a calibration is, and what is short', () => {
    expect(runText({ done: 9, wanted: 8, lost: 0 })).toBe('8 of 8 made');
    expect([null, 215].map(knownText)).toEqual(['never measured', 'measured 7 months ago']);
    const short = [
      { name: 'A', lacks: 9 },
      { name: null, lacks: 7 },
      { name: 'B', lacks: 5 },
      { name: 'C', lacks: 1 },
    ];
    expect(shortText(short)).toBe('A: 9, B: 5, 1 kind more, 1 colour without a balloon');
  });

  it('leave alone what was measured lately, and pairs', () => {
    const { models } = someRecords();
    const used = new Set(models.map(({ id: modelId }) => modelId));
    const newest = Math.max(
      ...models.flatMap(({ calibrations }) =>
        calibrations.flatMap(({ readings }) => readings.map(({ takenAt }) => Date.parse(takenAt))),
      ),
    );
    const known = unknownBalloons(used, models, newest + DAY_MS);
    expect(known.every(({ days }) => days === null)).toBe(true);
    const later = unknownBalloons(used, models, newest + 200 * DAY_MS);
    expect(later.length).toBeGreaterThan(known.length);
  });
});
