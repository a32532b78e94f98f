import {
  EVENT_DEFAULTS,
  PIECE_DEFAULTS,
  PLAN_DEFAULTS,
  planOf,
  type EventRecord,
  type PieceRecord,
  type WorkPlan,
} from '@leggero/contract';
import { TRADE } from '@leggero/core';
import type { PieceWork } from '@leggero/core/recipe';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { DateTime } from 'luxon';
import nodeIcal, { type VEvent } from 'node-ical';

import { SchedulePage } from '@/features/schedule/SchedulePage';
import { calendarOf } from '@/features/schedule/calendarFile';
import { ZoneField } from '@/parts/ZoneField';
import { MomentField } from '@/ui/MomentField';
import { eventDay, changeGiving, type EventDay } from '@/views/eventPlan';
import { workHours } from '@/views/workHours';
import { momentText } from '@/wording/day';
import { aheadText, airText, giveText, slipText, spanText } from '@/wording/schedule';

import { withBenchWorkers } from './benchWorker';
import { COLUMN } from './designs';
import { done, lastDone, MODEL_ID, show, someRecords, type Records } from './studio';

withBenchWorkers();

const id = (n: number) => `00000000-0000-4000-8000-0000000061${String(n).padStart(2, '0')}`;
const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const EVENT_ID = id(1);
const AT = '2026-11-20T10:00:00.000Z';

const event = (by: Partial<EventRecord> = {}): EventRecord => ({
  ...EVENT_DEFAULTS,
  ...{ id: EVENT_ID, name: 'Low Tide', daysStanding: 1, createdAt: AT, demo: false },
  ...by,
});
const piece = (n: number): PieceRecord => ({
  ...PIECE_DEFAULTS,
  ...{ id: id(10 + n), name: `Kelp ${n}`, design: COLUMN, eventId: EVENT_ID, checks: [], createdAt: AT, demo: false },
});
const records = (by: Partial<EventRecord>): Records => ({
  ...someRecords(),
  events: [event(by)],
  pieces: [piece(1), piece(2)],
});
/** An evening in so many days: how a day's hours of work end before it does not hang on when this runs. */
const inDays = (days: number) => new Date(new Date(Date.now() + days * DAY_MS).setHours(18, 0, 0, 0)).toISOString();
const open = async (by: Partial<EventRecord>) => {
  show(<SchedulePage eventId={EVENT_ID} />, records(by));
  await waitFor(() => expect(document.querySelector('[aria-busy=true]')).toBeNull());
};
const click = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

