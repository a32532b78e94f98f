import { EVENT_DEFAULTS, PIECE_DEFAULTS, type EventRecord, type PieceRecord } from '@leggero/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { PiecePage } from '@/chunks/PiecePage';
import { BuildList } from '@/features/builds/BuildList';
import { firstDesign } from '@/features/builds/firstDesign';
import { NewPiecePage } from '@/features/builds/NewPiecePage';
import { EventPage } from '@/features/event/EventPage';
import { NewEventPage } from '@/features/event/NewEventPage';
import { conditionsOf } from '@/views/events';
import { awayText } from '@/wording/day';
import { conditionsText, openingProblem, whenAndWhere } from '@/wording/events';

import { goTo, visited } from './router';
import { done, lastDone, MODEL_ID, show, someRecords } from './studio';

const id = (n: number) => `00000000-0000-4000-8000-0000000028${String(n).padStart(2, '0')}`;
const EVENT_ID = id(1);
const HOUR = 3_600_000;
const at = (hours: number) => new Date(Date.now() + hours * HOUR).toISOString();
const part = { modelId: null, colourHex: '#d2577e', finish: 'matte' } as const;

const event = (by: Partial<EventRecord> = {}): EventRecord => ({
  ...EVENT_DEFAULTS,
  ...{ id: EVENT_ID, name: 'Low Tide', place: 'The quay', daysStanding: 2, demo: false },
  createdAt: '2026-11-20T10:00:00.000Z',
  ...by,
});
const piece = (n: number, by: Partial<PieceRecord> = {}): PieceRecord => ({
  ...PIECE_DEFAULTS,
  ...{ id: id(10 + n), name: `Piece ${n}`, design: firstDesign('ring', { part, stepMm: 3.175 }), checks: [] },
  ...{ createdAt: '2026-11-20T10:00:00.000Z', demo: false },
  ...by,
});
const withEvents = (events: EventRecord[], pieces: PieceRecord[]) => ({ ...someRecords(), events, pieces });
const click = (name: string | RegExp, role = 'button') => userEvent.click(screen.getByRole(role, { name }));
beforeEach(() => goTo('/builds'));

describe('the list of builds', () => {
  it('has each event with its pieces, the next first, what is over last, then the sketches', async () => {
    const events = [
      event({ id: id(2), name: 'Spring tide', opensAt: at(900) }),
      event({ opensAt: at(48) }),
      event({ id: id(3), name: 'Ebb', opensAt: at(-900), state: 'down' }),
    ];
    const pieces = [piece(1, { eventId: EVENT_ID, copies: 2 }), piece(2), piece(3, { eventId: id(99) })];
    show(<BuildList />, withEvents(events, pieces));
    await screen.findByText('3 events, 3 pieces');
    const titles = screen.getAllByRole('link').map((link) => link.textContent);
    const places = ['Low Tide', '2 × Piece 1', 'Spring tide', 'Ebb', 'Piece 2', 'Piece 3'].map((title) =>
      titles.findIndex((text) => text?.startsWith(title)),
    );
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(places).not.toContain(-1);
    expect(screen.getByText('Sketches')).toBeTruthy();
    await click(/^Low Tide/, 'link');
    expect(visited).toEqual([`/builds/events/${EVENT_ID}`]);
  });
});

