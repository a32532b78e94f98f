import {
  EVENT_DEFAULTS,
  PIECE_DEFAULTS,
  type EventRecord,
  type InflationBatch,
  type TallyRecord,
  type TurnRecord,
} from '@leggero/contract';
import { defaultHoldRate } from '@leggero/core';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { PiecePage } from '@/chunks/PiecePage';
import { madeAt } from '@/views/madeAt';
import { likeText, stoodText } from '@/wording/repair';

import { COLUMN } from './designs';
import { lastDone, MODEL_ID, show, someRecords, type Records } from './studio';

const inch = (inches: number) => inches * 25.4;
const id = (n: number) => `00000000-0000-4000-8000-0000000093${String(n).padStart(2, '0')}`;
const EVENT_ID = id(1);
const PIECE_ID = id(2);
const HOUR_MS = 3_600_000;
const ago = (hours: number) => new Date(Date.now() - hours * HOUR_MS).toISOString();
const EVENT: EventRecord = {
  ...EVENT_DEFAULTS,
  ...{ id: EVENT_ID, name: 'Low Tide', daysStanding: 0, createdAt: ago(200), demo: false },
  ...{ opensAt: ago(48), hoursBefore: 4, state: 'up' },
};

async function open(by: Partial<EventRecord> = {}, more: Partial<Records> = {}) {
  const records = someRecords();
  const piece = { ...PIECE_DEFAULTS, id: PIECE_ID, name: 'Kelp', createdAt: ago(200), checks: [], demo: false };
  show(<PiecePage pieceId={PIECE_ID} />, {
    ...records,
    // No hold test says otherwise than what is assumed.
    models: records.models.map((model) => ({ ...model, holdTests: [] })),
    events: [{ ...EVENT, ...by }],
    pieces: [{ ...piece, eventId: EVENT_ID, design: COLUMN }],
    ...more,
  });
  await userEvent.click(await screen.findByRole('button', { name: 'One of these failed' }));
  return within(await screen.findByRole('dialog', { name: /^One anew/ }));
}

/** The rate that its balloon is reckoned with. */
const perHour = defaultHoldRate({ wraps: 2, stuffed: false, nominalMm: inch(11) }).perHour;

describe('a balloon of a standing piece that failed', () => {
  it('is made anew as wide as its like are after the hours they stood, with hole, tape, and how to tie it in', async () => {
    const sheet = await open();
    expect(sheet.getByText('As the event plans it')).toBeTruthy();
    // Made 52 hours ago.
    expect(sheet.getByText('2¼ days')).toBeTruthy();
    expect(sheet.getByText(/^its like are .* to .* in by now$/)).toBeTruthy();
    expect(sheet.getByText(/Leave the old neck in its knot/)).toBeTruthy();
    await userEvent.click(sheet.getByRole('radio', { name: 'Went soft' }));
    await userEvent.click(sheet.getByRole('button', { name: 'It is in: write it down' }));
    const last = lastDone() as { put: string; row: Record<string, unknown> };
    expect(last).toMatchObject({ put: 'repair', row: { eventId: EVENT_ID, pieceId: PIECE_ID, cause: 'soft' } });
    const { reckonedMm, fillMm, measuredMm } = last.row as Record<'reckonedMm' | 'fillMm', number> & {
      measuredMm: null;
    };
    expect(measuredMm).toBeNull();
    expect(reckonedMm / COLUMN.widthMm).toBeCloseTo(Math.exp(-52 * perHour), 3);
    // On the studio's step, an eighth.
    expect(Math.abs(fillMm - reckonedMm)).toBeLessThanOrEqual(inch(1 / 16) + 1e-9);
    expect(fillMm / inch(1 / 8)).toBeCloseTo(Math.round(fillMm / inch(1 / 8)), 6);
  });

  it('is larger where it is warmer there now, and follows the one beside it once that is measured', async () => {
    const sheet = await open({ venueTempC: 20, workroomTempC: 20 });
    const figure = () => sheet.getAllByRole('status')[0]!.textContent!;
    const cool = figure();
    for (let i = 0; i < 15; i += 1) await userEvent.click(sheet.getByRole('button', { name: 'More: °C there now' }));
    expect(figure()).not.toBe(cool);
    await userEvent.click(sheet.getByRole('button', { name: 'Measure the one beside it' }));
    expect(sheet.getByText('as wide as the one beside it measures')).toBeTruthy();
    await userEvent.click(sheet.getByRole('button', { name: 'It is in: write it down' }));
    const { row } = lastDone() as unknown as { row: { measuredMm: number; fillMm: number } };
    expect(row.fillMm).toBeCloseTo(row.measuredMm, 6);
  });

  it('whose like nobody knows the age of is asked for it', async () => {
    const sheet = await open({ opensAt: null });
    expect(sheet.getByText('When it was made is not known: set it.')).toBeTruthy();
    expect(sheet.getByText('0 h')).toBeTruthy();
    await userEvent.click(sheet.getByRole('button', { name: 'More: stood until now' }));
    expect(sheet.getByText('6 h')).toBeTruthy();
    for (let i = 0; i < 2; i += 1) await userEvent.click(sheet.getByRole('button', { name: 'Fewer: stood until now' }));
    expect(sheet.getByText('0 h')).toBeTruthy();
  });

  it('of a piece that is for no event is not asked about', async () => {
    show(<PiecePage pieceId={PIECE_ID} />, {
      ...someRecords(),
      pieces: [
        {
          ...PIECE_DEFAULTS,
          ...{ id: PIECE_ID, name: 'Kelp', createdAt: ago(200), checks: [], demo: false, design: COLUMN },
        },
      ],
    });
    expect(await screen.findByText('Kelp')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'One of these failed' })).toBeNull();
  });
});

