import type { ElementHandle, Page } from 'puppeteer-core';

interface Watched extends Window {
  leggeroTasks: { at: number; ms: number }[];
  leggeroTaps: number[];
  leggeroDraws: number[];
}

/** From now on notes every task of the page over 50 ms. */
export async function watchLongTasks(page: Page): Promise<void> {
  await page.evaluate(noteLongTasks);
}

/** Notes them on every page that is opened from now on, from its beginning. */
export async function watchLongTasksFromStart(page: Page): Promise<void> {
  await page.evaluateOnNewDocument(noteLongTasks);
}

function noteLongTasks(): void {
  const watched = window as unknown as Watched;
  watched.leggeroTasks = [];
  new PerformanceObserver((list) => {
    for (const { startTime, duration } of list.getEntries()) watched.leggeroTasks.push({ at: startTime, ms: duration });
  }).observe({ type: 'longtask' });
}

/** The shortest that the browser tells of, ms. */
const SHORTEST_MS = 16;

/** From taps on something to the frames that follow them, ms (event timing of the browser). */
export async function tapsOn(
  page: Page,
  { selector, rounds, pauseMs }: { selector: string; rounds: number; pauseMs: number },
): Promise<number[]> {
  await page.evaluate((shortest) => {
    const watched = window as unknown as Watched;
    watched.leggeroTaps = [];
    new PerformanceObserver((list) => {
      for (const { name, duration } of list.getEntries()) if (name === 'click') watched.leggeroTaps.push(duration);
    }).observe({ type: 'event', durationThreshold: shortest } as PerformanceObserverInit);
  }, SHORTEST_MS);
  for (let round = 0; round < rounds; round += 1) {
    await touch(page, selector);
    await new Promise((resolve) => setTimeout(resolve, pauseMs));
  }
  const seen = await page.evaluate(() => (window as unknown as Watched).leggeroTaps);
  // Quicker ones leave no entry: they count as that.
  return [...seen, ...Array.from({ length: Math.max(0, rounds - seen.length) }, () => SHORTEST_MS)];
}

/** The page is done when no long task came for so long. */
const QUIET_MS = 1500;

/** The longest task since, or since a moment of the page's own clock, ms; 0 when none was over 50 ms. */
export async function longTasks(page: Page, since = 0): Promise<number> {
  // Not by the network: a worker's own script never counts as loaded to the page.
  const seen = () => page.evaluate(() => (window as unknown as Watched).leggeroTasks.length);
  for (let before = -1, now = await seen(); now !== before; now = await seen()) {
    before = now;
    await new Promise((resolve) => setTimeout(resolve, QUIET_MS));
  }
  return page.evaluate((from) => {
    const later = (window as unknown as Watched).leggeroTasks.filter(({ at }) => at >= from);
    return Math.max(0, ...later.map(({ ms }) => ms));
  }, since);
}

interface Redrawing {
  /** What a hand does: the clock runs from this event. */
  on: 'click' | 'input';
  /** What is drawn anew. */
  drawing: string;
  rounds: number;
  act: (round: number) => Promise<void>;
  /** Between two of them, ms. */
  pauseMs: number;
}

/** From what a hand does to the drawing computed and drawn anew, its layout done, ms. */
export async function redrawsOf(page: Page, { on, drawing, rounds, act, pauseMs }: Redrawing): Promise<number[]> {
  await page.evaluate(
    (event, selector) => {
      const noted = window as unknown as Watched;
      noted.leggeroDraws = [];
      let began = 0;
      window.addEventListener(event, () => (began = performance.now()), { capture: true });
      new MutationObserver((changes) => {
        if (began === 0 || !changes.some(({ target }) => (target as Element).closest?.(selector))) return;
        // Asking for a measure makes the browser lay out what changed.
        document.body.getBoundingClientRect();
        noted.leggeroDraws.push(performance.now() - began);
        began = 0;
      }).observe(document.body, { subtree: true, childList: true, attributes: true });
    },
    on,
    drawing,
  );
  for (let round = 0; round < rounds; round += 1) {
    await act(round);
    await new Promise((resolve) => setTimeout(resolve, pauseMs));
  }
  return page.evaluate(() => (window as unknown as Watched).leggeroDraws);
}

/** The picture that this finds, once it is drawn in space and its still is gone. */
export async function drawnInSpace(page: Page, selector: string): Promise<ElementHandle<Element>> {
  const picture = (await page.waitForSelector(`[role="img"]${selector}`))!;
  await page.waitForFunction(
    (node) => node.querySelector('canvas') !== null && node.querySelector('svg')!.childElementCount === 0,
    {},
    picture,
  );
  return picture;
}

/** A finger's tap on what this finds, once it is there. */
export async function touch(page: Page, selector: string): Promise<void> {
  const found = await page.waitForSelector(selector);
  await found!.tap();
}

/** Taps what has this role and name. */
export async function tap(page: Page, role: string, name: string): Promise<void> {
  const found = await page.waitForSelector(`::-p-aria([name="${name}"][role="${role}"])`);
  await found!.click();
}
