import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { write } from '@/data/outbox';
import { useRecords } from '@/data/state';
import { Frame } from '@/features/frame/Frame';
import { GaugeList } from '@/features/gauge/GaugeList';
import { PumpPage } from '@/features/gauge/PumpPage';
import { SizerPage } from '@/features/sizer/SizerPage';
import { ModelForm } from '@/features/shelf/ModelForm';
import { ShelfList } from '@/features/shelf/ShelfList';
import { StudioPage } from '@/features/studio/StudioPage';
import { useThemeChoice } from '@/ui/theme';
import { learn, type KnowledgeQuestion } from '@/views/knowledge';

import { goTo, visited } from './router';
import { done, lastDone, PUMP_ID, serve, show, someRecords } from './studio';

/** A shelf with more readings than are learned from on the page itself. */
function largeShelf() {
  const records = someRecords();
  const [first] = records.models;
  const id = (kind: number, i: number, j = 0) =>
    `00000000-0000-4000-8${kind}00-0000000${String(100 * i + j).padStart(5, '0')}`;
  records.models = Array.from({ length: 9 }, (_, i) => ({
    ...first!,
    id: id(1, i),
    checks: [],
    calibrations: first!.calibrations.map((calibration) => ({
      ...calibration,
      id: id(2, i),
      modelId: id(1, i),
      readings: calibration.readings.map((each, j) => ({ ...each, id: id(3, i, j), calibrationId: id(2, i) })),
    })),
  }));
  return records;
}

describe('the shelf', () => {
  beforeEach(() => goTo('/shelf'));

  it('lists every balloon with its first target and how well that is known', async () => {
    show(<ShelfList />);
    expect(await screen.findByText('2 balloons')).toBeTruthy();
    expect(screen.getByText('7 readings · measured')).toBeTruthy();
    expect(screen.getByText('no readings · estimated')).toBeTruthy();
  });

  it('narrows as one types, also by what the trade calls it, and names what else there is', async () => {
    const records = someRecords();
    const [first] = records.models;
    records.models.push(
      ...[5, 7, 9, 12].map((size, i) => ({
        ...first!,
        id: `00000000-0000-4000-8000-00000000050${i}`,
        nominalMm: size * 25.4,
      })),
    );
    show(<ShelfList />, records);
    await userEvent.type(await screen.findByRole('textbox', { name: 'Search the shelf' }), 'satin blue');
    const balloons = () => screen.getAllByRole('img', { name: /Classic/ });
    await waitFor(() => expect(balloons()).toHaveLength(1));
    await userEvent.type(screen.getByRole('textbox', { name: 'Search the shelf' }), ' none');
    expect(await screen.findByText('No balloon here is called “satin blue none”.')).toBeTruthy();
  });

  it('works out the targets of a large shelf itself where the code of its worker is gone', async () => {
    class Gone {
      onerror: ((event: { message: string }) => void) | null = null;
      terminate = () => undefined;
      postMessage = () => setTimeout(() => this.onerror?.({ message: 'no such file' }), 0);
    }
    Object.assign(globalThis, { Worker: Gone });
    show(<ShelfList />, largeShelf());
    expect(await screen.findByText('9 balloons')).toBeTruthy();
    expect(await screen.findAllByText('7 readings · measured')).toHaveLength(9);
    Reflect.deleteProperty(globalThis, 'Worker');
  });

  it('asks another worker where one says nothing', async () => {
    jest.useFakeTimers();
    const asked: KnowledgeQuestion[] = [];
    class Silent {
      onmessage: ((event: { data: unknown }) => void) | null = null;
      terminate = () => undefined;
      postMessage = (question: KnowledgeQuestion) => {
        asked.push(question);
        if (asked.length === 2) this.onmessage?.({ data: { answer: learn(question) } });
      };
    }
    Object.assign(globalThis, { Worker: Silent });
    show(<ShelfList />, largeShelf());
    await act(() => jest.advanceTimersByTimeAsync(15_000));
    expect([asked.length, screen.queryAllByText('7 readings · measured').length]).toEqual([1, 0]);
    await act(() => jest.advanceTimersByTimeAsync(10_000));
    expect([asked.length, screen.getAllByText('7 readings · measured').length]).toEqual([2, 9]);
    await act(() => jest.advanceTimersByTimeAsync(300_000));
    expect(asked.length).toBe(2);
    jest.useRealTimers();
    Reflect.deleteProperty(globalThis, 'Worker');
  });

  it('when empty teaches the first step', async () => {
    show(<ShelfList />, { ...someRecords(), models: [] });
    expect(await screen.findByText(/Add the first balloon/)).toBeTruthy();
    fireEvent.keyDown(window, { key: 'n' });
    expect(visited).toEqual(['/shelf/new']);
  });
});

