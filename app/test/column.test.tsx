import { EVENT_DEFAULTS, PIECE_DEFAULTS, type DesignOf, type EventRecord, type FixingRecord } from '@leggero/contract';
import type { Problem } from '@leggero/core';
import type { ColourMapProblemCode, ColumnProblemCode } from '@leggero/core/building';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { PiecePage } from '@/chunks/PiecePage';
import { patternOf, paintedAt, recoloured } from '@/features/building/colouring';
import { figureIn, onTop, sprayTubes } from '@/parts/piece/toppers';
import { buildProblemText, mapNoticeText, turningText } from '@/wording/building';
import { lengthsOf } from '@/views/lengths';

import { done, lastDone, MODEL_ID, show, someRecords, type Records } from './studio';

const inch = (inches: number) => inches * 25.4;
const id = (n: number) => `00000000-0000-4000-8000-0000000018${String(n).padStart(2, '0')}`;
const PIECE_ID = id(1);
const EVENT_ID = id(2);

const kelp = { modelId: MODEL_ID, colourHex: '#3f7a4a', finish: 'matte' } as const;
const foam = { modelId: null, colourHex: '#f3ead8', finish: 'matte' } as const;
const COLUMN: DesignOf<'column'> = {
  form: 'column',
  ...{ count: 4, open: 'height', layers: 8, widthMm: inch(10), heightMm: inch(72), standMm: 0 },
  ...{ topper: null, heldBy: 'pole', ceilingMm: null },
  colours: [kelp, foam],
  pattern: { kind: 'spiral', order: [0, 0, 1, 1], to: 'right', every: 3 },
  painted: [],
};
const EVENT: EventRecord = {
  ...EVENT_DEFAULTS,
  ...{ id: EVENT_ID, name: 'Low Tide', daysStanding: 1, createdAt: '2026-11-20T10:00:00.000Z', demo: false },
};

async function open(by: Partial<DesignOf<'column'>> = {}, event?: Partial<EventRecord>, more: Partial<Records> = {}) {
  const records = { ...someRecords(), ...more };
  if (event) records.events = [{ ...EVENT, ...event }];
  records.pieces = [
    {
      ...PIECE_DEFAULTS,
      ...{ id: PIECE_ID, name: 'Kelp', createdAt: '2026-11-20T10:00:00.000Z', checks: [], demo: false },
      eventId: event ? EVENT_ID : null,
      design: { ...COLUMN, ...by },
    },
  ];
  show(<PiecePage pieceId={PIECE_ID} />, records);
  await screen.findByText('Kelp');
}
const click = (name: string | RegExp, role = 'button') => userEvent.click(screen.getByRole(role, { name }));
const type = async (label: string, text: string) => {
  const field = screen.getByRole('textbox', { name: label });
  await userEvent.clear(field);
  await userEvent.type(field, text);
};
const kept = async () => {
  let design: DesignOf<'column'> | undefined;
  await waitFor(() => {
    const last = lastDone();
    design = last && 'change' in last && last.change === 'piece' ? (last.by.design as DesignOf<'column'>) : undefined;
    expect(design).toBeDefined();
  });
  return design!;
};

