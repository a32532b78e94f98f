import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { WithModel } from '@/parts/WithModel';
import { ReadingPage } from '@/features/reading/ReadingPage';

import { done, FRESH_ID, lastDone, MODEL_ID, namesDone, PUMP_ID, show, someRecords } from './studio';

const open = async (id: string, records = someRecords()) => {
  show(<WithModel modelId={id}>{(shown) => <ReadingPage {...shown} />}</WithModel>, records);
  await screen.findByText(/^Calibrate/);
};
const dial = (name = 'Tape around') => screen.getByRole('slider', { name });
const add = () => userEvent.click(screen.getByRole('button', { name: 'Add reading' }));

describe('a reading is added by taps', () => {
  it('the first one starts the calibration: one stroke, then measure', async () => {
    await open(FRESH_ID);
    expect(screen.getByText('Take a fresh balloon and give it 1 stroke, then measure.')).toBeTruthy();
    fireEvent.keyDown(dial(), { key: 'ArrowRight' });
    await userEvent.click(screen.getByRole('radio', { name: 'Round' }));
    await add();
    const [calibration, reading] = done();
    expect(calibration).toMatchObject({
      put: 'calibration',
      row: { modelId: FRESH_ID, pumpId: PUMP_ID, preStretched: false },
    });
    expect(reading).toMatchObject({
      put: 'reading',
      row: { dose: 1, shape: 'round', outcome: 'ok', heightMm: null },
    });
    expect(await screen.findByText('Calibrate · 1 reading')).toBeTruthy();
    expect(screen.getByText(/^Give .* more, .* in all, then measure\.$/)).toBeTruthy();
  });

  it('keeps how the balloon was prepared', async () => {
    await open(FRESH_ID);
    await userEvent.click(screen.getByRole('switch', { name: 'Pre-stretched' }));
    await add();
    expect(done()[0]).toMatchObject({ row: { preStretched: true } });
    expect(await screen.findByText('Barge · pre-stretched')).toBeTruthy();
  });

  it('further ones go to the same calibration, and each moves the proposal on', async () => {
    await open(FRESH_ID);
    await add();
    await screen.findByText('Calibrate · 1 reading');
    await add();
    await screen.findByText('Calibrate · 2 readings');
    expect(namesDone()).toEqual(['put calibration', 'put reading', 'put reading']);
    const doses = done()
      .slice(1)
      .map((write) => ('put' in write && write.put === 'reading' ? write.row.dose : 0));
    expect(doses[1]).toBeGreaterThan(doses[0]!);
  });

  it('a burst keeps its strokes and no width', async () => {
    await open(MODEL_ID);
    await userEvent.click(screen.getByRole('radio', { name: 'Burst' }));
    expect(screen.queryByRole('slider')).toBeNull();
    await add();
    expect(lastDone()).toMatchObject({
      row: { outcome: 'burst', widthMm: null, heightMm: null, shape: null },
    });
  });

  it('a measured height takes the place of the shape', async () => {
    await open(MODEL_ID);
    await userEvent.click(screen.getByRole('button', { name: 'Measure the height instead' }));
    fireEvent.keyDown(dial('Height, crown to neck'), { key: 'PageUp' });
    await add();
    const command = lastDone() as unknown as { row: { heightMm: number; widthMm: number; shape: null } };
    expect(command.row.heightMm - command.row.widthMm).toBeCloseTo(25.4, 0);
    expect(command.row.shape).toBeNull();
  });

  it('a tape around gives the width across', async () => {
    await open(MODEL_ID);
    const around = Number(dial().getAttribute('aria-valuenow'));
    await userEvent.click(screen.getByRole('radio', { name: 'Caliper' }));
    expect(around).toBeCloseTo(Number(dial('Width').getAttribute('aria-valuenow')) * Math.PI, 6);
    await add();
    expect(lastDone()).toMatchObject({ row: { way: 'caliper' } });
  });

  it('a width this balloon cannot have is refused beside the dial, and nothing is lost', async () => {
    await open(FRESH_ID);
    await userEvent.click(screen.getByRole('radio', { name: 'Caliper' }));
    await userEvent.click(screen.getByRole('button', { name: 'Type width' }));
    const field = screen.getByRole('textbox', { name: 'Width, typed' });
    await userEvent.type(field, '40');
    expect(screen.getByText(/This balloon cannot be 40 in across/)).toBeTruthy();
    expect((screen.getByRole('button', { name: 'Add reading' }) as HTMLButtonElement).disabled).toBe(true);
    expect((field as HTMLInputElement).value).toBe('40');
    expect(done()).toEqual([]);
    await userEvent.clear(field);
    await userEvent.type(field, '10 cm');
    await add();
    expect(lastDone()).toMatchObject({ row: { widthMm: 100 } });
  });

  it('the last one can be undone, and the targets are offered from six on', async () => {
    await open(MODEL_ID);
    expect(screen.getByRole('button', { name: 'Target sheet' })).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Undo the last reading' }));
    expect(lastDone()).toMatchObject({ remove: 'reading' });
    await waitFor(() => expect(screen.getByText('Calibrate · 6 readings')).toBeTruthy());
  });

  it('another calibration is started for another pump or preparation', async () => {
    await open(MODEL_ID);
    await userEvent.click(screen.getByRole('button', { name: 'Start another' }));
    await add();
    expect(namesDone()).toEqual(['put calibration', 'put reading']);
  });

  it('a width between two holes is told by tapping both, and refused upside down', async () => {
    await open(MODEL_ID);
    await userEvent.click(screen.getByRole('radio', { name: 'Two holes' }));
    const holes = (name: string) => within(screen.getByRole('radiogroup', { name }));
    await userEvent.click(holes('Passes, hole').getByRole('radio', { name: '9' }));
    await userEvent.click(holes('Stops at, hole').getByRole('radio', { name: '10' }));
    expect(screen.getByText(/these are the other way round/)).toBeTruthy();
    expect((screen.getByRole('button', { name: 'Add reading' }) as HTMLButtonElement).disabled).toBe(true);
    await userEvent.click(holes('Passes, hole').getByRole('radio', { name: '10' }));
    await userEvent.click(holes('Stops at, hole').getByRole('radio', { name: '9' }));
    expect(screen.queryByRole('button', { name: 'Measure the height instead' })).toBeNull();
    await add();
    const { row: body } = lastDone() as unknown as { row: Record<string, unknown> };
    expect(body).toMatchObject({ way: 'bracket', widthMm: null, heightMm: null });
    expect([body['stopsMm'], body['passesMm']]).toEqual([expect.closeTo(228.6, 6), expect.closeTo(254, 6)]);
  });

  it('with two nozzles are taken in turn, in tenths of a second', async () => {
    const records = someRecords();
    records.pumps = [{ ...records.pumps[0]!, kind: 'twin', doseVolumeL: 3 }];
    await open(FRESH_ID, records);
    expect(screen.getByText('Take a fresh balloon and give it 0.7 s, then measure.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'More: seconds in all' }));
    await add();
    expect(lastDone()).toMatchObject({ row: { dose: 0.8, nozzle: 'left', balloon: 1 } });
    await add();
    expect(lastDone()).toMatchObject({ row: { nozzle: 'right', balloon: 2 } });
  });

  it('goes on for someone who has deleted every pump', async () => {
    await open(FRESH_ID, { ...someRecords(), pumps: [] });
    await add();
    expect(namesDone()).toEqual(['put pump', 'put calibration', 'put reading']);
  });
});