describe('when balloons were made', () => {
  const batch = { id: id(20), modelId: MODEL_ID, fillMm: 240, turns: [] } as unknown as InflationBatch;
  const runWith = (taps: [what: TallyRecord['what'], hours: number][], by: Partial<InflationBatch> = {}) => {
    const tallies = taps.map(([what, hours], i) => ({
      id: id(40 + i),
      turnId: id(30),
      what,
      count: 1,
      at: ago(hours),
    }));
    const turns = [{ id: id(30), tallies } as unknown as TurnRecord];
    return [{ batches: [{ ...batch, ...by, turns }] }] as never;
  };
  const asked = { modelId: MODEL_ID, fillMm: 240 };

  it('is halfway through what a station made of just those', () => {
    const made = madeAt(
      EVENT,
      runWith([
        ['done', 30],
        ['popped', 29],
        ['done', 28],
        ['done', 20],
      ]),
      asked,
    )!;
    expect(made.from).toBe('run');
    expect((Date.now() - made.ms) / HOUR_MS).toBeCloseTo(28, 1);
  });

  it('is as planned where no station made them: of another width, or another balloon', () => {
    for (const by of [{ fillMm: 200 }, { modelId: null }]) {
      const made = madeAt(EVENT, runWith([['done', 30]], by), asked)!;
      expect(made.from).toBe('plan');
      expect((Date.now() - made.ms) / HOUR_MS).toBeCloseTo(52, 1);
    }
    expect(madeAt({ opensAt: null, hoursBefore: 4 }, [], asked)).toBeNull();
  });
});

it('says how long and how wide as people do', () => {
  expect([0.4, 31.2, 47.6, 48, 75, 240].map(stoodText)).toEqual([
    '0 h',
    '31 h',
    '48 h',
    '2 days',
    '3¼ days',
    '10 days',
  ]);
  const lengths = { text: (mm: number) => `${Math.round(mm)} mm`, bare: (mm: number) => String(Math.round(mm)) };
  expect(likeText({ lowMm: 240, highMm: 240.2 }, null, lengths)).toBe('its like are 240 mm by now');
  expect(likeText({ lowMm: 238, highMm: 242 }, null, lengths)).toBe('its like are 238 to 242 mm by now');
});
