import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { CheckPage } from '@/features/check/CheckPage';
import { WithModel } from '@/features/model/WithModel';

import { visited } from './router';
import { CHECK_ID, done, lastDone, MODEL_ID, show, someRecords } from './studio';

const open = async (checkId = CHECK_ID, records = someRecords()) => {
  show(
    <WithModel modelId={MODEL_ID}>{(shown) => <CheckPage {...shown} checkId={checkId} />}</WithModel>,
    records,
  );
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
      name: 'createCheckResult',
      body: { checkId: CHECK_ID, position: 2, answer: 'passes', widthMm: null },
    });
    await waitFor(() => expect(batch()).toHaveLength(3));
    expect(screen.getByText(/1 of 3 (is|are) outside/)).toBeTruthy();
  });

  it('by keys, with an undo that frees the place again', async () => {
    await open();
    fireEvent.keyDown(window, { key: '1' });
    await waitFor(() => expect(batch()).toHaveLength(3));
    expect(lastDone()).toMatchObject({ body: { answer: 'stops', position: 2 } });
    fireEvent.keyDown(window, { key: 'u' });
    await waitFor(() => expect(batch()).toHaveLength(2));
    fireEvent.keyDown(window, { key: '2', ctrlKey: true });
    expect(done()).toHaveLength(2);
    fireEvent.keyDown(window, { key: '2' });
    expect(lastDone()).toMatchObject({ body: { answer: 'passes', position: 2 } });
  });

  it('by a measured width instead', async () => {
    await open();
    await userEvent.click(screen.getByRole('button', { name: 'Measure this one instead' }));
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Width' }), { key: 'PageDown' });
    await userEvent.click(screen.getByRole('button', { name: 'Keep this width' }));
    expect(lastDone()).toMatchObject({ body: { answer: null, widthMm: expect.closeTo(8.5 * 25.4, 6) } });
    await waitFor(() => expect(batch()).toContain('Number 3: 8½ in'));
  });

  it('to the end, where the verdict says what to do and no more is taken', async () => {
    await open();
    for (const key of ['2', '2', '2']) fireEvent.keyDown(window, { key });
    await waitFor(() => expect(screen.getByRole('button', { name: 'Done' })).toBeTruthy());
    expect(done()).toHaveLength(2);
    expect(screen.getByText('1 of 4 is outside. The rest are right.')).toBeTruthy();
    expect(screen.getByText('Add air to number 2.')).toBeTruthy();
    expect(
      screen.getByText(/25 % outside here\. Among many more like these, between 1 % and 81 %/),
    ).toBeTruthy();
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
