import { viewsOf } from '../views';
import { PHONE, type Visitor } from '../visitor';
import { worldOf } from '../world';

jest.setTimeout(1_200_000);

const world = worldOf('demo');

/** How long a page says the same before it is taken at its word, ms: long lists grow by and by. */
const STILL_MS = 400;

/** What is counted from now on goes on between two looks: how long there is to spare. */
const COUNTED_DOWN = /\d+(?= (?:h|min)\b)/g;

/** What a page says while a worker is at it. */
const AT_WORK = /are running|Working (it|out)|^(Building .*|Packing|Making it again and again)\s\d+\s%$/m;

/** What a page says once it says it for a while. */
async function stillText(visitor: Visitor): Promise<string> {
  for (let before = ''; ;) {
    const now = await visitor.text();
    if (now === before && !AT_WORK.test(now)) return now.replaceAll(COUNTED_DOWN, '…');
    before = now;
    await new Promise((resolve) => setTimeout(resolve, STILL_MS));
  }
}

/** What each view says, to someone whose browser has nothing of it yet. */
async function said(views: readonly [name: string, address: string][]): Promise<Record<string, string>> {
  const visitor = await world.visit('', PHONE);
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
  const before = await said(views);
  const { id } = await world.get<{ id: string }>('studio');
  await world.tell('restore-elsewhere');
  expect((await world.get<{ id: string }>('studio')).id).toBe(id);
  const after = await said(views);
  expect(views.length).toBeGreaterThan(60);
  for (const [name] of views) expect([name, after[name]]).toEqual([name, before[name]]);
});
