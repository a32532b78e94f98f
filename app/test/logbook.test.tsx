import { CHECK_DEFAULTS, EVENT_DEFAULTS, RESULT_DEFAULTS, type CheckRecord } from '@leggero/contract';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import Papa from 'papaparse';

import { BalloonLogPage } from '@/features/logbook/BalloonLogPage';
import { LogbookPage } from '@/features/logbook/LogbookPage';
import { learnedRows } from '@/wording/learned';
import { movedText, stationText } from '@/wording/logbook';

import { goTo, visited } from './router';
import { MODEL_ID, show, someRecords, type Records } from './studio';

const kept: { content: string; name: string }[] = [];
jest.mock('@/device/download', () => ({
  keepFile: (content: string, { name }: { name: string }) => kept.push({ content, name }),
}));
afterEach(() => void kept.splice(0));

const inch = (inches: number) => inches * 25.4;
const id = (n: number) => `00000000-0000-4000-8000-0000000051${String(n).padStart(2, '0')}`;
const EVENT_ID = id(1);
const RUN_ID = id(2);
const BATCH_ID = id(3);
const at = (day: number, minute: number) => new Date(Date.UTC(2026, 9, day, 17, minute)).toISOString();
/** Sizes about a target as they come by chance: none of them says anything. */
const BY_CHANCE = [0.5, -1.2, 0.9, -0.3, 1.4, -0.8, 0.2, -1.5, 1.1, 0.1, -0.6, 0.7];

/** A check of a day with widths so much off their target, in a turn or in none. */
const measured = (day: number, offs: readonly number[], turnId: string | null = null): CheckRecord => ({
  ...{ id: id(10 + day), modelId: MODEL_ID, tierName: 'Classic', targetMm: inch(9.5), toleranceMm: inch(0.25) },
  ...{ size: 40, ...CHECK_DEFAULTS, turnId, startedAt: at(day, 0), demo: false },
  results: offs.map((off, position) => ({
    ...{ id: `${id(10 + day).slice(0, 24)}${String(1000 * day + position).padStart(12, '0')}`, checkId: id(10 + day) },
    ...{ position, answer: null, widthMm: inch(9.5) + off, ...RESULT_DEFAULTS, takenAt: at(day, position) },
  })),
});
const recordsOf = (checks: CheckRecord[], by: Partial<Records> = {}): Records => {
  const records = { ...someRecords(), ...by };
  const models = records.models.map((model) => (model.id === MODEL_ID ? { ...model, checks } : model));
  return { ...records, models };
};
const open = async (page: React.ReactElement, records: Records) => {
  goTo('/logbook', {});
  show(page, records);
  await waitFor(() => expect(document.querySelector('[aria-busy=true]')).toBeNull());
};
const turns = ['Table 1', 'Table 2'].map((station, i) => ({
  ...{ id: id(30 + i), batchId: BATCH_ID, station, atOnce: 1 as const, bagId: null, dose: null, startedAt: at(1, i) },
}));
const RUN: Partial<Records> = {
  events: [{ ...EVENT_DEFAULTS, id: EVENT_ID, name: 'Low Tide', daysStanding: 0, createdAt: at(1, 0), demo: false }],
  inflations: [{ id: RUN_ID, eventId: EVENT_ID, startedAt: at(1, 0), endedAt: at(1, 50), demo: false }],
  inflationBatches: [
    {
      ...{ id: BATCH_ID, inflationId: RUN_ID, key: 'a', place: 0, modelId: MODEL_ID, colourHex: '#3f7a4a' },
      ...{ fillMm: inch(9.5), toleranceMm: inch(0.25), count: 12, dose: 7, timed: false },
    },
  ],
  turns,
  tallies: [
    ...Array.from({ length: 12 }, (_, i) => {
      return { id: id(50 + i), turnId: turns[0]!.id, what: 'done' as const, count: 1, at: at(1, 2 + i / 2) };
    }),
    { id: id(70), turnId: turns[0]!.id, what: 'popped', count: 2, at: at(1, 9) },
    { id: id(71), turnId: turns[1]!.id, what: 'size', count: 1, at: at(1, 10) },
  ],
};

