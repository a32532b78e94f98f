import type { LinkProblemCode } from '@leggero/core/linking';
import type { Problem } from '@leggero/core';
import {
  CHECK_DEFAULTS,
  MODEL_DEFAULTS,
  PIECE_DEFAULTS,
  PIECE_FORMS,
  RESULT_DEFAULTS,
  pieceDesignSchema,
  type CheckRecord,
  type ClosedDesign,
  type ModelDetail,
  type PieceDesign,
  type PieceRecord,
} from '@leggero/contract';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { BuildList } from '@/features/builds/BuildList';
import { firstDesign } from '@/features/builds/firstDesign';
import { NewPiecePage } from '@/features/builds/NewPiecePage';
import { CheckPage } from '@/features/check/CheckPage';
import { PiecePage } from '@/chunks/PiecePage';
import { WithModel } from '@/parts/WithModel';
import { closingText, linkProblemText } from '@/wording/linking';
import { FORM_WORDS, layerTitle } from '@/wording/pieces';

import { visited } from './router';
import { done, lastDone, MODEL_ID, show, someRecords } from './studio';

const inch = (inches: number) => inches * 25.4;
const id = (n: number) => `00000000-0000-4000-8000-0000000007${String(n).padStart(2, '0')}`;
const LINK_ID = id(1);
const PIECE_ID = id(2);

const link: ModelDetail = {
  id: LINK_ID,
  line: 'Tarn Link',
  kind: 'linking',
  nominalMm: inch(6),
  finish: 'matte',
  colourName: 'coral',
  colourHex: '#c8493a',
  ...MODEL_DEFAULTS,
  demo: false,
  calibrations: [],
  holdTests: [],
  uses: 0,
  targets: [],
  checks: [],
};
const part = { modelId: LINK_ID, colourHex: '#c8493a', finish: 'matte' } as const;
const BASKET = { ...(firstDesign('basket', { part, stepMm: inch(1 / 8) }) as ClosedDesign), baseMm: inch(5) };

function withPiece(design: PieceDesign, more: Partial<PieceRecord> = {}) {
  const records = someRecords();
  records.models.push(link);
  records.pieces = [
    {
      id: PIECE_ID,
      name: 'Anemone',
      design,
      createdAt: '2026-11-20T10:00:00.000Z',
      ...PIECE_DEFAULTS,
      checks: [],
      demo: false,
      ...more,
    },
  ];
  return records;
}

async function open(design: PieceDesign, more?: Partial<PieceRecord>) {
  show(<PiecePage pieceId={PIECE_ID} />, withPiece(design, more));
  await screen.findByText('Anemone');
}
const type = async (label: string, text: string) => {
  const field = screen.getByRole('textbox', { name: label });
  await userEvent.clear(field);
  await userEvent.type(field, text);
};
/** Waits out the rest of the hand. */
const rest = () => act(() => new Promise<void>((resolve) => setTimeout(resolve, 450)));

describe('builds', () => {
  it('lists the pieces with what is left to check, and teaches the first step when there is none', async () => {
    const check = {
      ...CHECK_DEFAULTS,
      id: id(9),
      modelId: LINK_ID,
      tierName: 'Spokes',
      targetMm: 127,
      toleranceMm: 2,
      size: 12,
      pieceId: PIECE_ID,
      layer: 'spokes',
      startedAt: '2026-11-20T11:00:00.000Z',
      results: [],
      demo: false,
    };
    const { unmount } = show(<BuildList />, withPiece(BASKET, { checks: [check] }));
    expect(await screen.findByText('Basket · 12 to check')).toBeTruthy();
    unmount();
    show(<BuildList />, someRecords());
    await screen.findByText(/^Plan the first event/);
    await userEvent.click(screen.getAllByRole('button', { name: 'Draw up a piece' }).at(-1)!);
    expect(visited).toEqual(['/builds/new']);
  });

  it.each(PIECE_FORMS)('a new %s begins with a design that can be kept and worked out', async (form) => {
    const design = firstDesign(form, { part, nominalMm: inch(6), stepMm: inch(1 / 8) });
    expect(pieceDesignSchema.parse(design)).toEqual(design);
    await open(design);
    expect(await screen.findByText(new RegExp(`^${FORM_WORDS[form].title} · .*balloon`))).toBeTruthy();
    expect(screen.queryByText('cannot be worked out')).toBeNull();
  });

  it('draws up a piece under its name, of a linking balloon when the shelf has one', async () => {
    show(<NewPiecePage />, withPiece(BASKET));
    await userEvent.click(await screen.findByRole('radio', { name: /^Curtain:/ }));
    await type('Name', ' ');
    await userEvent.click(screen.getByRole('button', { name: 'Draw it up' }));
    expect(screen.getByText('A name of 1 to 80 characters.')).toBeTruthy();
    expect(done()).toEqual([]);
    await type('Name', 'Jellyfish');
    await userEvent.click(screen.getByRole('button', { name: 'Draw it up' }));
    expect(lastDone()).toMatchObject({
      put: 'piece',
      row: { name: 'Jellyfish', design: { form: 'curtain', repeat: [{ modelId: LINK_ID }] } },
    });
    expect(visited[0]).toMatch(/^\/builds\/[0-9a-f-]{36}$/);
  });
});

