import type { DesignOf } from '@leggero/contract';

import { PHONE, type Visitor } from '../visitor';
import { worldOf } from '../world';

type Garland = DesignOf<'garland'>;

const world = worldOf('demo');
const NAME = 'Weed line';
const PICTURE = 'A garland of';

/** Until the server has the garland as it was made. */
async function kept(is: (design: Garland) => boolean): Promise<Garland> {
  const { design } = await world.kept('piece', ({ name, design: its }) => {
    return name === NAME && its.form === 'garland' && is(its);
  });
  return design as Garland;
}

describe('a garland, planned on a phone', () => {
  let visitor: Visitor;
  beforeAll(async () => {
    visitor = await world.visit('/builds', PHONE);
  });
  const counted = async () => Number(/, (\d+) balloons/.exec(await visitor.text())![1]);
  const inStrip = async () => Number(/strip of (\d+) balloons/.exec(await visitor.text())![1]);

  /** Of the balloons on its right, far from its foot, the one that is drawn last is nearest: nothing is before it. */
  async function tapNearest(): Promise<{ x: number; y: number }> {
    await visitor.drawnInSpace(PICTURE);
    const balloons = await visitor.balloonsIn(PICTURE);
    const middle = balloons.reduce((sum, { x }) => sum + x / balloons.length, 0);
    const { x, y } = balloons.findLast((balloon) => balloon.x > middle)!;
    await visitor.page.touchscreen.tap(x, y);
    return { x, y };
  }

  it('is packed, runs around a corner and takes as many clusters as fill its path', async () => {
    await visitor.tap('button', 'Draw up a piece');
    await visitor.tap('radio', 'Garland: Clusters along a path, packed in space');
    await visitor.type('Name', NAME);
    await visitor.tap('button', 'Draw it up');
    await visitor.sees('Garland · 12 clusters, 48 balloons');
    await visitor.sees(/1[23] ft \S+ in long: 12 clusters/);
    await visitor.sees(/By the rule of the trade such clusters cover 12 ft: packed it is \d+ % longer/);
    await visitor.tap('radio', 'Up and along');
    await visitor.sees(/Its path is 19 ft: \d+ ft .*stay bare/);
    await visitor.sees(/Take 1\d clusters: they fill the path/);
    const [take] = /Take 1\d clusters: they fill the path/.exec(await visitor.text())!;
    await visitor.tap('button', take);
    const { clusters } = await kept((design) => design.clusters > 14);
    await visitor.sees(new RegExp(`long: ${clusters} clusters`));
    await visitor.type('Along the top', '13 ft');
    await visitor.sees(/Its path is 21 ft: \d+ ft .*stay bare/);
    expect(visitor.complaints).toEqual([]);
  });

  it('has its foot made fuller by a drag, and its hollows filled', async () => {
    const foot = await visitor.find('slider', 'How full: Foot');
    await foot.evaluate((node) => node.scrollIntoView({ block: 'center' }));
    const { x, y, width, height } = (await foot.boundingBox())!;
    const hand = visitor.page.touchscreen;
    await hand.touchStart(x + width / 2, y + height / 2);
    for (const up of [10, 30, 60, 90, 120]) await hand.touchMove(x + width / 2, y + height / 2 - up);
    await hand.touchEnd();
    await kept(({ fullness }) => fullness?.[0] === 3 && fullness[1] === 1);
    await visitor.sees(/clusters and [45] over them/);
    // Said once it is packed anew.
    await visitor.sees(/Take \d+ clusters: they fill the path/);
    await visitor.tap('switch', 'Decorators in its hollows');
    await visitor.sees(/\d+ hollows take a balloon of 4 in/);
    await visitor.sees(/\d+ decorators, \d fours, \d threes and \d twos: \d+ balloons/);
    await visitor.type('Leaves', '8');
    await kept(({ trimmings }) => trimmings?.length === 1 && trimmings[0]!.count === 8);
    await visitor.sees('8 leaves, evenly along it.');
    const { decorators: first } = await kept(({ decorators }) => decorators !== null);
    const [fill] = /Put one in each: \d+/.exec(await visitor.text())!;
    await visitor.tap('button', fill);
    await kept(({ decorators }) => decorators !== null && decorators.count !== first!.count);
    await visitor.tap('switch', 'Decorators in its hollows');
    await kept(({ decorators }) => decorators === null);
    expect(visitor.complaints).toEqual([]);
  });

  it('has a colour swapped, a balloon taken out and put back, its balloons counted', async () => {
    await visitor.tap('switch', 'Colours of its own');
    const { colours } = await kept((design) => design.colours?.way === 'scatter');
    await visitor.tap('button', 'Another colour');
    await visitor.type('Parts of colour 1', '4');
    await visitor.tap('button', `Take colour ${colours!.list.length + 1} out`);
    await kept(({ colours: its }) => its?.list[0]!.share === 4 && its.list.length === colours!.list.length);
    const before = await counted();
    await tapNearest();
    await visitor.tap('button', 'Take it out');
    await kept(({ hand }) => hand?.length === 1 && hand[0]!.out);
    expect(await counted()).toBe(before - 1);
    await visitor.tap('button', 'Undo');
    await kept(({ hand }) => hand?.length === 0);
    expect(await counted()).toBe(before);
    await visitor.tap('button', 'Keep what comes before it as it lies');
    await kept((design) => design.kept?.length === 1 && design.kept[0]!.seed === design.seed);
    await visitor.tap('button', 'Turn its clusters another way');
    await kept((design) => design.kept?.length === 1 && design.kept[0]!.seed !== design.seed);
    await visitor.tap('button', 'Let go');
    await kept((design) => design.kept?.length === 0);
    expect(visitor.complaints).toEqual([]);
  });

  it('has a cluster dragged elsewhere and put back', async () => {
    // What was tapped before is let go by a tap.
    const { x, y } = await tapNearest();
    if (!(await visitor.text()).includes('Take it out')) await tapNearest();
    const hand = await visitor.page.touchscreen.touchStart(x, y);
    for (let by = 6; by <= 36; by += 6) await hand.move(x + by, y - by);
    await hand.end();
    const { moved } = await kept(({ moved: its }) => its?.length === 1 && Math.hypot(its[0]!.xMm, its[0]!.zMm) > 50);
    expect(moved![0]!.zMm).toBeGreaterThan(0);
    await visitor.sees('1 cluster moved by hand.');
    await visitor.tap('button', 'Undo');
    await kept((design) => design.moved?.length === 0);
    expect(visitor.complaints).toEqual([]);
  });

  it('is measured once it is finished, and packed as soft as it was; by eye is said to be fine', async () => {
    const { clusters } = await kept(() => true);
    await visitor.tap('button', 'By eye, or sized? Find out');
    await visitor.sees(/By eye is fine: it comes out \d+ ft .* to \d+ ft /);
    await visitor.sees(/of them: .* wider makes it .* longer\./);
    await visitor.tap('button', 'Measure it once it is finished');
    await visitor.type('Length along it', '3 ft');
    await visitor.sees(/Clusters like these come out \d+ ft .* to \d+ ft .*long\./);
    await visitor.type('Length along it', `${Math.round(11.5 * clusters)} in`);
    await visitor.tap('button', 'Keep this measure');
    await visitor.sees(/Packed as soft as the one of yours that was measured/);
    await visitor.sees(/The one of yours that was measured came to 0\.9\d of that rule/);
    expect(visitor.complaints).toEqual([]);
  });

  it('is made on a strip instead: longer, with steps of its own, a balloon of it taken out', async () => {
    await visitor.tap('radio', 'On a strip');
    await kept(({ strip }) => strip !== null);
    await visitor.sees(/The strip is \d+ ft .*long; 3 holes before/);
    await visitor.type('Holes of the strip', '50');
    await kept(({ strip }) => strip?.holes === 50);
    await visitor.sees(/long: \d+ balloons in its strip/);
    const few = await inStrip();
    await visitor.type('Holes of the strip', '80');
    await kept(({ strip }) => strip?.holes === 80);
    expect(await inStrip()).toBeGreaterThan(few);
    await visitor.sees(/Its path is 21 ft/);
    await visitor.tap('button', 'Leave a hole');
    await kept(({ strip }) => strip?.steps.length === 7);
    await tapNearest();
    await visitor.tap('button', 'Take it out');
    await kept(({ hand }) => hand?.length === 1 && hand[0]!.strip);
    await visitor.sees('1 balloon changed by hand.');
    await visitor.tap('radio', 'Clusters');
    await kept(({ strip }) => strip === null);
    await visitor.sees(/clusters and [45] over them/);
    expect(visitor.complaints).toEqual([]);
  });
});
