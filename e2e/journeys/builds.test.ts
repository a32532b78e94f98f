import { randomUUID } from 'node:crypto';

import type { Changes, ModelDetail, NounName, PieceRecord, RowOf } from '@leggero/contract';

import { PHONE, type Visitor } from '../visitor';
import { worldOf } from '../world';

jest.setTimeout(180_000);

const world = worldOf('demo');

/** Until the server has what was done. */
async function kept<N extends NounName>(noun: N, is: (row: RowOf<N>) => boolean): Promise<RowOf<N>> {
  for (let i = 0; i < 50; i += 1) {
    const { rows } = await world.get<Changes>(`changes?since=&nouns=${noun}`);
    const found = (rows[noun] as RowOf<N>[] | undefined)?.find(is);
    if (found) return found;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(`${noun}: not kept`);
}
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

  it('a balloon tapped in its picture tells its target', async () => {
    const picture = await visitor.page.waitForSelector('[role="img"][aria-label^="A column of"]');
    await picture!.evaluate((node) => node.scrollIntoView({ block: 'center' }));
    // The last drawn is nearest.
    const centres = await picture!.$$eval('circle', (all) =>
      all.map((each) => {
        const { x, y, width, height } = each.getBoundingClientRect();
        return [x + width / 2, y + height / 2] as const;
      }),
    );
    const [x, y] = centres.at(-1)!;
    await visitor.page.touchscreen.tap(x, y);
    await visitor.page.waitForFunction(
      () => document.querySelectorAll('[role="img"] circle[stroke-width="1.8"]').length > 0,
    );
    await visitor.page.waitForSelector('[role="status"][aria-label*="fill to"]');
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
});
