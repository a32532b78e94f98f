import {
  CHECK_DEFAULTS,
  EVENT_DEFAULTS,
  PIECE_DEFAULTS,
  RESULT_DEFAULTS,
  type InflationBatch,
  type PieceRecord,
  type RepairRecord,
  type TallyRecord,
  type TurnRecord,
} from '@leggero/contract';
import { TRADE, type HoleAnswer, type Tallied } from '@leggero/core';
import type { Batch } from '@leggero/core/recipe';
import { act, cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { InflationPage } from '@/features/inflation/InflationPage';
import { changesOf, runOf } from '@/features/recipe/runOf';
import { lossesOfRuns } from '@/views/runLosses';
import { pacesOfRuns, tradeAtOwnPace } from '@/views/runPaces';
import { stockBook } from '@/views/stock';
import { lastingText, madeText } from '@/wording/inflation';
import { paceNote } from '@/wording/recipe';

import { withBenchWorkers } from './benchWorker';
import { COLUMN } from './designs';
import { goTo, visited } from './router';
import { done, FRESH_ID, lastDone, MODEL_ID, namesDone, show, someRecords, type Records } from './studio';

withBenchWorkers();

const inch = (inches: number) => inches * 25.4;
const id = (n: number) => `00000000-0000-4000-8000-0000000041${String(n).padStart(2, '0')}`;
const EVENT_ID = id(1);
const RUN_ID = id(2);
const MINUTE_MS = 60_000;
const before = (minutes: number) => new Date(Date.now() - minutes * MINUTE_MS).toISOString();

const batch = (n: number, by: Partial<InflationBatch> = {}): InflationBatch => ({
  ...{ id: id(10 + n), inflationId: RUN_ID, key: `batch ${n}`, place: n, modelId: MODEL_ID, colourHex: '#3f7a4a' },
  ...{ fillMm: inch(9.5), toleranceMm: inch(0.25), count: 4, dose: 7, timed: false },
  ...by,
});
const turn = (n: number, by: Partial<TurnRecord> = {}): TurnRecord => ({
  ...{ id: id(30 + n), batchId: id(10), station: 'Table 1', atOnce: 1, bagId: null, dose: null },
  ...{ startedAt: before(20) },
  ...by,
});
const tally = (n: number, what: Tallied, by: Partial<TallyRecord> = {}): TallyRecord => ({
  ...{ id: id(50 + n), turnId: id(30), what, count: 1, at: before(20 - n / 10) },
  ...by,
});
const EVENT = {
  ...EVENT_DEFAULTS,
  id: EVENT_ID,
  name: 'Low Tide',
  daysStanding: 0,
  createdAt: before(900),
  demo: false,
};
const records = (by: Partial<Records> = {}): Records => ({
  ...someRecords(),
  events: [EVENT],
  inflations: [{ id: RUN_ID, eventId: EVENT_ID, startedAt: before(25), endedAt: null, demo: false }],
  inflationBatches: [batch(0), batch(1, { fillMm: inch(5), modelId: FRESH_ID, dose: null, count: 2 })],
  ...by,
});
const open = async (by: Partial<Records> = {}, address: Record<string, string> = { station: 'Table 1' }) => {
  goTo(`/builds/events/${EVENT_ID}/run`, address);
  show(<InflationPage eventId={EVENT_ID} />, records(by));
  await waitFor(() => expect(document.querySelector('[aria-busy=true]')).toBeNull());
};
const click = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));
/** Keys one after another, faster than the page is drawn; what they did is kept once they are on their way to the screen. */
const keys = async (target: Element | Window, ...all: string[]) => {
  act(() => {
    for (const key of all) fireEvent.keyDown(target, { key });
  });
  await act(() => new Promise((resolve) => setTimeout(resolve, 0)));
};
const rowsDone = (noun: string) =>
  done().flatMap((write) => ('put' in write && write.put === noun ? [write.row as Record<string, unknown>] : []));

const by = <Row extends { id: string }>(rows: Row[]) => new Map(rows.map((row) => [row.id, row]));
const uuid = (n: number) => `00000000-0000-4000-8000-00000000${5000 + n}`;

