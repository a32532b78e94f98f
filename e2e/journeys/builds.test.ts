import { randomUUID } from 'node:crypto';

import type { ModelDetail, PieceRecord } from '@leggero/contract';

import { PHONE, type Visitor } from '../visitor';
import { worldOf } from '../world';

const world = worldOf('demo');

const { kept } = world;
const columnOf = ({ design }: Pick<PieceRecord, 'design'>) => (design.form === 'column' ? design : null);

describe('an event with its pieces, planned on a phone', () => {
  let visitor: Visitor;
  beforeAll(async () => {
    visitor = await world.visit('/builds', PHONE);
  });

  it('begins with a name, and its first piece is a column to a height', async () => {
    await visitor.tap('button', 'Plan an event');
    await visitor.type('Name of the event', 'Harbour opening');
    await visitor.tap('button', 'Plan it');
    await visitor.sees('Nothing is drawn up for it yet.');
    await visitor.tap('button', 'Draw up a piece');
    await visitor.tap('radio', 'Column: Layers around a pole, in colours');
    await visitor.type('Name', 'Bollard');
    await visitor.tap('button', 'Draw it up');
    await visitor.sees('Bollard');
    await visitor.type('Width of its balloons, inches', '10');
    await visitor.type('Height over all', '5 ft');
    // Common practice: eight layers of quads at 10 in.
    await visitor.sees('Column · 8 layers, 32 balloons');
    await kept('piece', (piece) => piece.name === 'Bollard' && columnOf(piece)?.heightMm === 1524);
  });

  it('its spiral is painted, and its duplets are counted anew', async () => {
    await visitor.sees('16 ×');
    await visitor.sees('turned half a step to the right');
    const [, brush] = await visitor.page.$$('[role="radio"][aria-label^="Paint with"]');
    await brush!.tap();
    const cell = await visitor.page.waitForSelector('[role="button"][aria-label^="Layer 2, place 1:"]');
    await cell!.tap();
    await visitor.find('button', 'Back to the pattern: 1 balloon painted');
    await visitor.sees(/\n15 ×/);
    await kept('piece', (piece) => piece.name === 'Bollard' && columnOf(piece)?.painted.length === 1);
  });

  it('a balloon tapped in space tells its target, where the still drawing has it too', async () => {
    const { page } = visitor;
    await visitor.drawnInSpace('A column of');
    const said = () => page.$eval('[role="status"][aria-label*="fill to"]', (node) => node.ariaLabel);
    const before = await said();
    const balloons = await visitor.balloonsIn('A column of');
    // Of either colour the last drawn is nearest: nothing is before it.
    const [own, other] = [true, false].map((first) => balloons.findLast(({ fill }) => fill.endsWith('0)') === first)!);
    await page.touchscreen.tap(other!.x, other!.y);
    await page.waitForFunction(
      (last) => document.querySelector('[role="status"][aria-label*="fill to"]')?.ariaLabel !== last,
      {},
      before,
    );
    await page.touchscreen.tap(own!.x, own!.y);
    await page.waitForFunction(
      (last) => document.querySelector('[role="status"][aria-label*="fill to"]')?.ariaLabel === last,
      {},
      before,
    );
    expect(visitor.complaints).toEqual([]);
  });

  /** Common practice: on a pole nobody notices, on line unequal balloons lean it. */
  it('is told how exact it must be: by eye on a pole, by sizer on line, and each one checked where that is tall', async () => {
    await visitor.looksAt('How exact must it be?');
    await visitor.sees(/By eye is fine: \d+ of 100 show no fault/);
    await visitor.tap('switch', 'One of the worst in twenty, over the drawing');
    await visitor.sees('In outlines: one of the worst in twenty');
    await visitor.tap('button', 'Away with it');
    await visitor.tap('radio', 'On line');
    await visitor.looksAt('How exact must it be?');
    await visitor.sees(/Use the sizer: \d+ of 100 show no fault, by eye \d+ of 100/);
    await visitor.type('Height over all', '6 ft');
    await visitor.sees('Column · 10 layers');
    await visitor.looksAt('How exact must it be?');
    await visitor.sees(/Check every one: \d+ of 100 show no fault, sized without a check \d+ of 100/);
    await visitor.type('Height over all', '5 ft');
    await visitor.tap('radio', 'On a pole');
    await visitor.looksAt('How exact must it be?');
    await visitor.sees(/By eye is fine/);
    expect(visitor.complaints).toEqual([]);
  });

  it('a target that is fixed stays where it is when a reading moves it, and says so', async () => {
    await visitor.tap('button', 'Fix this target');
    await visitor.sees('readings do not move it');
    const { modelId, dose, fillMm } = await kept('fixing', () => true);
    const { calibrations } = await world.get<ModelDetail>(`models/${modelId}`);
    // The pump gives less than it did: three readings say so.
    for (let i = 0; i < 3; i += 1) {
      const reading = { calibrationId: calibrations[0]!.id, dose, widthMm: 0.9 * fillMm, heightMm: null, sdMm: null };
      await fetch(`${world.url}/api/readings/${randomUUID()}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ ...reading, shape: null, outcome: 'ok', takenAt: new Date().toISOString() }),
      });
    }
    await visitor.sees('Since then it has moved');
    await visitor.tap('button', 'Take it over');
    await visitor.page.waitForFunction(() => !document.body.innerText.includes('Since then it has moved'));
    expect(visitor.complaints).toEqual([]);
  });

  it('has a second piece, and a warm venue reaches the targets of the first', async () => {
    await visitor.tap('button', 'Back');
    await visitor.sees('Harbour opening');
    await visitor.tap('button', 'Draw up a piece');
    await visitor.tap('radio', 'Ring: Around a pole, or rings upon rings');
    await visitor.type('Name', 'Lifebuoy');
    await visitor.tap('button', 'Draw it up');
    await visitor.sees('Lifebuoy');
    await visitor.tap('button', 'Back');
    await visitor.find('link', 'Bollard');
    await visitor.type('At the venue, °C', '45');
    const { id } = await kept('event', (event) => event.venueTempC === 45);
    expect((await world.get<PieceRecord[]>('pieces')).filter(({ eventId }) => eventId === id)).toHaveLength(2);
    await visitor.tap('link', 'Bollard');
    await visitor.sees(/held at|at the opening/);
    expect(visitor.complaints).toEqual([]);
  });

  /** Common practice: crescents are written in strokes of whoever drew them up. */
  it('has a hoop whose crescent is read in from strokes of another pump', async () => {
    await visitor.tap('button', 'Back');
    await visitor.tap('button', 'Draw up a piece');
    await visitor.tap('radio', 'Hoop: Crescents around a hoop on a stand');
    await visitor.type('Name', 'Porthole');
    await visitor.tap('button', 'Draw it up');
    await visitor.sees('Porthole');
    await visitor.sees('Hoop · 25 clusters, 100 balloons');
    // Strokes are widths of a balloon: of the first on the shelf.
    await visitor.tap('button', 'Any balloon: change the colour 1');
    await (await visitor.page.waitForSelector('[role="radio"][aria-label^="Tarn Satin 11"]'))!.tap();
    await visitor.tap('button', 'Crescent 1 from strokes');
    await visitor.tap('radio', 'Skiff hand pump');
    await visitor.type('From the centre outwards, in strokes', '10, 8, 6, 4, 2');
    await visitor.sees(/With Tarn Satin 11: [^.]+\./);
    await visitor.tap('button', 'Use these sizes');
    await visitor.sees(/\d (s|strokes) with your own/);
    const { design } = await kept('piece', ({ name, design: its }) => {
      return name === 'Porthole' && its.form === 'hoop' && its.crescents[0]!.centreMm !== 9 * 25.4;
    });
    if (design.form !== 'hoop') throw new Error('no hoop');
    const [{ centreMm, steps }] = design.crescents as [(typeof design.crescents)[number]];
    // Width grows about as the cube root of the strokes.
    expect(Math.abs(centreMm / steps[3]!.widthMm / Math.cbrt(5) - 1)).toBeLessThan(0.12);
    expect(visitor.complaints).toEqual([]);
  });

  it('has an arch, its layers counted along its curve, on a frame or free', async () => {
    await visitor.tap('button', 'Back');
    await visitor.tap('button', 'Draw up a piece');
    await visitor.tap('radio', 'Arch: Layers on a frame, or free');
    await visitor.type('Name', 'Lock gate');
    await visitor.tap('button', 'Draw it up');
    await visitor.sees('Lock gate');
    await visitor.type('Feet apart', '10 ft');
    await visitor.type('Height', '5 ft');
    await visitor.type('Width of its balloons, inches', '10');
    // Half a circle of 5 ft is 15 ft 8 in: 26 quads of 10 in, 7⅛ in apart.
    await visitor.sees('Arch · 26 layers, 104 balloons');
    await visitor.sees('One passes through');
    await visitor.looksAt('How exact must it be?');
    await visitor.sees(/\d+ of 100 show no fault/);
    await visitor.tap('radio', 'Free');
    await visitor.tap('radio', 'Height');
    await visitor.type('Layers', '10');
    await visitor.sees('Its feet stand wider than its layers are long');
    await visitor.type('Layers', '30');
    await visitor.sees('Arch · 30 layers, 120 balloons');
    await kept('piece', ({ name, design }) => name === 'Lock gate' && design.form === 'arch' && design.layers === 30);
    expect(visitor.complaints).toEqual([]);
  });

  it('has a plinth whose weights hold what stands on it', async () => {
    await visitor.tap('button', 'Back');
    await visitor.tap('button', 'Draw up a piece');
    await visitor.tap('radio', 'Plinth: A row of clusters for figures');
    await visitor.type('Name', 'Quay');
    await visitor.tap('button', 'Draw it up');
    await visitor.sees('Plinth · 5 clusters, 20 balloons');
    await visitor.sees(/At least \d+\.\d kg \(\d+\.\d lb\) at each end/);
    await visitor.type('Figure 1, kg', '9');
    await visitor.sees('Lighter than what stands on it: 4.5 kg');
    await visitor.type('At each end, kg', '6');
    await visitor.page.waitForFunction(() => !document.body.innerText.includes('Lighter than what stands on it'));
    await kept('piece', ({ name, design }) => name === 'Quay' && design.form === 'plinth' && design.weightKg === 6);
    expect(visitor.complaints).toEqual([]);
  });

  it('has a bow whose loops come from one count, by eye', async () => {
    await visitor.tap('button', 'Back');
    await visitor.tap('button', 'Draw up a piece');
    await visitor.tap('radio', 'Bow: Two loops and tails of rope');
    await visitor.type('Name', 'Rosette');
    await visitor.tap('button', 'Draw it up');
    await visitor.sees('Rosette');
    await visitor.type('Width of its balloons, inches', '7.5');
    // Common practice: 35 duplets a side, closed at the 25th, are about 8 ft across.
    await visitor.sees('Bow · 35 duplets a side, 140 balloons');
    await visitor.sees(/8 ft \S+ in across: 35 duplets a side at 7½ in/);
    await visitor.sees('closes at duplet 25');
    await visitor.sees(/Each side is strung on 3 of 260/);
    await visitor.looksAt('How exact must it be?');
    await visitor.sees(/By eye is fine: \d+ of 100 show no fault/);
    await visitor.tap('radio', 'Duplets');
    await visitor.type('Over both loops', '10 ft');
    await visitor.sees('Bow · 41 duplets a side');
    await visitor.type('Over both loops', '2 ft');
    await visitor.sees('So tight a loop does not bend');
    await visitor.type('Over both loops', '10 ft');
    await kept('piece', ({ name, design }) => name === 'Rosette' && design.form === 'bow' && design.acrossMm === 3048);
    expect(visitor.complaints).toEqual([]);
  });

  it('has a taper, dragged at its foot and fitted to its pole anew', async () => {
    const { page } = visitor;
    await visitor.tap('button', 'Back');
    await visitor.tap('button', 'Draw up a piece');
    await visitor.tap('radio', 'Taper: Layers that follow a silhouette');
    await visitor.type('Name', 'Beacon');
    await visitor.tap('button', 'Draw it up');
    await visitor.sees('Beacon');
    const taperIn = async (is: (foot: number) => boolean) => {
      const { design } = await kept('piece', ({ name, design: its }) => {
        return name === 'Beacon' && its.form === 'taper' && is(its.profile[0]!.widthMm);
      });
      if (design.form !== 'taper') throw new Error('no taper');
      return design;
    };
    const drawn = await taperIn(() => true);
    const layersOf = async () => Number(/Taper · (\d+) layers/.exec(await visitor.text())![1]);
    const before = await layersOf();
    const picture = (await page.waitForSelector('[role="img"][aria-label^="A taper of"]'))!;
    await picture.evaluate((node) => node.scrollIntoView({ block: 'center' }));
    // Of the marks at its side the lowest stands at the foot.
    const marks = await picture.$$eval('[style*="ew-resize"]', (all) =>
      all.map((each) => {
        const { x, y, width, height } = each.getBoundingClientRect();
        return { x: x + width / 2, y: y + height / 2 };
      }),
    );
    const foot = marks.reduce((low, mark) => (mark.y > low.y ? mark : low));
    await page.touchscreen.touchStart(foot.x, foot.y);
    for (const by of [-6, -12, -20]) await page.touchscreen.touchMove(foot.x + by, foot.y);
    await page.touchscreen.touchEnd();
    const wasMm = drawn.profile[0]!.widthMm;
    const { poleMm } = await taperIn((widthMm) => widthMm < wasMm - 10);
    expect(poleMm).toBe(drawn.poleMm);
    // Smaller balloons stand lower: the same pole takes no fewer layers of them.
    expect(await layersOf()).toBeGreaterThanOrEqual(before);
    await visitor.sees(/Its layers cover the pole|over the pole|of pole shows/);
    expect(visitor.complaints).toEqual([]);
  });
});
