import { PIECE_DEFAULTS, type DesignOf, type FinishedGarland } from '@leggero/contract';
import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { PiecePage } from '@/chunks/PiecePage';
import { garlandAnswer, type GarlandQuestion } from '@/parts/piece/garlandAnswer';

import { GARLAND, inch, PIECE_ID } from './garlands';
import { lastDone, show, someRecords } from './studio';

/** A worker that packs at once; the page has none here. */
class PackingWorker {
  onmessage: ((event: { data: unknown }) => void) | null = null;
  postMessage(question: GarlandQuestion) {
    const answer = garlandAnswer(question, (share) => this.onmessage?.({ data: { share } }));
    setTimeout(() => this.onmessage?.({ data: { answer } }), 0);
  }
  addEventListener() {}
  terminate() {}
}

async function open(by: Partial<DesignOf<'garland'>> = {}, finished: FinishedGarland[] = []) {
  const records = someRecords();
  records.finished = finished;
  records.pieces = [
    {
      ...PIECE_DEFAULTS,
      ...{ id: PIECE_ID, name: 'Tide', createdAt: '2026-11-20T10:00:00.000Z', checks: [], demo: false, eventId: null },
      design: { ...GARLAND, ...by },
    },
  ];
  show(<PiecePage pieceId={PIECE_ID} />, records);
  await screen.findByText('Tide');
}
const field = (name: string) => screen.getByRole('textbox', { name });
const type = async (name: string, words: string) => {
  await userEvent.clear(field(name));
  await userEvent.type(field(name), words);
};
const click = (what: string | RegExp | HTMLElement, role = 'button') =>
  userEvent.click(what instanceof HTMLElement ? what : screen.getByRole(role, { name: what }));
const kept = (is: (design: DesignOf<'garland'>) => boolean) =>
  waitFor(() => {
    const last = lastDone();
    const design = last && 'change' in last && last.change === 'piece' ? last.by.design : undefined;
    expect(design?.form === 'garland' && is(design)).toBe(true);
  });