describe('a new balloon', () => {
  it('wants a name, and keeps everything else that was chosen', async () => {
    show(<ModelForm />);
    await userEvent.click(screen.getByRole('radio', { name: '16 in' }));
    await userEvent.click(screen.getByRole('radio', { name: 'Mirror' }));
    await userEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }));
    expect(await screen.findByText('Give it a name of 1 to 80 characters.')).toBeTruthy();
    expect(done()).toEqual([]);
    await userEvent.type(screen.getByRole('textbox', { name: 'Maker’s line' }), '  Tarn Clear ');
    await userEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }));
    await waitFor(() =>
      expect(lastDone()).toMatchObject({
        put: 'model',
        row: { line: 'Tarn Clear', finish: 'mirror', nominalMm: expect.closeTo(406.4, 6) },
      }),
    );
    expect(visited[0]).toMatch(/^\/shelf\/[0-9a-f-]{36}$/);
  });

  it('that is there already can be changed, and deleted after asking', async () => {
    const [model] = someRecords().models;
    show(<ModelForm model={model!} />);
    await userEvent.click(screen.getByRole('button', { name: 'Delete' }));
    await userEvent.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(done()).toEqual([]);
    await userEvent.click(screen.getByRole('radio', { name: 'Linking' }));
    await userEvent.click(screen.getByRole('button', { name: 'Save details' }));
    await waitFor(() => expect(lastDone()).toMatchObject({ change: 'model', id: model!.id, by: { kind: 'linking' } }));
    await userEvent.click(screen.getByRole('button', { name: 'Delete' }));
    await userEvent.click(screen.getByRole('button', { name: 'Delete for good' }));
    expect(lastDone()).toEqual({ remove: 'model', id: model!.id });
  });
});

