import { readFileSync } from 'node:fs';

import type { ModelDetail, PieceRecord, ShelfModel, SizerRecord, StudyRecord } from '@leggero/contract';
import type { AxeResults } from 'axe-core';
import type { Browser, KeyInput } from 'puppeteer-core';

import { openBrowser, PHONE, startWorld, Visitor, WIDE, type World } from '../world';

jest.setTimeout(400_000);

const AXE = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

let world: World;
let browser: Browser;
let views: [name: string, address: string][];
let eleven: ModelDetail;
beforeAll(async () => {
  world = await startWorld('demo');
  browser = await openBrowser();
  const get = async <T>(path: string) => (await (await fetch(`${world.url}/api/${path}`)).json()) as T;
  const shelf = await get<ShelfModel[]>('models');
  const found = shelf.find(
    ({ line, nominalMm }) => line === 'Fennimore Standard' && nominalMm > 270 && nominalMm < 300,
  )!;
  eleven = await get<ModelDetail>(`models/${found.id}`);
  const [sizer] = await get<SizerRecord[]>('sizers');
  const pieces = await get<PieceRecord[]>('pieces');
  const [study] = await get<StudyRecord[]>('studies');
  const first = (is: (model: ShelfModel) => boolean) => shelf.find(is)!.id;
  const pair = first(({ outerId, seenHex }) => outerId !== null && seenHex !== null);
  const long = first(({ kind }) => kind === 'modelling');
  const mirror = first(({ finish, kind }) => finish === 'mirror' && kind === 'round');
  views = [
    ['bench', '/bench'],
    ['shelf', '/shelf'],
    ['balloon', `/shelf/${eleven.id}`],
    ['balloon for a hot venue', `/shelf/${eleven.id}?temp=35&alt=600&hours=12&wraps=1`],
    ['hold tests', `/shelf/${eleven.id}/hold`],
    ['comparing', '/shelf/compare'],
    ['finding', '/shelf/find'],
    ['files', '/shelf/files'],
    ['target sheets', '/shelf/sheet'],
    ['translating', '/gauges/translate'],
    ['reading', `/shelf/${eleven.id}/reading`],
    ['verdict', `/shelf/${eleven.id}/check/${eleven.checks[0]!.id}`],
    ['pairing', '/shelf/pair'],
    ['a pair', `/shelf/${pair}`],
    ['stuffing', `/shelf/${pair}/stuffing`],
    ['a bubble', '/shelf/bubble'],
    ['a bubble that cannot be', '/shelf/bubble?find=innerMm&finalMm=300'],
    ['a sphere in clear latex', '/shelf/orb'],
    ['a modelling balloon', `/shelf/${long}`],
    ['modelling shapes', `/shelf/${long}?for=shapes`],
    ['joiners', `/shelf/${long}?for=join`],
    ['a pole', `/shelf/${long}?for=pole`],
    ['details of a modelling balloon', `/shelf/${long}/edit`],
    ['a foil', `/shelf/${first(({ kind }) => kind === 'foil')}`],
    ['a stretchy sphere', `/shelf/${first(({ kind }) => kind === 'stretch-foil')}`],
    ['a mirror’s shine', `/shelf/${mirror}/finish`],
    ['confetti', `/shelf/${first(({ decor }) => decor === 'confetti')}/finish`],
    ['a print', `/shelf/${first(({ decor }) => decor === 'print')}`],
    ['new balloon', '/shelf/new'],
    ['details', `/shelf/${eleven.id}/edit`],
    ['gauges', '/gauges'],
    ['sizer', `/gauges/sizers/${sizer!.id}`],
    ['checking a sizer', `/gauges/sizers/${sizer!.id}/check`],
    ['learning a squeeze', `/gauges/sizers/${sizer!.id}/squeeze`],
    ['finding a hole', '/gauges/holes'],
    ['sizers compared', '/gauges/compare'],
    ['making a sizer', '/gauges/make?form=box'],
    ['eyes', '/gauges/eye'],
    ['starting an eye check', '/gauges/eye/new'],
    ['studies', '/gauges/studies'],
    ['a study', `/gauges/studies/${study!.id}`],
    ['new pump', '/gauges/pumps/new'],
    ['new piece', '/builds/new'],
    ...pieces
      .filter(({ design }) => ['basket', 'curtain', 'ring'].includes(design.form))
      .map(({ id, name }): [string, string] => [name, `/builds/${id}`]),
    ['studio', '/studio'],
  ];
});
afterAll(async () => {
  await browser?.close();
  await world?.end();
});

async function faultsOf(visitor: Visitor): Promise<string[]> {
  await visitor.page.evaluate(AXE);
  const results = (await visitor.page.evaluate(
    'axe.run(document, { runOnly: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"] })',
  )) as AxeResults;
  return results.violations.flatMap(({ id, nodes }) => nodes.map((node) => `${id}: ${node.html.slice(0, 160)}`));
}