describe('a column', () => {
  /** Common practice: eight layers of quads at 10 in are 32 balloons and stand 5 ft. */
  it('of eight quads at 10 in is 32 balloons and stands five feet', async () => {
    await open();
    expect(screen.getByText('Column · 8 layers, 32 balloons')).toBeTruthy();
    expect(screen.getByText(/^5 ft high: 8 quads at 10 in/)).toBeTruthy();
    expect(screen.getByRole('img', { name: /^A column of 8 quads, 5 ft high: .* 16 of 10 in/ })).toBeTruthy();
    // The pole ends in the middle of the topmost layer.
    expect(screen.getByText(/Pole: 4 ft 7 in, to the middle of the topmost layer/)).toBeTruthy();
  });

  it('is worked out from its height, and says what the steps leave and which size would land', async () => {
    await open({ open: 'layers', heightMm: inch(72) });
    expect(screen.getByText('Column · 10 layers, 40 balloons')).toBeTruthy();
    expect(screen.getByText(/higher than asked; at 9 11\/16 in it would land/)).toBeTruthy();
    await click('Size', 'radio');
    expect((await kept()).open).toBe('size');
  });

  it('counts what to tie, and how each layer is turned', async () => {
    await open();
    const card = within(screen.getByText('Tie').parentElement!);
    expect(card.getByText('16 ×')).toBeTruthy();
    expect(card.getByText('turned half a step to the right')).toBeTruthy();
    await click('To the left', 'radio');
    expect(card.getByText('turned half a step to the left')).toBeTruthy();
    expect((await kept()).pattern.to).toBe('left');
  });

  it('is painted by a tap, tells what that changes, and goes back to its pattern', async () => {
    await open();
    await click('Paint with colour 2', 'radio');
    await click(/^Layer 1, place 1: .*; paint colour 2$/);
    expect((await kept()).painted).toEqual([{ layer: 0, place: 0, colour: 1 }]);
    const card = within(screen.getByText('Tie').parentElement!);
    expect(card.getAllByText(/ ×$/)).toHaveLength(2);
    await click(/^Back to the pattern: 1 balloon painted$/);
    await waitFor(async () => expect((await kept()).painted).toEqual([]));
  });

  it('follows another count and fewer colours with its pattern', async () => {
    await open();
    await click('Quints', 'radio');
    expect((await kept()).pattern.order).toEqual([0, 0, 0, 1, 1]);
    expect(screen.getByText(/Colours have 2 to 3 places of a layer/)).toBeTruthy();
    await click('Take colour 2 out');
    await waitFor(async () => expect((await kept()).pattern.order).toEqual([0, 0, 0, 0, 0]));
  });

  it('says beside the field what cannot be, and keeps what was typed', async () => {
    await open();
    await type('Layers', '10000');
    expect(screen.getByText('1 to 200 layers.')).toBeTruthy();
    expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'Layers' }).value).toBe('10000');
    // What could be read on the way is what stands there.
    expect(screen.getByText('Column · 100 layers, 400 balloons')).toBeTruthy();
    await type('Layers', '0');
    expect(screen.getByText('1 to 200 layers.')).toBeTruthy();
  });

  it('has a pattern that needs more colours than there are say so', async () => {
    await open({ colours: [kelp], pattern: { ...COLUMN.pattern, order: [0, 1, 2, 0] } });
    expect(screen.getByText('The pattern needs 3 colours, and 1 are chosen. Add one.')).toBeTruthy();
    expect(screen.getByText('Column · cannot be worked out')).toBeTruthy();
  });

  it('shows a balloon that is gone from the shelf as it was', async () => {
    await open({ colours: [{ ...kelp, modelId: id(77) }, foam] });
    expect(screen.getByText('Column · 8 layers, 32 balloons')).toBeTruthy();
    expect(screen.getByText('choose its balloon, and doses follow')).toBeTruthy();
  });

  it('has a topper of its own size, which may look lost', async () => {
    await open();
    await click('Balloon', 'radio');
    expect(screen.getByText('Column · 8 layers, 33 balloons')).toBeTruthy();
    await type('Width of the topper, inches', '18');
    expect(screen.getByText(/^So small a topper looks lost on these balloons: from about 2 ft 3¼ in on/)).toBeTruthy();
    await waitFor(async () =>
      expect((await kept()).topper).toMatchObject({ kind: 'balloon', part: { widthMm: inch(18) } }),
    );
  });

  /** Common practice: forty of the 260. */
  it('has a spray of forty modelling balloons, which is as high as it says and tied as the last step', async () => {
    await open();
    await click('Spray', 'radio');
    expect((await kept()).topper).toMatchObject({ kind: 'spray', count: 40, heightMm: inch(30) });
    expect(screen.getByText(/^7 ft 6 in high: 8 quads at 10 in/)).toBeTruthy();
    expect(
      screen.getByText(/^Twist 40 modelling balloons together at their middles .* ceiling is low or rough\.$/),
    ).toBeTruthy();
    await type('How many', '200');
    expect(screen.getByText('1 to 40 modelling balloons.')).toBeTruthy();
    await type('Height of the spray', '1 ft');
    expect(screen.getByText(/^So small a topper looks lost/)).toBeTruthy();
  });

  it('fans a spray out over the pole, no strand longer than it is high, and shows the wind no more than it is wide', () => {
    const spray = { kind: 'spray', part: kelp, count: 40, heightMm: 800 } as const;
    const tubes = sprayTubes(spray, 1500);
    expect(tubes).toHaveLength(80);
    for (const { line } of tubes) {
      const [[, , from], [x, y, z]] = [line[0]!, line[1]!];
      expect(from).toBe(1500);
      expect(Math.hypot(x, y, z - 1500)).toBeCloseTo(800, 6);
      expect(z).toBeGreaterThanOrEqual(1900);
    }
    const wide = Math.max(...tubes.map(({ line }) => Math.hypot(line[1]![0], line[1]![1])));
    const seen = figureIn(spray)!;
    expect(seen.widthMm).toBeLessThanOrEqual(2 * wide * 1.02);
    expect(figureIn({ ...spray, count: 10 })!.widthMm).toBeLessThan(seen.widthMm);
    expect(onTop(spray)).toEqual({ kind: 'figure', heightMm: 800 });
  });
});

