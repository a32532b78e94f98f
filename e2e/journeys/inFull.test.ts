import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

import type { CalibrationRecord, ModelDetail, ShelfModel } from '@leggero/contract';

import { PHONE, type Visitor, WIDE } from '../visitor';
import { worldOf } from '../world';

const world = worldOf('demo');
let folder: string;
let shelf: ShelfModel[];
beforeAll(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'leggero-'));
  shelf = await get<ShelfModel[]>('models');
});
afterAll(async () => {
  rmSync(folder, { recursive: true, force: true });
});

const { get } = world;
const called = (line: string, inches: number) =>
  shelf.find((model) => model.line === line && Math.round(model.nominalMm / 25.4) === inches)!;

describe('a target on a phone', () => {
  let visitor: Visitor;
  beforeAll(async () => {
    visitor = await world.visit(`/shelf/${called('Fennimore Standard', 11).id}`, PHONE);
  });
  const widthShown = async () => {
    const label = await visitor.page.$eval('[role="img"]', (node) => node.getAttribute('aria-label') ?? '');
    return /: (.*?) in across/.exec(label)?.[1];
  };
  /** The word beside the reason that says this. */
  const stateOf = (reason: string) =>
    visitor.page.$$eval(
      '[role="dialog"] [role="listitem"]',
      (items, text) => items.find((item) => item.textContent?.includes(text))?.textContent,
      reason,
    );

  it('says both where its tier bears an oval: that it is one, and where round ends', async () => {
    await visitor.tap('button', 'Why this target');
    await visitor.sees(/10 in is slightly oval here \(1\.\d\d\), which Classic bears; round ends at 9[½⅝¾⅞] in/);
    expect(await stateOf('felt hard at')).not.toMatch(/^holds/);
    await visitor.tap('button', 'Close');
  });

  it('is changed by the heat of the venue, and says by how much', async () => {
    const before = await widthShown();
    await visitor.tap('button', 'Made and shown at 21 °C');
    await visitor.type('At the venue, °C', '-300');
    await visitor.sees('Temperatures from -30 to 70 °C are possible.');
    await visitor.type('At the venue, °C', '40');
    await visitor.tap('button', 'Done');
    await visitor.sees(/Made 9.* in; shown (9|10)/);
    expect(await widthShown()).not.toBe(before);
    await visitor.tap('button', 'Why this target');
    await visitor.sees('40 °C at the venue after 21 °C here');
    expect(await stateOf('40 °C at the venue after 21 °C here')).toMatch(/^holds.*made .* smaller for it/);
    await visitor.tap('button', 'Close');
  });

  it('is changed by the days it must stand', async () => {
    const before = await widthShown();
    await visitor.tap('radio', '3 weeks');
    await visitor.sees('Held so that it stands (3 weeks)');
    expect(await widthShown()).not.toBe(before);
    await visitor.tap('button', 'Why this target');
    expect(await stateOf('65 % of nominal, a rule of thumb')).toMatch(/^holds/);
    await visitor.reload();
    await visitor.sees('Held so that it stands (3 weeks)');
    expect(visitor.complaints).toEqual([]);
  });
});

describe('a reading between two holes', () => {
  it('is taken by taps and joins the curve', async () => {
    const link = called('Ketteridge Link', 6);
    const visitor = await world.visit(`/shelf/${link.id}/reading`, PHONE);
    await visitor.tap('radio', 'Two holes');
    const tapHole = async (group: string, hole: string) => {
      const holes = await visitor.find('radiogroup', group);
      const wanted = await holes.$(`[role="radio"][aria-label="${hole}"]`);
      await wanted!.evaluate((node) => node.scrollIntoView({ block: 'center' }));
      await wanted!.tap();
    };
    await tapHole('Passes, hole', '4');
    await tapHole('Stops at, hole', '4½');
    await visitor.sees('these are the other way round');
    await tapHole('Passes, hole', '5');
    await visitor.tap('button', 'Add reading');
    await visitor.sees('Calibrate · 9 readings');
    await visitor.settled();
    const detail = await get<ModelDetail>(`models/${link.id}`);
    const last = detail.calibrations[0]!.readings.at(-1)!;
    expect([last.way, last.widthMm, last.stopsMm, last.passesMm]).toEqual(['bracket', null, 114.3, 127]);
    expect(visitor.complaints).toEqual([]);
  });
});

describe('a missing colour', () => {
  it('is made up for by another line: its target, dose, hole and cautions', async () => {
    const from = called('Fennimore Standard', 11);
    const to = called('Tarn Satin', 11);
    const visitor = await world.visit(`/shelf/compare?a=${from.id}&b=${to.id}&width=228.6`, WIDE);
    await visitor.sees('Tarn Satin 11 in place of Fennimore Standard 11');
    await visitor.sees(/Hole\s+9\s+just passes/);
    await visitor.sees(/Seconds\s+2\.\d\s+gives (8⅞|9|9⅛)/);
    await visitor.sees('Pearl beside matte: the shine differs.');
    expect(visitor.complaints).toEqual([]);
  });
});

