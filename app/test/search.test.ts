import { readdirSync } from 'node:fs';
import path from 'node:path';

import type { ModelRecord, PieceRecord, PumpRecord, SizerRecord } from '@leggero/contract';
import { EVENT_DEFAULTS, MODEL_DEFAULTS } from '@leggero/contract';

import { searchOver, wordsOf, type Findable, type Hit } from '@/wording/search';
import { PAGES } from '@/wording/pages';

const MM = 25.4;
const model = (id: string, by: Partial<ModelRecord>) =>
  ({
    ...MODEL_DEFAULTS,
    id,
    line: 'Fennimore Standard',
    kind: 'round',
    nominalMm: 11 * MM,
    lengthMm: null,
    finish: 'matte',
    decor: 'none',
    colourName: 'Kelp',
    colourHex: '#335533',
    outerId: null,
    innerId: null,
    stock: null,
    demo: false,
    ...by,
  }) as unknown as ModelRecord;
const STUDIO: Findable = {
  models: [
    model('f11', {}),
    model('f5', { nominalMm: 5 * MM, colourName: 'Foam' }),
    model('tarn', { line: 'Tarn Satin', finish: 'pearl', colourName: 'Rosé' }),
    model('glass', { line: 'Tarn Clear', finish: 'clear', colourName: 'Tide pool' }),
    model('link', { line: 'Ketteridge Link', kind: 'linking', nominalMm: 6 * MM }),
    model('long', { line: 'Ketteridge Long', kind: 'modelling', nominalMm: 2 * MM, lengthMm: 60 * MM }),
  ],
  sizers: [
    { id: 'plate', name: 'Workshop plate', keeper: '', holes: [] },
    { id: 'jaws', name: 'Folding jaws', keeper: 'Imke', holes: [] },
  ] as unknown as SizerRecord[],
  pumps: [
    { id: 'hand', name: 'Blue one', kind: 'hand' },
    { id: 'twin', name: 'Gale', kind: 'twin' },
  ] as unknown as PumpRecord[],
  studies: [],
  events: [
    {
      ...EVENT_DEFAULTS,
      ...{ id: '00000000-0000-4000-8000-000000009901', name: 'Harbour opening', client: 'Quayside Trust' },
      ...{ daysStanding: 1, createdAt: '2026-11-20T10:00:00.000Z', demo: false },
    },
  ],
  pieces: [
    { id: 'kelp', name: 'Kelp between the tanks', design: { form: 'swag', repeat: [] } },
    { id: 'columns', name: 'A pair of quads', design: { form: 'ring', rings: [] } },
    { id: 'jelly', name: 'Jellyfish', design: { form: 'curtain', repeat: [] } },
  ] as unknown as PieceRecord[],
};

const search = searchOver(STUDIO, 'in');
const found = async (text: string): Promise<Hit[]> => (await search)(text);
const ids = async (text: string, kind: Hit['kind']) =>
  (await found(text)).filter((hit) => hit.kind === kind).map(({ id }) => id);

describe('the search finds', () => {
  it.each([
    ['fennimore', ['f11', 'f5']],
    ['FENNIMORE 11', ['f11']],
    ['11 fenn', ['f11']],
    ['11in kelp', ['f11']],
    ['28 cm kelp', ['f11']],
    ['260', ['long']],
    ['rose', ['tarn']],
    ['fenimore 5', ['f5']],
  ])('balloons by name, size and colour, however written: %s', async (text, expected) => {
    expect((await ids(text, 'balloon')).sort()).toEqual([...expected].sort());
  });

  it.each([
    ['see-through', 'balloon', 'glass'],
    ['satin', 'balloon', 'tarn'],
    ['skinny', 'balloon', 'long'],
    ['tail', 'balloon', 'link'],
    ['sizing box', 'sizer', 'plate'],
    ['inflator', 'pump', 'hand'],
    ['festoon', 'piece', 'kelp'],
    ['backdrop', 'piece', 'jelly'],
    ['quayside', 'event', '00000000-0000-4000-8000-000000009901'],
    ['cluster of four', 'piece', 'columns'],
    ['duplet', 'page', '/shelf/pair'],
    ['double stuffing', 'page', '/shelf/pair'],
    ['settings', 'page', '/studio'],
    ['backup', 'page', '/shelf/files'],
    ['eyeballing', 'page', '/gauges/eye'],
    ['hot air balloon', 'page', '/builds/new?form=basket'],
    ['laser', 'page', '/gauges/make'],
  ] as const)('what is called otherwise: %s', async (text, kind, id) => {
    expect(await ids(text, kind)).toContain(id);
  });

  it('things that a tool is asked for', async () => {
    const [first] = await found('hold tarn satin');
    expect(first).toMatchObject({ kind: 'tool', href: '/shelf/tarn/hold', note: 'Tarn Satin 11, Rosé' });
    expect((await found('check plate'))[0]).toMatchObject({ kind: 'tool', href: '/gauges/sizers/plate/check' });
    // A modelling balloon has no width to read.
    expect((await found('reading ketteridge')).filter(({ kind }) => kind === 'tool')).toEqual([
      expect.objectContaining({ href: '/shelf/link/reading' }),
    ]);
  });

  it('what a width is wanted for', async () => {
    const hrefs = (await found('9 3/4')).map(({ href }) => href);
    expect(hrefs.slice(0, 2)).toEqual(['/shelf/find?width=247.650', '/gauges/holes?width=247.650']);
    expect((await found('24.8 cm'))[0]!.href).toBe('/shelf/find?width=248.000');
    // A nominal size is a balloon before it is a width.
    expect((await found('11'))[0]!.kind).toBe('balloon');
    expect((await found('11')).map(({ href }) => href)).toContain('/shelf/find?width=279.400');
    // No balloon is that wide.
    expect((await found('9 ft')).filter(({ kind }) => kind === 'tool')).toEqual([]);
  });
});

describe('the search finds nothing', () => {
  it.each(['🎈', '¿?', 'of the', "'; --", 'xyzzy', 'fennimore xyzzy'])('for %j', async (text) => {
    expect(await found(text)).toEqual([]);
  });
});

it.each(['', '   '])('before anything is sought it knows every page: %j', async (text) => {
  expect((await found(text)).map(({ href }) => href)).toEqual(PAGES.map(({ href }) => href));
});

it('takes what looks like a command for words', async () => {
  expect(wordsOf("'; drop table models")).toEqual(['drop', 'table', 'model']);
  expect(await found("'; drop table")).toEqual([]);
});

it('names every page that has an address without an id', () => {
  const root = path.join(__dirname, '../src/app');
  const routes = readdirSync(root, { recursive: true, encoding: 'utf8' })
    .filter(
      (file) => file.endsWith('.tsx') && !/[_[+]/.test(file) && !['index.tsx', 'kit.tsx', 'search.tsx'].includes(file),
    )
    .map((file) => `/${file.replace(/(\/index)?\.tsx$/, '')}`);
  expect(routes.length).toBeGreaterThan(15);
  // Before the app itself, or all that a helper has: nobody looks for these.
  const doors = new Set(['/confirm', '/help', '/join', '/new-password', '/shared', '/studio/owner']);
  const named = new Set(PAGES.map(({ href }) => href.replace(/\?.*/, '')));
  expect(routes.filter((route) => !named.has(route) && !doors.has(route))).toEqual([]);
});
