import type { ModelRecord, SizerRecord } from '@leggero/contract';

import { PHONE, type Visitor } from '../visitor';
import { worldOf } from '../world';

const world = worldOf('empty');

/** Choosing and pointing, s (Card, Moran and Newell, The keystroke-level model, CACM 23, 1980: M 1.35 and P 1.1). */
const TAP_S = 1.35 + 1.1;
/** To fill one balloon by the app's word and take its width at the holes, s; common practice. */
const FILLING_S = 60;
const THREE_MINUTES_S = 180;

/** What was tapped, and since when. */
function counted(visitor: Visitor) {
  const since = performance.now();
  let taps = 0;
  return {
    async tap(role: string, name: string) {
      taps += 1;
      await visitor.tap(role, name);
    },
    taps: () => taps,
    seconds: () => (performance.now() - since) / 1000,
  };
}

describe('the first minutes of an empty studio, on a phone', () => {
  let visitor: Visitor;
  beforeAll(async () => {
    visitor = await world.visit('/bench', PHONE);
  });

  it('can be skipped, step by step, and are shown on the Bench all the same', async () => {
    await visitor.tap('button', 'Choose your balloons');
    for (const step of ['Your balloons', 'Your pump', 'Your sizer', 'The first balloon', 'The first target']) {
      await visitor.sees(step);
      await visitor.tap('button', 'Skip');
    }
    await visitor.sees('The first minutes');
    await visitor.tap('button', 'Not now');
    await visitor.sees('Put the first balloon on the shelf');
    await visitor.reload();
    await visitor.sees('The first minutes');
  });

  it('lead from nothing to a first target within three minutes, by taps alone', async () => {
    const hand = counted(visitor);
    await hand.tap('button', 'Choose your balloons');
    await hand.tap('checkbox', '5 in');
    await hand.tap('checkbox', '16 in');
    await hand.tap('button', 'Put 3 sizes on the shelf');
    await hand.tap('button', 'Use this one');
    await hand.tap('button', 'Every inch, 4 to 11');
    await hand.tap('button', 'Save 8 holes');
    await hand.tap('button', 'Fill the first balloon');
    await visitor.sees('Take a fresh balloon and give it');
    await hand.tap('radio', 'Hole');
    await hand.tap('radio', '6');
    await hand.tap('button', 'Add reading');
    await hand.tap('button', 'See the target');
    await visitor.sees('Standard 11');
    await visitor.sees('1 reading');
    expect(hand.taps()).toBe(12);
    expect(hand.seconds() + TAP_S * hand.taps() + FILLING_S).toBeLessThan(THREE_MINUTES_S);

    await visitor.settled();
    const models = await world.get<ModelRecord[]>('models');
    expect(models.map(({ nominalMm }) => Math.round(nominalMm / 25.4)).sort((a, b) => a - b)).toEqual([5, 11, 16]);
    const [sizer] = await world.get<SizerRecord[]>('sizers');
    expect(sizer!.holes.map(({ label }) => label)).toEqual(['4', '5', '6', '7', '8', '9', '10', '11']);
  });

  it('are gone from the Bench once they are walked, also after a reload', async () => {
    await visitor.follow('/bench');
    await visitor.sees('Worth calibrating first');
    expect(await visitor.text()).not.toContain('The first minutes');
    await visitor.reload();
    expect(await visitor.text()).not.toContain('The first minutes');
    expect(visitor.complaints).toEqual([]);
  });
});
