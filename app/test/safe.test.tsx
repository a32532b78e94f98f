import type { Backups } from '@leggero/contract/backup';
import type { Deed } from '@leggero/contract/deed';
import { act, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { remember } from '@/data/place';
import { BackupsPage } from '@/features/safe/BackupsPage';
import { DeedsPage } from '@/features/safe/DeedsPage';
import { keepingText, sizeText } from '@/wording/backups';
import { changesText, deedTitle } from '@/wording/deeds';

import { MODEL_ID, show, someRecords, type Records } from './studio';

const id = (n: number) => `00000000-0000-4000-8000-0000000091${String(n).padStart(2, '0')}`;
const [MAREN, ISOLDE] = [
  { id: id(90), name: 'Maren' },
  { id: id(91), name: 'Isolde' },
];
const deed = (n: number, by: Partial<Deed>): Deed => ({
  ...{ id: id(n), at: `2026-11-2${n}T17:00:00.000Z`, by: MAREN, count: 1, canUndo: true, undoneBy: null, undoes: null },
  rows: [{ noun: 'model', id: MODEL_ID, was: { stock: 100 }, is: { stock: 80 } }],
  ...by,
});
const DEEDS: Deed[] = [
  deed(5, {
    ...{ count: 14, by: ISOLDE },
    rows: [{ noun: 'event', id: id(1), was: { id: id(1), name: 'Low Tide' }, is: null }],
  }),
  deed(4, {}),
  deed(3, {
    ...{ by: null, canUndo: false, undoneBy: id(80) },
    rows: [{ noun: 'pump', id: id(2), was: null, is: { id: id(2), name: 'Skiff' } }],
  }),
];

const asked: string[] = [];
/** A studio whose server answers this to what is on no device, by method and path. */
const studioWith = (answers: Record<string, { status?: number; body: unknown }>): Records => ({
  ...someRecords(),
  answers: (what) => {
    const answer = answers[what.replace(/\?.*/, '')];
    if (answer) asked.push(what);
    return answer;
  },
});
beforeEach(() => (asked.length = 0));
afterEach(() => remember(null));

const listItems = () => screen.getAllByRole('listitem').map((item) => item.textContent);

describe('who changed what', () => {
  it('is told day by day: what, to what, by whom; and each is taken back from there', async () => {
    const answers = {
      'GET /api/deeds': { body: { deeds: DEEDS, more: 7 } },
      [`POST /api/deeds/${id(4)}/undo`]: { body: DEEDS[1] },
      [`POST /api/deeds/${id(5)}/undo`]: {
        status: 409,
        body: { type: 'about:blank', status: 409, title: 'It was changed since: take that back first.' },
      },
    };
    show(<DeedsPage />, studioWith(answers));
    await waitFor(() => expect(screen.getAllByRole('listitem')).toHaveLength(3));
    expect(listItems()[0]).toMatch(/^Taken away: an event, with 13 records of itLow TideIsolde, /);
    expect(listItems()[1]).toMatch(/^Changed: a balloonFennimore Standard 11, kelp greenStock: 100 → 80Maren, /);
    expect(listItems()[2]).toMatch(/^New: a pumpSkiffAt this machine, .*Taken back$/);
    expect(screen.getAllByRole('button', { name: 'Undo' })).toHaveLength(2);
    const [taken, changed] = screen.getAllByRole('listitem');
    await userEvent.click(within(changed!).getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(asked).toContain(`POST /api/deeds/${id(4)}/undo`));
    expect(asked.filter((each) => each.startsWith('GET')).length).toBeGreaterThan(1);
    await userEvent.click(within(taken!).getByRole('button', { name: 'Undo' }));
    expect((await screen.findByRole('alert')).textContent).toBe('It was changed since: take that back first.');
  });

  it('goes on to what was before, and to what one of them did', async () => {
    show(<DeedsPage />, studioWith({ 'GET /api/deeds': { body: { deeds: DEEDS, more: 7 } } }));
    await userEvent.click(await screen.findByRole('button', { name: 'Show what was before' }));
    await waitFor(() => expect(asked).toContain('GET /api/deeds?before=7'));
    await userEvent.click(screen.getByRole('radio', { name: 'Isolde' }));
    await waitFor(() => expect(asked).toContain(`GET /api/deeds?by=${ISOLDE.id}`));
  });

  it('is for planners and owners, and says so', () => {
    remember({ studioId: id(70), accountId: id(71), role: 'maker', eventId: null });
    show(<DeedsPage />, someRecords());
    expect(screen.getByText('Planners and owners see who changed what.')).toBeTruthy();
  });

  it('names fields and units as people do, and leaves out what no line holds', () => {
    const text = (mm: number) => `${mm} mm`;
    const was = { widthMm: 200, workroomTempC: 21, outerId: id(1), finish: '', name: 'a', hard: true };
    const is = { widthMm: 220.5, workroomTempC: 23.5, outerId: id(2), finish: 'matte', name: 'b', hard: false };
    expect(changesText({ was, is }, text)).toEqual([
      'Width: 200 mm → 220.5 mm',
      'Workroom: 21\u00a0°C → 23.5\u00a0°C',
      'Outer',
      'and 3 more',
    ]);
    const only = (field: keyof typeof was) =>
      changesText({ was: { [field]: was[field] }, is: { [field]: is[field] } }, text);
    expect([only('finish'), only('hard'), only('name')]).toEqual([
      ['Finish: nothing → “matte”'],
      ['Hard: yes → no'],
      ['Name: “a” → “b”'],
    ]);
    expect(changesText({ was: null, is }, text)).toEqual([]);
    expect(deedTitle(deed(1, { count: 4 }))).toBe('Changed: a balloon, and 3 more');
  });
});

describe('backups', () => {
  const backups = (by: Partial<Backups>) => ({
    'GET /api/backups': { body: { byItself: true, kept: [], problem: null, ...by } satisfies Backups },
  });

  it('tells which were kept, that they can be restored, and what went wrong', async () => {
    const kept = Array.from({ length: 7 }, (_, day) => ({
      madeAt: `2026-11-2${7 - day}T02:00:00.000Z`,
      bytes: 1_240_000,
      tried: day !== 1,
    }));
    show(<BackupsPage />, studioWith(backups({ kept, problem: 'It could not be written.' })));
    await waitFor(() => expect(screen.getAllByRole('listitem')).toHaveLength(5));
    expect(listItems()[0]).toMatch(/1\.2 MB, restored on trial$/);
    expect(listItems()[1]).toMatch(/1\.2 MB, not tried/);
    expect(screen.getByText('and 2 older ones')).toBeTruthy();
    expect(screen.getByRole('alert').textContent).toBe('The last one came to nothing. It could not be written.');
    expect(screen.getByRole('button', { name: 'Save a backup' })).toBeTruthy();
  });

  it('says where none is made by itself, and is for owners', async () => {
    expect(keepingText({ byItself: false, kept: [] })).toMatch('makes none by itself');
    expect([sizeText(900), sizeText(25_300), sizeText(73e6), sizeText(2.34e9)]).toEqual([
      '0.9 kB',
      '25 kB',
      '73 MB',
      '2.3 GB',
    ]);
    remember({ studioId: id(70), accountId: id(71), role: 'planner', eventId: null });
    show(<BackupsPage />, someRecords());
    await act(async () => undefined);
    expect(screen.queryByRole('button', { name: 'Save a backup' })).toBeNull();
  });
});