/** A check in a turn, with answers one after another. */
const checked = (answers: HoleAnswer[], by: Partial<TurnRecord> = {}) => {
  const { id: turnId } = turn(0, by);
  const check = {
    ...{ id: id(70), modelId: MODEL_ID, tierName: 'Inflation run', targetMm: inch(9.5), toleranceMm: inch(0.25) },
    ...{ size: 30, ...CHECK_DEFAULTS, turnId, startedAt: before(19), demo: false },
    results: answers.map((answer, position) => ({
      ...{ id: id(80 + position), checkId: id(70), position, answer, widthMm: null, ...RESULT_DEFAULTS },
      takenAt: before(18 - position / 10),
    })),
  };
  return someRecords().models.map((model) => (model.id === MODEL_ID ? { ...model, checks: [check] } : model));
};

describe('an inflation run', () => {
  it('begins from the recipe, and says what former ones came to', async () => {
    await open({ inflations: [] });
    expect(screen.getByText(/No run has begun/)).toBeTruthy();
    await click('To the recipe');
    expect(visited).toEqual([`/builds/events/${EVENT_ID}/recipe`]);
  });

  it('keeps whose hands a turn was with the turn, where that is said', async () => {
    const { people } = someRecords();
    await open({}, {});
    await userEvent.click(await screen.findByRole('radio', { name: people[0]!.name }));
    await click('Begin here');
    await click(/^Done/);
    await click(/^Done/);
    const [begun] = rowsDone('turn');
    expect(rowsDone('turnHands')).toMatchObject([{ turnId: begun!['id'], personId: people[0]!.id }]);
    cleanup();
    await open();
    await click(/^Done/);
    expect(rowsDone('turnHands')).toEqual([]);
  });

  it('of an event that is not there says so', async () => {
    await open({ events: [] });
    expect(screen.getByText(/No event is known/)).toBeTruthy();
  });

  it('that is over is summed up', async () => {
    const taps = Array.from({ length: 4 }, (_, i) => tally(i, 'done'));
    await open({
      inflations: [{ id: RUN_ID, eventId: EVENT_ID, startedAt: before(25), endedAt: before(1), demo: false }],
      turns: [turn(0)],
      tallies: [...taps, tally(5, 'popped')],
    });
    expect(screen.getByText('4 of 6 balloons made, 1 lost')).toBeTruthy();
    expect(screen.getByText('Table 1: 6 s each, over 3 balloons')).toBeTruthy();
    await click('Go on with this run');
    expect(lastDone()).toEqual({ change: 'inflation', id: RUN_ID, by: { endedAt: null } });
    expect(await screen.findByRole('button', { name: 'Done' })).toBeTruthy();
  });

  it('that is over says what each piece took against its plan', async () => {
    const column: PieceRecord = {
      ...{ ...PIECE_DEFAULTS, id: id(90), name: 'Kelp', design: COLUMN, eventId: EVENT_ID, checks: [] },
      ...{ createdAt: before(800), demo: false },
    };
    const repair: RepairRecord = {
      ...{ id: id(91), eventId: EVENT_ID, pieceId: column.id, modelId: MODEL_ID, colourHex: '#3f7a4a' },
      ...{ cause: 'popped', reckonedMm: inch(9), measuredMm: null, fillMm: inch(9), at: before(1) },
    };
    await open({
      inflations: [{ id: RUN_ID, eventId: EVENT_ID, startedAt: before(25), endedAt: before(1), demo: false }],
      inflationBatches: [batch(0, { key: `${MODEL_ID} 2413` }), batch(1, { key: 'gone 1270', modelId: null })],
      turns: [turn(0), turn(1, { batchId: id(11) })],
      tallies: [
        ...Array.from({ length: 5 }, (_, i) => tally(i, 'done')),
        ...[tally(6, 'popped'), tally(7, 'done', { turnId: turn(1).id })],
      ],
      pieces: [column],
      more: { repair: [repair] },
    });
    const kelp = await screen.findByRole('link', { name: /^Kelp/ });
    // Five at six seconds each; of a balloon that it does not ask for one more was made.
    expect(kelp.textContent).toMatch(/5 of \d+ made, 1 lost in 1 min; planned .*\. 1 balloon made anew where it stood/);
    expect(screen.getByText(/1 balloon beside these went into none of them/)).toBeTruthy();
  });

  it('asks first which station this is', async () => {
    await open({}, {});
    expect(screen.getByText('6 balloons left')).toBeTruthy();
    expect(screen.getByRole('note', { name: 'What to mind' })).toBeTruthy();
    await userEvent.clear(screen.getByRole('textbox', { name: 'Its name' }));
    expect(screen.getByText('Give it a name.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Begin here' })).toHaveProperty('disabled', true);
    await userEvent.type(screen.getByRole('textbox', { name: 'Its name' }), 'By the door');
    await userEvent.click(screen.getByRole('radio', { name: 'Two, a pair' }));
    await click('Begin here');
    expect(await screen.findByRole('button', { name: 'Pair done' })).toBeTruthy();
    expect(screen.getByText('Batch A of 2')).toBeTruthy();
    expect(screen.getByText(/^By the door · \d+ min left/)).toBeTruthy();
  });
});

