import type { DesignOf, ModelDetail, PieceRecord } from '@leggero/contract';

import { PHONE, type Visitor, WIDE } from '../visitor';
import { worldOf } from '../world';

const world = worldOf('demo');

const pieces = () => world.get<PieceRecord[]>('pieces');
const pieceCalled = async (name: string) => {
  const found = (await pieces()).find((piece) => piece.name === name);
  if (!found) throw new Error(`no piece called ${name}`);
  return found;
};
/** Until the server has the curtain as it was made. */
const kept = (is: (design: DesignOf<'curtain'>) => boolean) =>
  world.kept('piece', ({ name, design }) => name === 'Medusa' && design.form === 'curtain' && is(design));

describe('linking work, drawn up on a phone', () => {
  let visitor: Visitor;
  beforeAll(async () => {
    visitor = await world.visit('/bench', PHONE);
  });

  const drawUp = async (form: string, name: string) => {
    await visitor.goTo('/builds/new');
    await visitor.tap('radio', form);
    await visitor.type('Name', name);
    await visitor.tap('button', 'Draw it up');
    await visitor.sees(name);
  };

  it('a curtain for a span and a height: its chains and its counts', async () => {
    await visitor.tap('link', 'Builds');
    await visitor.sees('1 event, 11 pieces');
    // Each shows as a picture of itself, which was drawn on this device.
    await visitor.page.waitForFunction(
      () => [...document.querySelectorAll('img')].filter(({ naturalWidth }) => naturalWidth === 288).length === 6,
    );
    await drawUp('Curtain: Chains side by side, or a grid', 'Medusa');
    await visitor.type('Across', '100');
    await visitor.type('Line above the floor', '100');
    // 100 in at about 8 in: thirteen chains, and thirteen finishing balloons.
    await visitor.sees(/Curtain · 1[34] chains/);
    await visitor.sees(/1[34] chains of \d+/);
    await visitor.type('Line above the floor', '140');
    await visitor.sees('Above the ceiling of 9 ft: at most 9 ft.');
    await visitor.type('Line above the floor', '100');
    await visitor.tap('radio', 'Swagged');
    await visitor.sees(/From left to right: \d+ · \d+/);
    await kept(({ topLine }) => topLine === 'swagged');
    await visitor.reload();
    await visitor.sees('Medusa');
    await visitor.sees(/Curtain · 1[34] chains/);
  });

  it('its hem is dragged in the picture', async () => {
    const before = (await pieceCalled('Medusa')).design as DesignOf<'curtain'>;
    const picture = await visitor.drawnInSpace('A curtain of');
    const box = (await picture.boundingBox())!;
    const lineY = await picture.evaluate(
      (node) => node.querySelector('line[stroke-dasharray]')!.getBoundingClientRect().top,
    );
    await visitor.page.touchscreen.touchStart(box.x + 60, lineY);
    for (let i = 1; i <= 8; i += 1) await visitor.page.touchscreen.touchMove(box.x + 60, lineY - 5 * i);
    await visitor.page.touchscreen.touchEnd();
    await kept(({ hemMm }) => hemMm > before.hemMm + 100);
  });

  it('a swag with its count', async () => {
    await drawUp('Swags: Hanging between fixings', 'Garland of terns');
    await visitor.type('Span, all bays', '120');
    await visitor.type('Drop', '30');
    // A catenary of 120 by 30 in is 138.5 in long; with 4¾ in balloons and a joint of a quarter inch, 27 or 28.
    await visitor.sees(/2[78] balloons/);
    await visitor.sees(/\d+° at both fixings; lowest 5 ft from the left/);
    await visitor.type('Right fixing higher by', '12');
    await visitor.sees(/\d+° and \d+° at its fixings/);
  });

  it('a basket designed, snapped, one balloon broken and seen to buckle', async () => {
    await drawUp('Basket: Spokes, rings, tying balloons, handle', 'Urchin');
    await visitor.sees('Basket · 30 balloons');
    await visitor.sees(/Of 25 sets of steps the best uses up/);
    await visitor.type('Spoke balloons, inches', '3');
    await visitor.sees(/Its tying balloons would be/);
    await visitor.type('Spoke balloons, inches', '5');
    await visitor.sees(/95 of 100 close when nearly all balloons keep to/);
    await visitor.sees(/10,000 simulated builds bear/);
    const before = await visitor.balloonsIn('A basket of');
    // A tap in the picture asks for the balloon that is there: the last drawn is nearest.
    await visitor.page.touchscreen.tap(before.at(-1)!.x, before.at(-1)!.y);
    await visitor.sees('If this one is off');
    const row = await visitor.page.waitForSelector(
      '::-p-xpath(//*[@role="button"][@aria-pressed][.//*[text()="First ring"]])',
    );
    await row!.tap();
    await visitor.sees('closes');
    for (let i = 0; i < 4; i += 1) await visitor.tap('button', 'More: this balloon alone');
    await visitor.sees('+½ in');
    await visitor.sees('buckles');
    await visitor.sees(/this balloon is pushed out by [12]/);
    const widths = (balloons: typeof before) => balloons.map(({ wide }) => wide.toFixed(1)).sort();
    expect(widths(await visitor.balloonsIn('A basket of'))).not.toEqual(widths(before));
    expect(visitor.complaints).toEqual([]);
  });

  it('its check run is started, counts down, and leads from size to size', async () => {
    // Every size has a balloon: new pieces are made of a linking balloon of the shelf.
    await visitor.tap('button', 'Start checking');
    await visitor.sees('Check Urchin');
    await visitor.sees(/of 12 · 30 left in the piece/);
    await visitor.tap('button', 'Just passes: right');
    await visitor.sees(/of 12 · 29 left in the piece/);
    for (let left = 28; left > 18; left -= 1) {
      await visitor.tap('button', 'Just passes: right');
      await visitor.sees(new RegExp(`of 12 · ${left} left in the piece`));
    }
    await visitor.tap('button', 'Just passes: right');
    await visitor.tap('button', 'Next: First ring');
    await visitor.sees(/of 6 · 18 left in the piece/);
    await visitor.tap('button', 'Back');
    await visitor.find('button', 'Go on checking: 18 left');
    const { id, checks } = await pieceCalled('Urchin');
    const modelId = checks[0]!.modelId;
    const model = await world.get<ModelDetail>(`models/${modelId}`);
    expect(model.checks.filter(({ pieceId }) => pieceId === id)).toHaveLength(4);
    expect(visitor.complaints).toEqual([]);
  });
});

describe('a curtain of 2,000 balloons, in a wide window', () => {
  it('is drawn whole, and its hem drags', async () => {
    const { id, design } = await pieceCalled('Jellyfish curtain');
    const large = {
      ...design,
      acrossMm: 19_000,
      everyMm: 140,
      topMm: 2700,
      hemMm: 500,
      ceilingMm: 3200,
      bowMm: 200,
    };
    await fetch(`${world.url}/api/pieces/${id}`, {
      method: 'PATCH',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ design: large }),
    });
    const visitor = await world.visit(`/builds/${id}`, WIDE);
    await visitor.sees(/2,?\d{3} balloons are work for several people and days/);
    // A body is a point of three strokes: its edge, its colour and its light.
    const { label, drawn } = await visitor.onPaper('A curtain of', (picture) =>
      picture.evaluate((node) => ({ label: node.ariaLabel!, drawn: node.outerHTML.match(/h0/g)!.length })),
    );
    const balloons = Number(/, (\d+) balloons,/.exec(label)![1]);
    expect(balloons).toBeGreaterThan(2000);
    expect(drawn).toBe(3 * balloons);
    expect(visitor.complaints).toEqual([]);
    await visitor.leave();
  });
});
