import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { HoleFinderPage } from '@/features/holes/HoleFinderPage';
import { SizersComparedPage } from '@/features/holes/SizersComparedPage';
import { MakePage } from '@/features/make/MakePage';
import { readSizes } from '@/features/make/useMake';
import { SizerCheckPage } from '@/features/sizer/SizerCheckPage';
import { SizerPage } from '@/features/sizer/SizerPage';
import { SqueezePage } from '@/features/sizer/SqueezePage';

import { goTo, visited } from './router';
import { done, lastDone, show, SIZER_ID, someRecords } from './studio';

const inch = (inches: number) => inches * 25.4;
const field = (label: string) => screen.getByRole('textbox', { name: label });
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));
const NOW = '2026-11-20T10:00:00.000Z';

/** The plate with its 10 hole measured. */
function measuredRecords(acrossMm: number) {
  const records = someRecords();
  const [plate] = records.sizers;
  const hole = plate!.holes[1]!;
  hole.measurements = [
    {
      id: '00000000-0000-4000-8000-000000000501',
      holeId: hole.id,
      acrossMm,
      downMm: null,
      way: 'caliper',
      takenAt: NOW,
    },
  ];
  return records;
}

describe('a sizer is checked', () => {
  const open = async (records = someRecords()) => {
    show(<SizerCheckPage sizerId={SIZER_ID} />, records);
    await screen.findByText('Hole 1 of 3');
  };

  it('hole by hole, each kept at once, in two directions where an oval shows', async () => {
    await open();
    await userEvent.type(field('Across'), '226.5 mm');
    await userEvent.type(field('Square to it'), '228.5 mm');
    await press('Keep and go on');
    expect(lastDone()).toMatchObject({
      put: 'holeMeasurement',
      row: { acrossMm: expect.closeTo(226.5, 6), downMm: expect.closeTo(228.5, 6), way: 'caliper' },
    });
    await screen.findByText('Hole 2 of 3');
    await press('Undo');
    expect(lastDone()).toMatchObject({ remove: 'holeMeasurement' });
    await screen.findByText('Hole 1 of 3');
  });

  it('refuses a hole out of its place, beside the field, and keeps what was typed', async () => {
    await open();
    await userEvent.type(field('Across'), '11.5');
    await press('Keep and go on');
    expect(screen.getByRole('alert').textContent).toMatch(/10 hole would be smaller than the 9/);
    expect((field('Across') as HTMLInputElement).value).toBe('11.5');
    expect(done()).toHaveLength(0);
    await userEvent.clear(field('Across'));
    await userEvent.type(field('Across'), '10');
    await press('Keep and go on');
    expect(screen.getByRole('alert').textContent).toMatch(/as wide as the 9/);
    await userEvent.clear(field('Across'));
    await press('Keep and go on');
    expect(screen.getByRole('alert').textContent).toMatch(/Enter a length/);
  });

  it('corrects every hole of a printed sizer by its bars, and refuses a bar of 0 or 1,000 mm', async () => {
    await open();
    await userEvent.click(screen.getByRole('radio', { name: 'Printed bar' }));
    for (const bar of ['0', '1000']) {
      await userEvent.clear(field('Lying bar, mm'));
      await userEvent.type(field('Lying bar, mm'), bar);
      await press('Correct every hole');
      expect(screen.getByRole('alert').textContent).toMatch(/70 to 140 mm/);
    }
    expect(done()).toHaveLength(0);
    await userEvent.clear(field('Lying bar, mm'));
    await userEvent.type(field('Lying bar, mm'), '98');
    await userEvent.type(field('Upright bar, mm'), '99');
    await press('Correct every hole');
    expect(done()).toHaveLength(3);
    expect(lastDone()).toMatchObject({
      row: { acrossMm: expect.closeTo(inch(11) * 0.98, 6), downMm: expect.closeTo(inch(11) * 0.99, 6), way: 'bar' },
    });
  });

  it('says which targets use another hole from now on', async () => {
    await open();
    await press('Skip');
    await userEvent.type(field('Across'), '9.6');
    await press('Keep and go on');
    await press('Skip');
    const changes = await screen.findByText('What changes');
    expect(changes.parentElement!.textContent).toMatch(/the 10 hole.*from now on.*the 1[01] hole/);
  });
});

describe('a sizer’s page', () => {
  it('shows what each hole measures and how far it is off', async () => {
    show(<SizerPage sizerId={SIZER_ID} />, measuredRecords(inch(10) - 2));
    await screen.findByText(/1\/16 in smaller than its label/);
    expect(screen.getAllByText('not measured yet')).toHaveLength(2);
    await userEvent.type(field('Whose it is'), 'Jory');
    await press('Save sizer');
    expect(lastDone()).toMatchObject({ change: 'sizer', by: { keeper: 'Jory' } });
  });

  it('learns the squeeze from a balloon measured after sizing', async () => {
    show(<SqueezePage sizerId={SIZER_ID} />);
    await screen.findByText(/assumed, from memory/);
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Width once out of the hole' }), { key: 'ArrowUp' });
    await press('Add this balloon');
    expect(lastDone()).toMatchObject({ put: 'sizing', row: { nominalMm: inch(11) } });
    await screen.findByText('learned');
  });
});