describe('another closed form', () => {
  it('keeps its contacts, and is also seen as soft bodies come to rest', async () => {
    await open({ ...BASKET, form: 'cup', rings: 2, leanDeg: 0 });
    expect(screen.getByText(/^As drawn \d+\S* in across/)).toBeTruthy();
    await userEvent.click(screen.getByRole('radio', { name: 'At rest' }));
    expect(
      screen.getByText(/^As soft bodies .* comes to rest \d+\S* in across, .* in high; no neck is pulled\.$/),
    ).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Build it once more' })).toBeNull();
  });
});

describe('a basket', () => {
  it('has its sizes on the steps, says which look alike, and how exact they must be', async () => {
    await open(BASKET);
    expect(screen.getByText('Basket · 30 balloons')).toBeTruthy();
    const sizes = ['Spokes', 'First ring', 'Ring 2', 'Tying balloons'];
    for (const title of sizes)
      expect(screen.getByRole('button', { name: new RegExp(`^${title}.*\\d+ ×`) })).toBeTruthy();
    expect(screen.getAllByText(/^Looks like .*: keep apart$/).length).toBeGreaterThan(1);
    expect(screen.getByText(/^95 of 100 close when nearly all balloons keep to ±1\/16 in\.$/)).toBeTruthy();
    expect(screen.getByText(/^Of 25 sets of steps the best uses up/)).toBeTruthy();
    expect(screen.getByText(/The twist goes between the second and the third balloon/)).toBeTruthy();
  });

  it('one balloon off its size buckles its ring or leaves it open, and exact it closes', async () => {
    await open(BASKET);
    await userEvent.click(screen.getByRole('button', { name: /^First ring.*6 ×/ }));
    expect(screen.getByText('closes')).toBeTruthy();
    const more = screen.getByRole('button', { name: 'More: this balloon alone' });
    await userEvent.click(more);
    await userEvent.click(more);
    expect(screen.getByText('+¼ in')).toBeTruthy();
    expect(screen.getByText('buckles')).toBeTruthy();
    expect(
      screen.getByText(/Left free this balloon is pushed out by 1.* in; among soft ones, .* moves by \S+ in\./),
    ).toBeTruthy();
    const fewer = screen.getByRole('button', { name: 'Fewer: this balloon alone' });
    for (let i = 0; i < 5; i += 1) await userEvent.click(fewer);
    expect(screen.getByText('stays open')).toBeTruthy();
  });

  it('stands as its soft balloons rest, its rings sized for the wall it then has', async () => {
    await open({ ...BASKET, baseMm: inch(3.5) });
    const inches = (text: string | null) =>
      text!.match(/\d+(?=\S* in (?:across|high|clear))/g)!.map((each) => Number(each));
    const [across, high, opening] = inches(screen.getByText(/^As it stands/).textContent);
    expect(across).toBeGreaterThan(12);
    expect(across).toBeLessThan(16);
    expect(high).toBeLessThan(across!);
    const [most] = inches(screen.getByText(/^\d.* to \d.* in across, by how hard its necks pull\.$/).textContent);
    expect(most).toBeGreaterThanOrEqual(across!);
    expect(screen.queryByText(/^With necks that/)).toBeNull();
    const [well] = inches(screen.getByText(/^\d.* in clear between its spokes, where it is narrowest\.$/).textContent);
    expect(well).toBeLessThan(opening!);
    expect(
      screen.getByText('Its rings are sized for a wall that leans out by 8°, and about so it rests.'),
    ).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Size its rings for/ })).toBeNull();
    expect(screen.queryByRole('radio', { name: 'At rest' })).toBeNull();
  });

  it('with eight spokes rests wider, and sizes its rings for that', async () => {
    await open({ ...BASKET, count: 8 });
    const resting = () => screen.getByText(/^Its rings are sized for a wall that leans out by \d+°/).textContent!;
    const [sized, rests] = /by (\d+)°; at rest it leans by (\d+)°\.$/.exec(resting())!.slice(1).map(Number);
    expect(rests).toBeGreaterThan(sized! + 5);
    // Of what is known of its width the lower end is missing.
    expect(
      screen.getByText(/^With necks that pull harder .* would not hold .* narrower: measure the first one built\.$/),
    ).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: /^Size its rings for \d+°$/ }));
    expect(resting()).toMatch(/, and about so it rests\.$/);
    await rest();
    expect(lastDone()).toMatchObject({ change: 'piece', by: { design: { count: 8 } } });
    const { leanDeg } = (lastDone() as { by: { design: ClosedDesign } }).by.design;
    expect(leanDeg).toBeGreaterThan(sized! + 5);
  });

  it('whose balloons would press further into one another than balloons do says that it is drawn by its knots', async () => {
    await open({ ...BASKET, count: 8, rings: 6, leanDeg: 15 });
    expect(screen.getByRole('alert').textContent).toMatch(/^Drawn by its knots alone/);
    expect(screen.queryByText(/clear between its spokes/)).toBeNull();
  });

  it('shows what cannot be beside its field, keeps what was typed, and names what works', async () => {
    await open(BASKET);
    await type('Spoke balloons, inches', '3');
    expect(
      screen.getByText(
        /Its tying balloons would be .* in, under the 2¼ in that are useful\. From .* on they are large enough/,
      ),
    ).toBeTruthy();
    expect(screen.getByRole('textbox', { name: 'Spoke balloons, inches' })).toHaveProperty('value', '3');
    await userEvent.click(screen.getByRole('button', { name: /^As practised: 3½ in · 3¾ in · 4¼ in · 2½ in$/ }));
    for (const size of ['First ring.*3¾', 'Ring 2.*4¼', 'Tying balloons.*2½'])
      expect(screen.getByRole('button', { name: new RegExp(`^${size}`) })).toBeTruthy();
    await type('Spoke balloons, inches', '5');
    await userEvent.click(screen.getByRole('radio', { name: '¼ in' }));
    await type('Leans out, degrees', '1');
    expect(screen.getByText(/on these steps they would all be one size/)).toBeTruthy();
  });

  it('keeps a change once the hand rests, once', async () => {
    await open(BASKET);
    const more = screen.getByRole('button', { name: 'More: rings' });
    // At once, however slow the machine: the hand has not rested yet.
    fireEvent.click(more);
    expect(done()).toEqual([]);
    expect(screen.getAllByText('Ring 3').length).toBeGreaterThan(0);
    await rest();
    expect(done()).toHaveLength(1);
    expect(lastDone()).toMatchObject({
      change: 'piece',
      id: PIECE_ID,
      by: { design: { form: 'basket', rings: 3 } },
    });
  });

  it('takes a handle and says when its balloon is too short', async () => {
    await open({ ...BASKET, handle: { riseMm: inch(12), part } });
    expect(screen.getByText(/^Fill .*, leave .* of tail; the arch itself is/)).toBeTruthy();
    await type('Above the opening', '60');
    expect(screen.getByText(/The balloon is too short for it: at most \d+/)).toBeTruthy();
  });

  it('is checked balloon by balloon: one run for each size that has a balloon of the shelf', async () => {
    await open(BASKET);
    await userEvent.click(screen.getByRole('button', { name: 'Start checking' }));
    const checks = done().filter((write) => 'put' in write && write.put === 'check');
    expect(checks).toMatchObject([
      { row: { tierName: 'Spokes', layer: 'spokes', size: 12, pieceId: PIECE_ID } },
      { row: { tierName: 'First ring', layer: 'ring-1', size: 6 } },
      { row: { tierName: 'Ring 2', layer: 'ring-2', size: 6 } },
      { row: { tierName: 'Tying balloons', layer: 'ties-1', size: 6 } },
    ]);
    const [run, ...more] = done().filter((write) => 'put' in write && write.put === 'run') as unknown as {
      row: { id: string };
    }[];
    expect([run!.row, more]).toEqual([{ id: run!.row.id, pieceId: PIECE_ID, startedAt: expect.any(String) }, []]);
    const parts = checks.map((each) => (each as unknown as { row: Partial<CheckRecord> }).row);
    expect(parts.map(({ runId, place }) => [runId, place])).toEqual([0, 1, 2, 3].map((place) => [run!.row.id, place]));
    expect(visited[0]).toMatch(new RegExp(`^/shelf/${LINK_ID}/check/`));
  });
});

