import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { useRecords } from '@/data/state';
import { CheckPage } from '@/features/check/CheckPage';
import { WithModel } from '@/parts/WithModel';

import { visited } from './router';
import { CHECK_ID, done, lastDone, MODEL_ID, show, someRecords } from './studio';

const open = async (checkId = CHECK_ID, records = someRecords()) => {
  show(<WithModel modelId={MODEL_ID}>{(shown) => <CheckPage {...shown} checkId={checkId} />}</WithModel>, records);
  await screen.findByText('Check a batch');
};
const batch = () =>
  within(screen.getByRole('list', { name: 'The batch' }))
    .queryAllByRole('img')
    .map((img) => img.getAttribute('aria-label'));

describe('a batch is checked', () => {
  it('with one tap a balloon, in the place that is next', async () => {
    await open();
    expect(batch()).toEqual(['Number 1: just passes, right', 'Number 2: falls through, too small']);
    expect(screen.getByText(/Hold it centred in the 10 hole \(Plate\), with a ½ in gap in all/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: /^Just passes/ }));
    expect(lastDone()).toMatchObject({
      put: 'checkResult',
      row: { checkId: CHECK_ID, position: 2, answer: 'passes', widthMm: null },
    });
    await waitFor(() => expect(batch()).toHaveLength(3));
    expect(screen.getByText(/1 of 3 (is|are) outside/)).toBeTruthy();
  });

  it('by keys, with an undo that frees the place again', async () => {
    await open();
    fireEvent.keyDown(window, { key: '1' });
    await waitFor(() => expect(batch()).toHaveLength(3));
    expect(lastDone()).toMatchObject({ row: { answer: 'stops', position: 2 } });
    fireEvent.keyDown(window, { key: 'u' });
    await waitFor(() => expect(batch()).toHaveLength(2));
    fireEvent.keyDown(window, { key: '2', ctrlKey: true });
    expect(done()).toHaveLength(2);
    fireEvent.keyDown(window, { key: '2' });
    expect(lastDone()).toMatchObject({ row: { answer: 'passes', position: 2 } });
  });

  it('by a measured width instead', async () => {
    await open();
    await userEvent.click(screen.getByRole('button', { name: 'Measure this one instead' }));
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Width' }), { key: 'PageDown' });
    await userEvent.click(screen.getByRole('button', { name: 'Keep this width' }));
    expect(lastDone()).toMatchObject({ row: { answer: null, widthMm: expect.closeTo(8.5 * 25.4, 6) } });
    await waitFor(() => expect(batch()).toContain('Number 3: 8½ in'));
  });

  it('to the end, where the verdict says what to do and no more is taken', async () => {
    await open();
    for (const key of ['2', '2', '2']) fireEvent.keyDown(window, { key });
    await waitFor(() => expect(screen.getByRole('button', { name: 'Done' })).toBeTruthy());
    expect(done()).toHaveLength(2);
    expect(screen.getByText('1 of 4 is outside. That is too few to speak for the batch.')).toBeTruthy();
    expect(screen.getByText('Add air to number 2.')).toBeTruthy();
    expect(screen.getByText(/25 % outside here\. Among many more like these, between 1 % and 81 %/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Done' }));
    expect(visited).toEqual([`/shelf/${MODEL_ID}`]);
  });

  it('without a hole that is large enough, by measuring', async () => {
    await open(CHECK_ID, { ...someRecords(), sizers: [] });
    expect(screen.getByText(/No sizer has a hole for this/)).toBeTruthy();
  });

  it('only where there is such a check', async () => {
    await open('00000000-0000-4000-8000-00000000dead');
    expect(screen.getByText('No check is known at this address.')).toBeTruthy();
  });
});

describe('a batch at two holes, by a plan, in pairs', () => {
  const empty = () => {
    const records = someRecords();
    records.models[0]!.checks[0]!.results = [];
    return records;
  };

  it('keeps between which holes each balloon lies, and says mean and spread', async () => {
    await open();
    await userEvent.click(screen.getByRole('button', { name: 'Try two holes' }));
    await userEvent.click(screen.getByRole('button', { name: 'Passes 10, stops at 9' }));
    expect(lastDone()).toMatchObject({
      row: {
        answer: null,
        stopsMm: expect.closeTo(9 * 25.4, 6),
        passesMm: expect.closeTo(254, 6),
        stopsHoleId: expect.any(String),
      },
    });
    await screen.findByText(/no spread shows between these holes/);
    await userEvent.click(screen.getByRole('button', { name: 'Stops at 11, the largest' }));
    await screen.findByText(/from 2 balloons between holes/);
  });

  it('says so when all stop at the largest hole', async () => {
    await open(CHECK_ID, empty());
    await userEvent.click(screen.getByRole('button', { name: 'Try two holes' }));
    await userEvent.click(screen.getByRole('button', { name: 'Stops at 11, the largest' }));
    await screen.findByText(/All stop at the largest of these holes/);
  });

  it('is planned for a lot: how many to check, and when to size all again', async () => {
    await open(CHECK_ID, empty());
    await userEvent.click(screen.getByRole('button', { name: 'Plan' }));
    expect(screen.getByText('Check 13 of 96; if 2 are off, size them all again.')).toBeTruthy();
    const lot = screen.getByRole('textbox', { name: 'Balloons in the lot' });
    await userEvent.clear(lot);
    expect(screen.getByRole('alert').textContent).toMatch(/from 2 to 20000/);
    await userEvent.type(lot, '200');
    await userEvent.click(screen.getByRole('button', { name: 'Check by this plan' }));
    const [created, removed] = done();
    expect(created).toMatchObject({
      put: 'check',
      row: { lotSize: 200, size: 13, acceptMost: 1, pairs: false },
    });
    expect(removed).toMatchObject({ remove: 'check', id: CHECK_ID });
  });

  it('stops as soon as too many of the lot are off', async () => {
    const records = someRecords();
    Object.assign(records.models[0]!.checks[0]!, { lotSize: 96, acceptMost: 0, size: 13 });
    await open(CHECK_ID, records);
    expect(screen.getByText('1 off: size all 96 again.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Just passes/ })).toBeNull();
  });

  it('follows a hole that was measured since', async () => {
    const records = someRecords();
    const hole = records.sizers[0]!.holes[1]!;
    Object.assign(records.models[0]!.checks[0]!, { holeId: hole.id, holeMm: hole.widthMm });
    hole.measurements = [
      {
        id: hole.id,
        holeId: hole.id,
        acrossMm: hole.widthMm - 8,
        downMm: null,
        way: 'caliper',
        takenAt: '2026-11-20T09:00:00.000Z',
      },
    ];
    await open(CHECK_ID, records);
    expect(screen.getByText(/5\/16 in smaller than it was taken for/)).toBeTruthy();
    // What just passed it was that much smaller: outside, like the one that fell through.
    expect(batch()).toHaveLength(2);
    expect(screen.getAllByText(/small/).length).toBeGreaterThan(1);
  });

  it('tells how well pairs match', async () => {
    const records = someRecords();
    const [record] = records.models[0]!.checks;
    const result = record!.results[0]!;
    Object.assign(record!, {
      pairs: true,
      size: 8,
      results: [254, 250, 255, 251, 253, 249].map((widthMm, position) => ({
        ...result,
        id: `00000000-0000-4000-8000-00000000041${position}`,
        position,
        answer: null,
        widthMm,
      })),
    });
    await open(CHECK_ID, records);
    expect(
      screen.getByText(/3 pairs: 100 % match within the tolerance\. The left ones come out 3\/16 in larger/),
    ).toBeTruthy();
  });
});

it('keeps every tap, also those faster than the page is drawn, and takes back the last of them', async () => {
  const records = someRecords();
  Object.assign(records.models[0]!.checks[0]!, { size: 12 });
  await open(CHECK_ID, records);
  act(() => {
    for (const key of ['2', '1', '2', 'u', '3']) fireEvent.keyDown(window, { key });
  });
  const sent = done().map((write) => ('put' in write && write.put === 'checkResult' ? write.row : null));
  expect(sent.map((row) => row && [row.position, row.answer])).toEqual([
    [2, 'passes'],
    [3, 'stops'],
    [4, 'passes'],
    null,
    [4, 'falls'],
  ]);
  await waitFor(() => expect(batch()).toHaveLength(5));
});

it('takes back the last balloon by its place, whatever the clocks of the phones say', async () => {
  const records = someRecords();
  const [check] = records.models[0]!.checks;
  // The first was taken by a phone whose clock is a year ahead.
  const results = check!.results.map((result, i) =>
    i === 0 ? { ...result, takenAt: '2027-11-17T09:00:00.000Z' } : result,
  );
  Object.assign(check!, { results });
  await open(CHECK_ID, records);
  fireEvent.keyDown(window, { key: 'u' });
  expect(lastDone()).toEqual({ remove: 'checkResult', id: results[1]!.id });
  await waitFor(() => expect(useRecords.getState().rows.checkResult.has(results[0]!.id)).toBe(true));
});