describe('a new event', () => {
  it('is planned under its name, on its day; without a name it is not', async () => {
    show(<NewEventPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Plan it' }));
    expect(screen.getByText('A name of 1 to 80 characters.')).toBeTruthy();
    expect(done()).toEqual([]);
    await userEvent.type(screen.getByRole('textbox', { name: 'Name of the event' }), 'Low Tide');
    fireEvent.change(screen.getByLabelText('Opens'), { target: { value: '2020-12-05T10:00' } });
    expect(screen.getByText(/^It opened .* ago and is still planned: is it up\?$/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Opens'), { target: { value: '2037-12-05T10:00' } });
    expect(screen.queryByText(/^It opened/)).toBeNull();
    // A year typed digit by digit is none yet.
    fireEvent.change(screen.getByLabelText('Opens'), { target: { value: '0002-12-05T10:00' } });
    expect(screen.getByText('A day from 1900 to 2199.')).toBeTruthy();
    await click('Plan it');
    const opensAt = new Date('2037-12-05T10:00').toISOString();
    expect(lastDone()).toMatchObject({ put: 'event', row: { name: 'Low Tide', opensAt, state: 'planned' } });
    expect(visited[0]).toMatch(/^\/builds\/events\/[0-9a-f-]{36}$/);
  });
});

describe('an event', () => {
  const open = async (by: Partial<EventRecord> = {}, pieces = [piece(1, { eventId: EVENT_ID }), piece(2)]) => {
    show(<EventPage eventId={EVENT_ID} />, withEvents([event(by)], pieces));
    await screen.findByText('Pieces');
  };

  it('shows its own pieces, and draws up another for itself', async () => {
    await open();
    expect(screen.getByText('Piece 1')).toBeTruthy();
    expect(screen.queryByText('Piece 2')).toBeNull();
    await click('Draw up a piece');
    expect(visited).toEqual([`/builds/new?event=${EVENT_ID}`]);
  });

  it('is changed where it stands: once the hand rests, and a name never to nothing', async () => {
    await open();
    const name = screen.getByRole('textbox', { name: 'Name of the event' });
    await userEvent.clear(name);
    expect(screen.getByText('A name of 1 to 80 characters.')).toBeTruthy();
    await new Promise((resolve) => setTimeout(resolve, 500));
    expect(done()).toEqual([]);
    // What else is changed meanwhile is kept, and alone.
    await click('Up', 'radio');
    await waitFor(() => expect(lastDone()).toEqual({ change: 'event', id: EVENT_ID, by: { state: 'up' } }));
    await userEvent.type(name, 'Spring tide');
    await waitFor(() =>
      expect(lastDone()).toMatchObject({ change: 'event', id: EVENT_ID, by: { name: 'Spring tide' } }),
    );
    await click('In work', 'radio');
    await waitFor(() => expect(lastDone()).toMatchObject({ by: { state: 'in work' } }));
  });

  it('says when it opens too soon, or opened long ago', async () => {
    await open({ opensAt: at(2), hoursBefore: 5 });
    expect(screen.getAllByText(/^It opens in 2 hours, and is made 5 hours before/)).not.toHaveLength(0);
  });

  it('is copied with its pieces, undated and planned, and none of their checks', async () => {
    await open({ opensAt: at(48), state: 'up' });
    await click('Copy this event with its pieces');
    const writes = done() as unknown as { put: string; row: Record<string, unknown> }[];
    expect(writes.map(({ put }) => put)).toEqual(['event', 'piece']);
    const [copied, copiedPiece] = writes;
    expect(copied!.row).toMatchObject({
      name: 'Low Tide, once more',
      opensAt: null,
      state: 'planned',
      place: 'The quay',
    });
    expect(copiedPiece!.row).toMatchObject({ name: 'Piece 1', eventId: copied!.row['id'] });
    expect(copiedPiece!.row['id']).not.toBe(id(11));
    expect(visited).toEqual([`/builds/events/${String(copied!.row['id'])}`]);
  });

  it('says which of its pieces keep targets that would be others by now', async () => {
    const fixing = {
      ...{ id: id(40), pieceId: id(11), modelId: MODEL_ID, wantedMm: 228.6, fillMm: 200, dose: 3 },
      ...{ origin: 'measured' as const, fixedAt: '2026-11-21T10:00:00.000Z' },
    };
    show(<EventPage eventId={EVENT_ID} />, {
      ...withEvents([event()], [piece(1, { eventId: EVENT_ID })]),
      fixings: [fixing],
    });
    expect(await screen.findByText('Ring · 1 fixed target moved')).toBeTruthy();
  });

  it('that is not there says so', async () => {
    show(<EventPage eventId={id(99)} />, withEvents([], []));
    expect(await screen.findByText(/No event is known at this address/)).toBeTruthy();
  });
});

describe('a piece', () => {
  it('goes to another event, in as many copies as are made, and is copied', async () => {
    show(<PiecePage pieceId={id(11)} />, withEvents([event()], [piece(1)]));
    await screen.findByText('Piece 1');
    await click('More');
    await click('Low Tide', 'radio');
    expect(lastDone()).toEqual({ change: 'piece', id: id(11), by: { eventId: EVENT_ID } });
    await click('More: of this piece');
    expect(lastDone()).toEqual({ change: 'piece', id: id(11), by: { copies: 2 } });
    expect(await screen.findByText('2 × Piece 1')).toBeTruthy();
    expect(screen.getByText('Everything here is for one of the 2 that are made.')).toBeTruthy();
    await click('Copy this piece');
    expect(lastDone()).toMatchObject({
      put: 'piece',
      row: { name: 'Piece 1, once more', eventId: EVENT_ID, copies: 2 },
    });
  });

  it('is drawn up for the event that asked for it', async () => {
    goTo('/builds/new', { event: EVENT_ID, form: 'column' });
    show(<NewPiecePage />, withEvents([event()], []));
    await userEvent.click(await screen.findByRole('button', { name: 'Draw it up' }));
    expect(lastDone()).toMatchObject({ put: 'piece', row: { eventId: EVENT_ID, design: { form: 'column' } } });
  });
});

describe('words and conditions of events', () => {
  it('say when and where, and what is not said yet is left out', () => {
    expect(whenAndWhere({ opensAt: null, timeZone: null, place: '' })).toBe('');
    expect(whenAndWhere({ opensAt: null, timeZone: null, place: 'The quay' })).toBe('The quay');
    expect(conditionsText(event({ venueTempC: 30, outdoors: true }), 21)).toBe(
      'outdoors · 21 to 30 °C · made 3 hours before · stands 2 days',
    );
    expect(conditionsText(event({ daysStanding: 0 }), 21)).toBe(
      'indoors · 21 °C · made 3 hours before · stands the same day',
    );
  });

  it('count days from two on, hours before', () => {
    const now = Date.parse('2026-12-01T10:00:00.000Z');
    expect(awayText('2026-12-08T10:00:00.000Z', now)).toBe('in 7 days');
    expect(awayText('2026-12-02T09:00:00.000Z', now)).toBe('in 23 hours');
    expect(awayText('2026-11-25T10:00:00.000Z', now)).toBe('6 days ago');
    expect(openingProblem(event({ opensAt: '2026-11-25T10:00:00.000Z', state: 'down' }), now)).toBeUndefined();
  });

  it('reach what its balloons are made for; a sketch is as the studio is', () => {
    const { studio } = someRecords();
    expect(conditionsOf(null, studio)).toEqual({ studio, venue: null });
    const hot = conditionsOf(event({ venueTempC: 35, hoursBefore: 6, wraps: 1 }), studio);
    expect(hot.studio.daysStanding).toBe(2);
    expect(hot.venue).toEqual({ tempC: 35, altitudeM: studio.workroomAltitudeM, hours: 6, wraps: 1 });
    expect(conditionsOf(event({ workroomTempC: 12 }), studio)).toMatchObject({
      studio: { workroomTempC: 12 },
      venue: { tempC: 12 },
    });
  });
});
