import { stillText } from '../stillText';
import { viewsOf } from '../views';
import { PHONE } from '../visitor';
import { worldOf } from '../world';

jest.setTimeout(1_200_000);

const world = worldOf('demo');

/** What each view says at a moment, to someone whose browser has nothing of it yet. */
async function said(views: readonly [name: string, address: string][], at: number): Promise<Record<string, string>> {
  const visitor = await world.visit('', PHONE);
  await visitor.beginAt(at);
  const all: Record<string, string> = {};
  await visitor.goTo('/');
  for (const [name, address] of views) {
    await visitor.goTo(address);
    all[name] = await stillText(visitor);
  }
  expect(visitor.complaints).toEqual([]);
  await visitor.leave();
  return all;
}

it('every page says the same after a backup was restored on an empty server', async () => {
  const views = await viewsOf(world);
  // Both are read on one day: while the first is, another may begin.
  const at = Date.now();
  const before = await said(views, at);
  const { id } = await world.get<{ id: string }>('studio');
  await world.tell('restore-elsewhere');
  expect((await world.get<{ id: string }>('studio')).id).toBe(id);
  const after = await said(views, at);
  expect(views.length).toBeGreaterThan(60);
  for (const [name] of views) expect([name, after[name]]).toEqual([name, before[name]]);
});
