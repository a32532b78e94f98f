import { EVENT_DEFAULTS } from '@leggero/contract';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { MorningPage } from '@/features/morning/MorningPage';

import { done, lastDone, MODEL_ID, show, someRecords, type Records } from './studio';

const inch = (inches: number) => inches * 25.4;
const id = (n: number) => `00000000-0000-4000-8000-0000000071${String(n).padStart(2, '0')}`;
const HOUR_MS = 3_600_000;
const EVENT_ID = id(1);
const before = (hours: number) => new Date(Date.now() - hours * HOUR_MS).toISOString();

/** A run of last night whose one batch was made, and balloons of it that were set aside. */
const records = (asides: { hours: number; widthsMm: [number, number][] }[] = []): Records => {
  const all = someRecords();
  const holdTests = asides.map(({ hours, widthsMm }, n) => ({
    ...{ id: id(40 + n), modelId: MODEL_ID, wraps: 2 as const, stuffed: false, startedAt: before(hours), demo: false },
    readings: widthsMm.map(([at, widthMm], i) => {
      return { id: id(50 + 10 * n + i), holdTestId: id(40 + n), hours: at, widthMm };
    }),
  }));
  return {
    ...all,
    models: all.models.map((model) => (model.id === MODEL_ID ? { ...model, holdTests } : model)),
    events: [
      {
        ...EVENT_DEFAULTS,
        ...{ id: EVENT_ID, name: 'Low Tide', daysStanding: 1, createdAt: before(90), demo: false },
        opensAt: before(-6),
        wraps: 2,
      },
    ],
    inflations: [{ id: id(2), eventId: EVENT_ID, startedAt: before(15), endedAt: before(13), demo: false }],
    inflationBatches: [
      {
        ...{ id: id(3), inflationId: id(2), key: 'a', place: 0, modelId: MODEL_ID, colourHex: '#3f7a4a' },
        ...{ fillMm: inch(9.5), toleranceMm: inch(0.25), count: 4, dose: 7, timed: false },
      },
    ],
    turns: [
      { id: id(4), batchId: id(3), station: 'Table 1', atOnce: 1, bagId: null, dose: null, startedAt: before(15) },
    ],
    tallies: [{ id: id(5), turnId: id(4), what: 'done', count: 4, at: before(14) }],
  };
};
const open = async (of: Records) => {
  show(<MorningPage eventId={EVENT_ID} />, of);
  await waitFor(() => expect(document.querySelector('[aria-busy=true]')).toBeNull());
};
const click = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

describe('the next morning', () => {
  it('says that nothing was made where nothing was', async () => {
    await open({ ...records(), turns: [], tallies: [] });
    expect(screen.getByText(/Nothing was inflated for it yet/)).toBeTruthy();
  });

  it('begins in the evening: one of a batch is measured at its knot and set aside', async () => {
    await open(records());
    expect(screen.getByText(/Tonight: tie one of each batch/)).toBeTruthy();
    await click('Measure one of A');
    await click('Set it aside');
    expect(done()).toMatchObject([
      { put: 'holdTest', row: { modelId: MODEL_ID, wraps: 2, stuffed: false } },
      { put: 'holdReading', row: { hours: 0, widthMm: expect.closeTo(241.3, 3) as number } },
    ]);
  });

  it('asks for its width in the morning, and keeps that with the hours since', async () => {
    await open(records([{ hours: 13, widthsMm: [[0, inch(9.5)]] }]));
    expect(screen.getByText(/^9.*at the knot, 13 hours ago$/)).toBeTruthy();
    await click('Keep this width');
    expect(lastDone()).toMatchObject({ put: 'holdReading', row: { holdTestId: id(40), hours: 13 } });
  });

  it('asks for nothing an hour after', async () => {
    await open(records([{ hours: 0.2, widthsMm: [[0, inch(9.5)]] }]));
    expect(screen.getByText('In the morning its width is asked for here.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Keep this width' })).toBeNull();
  });

  it('says that it is as reckoned, or what follows where it is not', async () => {
    await open(
      records([
        {
          hours: 13,
          widthsMm: [
            [0, 241.3],
            [13, 240.1],
          ],
        },
        {
          hours: 14,
          widthsMm: [
            [0, 241.3],
            [14, 226],
          ],
        },
      ]),
    );
    expect(screen.getByText('As reckoned: carry on.')).toBeTruthy();
    expect(
      screen.getByText(/^At the opening they are about .* smaller than reckoned\. Look at the necks/),
    ).toBeTruthy();
  });
});