describe('files', () => {
  let visitor: Visitor;
  beforeAll(async () => {
    visitor = await world.visit('/shelf/files', WIDE);
  });

  it('of readings go out, come in again, and are looked at before anything is written', async () => {
    const saved = await visitor.saved(folder, () => visitor.tap('button', 'Save all readings as CSV'));
    const lines = readFileSync(saved, 'utf8').trim().split('\r\n');
    const count = lines.length - 1;
    await visitor.give('Choose a CSV file', saved);
    await visitor.sees(`${count} lines: 0 new, ${count} there already.`);

    const columns = lines[0]!.split(',');
    const changed = lines[1]!
      .split(',')
      .map((cell, i) => (columns[i] === 'reading' ? '' : columns[i] === 'width (mm)' ? '101.6' : cell));
    const more = path.join(folder, 'more.csv');
    const spoiled = path.join(folder, 'spoiled.csv');
    writeFileSync(
      spoiled,
      [lines[0], changed.map((cell) => (cell === '101.6' ? 'wide' : cell)).join(',')].join('\r\n'),
    );
    await visitor.give('Choose another file', spoiled);
    await visitor.sees('1 problem: nothing is imported');
    await visitor.sees('Line 2, width: “wide” cannot be read as a length.');
    writeFileSync(more, [...lines, changed.join(',')].join('\r\n'));
    await visitor.give('Choose another file', more);
    await visitor.sees(`${count + 1} lines: 1 new, ${count} there already.`);
    await visitor.tap('button', 'Import 1 reading');
    await visitor.sees('1 reading imported');
    const { text } = { text: await (await fetch(`${world.url}/api/readings.csv`)).text() };
    expect(text.trim().split('\r\n')).toHaveLength(count + 2);
  });

  it('of readings in letters of another kind are asked about, until they look right', async () => {
    const western = path.join(folder, 'western.csv');
    writeFileSync(western, Buffer.from('line,nominal (in),dose (strokes),width (in)\nT\u00e4rn,11,4,8\n', 'latin1'));
    await visitor.give('Choose another file', western);
    await visitor.sees('How are its letters written?');
    await visitor.tap('radio', 'Western (older Macs)');
    await visitor.sees('T‰rn 11');
    await visitor.tap('radio', 'Western European (Windows)');
    await visitor.sees('Tärn 11');
    await visitor.find('button', 'Import 1 reading');
  });

  it('of a whole calibration go out of a balloon’s page and come in again', async () => {
    const mirror = called('Fennimore Mirror', 7);
    await visitor.goTo(`/shelf/${mirror.id}`);
    const saved = await visitor.saved(folder, () => visitor.tap('button', 'Save as file'));
    const { calibration } = JSON.parse(readFileSync(saved, 'utf8')) as { calibration: CalibrationRecord };
    await fetch(`${world.url}/api/calibrations/${calibration.id}`, { method: 'DELETE' });
    await visitor.goTo('/shelf/files');
    const newer = path.join(folder, 'newer.json');
    writeFileSync(newer, JSON.stringify({ format: 'leggero-calibration', version: 9 }));
    await visitor.give('Choose a JSON file', newer);
    await visitor.sees('This file is of version 9, newer than this Leggero knows.');
    await visitor.give('Choose a JSON file', saved);
    await visitor.sees(`with Skiff hand pump: ${calibration.readings.length} readings.`);
    await visitor.tap('button', 'Import it');
    await visitor.page.waitForFunction((id) => location.pathname.endsWith(id), {}, mirror.id);
    const detail = await get<ModelDetail>(`models/${mirror.id}`);
    expect(detail.calibrations[0]?.readings.map(({ widthMm }) => widthMm)).toEqual(
      calibration.readings.map(({ widthMm }) => widthMm),
    );
  });

  it('of target sheets are PDF, drawn beside the page', async () => {
    await visitor.goTo('/shelf/sheet');
    const saved = await visitor.saved(folder, () => visitor.tap('button', 'Save as PDF'));
    const bytes = readFileSync(saved);
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
    expect(bytes.length).toBeGreaterThan(10_000);
    expect(visitor.complaints).toEqual([]);
  });
});

describe('the bench and the hold tests', () => {
  it('lead from what is unknown to its first reading, and from a knot to the loss of a night', async () => {
    const visitor = await world.visit('/bench', PHONE);
    await visitor.sees('Worth calibrating first');
    await visitor.tapText('Fennimore Mirror 11');
    await visitor.sees('Take a fresh balloon and give it');
    await visitor.goTo(`/shelf/${called('Fennimore Standard', 16).id}/hold`);
    await visitor.tap('button', 'Start the test');
    await visitor.sees('at the knot');
    await visitor.tap('button', 'Measure it again');
    await visitor.type('Hours since the knot', '14');
    await visitor.tap('button', 'Smaller: Width now');
    await visitor.tap('button', 'Keep this width');
    await visitor.sees('after 14 hours');
    expect(visitor.complaints).toEqual([]);
  });
});
