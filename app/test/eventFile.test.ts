import {
  EVENT_DEFAULTS,
  layWrites,
  MODEL_DEFAULTS,
  NO_ROWS,
  PIECE_DEFAULTS,
  type ModelRecord,
  type PieceRecord,
  type Write,
} from '@leggero/contract';
import { readEventFile } from '@leggero/contract/eventFile';
import { TRADE } from '@leggero/core';
import { recipeOf, type Recipe } from '@leggero/core/recipe';

import { firstDesign } from '@/features/builds/firstDesign';
import { svgOf, svgPiece } from '@/parts/piece/stillSvg';
import { stillOf } from '@/parts/piece/still';
import { materialFrom, type PlainMaterial } from '@/parts/piece/material';
import { worksAnswer } from '@/parts/piece/works';
import { eventFileOf, eventFromFile } from '@/views/eventFile';
import { balloonName } from '@/views/modelView';
import { ownFileText } from '@/wording/files';

const inch = (inches: number) => inches * 25.4;
const id = (n: number) => `00000000-0000-4000-8000-0000000035${String(n).padStart(2, '0')}`;
const AT = '2026-11-20T10:00:00.000Z';
const sold = (n: number, inches: number, by: Partial<ModelRecord> = {}): ModelRecord => ({
  ...MODEL_DEFAULTS,
  ...{ id: id(n), line: 'Tarn', kind: 'round', nominalMm: inch(inches), finish: 'matte', colourName: 'red' },
  ...{ colourHex: '#b23a2e', demo: false },
  ...by,
});
const MODELS = [
  sold(1, 5),
  sold(2, 11),
  sold(3, 16),
  sold(4, 11, { colourName: 'clear', finish: 'clear' }),
  sold(5, 11, { line: 'Red in clear', outerId: id(4), innerId: id(2), finish: 'clear' }),
  sold(6, 11, { line: 'Other', colourName: 'blue' }),
];
const CHAIN = { id: id(20), modelId: id(2), count: 5, widthMm: inch(8), lengthMm: inch(41), takenAt: AT };
const EVENT = {
  ...EVENT_DEFAULTS,
  ...{ id: id(30), name: 'Low Tide', client: 'Someone', daysStanding: 2, ceilingMm: 3000, createdAt: AT, demo: false },
};
const part = (model: ModelRecord) => ({ modelId: model.id, colourHex: model.colourHex, finish: model.finish });
const piece = (n: number, form: 'column' | 'taper' | 'garland' | 'ring', of: ModelRecord): PieceRecord => ({
  ...PIECE_DEFAULTS,
  ...{ id: id(40 + n), name: `Piece ${n}`, eventId: EVENT.id, checks: [], createdAt: AT, demo: false },
  design: firstDesign(form, {
    ...{ part: part(of), other: part(MODELS[4]!), nominalMm: inch(11), stepMm: 3.175, trade: TRADE },
  }),
});
const PIECES = [
  piece(1, 'column', MODELS[1]!),
  piece(2, 'taper', MODELS[1]!),
  { ...piece(3, 'garland', MODELS[1]!), copies: 2 },
  piece(4, 'ring', MODELS[1]!),
];

const material = (models: readonly ModelRecord[], chains: readonly (typeof CHAIN)[]): PlainMaterial => ({
  knowledge: { models },
  longs: [],
  studio: { stepMm: 3.175, daysStanding: 2 },
  ...{ chains, stacks: [], own: [] },
});

/** The recipe of pieces on a shelf, its balloons by their names. */
function recipeWith(pieces: readonly PieceRecord[], models: readonly ModelRecord[], chains: readonly (typeof CHAIN)[]) {
  const works = worksAnswer({
    pieces: pieces.map(({ id: pieceId, copies, design }) => {
      return { id: pieceId, copies, design, material: material(models, chains), outdoors: false };
    }),
  }).map((asked) => asked!.work);
  const nameOf = (balloon: string) => {
    const model = models.find((each) => each.id === balloon);
    return model ? balloonName(model) : balloon;
  };
  const named = works.map((work) => ({
    ...{ ...work, piece: 'one' },
    sizes: work.sizes.map((size) => ({ ...size, balloon: nameOf(size.balloon) })),
  }));
  return recipeOf({ pieces: named, lookOf: (name) => ({ colour: name, name }) });
}

const fileOf = (recipe: Recipe) =>
  eventFileOf({
    ...{ event: EVENT, pieces: PIECES, models: MODELS, chains: [CHAIN] },
    filled: [{ pieceId: id(41), modelId: id(2), wantedMm: 240, fillMm: 238, dose: 7, origin: 'measured' }],
    recipe: recipe.batches.map(({ fillMm, toleranceMm, count, bags }, i) => {
      return { mark: String(i), balloon: 'x', colourHex: '#b23a2e', fillMm, toleranceMm, count, bags };
    }),
  });