describe.each([
  ['a phone', PHONE],
  ['a wide window', WIDE],
] as const)('every view on %s', (_, viewport) => {
  it('is accessible by WCAG 2.2 AA by day and in the evening, fits its width, and raises no error', async () => {
    const faults: string[] = [];
    const visitor = await Visitor.open(browser, 'about:blank', viewport);
    for (const [name, address] of views) {
      await device(visitor, 'light');
      await visitor.page.goto(`${world.url}${address}`, { waitUntil: 'networkidle2' });
      await visitor.sees(/\w/);
      for (const theme of ['light', 'dark'] as const) {
        await device(visitor, theme);
        await visitor.page.waitForFunction(
          (dark) => document.documentElement.classList.contains('dark') === dark,
          {},
          theme === 'dark',
        );
        faults.push(...(await faultsOf(visitor)).map((fault) => `${name}, ${theme}: ${fault}`));
      }
      const over = await visitor.page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      if (over > 0) faults.push(`${name}: ${over} px wider than the window`);
      faults.push(...visitor.complaints.splice(0).map((complaint) => `${name}: ${complaint}`));
    }
    await visitor.page.browserContext().close();
    expect(faults).toEqual([]);
  });
});

/** The device's own theme, which the app follows unless told otherwise. */
function device(visitor: Visitor, theme: 'light' | 'dark'): Promise<void> {
  return visitor.page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: theme }]);
}

describe('addresses', () => {
  it('can be reloaded and shared: tier and days stand in them', async () => {
    const visitor = await Visitor.open(browser, `${world.url}/shelf/${eleven.id}`, PHONE);
    await visitor.tap('radio', 'Supple');
    await visitor.tap('radio', '3 weeks');
    await visitor.page.waitForFunction(() => /tier=/.test(location.search) && /days=21/.test(location.search));
    await visitor.page.reload({ waitUntil: 'networkidle2' });
    await visitor.find('radio', 'Supple');
    await visitor.sees('Held so that it stands (3 weeks)');
  });

  it('that lead nowhere say so and lead back', async () => {
    const visitor = await Visitor.open(browser, `${world.url}/shelf/3f2b7c1e-8d4a-4c0e-9b1a-2f6d5e4c3b2a`, PHONE);
    await visitor.sees('No balloon is known at this address');
    await visitor.tap('button', 'Go to the shelf');
    await visitor.sees('17 balloons');
    await visitor.page.goto(`${world.url}/nowhere`, { waitUntil: 'networkidle2' });
    await visitor.sees('There is no page at this address');
  });

  it('of files and routes that are not there are 404, not the app', async () => {
    const status = async (path: string) => (await fetch(`${world.url}${path}`)).status;
    expect(await status('/_expo/none.js')).toBe(404);
    expect(await status('/api/none')).toBe(404);
    expect(await status('/shelf')).toBe(200);
  });
});

describe('a wide window', () => {
  it('shows the list beside the detail, and works by keys', async () => {
    const visitor = await Visitor.open(browser, `${world.url}/shelf`, WIDE);
    await visitor.sees('Choose a balloon to see its target');
    await visitor.page.keyboard.press('/');
    await visitor.page.keyboard.type('mirror');
    await visitor.page.waitForFunction(() => !document.body.innerText.includes('Ketteridge'));
    await visitor.tapText('Fennimore Mirror 7');
    await visitor.sees('Strokes and width');
    await visitor.page.keyboard.press('c');
    await visitor.sees(/of 12/);
    for (const key of ['2', '1', '2', '3', 'u', '2'] satisfies KeyInput[]) {
      await visitor.page.keyboard.press(key);
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    await visitor.sees('1 of 4 is outside');
    await visitor.page.keyboard.press('?');
    await visitor.sees('Search the shelf');
  });

  it('follows the device into the evening, and back', async () => {
    const visitor = await Visitor.open(browser, 'about:blank', WIDE);
    const ground = () => visitor.page.evaluate(() => getComputedStyle(document.body).backgroundColor);
    const device = (value: string) => visitor.page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value }]);
    await device('dark');
    await visitor.page.goto(`${world.url}/bench`, { waitUntil: 'networkidle2' });
    await visitor.sees('Worth calibrating first');
    expect(await ground()).toBe('rgb(27, 25, 22)');
    await device('light');
    await visitor.page.waitForFunction(() => getComputedStyle(document.body).backgroundColor === 'rgb(247, 244, 238)');
  });

  it('speaks centimetres once the studio does', async () => {
    const visitor = await Visitor.open(browser, `${world.url}/studio`, WIDE);
    await visitor.tap('radio', 'cm');
    await visitor.page.waitForNetworkIdle();
    await visitor.page.goto(`${world.url}/shelf/${eleven.id}`, { waitUntil: 'networkidle2' });
    await visitor.sees(/2[3-6]\.\d/);
    await visitor.sees('cm across');
  });
});
