import type { ShelfModel } from '@leggero/contract';

import { PHONE, type Visitor, WIDE } from '../visitor';
import { worldOf } from '../world';

const world = worldOf('demo');

const shelf = () => world.get<ShelfModel[]>('models');

/** Opens a list of balloons and takes one. */
async function pick(visitor: Visitor, from: string, balloon: string): Promise<void> {
  await visitor.tap('button', from);
  await visitor.tap('radio', balloon);
}

describe('two balloons as one, on a phone', () => {
  let visitor: Visitor;
  beforeAll(async () => {
    visitor = await world.visit('', PHONE);
  });

  it('begin below the shelf, where nothing pushes the way there from under a finger', async () => {
    await visitor.page.emulateCPUThrottling(6);
    await visitor.goTo('/shelf');
    await visitor.page.waitForSelector('a[href="/shelf/pair"]');
    const rows = await visitor.page.$$eval('[role=main] a', (links) => links.map((link) => link.getAttribute('href')));
    await visitor.page.emulateCPUThrottling(1);
    const above = rows.slice(0, rows.indexOf('/shelf/find'));
    expect(above).toEqual((await shelf()).map(({ id }) => `/shelf/${id}`));
  });

  it('are paired, and the target is read with what governs it', async () => {
    await visitor.tapText('Pair two balloons');
    await visitor.sees('One inside the other, filled as one');
    await pick(
      visitor,
      'Fennimore Standard 11, kelp green: change the outer balloon',
      'Fennimore Mirror 7, herring silver',
    );
    await pick(visitor, await buttonEnding(visitor, 'change the inner balloon'), 'Ketteridge Link 6, anemone pink');
    await visitor.sees('A linking inner’s tail catches');
    await pick(visitor, await buttonEnding(visitor, 'change the inner balloon'), 'Fennimore Standard 11, kelp green');
    await visitor.sees(/larger than its outer of 7 in\. At most 7 in goes in/);
    await pick(visitor, await buttonEnding(visitor, 'change the inner balloon'), 'Fennimore Standard 5, roe orange');
    await visitor.sees(/the inner governs/);
    await visitor.find('button', 'Eyes and ears');
    await visitor.tap('button', 'Put the pair on the shelf');
    await visitor.sees('Fennimore Mirror 7 over Fennimore Standard 5');
    await visitor.sees(/estimated/);
    await visitor.reload();
    await visitor.sees('Fennimore Mirror 7 over Fennimore Standard 5');
    const pair = (await shelf()).find(({ line }) => line === 'Fennimore Mirror 7 over Fennimore Standard 5');
    expect(pair).toMatchObject({ kind: 'round', finish: 'mirror' });
    expect(pair!.outerId).not.toBeNull();
  });

  it('are calibrated by the same flow as a single balloon', async () => {
    await visitor.tap('button', 'Add reading');
    await visitor.sees('Take a fresh balloon');
    await visitor.tap('button', 'Add reading');
    await visitor.sees('1 reading');
    await visitor.tap('button', 'Back');
    await visitor.sees('1 reading');
  });

  it('tell how they are stuffed; a caution folds away and stays so until the tab is closed', async () => {
    await visitor.tapText('How to stuff it');
    await visitor.sees('Push it in to the crown without a twist');
    await visitor.sees('Size at arm’s length and look away');
    await visitor.tap('button', 'Eyes and ears');
    await visitor.page.waitForFunction(() => !/Size at arm’s length and look away/.test(document.body.innerText));
    await visitor.goTo('/shelf/bubble');
    await visitor.find('button', 'Eyes and ears');
    expect(await visitor.text()).not.toMatch(/Size at arm’s length and look away/);
    const another = await world.visit('/shelf/bubble', PHONE);
    await another.sees('Size at arm’s length and look away');
    await another.leave();
  });

  it('become a bubble, solved both ways', async () => {
    await visitor.goTo('/shelf/bubble');
    await visitor.sees(/Outside\s*16\s*in/);
    await visitor.tap('radio', 'Inner');
    await visitor.type('Outside, inches', '17');
    // 17^3 - 14^3 = 2169, whose cube root is 12.94.
    await visitor.sees(/Inner\s*13\s*in/);
    await visitor.type('Outside, inches', '13');
    await visitor.sees('must end above the first width of 14 in');
    await visitor.type('Outside, inches', '17');
    await visitor.sees(/Inner\s*13\s*in/);
    await visitor.find('button', 'Helium');
    await visitor.find('button', 'Small children');
    expect(visitor.complaints).toEqual([]);
  });
});

describe('other kinds, in a wide window', () => {
  it('wrap a pole from the shelf, with the caution that goes with it', async () => {
    const visitor = await world.visit('/shelf', WIDE);
    await visitor.type('Search the shelf', 'modelling');
    await visitor.tapText('Ketteridge Long 260');
    await visitor.sees('The first digit is the width');
    await visitor.tap('radio', 'Pole');
    await visitor.type('Pole across, inches', '2');
    await visitor.sees(/Balloons\s*5\d/);
    await visitor.find('button', 'Ladders, wind and hanging');
    await visitor.type('Pole across, inches', '0');
    await visitor.sees('The strip goes around no pole thinner than');
    expect(visitor.complaints).toEqual([]);
    await visitor.leave();
  });

  it('tell when a foil is full, with power lines in mind', async () => {
    const foil = (await shelf()).find(({ kind }) => kind === 'foil')!;
    const visitor = await world.visit(`/shelf/${foil.id}?temp=40`, WIDE);
    await visitor.sees('Run a finger along the seam');
    await visitor.sees(/Fill it to 9\d % of its volume here/);
    await visitor.find('button', 'Foil and power lines');
    expect(visitor.complaints).toEqual([]);
    await visitor.leave();
  });
});

/** The name of the button that ends so: what it opens stands before it. */
async function buttonEnding(visitor: Visitor, ending: string): Promise<string> {
  const handle = await visitor.page.waitForSelector(`[role="button"][aria-label$="${ending}"]`, {
    visible: true,
  });
  return handle!.evaluate((node) => node.getAttribute('aria-label')!);
}
