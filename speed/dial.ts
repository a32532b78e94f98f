import type { ShelfModel } from '@leggero/contract';
import type { Page } from 'puppeteer-core';

import { PHONE, type Bench } from './bench';
import { median } from './figure';
import { tapsOn, touch } from './page';

const TAPS = 30;
const SLOWER = 4;
const MOST_MS = 100;
/** A thumb's own pause between two taps. */
const PAUSE_MS = 400;

/**
 * From a tap on the dial to the frame with the redrawn curve, on a phone profile slowed four times (event timing of
 * the browser).
 */
export async function measureDial(bench: Bench): Promise<void> {
  const { url } = await bench.world();
  const shelf = (await (await fetch(`${url}/api/models`)).json()) as ShelfModel[];
  const readingsOf = ({ calibrations }: ShelfModel) => calibrations[0]?.readings.length ?? 0;
  const model = shelf.reduce((a, b) => (readingsOf(b) > readingsOf(a) ? b : a));
  const page = await bench.open(`${url}/shelf/${model.id}/reading`, PHONE);
  const taps = await tapDial(page, bench.rounds(TAPS));
  const line = { yardstick: 'the time a tap may take', theirs: MOST_MS, unit: 'ms', most: 1 };
  bench.report({
    what: `a tap on the dial until the curve is redrawn, slowed ${SLOWER} times (median of ${taps.length})`,
    ours: median(taps),
    ...line,
  });
  bench.report({ what: 'the slowest of them', ours: Math.max(...taps), ...line });
}

async function tapDial(page: Page, rounds: number): Promise<number[]> {
  await page.emulateCPUThrottling(SLOWER);
  // The first tap loads what a page only needs then.
  await touch(page, '::-p-aria([name="Smaller: Tape around"])');
  await new Promise((resolve) => setTimeout(resolve, 1000));
  return tapsOn(page, { selector: '::-p-aria([name="Larger: Tape around"])', rounds, pauseMs: PAUSE_MS });
}