describe('the schedule of an event', () => {
  it('asks for the day where none is set', async () => {
    await open({ opensAt: null });
    expect(await screen.findByText('Say when the event opens, and its schedule follows from that.')).toBeTruthy();
  });

  it('goes backwards from its opening: what comes first, day by day, and the way back', async () => {
    await open({ opensAt: inDays(9), plan: { ...PLAN_DEFAULTS, people: 2, stations: 2 } });
    expect((await screen.findByRole('status')).textContent).toMatch(/^Buy what is missingby .* · \d days? .*to spare$/);
    for (const name of [/Inflate/, /Tie/, /Build 2 pieces/, /Bag and load/, /Travel there/, /Put up 2 pieces/])
      expect(screen.getAllByRole('button', { name }).length).toBeGreaterThan(0);
    expect(screen.getByText('Opening')).toBeTruthy();
    expect(screen.getByRole('button', { name: /Travel back/ })).toBeTruthy();
    expect(screen.getByRole('img', { name: /to the opening: Buy what is missing 3 days, Inflate / })).toBeTruthy();
  });

  it('says what moves where a step takes longer, and leads to where it is done', async () => {
    await open({ opensAt: inDays(9), plan: { ...PLAN_DEFAULTS, people: 2, stations: 2, spareMin: 45 } });
    await userEvent.click((await screen.findAllByRole('button', { name: /Inflate\d/ }))[0]!);
    const sheet = within(screen.getByRole('dialog'));
    expect(sheet.getByRole('status').textContent).toMatch(
      /^\d steps move, the last by 30 min .*The opening is kept\.$/,
    );
    await userEvent.click(sheet.getByRole('radio', { name: '3 h' }));
    expect(sheet.getByRole('status').textContent).toMatch(/^The opening is .* late\.$/);
    expect(sheet.getByRole('button', { name: 'Open the inflation run' })).toBeTruthy();
  });

  it('has what is done said with a tap, and taken back with another', async () => {
    await open({ opensAt: inDays(9), plan: { ...PLAN_DEFAULTS, people: 2, stations: 2 } });
    await userEvent.click((await screen.findAllByRole('button', { name: /Build 2 pieces/ }))[0]!);
    await click('It is done');
    expect(done().map((write) => ('put' in write && write.put === 'siteTick' ? write.row.key : null))).toEqual(
      expect.arrayContaining([`done build ${id(11)}`, `done build ${id(12)}`]),
    );
  });

  it('leaves out what is done, and of the balloons what stations made', async () => {
    const ticks = ['done buy', 'done tie', 'exits'].map((key, n) => ({
      id: id(50 + n),
      eventId: EVENT_ID,
      key,
      at: AT,
    }));
    show(<SchedulePage eventId={EVENT_ID} />, {
      ...records({ opensAt: inDays(9), plan: { ...PLAN_DEFAULTS, people: 2, stations: 2 } }),
      siteTicks: ticks,
    });
    await waitFor(() => expect(screen.getByRole('status').textContent).toMatch(/^Inflate/));
    expect(screen.queryByRole('button', { name: /Tie/ })).toBeNull();
    await userEvent.click(screen.getAllByRole('button', { name: 'Not yet' })[1]!);
    expect(lastDone()).toEqual({ remove: 'siteTick', id: id(51) });
  });

  it('has nothing left before the opening once all is done', async () => {
    const kinds = ['buy', 'inflate', 'tie', `build ${id(11)}`, `build ${id(12)}`, 'load', 'travel'];
    const ticks = [...kinds, `up ${id(11)}`, `up ${id(12)}`].map((step, n) => {
      return { id: id(50 + n), eventId: EVENT_ID, key: `done ${step}`, at: AT };
    });
    show(<SchedulePage eventId={EVENT_ID} />, {
      ...records({ opensAt: inDays(1), plan: { ...PLAN_DEFAULTS, people: 2, stations: 2 } }),
      siteTicks: ticks,
    });
    await waitFor(() => expect(screen.getByRole('status').textContent).toBe('All is done until it opens'));
    expect(screen.getByRole('button', { name: /Take down/ })).toBeTruthy();
  });

  it('says that it opened once it has', async () => {
    await open({ opensAt: inDays(-3) });
    // By the hour at which this is looked at.
    expect((await screen.findByRole('status')).textContent).toMatch(/^It opened [23] days ago\.$/);
  });

  it('that cannot be kept says what would have to give, and plans it so', async () => {
    await open({ opensAt: inDays(0.3), plan: { ...PLAN_DEFAULTS, deliveryDays: 5 } });
    expect((await screen.findByRole('alert')).textContent).toMatch(/^It cannot be kept: .* are missing\.$/);
    const gives = screen.getAllByText(/^then /).map(({ textContent }) => textContent);
    expect(gives.at(-1)).toBe('then it can be kept');
    expect(screen.getByText('Have it delivered the next day')).toBeTruthy();
    await userEvent.click(screen.getAllByRole('button', { name: 'Plan so' })[0]!);
    await waitFor(() => expect(lastDone()).toMatchObject({ change: 'event', by: { plan: { deliveryDays: 1 } } }));
  });

  it('has targets reckon with how long ahead balloons are filled', async () => {
    await open({ opensAt: inDays(9), hoursBefore: 90, wraps: 1 });
    await userEvent.click(await screen.findByRole('button', { name: /^Reckon with \d+ h$/ }));
    const [change] = done() as unknown as [{ by: { hoursBefore: number } }];
    expect(change.by.hoursBefore).toBeLessThan(40);
  });

  it('says beside its field that a day cannot end before it begins', async () => {
    await open({ opensAt: inDays(9), plan: { ...PLAN_DEFAULTS, dayFromMin: 600, dayToMin: 540 } });
    expect(await screen.findByText('A day ends later than it begins.')).toBeTruthy();
    expect(screen.getByText(/^The hours of work end before all is done/)).toBeTruthy();
    await click('More: people');
    await waitFor(() => expect(lastDone()).toMatchObject({ by: { plan: { people: 2, dayToMin: 540 } } }));
  });
});