describe('what a column stands on', () => {
  it('weighs so much that a draught does not tip it, and a wider base less', async () => {
    await open();
    expect(
      screen.getByText(/^At least [\d.]+ kg \(\d+ lb\) on its base: [\d.]+ L of water, or [\d.]+ L of dry sand\.$/),
    ).toBeTruthy();
    const kilograms = () => Number(/At least ([\d.]+) kg/.exec(screen.getByText(/^At least/).textContent!)![1]);
    const narrow = kilograms();
    await type('Base across', '24');
    expect((await kept()).base).toEqual({ acrossMm: inch(24), wind: null });
    expect(kilograms()).toBeLessThan(0.6 * narrow);
    await click('Moderate breeze', 'radio');
    await waitFor(() => expect(kilograms()).toBeGreaterThan(4 * narrow));
    expect(
      screen.getByText(/^While dust and loose paper rise, gusts reach 13 m\/s: that presses with \d+ N/),
    ).toBeTruthy();
    expect(screen.getByText(/ask whoever is responsible on site/)).toBeTruthy();
  });

  it('is asked for beside its field where it is nothing', async () => {
    await open({ base: { acrossMm: 0, wind: 3 } });
    expect(screen.getByText('On nothing any wind tips it: how wide is its base?')).toBeTruthy();
    expect(screen.queryByText(/^At least/)).toBeNull();
  });

  it('outdoors stands in a wind', async () => {
    await open({}, { outdoors: true });
    expect(screen.getByRole('radio', { name: 'Moderate breeze' }).getAttribute('aria-checked')).toBe('true');
    await click('Indoors', 'radio');
    expect(
      await screen.findByText('The event is outdoors: choose the strongest wind that it shall stand in.'),
    ).toBeTruthy();
  });
});

