import { EVENT_DEFAULTS, PIECE_DEFAULTS, PIECE_FORMS, type PieceRecord } from '@leggero/contract';
import { TRADE } from '@leggero/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { firstDesign } from '@/features/builds/firstDesign';
import { SitePage } from '@/features/site/SitePage';

import { drawnMeasures } from '@/parts/piece/drawnMeasures';
import { viewIn } from '@/parts/piece/viewIn';
import { LARGEST_PHOTO, smallPhoto } from '@/parts/photo/smallPhoto';
import { comingBack } from '@/views/comingBack';
import { builtText } from '@/wording/site';

import { withBenchWorkers } from './benchWorker';
import { COLUMN } from './designs';
import { goTo } from './router';
import { done, lastDone, MODEL_ID, show, someRecords, type Records } from './studio';

withBenchWorkers();

const id = (n: number) => `00000000-0000-4000-8000-0000000091${String(n).padStart(2, '0')}`;
const EVENT_ID = id(1);
const AT = '2026-11-20T10:00:00.000Z';

const PART = { modelId: MODEL_ID, colourHex: '#3f7a4a', finish: 'matte' as const };
const REEF = firstDesign('garland', { part: PART, stepMm: 3.175 });
const piece = (n: number, name: string, design: PieceRecord['design']): PieceRecord => ({
  ...PIECE_DEFAULTS,
  ...{ id: id(10 + n), name, design, eventId: EVENT_ID, checks: [], createdAt: AT, demo: false },
});
const open = async (by: Partial<Records> = {}, outdoors = false, part = 'look') => {
  goTo(`/builds/events/${EVENT_ID}/site`, { part });
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

const click = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));
const puts = () => done().flatMap((write) => ('put' in write ? [write] : []));
const PHOTO = { id: id(60), eventId: EVENT_ID, key: 'exits', picture: 'data:image/jpeg;base64,/9j/4AAQ', at: AT };

describe('what is to be put right', () => {
  const snag = { id: id(50), eventId: EVENT_ID, pieceId: id(11), text: 'A gap low down', at: AT, doneAt: null };

  it('is added to a piece or to all of it, ticked off, and ticked on again', async () => {
    await open({ more: { snag: [snag, { ...snag, id: id(51), text: 'A pole shows', doneAt: AT }] } }, false, 'right');
    expect(screen.getByText('1 thing to put right')).toBeTruthy();
    await userEvent.type(screen.getByRole('textbox', { name: 'Something to put right' }), 'Neck shows');
    await userEvent.click(screen.getByRole('radio', { name: 'Reef' }));
    await click('Add it');
    expect(lastDone()).toMatchObject({ put: 'snag', row: { eventId: EVENT_ID, pieceId: id(12), text: 'Neck shows' } });
    await userEvent.click(box('A gap low down'));
    expect(lastDone()).toMatchObject({ change: 'snag', id: id(50), by: { doneAt: expect.stringMatching(/Z$/) } });
    await userEvent.click(box('A pole shows'));
    expect(lastDone()).toMatchObject({ change: 'snag', id: id(51), by: { doneAt: null } });
  });

  it('is refused beside its field where it is too long, and nothing is lost', async () => {
    await open({}, false, 'right');
    const field = screen.getByRole('textbox', { name: 'Something to put right' });
    await userEvent.click(field);
    await userEvent.paste('x'.repeat(301));
    expect(screen.getByText('At most 300 characters.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Add it' }).getAttribute('aria-disabled')).toBe('true');
    expect((field as HTMLInputElement).value).toHaveLength(301);
  });

  it('tells of balloons that were made anew, and takes back what was written by mistake', async () => {
    const repair = {
      ...{ id: id(55), eventId: EVENT_ID, pieceId: id(11), modelId: MODEL_ID, colourHex: '#3f7a4a', at: AT },
      ...{ cause: 'popped' as const, reckonedMm: 240, measuredMm: null, fillMm: 238.125 },
    };
    await open({ more: { repair: [repair] } }, false, 'right');
    expect(await screen.findByText('1 balloon made anew')).toBeTruthy();
    expect(screen.getByText(/^Kelp, .*: popped, made anew at 9⅜ in$/)).toBeTruthy();
    await click('Take back');
    expect(lastDone()).toEqual({ remove: 'repair', id: id(55) });
  });
});

describe('a photo of a step', () => {
  it('stands at its step, opens whole, and goes for good once that was asked', async () => {
    await open({ more: { photo: [PHOTO] } });
    await click('Photo 1 of Exits and signs stay clear');
    expect(screen.getByRole('img', { name: 'Photo of Exits and signs stay clear' })).toBeTruthy();
    await click('Delete');
    await click('Delete for good');
    expect(lastDone()).toEqual({ remove: 'photo', id: PHOTO.id });
  });

  it('of 60 MB is refused before anything is read, and what is no picture once it was tried', async () => {
    const never = () => {
      throw new Error('asked a worker');
    };
    const large = { size: 60_000_000 } as Blob;
    expect(large.size).toBeGreaterThan(LARGEST_PHOTO);
    expect(await smallPhoto(large, never)).toEqual({ problem: 'too-large' });
    const answering = (data: unknown) => () => {
      const worker = { onmessage: null as ((event: { data: unknown }) => void) | null, terminate() {} };
      return Object.assign(worker, { postMessage: () => setTimeout(() => worker.onmessage?.({ data })) }) as never;
    };
    expect(await smallPhoto(new Blob(['no picture']), answering({ failed: 'x' }))).toEqual({ problem: 'no-picture' });
    expect(await smallPhoto(new Blob(['a picture']), answering({ answer: 'data:image/jpeg;base64,aa' }))).toEqual({
      picture: 'data:image/jpeg;base64,aa',
    });
  });
});

