import { CHANGES, MAKES, NOUNS, PIECE_FORMS, pieceDesignSchema, CHECK_DEFAULTS } from '../src';

const id = '3f2b7c1e-8d4a-4c0e-9b1a-2f6d5e4c3b2a';
const part = { modelId: null, colourHex: '#d2577e', finish: 'matte' };
const sized = { ...part, widthMm: 127 };
const paths = (result: { error?: { issues: { path: PropertyKey[] }[] } | undefined }) =>
  result.error?.issues.map(({ path }) => path.join('.')) ?? [];
const CLOSED = {
  count: 6,
  rings: 2,
  by: 'base',
  baseMm: 127,
  mouthMm: 150,
  leanDeg: 3,
  stepMm: 3.175,
  parts: { 'ring-1': part },
  usual: part,
  handle: null,
};

describe('a design', () => {
  it('is told apart by its form, and there are no others', () => {
    expect(PIECE_FORMS).toHaveLength(17);
    for (const form of PIECE_FORMS.slice(12))
      expect(pieceDesignSchema.parse({ form, ...CLOSED })).toMatchObject({ form });
    expect(pieceDesignSchema.safeParse({ form: 'tent', ...CLOSED }).success).toBe(false);
    expect(paths(pieceDesignSchema.safeParse({ form: 'chain', ...CLOSED }))).toContain('lengthMm');
  });

  it('refuses what no piece has, by its field', () => {
    const of = (change: object) => paths(pieceDesignSchema.safeParse({ form: 'basket', ...CLOSED, ...change }));
    expect(of({ count: 3 })).toEqual(['count']);
    expect(of({ rings: 7 })).toEqual(['rings']);
    expect(of({ leanDeg: 31 })).toEqual(['leanDeg']);
    expect(of({ baseMm: 0 })).toEqual(['baseMm']);
    expect(of({ parts: { spokes: { ...part, colourHex: 'red' } } })).toEqual(['parts.spokes.colourHex']);
    expect(paths(pieceDesignSchema.safeParse({ form: 'ring', count: 2, rings: [sized], thing: null }))).toEqual([
      'count',
    ]);
    expect(paths(pieceDesignSchema.safeParse({ form: 'ring', count: 6, rings: [], thing: null }))).toEqual(['rings']);
  });

  it('of layers along something refuses what none has, by its field', () => {
    const colouring = {
      colours: [part],
      pattern: { kind: 'rings', order: [0], to: 'right', every: 1 },
      painted: [],
    };
    const rope = {
      ...{ form: 'rope', count: 2, open: 'height', layers: 30, heightMm: 1800, widthMm: 101.6, joiner: part },
      ...colouring,
    };
    expect(pieceDesignSchema.parse(rope)).toEqual(rope);
    expect(paths(pieceDesignSchema.safeParse({ ...rope, count: 3, layers: 0 }))).toEqual(['count', 'layers']);
    const crescent = { atDeg: 180, centreMm: 230, steps: [{ widthMm: 200, left: 2, right: 1 }], between: null };
    const hoop = {
      ...{
        form: 'hoop',
        count: 4,
        hoopMm: 1600,
        standMm: 100,
        crescents: [crescent],
        stepMm: 6.35,
        foot: null,
        sign: null,
      },
      ...colouring,
    };
    expect(pieceDesignSchema.parse(hoop)).toEqual(hoop);
    const wrong = { ...crescent, atDeg: 400, steps: [{ widthMm: 200, left: -1, right: 1 }] };
    expect(paths(pieceDesignSchema.safeParse({ ...hoop, crescents: [wrong] }))).toEqual([
      'crescents.0.atDeg',
      'crescents.0.steps.0.left',
    ]);
    expect(paths(pieceDesignSchema.safeParse({ ...hoop, crescents: [] }))).toEqual(['crescents']);
  });

  it('is changed only where a change says so', () => {
    expect(CHANGES.piece.parse({ name: ' Urchin ' })).toEqual({ name: 'Urchin' });
    expect(CHANGES.piece.parse({})).toEqual({});
    expect(paths(CHANGES.piece.safeParse({ name: ' ' }))).toEqual(['name']);
  });
});

it('a chain to learn from has three balloons or more', () => {
  const chain = {
    id,
    modelId: id,
    count: 3,
    widthMm: 127,
    lengthMm: 390,
    takenAt: '2026-10-15T17:00:00.000Z',
  };
  expect(NOUNS.chain.row.parse(chain)).toEqual(chain);
  expect(paths(NOUNS.chain.row.safeParse({ ...chain, count: 2 }))).toEqual(['count']);
});

it('a check written before there were pieces is for none', () => {
  const check = {
    id,
    modelId: id,
    tierName: 'Classic',
    targetMm: 240,
    toleranceMm: 6,
    size: 12,
    startedAt: '2026-10-15T17:00:00.000Z',
  };
  expect(MAKES.check.parse(check)).toEqual({ ...check, ...CHECK_DEFAULTS });
  expect(CHECK_DEFAULTS).toMatchObject({ pieceId: null, layer: null });
});