describe('how high a column really stands', () => {
  const layers = Array.from({ length: 8 }, () => ({ count: 4, widthMm: inch(10) }));

  it('is common practice until one was measured, and how far that may be off is said', async () => {
    await open();
    // 58.9 in of touching rise, and twice 4 % of it.
    expect(
      screen.getByText(/^Layers stand at 85 % .*: common practice, .* may stand 4⅝ in higher or lower\.$/),
    ).toBeTruthy();
    await click('Measure this one once it stands');
    await type('Height of its layers', '2 ft');
    expect(screen.getByText(/^These layers stand 3 ft .* to 6 ft .* high\.$/)).toBeTruthy();
    await click('Keep this measure');
    expect(lastDone()).toBeUndefined();
    await type('Height of its layers', '5 ft 4 in');
    await click('Keep this measure');
    expect(lastDone()).toMatchObject({ put: 'stack', row: { layers, heightMm: inch(64) } });
  });

  it('is learned from those that were, and every height follows', async () => {
    const stack = { id: id(9), layers, heightMm: inch(64), takenAt: '2026-11-20T10:00:00.000Z' };
    await open({}, undefined, { stacks: [stack] });
    expect(
      screen.getByText(/^Layers stand at 91 % .*: learned from 1 measured stack\. This piece may stand \d/),
    ).toBeTruthy();
    expect(screen.getByText(/^5 ft 3⅝ in high: 8 quads/)).toBeTruthy();
  });
});

describe('a column of an event', () => {
  it('is held against its ceiling, its door, and the weather', async () => {
    await open({ heldBy: 'line' }, { ceilingMm: inch(54), doorHighMm: inch(58), outdoors: true });
    expect(screen.getByText('6 in taller than the ceiling of 4 ft 6 in.')).toBeTruthy();
    expect(screen.getByText(/^Taller than the door of 4 ft 10 in: carry it leaning/)).toBeTruthy();
    expect(screen.getByText(/^Outdoors always on a pole/)).toBeTruthy();
    expect(screen.queryByText(/wide, the/)).toBeNull();
    expect(screen.queryByRole('textbox', { name: 'Ceiling' })).toBeNull();
  });

  it('is held against how wide door and lift are', async () => {
    // Four circles of 10 in that touch in a ring are 10 (1 + the root of 2) in over everything: 24.1 in.
    await open({}, { doorWideMm: inch(24), liftWideMm: inch(25) });
    expect(
      screen.getByText('2 ft ⅛ in across, 5 ft high; the door is 2 ft wide: put its widest layers on inside.'),
    ).toBeTruthy();
    expect(screen.queryByText(/the lift/)).toBeNull();
  });

  it('is filled for the venue: smaller for a warmer one, so that it is as wide as drawn when it opens', async () => {
    await open({ widthMm: inch(9) }, { venueTempC: 45, hoursBefore: 0 });
    // Width goes with the cube root of the temperature: 24 degrees more are 2.6 % wider.
    expect(await screen.findByRole('status', { name: /fill to 8¾ in/ })).toBeTruthy();
    expect(screen.getByText(/^so that it is 9 in at the opening$/)).toBeTruthy();
    // The list of sizes says the same: nobody fills by the drawing.
    expect(screen.getByText('9 in as drawn')).toBeTruthy();
  });
});

