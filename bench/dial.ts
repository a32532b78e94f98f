import type { ShelfModel } from '@leggero/contract';
import type { Page } from 'puppeteer-core';

import { openPage } from './browser';
import { median, report } from './report';
import { startWorld } from './world';

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
export async function benchDial({ chromium }: { chromium: string }): Promise<void> {
  const world = await startWorld();
  const shelf = (await (await fetch(`${world.url}/api/models`)).json()) as ShelfModel[];
  const model = shelf.reduce((a, b) =>
    (b.calibrations[0]?.readings.length ?? 0) > (a.calibrations[0]?.readings.length ?? 0) ? b : a,
  );
  // What a new database still writes is not the page's.
  await new Promise((resolve) => setTimeout(resolve, 5000));
  const page = await openPage({ chromium, address: `${world.url}/shelf/${model.id}/reading`, width: 390, height: 844 });
  try {
    const taps = await tapsOn(page);
    const line = { yardstick: 'the time a tap may take', theirs: MOST_MS, unit: 'ms', most: 1 };
    report({
      what: `a tap on the dial until the curve is redrawn, slowed ${SLOWER} times (median of ${TAPS})`,
      ours: median(taps),
      ...line,
    });
    report({ what: 'the slowest of them', ours: Math.max(...taps), ...line });
  } finally {
    await page.browser().close();
    await world.end();
  }
}

async function tapsOn(page: Page): Promise<number[]> {
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
  for (let i = 0; i < TAPS; i += 1) {
    await page.tap('::-p-aria([name="Larger: Tape around"])');
    await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
  }
  const seen = await page.evaluate(() => (window as unknown as Timed).leggeroTaps);
  // Taps quicker than the browser's threshold leave no entry: they count as that.
  return [...seen, ...Array.from({ length: Math.max(0, TAPS - seen.length) }, () => 16)];
}