describe('hours of work', () => {
  // Clocks of Lisbon went back on 25 October 2026, and those of New York on 1 November (from memory of the rules: the last
  // Sunday of October, the first of November).
  it('begin at the same hour on the day that clocks change, which is an hour longer', () => {
    const hours = workHours({
      fromMs: Date.parse('2026-10-24T00:00:00Z'),
      toMs: Date.parse('2026-10-27T00:00:00Z'),
      ...{ dayFromMin: 540, dayToMin: 1140, timeZone: 'Europe/Lisbon' },
    });
    expect(hours.map(({ fromMs }) => new Date(fromMs).toISOString())).toEqual([
      '2026-10-24T08:00:00.000Z',
      '2026-10-25T09:00:00.000Z',
      '2026-10-26T09:00:00.000Z',
    ]);
    expect(hours.every(({ fromMs, toMs }) => toMs - fromMs === 10 * HOUR_MS)).toBe(true);
    const [whole] = workHours({
      fromMs: Date.parse('2026-11-01T12:00:00Z'),
      toMs: Date.parse('2026-11-01T13:00:00Z'),
      ...{ dayFromMin: 0, dayToMin: 1440, timeZone: 'America/New_York' },
    });
    expect((whole!.toMs - whole!.fromMs) / HOUR_MS).toBe(25);
  });

  it('are none where a day ends before it begins', () => {
    expect(workHours({ fromMs: 0, toMs: 3 * DAY_MS, dayFromMin: 600, dayToMin: 600, timeZone: 'UTC' })).toEqual([]);
  });
});

/** Two kelp columns for an opening, made by two. */
function dayOf(by: Partial<EventRecord> & { opensAt: string }, nowMs: number): EventDay {
  const work = (n: number): PieceWork => ({
    ...{ piece: id(10 + n), copies: 1, bundles: [], knots: 90, clusters: 30, takes: [], length: null },
    sizes: [{ key: 'a', balloon: MODEL_ID, fillMm: 241, toleranceMm: 6, count: 900 }],
  });
  const made = eventDay({
    ...{ event: event(by), plan: { ...planOf({ plan: null }), people: 2, stations: 2 }, buys: true, nowMs },
    ...{ opensAt: by.opensAt, works: [work(1), work(2)], isPair: () => false, trade: TRADE },
    progress: { done: new Set(), made: 0 },
  });
  if (!made.ok) throw new Error(made.problem.code);
  return made.value;
}

describe('a calendar file', () => {
  const read = async (by: Partial<EventRecord> & { opensAt: string }) => {
    const nowMs = Date.parse(by.opensAt) - 12 * DAY_MS;
    const day = dayOf(by, nowMs);
    const text = await calendarOf({ event: event(by), day, nameOf: (piece) => `Kelp, no. ${piece.slice(-1)}`, nowMs });
    const events = Object.values(nodeIcal.sync.parseICS(text)).filter(
      (each): each is VEvent => each?.type === 'VEVENT',
    );
    return { day, text, events };
  };

  it('is read back by another library: every stretch of every step, and the opening', async () => {
    const by = { opensAt: '2026-12-05T18:00:00.000Z', place: 'Mirrow Hall; by the tanks' };
    const { day, text, events } = await read(by);
    const stretches = day.steps.flatMap(({ parts }) => parts);
    expect(events).toHaveLength(stretches.length + 1);
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
    const opening = events.find(({ summary }) => summary === 'Low Tide opens')!;
    expect(opening.start.toISOString()).toBe(by.opensAt);
    expect(opening.location).toBe(by.place);
    const built = events.find(({ summary }) => summary === 'Build: Kelp, no. 1 (Low Tide)')!;
    const step = day.steps.find(({ kind, piece }) => kind === 'build' && piece === id(11))!;
    // A file has whole seconds.
    expect(Math.abs(built.start.getTime() - step.startMs)).toBeLessThan(1000);
    expect(text).toMatch(/\r\n/);
    // No line is longer than calendars bear (RFC 5545, 3.1).
    expect(text.split('\r\n').every((line) => Buffer.byteLength(line) <= 75)).toBe(true);
  });

  it('keeps the hours of the place through a change of clocks', async () => {
    // The opening is the morning after clocks went back; work was the day before, by the clock of then.
    const { events } = await read({ opensAt: '2026-10-25T13:00:00.000Z', timeZone: 'Europe/Lisbon' });
    const hourOf = (event: VEvent) => DateTime.fromJSDate(event.start, { zone: 'Europe/Lisbon' }).toFormat('dd HH:mm');
    const called = (words: RegExp) => events.filter(({ summary }) => words.test(String(summary)));
    const [inflating, loading, opening] = [/^Inflate/, /^Bag and load/, /opens$/].map((words) => called(words)[0]!);
    expect(hourOf(inflating!) >= '24 09:00' && hourOf(inflating!) < '24 19:00').toBe(true);
    expect(hourOf(loading!) >= '25 09:00').toBe(true);
    expect(hourOf(opening!)).toBe('25 13:00');
  });
});

