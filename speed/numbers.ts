import { randomUUID } from 'node:crypto';

import type { Page } from 'puppeteer-core';

import type { Bench } from './bench';
import { median } from './figure';
import { longTasks } from './page';
import { sendWrite } from './sendWrite';

interface Timed extends Window {
  leggeroDrawn: number;
}

/** Numbers of two kinds: one by which targets are chosen, and one by which every reading is fitted. */
const CHANGED = [
  { what: 'by which targets are chosen', key: 'usualFraction', values: [0.8, 0.7, 0.91, 0.8, 0.7] },
  { what: 'by which readings are fitted', key: 'aspectGrowth.mean', values: [0.12, 0.05, 0.1, 0.07, 0.14] },
];

/** A number of the trade changed on another device, until this one's shelf is drawn anew. */
export async function measureNumber({ rounds, report }: Bench, page: Page, url: string): Promise<void> {
  await page.goto(`${url}/shelf`, { waitUntil: 'domcontentloaded' });
  await page.waitForFunction(() => /\d readings? ·/.test(document.body.innerText), { polling: 100 });
  let longest = 0;
  for (const { what, key, values } of CHANGED) {
    const took: number[] = [];
    for (const value of values.slice(0, rounds(values.length))) {
      const since = await page.evaluate(watchRows);
      const began = Date.now();
      await sendWrite(url, { put: 'constant', row: { id: randomUUID(), key, value } });
      await page.waitForFunction(() => (window as unknown as Timed).leggeroDrawn > 0, { polling: 20 });
      took.push((await page.evaluate(() => (window as unknown as Timed).leggeroDrawn)) - began);
      longest = Math.max(longest, await longTasks(page, since));
    }
    report({
      what: `a number ${what} changed elsewhere until a shelf of 300 is drawn anew (median of ${took.length})`,
      ours: median(took),
      yardstick: 'the time it may take',
      theirs: 300,
      unit: 'ms',
      most: 1,
    });
  }
  report({
    what: 'the longest task of that, and of all that follows',
    ours: longest,
    yardstick: 'what blocks a page noticeably',
    theirs: 50,
    unit: 'ms',
    most: 1,
  });
}

/** Notes when the rows say or show something else; answers the page's own clock. */
function watchRows(): number {
  const timed = window as unknown as Timed;
  timed.leggeroDrawn = 0;
  const rows = document.querySelector('[role=main]')!;
  // What they say, and the outlines that they draw.
  const shown = () =>
    rows.textContent + [...rows.querySelectorAll('path')].map((path) => path.getAttribute('d')).join();
  const before = shown();
  const observer = new MutationObserver(() => {
    if (shown() === before) return;
    observer.disconnect();
    // Asking for a measure makes the browser lay out what changed.
    rows.getBoundingClientRect();
    timed.leggeroDrawn = Date.now();
  });
  observer.observe(rows, { subtree: true, childList: true, characterData: true, attributes: true });
  return performance.now();
}
