import type { ModelDetail, ShelfModel } from '@leggero/contract';

import { PHONE, WIDE, type Visitor } from '../visitor';
import { standardEleven } from '../views';
import { worldOf } from '../world';

const world = worldOf('demo', { keepsApp: true });
let model: ShelfModel;
beforeAll(async () => {
  model = standardEleven(await world.get<ShelfModel[]>('models'));
});

/** The code of every page has come. */
const cameAhead = (visitor: Visitor) =>
  visitor.page.waitForFunction(() => {
    const wanted = document.querySelector<HTMLMetaElement>('meta[name=leggero-pages]')!.content.split(' ');
    const come = new Set([...document.scripts].map(({ src }) => new URL(src).pathname));
    return wanted.length > 20 && wanted.every((path) => come.has(path));
  });

describe('in a hall without a network', () => {
  it('a check of twelve is taken, every page opens by its links, and all of it is on the other device at once', async () => {
    const phone = await world.visit('/shelf', PHONE);
    await cameAhead(phone);
    await phone.page.setOfflineMode(true);
    await phone.sees('The records are out of reach just now.');

    await phone.follow(`/shelf/${model.id}`);
    await phone.tap('button', 'Check a batch');
    await phone.sees(/1\s+of 12/);
    const check = phone.path();
    for (let i = 0; i < 11; i += 1) await phone.tap('button', 'Just passes: right');
    await phone.tap('button', 'Falls through: too small');
    await phone.sees('1 of 12 is outside. The rest are right.');
    await phone.sees('13 entries wait here until they are back.');

    const { pieces, pumps } = {
      pieces: await world.get<{ id: string }[]>('pieces'),
      pumps: await world.get<{ id: string }[]>('pumps'),
    };
    const pages: [string, string | RegExp][] = [
      ['/bench', 'Bench'],
      ['/shelf', 'Fennimore Standard'],
      [`/shelf/${model.id}/reading`, /\d+ readings/],
      ['/builds', 'Builds'],
      [`/builds/${pieces[0]!.id}`, 'Check every balloon'],
      ['/gauges', 'Compare sizers'],
      [`/gauges/pumps/${pumps[0]!.id}`, 'Save pump'],
      ['/gauges/studies', 'A new study'],
      ['/studio', 'Tiers'],
      [check, '1 of 12 is outside.'],
    ];
    for (const [address, says] of pages) {
      await phone.follow(address);
      await phone.sees(says);
    }

    // The other device looks at the very check, which it does not have yet.
    const other = await world.visit('/shelf', WIDE);
    await other.follow(check);
    expect(await other.text()).not.toContain('of 12 is outside');
    await phone.page.setOfflineMode(false);
    await other.sees('1 of 12 is outside. The rest are right.');
    // By word of the server: a device that hears it does not ask of its own accord. How soon, the bench says.
    const { checks } = await world.get<ModelDetail>(`models/${model.id}`);
    expect(checks[0]!.results.map(({ answer }) => answer)).toEqual([...Array(11).fill('passes'), 'falls']);
    await phone.settled();
    expect([...phone.complaints, ...other.complaints]).toEqual([]);
  });

  it('two tabs of one device: what one enters the other shows, and one alone sends it', async () => {
    const phone = await world.visit(`/shelf/${model.id}/reading`, PHONE);
    const tab = await phone.anotherTab(`/shelf/${model.id}`);
    const { calibrations } = await world.get<ModelDetail>(`models/${model.id}`);
    const before = calibrations[0]!.readings.length;
    await tab.sees(`${before} readings`);
    await phone.page.bringToFront();
    await phone.tap('radio', 'Round');
    await phone.tap('button', 'Add reading');
    await tab.page.bringToFront();
    await tab.sees(`${before + 1} readings`);
    await tab.settled();
    const after = await world.get<ModelDetail>(`models/${model.id}`);
    expect(after.calibrations[0]!.readings).toHaveLength(before + 1);
    // The one in front is closed; the other goes on.
    await phone.page.close();
    await tab.tap('button', 'Delete reading of 4 strokes');
    await tab.settled();
    expect((await world.get<ModelDetail>(`models/${model.id}`)).calibrations[0]!.readings).toHaveLength(before);
    expect(tab.complaints).toEqual([]);
  });

  it('opens with what it knew, asks only what is new, and a tap costs one small request and draws what it changes once', async () => {
    const phone = await world.visit(`/shelf/${model.id}`, PHONE);
    await phone.tap('button', 'Check a batch');
    await phone.settled();
    const asked: { path: string; bytes: number }[] = [];
    const session = await phone.page.createCDPSession();
    await session.send('Network.enable');
    const paths = new Map<string, string>();
    session.on('Network.requestWillBeSent', ({ requestId, request }) => {
      if (request.url.includes('/api/')) paths.set(requestId, new URL(request.url).pathname);
    });
    session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
      const path = paths.get(requestId);
      if (path) asked.push({ path, bytes: encodedDataLength });
    });
    await phone.page.evaluate(countDrawings, '[role=button]');
    await phone.tap('button', 'Just passes: right');
    await phone.settled();
    expect(asked.map(({ path }) => path)).toEqual(['/api/batch']);
    expect(asked[0]!.bytes).toBeLessThan(2048);
    // The balloon that is on, its picture and the verdict: whatever changed, once.
    const drawn = await phone.page.evaluate(() => (window as unknown as Drawing).leggeroDrawn);
    expect(drawn.length).toBeGreaterThan(2);
    expect(drawn.filter(({ times }) => times !== 1)).toEqual([]);
    asked.length = 0;
    await phone.reload();
    // Whom this device is for, and what is new.
    expect(asked.map(({ path }) => path).sort()).toEqual(['/api/access', '/api/changes']);
    expect(asked.reduce((sum, { bytes }) => sum + bytes, 0)).toBeLessThan(2048);
  });
});

interface Drawing extends Window {
  /** What was drawn anew, and how often. */
  leggeroDrawn: { what: string; times: number }[];
}

/** Counts from now on how often each thing of a page is drawn anew, but for what a finger presses. */
function countDrawings(pressed: string): void {
  const drawing = window as unknown as Drawing;
  drawing.leggeroDrawn = [];
  const known = new Map<Node, Map<string, Drawing['leggeroDrawn'][number]>>();
  new MutationObserver((changes) => {
    const now = new Set<Drawing['leggeroDrawn'][number]>();
    for (const { target, type, attributeName } of changes) {
      const element = target instanceof Element ? target : target.parentElement;
      if (element === null || element.closest(pressed)) continue;
      const of = known.get(target) ?? new Map<string, Drawing['leggeroDrawn'][number]>();
      known.set(target, of);
      const name = attributeName ?? type;
      const seen = of.get(name) ?? { what: `${name} of ${element.outerHTML.slice(0, 200)}`, times: 0 };
      if (seen.times === 0) drawing.leggeroDrawn.push(seen);
      of.set(name, seen);
      now.add(seen);
    }
    for (const seen of now) seen.times += 1;
  }).observe(document.body, { subtree: true, childList: true, characterData: true, attributes: true });
}
