import type { ModelDetail, ShelfModel } from '@leggero/contract';

import { PHONE } from '../visitor';
import { standardEleven } from '../views';
import { until } from '../waiting';
import { worldOf } from '../world';

const world = worldOf('demo', { alone: true, keepsApp: true });
let model: ShelfModel;
beforeAll(async () => {
  model = standardEleven(await world.get<ShelfModel[]>('models'));
});

const stored = () => world.get<ModelDetail>(`models/${model.id}`);

const count = async () => (await stored()).calibrations[0]!.readings.length;

describe('when the database goes away while the app is open', () => {
  it('keeps every tap, says so calmly, survives a reload, and catches up by itself', async () => {
    const before = model.calibrations[0]!.readings.length;
    const visitor = await world.visit(`/shelf/${model.id}/reading`, PHONE);
    await visitor.sees(`${before} readings`);
    await world.tell('stop-database');
    await visitor.tap('radio', 'Round');
    await visitor.tap('button', 'Add reading');
    await visitor.sees('The records are out of reach just now. 1 entry waits');
    await visitor.sees(`${before + 1} readings`);
    await visitor.tap('button', 'Add reading');
    await visitor.sees(`${before + 2} readings`);
    expect((await fetch(`${world.url}/api/health`)).status).toBe(503);

    await visitor.page.reload({ waitUntil: 'domcontentloaded' });
    await visitor.sees('2 entries wait');
    await world.tell('start-database');
    await visitor.sees(`${before + 2} readings`);
    await visitor.page.waitForFunction(() => !document.body.innerText.includes('out of reach'));
    // The notice goes with the first entry that arrives; the second follows at once.
    await until(
      async () => (await count()) >= before + 2,
      () => 'an entry never arrived',
    );
    expect(await count()).toBe(before + 2);
    expect(visitor.complaints).toEqual([]);
  });

  it('undoes a deleted reading', async () => {
    const visitor = await world.visit(`/shelf/${model.id}`, PHONE);
    const all = (await stored()).calibrations[0]!.readings;
    await visitor.tap('button', 'Delete reading of 4 strokes');
    await visitor.sees('Reading of 4 strokes deleted.');
    await visitor.sees(`${all.length - 1} readings`);
    await visitor.tap('button', 'Undo');
    await visitor.sees(`${all.length} readings`);
    await visitor.settled();
    expect((await stored()).calibrations[0]?.readings).toEqual(all);
  });
});
