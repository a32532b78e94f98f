import type { ShelfModel } from '@leggero/contract';
import type { KeyInput } from 'puppeteer-core';

import { standardEleven } from '../views';
import { PHONE, WIDE } from '../visitor';
import { worldOf } from '../world';

jest.setTimeout(180_000);

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
