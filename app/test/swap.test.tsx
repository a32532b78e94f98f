import {
  EVENT_DEFAULTS,
  MODEL_DEFAULTS,
  PIECE_DEFAULTS,
  PIECE_FORMS,
  type ModelRecord,
  type PieceDesign,
  type PiecePart,
} from '@leggero/contract';
import { TRADE } from '@leggero/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { firstDesign } from '@/features/builds/firstDesign';
import { SwapPage } from '@/features/recipe/SwapPage';
import { lookOf } from '@/parts/piece/pieceWork';
import { lineSwapOf, linesFor } from '@/views/lineSwap';
import { standInsFor, swapOf, withParts } from '@/views/swap';
import { lineText } from '@/wording/swap';

import { withBenchWorkers } from './benchWorker';
import { goTo } from './router';
import { done, FRESH_ID, lastDone, MODEL_ID, show, someRecords } from './studio';

const inch = (inches: number) => inches * 25.4;
const id = (n: number) => `00000000-0000-4000-8000-0000000033${String(n).padStart(2, '0')}`;
const sold = (n: number, by: Partial<ModelRecord>): ModelRecord => ({
  ...MODEL_DEFAULTS,
  ...{ id: id(n), line: 'Tarn', kind: 'round', nominalMm: inch(11), finish: 'matte', colourName: 'red' },
  ...{ colourHex: '#b23a2e', demo: false },
  ...by,
});
const part = ({ id: modelId, colourHex, finish }: ModelRecord): PiecePart => ({ modelId, colourHex, finish });
/** Every balloon that a design names. */
const namedIn = (design: PieceDesign) =>
  [...JSON.stringify(design).matchAll(/"modelId":("[^"]+"|null)/g)].map(([, each]) => each!.replaceAll('"', ''));

const RED = { five: sold(5, { nominalMm: inch(5) }), eleven: sold(11, {}) };
const BLUE = {
  five: sold(25, { colourName: 'blue', colourHex: '#2a4c8f', nominalMm: inch(5) }),
  eleven: sold(31, { colourName: 'blue', colourHex: '#2a4c8f' }),
  sixteen: sold(36, { colourName: 'blue', colourHex: '#2a4c8f', nominalMm: inch(16) }),
};
const models = [...Object.values(RED), ...Object.values(BLUE)];
const swap = (from: string, to: ModelRecord) =>
  swapOf({ from, to, models, lookOf: lookOf, daysStanding: 0, trade: TRADE });

describe('a swap', () => {
  it.each(PIECE_FORMS)('reaches every balloon of a %s, and changes nothing else of it', (form) => {
    const made = (balloon: ModelRecord) =>
      firstDesign(form, {
        part: part(balloon),
        other: part(balloon),
        nominalMm: inch(11),
        stepMm: 3.175,
        trade: TRADE,
      });
    const swapped = withParts(made(RED.eleven), swap(RED.eleven.id, BLUE.eleven));
    // Sizes that were drawn without a balloon have one now.
    const asDrawn = (design: PieceDesign) =>
      withParts(design, ({ colourHex, finish }) => ({ modelId: null, colourHex, finish }));
    expect(asDrawn(swapped)).toEqual(asDrawn(made(BLUE.eleven)));
    expect(namedIn(swapped)).not.toContain(RED.eleven.id);
  });

  it('takes a colour in every size that the other has, and leaves the rest', () => {
    const instead = swap(RED.eleven.id, BLUE.eleven);
    expect(instead(part(RED.five))).toEqual(part(BLUE.five));
    const large = sold(18, { nominalMm: inch(18) });
    const without = swapOf({
      ...{ from: RED.eleven.id, to: BLUE.eleven, models: [...models, large], lookOf: lookOf },
      ...{ daysStanding: 0, trade: TRADE },
    });
    expect(without(part(large))).toBeNull();
    expect(instead(part(BLUE.five))).toBeNull();
  });

  it('chooses for a colour without a balloon the size that suits each width', () => {
    const foam: PiecePart = { modelId: null, colourHex: '#f3ead8', finish: 'matte' };
    const instead = swap(lookOf(foam), BLUE.eleven);
    expect(instead({ ...foam, widthMm: inch(14) })).toEqual(part(BLUE.sixteen));
    expect(instead({ ...foam, widthMm: inch(4) })).toEqual(part(BLUE.five));
    expect(instead(foam)).toEqual(part(BLUE.eleven));
    expect(instead({ ...foam, colourHex: '#000000' })).toBeNull();
    expect(instead(part(RED.eleven))).toBeNull();
  });

  it('strings nothing on round balloons: a joiner of the same look stays what it is', () => {
    const foam: PiecePart = { modelId: null, colourHex: '#f3ead8', finish: 'matte' };
    const rope = firstDesign('rope', {
      ...{ part: foam, other: part(RED.eleven), nominalMm: inch(5), stepMm: 3.175, trade: TRADE },
    });
    const strung = { ...rope, joiner: foam } as PieceDesign;
    const swapped = withParts(strung, swap(lookOf(foam), BLUE.eleven));
    expect(swapped).toMatchObject({ joiner: foam, colours: [part(BLUE.eleven), part(RED.eleven)] });
  });

  it('is offered nearest in colour first, of its kind and size', () => {
    const coral = sold(41, { line: 'Fen', colourName: 'coral', colourHex: '#c04a38' });
    const linking = sold(42, { kind: 'linking' });
    const offered = standInsFor({ colourHex: RED.eleven.colourHex, model: RED.eleven }, [...models, linking, coral]);
    expect(offered.map(({ model }) => model.id)).toEqual([coral.id, BLUE.eleven.id]);
    expect(offered[0]!.colourApart).toBeLessThan(offered[1]!.colourApart);
  });
});

describe('a swap of a whole line', () => {
  const FEN = {
    rose: sold(51, { line: 'Fen', colourName: 'rose', colourHex: '#c0503f' }),
    navy: sold(52, { line: 'Fen', colourName: 'navy', colourHex: '#1f3c7a', finish: 'pearl' }),
    navyMatte: sold(53, { line: 'Fen', colourName: 'navy', colourHex: '#1f3c7a' }),
    five: sold(54, { line: 'Fen', colourName: 'rose', colourHex: '#c0503f', nominalMm: inch(5) }),
    linking: sold(55, { line: 'Fen', colourName: 'red', colourHex: '#b23a2e', kind: 'linking' }),
  };
  const SHINE = sold(61, { line: 'Shine', colourName: 'red', colourHex: '#b23a2e' });
  const all = [...models, ...Object.values(FEN), SHINE];
  const instead = lineSwapOf({ from: RED.eleven, to: 'Fen', models: all });

  it('takes each of its colours and sizes to the nearest colour of that size, its own finish first', () => {
    expect(instead(part(RED.eleven))).toEqual(part(FEN.rose));
    expect(instead(part(BLUE.eleven))).toEqual(part(FEN.navyMatte));
    expect(instead(part(RED.five))).toEqual(part(FEN.five));
  });

  it('leaves what the other line does not have, other lines, and what has no balloon', () => {
    expect(instead(part(BLUE.sixteen))).toBeNull();
    expect(instead(part(SHINE))).toBeNull();
    expect(instead({ ...part(RED.eleven), modelId: null })).toBeNull();
  });

  it('is offered with how much of the line it has, the fullest first, and only where it has some', () => {
    const design = firstDesign('column', {
      ...{ part: part(RED.eleven), other: part(BLUE.eleven), nominalMm: inch(11), stepMm: 3.175, trade: TRADE },
    });
    const used = [...new Set(namedIn(design))].sort();
    expect(used).toEqual([RED.eleven.id, BLUE.eleven.id].sort());
    const dale = sold(71, { line: 'Dale', nominalMm: inch(16) });
    const offered = linesFor(RED.eleven, [design], [...all.filter(({ id: each }) => each !== BLUE.sixteen.id), dale]);
    expect(offered.map(({ line, used: of }) => [line, of])).toEqual([
      ['Fen', 2],
      ['Shine', 2],
    ]);
    expect(new Set(offered[0]!.standIns)).toEqual(new Set([FEN.rose, FEN.navyMatte]));
    // Red is at hand there, but blue becomes red too.
    expect(offered[1]!.standIns).toEqual([SHINE, SHINE]);
    expect(offered[1]!.mostApart).toBeGreaterThan(offered[0]!.mostApart);
  });

  it('is told in words', () => {
    const told = (standIns: ModelRecord[], used: number, mostApart: number) =>
      lineText({ standIns, used, mostApart }, 0.02);
    expect(told([SHINE], 1, 0)).toBe('the same colour to the eye · has the one used here');
    expect(told([FEN.rose, FEN.five], 3, 0.05)).toBe(
      'farthest colour: close, side by side it shows · has 2 of the 3 used here, the rest stays',
    );
    expect(told([SHINE, SHINE], 2, 0.5)).toBe(
      'farthest colour: another colour · has all 2 used here · they become 1 balloon',
    );
  });
});

describe('the page of a swap', () => {
  withBenchWorkers();

  const EVENT_ID = id(90);
  const column = firstDesign('column', {
    ...{ part: { modelId: MODEL_ID, colourHex: '#3f7a4a', finish: 'matte' }, nominalMm: inch(11), stepMm: 3.175 },
    trade: TRADE,
  });
  const AT = '2026-11-20T10:00:00.000Z';
  const records = () => ({
    ...someRecords(),
    events: [{ ...EVENT_DEFAULTS, id: EVENT_ID, name: 'Low Tide', daysStanding: 0, createdAt: AT, demo: false }],
    pieces: [
      {
        ...PIECE_DEFAULTS,
        ...{ id: id(91), name: 'Kelp', design: column, eventId: EVENT_ID, checks: [], createdAt: AT, demo: false },
      },
    ],
  });

  it('shows what changes before it is done, does it in every piece, and can be undone', async () => {
    goTo(`/builds/events/${EVENT_ID}/swap`, { from: MODEL_ID });
    show(<SwapPage eventId={EVENT_ID} />, records());
    await userEvent.click(await screen.findByRole('radio', { name: 'Tarn Satin 11, tide blue' }));
    expect(await screen.findByText(/^9⅞ in as before · 8 strokes$/)).toBeTruthy();
    expect(done()).toHaveLength(0);
    await userEvent.click(screen.getByRole('button', { name: 'Swap it in 1 piece' }));
    const last = () => {
      const write = lastDone()!;
      return 'change' in write && write.change === 'piece' ? namedIn(write.by.design!) : [];
    };
    expect(last()).toContain(FRESH_ID);
    expect(last()).not.toContain(MODEL_ID);
    expect(screen.getByText('Tarn Satin 11, tide blue is now in 1 piece instead.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(last()).toContain(MODEL_ID));
  });

  it('takes its whole line to another', async () => {
    goTo(`/builds/events/${EVENT_ID}/swap`, { from: MODEL_ID });
    show(<SwapPage eventId={EVENT_ID} />, records());
    await userEvent.click(await screen.findByRole('radio', { name: 'Its whole line' }));
    expect(screen.queryByRole('radio', { name: 'Tarn Satin 11, tide blue' })).toBeNull();
    await userEvent.click(await screen.findByRole('radio', { name: 'Tarn Satin' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Swap it in 1 piece' }));
    expect(screen.getByText('Tarn Satin is now in 1 piece instead.')).toBeTruthy();
    const write = lastDone()!;
    expect('change' in write && write.change === 'piece' ? namedIn(write.by.design!) : []).toContain(FRESH_ID);
  });
});
