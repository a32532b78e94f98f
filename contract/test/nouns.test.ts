import { changeSchema, makeSchema, NOUN_NAMES, NOUNS, type NounName } from '../src';

const id = '5d0a2f53-5c5b-4d4f-8f5b-4f8c9b1f2a10';
const at = '2026-11-16T17:00:00.000Z';

describe('every noun', () => {
  it.each(NOUN_NAMES)('%s is said so that all that follows from it fits together', (name) => {
    const { row, refs, order, change, given, path } = NOUNS[name];
    expect(NOUNS[name].name).toBe(name);
    expect(path).toMatch(/^[a-z-]+$/);
    const fields = Object.keys(row.shape);
    for (const field of [...order.map((each) => each.replace('-', '')), ...change, ...Object.keys(given)])
      expect(fields).toContain(field);
    expect(change).not.toContain('id');
    // What decides what a row hangs on does not change afterwards, but where it can do without.
    for (const [field, { to, gone }] of Object.entries(refs)) {
      expect(fields).toContain(field);
      if (gone !== 'clear') expect(change).not.toContain(field);
      expect(NOUN_NAMES).toContain(to);
      expect(NOUN_NAMES.indexOf(to as NounName)).toBeLessThanOrEqual(NOUN_NAMES.indexOf(name));
      const mayBeNone = (row.shape as Record<string, { safeParse(value: unknown): { success: boolean } }>)[
        field
      ]!.safeParse(null).success;
      if (gone === 'clear') expect(mayBeNone).toBe(true);
    }
  });

  it('has a path and a name of its own', () => {
    expect(new Set(Object.values(NOUNS).map(({ path }) => path)).size).toBe(NOUN_NAMES.length);
  });
});

describe('what makes a row', () => {
  const reading = {
    ...{ id, calibrationId: id, dose: 5, widthMm: 200, heightMm: null, sdMm: null, shape: null, outcome: 'ok' },
    takenAt: at,
  };

  it('is filled in by its defaults, and decides nothing that the server does', () => {
    expect(makeSchema(NOUNS.reading).parse(reading)).toMatchObject({ way: 'tape', balloon: null });
    const made = makeSchema(NOUNS.pump).parse({ id, name: 'Red', kind: 'hand', doseVolumeL: null, demo: true });
    expect(made).toEqual({ id, name: 'Red', kind: 'hand', doseVolumeL: null, mostKPa: null });
  });

  it('keeps to every rule over several fields, each told beside its field', () => {
    const told = (change: object) =>
      makeSchema(NOUNS.reading)
        .safeParse({ ...reading, ...change })
        .error?.issues.map(({ path, message }) => [path.join('.'), message]);
    expect(told({})).toBeUndefined();
    expect(told({ widthMm: null, outcome: 'burst' })).toBeUndefined();
    expect(told({ stopsMm: 200, widthMm: null })).toEqual([
      ['passesMm', 'Both holes are needed: the one it stops at and the one it passes'],
    ]);
    expect(told({ stopsMm: 200, passesMm: 210 })).toEqual([['widthMm', 'Give a width or two holes, not both']]);
    // Two at once are both told.
    expect(told({ stopsMm: 200 })).toHaveLength(2);
  });
});

describe('what changes a row', () => {
  it('says no more than it names, and cannot name what stays', () => {
    expect(changeSchema(NOUNS.model).parse({ colourName: 'kelp', outerId: id, demo: true })).toEqual({
      colourName: 'kelp',
    });
    expect(changeSchema(NOUNS.model).parse({})).toEqual({});
    expect(changeSchema(NOUNS.reading).parse({ dose: 7 })).toEqual({});
    expect(changeSchema(NOUNS.tier).safeParse({ shape: null }).success).toBe(false);
  });
});