describe('the run of a piece', () => {
  const check = (n: number, more: Partial<CheckRecord>): CheckRecord => ({
    ...CHECK_DEFAULTS,
    id: id(20 + n),
    modelId: MODEL_ID,
    tierName: 'Spokes',
    targetMm: inch(9.5),
    toleranceMm: 2,
    size: 2,
    pieceId: PIECE_ID,
    layer: 'spokes',
    runId: id(60),
    place: 0,
    startedAt: '2026-11-20T11:00:00.000Z',
    results: [],
    demo: false,
    ...more,
  });
  const result = (checkId: string, position: number) => ({
    id: id(40 + position),
    checkId,
    position,
    answer: 'passes' as const,
    widthMm: null,
    ...RESULT_DEFAULTS,
    takenAt: `2026-11-20T11:0${position}:00.000Z`,
  });

  it('knows the piece, counts down what is left of it, and leads to the next size, then back', async () => {
    const first = check(1, { results: [result(id(21), 0)] });
    const second = check(2, {
      tierName: 'First ring',
      layer: 'ring-1',
      size: 3,
      place: 1,
    });
    // Another run, though of the same moment; and one that is part of none.
    const other = check(3, { runId: id(61), size: 9 });
    const alone = check(4, { runId: null, place: null, size: 9 });
    const records = withPiece(BASKET, { checks: [second, other, first, alone] });
    records.models.find((model) => model.id === MODEL_ID)!.checks = [first, second];
    show(<WithModel modelId={MODEL_ID}>{(shown) => <CheckPage {...shown} checkId={first.id} />}</WithModel>, records);
    expect(await screen.findByText('Check Anemone')).toBeTruthy();
    expect(screen.getByText('of 2 · 4 left in the piece')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Plan' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: /^Just passes/ }));
    await userEvent.click(await screen.findByRole('button', { name: 'Next: First ring' }));
    expect(visited).toEqual([`/shelf/${MODEL_ID}/check/${second.id}`]);
  });
});

describe('hanging work', () => {
  it('a chain lands on its length, and one longer than the room says how long it may be', async () => {
    await open(firstDesign('chain', { part, nominalMm: inch(6), stepMm: inch(1 / 8) }));
    expect(screen.getByText(/^\d+ balloons: (5 ft 11|6 ft).* long$/)).toBeTruthy();
    await type('Length', '130');
    expect(screen.getByText('Longer than the room is high: at most 9 ft.')).toBeTruthy();
    expect(screen.getByText('Chain · cannot be worked out')).toBeTruthy();
  });

  it('a swag without a drop is refused beside it; with one it tells count, angle and depth', async () => {
    await open(firstDesign('swag', { part, nominalMm: inch(6), stepMm: inch(1 / 8) }));
    expect(screen.getByText(/of chain, .* deep .*° at both fixings; lowest 5 ft from the left/)).toBeTruthy();
    expect(screen.getByText(/People walk underneath: the lowest balloon hangs at/)).toBeTruthy();
    await type('Drop', '0.1');
    expect(screen.getByText(/A swag hangs: give it some drop/)).toBeTruthy();
  });

  it('a curtain counts its chains, and says what the ceiling and a grid do', async () => {
    await open(firstDesign('curtain', { part, nominalMm: inch(6), stepMm: inch(1 / 8) }));
    expect(screen.getByText(/^Curtain · 12 chains/)).toBeTruthy();
    await userEvent.click(screen.getByRole('switch', { name: 'Tie neighbours to a grid' }));
    expect(screen.getByText(/ties between neighbours, tail to tail$/)).toBeTruthy();
    await type('Line above the floor', '120');
    expect(screen.getByText('Above the ceiling of 9 ft: at most 9 ft.')).toBeTruthy();
    await type('Ceiling', '130');
    expect(screen.getByText(/^Curtain · \d+ chains/)).toBeTruthy();
    await userEvent.click(screen.getByRole('switch', { name: 'There is a ceiling' }));
    expect(screen.queryByRole('textbox', { name: 'Ceiling' })).toBeNull();
    // A room is said in feet, and understood in them.
    const line = screen.getByRole<HTMLInputElement>('textbox', { name: 'Line above the floor' });
    await type('Line above the floor', "7'6");
    fireEvent.blur(line);
    expect(line.value).toBe('7 ft 6 in');
    await type('Line above the floor', '6 ft 14 in');
    fireEvent.blur(line);
    expect(line.value).toBe('6 ft 14 in');
    expect(line.getAttribute('aria-invalid')).toBe('true');
  });

  it('2,000 balloons are drawn, with a word on the work', async () => {
    const design = firstDesign('curtain', { part, nominalMm: inch(6), stepMm: inch(1 / 8) });
    await open({ ...design, acrossMm: 20_000, everyMm: 160, topMm: 2700, hemMm: 400 } as PieceDesign);
    expect(screen.getByText(/^2\d\d\d balloons are work for several people and days/)).toBeTruthy();
  });

  it('a measured chain of five teaches knot and tail; an impossible one is refused', async () => {
    await open(firstDesign('chain', { part, nominalMm: inch(6), stepMm: inch(1 / 8) }));
    expect(screen.getByText(/Between two bodies ¼ in, .*: from memory\./)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Measure a chain of five' }));
    const sheet = within(screen.getByRole('dialog'));
    await userEvent.click(sheet.getByRole('button', { name: 'Keep this measure' }));
    expect(sheet.getByText('How wide each of them is.')).toBeTruthy();
    await type('Width of each, inches', '5');
    await type('Length of the chain', '40');
    expect(sheet.getByText(/^5 of this width are 20 in to 35 in long|5 of this width are/)).toBeTruthy();
    await type('Length of the chain', '26 1/2');
    await userEvent.click(sheet.getByRole('button', { name: 'Keep this measure' }));
    expect(lastDone()).toMatchObject({
      put: 'chain',
      row: { modelId: LINK_ID, count: 5, widthMm: 127 },
    });
    await waitFor(() => expect(screen.getByText(/learned from 1 measured chain/)).toBeTruthy());
  });
});

describe('the target of a size', () => {
  const five: ModelDetail = { ...link, id: id(3), line: 'Fennimore', kind: 'round', nominalMm: inch(5) };
  const pair: ModelDetail = { ...link, id: id(4), line: 'Link over five', outerId: LINK_ID, innerId: id(3) };

  it('of a stuffed linking balloon is held by the smaller of the two', async () => {
    const records = withPiece(
      firstDesign('chain', { part: { ...part, modelId: id(4) }, nominalMm: inch(6), stepMm: inch(1 / 8) }),
    );
    records.models.push(five, pair);
    show(<PiecePage pieceId={PIECE_ID} />, records);
    expect(await screen.findByText(/^This balloon is held at 4.* in: wider it is no longer round/)).toBeTruthy();
  });

  it('of a plain one is what the piece wants', async () => {
    await open(firstDesign('chain', { part, nominalMm: inch(6), stepMm: inch(1 / 8) }));
    expect(screen.getByRole('status', { name: /^Chain balloons: fill to [45]/ })).toBeTruthy();
    expect(screen.queryByText(/^This balloon is held/)).toBeNull();
  });
});

describe('a ring', () => {
  const ring = firstDesign('ring', { part, nominalMm: inch(6), stepMm: inch(1 / 8) });
  it('on its own closes with any sizes; around a pot it offers what fits', async () => {
    await open(ring);
    expect(screen.getByText(/closes with any sizes, only its width changes/)).toBeTruthy();
    await userEvent.click(screen.getByRole('switch', { name: 'It goes with a pole, a pot or a hoop' }));
    const [first] = screen.getAllByRole('button', { name: /^\d+ of .* in, / });
    await userEvent.click(first!);
    expect(screen.getByText(/^95 of 100 close|does not close even with exact balloons/)).toBeTruthy();
    await type('Across the thing', '0.2');
    expect(screen.getByText(/No ring of useful balloons fits this/)).toBeTruthy();
  });

  it('takes rings on top, and says when one finds no hold', async () => {
    await open(ring);
    await userEvent.click(screen.getByRole('button', { name: 'Set a ring on top' }));
    expect(screen.getByText('Ring · 12 balloons')).toBeTruthy();
    await type('Width 2, inches', '14');
    expect(screen.getByText('Ring · cannot be worked out')).toBeTruthy();
    expect(screen.getByText(/It finds no hold on the ring below/)).toBeTruthy();
  });
});

it('a piece is renamed, and deleted only after asking', async () => {
  await open(BASKET);
  await userEvent.click(screen.getByRole('button', { name: 'More' }));
  await type('Name', 'Sea anemone');
  await userEvent.click(screen.getByRole('button', { name: 'Done' }));
  expect(lastDone()).toMatchObject({ change: 'piece', by: { name: 'Sea anemone' } });
  expect(await screen.findByText('Sea anemone')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'More' }));
  await userEvent.click(screen.getByRole('button', { name: 'Delete' }));
  fireEvent.click(await screen.findByRole('button', { name: 'Delete for good' }));
  expect(lastDone()).toEqual({ remove: 'piece', id: PIECE_ID });
  expect(visited).toEqual(['/builds']);
});