describe('the page of a garland', () => {
  beforeAll(() => Object.assign(globalThis, { Worker: PackingWorker }));
  afterAll(() => Reflect.deleteProperty(globalThis, 'Worker'));

  it('packs it, says how long it is, what its path leaves and what the trade says, and takes what fills it', async () => {
    await open({ path: { ...GARLAND.path, wideMm: inch(120) } });
    expect(screen.getByText('Garland · 6 clusters, 24 balloons')).toBeTruthy();
    expect(await screen.findByText(/^[67] ft .* long: 6 clusters$/)).toBeTruthy();
    expect(screen.getByText(/^Its path is 10 ft: 3 ft .* stay bare\.$/)).toBeTruthy();
    expect(
      screen.getByText(/^By the rule of the trade such clusters cover 6 ft: packed it is \d+ % longer\.$/),
    ).toBeTruthy();
    await click(/^Take (9|10) clusters: they fill the path$/);
    await kept(({ clusters }) => clusters === 9 || clusters === 10);
  });

  it('is measured once it is finished: what no such garland is as long as is refused, and its clusters are kept', async () => {
    await open();
    await screen.findByText(/long: 6 clusters$/);
    expect(screen.getByText(/^How soft balloons of a garland are is the trade’s number/)).toBeTruthy();
    await click('Measure it once it is finished');
    await click('Keep this measure');
    expect(await screen.findByText('How long it is from its first balloon to its last.')).toBeTruthy();
    await type('Length along it', '2 ft');
    expect(await screen.findByText(/^Clusters like these come out \d ft .* to \d+ ft .* long\.$/)).toBeTruthy();
    await click('Keep this measure');
    expect(lastDone()).toBeUndefined();
    await type('Length along it', '5 ft 8 in');
    await waitFor(() => expect(screen.queryByText(/^Clusters like these come out/)).toBeNull());
    await click(await screen.findByRole('button', { name: 'Keep this measure' }));
    expect(lastDone()).toMatchObject({
      put: 'finishedGarland',
      row: {
        ...{ clusters: 6, lengthMm: 1727.2 },
        kinds: [
          {
            inRow: 2,
            balloons: [
              { widthMm: inch(10), count: 2 },
              { nominalMm: 279.4, widthMm: inch(7.5), count: 2 },
            ],
          },
          { inRow: 1, balloons: [{ nominalMm: 304.8, count: 2 }, { count: 1 }, { nominalMm: 482.6, count: 1 }] },
        ],
      },
    });
  });

  it('is packed as soft as those that were finished, and says what they came to beside the rule', async () => {
    const kinds = [
      { inRow: 1, balloons: [10, 7.5].map((wide) => ({ nominalMm: inch(11), widthMm: inch(wide), count: 2 })) },
    ];
    const made = { kinds, clusters: 12, takenAt: '2026-11-20T10:00:00.000Z' };
    const finished = [9.4, 9.7, 9.6].map((feet, i) => ({
      ...made,
      id: `${PIECE_ID.slice(0, -1)}${i}`,
      lengthMm: inch(12 * feet),
    }));
    await open({ kinds: [GARLAND.kinds[0]!], clusters: 12, path: { ...GARLAND.path, wideMm: inch(144) } }, finished);
    expect(
      await screen.findByText(
        /^Packed as soft as the 3 of yours that were measured: balloons press into one another by [5-8]\.\d %/,
      ),
    ).toBeTruthy();
    // 9.57 ft of 12 by the rule.
    expect(screen.getByText(/^Your 3 measured garlands came to 0\.80 of that rule, here 9 ft 6\S+ in: /)).toBeTruthy();
    expect(screen.getByRole('listitem', { name: /^As yours came out: 9 ft 6/ })).toBeTruthy();
    // By the trade's own number it is 12 ft.
    expect(await screen.findByText(/^(9|10) ft.* long: 12 clusters$/)).toBeTruthy();
    await click('Take it back');
    expect(lastDone()).toMatchObject({ remove: 'finishedGarland' });
    expect(await screen.findByText(/^Your 2 measured garlands came to /)).toBeTruthy();
  });

  it('puts a decorator in every hollow that takes one', async () => {
    await open();
    await click('Decorators in its hollows', 'switch');
    await kept(
      ({ decorators }) => decorators!.count === 6 && decorators!.way === 'even' && decorators!.tied!.length === 3,
    );
    expect(screen.getByText(/^6 decorators, 2 fours, 2 threes and 2 twos: 18 balloons, .* wide\.$/)).toBeTruthy();
    await click('Fours', 'checkbox');
    await click('Threes', 'checkbox');
    await kept(({ decorators }) => decorators!.tied!.join() === '2');
    await type('Flowers', '3');
    await kept(({ trimmings }) => trimmings![0]!.kind === 'flower' && trimmings![0]!.count === 3);
    expect(screen.getByText('3 flowers, evenly along it.')).toBeTruthy();
    await type('Flowers', '0');
    await kept(({ trimmings }) => trimmings!.length === 0);
    await type('For each foot', '2');
    await kept(({ decorators }) => decorators!.count > 9 && decorators!.count < 15);
    await click('Decorators uneven', 'switch');
    await kept(({ decorators }) => decorators!.uneven === null);
    expect(await screen.findByText(/^\d+ hollows take a balloon of 4 in; the widest is /)).toBeTruthy();
    await click(/^Put one in each: \d+$/);
    const many = Number(/\d+/.exec(screen.getByText(/hollows take a balloon of 4 in/).textContent!)![0]);
    await kept(({ decorators }) => decorators!.count === many);
    expect(screen.getByText(`Garland · 6 clusters, ${24 + 2 * many} balloons`)).toBeTruthy();
  });

  it('is made on a strip instead, made fuller by keys, coloured through, and keeps its clusters for the way back', async () => {
    await open();
    await click('On a strip', 'radio');
    await kept(({ strip }) => strip?.first === 4);
    expect(screen.getByText(/^Garland · strip of \d+ balloons, \d+ balloons$/)).toBeTruthy();
    await click('Leave a hole');
    await kept(({ strip }) => strip!.steps.at(-1) === null && strip!.steps.length === 7);
    await click('Take step 2 out');
    await kept(({ strip }) => strip!.steps.length === 6);
    const foot = screen.getByRole('slider', { name: 'How full: Left end' });
    act(() => foot.focus());
    await userEvent.keyboard('{ArrowUp}{ArrowUp}{ArrowDown}{ArrowUp}');
    await kept(({ fullness }) => fullness![0] === 1.5);
    await click('Colours of its own', 'switch');
    await kept(({ colours }) => colours!.way === 'scatter' && colours!.list.length === 2);
    await click('In blocks', 'radio');
    await type('Balloons of a block', '3');
    await kept(({ colours }) => colours!.way === 'blocks' && colours!.block === 3);
    await click('Take colour 1 out');
    await kept(({ colours }) => colours!.list.length === 1);
    await type('Parts of colour 1', '0');
    expect(await screen.findByText('At least one colour that there is any of.')).toBeTruthy();
    await click('Clusters', 'radio');
    await kept(({ strip, kinds }) => strip === null && kinds.length === 2);
  });

  it('is drawn on a wall to scale, place by place, with a door kept in sight', async () => {
    await open({ path: { ...GARLAND.path, wideMm: inch(96) } });
    await click('As I draw it', 'radio');
    await kept(({ path, wall }) => path.points?.length === 5 && wall?.wideMm === inch(168));
    // Where it ran before, place by place.
    const { points } = (lastDone() as { by: { design: DesignOf<'garland'> } }).by.design.path;
    expect(points!.map(({ xMm, zMm }) => [Math.round(xMm / 25.4), Math.round(zMm / 25.4)])).toEqual(
      [-48, -24, 0, 24, 48].map((x) => [x, 80]),
    );
    await click('Another place');
    await kept(({ path }) => path.points?.length === 6);
    await click('One place less');
    await kept(({ path }) => path.points?.length === 5);
    await click('Place 2', 'radio');
    await type('Place 2: above the floor', '7 ft');
    await kept(({ path }) => path.points?.[1]!.zMm === inch(84));
    await click('Place 2', 'radio');
    await click('Door');
    await kept(({ wall }) => wall?.things.length === 1 && wall.things[0]!.leftMm === inch(66));
    expect(await screen.findByText(/^\d+ balloons before the door: keep doors/)).toBeTruthy();
    await type('From the left of 1', '0 in');
    await kept(({ wall }) => wall?.things[0]!.leftMm === 0);
    await type('Wall, width', '7 ft');
    expect(await screen.findByText('It leaves the wall by 6 in.')).toBeTruthy();
    await click('Take door 1 away');
    await kept(({ wall }) => wall?.things.length === 0);
  });

  it('is hung on hooks: what they carry, how far it sags, and how many hold it', async () => {
    await open();
    await click('Hooks along it', 'switch');
    await kept(({ fixings }) => fixings?.count === 5);
    // 24 balloons: 8 of 16 in are of 19 in as they are sold.
    expect(
      screen.getByText(/^It weighs \d+ g\. 5 hooks: one carries up to \d+ g; between them it sags up to /),
    ).toBeTruthy();
    await type('Each holds, kg', '0.02');
    await kept(({ fixings }) => fixings?.holdsKg === 0.02);
    expect(await screen.findByText(/^One would carry \d+ g and holds 20 g: /)).toBeTruthy();
    await click(/^Take \d+ hooks$/);
    await kept(({ fixings }) => fixings!.count > 5);
    expect(screen.queryByText(/^One would carry/)).toBeNull();
  });

  it('is made uneven on purpose, and says what eyes and sizers make of its length, and which sizes matter for it', async () => {
    await open({ kinds: [GARLAND.kinds[0]!] });
    await click('Uneven on purpose', 'switch');
    await kept(({ uneven }) => uneven === 0.06);
    await type('Nearly all within, either way, inches', '1');
    await kept(({ uneven }) => Math.abs(uneven! - 0.05) < 1e-9);
    await click('By eye, or sized? Find out');
    expect(await screen.findByText(/^By eye is fine: it comes out \d ft .* to \d ft /)).toBeTruthy();
    const range = screen.getByRole('listitem', { name: /^With a sizer: \d ft .* to \d ft / });
    expect(range).toBeTruthy();
    // The smaller ones, which lie between, matter more.
    const matters = screen
      .getAllByText(/ of them: .* wider makes it .* longer\.$/)
      .map(({ textContent }) => textContent);
    expect(matters.map((words) => words!.slice(0, 6))).toEqual(['7½ in,', '10 in,']);
    await click('Uneven on purpose', 'switch');
    await kept(({ uneven }) => uneven === null);
  });

  it('lets go of a beginning that was kept', async () => {
    await open({ kept: [{ before: 2, seed: 7 }], seed: 3 });
    expect(screen.getByText('All before cluster 3 stays as it lies; what follows is turned another way.')).toBeTruthy();
    await click('Turn its clusters another way');
    await kept(({ seed, kept: own }) => seed === 4 && own!.length === 1);
    await click('Let go');
    await kept(({ seed, kept: own }) => seed === 7 && own!.length === 0);
  });

  it('takes back what was moved by hand, the newest first', async () => {
    const at = { strip: false, layer: 0, xMm: 0, yMm: 0, zMm: inch(2) };
    await open({
      moved: [
        { ...at, cluster: 1 },
        { ...at, cluster: 4 },
      ],
    });
    expect(screen.getByText('2 clusters moved by hand.')).toBeTruthy();
    await click('Undo');
    await kept(({ moved }) => moved!.length === 1 && moved![0]!.cluster === 1);
  });

  it('takes back what was changed by hand, the newest first', async () => {
    const at = { strip: false, cluster: 2, layer: 0, place: 0, widthMm: null, part: null };
    await open({
      hand: [
        { ...at, out: true },
        { ...at, place: 1, out: true },
      ],
    });
    expect(screen.getByText('Garland · 6 clusters, 22 balloons')).toBeTruthy();
    expect(screen.getByText('2 balloons changed by hand.')).toBeTruthy();
    await click('Undo');
    await kept(({ hand }) => hand!.length === 1 && hand![0]!.place === 0);
    expect(screen.getByText('Garland · 6 clusters, 23 balloons')).toBeTruthy();
  });

  it('keeps what was packed last in sight while fewer clusters are packed', async () => {
    await open();
    await screen.findByText(/long: 6 clusters$/);
    // Of its second kind there is none any more.
    await type('Clusters', '1');
    expect(screen.getByText('Garland · 1 cluster, 4 balloons')).toBeTruthy();
    expect(screen.getByText(/long: 6 clusters$/)).toBeTruthy();
    expect(await screen.findByText(/long: 1 cluster$/)).toBeTruthy();
  });

  it('has kinds of cluster put in and taken out, and their balloons counted', async () => {
    await open();
    await type('Count 1 of cluster 1', '3');
    await kept(({ kinds }) => kinds[0]!.balloons[0]!.count === 3);
    expect(screen.getByText('Garland · 6 clusters, 28 balloons')).toBeTruthy();
    await type('In a row of cluster 2', '2');
    await kept(({ kinds }) => kinds[1]!.inRow === 2);
    await click('Another kind of cluster');
    await kept(({ kinds }) => kinds.length === 3);
    await click('Take cluster 1 out');
    await kept(({ kinds }) => kinds.length === 2 && kinds[0]!.balloons.length === 3);
    await click('Turn its clusters another way');
    await kept(({ seed }) => seed === 2);
  });

  it('says beside the field what cannot be, and loses nothing', async () => {
    await open({ path: { kind: 'droop', wideMm: inch(120), highMm: inch(80), dropMm: inch(20) } });
    await type('Hangs down by', '7 ft');
    expect(await screen.findByText('It would lie on the floor: under 6 ft 8 in.')).toBeTruthy();
    expect(screen.getByText('Garland · cannot be worked out')).toBeTruthy();
    await type('Hangs down by', '2 ft');
    expect(screen.getByText('Garland · 6 clusters, 24 balloons')).toBeTruthy();
    for (const i of [1, 2]) await type(`Count ${i} of cluster 1`, '0');
    expect(await screen.findByText('A whole number of balloons, one at least in a cluster.')).toBeTruthy();
    await type('Clusters', '900');
    expect(screen.getByText('1 to 400 clusters.')).toBeTruthy();
  });
});