describe('how pieces came out', () => {
  it('a stack is measured by its layers: that is kept, teaches how they pack, and is taken back with it', async () => {
    await open({}, false, 'built');
    expect(await screen.findByText(/^Drawn .* high, its layers alone$/)).toBeTruthy();
    await click('Measure, high');
    const field = screen.getByRole('textbox', { name: 'Height of its layers' });
    await userEvent.type(field, '20 ft');
    await click('Keep this measure');
    expect(screen.getByText(/^These layers stand .* high\.$/)).toBeTruthy();
    expect(puts()).toEqual([]);
    await userEvent.clear(field);
    await userEvent.type(field, '71 in');
    await click('Keep this measure');
    const [built, stack] = puts().slice(-2);
    expect(built).toMatchObject({ put: 'asBuilt', row: { pieceId: id(11), measure: 'high', builtMm: 1803.4 } });
    expect(stack).toMatchObject({ put: 'stack', row: { heightMm: 1803.4 } });
    await click('Undo');
    expect(done().slice(-2)).toEqual([
      { remove: 'asBuilt', id: built!.row.id },
      { remove: 'stack', id: stack!.row.id },
    ]);
  });

  it.each(PIECE_FORMS)('a %s has measures as it is drawn', (form) => {
    const material = {
      knowledge: { models: [], trade: TRADE },
      studio: { stepMm: 3.175 },
      chains: [],
      stacks: [],
      longs: [],
    };
    const part = { modelId: null, colourHex: '#d2577e', finish: 'matte' as const };
    const measures = drawnMeasures(viewIn(firstDesign(form, { part, stepMm: 3.175 }), material)!, material);
    expect(measures.length).toBeGreaterThan(0);
    for (const { drawnMm } of measures) expect(drawnMm).toBeGreaterThan(100);
    const taught = measures.flatMap(({ teaches }) => (teaches ? Object.keys(teaches) : []));
    expect(taught).toEqual({ column: ['layers'], taper: ['layers'], garland: ['tied'] }[form as string] ?? []);
  });

  it('what came out stands beside what was drawn', () => {
    const words = { text: (mm: number) => `${mm} mm`, fine: (mm: number) => `${mm} mm`, stepMm: 3 };
    expect(builtText({ drawnMm: 1830, builtMm: 1815 }, words)).toBe('1815 mm came out, 15 mm less than drawn');
    expect(builtText({ drawnMm: 1830, builtMm: 1860 }, words)).toBe('1860 mm came out, 30 mm more than drawn');
    expect(builtText({ drawnMm: 1830, builtMm: 1832 }, words)).toBe('1832 mm came out, as it was drawn');
  });
});

describe('what goes back', () => {
  it('are the balloons that no station filled and no repair took, a few more or less by a tap; and the poles', async () => {
    const entry = { id: id(70), modelId: MODEL_ID, eventId: EVENT_ID, change: 'out' as const, count: 40, at: AT };
    await open({ stockEntries: [entry] }, false, 'back');
    const row = await screen.findByRole('group', { name: /Standard/ });
    // Nobody tapped anything: as its pieces need.
    const [, used] = /^40 went out, its pieces take (\d+)$/.exec(screen.getByText(/went out/).textContent!)!;
    expect(Number(used)).toBeGreaterThan(0);
    const left = Math.max(0, 40 - Number(used));
    await userEvent.click(screen.getByRole('button', { name: /^One more: / }));
    expect(row.textContent).toContain(String(left + 1));
    await click(`Put ${left + 1} ${left + 1 === 1 ? 'balloon' : 'balloons'} back`);
    expect(lastDone()).toMatchObject({
      put: 'stockEntry',
      row: { modelId: MODEL_ID, eventId: EVENT_ID, change: 'back', count: left + 1 },
    });
    expect(box(/^1 pole, /)).toBeTruthy();
    await click('Undo');
    expect(lastDone()).toMatchObject({ remove: 'stockEntry' });
  });

  it('is by the taps of its runs where there are any; a pair takes one of each of its two', () => {
    const { models } = someRecords();
    const [outer, inner] = models as [(typeof models)[number], (typeof models)[number]];
    const pair = { ...outer, id: id(80), outerId: outer.id, innerId: inner.id };
    const out = new Map([[EVENT_ID, 30]]);
    const book = { of: () => ({ outFor: out }) } as never;
    const by = { done: 20, popped: 1, pinhole: 1, size: 5, other: 0 };
    const runs = [
      { batches: [{ id: 'b', modelId: pair.id }], progress: { batches: [{ batch: 'b', by }], done: 20, lost: 2 } },
      // Begun on another device, and left.
      { batches: [{ id: 'c', modelId: outer.id }], progress: { batches: [{ batch: 'c', by }], done: 0, lost: 0 } },
    ] as never;
    const repairs = [{ modelId: outer.id }] as never;
    // What joins them is inflated at no station: as the pieces need.
    const long = { ...outer, id: id(81) };
    const needs = [{ balloon: long.id, count: 12, stuffed: 0 }];
    const back = comingBack({ eventId: EVENT_ID, models: [outer, inner, pair, long], book, runs, repairs, needs });
    expect(back.map(({ model, used, repaired, left }) => [model.id, used, repaired, left])).toEqual([
      [outer.id, 22, 1, 7],
      [inner.id, 22, 0, 8],
      [pair.id, 0, 0, 30],
      [long.id, 12, 0, 18],
    ]);
  });
});
