import type { ShelfModel } from '@leggero/contract';
import type { Page } from 'puppeteer-core';

import { PHONE, type Bench } from './bench';
import { median } from './figure';

const TAPS = 30;
const SLOWER = 4;
const MOST_MS = 100;
/** A thumb's own pause between two taps. */
const PAUSE_MS = 400;

interface Timed extends Window {
  leggeroTaps: number[];
}

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
  const taps = await tapsOn(page, bench.rounds(TAPS));
  const line = { yardstick: 'the time a tap may take', theirs: MOST_MS, unit: 'ms', most: 1 };
  bench.report({
    what: `a tap on the dial until the curve is redrawn, slowed ${SLOWER} times (median of ${taps.length})`,
    ours: median(taps),
    ...line,
  });
  bench.report({ what: 'the slowest of them', ours: Math.max(...taps), ...line });
}

async function tapsOn(page: Page, count: number): Promise<number[]> {
  await page.emulateCPUThrottling(SLOWER);
  // The first tap loads what a page only needs then.
  await page.tap('::-p-aria([name="Smaller: Tape around"])');
  await new Promise((resolve) => setTimeout(resolve, 1000));
  await page.evaluate(() => {
    const timed = window as unknown as Timed;
    timed.leggeroTaps = [];
    new PerformanceObserver((list) => {
      for (const { name, duration } of list.getEntries()) if (name === 'click') timed.leggeroTaps.push(duration);
    }).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit);
  });
  for (let i = 0; i < count; i += 1) {
    await page.tap('::-p-aria([name="Larger: Tape around"])');
    await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
  }
  const seen = await page.evaluate(() => (window as unknown as Timed).leggeroTaps);
  // Taps quicker than the browser's threshold leave no entry: they count as that.
  return [...seen, ...Array.from({ length: Math.max(0, count - seen.length) }, () => 16)];
}
