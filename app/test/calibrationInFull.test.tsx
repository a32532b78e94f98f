import type { HoldTestRecord } from '@leggero/contract';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import Papa from 'papaparse';

import { BenchPage } from '@/features/bench/BenchPage';
import { ComparePage } from '@/features/compare/ComparePage';
import { FindPage } from '@/features/find/FindPage';
import { GaugeList } from '@/features/gauge/GaugeList';
import { PumpPage } from '@/features/gauge/PumpPage';
import { TranslatePage } from '@/features/gauge/TranslatePage';
import { HoldPage } from '@/features/hold/HoldPage';
import { ModelPage } from '@/features/model/ModelPage';
import { WithModel } from '@/parts/WithModel';

import { goTo, visited } from './router';
import { done, FRESH_ID, lastDone, MODEL_ID, PUMP_ID, show, someRecords } from './studio';

const kept: string[] = [];
jest.mock('@/device/download', () => ({ keepFile: (content: string) => kept.push(content) }));

const inch = (inches: number) => inches * 25.4;

describe('a target for another place', () => {
  const open = async (params: Record<string, string> = {}) => {
    goTo(`/shelf/${MODEL_ID}`, params);
    show(<ModelPage modelId={MODEL_ID} />);
    await screen.findByRole('radiogroup', { name: 'Tier' });
  };

  it('stands in the address: made smaller for the heat, with its reason', async () => {
    await open({ temp: '40', hours: '12', alt: '0', wraps: '2' });
    expect(screen.getByRole('button', { name: '21 °C to 40 °C, after 12 hours' })).toBeTruthy();
    expect(screen.getByText(/^Made (9|10).* in; shown .* in as it opens, .* in 1 day later\.$/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Why this target' }));
    const sheet = within(screen.getByRole('dialog'));
    expect(sheet.getByText(/^40 °C at the venue after 21 °C here: made .* smaller for it\.$/)).toBeTruthy();
    expect(sheet.getByText(/^12 hours before the show cost 0\.6 % .*no hold test yet/)).toBeTruthy();
  });

  it('is set in a sheet, where -300 °C and 20 km are refused beside the field and nothing is lost', async () => {
    await open();
    await userEvent.click(screen.getByRole('button', { name: 'Made and shown at 21 °C' }));
    const sheet = within(screen.getByRole('dialog'));
    const field = sheet.getByRole('textbox', { name: 'At the venue, °C' });
    await userEvent.clear(field);
    await userEvent.type(field, '-300');
    expect(sheet.getByText('Temperatures from -30 to 70 °C are possible.')).toBeTruthy();
    expect((field as HTMLInputElement).value).toBe('-300');
    await userEvent.clear(field);
    await userEvent.type(field, '33');
    const altitude = sheet.getByRole('textbox', { name: 'Above the sea, m' });
    await userEvent.clear(altitude);
    await userEvent.type(altitude, '20000');
    expect(sheet.getByText('Altitudes from -430 to 6000 m are possible.')).toBeTruthy();
    await userEvent.click(sheet.getByRole('button', { name: 'Done' }));
    expect(screen.getByText(/^Made (9|10)/)).toBeTruthy();
  });

  it('that asks for too small a balloon is held up, and other balloons of the shelf are proposed', async () => {
    const records = someRecords();
    records.tiers = [{ ...records.tiers[4]!, name: 'Pea', leastFraction: 0.38, fraction: 0.4, mostFraction: 0.44 }];
    records.models.push({
      ...records.models[1]!,
      id: '00000000-0000-4000-8000-000000000042',
      line: 'Tarn Small',
      nominalMm: inch(6),
    });
    goTo(`/shelf/${MODEL_ID}`);
    show(<ModelPage modelId={MODEL_ID} />, records);
    await userEvent.click(await screen.findByRole('button', { name: 'Why this target' }));
    const sheet = within(screen.getByRole('dialog'));
    expect(sheet.getByText(/^Held up: below 5 in the neck hangs out/)).toBeTruthy();
    await userEvent.click(sheet.getByRole('link', { name: /Tarn Small 6/ }));
    expect(visited).toEqual(['/shelf/00000000-0000-4000-8000-000000000042']);
  });
});

describe('calibrations of one balloon', () => {
  it('are kept apart by preparation, compared, chosen by the address and deleted after asking', async () => {
    const records = someRecords();
    const [model] = records.models;
    const [first] = model!.calibrations;
    const id = '00000000-0000-4000-8000-000000000077';
    const readings = first!.readings.map((reading, i) => ({
      ...reading,
      id: `00000000-0000-4000-8000-00000000090${i}`,
      calibrationId: id,
      heightMm: reading.heightMm! * 0.93,
    }));
    model!.calibrations.push({ ...first!, id, roundedOff: true, startedAt: '2026-11-10T17:00:00.000Z', readings });
    goTo(`/shelf/${MODEL_ID}`);
    show(<ModelPage modelId={MODEL_ID} />, records);
    expect(
      await screen.findByText(/^Beside this one, rounded off: rounder: height over width 0\.0\d+ lower/),
    ).toBeTruthy();
    await userEvent.click(screen.getByRole('radio', { name: /^Barge, rounded off/ }));
    // Rounder by what the other is longer: the balloon stays round to the last reading.
    await waitFor(() => expect(screen.getByText(/Turns oval at 10|Round as far as it was filled/)).toBeTruthy());
    await userEvent.click(screen.getByRole('button', { name: 'Delete' }));
    await userEvent.click(screen.getByRole('button', { name: 'Delete for good' }));
    expect(lastDone()).toEqual({ remove: 'calibration', id });
  });
});

describe('the bench', () => {
  it('lists what is worth calibrating first, with the reasons, and leads there', async () => {
    show(<BenchPage />);
    const row = await screen.findByRole('link', {
      name: /^Tarn Satin 11, tide blue.*[Nn]ever measured|Never measured/,
    });
    expect(screen.getByRole('img', { name: /^Fennimore Standard 11, kelp green, 10 in$/ })).toBeTruthy();
    expect(row.textContent).toMatch(/Never measured and targets known to ±.* in only, ±¼ in is wanted\./);
    await userEvent.click(row);
    expect(visited).toEqual([`/shelf/${FRESH_ID}/reading`]);
    // A phone's bar has no room for the studio: its name leads there.
    await userEvent.click(screen.getByRole('link', { name: /^Studio: / }));
    expect(visited.at(-1)).toBe('/studio');
  });

  it('teaches the first step when the shelf is empty', async () => {
    show(<BenchPage />, { ...someRecords(), models: [] });
    await userEvent.click(await screen.findByRole('button', { name: 'Choose your balloons' }));
    expect(visited).toEqual(['/start?step=balloons']);
    // Whoever wants no leading is left alone until the next visit.
    await userEvent.click(screen.getByRole('button', { name: 'Not now' }));
    await userEvent.click(screen.getByRole('button', { name: 'Add a balloon' }));
    expect(visited.at(-1)).toBe('/shelf/new');
  });
});

describe('comparing', () => {
  it('puts two balloons side by side at one width, and lets one stand in for the other', async () => {
    goTo('/shelf/compare', { a: MODEL_ID, b: FRESH_ID, width: String(inch(9)) });
    show(<ComparePage />);
    const table = within(await screen.findByRole('table', { name: 'Side by side' }));
    const rowOf = (name: string) =>
      table.getAllByRole('row').find((row) => row.textContent?.startsWith(name))?.textContent;
    expect(rowOf('Of nominal')).toBe('Of nominal82 %82 %');
    expect(rowOf('Dose')).toMatch(/6 strokes \(5\.\d–6\.\d\)/);
    expect(screen.getByText('Tarn Satin 11 in place of Fennimore Standard 11')).toBeTruthy();
    expect(screen.getByText('Hole').parentElement?.textContent).toBe('Hole9just passes');
    expect(screen.getByText('Pearl beside matte: the shine differs.')).toBeTruthy();
    expect(screen.getByText(/Never measured: its dose is estimated/)).toBeTruthy();
  });

  it('keeps them as a file, what is not known left empty', async () => {
    goTo('/shelf/compare', { a: MODEL_ID, b: FRESH_ID, width: String(inch(9)) });
    show(<ComparePage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Save this comparison as CSV' }));
    await waitFor(() => expect(kept).toHaveLength(1));
    const { data } = Papa.parse<Record<string, string>>(kept[0]!.trim(), { header: true });
    expect(data.map((line) => [line['balloon'], line['width (mm)'], line['of nominal'], line['dose in']])).toEqual([
      ['Fennimore Standard 11, kelp green', '228.6', '0.818', 'strokes'],
      [expect.stringMatching(/^Tarn Satin 11, /), '228.6', '0.818', 'strokes'],
    ]);
    expect(Number(data[0]!['dose'])).toBeCloseTo(6, 0);
    expect(Number(data[0]!['dose from'])).toBeLessThan(Number(data[0]!['dose to']));
    // Never filled.
    expect([data[1]!['spread (mm)'], data[1]!['filled']]).toEqual(['', '0']);
  });

  it('takes up to three beside the one that is wanted, and at least one', async () => {
    const records = someRecords();
    const more = ['Tarn Third', 'Tarn Fourth', 'Tarn Fifth'].map((line, i) => ({
      ...records.models[1]!,
      id: `00000000-0000-4000-8000-00000000060${i}`,
      line,
    }));
    goTo('/shelf/compare', { a: MODEL_ID, b: FRESH_ID, width: String(inch(9)) });
    show(<ComparePage />, { ...records, models: [...records.models, ...more] });
    const chip = (name: RegExp) =>
      within(screen.getByRole('group', { name: 'Those beside it' })).getByRole('checkbox', { name });
    expect(await screen.findByText('2 balloons at one width')).toBeTruthy();
    await userEvent.click(chip(/Tarn Satin/));
    expect(screen.getByText('2 balloons at one width')).toBeTruthy();
    for (const name of [/Third/, /Fourth/, /Fifth/]) await userEvent.click(chip(name));
    expect(screen.getByText('4 balloons at one width')).toBeTruthy();
    expect(chip(/Tarn Satin/).getAttribute('aria-checked')).toBe('false');
    expect(screen.getAllByText(/in place of Fennimore Standard 11$/)).toHaveLength(3);
  });

  it('moves with the dial', async () => {
    goTo('/shelf/compare', { width: String(inch(9)) });
    show(<ComparePage />);
    fireEvent.keyDown(await screen.findByRole('slider', { name: 'At a width of' }), { key: 'PageUp' });
    await waitFor(() => expect(screen.getByText('Hole').parentElement?.textContent).toBe('Hole10just passes'));
  });
});

describe('finding a balloon for a width', () => {
  it('tells which suit and why the others do not', async () => {
    const records = someRecords();
    records.models.push({
      ...records.models[1]!,
      id: '00000000-0000-4000-8000-000000000043',
      line: 'Tarn Small',
      nominalMm: inch(5),
    });
    goTo('/shelf/find', { width: String(inch(9)), days: '1' });
    show(<FindPage />, records);
    expect((await screen.findByRole('link', { name: /Tarn Satin 11/ })).textContent).toMatch('82 % of its nominal');
    expect(screen.getByRole('link', { name: /Tarn Small 5/ }).textContent).toMatch('180 % of nominal: hard and oval');
    await userEvent.click(screen.getByRole('radio', { name: '3 weeks' }));
    expect(await screen.findByText('Nothing on the shelf suits 9 in')).toBeTruthy();
    expect(screen.getByRole('link', { name: /Tarn Satin 11/ }).textContent).toMatch('at most 65 % stands that long');
  });
});

describe('hold tests', () => {
  const test: HoldTestRecord = {
    id: '00000000-0000-4000-8000-000000000061',
    modelId: MODEL_ID,
    wraps: 2,
    stuffed: false,
    startedAt: '2026-11-16T17:00:00.000Z',
    demo: false,
    readings: [
      {
        id: '00000000-0000-4000-8000-000000000062',
        holdTestId: '00000000-0000-4000-8000-000000000061',
        hours: 0,
        widthMm: 240,
      },
    ],
  };
  const open = (tests: HoldTestRecord[]) => {
    const records = someRecords();
    records.models[0]!.holdTests = tests;
    show(<WithModel modelId={MODEL_ID}>{(shown) => <HoldPage {...shown} />}</WithModel>, records);
  };

  it('begin with a width and a way of closing', async () => {
    open([]);
    await userEvent.click(await screen.findByRole('radio', { name: 'Once' }));
    await userEvent.click(screen.getByRole('button', { name: 'Start the test' }));
    expect(done()).toMatchObject([
      { put: 'holdTest', row: { modelId: MODEL_ID, wraps: 1, stuffed: false } },
      { put: 'holdReading', row: { hours: 0, widthMm: expect.any(Number) } },
    ]);
    expect(await screen.findByText(/ in at the knot$/)).toBeTruthy();
  });

  it('are measured again; a balloon that grew is refused beside the dial', async () => {
    open([test]);
    await userEvent.click(await screen.findByRole('button', { name: 'Measure it again' }));
    const hours = screen.getByRole('textbox', { name: 'Hours since the knot' });
    await userEvent.clear(hours);
    await userEvent.type(hours, '14');
    const dial = screen.getByRole('slider', { name: 'Width now' });
    fireEvent.keyDown(dial, { key: 'PageUp' });
    fireEvent.keyDown(dial, { key: 'PageUp' });
    expect(screen.getByText('A balloon does not grow by standing: measure again.')).toBeTruthy();
    expect((screen.getByRole('button', { name: 'Keep this width' }) as HTMLButtonElement).disabled).toBe(true);
    fireEvent.keyDown(dial, { key: 'PageDown' });
    fireEvent.keyDown(dial, { key: 'PageDown' });
    fireEvent.keyDown(dial, { key: 'ArrowLeft' });
    await userEvent.click(screen.getByRole('button', { name: 'Keep this width' }));
    expect(lastDone()).toMatchObject({ put: 'holdReading', row: { holdTestId: test.id, hours: 14 } });
    expect(await screen.findByText(/ in after 14 hours, \d\d\.\d %$/)).toBeTruthy();
    expect(screen.getByRole('img', { name: /wrapped twice keeps \d\d\.\d % over a day/ })).toBeTruthy();
  });
});

describe('inflators', () => {
  it('may be dosed in seconds', async () => {
    show(<PumpPage pumpId={PUMP_ID} />);
    await userEvent.click(await screen.findByRole('radio', { name: 'Timed' }));
    expect(screen.getByRole('textbox', { name: 'Litres a second, if known' })).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Save inflator' }));
    await waitFor(() => expect(lastDone()).toMatchObject({ change: 'pump', by: { kind: 'timed' } }));
  });

  it('stand beside how sure each way of measuring is', async () => {
    show(<GaugeList />);
    const table = within(await screen.findByRole('table', { name: 'How sure a reading is' }));
    expect(table.getByText('7 readings, 0.063 in assumed')).toBeTruthy();
    expect(table.getAllByText('assumed, from memory')).toHaveLength(9);
    expect(table.getByText('7 readings, 6.5 % assumed')).toBeTruthy();
  });

  it('translate a recipe: widths and the other’s doses; what cannot be read is said beside the field', async () => {
    const records = someRecords();
    records.pumps.push({
      id: '00000000-0000-4000-8000-000000000055',
      name: 'Skiff',
      kind: 'hand',
      doseVolumeL: 0.55,
      mostKPa: null,
      demo: false,
    });
    goTo('/gauges/translate', { model: MODEL_ID, from: PUMP_ID, to: '00000000-0000-4000-8000-000000000055' });
    show(<TranslatePage />, records);
    const items = () => within(screen.getByRole('list', { name: 'The recipe translated' })).getAllByRole('listitem');
    await screen.findByRole('list', { name: 'The recipe translated' });
    expect(items()).toHaveLength(5);
    // Half the litres a stroke: about twice the strokes.
    expect(items()[0]!.textContent).toMatch(/^5 strokes8.* in(9½|10|10½|11|11½)strokes\n/);
    const field = screen.getByRole('textbox', { name: 'Recipe, in strokes' });
    await userEvent.clear(field);
    await userEvent.type(field, '5, none');
    expect(screen.getByRole('alert').textContent).toMatch('Write up to 12 doses above 0');
    await userEvent.clear(field);
    await userEvent.type(field, '3½ 2');
    expect(items()).toHaveLength(2);
    expect(done()).toEqual([]);
  });
});