describe('a fixed target', () => {
  const fixing = (by: Partial<FixingRecord> = {}): FixingRecord => ({
    ...{ id: id(30), pieceId: PIECE_ID, modelId: MODEL_ID, wantedMm: inch(9), fillMm: inch(9), dose: 5.5 },
    ...{ origin: 'measured', fixedAt: '2026-11-21T10:00:00.000Z' },
    ...by,
  });

  it('is kept as it is now, and let go again', async () => {
    await open({ widthMm: inch(9) });
    await click('Fix this target');
    const last = lastDone() as unknown as { put: string; row: FixingRecord };
    expect(last).toMatchObject({ put: 'fixing', row: { pieceId: PIECE_ID, modelId: MODEL_ID, wantedMm: inch(9) } });
    expect(await screen.findByText(/^Fixed on .*: readings do not move it\.$/)).toBeTruthy();
    expect(screen.queryByText(/^Since then it has moved/)).toBeNull();
    await click('Let it follow readings');
    expect(lastDone()).toEqual({ remove: 'fixing', id: last.row.id });
  });

  it('that readings would move stays, says by how much, and is taken over by a tap', async () => {
    await open({ widthMm: inch(9) }, undefined, { fixings: [fixing({ fillMm: inch(8.5), dose: 4 })] });
    expect(await screen.findByRole('status', { name: /fill to 8½ in/ })).toBeTruthy();
    expect(screen.getByText(/^Since then it has moved: 8½ in to 9 in, 4 to \S+ strokes\.$/)).toBeTruthy();
    await click('Take it over');
    expect(lastDone()).toMatchObject({ put: 'fixing', row: { wantedMm: inch(9), fillMm: inch(9) } });
    // The newest counts.
    expect(await screen.findByRole('status', { name: /fill to 9 in/ })).toBeTruthy();
    expect(screen.queryByText(/^Since then it has moved/)).toBeNull();
    expect(done()).toHaveLength(1);
  });

  it('is of one width of one balloon: another width follows the readings', async () => {
    await open({ widthMm: inch(8) }, undefined, { fixings: [fixing({ fillMm: inch(8.5) })] });
    expect(screen.getByRole('button', { name: 'Fix this target' })).toBeTruthy();
    expect(screen.getByRole('status', { name: /fill to 8 in/ })).toBeTruthy();
  });
});

describe('patterns and paint', () => {
  it('begin anew where the kind, the count or the colours change', () => {
    expect(patternOf(COLUMN, 'checks').order).toEqual([0, 1, 0, 1]);
    expect(patternOf(COLUMN, 'rings').order).toEqual([0, 1]);
    const painted = [
      { layer: 0, place: 3, colour: 0 },
      { layer: 0, place: 1, colour: 1 },
    ];
    expect(recoloured({ ...COLUMN, painted }, { count: 3 }).painted).toEqual([painted[1]]);
    expect(recoloured({ ...COLUMN, painted }, { colours: [kelp] }).painted).toEqual([painted[0]]);
    expect(paintedAt({ ...COLUMN, painted }, { layer: 0, place: 1, colour: 0 })).toEqual([
      painted[0],
      { layer: 0, place: 1, colour: 0 },
    ]);
  });
});

describe('words of columns', () => {
  const { long } = lengthsOf();
  const words = (problem: object) =>
    buildProblemText(problem as Problem<ColumnProblemCode | ColourMapProblemCode>, long);
  it('say what is wrong and what would work', () => {
    expect(words({ code: 'too-many-layers', detail: { most: 200 } })).toBe('Up to 200 layers are worked out here.');
    expect(words({ code: 'bad-height', detail: { leastMm: inch(10), mostMm: inch(120) } })).toBe(
      'From 10 in to 10 ft.',
    );
    expect(
      words({ code: 'outside-useful', detail: { leastMm: inch(5), mostMm: inch(10), widthMm: inch(12) } }),
    ).toMatch(/^That takes balloons of 12 in; these are useful from 5 in to 10 in/);
    expect(words({ code: 'bad-order', detail: { given: 4, needed: 5 } })).toMatch(/4 places, a layer 5/);
    expect(words({ code: 'no-hold', detail: { ring: 2 } })).toMatch(/no hold/);
    expect(words({ code: 'bad-step' })).toBe('A length above nothing, please.');
  });

  it('say what will not come out, and how a layer is turned', () => {
    expect(mapNoticeText({ code: 'meets-at-seam' })).toMatch(/odd number/);
    expect(mapNoticeText({ code: 'last-ring-short', layers: 1, every: 3 })).toBe(
      'The topmost ring has 1 layer instead of 3.',
    );
    expect(mapNoticeText({ code: 'colour-unused', colour: 2 })).toMatch(/^Colour 3/);
    expect(turningText({ code: 'by', halves: 3 })).toBe('3 half steps to the right');
    expect(turningText({ code: 'other-order' })).toMatch(/another order/);
    expect(turningText({ code: 'either' })).toMatch(/either way/);
  });
});