it('a piece that is not there says so', async () => {
  show(<PiecePage pieceId={id(99)} />, someRecords());
  expect(await screen.findByText(/No piece is known at this address/)).toBeTruthy();
});

describe('words of linking', () => {
  const text = (mm: number) => `${(mm / 25.4).toFixed(1)} in`;
  const fine = (mm: number) => `${Math.abs(mm).toFixed(1)} mm`;
  it('every refusal of the core says what to do', () => {
    const [limits, mm] = [
      { least: 1, most: 2 },
      { leastMm: 100, mostMm: 254, nearestMm: 200 },
    ];
    const plain = (['no-drop', 'below-floor', 'cap-too-large', 'bad-mouth', 'bad-width', 'bad-length'] as const).map(
      (code): Problem<LinkProblemCode> => ({ code }),
    );
    const problems: Problem<LinkProblemCode>[] = [
      ...plain,
      { code: 'no-count', detail: { ...mm, count: 5 } },
      { code: 'longer-than-room', detail: mm },
      { code: 'drop-beyond-string', detail: mm },
      { code: 'string-too-short', detail: mm },
      { code: 'above-ceiling', detail: { ...mm, ceilingMm: 2700 } },
      { code: 'hem-too-high', detail: mm },
      { code: 'chains-too-near', detail: mm },
      { code: 'bad-bow', detail: mm },
      { code: 'too-many-balloons', detail: { balloons: 30_000, most: 20_000 } },
      { code: 'too-few-balloons', detail: limits },
      { code: 'no-hold', detail: { ring: 2 } },
      { code: 'none-fits', detail: { ...mm, diameterMm: 300 } },
      { code: 'bad-count', detail: limits },
      { code: 'bad-rings', detail: limits },
      { code: 'no-room', detail: { ring: 3, most: 2 } },
      { code: 'steps-too-coarse', detail: { differenceMm: 1 } },
      { code: 'tie-too-small', detail: { ...mm, tieMm: 40, leastTieMm: 57 } },
      { code: 'bad-lean', detail: limits },
      { code: 'outside-useful', detail: mm },
    ];
    const said = problems.map((problem) => linkProblemText(problem, text));
    expect(new Set(said).size).toBe(problems.length);
    expect(said.join(' ')).not.toMatch(/undefined|NaN/);
    for (const sentence of said) expect(sentence).toMatch(/\.$/);
  });
  it('an error is told with its side', () => {
    expect(closingText({ closingMm: 2.04, ofGive: 0.4 }, true, fine)).toBe('2.0 mm too long all the way round');
    expect(closingText({ closingMm: -7, ofGive: 1.3 }, true, fine)).toBe(
      '7.0 mm short all the way round: does not close',
    );
    expect(closingText({ closingMm: 0.01, ofGive: 0 }, false, fine)).toBe('exact');
    expect(closingText({ closingMm: -1, ofGive: 0.2 }, false, fine)).toBe('1.0 mm too small');
  });
  it('every size of a form has a name of its own', () => {
    expect(layerTitle('ring-1', 'ball')).toBe('Equator');
    expect(layerTitle('ties-2', 'basket')).toBe('Tying balloons 2');
    expect(layerTitle('part-2', 'chain')).toBe('Balloon 2 of the repeat');
  });
});