describe('the logbook', () => {
  it('says how the first figures come into it while it is empty', async () => {
    await open(<LogbookPage />, recordsOf([]));
    expect(screen.getByText(/Check a batch, or inflate with a station/)).toBeTruthy();
  });

  it('tells how steady the sizes of each balloon are, what was lost and why, and what a build took', async () => {
    await open(<LogbookPage />, recordsOf([measured(2, BY_CHANCE), measured(5, BY_CHANCE)], RUN));
    expect(screen.getByText(/24 widths to .*, steady/)).toBeTruthy();
    // Two of the fourteen that were filled popped; the one of the wrong size is not lost.
    expect(screen.getByText('2 of 14 lost (14.3 %): 2 popped, 1 wrong size')).toBeTruthy();
    expect(screen.getByText(/12 of 12 made at 2 stations in 10 min; 2 popped, 1 wrong size/)).toBeTruthy();
    expect(screen.getByText('learned from 14 balloons of yours')).toBeTruthy();
  });

  it('names the rules that speak of the newest sizes, and says since when', async () => {
    const large = BY_CHANCE.map((off) => off + 6);
    await open(
      <BalloonLogPage modelId={MODEL_ID} />,
      recordsOf([measured(2, BY_CHANCE), measured(3, BY_CHANCE), measured(5, large)]),
    );
    expect(screen.getByRole('status').textContent).toMatch(/^Not steady now, large: .*eight in a row lie on one side/);
    expect(screen.getByText(/on sizes are .* larger at once/)).toBeTruthy();
    expect(screen.getByText(/Limits from 24 widths of your own/)).toBeTruthy();
    // Every figure leads to its records.
    await userEvent.click(screen.getByRole('link', { name: /^Classic 9.*large/ }));
    expect(visited).toEqual([`/shelf/${MODEL_ID}/check/${id(15)}`]);
  });

  it('draws them one by one, or as means of four with their ranges', async () => {
    await open(<BalloonLogPage modelId={MODEL_ID} />, recordsOf([measured(2, BY_CHANCE), measured(3, BY_CHANCE)]));
    expect(screen.getByRole('img', { name: /^24 sizes in the order/ })).toBeTruthy();
    await userEvent.click(screen.getByRole('radio', { name: 'Means of 4' }));
    expect(screen.getByRole('img', { name: /^Means of 4 sizes each/ })).toBeTruthy();
    expect(screen.getByRole('img', { name: /^Ranges within them/ })).toBeTruthy();
  });

  it('waits with limits until there are eight', async () => {
    await open(<BalloonLogPage modelId={MODEL_ID} />, recordsOf([measured(2, BY_CHANCE.slice(0, 5))]));
    expect(screen.getByRole('status').textContent).toBe(
      '5 widths so far; after 3 more it can be said whether they are steady.',
    );
  });

  it('sets stations beside each other by what they made', async () => {
    const checks = [
      { ...measured(2, BY_CHANCE.concat(BY_CHANCE)), turnId: turns[0]!.id },
      {
        ...measured(
          3,
          BY_CHANCE.concat(BY_CHANCE).map((off) => off + 4),
        ),
        turnId: turns[1]!.id,
      },
    ];
    await open(<BalloonLogPage modelId={MODEL_ID} />, recordsOf(checks, RUN));
    const list = within(screen.getByText('Station beside station').closest('div')!.parentElement!);
    expect(list.getByText(/^Table 2: .* larger than its targets, .*from 24 widths/)).toBeTruthy();
  });

  it('shows how hands compare to those whose pages are open alone: oneself; the owner sees each', async () => {
    const many = BY_CHANCE.concat(BY_CHANCE);
    const checks = [
      { ...measured(2, many), turnId: turns[0]!.id },
      {
        ...measured(
          3,
          many.map((off) => off + 4),
        ),
        turnId: turns[1]!.id,
      },
    ];
    const people = someRecords().people;
    const [owner, crew] = [people.find((person) => person.owner)!, people.find((person) => !person.owner)!];
    const turnHands = [owner, crew].map(({ id: personId }, i) => ({ id: id(80 + i), turnId: turns[i]!.id, personId }));
    const openAs = async (personId: string | null) => {
      cleanup();
      await open(
        <BalloonLogPage modelId={MODEL_ID} />,
        recordsOf(checks, { ...RUN, turnHands, session: { personId } }),
      );
    };
    const line = ({ name }: { name: string }) => screen.queryByText(new RegExp(`^${name}: .*from 24 widths`));
    await openAs(null);
    expect(await screen.findByText('Open as yourself')).toBeTruthy();
    expect([owner, crew].map(line)).toEqual([null, null]);
    await openAs(crew.id);
    expect((await screen.findByText(new RegExp(`^${crew.name}: `))).textContent).toMatch(/larger than its targets/);
    expect(line(owner)).toBeNull();
    await openAs(owner.id);
    await waitFor(() => expect(line(owner)).toBeTruthy());
    expect(line(crew)).toBeTruthy();
  });

  it('keeps sizes as a file that a spreadsheet reads', async () => {
    await open(<BalloonLogPage modelId={MODEL_ID} />, recordsOf([measured(2, [1.5, -0.25])]));
    await userEvent.click(screen.getByRole('button', { name: 'Save sizes as CSV' }));
    await waitFor(() => expect(kept).toHaveLength(1));
    expect(kept[0]!.name).toBe('sizes.csv');
    const { data } = Papa.parse<Record<string, string>>(kept[0]!.content, { header: true, skipEmptyLines: true });
    expect(data.map((line) => [line['width (mm)'], line['off (mm)'], line['target (mm)']])).toEqual([
      ['242.8', '1.5', '241.3'],
      ['241.05', '-0.25', '241.3'],
    ]);
  });

  it('keeps builds, holds, repairs and sizes as built as files, each leading to what it is from', async () => {
    const { models } = someRecords();
    const test = { id: id(60), modelId: MODEL_ID, wraps: 2 as const, stuffed: false, startedAt: at(2, 0), demo: false };
    const readings = [
      { id: id(61), holdTestId: id(60), hours: 0, widthMm: 241.3 },
      { id: id(62), holdTestId: id(60), hours: 12, widthMm: 238.1 },
    ];
    const about = { eventId: EVENT_ID, pieceId: id(70), at: at(3, 0) };
    const failed = {
      ...about,
      modelId: MODEL_ID,
      colourHex: '#3f7a4a',
      reckonedMm: 240,
      measuredMm: null,
      fillMm: 238,
    };
    await open(<LogbookPage />, {
      ...someRecords(),
      ...RUN,
      models: models.map((model) => ({ ...model, holdTests: model.id === MODEL_ID ? [{ ...test, readings }] : [] })),
      more: {
        asBuilt: [
          { id: id(71), ...about, measure: 'high', drawnMm: 1830, builtMm: 1815 },
          { id: id(72), ...about, measure: 'high', drawnMm: 1830, builtMm: 1700, at: at(2, 0) },
        ],
        repair: [
          { id: id(73), ...failed, cause: 'popped' },
          { id: id(74), ...failed, cause: 'popped' },
          { id: id(75), ...failed, cause: 'soft', measuredMm: 239 },
        ],
      },
    });
    expect(await screen.findByText('3 balloons made anew: 2 popped, 1 went soft')).toBeTruthy();
    expect(screen.getByText(/^Loses .* in a night wrapped twice \(1 test\)$/)).toBeTruthy();
    // The newest measure counts, and each stays in the file.
    expect(screen.getAllByText(/came out, .* less than drawn$/)).toHaveLength(1);
    const lines = async (title: string) => {
      await userEvent.click(screen.getByRole('button', { name: `Save ${title} as CSV` }));
      await waitFor(() => expect(kept).toHaveLength(1));
      const { name, content } = kept.splice(0)[0]!;
      return { name, rows: Papa.parse<Record<string, string>>(content.trim(), { header: true }).data };
    };
    expect((await lines('builds')).rows[0]).toMatchObject({
      event: 'Low Tide',
      planned: '12',
      'lasted (min)': expect.any(String),
    });
    const holds = await lines('holds');
    expect(holds.rows.map((row) => [row['hours'], row['width (mm)'], row['stuffed']])).toEqual([
      ['0', '241.3', 'no'],
      ['12', '238.1', 'no'],
    ]);
    const repairs = await lines('repairs');
    expect(repairs.rows.map((row) => row['measured beside it (mm)'])).toEqual(['', '', '239']);
    expect(repairs.rows[0]).toMatchObject({ event: 'Low Tide', cause: 'popped', 'filled to (mm)': '238' });
    expect((await lines('sizes as built')).rows.map((row) => row['came out (mm)'])).toEqual(['1815', '1700']);
  });

  it('says of a balloon that is gone that it is', async () => {
    await open(<BalloonLogPage modelId={id(99)} />, recordsOf([]));
    expect(screen.getByText(/No balloon is known at this address/)).toBeTruthy();
  });
});

