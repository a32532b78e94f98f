import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { BenchPage } from '@/features/bench/BenchPage';
import { StartPage } from '@/features/start/StartPage';
import { useWalk } from '@/parts/useFirstSteps';

import { goTo, visited } from './router';
import { done, PUMP_ID, show, someRecords, type Records } from './studio';

beforeEach(() => {
  visited.length = 0;
  useWalk.setState({ walked: [], putAway: false });
});

/** As an installation begins: tiers and one hand pump. */
function nothing(): Records {
  const records = someRecords();
  const pump = { ...records.pumps[0]!, name: 'Hand pump', doseVolumeL: null };
  return { ...records, models: [], sizers: [], pumps: [pump] };
}

describe('the card on the bench', () => {
  it('leads to the first step that is not walked', async () => {
    show(<BenchPage />, nothing());
    await userEvent.click(await screen.findByRole('button', { name: 'Choose your balloons' }));
    expect(visited).toEqual(['/start?step=balloons']);
  });

  it('takes from the records what is walked', async () => {
    const records = { ...someRecords(), sizers: [] };
    show(<BenchPage />, records);
    expect(await screen.findByRole('button', { name: 'Tap your holes' })).toBeTruthy();
    expect(screen.getAllByRole('link', { name: /, done$/ }).map((link) => link.getAttribute('aria-label'))).toEqual([
      'Your balloons, done',
      'Your pump, done',
      'The first balloon, done',
      'The first target, done',
    ]);
  });

  it('is not there in a studio that has walked them', async () => {
    show(<BenchPage />);
    expect(await screen.findByText('Worth calibrating first')).toBeTruthy();
    expect(screen.queryByText('The first minutes')).toBeNull();
  });
});

describe('a step', () => {
  it('puts all sizes that were tapped on the shelf, in one go', async () => {
    goTo('/start', { step: 'balloons' });
    show(<StartPage />, nothing());
    await userEvent.click(await screen.findByRole('checkbox', { name: '5 in' }));
    await userEvent.click(screen.getByRole('radio', { name: 'Mirror' }));
    await userEvent.click(screen.getByRole('button', { name: 'Put 2 sizes on the shelf' }));
    const row = { line: 'Mirror', finish: 'mirror', kind: 'round', lengthMm: null };
    expect(done()).toMatchObject([
      { put: 'model', row: { ...row, nominalMm: 279.4 } },
      { put: 'model', row: { ...row, nominalMm: 127 } },
    ]);
    expect(visited).toEqual(['/start?step=pump']);
  });

  it('wants at least one size, and a name', async () => {
    goTo('/start', { step: 'balloons' });
    show(<StartPage />, nothing());
    await userEvent.click(await screen.findByRole('checkbox', { name: '11 in' }));
    const put = screen.getByRole('button', { name: 'Put 0 sizes on the shelf' });
    expect(put.getAttribute('aria-disabled')).toBe('true');
    await userEvent.clear(screen.getByRole('textbox', { name: 'Name on the bag' }));
    expect(screen.getByRole('alert').textContent).toBe('Give the line a name of 1 to 80 characters.');
  });

  it('makes the pump there is the one that is used', async () => {
    goTo('/start', { step: 'pump' });
    show(<StartPage />, nothing());
    await userEvent.click(await screen.findByRole('radio', { name: /^Timed inflator/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Use this one' }));
    expect(done()).toEqual([{ change: 'pump', id: PUMP_ID, by: { name: 'Timed inflator', kind: 'timed' } }]);
    expect(useWalk.getState().walked).toEqual(['pump']);
  });

  it('leaves a pump that was measured by as it is, and adds the other', async () => {
    goTo('/start', { step: 'pump' });
    const records = someRecords();
    show(<StartPage />, { ...records, pumps: [{ ...records.pumps[0]!, name: 'Hand pump', doseVolumeL: null }] });
    await userEvent.click(await screen.findByRole('radio', { name: /^Timed inflator/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Use this one' }));
    expect(done()).toMatchObject([{ put: 'pump', row: { name: 'Timed inflator', kind: 'timed' } }]);
  });

  it('makes a sizer of the holes that were tapped', async () => {
    goTo('/start', { step: 'sizer' });
    show(<StartPage />, nothing());
    const holes = within(await screen.findByRole('group', { name: 'Holes' }));
    await userEvent.click(holes.getByRole('checkbox', { name: '9½ in' }));
    await userEvent.click(holes.getByRole('checkbox', { name: '5 in' }));
    await userEvent.click(screen.getByRole('button', { name: 'Save 2 holes' }));
    const [sizer, ...rows] = done() as { row: { id: string } }[];
    expect(rows).toMatchObject([
      { put: 'hole', row: { sizerId: sizer!.row.id, label: '5', widthMm: 127 } },
      { put: 'hole', row: { sizerId: sizer!.row.id, label: '9½', widthMm: 241.3 } },
    ]);
  });

  it('needs a balloon before one can be filled', async () => {
    goTo('/start', { step: 'reading' });
    show(<StartPage />, nothing());
    expect(await screen.findByText('Put a balloon on the shelf first: that is the first step.')).toBeTruthy();
    const fill = screen.getByRole('button', { name: 'Fill the first balloon' });
    expect(fill.getAttribute('aria-disabled')).toBe('true');
  });
});