describe('the gauges', () => {
  it('list sizers with their holes to scale, and pumps with their stroke', async () => {
    show(<GaugeList />);
    expect(await screen.findByText('3 holes, 9 to 11')).toBeTruthy();
    expect(screen.getByRole('img', { name: 'Holes of 9, 10, 11, to scale' })).toBeTruthy();
    expect(screen.getByText('hand pump, 1.10 L a stroke')).toBeTruthy();
  });

  it.each([
    ['abc', 'This cannot be read as a length'],
    ['0', 'A hole is wider than zero'],
    ['3000', 'more than 30 m'],
    ['10', 'This hole is there already'],
    ['', 'Enter a length'],
  ])('a hole of %j is refused beside its field', async (typed, reason) => {
    show(<SizerPage sizerId={someRecords().sizers[0]!.id} />);
    const field = await screen.findByRole('textbox', { name: 'Hole to add' });
    if (typed) await userEvent.type(field, typed);
    await userEvent.click(screen.getByRole('button', { name: 'Add hole' }));
    expect(screen.getByRole('alert').textContent).toMatch(new RegExp(reason));
    expect((field as HTMLInputElement).value).toBe(typed);
  });

  it('a sizer is changed whole', async () => {
    const [sizer] = someRecords().sizers;
    show(<SizerPage sizerId={sizer!.id} />);
    await userEvent.type(await screen.findByRole('textbox', { name: 'Hole to add' }), '9 1/2');
    await userEvent.click(screen.getByRole('button', { name: 'Add hole' }));
    await userEvent.click(screen.getByRole('button', { name: 'Delete hole 11' }));
    await userEvent.click(screen.getByRole('button', { name: 'Save sizer' }));
    const [nine, ten, eleven] = sizer!.holes;
    expect(done()).toMatchObject([
      { change: 'sizer', id: sizer!.id },
      { remove: 'hole', id: eleven!.id },
      { put: 'hole', row: { sizerId: sizer!.id, label: '9 1/2', widthMm: 241.3 } },
    ]);
    const { hole } = useRecords.getState().rows;
    expect([...hole.keys()]).toEqual([nine!.id, ten!.id, expect.any(String)]);
  });

  it('a pump’s stroke is read with a comma, and refused when it cannot be', async () => {
    show(<PumpPage pumpId={PUMP_ID} />);
    const field = await screen.findByRole('textbox', { name: 'Litres a stroke, if known' });
    await userEvent.clear(field);
    await userEvent.type(field, '-2');
    await userEvent.click(screen.getByRole('button', { name: 'Save pump' }));
    expect(await screen.findByText(/Give litres above 0 and up to 20/)).toBeTruthy();
    await userEvent.clear(field);
    await userEvent.type(field, '0,18');
    await userEvent.click(screen.getByRole('button', { name: 'Save pump' }));
    await waitFor(() => expect(lastDone()).toMatchObject({ change: 'pump', id: PUMP_ID, by: { doseVolumeL: 0.18 } }));
  });

  it('that are not there say so', async () => {
    show(<SizerPage sizerId="none" />);
    expect(await screen.findByText(/No sizer is known at this address/)).toBeTruthy();
  });
});

