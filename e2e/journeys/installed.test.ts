import type { ModelDetail, ShelfModel } from '@leggero/contract';

import { PHONE, type Visitor } from '../visitor';
import { standardEleven } from '../views';
import { worldOf } from '../world';

const world = worldOf('demo', { keepsApp: true });
let model: ShelfModel;
beforeAll(async () => {
  model = standardEleven(await world.get<ShelfModel[]>('models'));
});

/** The browser keeps the app, and answers for it. */
const kept = (visitor: Visitor) => visitor.page.waitForFunction(() => navigator.serviceWorker.controller !== null);
const isNew = (visitor: Visitor) => visitor.page.evaluate(() => document.querySelector('meta[name=version]') !== null);

async function newerVersionCame({ page }: Visitor): Promise<void> {
  await page.evaluate(async () => {
    const registration = await navigator.serviceWorker.ready;
    await registration.update();
    while (!registration.waiting) await new Promise((go) => setTimeout(go, 50));
  });
}

async function checksStarted(visitor: Visitor): Promise<string> {
  await visitor.follow(`/shelf/${model.id}`);
  await visitor.tap('button', 'Check a batch');
  await visitor.sees(/1\s+of 12/);
  return visitor.path();
}

describe('kept on the device', () => {
  it('opens at any address without the server, takes a check, and sends it once the server is back', async () => {
    const phone = await world.visit('/shelf', PHONE);
    await kept(phone);
    await world.tell('stop-service');
    await phone.page.goto(`${world.url}/shelf/${model.id}`, { waitUntil: 'domcontentloaded' });
    await phone.sees('The records are out of reach just now.');
    await phone.tap('button', 'Check a batch');
    await phone.sees(/1\s+of 12/);
    for (let i = 0; i < 3; i += 1) await phone.tap('button', 'Just passes: right');
    await phone.sees(/4\s+of 12/);

    // Opened anew in the middle of it, still without a server: fonts, code, records and answers are there.
    await phone.page.reload({ waitUntil: 'domcontentloaded' });
    await phone.sees(/4\s+of 12/);
    expect(await phone.page.evaluate(() => [...document.fonts].map(({ status }) => status))).toContain('loaded');
    for (let i = 3; i < 12; i += 1) await phone.tap('button', 'Just passes: right');
    await phone.sees('13 entries wait here until they are back.');

    await world.tell('start-service');
    await phone.page.waitForFunction(() => !document.body.innerText.includes('out of reach'));
    await phone.settled();
    const { checks } = await world.get<ModelDetail>(`models/${model.id}`);
    expect(checks[0]!.results.map(({ answer }) => answer)).toEqual(Array(12).fill('passes'));
    await phone.leave();
  });

  it('offers a newer version, not in the middle of a check, and loses nothing when it is opened', async () => {
    const phone = await world.visit('/shelf', PHONE);
    await kept(phone);
    const check = await checksStarted(phone);
    for (let i = 0; i < 2; i += 1) await phone.tap('button', 'Just passes: right');
    await world.tell('new-version');
    await newerVersionCame(phone);
    for (let i = 2; i < 5; i += 1) await phone.tap('button', 'Just passes: right');
    await phone.sees(/6\s+of 12/);
    expect(await phone.text()).not.toContain('A newer Leggero is here.');
    expect(await isNew(phone)).toBe(false);

    await phone.follow('/shelf');
    await phone.sees('A newer Leggero is here.');
    await phone.tap('button', 'Open it');
    await phone.page.waitForSelector('meta[name=version]');
    await phone.settled();
    expect(await phone.text()).not.toContain('A newer Leggero is here.');
    await phone.follow(check);
    await phone.sees(/6\s+of 12/);
    await phone.leave();
  });

  it('leaves a second tab in its check when the first one opens the newer version', async () => {
    const first = await world.visit('/shelf', PHONE);
    await kept(first);
    const second = await first.anotherTab('/shelf');
    await checksStarted(second);
    await second.tap('button', 'Just passes: right');
    await second.page.evaluate(() => (document.documentElement.dataset['opened'] = 'before'));
    const same = () => second.page.evaluate(() => document.documentElement.dataset['opened'] === 'before');
    await world.tell('new-version');
    await newerVersionCame(first);
    await first.page.bringToFront();
    await first.tap('button', 'Open it');
    await first.settled();

    await second.page.bringToFront();
    await second.tap('button', 'Just passes: right');
    await second.sees(/3\s+of 12/);
    expect(await same()).toBe(true);
    await second.follow('/shelf');
    await second.tap('button', 'Open it');
    await second.page.waitForFunction(() => document.documentElement.dataset['opened'] === undefined);
    await second.settled();
    expect([...first.complaints, ...second.complaints]).toEqual([]);
  });
});
