import { EVENT_DEFAULTS, PIECE_DEFAULTS, type PieceRecord } from '@leggero/contract';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { firstDesign } from '@/features/builds/firstDesign';
import { SitePage } from '@/features/site/SitePage';

import { COLUMN } from './designs';
import { done, lastDone, MODEL_ID, show, someRecords, type Records } from './studio';

const id = (n: number) => `00000000-0000-4000-8000-0000000091${String(n).padStart(2, '0')}`;
const EVENT_ID = id(1);
const AT = '2026-11-20T10:00:00.000Z';

const PART = { modelId: MODEL_ID, colourHex: '#3f7a4a', finish: 'matte' as const };
const REEF = firstDesign('garland', { part: PART, stepMm: 3.175 });
const piece = (n: number, name: string, design: PieceRecord['design']): PieceRecord => ({
  ...PIECE_DEFAULTS,
  ...{ id: id(10 + n), name, design, eventId: EVENT_ID, checks: [], createdAt: AT, demo: false },
});
const open = async (by: Partial<Records> = {}, outdoors = false) => {
  const event = { ...EVENT_DEFAULTS, id: EVENT_ID, name: 'Low Tide', daysStanding: 0, createdAt: AT, demo: false };
  show(<SitePage eventId={EVENT_ID} />, {
    ...someRecords(),
    events: [{ ...event, outdoors }],
    pieces: [piece(1, 'Kelp', COLUMN), piece(2, 'Reef', REEF)],
    ...by,
  });
  await waitFor(() => expect(document.querySelector('[aria-busy=true]')).toBeNull());
};
const box = (name: string | RegExp) => screen.getByRole('checkbox', { name });

describe('the list of a place', () => {
  it('reminds of exits and latex, and at each piece of what it needs', async () => {
    await open();
    for (const name of ['Latex is asked for', 'Exits and signs stay clear', 'Sprinklers and detectors stay free'])
      expect(box(name).getAttribute('aria-checked')).toBe('false');
    expect(box('Kelp: it is weighed down')).toBeTruthy();
    expect(box(/^Reef: what hangs overhead is a rigger/)).toBeTruthy();
    expect(screen.getByRole('note', { name: 'What to mind' }).textContent).toMatch(/rigger or licensed contractor/);
  });

  it('asks of ballast and wind outdoors', async () => {
    await open({}, true);
    expect(box('The wind is low, and stays so')).toBeTruthy();
    expect(box(/^Kelp: frame and ballast are as someone responsible/)).toBeTruthy();
    expect(screen.queryByRole('checkbox', { name: /Sprinklers/ })).toBeNull();
  });

  it('is ticked with a tap, and the tick taken back with another, also where two devices ticked', async () => {
    await open({
      siteTicks: [
        { id: id(30), eventId: EVENT_ID, key: 'exits', at: AT },
        { id: id(31), eventId: EVENT_ID, key: 'exits', at: AT },
      ],
    });
    await userEvent.click(box('Latex is asked for'));
    expect(lastDone()).toMatchObject({ put: 'siteTick', row: { eventId: EVENT_ID, key: 'latex' } });
    expect(box('Exits and signs stay clear').getAttribute('aria-checked')).toBe('true');
    await userEvent.click(box('Exits and signs stay clear'));
    expect(done().slice(-2)).toEqual([
      { remove: 'siteTick', id: id(30) },
      { remove: 'siteTick', id: id(31) },
    ]);
    expect(screen.getByRole('progressbar').getAttribute('aria-label')).toMatch(/^1 of \d+ looked at$/);
  });

  it('has the studio’s own steps, for every event', async () => {
    await open({ ownSteps: [{ id: id(40), text: 'Ask for the keys', createdAt: AT }] });
    await userEvent.click(box('Ask for the keys'));
    expect(lastDone()).toMatchObject({ put: 'siteTick', row: { key: id(40) } });
    const field = screen.getByRole('textbox', { name: 'A step of your own, for every event' });
    await userEvent.type(field, `  ${'x'.repeat(161)}`);
    expect(screen.getByText('At most 160 characters.')).toBeTruthy();
    await userEvent.clear(field);
    await userEvent.type(field, ' Park at the quay ');
    await userEvent.click(screen.getByRole('button', { name: 'Add this step' }));
    expect(lastDone()).toMatchObject({ put: 'ownStep', row: { text: 'Park at the quay' } });
  });
});