describe('words of the log', () => {
  const fine = (mm: number) => `${mm} mm`;
  const names = { fine, bagOf: (bag: string) => `Bag ${bag}`, dayOf: (place: number) => `day ${place}` };

  it('say what moved sizes, and what to do', () => {
    expect(movedText({ kind: 'nothing' }, names)).toBeNull();
    const levels = [
      { of: 'A', mean: 1, count: 9 },
      { of: 'B', mean: -2, count: 9 },
    ];
    expect(movedText({ kind: 'bag', levels }, names)).toBe(
      'Bag A comes out 3 mm larger than Bag B: calibrate two of each.',
    );
    expect(movedText({ kind: 'hands', levels }, names)).toMatch(/^A fills 3 mm larger than B/);
    expect(movedText({ kind: 'tiring', perValue: -0.1 }, names)).toMatch(
      /1 mm smaller over ten balloons, and begin anew/,
    );
    expect(movedText({ kind: 'drift', perValue: 0.2 }, names)).toMatch(/creep 2 mm larger/);
    expect(movedText({ kind: 'step', at: 3, before: 1, after: -1 }, names)).toMatch(
      /^From day 3 on sizes are 2 mm smaller/,
    );
  });

  it('give no station a bad name that may be chance', () => {
    const judged = { of: 'Table 1', count: 3, ownLean: 4, lean: 1, low: -2, high: 4, spread: 2, apart: null };
    expect(stationText(judged, fine)).toBe('Table 1: as the others, between −2 mm and +4 mm, from 3 widths');
  });

  it('say from how much each thing is learned, or what teaches it', () => {
    const none = learnedRows({ losses: { used: 0, lost: 0 }, paced: 0, stacks: 0, garlands: 0, holdTests: 0 });
    expect(none.map(({ note }) => note).every((note) => /until/.test(note))).toBe(true);
    const some = learnedRows({ losses: { used: 90, lost: 4 }, paced: 96, stacks: 1, garlands: 2, holdTests: 3 });
    expect(some.map(({ note }) => note.match(/\d+ [a-z ]+?(?= of)/)?.[0])).toEqual([
      '90 balloons',
      '96 balloons',
      '1 stack',
      '2 garlands',
      '3 hold tests',
    ]);
  });
});