describe('clocks of other places', () => {
  it('are found by their city, and set by none that is not known', async () => {
    const onChange = jest.fn();
    show(<ZoneField value={null} onChange={onChange} />);
    const field = screen.getByRole('combobox', { name: 'Clock of the place' });
    await userEvent.type(field, 'lisbon');
    expect(onChange).toHaveBeenLastCalledWith('Europe/Lisbon');
    await userEvent.clear(field);
    expect(onChange).toHaveBeenLastCalledWith(null);
    onChange.mockClear();
    await userEvent.type(field, 'Atlantis');
    expect(screen.getByRole('alert').textContent).toMatch(/No clock is known by this name/);
    expect(onChange).not.toHaveBeenCalled();
  });

  it('are what a moment is entered and told by', async () => {
    const onChange = jest.fn();
    show(<MomentField label="Opens" value="2026-07-01T17:00:00.000Z" timeZone="Asia/Tokyo" onChange={onChange} />);
    const field = screen.getByLabelText<HTMLInputElement>('Opens', { selector: 'input' });
    expect(field.value).toBe('2026-07-02T02:00');
    await userEvent.clear(field);
    await userEvent.type(field, '2026-07-03T09:30');
    expect(onChange).toHaveBeenLastCalledWith('2026-07-03T00:30:00.000Z');
    expect(momentText('2026-07-01T17:00:00.000Z', 'Asia/Tokyo')).toMatch(
      /Jul.* 2.*02:00.*\(Tokyo\)|2.*Jul.*02:00.*\(Tokyo\)/,
    );
    expect(momentText('2026-07-01T17:00:00.000Z', 'UTC')).toBe(momentText('2026-07-01T17:00:00.000Z'));
  });
});

describe('words of the schedule', () => {
  const nameOf = (piece: string) => `piece ${piece}`;

  it('say how long, how late, and what gives', () => {
    expect([20_000, 40 * 60_000, 5 * HOUR_MS + 121_000, 76 * HOUR_MS].map(spanText)).toEqual([
      'under a minute',
      '40 min',
      '5 h',
      '3 days 4 h',
    ]);
    expect(airText(-HOUR_MS, { critical: true, leastMs: -HOUR_MS })).toBe('1 h too late');
    expect(airText(5 * HOUR_MS, { critical: false, leastMs: 2 * HOUR_MS })).toBe('3 h more to spare');
    const gives = (
      [
        { kind: 'wrap-twice' },
        { kind: 'faster-delivery' },
        { kind: 'longer-days' },
        { kind: 'stations', count: 3 },
        { kind: 'people', count: 4 },
        { kind: 'no-spare-time' },
        { kind: 'by-eye' },
        { kind: 'leave-out', piece: 'a' },
        { kind: 'later', byMs: HOUR_MS },
      ] as const
    ).map((give) => [giveText({ give, lateMs: 0 }, nameOf), changeGiving({ give, lateMs: 0 }, event())]);
    const planned = (by: Partial<WorkPlan>) => ({ plan: { ...PLAN_DEFAULTS, ...by } });
    expect(gives).toEqual([
      ['Wrap each neck twice', { wraps: 2 }],
      ['Have it delivered the next day', planned({ deliveryDays: 1 })],
      ['Work until 22:00', planned({ dayToMin: 1320 })],
      ['Inflate at 3 stations', planned({ stations: 3 })],
      ['Have 4 people, each with a station', planned({ people: 4, stations: 4 })],
      ['Keep no time in hand before the opening', planned({ spareMin: 0 })],
      ['Inflate by eye', planned({ sized: false })],
      ['Leave out: piece a', null],
      ['Open 1 h later', null],
    ]);
    expect(slipText({ moved: [], lateMs: 0 }, nameOf)).toBe('Nothing else moves.');
    expect(aheadText(5.4, 5)).toBeNull();
    expect(aheadText(null, 5)).toBeNull();
  });
});