describe('a hole is found', () => {
  it('with its gap, and what the nearest hole would cost instead', async () => {
    goTo('/gauges/holes', { width: String(inch(9.5)) });
    show(<HoleFinderPage />);
    await screen.findByText('The 10 hole of Plate, with a ½ in gap in all.');
    expect(screen.getByText(/Each balloon ½ in/)).toBeTruthy();
    expect(screen.getByText(/A column of eight layers of quads 3 in/)).toBeTruthy();
    expect(screen.getByText('linking work does not')).toBeTruthy();
  });

  it('by what it measures, not by its label', async () => {
    goTo('/gauges/holes', { width: String(inch(9.5)) });
    show(<HoleFinderPage />, measuredRecords(inch(9.5)));
    await screen.findByText('The 10 hole of Plate: it just passes.');
  });

  it('compares the crew’s sizer with the studio’s', async () => {
    const records = measuredRecords(inch(10) - 4);
    const [plate] = records.sizers;
    records.sizers.push({
      ...plate!,
      id: '00000000-0000-4000-8000-000000000601',
      name: 'Crew box',
      keeper: 'Jory',
      holes: plate!.holes.map((hole, i) => ({
        ...hole,
        id: `00000000-0000-4000-8000-00000000061${i}`,
        measurements: [],
      })),
    });
    show(<SizersComparedPage />, records);
    await screen.findByText(/apart: too much for linking work\./);
    expect(screen.getByText('differ')).toBeTruthy();
    expect(screen.getByRole('img', { name: /the 10 hole 3\/16 in smaller than its label/ })).toBeTruthy();
  });
});

describe('a sizer is made', () => {
  const open = async (params: Record<string, string> = {}) => {
    goTo('/gauges/make', params);
    show(<MakePage />);
    await screen.findByText('Make a sizer');
  };
  it('shows what will be cut, in any of four forms', async () => {
    await open();
    expect(await screen.findByText(/1 sheet, 1 piece/)).toBeTruthy();
    for (const [form, text] of [
      ['Jaws', /jaw board 1/],
      ['Rings', /ring strip 1/],
      ['Box', /bottom, front, back/],
    ] as const) {
      await userEvent.click(screen.getByRole('radio', { name: form }));
      expect(await screen.findByRole('img', { name: text })).toBeTruthy();
    }
    expect(screen.getByText(/A cube of .* fingers of/)).toBeTruthy();
  });

  it.each([
    [{ sizes: '9, 8' }, /from small to large: 8 stands after 9/],
    [{ sizes: '8, 8' }, /8 is there twice/],
    [{ sizes: '8, nine' }, /“nine” cannot be read/],
    [{ sizes: '' }, /at least one size/],
    [{ sheetWidthMm: '120' }, /sheet is too small/],
    [{ form: 'box', thicknessMm: '25' }, /thicker than a finger is long \(20 mm\)/],
    [{ kerfMm: '9' }, /burn the bridge of 8 mm away/],
  ] as [Record<string, string>, RegExp][])('says beside the field why it cannot be: %j', async (params, text) => {
    await open(params);
    expect((await screen.findByRole('alert')).textContent).toMatch(text);
    expect(screen.getByRole('button', { name: 'PDF to print' }).getAttribute('aria-disabled')).toBe('true');
  });

  it('proposes sizes from the targets in use', async () => {
    await open();
    await userEvent.click(await screen.findByRole('button', { name: 'Propose from the targets in use' }));
    const typed = (field('Sizes, inches') as HTMLInputElement).value.split(', ');
    expect(typed.length).toBeGreaterThan(2);
    expect(typed).toContain('10');
  });

  it('joins the gauges once printed, corrected by the measured bar', async () => {
    await open({ sizes: '8, 9' });
    await userEvent.type(field('Lying bar, mm'), '99');
    await press('Add it, corrected by the bars');
    expect(done().slice(0, 4)).toMatchObject([
      { put: 'sizer' },
      { put: 'hole', row: { label: '8' } },
      { put: 'hole', row: { label: '9' } },
      { put: 'holeMeasurement', row: { acrossMm: expect.closeTo(inch(8) * 0.99, 6) } },
    ]);
    expect(visited.at(-1)).toMatch(/^\/gauges\/sizers\//);
  });

  it('reads sizes as people write them', () => {
    const labels = (typed: string, unit: 'in' | 'cm' = 'in') =>
      readSizes(typed, { unit }).sizes.map(({ label }) => label);
    expect(labels('4, 5½,6 3/4')).toEqual(['4', '5 1/2', '6 3/4']);
    expect(labels('10; 12,5; 15', 'cm')).toEqual(['10', '12.5', '15']);
    expect(readSizes('4, x', { unit: 'in' }).unread).toBe('x');
  });
});

describe('the list of gauges', () => {
  it('names whose sizer it is', async () => {
    const { GaugeList } = jest.requireActual<typeof import('@/features/gauge/GaugeList')>('@/features/gauge/GaugeList');
    const records = someRecords();
    records.sizers[0]!.keeper = 'Jory';
    show(<GaugeList />, records);
    const row = await screen.findByText('Plate (Jory)');
    expect(within(row.parentElement!).getByText('3 holes, 9 to 11')).toBeTruthy();
    await waitFor(() => expect(screen.queryByText('Compare sizers')).toBeNull());
  });
});
