import type { ModelDetail } from '@leggero/contract';

import { PHONE, type Visitor } from '../visitor';
import { worldOf } from '../world';

const world = worldOf('empty', { alone: true });
let visitor: Visitor;
let modelPath: string;
beforeAll(async () => {
  visitor = await world.visit('/', PHONE);
});

const detail = () => world.get<ModelDetail>(`models/${modelPath.split('/')[2]}`);

/** What a tape shows after so many strokes of 1.1 L on a round balloon, mm. */
const widthAfter = (strokes: number) => Math.cbrt((6 * 1.1e6 * strokes) / Math.PI);

/** Sets the dial by its buttons alone, as a thumb would. */
async function dialTo(mm: number): Promise<void> {
  for (let i = 0; i < 120; i += 1) {
    const off = mm - (await visitor.dial('Width'));
    if (Math.abs(off) <= 1.6) return;
    await visitor.tap('button', off > 0 ? 'Larger: Width' : 'Smaller: Width');
  }
  throw new Error(`the dial never reached ${mm}`);
}

async function strokesShown(): Promise<number> {
  const text = await visitor.text();
  const shown = /([\d]*½?)\s*\nstrokes in all/.exec(text)?.[1] ?? '';
  return Number(shown.replace('½', '') || 0) + (shown.includes('½') ? 0.5 : 0);
}

describe('from an empty studio to a checked batch, on a phone', () => {
  it('puts the first balloon on the shelf', async () => {
    await visitor.sees('Add the first balloon');
    await visitor.tap('button', 'Add a balloon');
    await visitor.sees('Maker’s line');
    await visitor.tap('button', 'Put it on the shelf');
    await visitor.sees('Give it a name of 1 to 80 characters.');
    await visitor.type('Maker’s line', 'Tarn Satin');
    await visitor.tap('radio', 'tide blue');
    await visitor.tap('button', 'Put it on the shelf');
    await visitor.sees('Tarn Satin 11');
    await visitor.sees('rule of thumb');
    modelPath = visitor.path();
  });

  it('is calibrated by taps alone: the app says what to do next after each reading', async () => {
    await visitor.tap('button', 'Add reading');
    await visitor.sees('Take a fresh balloon and give it');
    await visitor.tap('radio', 'Caliper');
    for (let reading = 0; reading < 6; reading += 1) {
      const strokes = await strokesShown();
      expect(strokes).toBeGreaterThan(0);
      const width = widthAfter(strokes);
      await dialTo(width);
      await visitor.tap('radio', width < 250 ? 'Round' : 'Oval');
      await visitor.tap('button', 'Add reading');
      await visitor.sees(`Calibrate · ${reading + 1} reading`);
    }
    await visitor.tap('button', 'Target sheet');
    await visitor.sees('measured');
  });

  it('gives a target with the strokes that reach it', async () => {
    const { calibrations } = await detail();
    expect(calibrations[0]?.readings).toHaveLength(6);
    const text = await visitor.text();
    const strokes = Number(/Pump strokes\s+(\d+)/.exec(text)?.[1]);
    // 9¾ to 10 in of a round balloon are 7.6 to 8.6 L: seven or eight strokes of 1.1 L.
    expect([6, 7, 8]).toContain(strokes);
    await visitor.tap('button', 'Why this target');
    await visitor.sees('of nominal');
    await visitor.tap('button', 'Use this target');
    await visitor.sees('revision 1');
    await visitor.tap('button', 'Close');
  });

  it('names the hole once a sizer is known', async () => {
    await visitor.tap('link', 'Gauges');
    await visitor.tap('button', 'Add a sizer');
    await visitor.type('Name', 'Plate');
    await visitor.type('Hole to add', '9 1/x');
    await visitor.tap('button', 'Add hole');
    await visitor.sees('This cannot be read as a length');
    for (const hole of ['9', '10', '11']) {
      await visitor.type('Hole to add', hole);
      await visitor.tap('button', 'Add hole');
      await visitor.sees(`${hole} in`);
    }
    await visitor.tap('button', 'Save sizer');
    await visitor.sees('3 holes, 9 to 11');
    await visitor.goTo(modelPath);
    await visitor.sees(/Sizer hole\s+1[01]/);
  });

  it('checks a batch of twelve, one tap each, with an undo, and says what to do', async () => {
    await visitor.tap('button', 'Check a batch');
    await visitor.sees(/of 12/);
    for (let i = 0; i < 5; i += 1) await visitor.tap('button', 'Just passes: right');
    await visitor.tap('button', 'Stops: too big');
    await visitor.sees('Let air out of number 6.');
    await visitor.tap('button', 'Undo the last answer');
    await visitor.tap('button', 'Falls through: too small');
    await visitor.sees('Add air to number 6.');
    for (let i = 0; i < 6; i += 1) await visitor.tap('button', 'Just passes: right');
    await visitor.sees('1 of 12 is outside. The rest are right.');
    await visitor.sees('between 0 % and 38 %');
  });

  it('is all there after a reload, and after the server and its database have restarted', async () => {
    await visitor.reload();
    await visitor.sees('1 of 12 is outside. The rest are right.');
    await world.tell('stop-database');
    await world.tell('start-database');
    await world.tell('restart-service');
    await visitor.goTo(modelPath);
    await visitor.sees('6 readings');
    await visitor.sees('1 of 12 is outside.');
    const { checks, targets } = await detail();
    expect(checks[0]?.results.map(({ answer }) => answer)).toEqual([
      ...Array(5).fill('passes'),
      'falls',
      ...Array(6).fill('passes'),
    ]);
    expect(targets).toHaveLength(1);
    expect(visitor.complaints).toEqual([]);
  });
});
