import type { ShelfModel } from '@leggero/contract';
import type { KeyInput } from 'puppeteer-core';

import { standardEleven } from '../views';
import { PHONE, WIDE } from '../visitor';
import { worldOf } from '../world';

const world = worldOf('demo');
let eleven: ShelfModel;
beforeAll(async () => {
  eleven = standardEleven(await world.get<ShelfModel[]>('models'));
});

describe('addresses', () => {
  it('can be reloaded and shared: tier and days stand in them', async () => {
    const visitor = await world.visit(`/shelf/${eleven.id}`, PHONE);
    await visitor.tap('radio', 'Supple');
    await visitor.tap('radio', '3 weeks');
    await visitor.page.waitForFunction(() => /tier=/.test(location.search) && /days=21/.test(location.search));
    await visitor.reload();
    await visitor.find('radio', 'Supple');
    await visitor.sees('Held so that it stands (3 weeks)');
  });

  it('that lead nowhere say so and lead back', async () => {
    const visitor = await world.visit('/shelf/3f2b7c1e-8d4a-4c0e-9b1a-2f6d5e4c3b2a', PHONE);
    await visitor.sees('No balloon is known at this address');
    await visitor.tap('button', 'Go to the shelf');
    await visitor.sees('17 balloons');
    await visitor.goTo('/nowhere');
    await visitor.sees('There is no page at this address');
  });

  it('of files and routes that are not there are 404, not the app', async () => {
    const status = async (path: string) => (await fetch(`${world.url}${path}`)).status;
    expect(await status('/_expo/none.js')).toBe(404);
    expect(await status('/api/none')).toBe(404);
    expect(await status('/shelf')).toBe(200);
  });
});

describe('a number of the trade', () => {
  it('is tried on the shelf, used on every device, and taken back', async () => {
    const other = await world.visit(`/shelf/${eleven.id}`, PHONE);
    // The chart comes a moment after the target.
    const target = async () => (await other.text()).split('Strokes and width')[0];
    const before = await target();
    const visitor = await world.visit('/studio', PHONE);
    await visitor.tapText('Numbers of the trade');
    await visitor.tap('radio', 'Standing');
    await visitor.tapText('Days it stands');
    await visitor.type('One evening, % of nominal', '80');
    await visitor.sees('“Days it stands: a day” holds it there');
    for (const [name, share] of STANDING) await visitor.type(`${name}, % of nominal`, share);
    await visitor.sees(/This would move targets of \d+ balloons by up to/);
    await visitor.tap('button', 'Use these numbers');
    await visitor.settled();
    await other.sees('Held so that it stands');
    expect(before).not.toContain('Held so that it stands');
    await visitor.tap('button', 'Back to the table');
    await visitor.settled();
    await other.page.waitForFunction(() => !document.body.innerText.includes('Held so that it stands'));
    expect(await target()).toBe(before);
  });
});
/** Nothing may stand longer than it does for less long. */
const STANDING = [
  ['One evening', '80'],
  ['A day', '79'],
  ['Three days', '78'],
  ['A week', '77'],
  ['Three weeks', '64'],
] as const;

describe('a wide window', () => {
  it('shows the list beside the detail, and works by keys', async () => {
    const visitor = await world.visit('/shelf', WIDE);
    await visitor.sees('Choose a balloon to see its target');
    await visitor.page.keyboard.press('/');
    await visitor.page.keyboard.type('mirror');
    await visitor.page.waitForFunction(() => !document.body.innerText.includes('Ketteridge'));
    await visitor.tapText('Fennimore Mirror 7');
    await visitor.sees('Strokes and width');
    await visitor.page.keyboard.press('c');
    await visitor.sees(/of 12/);
    for (const key of ['2', '1', '2', '3', 'u', '2'] satisfies KeyInput[]) await visitor.page.keyboard.press(key);
    await visitor.sees('1 of 4 is outside');
    await visitor.page.keyboard.press('?');
    await visitor.sees('Search everything');
  });

  it('follows the device into the evening, and back', async () => {
    const visitor = await world.visit('', WIDE);
    const ground = () => visitor.page.evaluate(() => getComputedStyle(document.body).backgroundColor);
    await visitor.device('dark');
    await visitor.goTo('/bench');
    await visitor.sees('Worth calibrating first');
    expect(await ground()).toBe('rgb(27, 25, 22)');
    await visitor.device('light');
    await visitor.page.waitForFunction(() => getComputedStyle(document.body).backgroundColor === 'rgb(247, 244, 238)');
  });

  it('speaks centimetres once the studio does', async () => {
    const visitor = await world.visit('/studio', WIDE);
    await visitor.tap('radio', 'cm');
    await visitor.settled();
    await visitor.goTo(`/shelf/${eleven.id}`);
    await visitor.sees(/2[3-6]\.\d/);
    await visitor.sees('cm across');
  });
});