describe('the studio', () => {
  it('chooses how lengths are spoken and how the app looks', async () => {
    show(<StudioPage />);
    await userEvent.click(await screen.findByRole('radio', { name: 'cm' }));
    expect(lastDone()).toEqual({ change: 'studio', id: someRecords().studio.id, by: { unit: 'cm', stepMm: 1 } });
    await userEvent.click(screen.getByRole('radio', { name: 'Evening' }));
    expect(useThemeChoice.getState().choice).toBe('dark');
  });

  it('changes a tier’s range, and says beside the field what cannot be', async () => {
    show(<StudioPage />);
    await userEvent.click(await screen.findByRole('button', { name: /^Classic/ }));
    const sheet = within(screen.getByRole('dialog'));
    const field = (name: string) => sheet.getByRole('textbox', { name });
    const retype = async (name: string, text: string) => {
      await userEvent.clear(field(name));
      await userEvent.type(field(name), text);
    };
    await retype('To, %', '97');
    expect(sheet.getByRole('alert').textContent).toBe('This overlaps Full. Move one of the two first.');
    await retype('To, %', '80');
    expect(sheet.getByRole('alert').textContent).toBe('The range must end above its start.');
    await retype('To, %', '93');
    await retype('Aim, %', '70');
    expect(sheet.getByRole('alert').textContent).toBe('The share aimed at lies within the range.');
    await userEvent.click(sheet.getByRole('button', { name: 'Save tier' }));
    expect(done()).toEqual([]);
    await retype('Aim, %', '90,5');
    await userEvent.click(sheet.getByRole('button', { name: 'Save tier' }));
    expect(lastDone()).toMatchObject({ change: 'tier', by: { fraction: 0.905, mostFraction: 0.93 } });
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('adds a tier where there is room, orders them, deletes one and brings it back', async () => {
    show(<StudioPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Add a tier' }));
    const sheet = within(screen.getByRole('dialog'));
    await userEvent.click(sheet.getByRole('button', { name: 'Add tier' }));
    expect(sheet.getByText('Give the tier a name of 1 to 80 characters.')).toBeTruthy();
    await userEvent.type(sheet.getByRole('textbox', { name: 'Name' }), 'Pea');
    await userEvent.click(sheet.getByRole('button', { name: 'Add tier' }));
    expect(lastDone()).toMatchObject({
      put: 'tier',
      row: { name: 'Pea', position: 5, leastFraction: 0.3, mostFraction: 0.45 },
    });
    await userEvent.click(screen.getByRole('button', { name: 'Move Pea up' }));
    expect(done().slice(-2)).toMatchObject([{ by: { position: 4 } }, { by: { position: 5 } }]);
    await userEvent.click(screen.getByRole('button', { name: /^Full/ }));
    await userEvent.click(within(screen.getByRole('dialog')).getByRole('button', { name: 'Delete' }));
    expect(screen.queryByText('95 %')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }));
    expect(screen.getByText('95 %')).toBeTruthy();
  });

  it('keeps the workroom’s air, and refuses what no workroom has beside the field', async () => {
    show(<StudioPage />);
    const field = await screen.findByRole('textbox', { name: 'Temperature, °C' });
    await userEvent.clear(field);
    await userEvent.type(field, '-300');
    expect(screen.getByRole('alert').textContent).toBe('Temperatures from -30 to 70 °C are possible.');
    expect((field as HTMLInputElement).value).toBe('-300');
    await userEvent.clear(field);
    await userEvent.type(field, '18,5');
    expect(lastDone()).toMatchObject({ change: 'studio', by: { workroomTempC: 18.5 } });
    const altitude = screen.getByRole('textbox', { name: 'Altitude, m' });
    await userEvent.clear(altitude);
    await userEvent.type(altitude, '20000');
    expect(screen.getByText('Altitudes from -430 to 6000 m are possible.')).toBeTruthy();
  });

  it('keeps its name only when it is one', async () => {
    show(<StudioPage />);
    const field = await screen.findByRole('textbox', { name: 'Name' });
    await userEvent.clear(field);
    await userEvent.tab();
    expect(done()).toEqual([]);
    expect(screen.getByText('Give the studio a name of 1 to 80 characters.')).toBeTruthy();
    await userEvent.type(field, 'Low Tide');
    await userEvent.tab();
    expect(lastDone()).toMatchObject({ change: 'studio', by: { name: 'Low Tide' } });
  });
});

describe('the frame', () => {
  it('leads to the places, says where one is, and shows the keys', async () => {
    goTo('/gauges');
    show(<Frame>{null}</Frame>);
    const places = within(screen.getByRole('navigation', { name: 'Places' }));
    expect(places.getByRole('link', { name: 'Gauges' }).getAttribute('aria-current')).toBe('page');
    await userEvent.click(places.getByRole('link', { name: 'Logbook' }));
    expect(visited).toEqual(['/logbook']);
    // A phone's bar holds five; the studio is led to from the head of the Bench.
    expect(places.getAllByRole('link')).toHaveLength(5);
    fireEvent.keyDown(window, { key: '?' });
    expect(within(await screen.findByRole('dialog')).getByText('Search everything')).toBeTruthy();
  });

  it('says calmly how much waits, and what was not taken', async () => {
    show(<Frame>{null}</Frame>);
    serve(someRecords());
    act(() => {
      void write({ remove: 'reading', id: '00000000-0000-4000-8000-000000000101' });
      useRecords.setState({ stuck: true });
    });
    expect((await screen.findByRole('status')).textContent).toMatch(
      '1 entry waits in this page alone: leave it open until all is saved.',
    );
    const [entry] = useRecords.getState().waiting;
    const problem = { type: 'about:blank', title: 'This is still in use elsewhere.', status: 409 };
    act(() => useRecords.setState({ stuck: false, waiting: [], refused: [{ ...entry!, problem }] }));
    expect((await screen.findByRole('alert')).textContent).toMatch('1 entry was not taken.');
    await userEvent.click(screen.getByRole('button', { name: 'Look' }));
    expect(screen.getByText('Taken away: a reading')).toBeTruthy();
    expect(screen.getByText('This is still in use elsewhere.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Drop it' }));
    expect(screen.queryByRole('alert')).toBeNull();
    expect(useRecords.getState()).toMatchObject({ waiting: [], refused: [] });
  });
});