describe('at a station', () => {
  it('stands what to make: the width, the hole with its gap, the strokes, how many', async () => {
    await open();
    expect(screen.getByRole('status', { name: '9½ in across, ¼ in either way' })).toBeTruthy();
    for (const text of ['Kelp green', 'Fennimore Standard 11', 'leave a ½ gap', 'strokes, then size it', '0 of 4'])
      expect(screen.getByText(text)).toBeTruthy();
  });

  it('a tap counts for what is filled at once, in one turn however fast they come', async () => {
    await open({}, { station: 'Table 1', two: '1' });
    await keys(window, ' ', 'PageDown', '1', ' ');
    expect(namesDone()).toEqual(['put turn', ...Array.from({ length: 4 }, () => 'put tally')]);
    expect(rowsDone('turn')).toMatchObject([{ batchId: id(10), station: 'Table 1', atOnce: 2 }]);
    expect(rowsDone('tally').map(({ what, count }) => [what, count])).toEqual([
      ['done', 2],
      ['done', 2],
      ['popped', 1],
      ['done', 2],
    ]);
    expect(await screen.findByText('4 of 4, 2 over')).toBeTruthy();
    expect(screen.getByText('1 lost')).toBeTruthy();
  });

  it('a tap is on the screen before it is kept, and counts once when both are', async () => {
    await open({ turns: [turn(0)], tallies: [tally(0, 'done')] });
    act(() => void fireEvent.keyDown(window, { key: ' ' }));
    expect(screen.getByText('2 of 4')).toBeTruthy();
    expect(rowsDone('tally')).toEqual([]);
    await keys(window, '1', 'u');
    expect(screen.getByText('2 of 4')).toBeTruthy();
    expect(screen.getByText('0 lost')).toBeTruthy();
    expect(namesDone()).toEqual(['put tally', 'put tally', 'remove tally']);
  });

  it('undo takes back one tap after another, each once, and nothing of another station', async () => {
    await open({
      turns: [turn(0), turn(1, { station: 'Table 2' })],
      tallies: [tally(0, 'done'), tally(1, 'popped'), tally(2, 'done', { turnId: id(31) })],
    });
    await click('Pinhole');
    await keys(window, 'u', 'u', 'u', 'u', 'u');
    const removed = done().flatMap((write) => ('remove' in write ? [write.id] : []));
    expect(removed).toEqual([rowsDone('tally')[0]!['id'], id(51), id(50)]);
    expect(await screen.findByText('1 of 4')).toBeTruthy();
  });

  it('a balloon of the wrong size is neither lost nor done', async () => {
    await open();
    await click(/^Wrong size/);
    expect(await screen.findByText('0 lost · 1 made anew')).toBeTruthy();
    expect(screen.getByText('0 of 4')).toBeTruthy();
  });

  it('a size is asked for at the first balloon, and taken in two taps', async () => {
    await open();
    expect(screen.queryByText('The first of this batch')).toBeNull();
    await click('Done');
    await screen.findByText('The first of this batch');
    await click('Check it');
    await click(/^Just passes/);
    const [check] = rowsDone('check');
    expect(check).toMatchObject({ modelId: MODEL_ID, targetMm: 241.3, turnId: rowsDone('turn')[0]!['id'] });
    expect(lastDone()).toMatchObject({
      put: 'checkResult',
      row: { checkId: check!['id'], position: 0, answer: 'passes' },
    });
    await waitFor(() => expect(screen.queryByText('The first of this batch')).toBeNull());
    await click('Check a size');
    await keys(window, '1');
    expect(lastDone()).toMatchObject({
      put: 'checkResult',
      row: { checkId: check!['id'], position: 1, answer: 'stops' },
    });
    expect(rowsDone('check')).toHaveLength(1);
  });

  it('or by a tape, whose figures are no answers while they are typed', async () => {
    await open();
    await click('Check a size');
    await click('Measure this one instead');
    await keys(window, '1');
    expect(rowsDone('checkResult')).toEqual([]);
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Width' }), { key: 'ArrowRight' });
    await click('Keep this width');
    const [result] = rowsDone('checkResult') as { answer: unknown; widthMm: number }[];
    expect(result!.answer).toBeNull();
    expect(result!.widthMm - inch(9.5)).toBeCloseTo(inch(0.125), 6);
    expect(screen.getByRole('button', { name: 'Done' })).toBeTruthy();
  });

  it('says which bag comes out otherwise than another, and leads to its sizes', async () => {
    const bags = [id(90), id(91)];
    const turns = bags.map((bagId, i) => turn(i, { id: id(30 + i), bagId, startedAt: before(40 - 10 * i) }));
    const checks = turns.map(({ id: turnId }, i) => ({
      ...checked([]).find(({ id: modelId }) => modelId === MODEL_ID)!.checks[0]!,
      ...{ id: id(70 + i), turnId, startedAt: before(39 - 10 * i) },
      results: Array.from({ length: 10 }, (_, position) => ({
        ...{ id: uuid(20 * i + position), checkId: id(70 + i), position, answer: null, ...RESULT_DEFAULTS },
        ...{ widthMm: inch(9.5) + 5 * i + (position % 3), takenAt: before(39 - 10 * i - position / 2) },
      })),
    }));
    const models = someRecords().models.map((model) => (model.id === MODEL_ID ? { ...model, checks } : model));
    await open({ models, turns }, { station: 'Table 1', bag: bags[1]! });
    await userEvent.click(screen.getByRole('link', { name: /larger than .*calibrate two of each.*See its sizes/ }));
    expect(visited.at(-1)).toBe(`/logbook/${MODEL_ID}`);
  });

  it('is left unchecked where it is not the moment', async () => {
    await open({ turns: [turn(0)], tallies: [tally(0, 'done')] });
    await click('Check it');
    await click('Not now');
    expect(screen.getByRole('button', { name: 'Done' })).toBeTruthy();
    expect(done()).toEqual([]);
  });

  it('says what to do once the last ones lean', async () => {
    await open({ models: checked(['stops', 'stops', 'passes', 'stops', 'stops', 'stops']), turns: [turn(0)] });
    expect(screen.getByText('The last 6 lean large: let out ½ stroke, then check again.')).toBeTruthy();
    await userEvent.click(screen.getByRole('link', { name: /See these checks/ }));
    expect(visited).toEqual([`/shelf/${MODEL_ID}/check/${id(70)}`]);
  });

  it('what was put right begins anew: the dose stands there, and what was checked before it says no more', async () => {
    await open({ models: checked(['stops', 'stops', 'passes', 'stops', 'stops', 'stops']), turns: [turn(0)] });
    await click('Changed');
    expect(lastDone()).toMatchObject({ put: 'turn', row: { batchId: id(10), station: 'Table 1', dose: 6.5 } });
    expect(await screen.findByText('½ less than at first')).toBeTruthy();
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
    const { row: changed } = lastDone() as { row: { id: string } };
    await click('Done');
    expect(lastDone()).toMatchObject({ put: 'tally', row: { turnId: changed.id } });
    expect(await screen.findByText('Something changed since the last check')).toBeTruthy();
  });

  it('says nothing of checks of another station', async () => {
    await open({ models: checked(['stops', 'stops', 'stops', 'stops']), turns: [turn(0, { station: 'Table 2' })] });
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('keys of a pedal go to the page after a tap, to what has the focus for whoever goes by keys, and to no sheet', async () => {
    await open();
    await click('Popped');
    expect(document.activeElement).toBe(document.body);
    const undo = screen.getByRole('button', { name: 'Undo the last tap' });
    act(() => undo.focus());
    await keys(undo, ' ');
    await keys(window, ' ');
    expect(rowsDone('tally').map(({ what }) => what)).toEqual(['popped', 'done']);
    await click('All batches');
    await keys(window, ' ');
    expect(rowsDone('tally')).toHaveLength(2);
  });

  it('other hands begin a turn of their own, with the dose that was given last', async () => {
    await open(
      { turns: [turn(0, { dose: 6.5 })], tallies: [tally(0, 'done')] },
      { station: 'Table 1', since: new Date().toISOString() },
    );
    expect(screen.getByText('½ less than at first')).toBeTruthy();
    await click('Done');
    expect(rowsDone('turn')).toMatchObject([{ station: 'Table 1', dose: 6.5 }]);
  });

  it('goes on with the next batch once one is through, and ends the run after the last', async () => {
    await open({ turns: [turn(0)], tallies: Array.from({ length: 3 }, (_, i) => tally(i, 'done')) });
    await click('Done');
    await click('Next: batch B');
    expect(await screen.findByRole('status', { name: /^5 in across/ })).toBeTruthy();
    expect(screen.getByText('not known yet')).toBeTruthy();
    await keys(window, 'Enter', 'Enter');
    await screen.findByText('All batches are through.');
    await click('End the run');
    expect(lastDone()).toMatchObject({ change: 'inflation', id: RUN_ID, by: { endedAt: expect.any(String) } });
  });

  it('has the batch that no other station is at', async () => {
    await open({ turns: [turn(0, { station: 'Table 2', startedAt: before(3) })] });
    expect(screen.getByText('Batch B of 2')).toBeTruthy();
    await click('All batches');
    await click(/^Batch A: 0 of 4, Table 2/);
    expect(await screen.findByText('Batch A of 2')).toBeTruthy();
  });

  it('ends with one that another device began at the same moment', async () => {
    const twin = { id: id(3), eventId: EVENT_ID, startedAt: before(24), endedAt: null, demo: false };
    await open({ inflations: [...records().inflations!, twin] });
    await click('All batches');
    await click('End the run');
    const ended = done().flatMap((write) => ('change' in write && write.change === 'inflation' ? [write.id] : []));
    expect(ended.sort()).toEqual([RUN_ID, twin.id]);
    expect(await screen.findByText(/No run has begun/)).toBeTruthy();
  });

  it('that nobody tapped at for a week may end as of then', async () => {
    const week = 7 * 24 * 60;
    await open({
      inflations: [{ id: RUN_ID, eventId: EVENT_ID, startedAt: before(week), endedAt: null, demo: false }],
      turns: [turn(0, { startedAt: before(week) })],
      tallies: [tally(0, 'done', { at: before(week - 5) })],
    });
    expect(screen.getByText(/^Nothing was tapped since/)).toBeTruthy();
    await click('End it as of then');
    const { by } = lastDone() as { by: { endedAt: string } };
    expect(Date.now() - Date.parse(by.endedAt)).toBeGreaterThan((week - 6) * MINUTE_MS);
    expect(Date.now() - Date.parse(by.endedAt)).toBeLessThan((week - 4) * MINUTE_MS);
  });
});

describe('a recipe that changed while its run goes on', () => {
  const recipeBatch = (key: string, count: number): Batch => ({
    ...{ key, balloon: MODEL_ID, fillMm: inch(9.5), toleranceMm: inch(0.25), count, of: [], alike: [], perBag: 20 },
    bags: { from: 1, to: 1 },
  });
  const about = () => ({
    targets: new Map(),
    lookOf: () => ({ colour: '#3f7a4a', name: 'kelp', nominalMm: inch(11) }),
    known: (balloon: string) => balloon === MODEL_ID,
  });
  const changes = (batches: Batch[]) => changesOf(RUN_ID, { kept: [batch(0), batch(1, { count: 2 })], batches, about });

  it('is taken into it: new batches, other counts and places; nothing is left to make of those that went', () => {
    expect(changes([recipeBatch('batch 0', 4), recipeBatch('batch 1', 2)])).toEqual([]);
    expect(changes([recipeBatch('batch 2', 9), recipeBatch('batch 0', 6)])).toEqual([
      {
        put: 'inflationBatch',
        row: expect.objectContaining({ key: 'batch 2', place: 0, count: 9, modelId: MODEL_ID }),
      },
      { change: 'inflationBatch', id: id(10), by: { count: 6, place: 1 } },
      { change: 'inflationBatch', id: id(11), by: { count: 0 } },
    ]);
  });

  it('begins one with all its batches, by what is known of their balloons', () => {
    const [first, ...rest] = runOf(
      EVENT_ID,
      [recipeBatch('a', 4), { ...recipeBatch('b', 2), balloon: '#aa0000' }],
      about,
    );
    expect(first).toMatchObject({ put: 'inflation', row: { eventId: EVENT_ID } });
    expect(rest).toMatchObject([
      { row: { key: 'a', place: 0, modelId: MODEL_ID, dose: null, timed: false } },
      { row: { key: 'b', place: 1, modelId: null, colourHex: '#3f7a4a' } },
    ]);
  });
});

describe('what a run teaches', () => {
  it('is how fast a studio sizes, which its hours follow', async () => {
    const tallies = Array.from({ length: 49 }, (_, i) => tally(i, 'done', { id: uuid(i), at: before(100 - i) }));
    const rows = { inflationBatch: by([batch(0)]), turn: by([turn(0)]), tally: by(tallies) };
    const seen = pacesOfRuns(rows, TRADE.paceS.sized);
    expect(seen).toEqual([{ eachS: expect.closeTo(60, 1), balloons: 48, stretches: 1 }]);
    expect(paceNote(tradeAtOwnPace(TRADE, seen), seen)).toMatch(
      /^With a sizer 39 s a balloon, learned from 48 balloons of your inflation runs\. Other paces/,
    );
    expect(paceNote(TRADE, [])).toMatch(/^Paces are those of the trade/);
  });

  it('is how many are lost, of which bags, beside what was written down', () => {
    const losses = lossesOfRuns({
      inflationBatch: by([batch(0), batch(1, { modelId: null })]),
      turn: by([turn(0, { bagId: id(5) }), turn(1, { batchId: id(11) })]),
      tally: by([
        ...[tally(0, 'done', { count: 2 }), tally(1, 'popped'), tally(2, 'pinhole'), tally(3, 'size')],
        tally(4, 'done', { turnId: id(31) }),
      ]),
    });
    expect(losses).toEqual([{ modelId: MODEL_ID, bagId: id(5), used: 4, lost: 2 }]);
    const written = {
      id: id(6),
      modelId: MODEL_ID,
      bagId: null,
      work: 'inflate' as const,
      used: 10,
      lost: 1,
      at: before(1),
    };
    const book = stockBook(someRecords().models, [], [], [written], losses, 'EUR');
    expect(book.of(MODEL_ID).lost).toEqual({ inflate: { used: 14, lost: 3 } });
    expect(book.of(MODEL_ID).losses).toEqual([written]);
    expect(book.lostOfOthers(FRESH_ID)).toEqual([{ inflate: { used: 14, lost: 3 } }]);
  });
});

it('times and counts are said as people do', () => {
  expect([20, 90, 1500, 3600, 4200].map(lastingText)).toEqual([
    'under a minute',
    '2 min',
    '25 min',
    '1 h',
    '1 h 10 min',
  ]);
  expect(madeText({ done: 23, wanted: 32 })).toBe('23 of 32');
  expect(madeText({ done: 34, wanted: 32 })).toBe('32 of 32, 2 over');
});
