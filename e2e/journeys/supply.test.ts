import { mkdtempSync, readFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { randomUUID } from 'node:crypto';

import { EVENT_DEFAULTS, type ModelRecord, type PieceRecord } from '@leggero/contract';
import parsePdf from 'pdf-parse/lib/pdf-parse.js';

import { PHONE, WIDE, type Visitor } from '../visitor';
import { until } from '../waiting';
import { worldOf } from '../world';

const world = worldOf('demo');
const elsewhere = worldOf('empty');
const folder = mkdtempSync(path.join(os.tmpdir(), 'leggero-supply-'));

const EVENT_ID = randomUUID();
/** A column, a taper, a garland and a curtain. */
const FORMS = ['column', 'taper', 'garland', 'curtain'];
const pageOf = (page: string) => `/builds/events/${EVENT_ID}/${page}`;

/** What the batches of a recipe are called: "Batch A: 60 of …". */
const batchesOf = ({ page }: Visitor) =>
  page.$$eval('[role="listitem"][aria-label^="Batch"]', (rows) => rows.map((row) => row.getAttribute('aria-label')));

let visitor: Visitor;
let models: ModelRecord[];
beforeAll(async () => {
  const pieces = await world.get<PieceRecord[]>('pieces');
  models = await world.get<ModelRecord[]>('models');
  const createdAt = new Date().toISOString();
  await world.put('events', { ...EVENT_DEFAULTS, id: EVENT_ID, name: 'Spring tide', daysStanding: 1, createdAt });
  for (const { name, design, copies } of pieces.filter(({ design: { form } }) => FORMS.includes(form)))
    await world.put('pieces', { id: randomUUID(), name, design, copies, eventId: EVENT_ID, createdAt });
  visitor = await world.visit(`/builds/events/${EVENT_ID}`, PHONE);
});

describe('from a build to the bench, on a phone', () => {
  it('the list says what is lacked; a bag that comes in makes it shorter', async () => {
    await visitor.tapText('Shopping list');
    await visitor.sees(/\d bags? to buy, \d colours to choose/);
    const satin = models.find(({ line, nominalMm }) => line === 'Tarn Satin' && Math.round(nominalMm / 25.4) === 11)!;
    const lacked = (await visitor.text()).match(/Tarn Satin 11, tide blue\n(\d+) needed/)!;
    await visitor.goTo(`/shelf/${satin.id}/stock`);
    await visitor.type('Balloons in each', '500');
    await visitor.type('Price of a bag, EUR', '99');
    await visitor.tap('button', 'Put them on the shelf');
    await world.kept('bag', (bag) => bag.modelId === satin.id && bag.count === 500 && bag.priceMinor === 9900);
    await visitor.sees('1 bag of 500');
    await visitor.goTo(pageOf('shopping'));
    await visitor.sees(new RegExp(`Tarn Satin 11, tide blue\\n${lacked[1]} needed[^\\n]*\\n\\d+ there[^\\n]*\\nthere`));
  });

  it('a colour that is missing is chosen in every piece at once, shown before and undone', async () => {
    const white = (row: PieceRecord) => JSON.stringify(row.design).includes('"modelId":null,"colourHex":"#ece7db"');
    const before = (await world.get<PieceRecord[]>('pieces')).filter((row) => row.eventId === EVENT_ID && white(row));
    expect(before.length).toBeGreaterThan(0);
    await visitor.goTo(`${pageOf('swap')}?from=${encodeURIComponent('#ece7db matte')}`);
    await visitor.tap('radio', 'Fennimore Standard 16, lighthouse white');
    await visitor.sees(/no dose yet becomes [\d.]+ s/);
    await visitor.tap('button', `Swap it in ${before.length} pieces`);
    await visitor.sees(`is now in ${before.length} pieces instead.`);
    await world.kept(
      'piece',
      (row) => row.id === before[0]!.id && !JSON.stringify(row.design).includes('"modelId":null,"colourHex":"#ece7db"'),
    );
    await visitor.tap('button', 'Undo');
    await world.kept(
      'piece',
      (row) => row.id === before[0]!.id && JSON.stringify(row.design).includes('"modelId":null,"colourHex":"#ece7db"'),
    );
    await visitor.tap('button', `Swap it in ${before.length} pieces`);
    await visitor.sees(`is now in ${before.length} pieces instead.`);
    await visitor.tap('button', 'To the shopping list');
    await visitor.sees('Fennimore Standard 16, lighthouse white');
  });

  it('batches are put in another order, which stays', async () => {
    await visitor.goTo(pageOf('recipe'));
    await visitor.sees(/\d+ balloons in \d+ batches/);
    const [first, second] = await batchesOf(visitor);
    await visitor.tap('button', 'Later: batch A');
    await world.kept('event', ({ id, plan }) => id === EVENT_ID && (plan?.order.length ?? 0) > 1);
    await visitor.reload();
    await visitor.sees(/\d+ balloons in \d+ batches/);
    const bare = (label: string | null | undefined) => label!.replace(/^Batch \w+: /, '');
    expect((await batchesOf(visitor)).slice(0, 2).map(bare)).toEqual([bare(second), bare(first)]);
  });

  it('hours follow from who is there, and the price from what is paid', async () => {
    await visitor.goTo(pageOf('money'));
    const hours = async () => (await visitor.text()).match(/Hours\n((?:\d+ h)?(?: ?\d+ min)?)/)![1];
    const alone = await hours();
    await visitor.tap('button', 'More: people');
    await visitor.page.waitForFunction((before) => !document.body.innerText.includes(`Hours\n${before}`), {}, alone);
    await visitor.type('An hour of work, EUR', '20');
    await world.kept('event', ({ id, plan }) => id === EVENT_ID && plan?.people === 2 && plan.hourMinor === 2000);
    await visitor.sees(/Price\n€[\d,.]+/);
    expect(visitor.complaints).toEqual([]);
  });
});

describe('what goes out of an event', () => {
  let wide: Visitor;
  beforeAll(async () => {
    wide = await world.visit(pageOf('sheet'), WIDE);
  });
  const pdfOf = async (sheet: string) => {
    await wide.goTo(`${pageOf('sheet')}?for=${sheet}`);
    await wide.find('button', 'Save as PDF');
    const file = await wide.saved(folder, () => wide.tap('button', 'Save as PDF'));
    return parsePdf(readFileSync(file));
  };

  it('sheets for the bench, the site and the client, the last without what it costs', async () => {
    const [bench, site, client] = [await pdfOf('bench'), await pdfOf('site'), await pdfOf('client')];
    expect(bench.text).toContain('Spring tide: bench');
    for (const word of ['Inflate', 'Tie', 'Build', 'Looks like']) expect(bench.text).toContain(word);
    for (const word of ['Take along', '3 base plates', 'Exits']) expect(site.text).toContain(word);
    for (const word of ['Kelp columns', 'Lighthouse', 'kelp green', 'allergic']) expect(client.text).toContain(word);
    expect(client.text).not.toMatch(/€|cost|price/i);
    // Printed, pieces stand as they do on the page.
    const shape = () =>
      wide.page.$eval('[role="img"][aria-label^="Side by side"]', (row) => {
        const { width, height } = row.getBoundingClientRect();
        return { share: height / width, pieces: row.querySelectorAll('image').length };
      });
    const onScreen = await shape();
    await wide.page.emulateMediaType('print');
    const onPaper = await shape();
    await wide.page.emulateMediaType('screen');
    expect(onPaper.pieces).toBe(4);
    expect(onPaper.share).toBeCloseTo(onScreen.share, 2);
  });

  it('a picture as SVG and PNG, and the recipe as a table', async () => {
    await wide.goTo(pageOf('sheet?for=client'));
    const svg = await wide.saved(folder, () => wide.tap('button', 'Picture as SVG'));
    expect(readFileSync(svg, 'utf8').match(/<circle/g)!.length).toBeGreaterThan(300);
    const png = await wide.saved(folder, () => wide.tap('button', 'Picture as PNG'));
    expect(readFileSync(png).subarray(1, 4).toString()).toBe('PNG');
    const csv = await wide.saved(folder, () => wide.tap('button', 'Recipe as CSV'));
    const [head, ...lines] = readFileSync(csv, 'utf8').trim().split('\r\n');
    expect(head).toContain('fill to (mm)');
    await wide.goTo(pageOf('recipe'));
    await wide.sees(`in ${lines.length} batches`);
  });

  it('its batches, dragged by their grips', async () => {
    await wide.goTo(pageOf('recipe'));
    await wide.sees(/balloons in \d+ batches/);
    const bare = (label: string | null | undefined) => label!.replace(/^Batch \w+: /, '');
    const before = (await batchesOf(wide)).map(bare);
    await wide.drag('batch A', 'batch C');
    const moved = [before[1], before[2], before[0], ...before.slice(3)];
    const order = async () => (await batchesOf(wide)).map(bare).join();
    await until(async () => (await order()) === moved.join(), order);
  });

  it('itself, taken into an empty studio: the same recipe is there', async () => {
    await wide.goTo(pageOf('recipe'));
    await wide.sees(/balloons in \d+ batches/);
    // In the usual order: what someone dragged stays with them.
    await wide.tap('button', 'Back to the usual order');
    await world.kept('event', ({ id, plan }) => id === EVENT_ID && plan?.order.length === 0);
    await wide.reload();
    await wide.sees(/balloons in \d+ batches/);
    const here = await batchesOf(wide);
    await wide.goTo(pageOf('sheet'));
    const file = await wide.saved(folder, () => wide.tap('button', 'Event as JSON'));
    const other = await elsewhere.visit('/builds/events/new', WIDE);
    await other.give('Choose a JSON file', file);
    await other.sees(/Spring tide: 4 pieces, \d+ balloons that the shelf does not have yet/);
    await other.tap('button', 'Take it in');
    await other.sees('Kelp columns');
    const taken = await elsewhere.kept('event', ({ name }) => name === 'Spring tide');
    await other.goTo(`/builds/events/${taken.id}/recipe`);
    await other.sees(/balloons in \d+ batches/);
    expect((await batchesOf(other)).sort()).toEqual(here.sort());
    expect([...wide.complaints, ...other.complaints]).toEqual([]);
  });
});