let last = 0;
const newId = () => `00000000-0000-4000-8000-0000000099${String((last += 1)).padStart(2, '0')}`;
const laid = (commands: readonly Write[][]) => {
  const rows = layWrites(NO_ROWS, commands.flat() as never);
  return {
    models: [...rows.model.values()],
    pieces: [...rows.piece.values()].map((row) => ({ ...row, checks: [] })) as PieceRecord[],
    chains: [...rows.chain.values()] as (typeof CHAIN)[],
    fixings: [...rows.fixing.values()],
    events: [...rows.event.values()],
  };
};

describe('an event as a file', () => {
  const recipe = recipeWith(PIECES, MODELS, [CHAIN]);
  const text = JSON.stringify(fileOf(recipe));
  const read = readEventFile(text);

  it('is taken into an empty studio, with the same recipe there', () => {
    if (!read.ok) throw new Error(JSON.stringify(read.problem));
    const { commands, newModels } = eventFromFile(read.value, [], { newId, at: AT });
    const there = laid(commands);
    expect(newModels).toBe(5);
    expect(there.pieces).toHaveLength(4);
    expect(there.pieces.every(({ eventId }) => eventId === there.events[0]!.id)).toBe(true);
    expect(recipeWith(there.pieces, there.models, there.chains)).toEqual(recipe);
    // What was filled here is filled so there.
    const tarn = there.models.find(
      ({ line, nominalMm, finish }) => line === 'Tarn' && nominalMm === inch(11) && finish === 'matte',
    )!;
    expect(there.fixings).toEqual([expect.objectContaining({ modelId: tarn.id, wantedMm: 240, fillMm: 238, dose: 7 })]);
    // A pair is made of the two that it came with.
    const pair = there.models.find(({ outerId }) => outerId !== null)!;
    const lineOf = (modelId: string | null) => there.models.find((model) => model.id === modelId)?.finish;
    expect([lineOf(pair.outerId), lineOf(pair.innerId)]).toEqual(['clear', 'matte']);
  });

  it('finds balloons that are there, under whatever id, and keeps nothing of the client', () => {
    if (!read.ok) throw new Error();
    expect(text).not.toContain('Someone');
    expect(text).not.toContain('Other');
    const own = MODELS.slice(0, 4).map((model, i) => ({ ...model, id: id(60 + i) }));
    const { commands, newModels } = eventFromFile(read.value, own, { newId, at: AT });
    expect(newModels).toBe(1);
    const column = laid(commands).pieces.find(({ name }) => name === 'Piece 1')!;
    expect(JSON.stringify(column.design)).toContain(id(61));
    expect(JSON.stringify(column.design)).not.toContain(id(2));
    // Once more it is another event.
    const again = eventFromFile(read.value, own, { newId, at: AT });
    expect(again.eventId).not.toBe(laid(commands).events[0]!.id);
  });

  it.each([
    ['no JSON', 'nothing', 'not JSON'],
    ['another file', '{"format":"other","version":1}', 'no event'],
    ['a newer version', '{"format":"leggero-event","version":2}', 'version 2, newer'],
    ['a broken field', text.replace('"daysStanding":2', '"daysStanding":-1'), 'event.daysStanding'],
  ])('is refused where it is %s, and it is said why', (_, broken, said) => {
    const found = readEventFile(broken);
    if (found.ok) throw new Error('it was read');
    expect(ownFileText(found.problem, 'event')).toContain(said);
  });
});

describe('an event as lines', () => {
  it('has every balloon as a circle, on one floor, to scale', () => {
    const drawn = PIECES.slice(0, 2).map(({ design }, i) =>
      svgPiece(stillOf(design, materialFrom(material(MODELS, [])))!, `piece-${i}`),
    );
    const svg = new DOMParser().parseFromString(svgOf(drawn), 'image/svg+xml');
    expect(svg.querySelector('parsererror')).toBeNull();
    const counts = PIECES.slice(0, 2).map(
      ({ design }) => stillOf(design, materialFrom(material(MODELS, [])))!.balls.length,
    );
    expect(svg.querySelectorAll('circle')).toHaveLength(counts[0]! + counts[1]!);
    const root = svg.documentElement;
    const wide = drawn.reduce((sum, { wideMm }) => sum + wideMm, 3 * 200);
    expect(parseFloat(root.getAttribute('width')!)).toBeCloseTo(wide, 0);
    // Every colour that is used is declared.
    for (const circle of svg.querySelectorAll('circle')) {
      const [, name] = /url\(#(.*)\)/.exec(circle.getAttribute('fill')!)!;
      expect(svg.getElementById(name!)).not.toBeNull();
    }
  });
});
