import { randomUUID } from 'node:crypto';

import { EVENT_DEFAULTS, type DesignOf, type ModelRecord } from '@leggero/contract';

import { faultsHere } from '../viewFaults';
import { standardEleven } from '../views';
import { PHONE, WIDE, type Visitor } from '../visitor';
import { worldOf } from '../world';

const world = worldOf('demo', { ownBrowser: true });
const EVENT_ID = randomUUID();
const RUN = `/builds/events/${EVENT_ID}/run`;
const DAY_MS = 86_400_000;
const PASSWORD = 'kelp and a rope of roe';

let laptop: Visitor;
let maker: Visitor;
let helper: Visitor;
beforeAll(async () => {
  const eleven = standardEleven((await world.get<ModelRecord[]>('models')) as never);
  const colour = { modelId: eleven.id, colourHex: eleven.colourHex, finish: eleven.finish };
  const column: DesignOf<'column'> = {
    ...{ form: 'column', count: 4, open: 'height', layers: 12, heightMm: 1829, standMm: 13, widthMm: 241.3 },
    ...{ topper: null, heldBy: 'pole', ceilingMm: null, painted: [], colours: [colour] },
    pattern: { kind: 'spiral', order: [0, 0, 0, 0], to: 'right', every: 4 },
  };
  const createdAt = new Date().toISOString();
  const opensAt = new Date(Date.now() + 3 * DAY_MS).toISOString();
  const about = { id: EVENT_ID, name: 'Neap tide', client: 'The aquarium', daysStanding: 1, createdAt, opensAt };
  await world.put('events', { ...EVENT_DEFAULTS, ...about });
  await world.put('pieces', {
    id: randomUUID(),
    name: 'Posts',
    design: column,
    copies: 1,
    eventId: EVENT_ID,
    createdAt,
  });
  laptop = await world.visit('/studio', WIDE);
});

/** So many keys, one after another, as a foot pedal sends them. */
async function press({ page }: Visitor, key: 'PageDown' | '1', times = 1): Promise<void> {
  for (let i = 0; i < times; i += 1) await page.keyboard.press(key);
}

/** What a browser keeps of the studio: the names of its stores. */
const storesOf = ({ page }: Visitor): Promise<string[]> =>
  page.evaluate(async () => (await indexedDB.databases()).map(({ name }) => name ?? ''));

/** Makes an invitation on the laptop; answers the address of its link. */
async function linkFor(name: string, choose: () => Promise<void>): Promise<string> {
  await laptop.goTo('/studio/crew');
  await laptop.tap('button', 'Invite someone');
  await laptop.type('Their name', name);
  await choose();
  await laptop.tap('button', 'Make the invitation');
  await laptop.sees('shown only now');
  expect(await faultsHere(laptop)).toEqual([]);
  const [code] = /(?:[A-Z2-9]{5}-){3}[A-Z2-9]{5}/.exec(await laptop.text())!;
  return `/join#${code}`;
}

/** Takes up an invitation on a phone of its own. */
async function joined(link: string, signInName: string): Promise<Visitor> {
  const phone = await world.visit(link, PHONE);
  expect(await faultsHere(phone)).toEqual([]);
  await phone.type('Name to sign in with', signInName);
  await phone.type('Password', PASSWORD);
  await phone.tap('button', 'Join Saltmarsh Balloon Works');
  return phone;
}

describe('two phones and a laptop on one event', () => {
  it('begins with somebody who owns the studio: from then on nobody is let in who does not sign in', async () => {
    const other = await world.visit('/shelf', PHONE);
    await other.sees('balloons');
    await laptop.tapText('Work here with others');
    await laptop.type('Your name', 'Wren');
    await laptop.type('Name to sign in with', 'wren');
    await laptop.type('Password', PASSWORD);
    await laptop.tap('button', 'Own this studio');
    await laptop.sees(/Fennimore Standard|Who works here/);
    await other.goTo('/shelf');
    await other.sees('By the name or the e-mail address');
    expect(await faultsHere(other)).toEqual([]);
    expect(await other.text()).not.toContain('Fennimore');
    await other.leave();
  });

  it('a maker and a helper join by their links, and see what their parts let them', async () => {
    maker = await joined(await linkFor('Teal', () => laptop.tap('radio', 'Maker Runs, measures and checks')), 'teal');
    await maker.sees('Fennimore Standard');
    const link = await linkFor('Sprat', async () => {
      await laptop.tap('radio', 'Helper One event: its recipe, its run and its site list, until a day');
      await laptop.tap('radio', 'Neap tide');
    });
    helper = await joined(link, 'sprat');
    await helper.sees('You help Saltmarsh Balloon Works here until');
    expect(await faultsHere(helper)).toEqual([]);
    await helper.goTo('/shelf');
    await helper.sees('You help Saltmarsh Balloon Works');
    expect(helper.path()).toBe('/help');
    expect(await storesOf(helper)).toContainEqual(expect.stringMatching(/^leggero-/));
    await helper.tapText('What to inflate, tie and build');
    await helper.sees('48 balloons in 1 batch');
    expect(await helper.text()).not.toContain('The aquarium');
  });

  it('fill balloons side by side, one of them without a network, and the laptop sees both', async () => {
    await maker.goTo(`/builds/events/${EVENT_ID}/recipe`);
    await maker.tap('button', 'Begin the inflation run');
    await maker.tap('button', 'Begin here');
    await maker.sees('0 of 48');
    await press(maker, 'PageDown', 4);
    await maker.sees('4 of 48');
    await helper.goTo(RUN);
    await helper.tap('radio', 'Table 2');
    await helper.tap('button', 'Begin here');
    await helper.sees('4 of 48');
    await helper.page.setOfflineMode(true);
    await press(helper, 'PageDown', 5);
    await press(helper, '1');
    await helper.sees('9 of 48');
    await helper.page.setOfflineMode(false);
    await maker.sees('9 of 48');
    await laptop.goTo(RUN);
    await laptop.sees('39 balloons left');
  });

  it('a maker may try what is a planner’s to keep, and is told so', async () => {
    await maker.goTo('/studio');
    await maker.tap('radio', 'cm');
    await maker.sees('As a maker you may try this, but only owners keep it.');
    await laptop.goTo('/studio');
    await laptop.find('radio', 'cm').then(async (radio) => {
      expect(await radio.evaluate((node) => node.getAttribute('aria-checked'))).toBe('false');
    });
  });

  it('is shared by a link: its client looks at it, another studio takes a copy, until somebody ends it', async () => {
    const share = async (button: string): Promise<string> => {
      await laptop.goTo(`/builds/events/${EVENT_ID}/sheet?for=client`);
      await laptop.tap('button', button);
      await laptop.sees('shown only now');
      expect(await faultsHere(laptop)).toEqual([]);
      const [code] = /(?:[A-Z2-9]{5}-){3}[A-Z2-9]{5}/.exec(await laptop.text())!;
      return `/shared#${code}`;
    };
    const sheet = await share('Share with the client');
    for (const size of [PHONE, WIDE]) {
      const client = await world.visit(sheet, size);
      await client.sees('Neap tide');
      await client.sees('Shared by Saltmarsh Balloon Works');
      expect(await faultsHere(client)).toEqual([]);
      expect(await client.text()).not.toMatch(/€|cost|price/i);
      expect(client.path()).toBe('/shared');
      expect(client.complaints).toEqual([]);
    }
    // Who is signed in elsewhere takes it in; here it is the same studio, which has the event already.
    await maker.goTo(await share('Share with another studio'));
    await maker.sees('An event to be taken in');
    expect(await faultsHere(maker)).toEqual([]);
    await laptop.goTo(`/builds/events/${EVENT_ID}/sheet?for=client`);
    await laptop.tap('button', 'End it');
    await laptop.tap('button', 'End it');
    const late = await world.visit(sheet, PHONE);
    await late.sees('What was shared by this link is over');
  });

  it('ends for a helper when the owner ends it: nothing of the studio stays on their phone', async () => {
    await laptop.goTo('/studio/crew');
    expect(await faultsHere(laptop)).toEqual([]);
    await laptop.tapText('signs in as sprat');
    await laptop.tap('button', 'End');
    await laptop.tap('button', 'End for good');
    await helper.goTo('/help');
    await helper.sees('You work in no studio by now');
    expect(await storesOf(helper)).toEqual([expect.not.stringContaining('-')]);
    await laptop.sees('signs in as teal');
  });

  it('signs out and in again, and a code of the owner sets another password', async () => {
    await maker.goTo('/studio/account');
    expect(await faultsHere(maker)).toEqual([]);
    await maker.tap('button', 'Sign out here');
    await maker.sees('By the name or the e-mail address');
    await laptop.tapText('signs in as teal');
    await laptop.tap('button', 'Give a code for a new password');
    await laptop.sees('shown only now');
    const [code] = /(?:[A-Z2-9]{5}-){3}[A-Z2-9]{5}/.exec(await laptop.text())!;
    await maker.goTo('/confirm#AAAAA-AAAAA-AAAAA-AAAAA');
    expect(await faultsHere(maker)).toEqual([]);
    await maker.tap('button', 'Confirm it');
    await maker.sees('This code was used');
    await maker.goTo(`/new-password#${code}`);
    expect(await faultsHere(maker)).toEqual([]);
    await maker.type('New password', 'another one entirely');
    await maker.tap('button', 'Set it');
    await maker.tap('button', 'To sign in');
    await maker.type('Name or e-mail', 'teal');
    await maker.type('Password', PASSWORD);
    await maker.tap('button', 'Sign in');
    await maker.sees('do not belong together');
    await maker.type('Password', 'another one entirely');
    await maker.tap('button', 'Sign in');
    await maker.sees('Fennimore Standard');
  });

  it('signs in by a passkey that a device keeps', async () => {
    // Keys belong to a name: an address has none (WebAuthn, section 5.1.3).
    const named = (address: string) => `${world.url.replace('127.0.0.1', 'localhost')}${address}`;
    const phone = await world.visit('', PHONE);
    const device = await phone.page.createCDPSession();
    await device.send('WebAuthn.enable');
    await device.send('WebAuthn.addVirtualAuthenticator', {
      options: {
        ...{ protocol: 'ctap2', transport: 'internal', hasResidentKey: true, hasUserVerification: true },
        ...{ isUserVerified: true, automaticPresenceSimulation: true },
      },
    });
    await phone.page.goto(named('/studio/account'));
    await phone.type('Name or e-mail', 'teal');
    await phone.type('Password', 'another one entirely');
    await phone.tap('button', 'Sign in');
    await phone.tap('button', 'Add a passkey of this device');
    await phone.find('button', 'Remove');
    await phone.tap('button', 'Sign out here');
    await phone.tap('button', 'Sign in by a passkey');
    await phone.sees('Fennimore Standard');
    expect([...laptop.complaints, ...maker.complaints, ...helper.complaints]).toEqual([]);
  });
});
